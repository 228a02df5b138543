package outfell.server.demo;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Goes through a day's work on the demo practice and ends: which classes it needs is laid by for every start after it.
 */
@Component
@ConditionalOnProperty("outfell.rehearsal")
class Rehearsal implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(Rehearsal.class);
    private static final int NOT_FOUND = 404;
    private static final int FAULT = 500;

    private final ConfigurableApplicationContext context;
    private final JsonMapper json;
    private final HttpClient http = HttpClient.newHttpClient();

    Rehearsal(ConfigurableApplicationContext context, JsonMapper json) {
        this.context = context;
        this.json = json;
    }

    @Override
    public void run(ApplicationArguments arguments) throws IOException, InterruptedException {
        JsonNode desk = ask("GET", "/api/desk", "");
        for (String path : List.of("/api/vocabulary", "/api/practice/house", "/api/places", "/api/products/search")) {
            ask("GET", path, "");
        }
        List<String> methods = ask("GET", "/api/methods", "")
                .path("methods")
                .valueStream()
                .map(m -> m.path("id").asString())
                .toList();
        for (JsonNode client : desk.path("clients")) {
            JsonNode begun = ask("POST", "/api/clients/" + client.path("id").asString() + "/visits", "");
            visit("/api/visits/" + begun.path("id").asString(), methods);
        }
        LOG.info("Rehearsed.");
        context.close();
    }

    private void visit(String visit, List<String> methods) throws IOException, InterruptedException {
        ObjectNode document = (ObjectNode) ask("GET", visit, "");
        document.remove(List.of("id", "client", "date"));
        for (String method : methods) {
            document.put("method", method);
            JsonNode saved = ask("PUT", visit + "?shown=JANUARY", document.toString());
            document.put("version", saved.path("visit").path("version").asInt());
        }
        ask("POST", visit + "/verdict", document.toString());
        String today = LocalDate.now().toString();
        for (String part : List.of(
                "/day",
                "/before",
                "/plan?month=JANUARY",
                "/plan/findings",
                "/plan/ladders",
                "/plan/changes?month=JULY",
                "/supply?month=JANUARY",
                "/sun?month=JULY",
                "/what-if?celsius=20&humidity=50&wind=5&uv=3&hours=2",
                "/weeks",
                "/evenings/" + today,
                "/year",
                "/weather",
                "/plans")) {
            ask("GET", visit + part, "");
        }
    }

    private JsonNode ask(String how, String path, String body) throws IOException, InterruptedException {
        int port = Objects.requireNonNull(((WebServerApplicationContext) context).getWebServer())
                .getPort();
        HttpRequest request = HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
                .header("content-type", "application/json")
                .header("x-ask", UUID.randomUUID().toString())
                .method(how, HttpRequest.BodyPublishers.ofString(body))
                .build();
        HttpResponse<String> heard = http.send(request, HttpResponse.BodyHandlers.ofString());
        // what is refused is rehearsed too; what is not there, or fails, is rehearsed in vain
        if (heard.statusCode() == NOT_FOUND || heard.statusCode() >= FAULT) {
            throw new IllegalStateException("%s %s was answered with %d.".formatted(how, path, heard.statusCode()));
        }
        String answer = heard.body();
        return answer.startsWith("{") || answer.startsWith("[") ? json.readTree(answer) : json.createObjectNode();
    }
}

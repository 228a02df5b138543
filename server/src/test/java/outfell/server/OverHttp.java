package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Speaks to the server over real HTTP. */
abstract class OverHttp {
    static final JsonMapper JSON = new JsonMapper();
    final HttpClient http = HttpClient.newHttpClient();

    @LocalServerPort
    int port;

    record Answer(int status, JsonNode body) {}

    String newVisit(String name) throws Exception {
        Answer client =
                post("/api/clients", "{\"name\": \"%s\", \"trade\": \"rigger\", \"nextVisit\": null}".formatted(name));
        assertThat(client.status()).isEqualTo(201);
        return post("/api/clients/" + client.body().at("/id").asString() + "/visits", "")
                .body()
                .at("/id")
                .asString();
    }

    /** A client's newest visit, with a correction open where it is of an earlier day. */
    String lastVisit(String name) throws Exception {
        String visit = readOnly(name);
        post("/api/visits/" + visit + "/corrections", "{\"who\": \"Signe\", \"why\": \"put right for a test\"}");
        return visit;
    }

    /** A client's newest visit as it stands. */
    String readOnly(String name) throws Exception {
        return get("/api/desk")
                .body()
                .at("/clients")
                .valueStream()
                .filter(c -> c.at("/name").asString().equals(name))
                .map(c -> c.at("/lastVisit").asString())
                .findFirst()
                .orElseThrow();
    }

    ObjectNode document(String visit) throws Exception {
        ObjectNode document = (ObjectNode) get("/api/visits/" + visit).body();
        document.remove(List.of("id", "client", "date"));
        return document;
    }

    Answer get(String path) throws IOException, InterruptedException {
        return send(request(path).GET());
    }

    Answer post(String path, String body) throws IOException, InterruptedException {
        return send(request(path).POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    Answer put(String path, JsonNode body) throws IOException, InterruptedException {
        return send(request(path).PUT(HttpRequest.BodyPublishers.ofString(body.toString())));
    }

    Answer delete(String path) throws IOException, InterruptedException {
        return send(request(path).DELETE());
    }

    HttpResponse<String> raw(String path) throws IOException, InterruptedException {
        return http.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofString());
    }

    private Answer send(HttpRequest.Builder request) throws IOException, InterruptedException {
        HttpResponse<String> answer = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        return new Answer(
                answer.statusCode(), answer.body().isEmpty() ? JSON.createObjectNode() : JSON.readTree(answer.body()));
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
                .header("content-type", "application/json");
    }
}

package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.List;
import org.springframework.boot.test.web.server.LocalServerPort;
import outfell.safety.SafetyScreen;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
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

    /** The same with everybody's questions answered with no on the day of the visit, by a client of thirty-five. */
    ObjectNode asked(String visit) throws Exception {
        JsonNode whole = get("/api/visits/" + visit).body();
        ObjectNode document = document(visit);
        ObjectNode intake = (ObjectNode) document.at("/intake");
        intake.put("birthYear", LocalDate.parse(whole.at("/date").asString()).getYear() - 36);
        ArrayNode answers = intake.withArray("/answers");
        for (String question : SafetyScreen.questions()) {
            boolean told = answers.valueStream()
                    .anyMatch(a -> a.at("/question").asString().equals(question));
            if (!told) {
                answers.addObject()
                        .put("question", question)
                        .put("yes", false)
                        .putNull("on")
                        .put("asked", whole.at("/date").asString())
                        .put("bulk", false);
            }
        }
        return document;
    }

    /** Asked and read: everything that a plan must have to be kept. */
    void ready(String visit) throws Exception {
        ObjectNode document = asked(visit);
        ArrayNode grades = document.withArray("/reading/grades");
        for (String sign : List.of("SHINE", "TIGHTNESS", "FLAKING", "REDNESS")) {
            for (String zone : List.of("FOREHEAD", "NOSE", "CHIN", "CHEEK_R", "CHEEK_L")) {
                grades.addObject()
                        .put("zone", zone)
                        .put("sign", sign)
                        .put("grade", sign.equals("SHINE") ? 1 : 0)
                        .put("how", "SEEN");
            }
        }
        assertThat(put("/api/visits/" + visit, document).status()).isEqualTo(200);
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

package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Whatever is asked, nothing is a fault. Requests are made from the published description with a seed: right, half right,
 * of wrong types, deep, huge, in other writing, repeated. -Doutfell.requests=N makes more of them.
 */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"outfell.demo=true", "outfell.memory=any-request"})
@ExtendWith(OutputCaptureExtension.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class AnyRequestTest extends OverHttp {
    private static final int REQUESTS = Integer.getInteger("outfell.requests", 5000);
    private static final int SEEDS = 10;
    private static final String CLIENTS_WORD = "Bluewhistle";
    private static final JsonMapper MAPPER = new JsonMapper();
    private static final int DEEPEST = 4;

    private final HttpClient plain = HttpClient.newHttpClient();
    private static final List<String> NAMES =
            List.of("classic", "cream-lanolin", "optional-step", "retinoid-pha", "layered");

    private final List<String> ids = new ArrayList<>();
    private JsonNode api = JsonNodeFactory.instance.objectNode();

    private record Operation(String method, String path, JsonNode description) {}

    private record Answered(int status, String body, String type) {}

    @BeforeAll
    void what_there_is() throws Exception {
        api = MAPPER.readTree(Files.readString(Path.of("../web/openapi.json")));
        JsonNode desk = get("/api/desk").body();
        desk.at("/clients").forEach(c -> {
            ids.add(c.at("/id").asString());
            if (!c.at("/lastVisit").isNull()) {
                ids.add(c.at("/lastVisit").asString());
            }
        });
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6, 7, 8, 9})
    void is_answered_or_refused_plainly(int seed, CapturedOutput output) throws Exception {
        Random random = new Random(seed);
        List<Operation> operations = operations();
        for (int i = 0; i < REQUESTS / SEEDS; i++) {
            Operation operation = operations.get(random.nextInt(operations.size()));
            String path = path(operation, random);
            byte[] body = body(operation, random);
            String type = random.nextInt(12) == 0 ? strange(random) : contentType(operation);
            Answered answer = ask(operation.method(), path, body, type);
            String what = "seed %d, request %d: %s %s %s"
                    .formatted(seed, i, operation.method(), path, shortly(new String(body, StandardCharsets.UTF_8)));
            assertThat(answer.status()).as(what).isLessThan(500);
            if (answer.status() >= 400) {
                refusedPlainly(answer, what);
            }
        }
        assertThat(output.toString()).doesNotContain(CLIENTS_WORD).doesNotContain("Unforeseen");
    }

    private static void refusedPlainly(Answered answer, String what) {
        assertThat(answer.type()).as(what).startsWith("application/problem+json");
        JsonNode document = MAPPER.readTree(answer.body());
        assertThat(document.at("/code").asString("")).as(what).isNotBlank();
        assertThat(document.at("/detail").asString("")).as(what).isNotBlank();
        assertThat(document.at("/detail").asString(""))
                .as(what)
                .doesNotContain("Exception", "outfell.server", "org.springframework", "java.", "jackson", "PUBLIC.");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "GET /?a=%ff HTTP/1.1",
                "GET /api/desk?% HTTP/1.1",
                "GET /% HTTP/1.1",
                "GET /api/clients/%00 HTTP/1.1",
                "GET /api/products/..%2f..%2fetc HTTP/1.1",
                "GET /api/products/a;b=c HTTP/1.1",
                "GET /error HTTP/1.1",
                "POST /error HTTP/1.1",
                "TRACE /api/desk HTTP/1.1",
                "NONSENSE /api/desk HTTP/1.1",
                "GET /api/desk?text=<script> HTTP/1.1",
                "GET /api/desk HTTP/9.9",
                "GET",
                "\u0000\u0001\u0002"
            })
    void what_the_web_server_itself_refuses_names_nothing_within(String line) throws Exception {
        String answer = bytes(line + "\r\nHost: localhost\r\nConnection: close\r\n\r\n");
        assertThat(answer).doesNotContain(" 500 ", "Exception", "org.apache", "Tomcat", "at java");
        if (!answer.isEmpty() && !answer.contains(" 200 ")) {
            assertThat(answer).contains("application/problem+json");
        }
    }

    @Test
    void a_form_in_parts_and_a_body_without_end_are_refused() throws Exception {
        Answered parts = ask(
                "POST",
                "/api/clients",
                "--x\r\nbroken".getBytes(StandardCharsets.UTF_8),
                "multipart/form-data; boundary=x");
        assertThat(parts.status()).isEqualTo(415);
        Answered deep =
                ask("POST", "/api/plan", "[".repeat(100_000).getBytes(StandardCharsets.UTF_8), "application/json");
        assertThat(deep.status()).isEqualTo(400);
        Answered huge = ask("POST", "/api/plan", new byte[3 * 1024 * 1024], "application/json");
        assertThat(huge.status()).isEqualTo(413);
        assertThat(huge.body()).contains("too-large");
        String chunked = bytes("POST /api/plan HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n"
                + "Transfer-Encoding: chunked\r\nConnection: close\r\n\r\n"
                + "100000\r\n" + " ".repeat(0x100000) + "\r\n100000\r\n" + " ".repeat(0x100000) + "\r\n100000\r\n"
                + " ".repeat(0x100000) + "\r\n0\r\n\r\n");
        assertThat(chunked).startsWith("HTTP/1.1 413");
    }

    @Test
    void known_causes_of_faults_are_refused_at_their_field() throws Exception {
        // of its own: what was asked at random may have renamed or erased anybody else
        String visit = newVisit("Known Cause");
        assertThat(post("/api/visits/" + visit + "/choices/check", "{}").status())
                .isEqualTo(400);
        String client = get("/api/visits/" + visit).body().at("/client").asString();
        for (String body : List.of(
                "{\"weeks\": 1, \"nights\": []}",
                "{\"product\": null, \"weeks\": 1, \"nights\": []}",
                "{\"product\": {}, \"weeks\": 1}",
                "{\"product\": {\"name\": \"x\"}, \"weeks\": 1, \"nights\": [null]}")) {
            assertThat(post("/api/clients/" + client + "/shelf/labels", body).status())
                    .as(body)
                    .isEqualTo(400);
        }
        assertThat(post("/api/recipes", "{\"name\": \"x\", \"use\": \"MASK\", \"parts\": [null]}")
                        .status())
                .isEqualTo(400);
    }

    // ---- making requests

    private List<Operation> operations() {
        List<Operation> all = new ArrayList<>();
        api.at("/paths")
                .properties()
                .forEach(path -> path.getValue().properties().forEach(op -> {
                    // the probe's stream never ends, and a record that is erased is no longer there to be asked for
                    boolean left = path.getKey().contains("/readings/stream")
                            || path.getKey().endsWith("/erasure")
                            || op.getValue().toString().contains("text/event-stream");
                    if (!left) {
                        all.add(new Operation(
                                op.getKey().toUpperCase(java.util.Locale.ROOT), path.getKey(), op.getValue()));
                    }
                }));
        return all;
    }

    private String path(Operation operation, Random random) {
        String path = operation.path();
        StringBuilder query = new StringBuilder();
        for (JsonNode parameter : operation.description().at("/parameters")) {
            JsonNode schema = resolve(parameter.at("/schema"));
            String name = parameter.at("/name").asString();
            if (parameter.at("/in").asString().equals("path")) {
                path = path.replace("{" + name + "}", encoded(simple(schema, random)));
            } else {
                int times = random.nextInt(10) == 0 ? 2 : random.nextInt(8) == 0 ? 0 : 1;
                for (int i = 0; i < times; i++) {
                    query.append(query.isEmpty() ? '?' : '&')
                            .append(name)
                            .append('=')
                            .append(encoded(simple(schema, random)));
                }
            }
        }
        return path + query;
    }

    private String simple(JsonNode schema, Random random) {
        if (random.nextInt(8) == 0) {
            return List.of("", "ÿ", "-1", "null", "\u0000", "a".repeat(3000), "'; drop table client; --", "…")
                    .get(random.nextInt(8));
        }
        JsonNode value = value(schema.has("items") ? resolve(schema.at("/items")) : schema, random, 0);
        return value.isString() ? value.asString() : value.toString();
    }

    private byte[] body(Operation operation, Random random) {
        JsonNode content = operation.description().at("/requestBody/content");
        if (content.isMissingNode() || content.has("application/octet-stream")) {
            byte[] bytes = new byte[random.nextInt(200)];
            random.nextBytes(bytes);
            return content.isMissingNode() ? new byte[0] : bytes;
        }
        JsonNode made = value(resolve(content.at("/application~1json/schema")), random, 0);
        String text = made.toString();
        return switch (random.nextInt(12)) {
            case 0 -> text.substring(0, random.nextInt(text.length() + 1)).getBytes(StandardCharsets.UTF_8);
            case 1 -> ("[".repeat(400) + text + "]".repeat(400)).getBytes(StandardCharsets.UTF_8);
            case 2 -> text.getBytes(StandardCharsets.UTF_16);
            case 3 -> new byte[0];
            default -> text.getBytes(StandardCharsets.UTF_8);
        };
    }

    private JsonNode value(JsonNode schema, Random random, int depth) {
        JsonNodeFactory f = JsonNodeFactory.instance;
        if (random.nextInt(25) == 0) {
            return wrong(random);
        }
        if (schema.has("enum")) {
            JsonNode all = schema.at("/enum");
            return all.get(random.nextInt(all.size()));
        }
        String type = schema.at("/type").isArray()
                ? schema.at("/type").get(0).asString()
                : schema.at("/type").asString("object");
        return switch (type) {
            case "integer" -> f.numberNode(random.nextInt(12) - 1);
            case "number" -> f.numberNode(random.nextInt(1000) / 10.0);
            case "boolean" -> f.booleanNode(random.nextBoolean());
            case "array" -> {
                ArrayNode array = f.arrayNode();
                for (int i = random.nextInt(3); i > 0 && depth < DEEPEST; i--) {
                    array.add(value(resolve(schema.at("/items")), random, depth + 1));
                }
                yield array;
            }
            case "string" -> f.stringNode(text(schema.at("/format").asString(""), random));
            default -> {
                ObjectNode object = f.objectNode();
                schema.at("/properties").properties().forEach(p -> {
                    if (random.nextInt(30) != 0 && depth < DEEPEST) {
                        object.set(p.getKey(), value(resolve(p.getValue()), random, depth + 1));
                    }
                });
                if (random.nextInt(30) == 0) {
                    object.put("nobodyKnows", CLIENTS_WORD);
                }
                yield object;
            }
        };
    }

    private String text(String format, Random random) {
        return switch (format) {
            case "uuid" -> random.nextInt(4) == 0 ? UUID.randomUUID().toString() : ids.get(random.nextInt(ids.size()));
            case "date" -> "2026-%02d-%02d".formatted(1 + random.nextInt(13), 1 + random.nextInt(31));
            case "date-time" -> "2026-11-%02dT10:%02d:00".formatted(1 + random.nextInt(30), random.nextInt(70));
            default ->
                switch (random.nextInt(6)) {
                    case 0 -> "";
                    case 1 -> CLIENTS_WORD;
                    case 2 -> "Müller-Ωμέγα 海 \uD83E\uDDF4";
                    case 3 -> "x".repeat(random.nextInt(400));
                    default -> NAMES.get(random.nextInt(NAMES.size()));
                };
        };
    }

    private static JsonNode wrong(Random random) {
        JsonNodeFactory f = JsonNodeFactory.instance;
        return switch (random.nextInt(8)) {
            case 0 -> f.nullNode();
            case 1 -> f.numberNode(Long.MAX_VALUE);
            case 2 -> f.numberNode(-1e300);
            case 3 -> f.stringNode(CLIENTS_WORD + "\u0000\u202E");
            case 4 -> f.arrayNode().add(f.nullNode());
            case 5 -> f.objectNode().set("a", f.objectNode().putNull("b"));
            case 6 -> f.stringNode("y".repeat(30_000));
            default -> f.booleanNode(true);
        };
    }

    private JsonNode resolve(JsonNode schema) {
        String reference = schema.at("/$ref").asString("");
        return reference.isEmpty()
                ? schema
                : api.at("/components/schemas/" + reference.substring(reference.lastIndexOf('/') + 1));
    }

    private static String strange(Random random) {
        return List.of("text/plain", "application/xml", "application/json;charset=utf-16", "multipart/form-data", "a/b")
                .get(random.nextInt(5));
    }

    private static String contentType(Operation operation) {
        return operation.description().at("/requestBody/content").has("application/octet-stream")
                ? "application/octet-stream"
                : "application/json";
    }

    private static String encoded(String text) {
        String encoded = URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
        return encoded.isEmpty() ? "%20" : encoded;
    }

    private static String shortly(String text) {
        return text.length() <= 300 ? text : text.substring(0, 300) + "…";
    }

    private Answered ask(String method, String path, byte[] body, String type)
            throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
                .header("content-type", type)
                .method(method, HttpRequest.BodyPublishers.ofByteArray(body))
                .build();
        HttpResponse<String> answer;
        try {
            answer = plain.send(request, HttpResponse.BodyHandlers.ofString());
        } catch (IOException closed) {
            // the server may close a line that it has kept open at the moment it is used again; a request that it
            // cannot bear
            // fails a second time, too
            answer = plain.send(request, HttpResponse.BodyHandlers.ofString());
        }
        return new Answered(
                answer.statusCode(),
                answer.body(),
                answer.headers().firstValue("content-type").orElse(""));
    }

    private String bytes(String request) throws IOException {
        try (Socket socket = new Socket("localhost", port)) {
            OutputStream out = socket.getOutputStream();
            try {
                out.write(request.getBytes(StandardCharsets.ISO_8859_1));
                out.flush();
            } catch (IOException refusedEarly) {
                // what was answered by then is read
            }
            InputStream in = socket.getInputStream();
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}

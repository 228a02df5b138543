package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Clients, shelves, visits and plans over real HTTP and a real database. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"outfell.demo=true", "spring.datasource.url=jdbc:h2:mem:visits;DB_CLOSE_DELAY=-1"})
class VisitApiTest {
    private static final JsonMapper JSON = new JsonMapper();
    private final HttpClient http = HttpClient.newHttpClient();

    @LocalServerPort
    int port;

    record Answer(int status, JsonNode body) {}

    @Test
    void the_demo_practice_has_clients_who_differ_and_a_full_shelf() throws Exception {
        Answer desk = get("/api/desk");
        assertThat(desk.body().at("/clients").size()).isGreaterThanOrEqualTo(6);
        assertThat(desk.body()
                        .at("/clients")
                        .valueStream()
                        .map(c -> c.at("/skin").asString())
                        .distinct()
                        .count())
                .isGreaterThan(4);
        assertThat(get("/api/products").body().size()).isGreaterThanOrEqualTo(40);
    }

    @Test
    void a_saved_visit_reads_the_same_and_the_second_window_loses_nothing() throws Exception {
        String visit = newVisit("Kit Marrow");
        ObjectNode mine = document(visit);
        ((ObjectNode) mine.at("/intake")).put("note", "two\nlines").put("morningMinutes", 9);
        mine.withArray("/reading/grades")
                .addObject()
                .put("zone", "NOSE")
                .put("sign", "SHINE")
                .put("grade", 3)
                .put("how", "SEEN");
        Answer saved = put("/api/visits/" + visit, mine);
        assertThat(saved.status()).isEqualTo(200);
        assertThat(saved.body().at("/version").asInt()).isEqualTo(1);
        JsonNode again = get("/api/visits/" + visit).body();
        assertThat(again.at("/intake/note").asString()).isEqualTo("two\nlines");
        assertThat(again.at("/reading")).isEqualTo(mine.at("/reading"));

        ObjectNode second = mine.deepCopy();
        ((ObjectNode) second.at("/intake")).put("note", "from the other window");
        Answer clash = put("/api/visits/" + visit, second);
        assertThat(clash.status()).isEqualTo(409);
        assertThat(clash.body().at("/code").asString()).isEqualTo("clash");
        assertThat(clash.body().at("/theirs/intake/note").asString()).isEqualTo("two\nlines");
        second.put("version", clash.body().at("/theirs/version").asInt());
        assertThat(put("/api/visits/" + visit, second).status()).isEqualTo(200);
        assertThat(get("/api/visits/" + visit).body().at("/intake/note").asString())
                .isEqualTo("from the other window");
    }

    @Test
    void a_wrong_field_changes_nothing() throws Exception {
        String visit = newVisit("Pim Oster");
        ObjectNode wrong = document(visit);
        ((ObjectNode) wrong.at("/intake")).put("morningMinutes", 999);
        Answer refused = put("/api/visits/" + visit, wrong);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.body().at("/errors/0/pointer").asString()).isEqualTo("/intake/morningMinutes");
        assertThat(get("/api/visits/" + visit).body().at("/version").asInt()).isZero();
    }

    @Test
    void a_label_goes_on_the_shelf_and_into_the_plan() throws Exception {
        String visit = newVisit("Una Fleet");
        String client = get("/api/visits/" + visit).body().at("/client").asString();
        Answer shelf = post("/api/clients/" + client + "/shelf/labels", """
                {"product": {"name": "Gel wash from the ferry kiosk", "maker": "", "size": 150, "unit": "ml", "price": 0,
                 "label": "Aqua/Water, Coco-Glucoside,\\nGlycerin, Panthenol (2 %), Unheard Of Extract. May contain: CI 77491",
                 "kind": null, "texture": null, "prescription": false}, "weeks": 3, "nights": []}""");
        assertThat(shelf.status()).isEqualTo(200);
        assertThat(shelf.body().at("/0/product/kind").asString()).isEqualTo("WASH");
        assertThat(shelf.body().at("/0/product/unknown/0").asString()).isEqualTo("Unheard Of Extract");
        JsonNode plan = get("/api/visits/" + visit + "/plan?month=MAY").body();
        String id = shelf.body().at("/0/product/id").asString();
        assertThat(plan.at("/regimen/evening/steps")
                        .valueStream()
                        .map(s -> s.at("/product").asString()))
                .contains(id);
        Answer off = delete(
                "/api/clients/" + client + "/shelf/" + shelf.body().at("/0/id").asString());
        assertThat(off.body()).isEmpty();
        assertThat(delete("/api/clients/" + client + "/shelf/" + java.util.UUID.randomUUID())
                        .status())
                .isEqualTo(404);
    }

    @Test
    void a_prescription_needs_its_nights() throws Exception {
        String client = get("/api/visits/" + newVisit("Ode Sallow"))
                .body()
                .at("/client")
                .asString();
        Answer refused = post("/api/clients/" + client + "/shelf/labels", """
                {"product": {"name": "Tretinoin cream", "maker": "", "size": 0, "unit": "g", "price": 0, "label": "Tretinoin 0.05 %",
                 "kind": null, "texture": null, "prescription": true}, "weeks": 0, "nights": []}""");
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.body().at("/errors/0/pointer").asString()).isEqualTo("/nights");
    }

    @Test
    void what_a_rule_forbids_is_refused_by_hand_with_the_reason() throws Exception {
        String ines = lastVisit("Ines Varro");
        Answer refused = post(
                "/api/visits/" + ines + "/choices/check",
                "{\"part\": \"EVENING\", \"product\": \"retinal-cream-005\"}");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body().at("/detail").asString()).contains("Retinal").contains("planning to birth");
        assertThat(post(
                                "/api/visits/" + ines + "/choices/check",
                                "{\"part\": \"EVENING\", \"product\": \"serum-soothe\"}")
                        .status())
                .isEqualTo(204);
        assertThat(post("/api/visits/" + ines + "/choices/check", "{\"part\": \"EVENING\", \"product\": \"nothing\"}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void a_kept_plan_stays_and_the_next_gets_the_next_number() throws Exception {
        String visit = lastVisit("Tobit Harl");
        Answer first = post("/api/visits/" + visit + "/plans", "");
        assertThat(first.status()).isEqualTo(201);
        Answer second = post("/api/visits/" + visit + "/plans", "");
        assertThat(second.body().at("/number").asInt())
                .isEqualTo(first.body().at("/number").asInt() + 1);
        assertThat(get("/api/visits/" + visit + "/plans").body().size()).isEqualTo(2);
    }

    @Test
    void a_new_visit_carries_over_what_was_asked_and_reads_the_face_anew() throws Exception {
        String client = get("/api/visits/" + lastVisit("Jorun Pell"))
                .body()
                .at("/client")
                .asString();
        JsonNode begun = post("/api/clients/" + client + "/visits", "").body();
        assertThat(begun.at("/intake/morningMinutes").asInt()).isEqualTo(10);
        assertThat(begun.at("/reading/grades")).isEmpty();
        assertThat(begun.at("/intake/note").asString()).isEmpty();
    }

    @Test
    void a_client_without_a_name_and_a_visit_that_is_not_are_said_plainly() throws Exception {
        Answer nameless = post("/api/clients", "{\"name\": \" \", \"trade\": \"\", \"nextVisit\": null}");
        assertThat(nameless.status()).isEqualTo(400);
        assertThat(nameless.body().at("/errors/0/pointer").asString()).isEqualTo("/name");
        assertThat(get("/api/visits/" + java.util.UUID.randomUUID()).status()).isEqualTo(404);
        assertThat(get("/api/visits/no-id").status()).isEqualTo(400);
        assertThat(get("/api/visits/" + lastVisit("Tobit Harl") + "/plan?month=SMARCH")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void any_address_that_is_no_file_is_the_one_page() throws Exception {
        assertThat(raw("/visits/x/read").body()).contains("id=\"root\"");
        assertThat(raw("/api/nothing").statusCode()).isEqualTo(404);
        assertThat(raw("/assets/nothing.js").statusCode()).isEqualTo(404);
    }

    private String newVisit(String name) throws Exception {
        Answer client =
                post("/api/clients", "{\"name\": \"%s\", \"trade\": \"rigger\", \"nextVisit\": null}".formatted(name));
        assertThat(client.status()).isEqualTo(201);
        return post("/api/clients/" + client.body().at("/id").asString() + "/visits", "")
                .body()
                .at("/id")
                .asString();
    }

    private String lastVisit(String name) throws Exception {
        return get("/api/desk")
                .body()
                .at("/clients")
                .valueStream()
                .filter(c -> c.at("/name").asString().equals(name))
                .map(c -> c.at("/lastVisit").asString())
                .findFirst()
                .orElseThrow();
    }

    private ObjectNode document(String visit) throws Exception {
        ObjectNode document = (ObjectNode) get("/api/visits/" + visit).body();
        document.remove(java.util.List.of("id", "client", "date"));
        return document;
    }

    private Answer get(String path) throws IOException, InterruptedException {
        return send(request(path).GET());
    }

    private Answer post(String path, String body) throws IOException, InterruptedException {
        return send(request(path).POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    private Answer put(String path, JsonNode body) throws IOException, InterruptedException {
        return send(request(path).PUT(HttpRequest.BodyPublishers.ofString(body.toString())));
    }

    private Answer delete(String path) throws IOException, InterruptedException {
        return send(request(path).DELETE());
    }

    private HttpResponse<String> raw(String path) throws IOException, InterruptedException {
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

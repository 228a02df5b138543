package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.test.context.SpringBootTest;
import tools.jackson.databind.JsonNode;

/** The catalogue and shelves out to files, in from files, and back again. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"outfell.demo=true", "outfell.memory=files"})
class FileApiTest extends OverHttp {
    private static final String HEAD = "name,maker,size,unit,price,ingredients\n";

    @ParameterizedTest
    @ValueSource(strings = {"CSV", "SEMICOLON", "JSON"})
    void what_goes_out_comes_in_as_the_same(String form) throws Exception {
        JsonNode file = settled(choose("CATALOGUE", export("what=CATALOGUE&form=" + form)));
        assertThat(file.at("/stops").asInt()).isZero();
        assertThat(file.at("/changes")).isEmpty();
        assertThat(file.at("/same").asInt()).isGreaterThanOrEqualTo(59);
        assertThat(file.at("/sentence").asString()).contains("nothing to take in");
    }

    @ParameterizedTest
    @ValueSource(strings = {"CSV", "SEMICOLON", "JSON"})
    void a_shelf_goes_to_another_client_and_back(String form) throws Exception {
        String from = client("Anselm Roake");
        String to = get("/api/visits/" + newVisit("Heir " + form))
                .body()
                .at("/client")
                .asString();
        JsonNode file = settled(choose("SHELF&client=" + to, export("what=SHELF&client=" + from + "&form=" + form)));
        assertThat(file.at("/added").asInt()).isEqualTo(4);
        take(file);
        JsonNode there = get("/api/clients/" + from + "/shelf").body();
        JsonNode here = get("/api/clients/" + to + "/shelf").body();
        assertThat(here).hasSameSizeAs(there);
        for (int i = 0; i < here.size(); i++) {
            assertThat(here.at("/" + i + "/product/id")).isEqualTo(there.at("/" + i + "/product/id"));
            assertThat(here.at("/" + i + "/use")).isEqualTo(there.at("/" + i + "/use"));
            assertThat(here.at("/" + i + "/nights")).isEqualTo(there.at("/" + i + "/nights"));
        }
        assertThat(undo(file).status()).isEqualTo(200);
        assertThat(get("/api/clients/" + to + "/shelf").body()).isEmpty();
    }

    @Test
    void new_and_changed_products_are_shown_taken_and_taken_back() throws Exception {
        String before = export("what=CATALOGUE&form=CSV");
        JsonNode file = settled(choose(
                "CATALOGUE",
                HEAD
                        + "Kelp toner,Cold Bell,150,ml,11.5,\"Aqua, Glycerin, Laminaria Digitata Extract, Seasprite Juice\"\n"
                        + "\"Ceramide cream\",Slipway Works,50,ml,26,\"Aqua, Glycerin\"\n"));
        assertThat(file.at("/state").asString()).isEqualTo("READY");
        assertThat(file.at("/added").asInt()).isEqualTo(1);
        assertThat(file.at("/changed").asInt()).isEqualTo(1);
        assertThat(file.at("/changes/1/what").valueStream().map(JsonNode::asString))
                .containsExactly("price", "formula");
        assertThat(codes(file)).contains(entry("UNKNOWN_NAMES", 1L));
        assertThat(export("what=CATALOGUE&form=CSV")).isEqualTo(before);

        take(file);
        assertThat(get("/api/products/search?text=kelp").body().at("/total").asInt())
                .isEqualTo(1);
        String changed = file.at("/changes/1/id").asString();
        assertThat(get("/api/products/" + changed).body().at("/formula").asInt())
                .isEqualTo(2);
        assertThat(undo(file).body().at("/0/undoneBy").asString()).isEqualTo("Signe");
        assertThat(export("what=CATALOGUE&form=CSV")).isEqualTo(before);
        assertThat(get("/api/products/" + changed).body().at("/changes")).isEmpty();
        assertThat(undo(file).body().at("/code").asString()).isEqualTo("undone");
    }

    @Test
    void what_was_used_since_keeps_a_file_from_being_taken_back() throws Exception {
        JsonNode file = settled(choose("CATALOGUE", HEAD + "Driftwood balm,Cold Bell,30,g,9,Petrolatum\n"));
        take(file);
        String client = client("Tobit Harl");
        JsonNode shelf = post(
                        "/api/clients/" + client + "/shelf/products",
                        "{\"product\": \"driftwood-balm\", \"weeks\": 1, \"nights\": []}")
                .body();
        Answer refused = undo(file);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body().at("/detail").asString()).contains("Driftwood balm was changed since, or used");
        delete("/api/clients/" + client + "/shelf/"
                + shelf.at("/" + (shelf.size() - 1) + "/id").asString());
        assertThat(undo(file).status()).isEqualTo(200);
    }

    @Test
    void every_fault_is_said_at_its_line_and_nothing_is_stored() throws Exception {
        String before = export("what=CATALOGUE&form=CSV");
        JsonNode file = settled(choose(
                "CATALOGUE",
                "id;name;maker;size;unit;price;kind;texture;prescription;colour;ingredients\n"
                        + ";Good cream;Cold Bell;50;ml;12,50;;;;blue;Aqua\n"
                        + "\n"
                        + ";;Cold Bell;50;ml;12;;;;;Aqua\n"
                        + ";Dear cream;Cold Bell;50;ml;twelve;;;;;Aqua\n"
                        + ";Odd cream;Cold Bell;50;pints;1;;;;;Aqua\n"
                        + ";Potion;Cold Bell;50;ml;1;potion;9;perhaps;;Aqua\n"
                        + "No Id!;Other;Cold Bell;50;ml;1;;;;;Aqua\n"
                        + ";Short line;Cold Bell\n"
                        + ";Good cream;cold bell;50;ml;12;;;;;\"Aqua,\nGlycerin\"\n"
                        + ";Late cream;Cold Bell;-3;ml;1;;;;;Aqua\n"));
        assertThat(file.at("/state").asString()).isEqualTo("REFUSED");
        assertThat(places(file))
                .containsExactlyInAnyOrder(
                        "1 colour UNKNOWN_COLUMN",
                        "4 name WRONG_VALUE",
                        "5 price WRONG_NUMBER",
                        "6 unit WRONG_VALUE",
                        "7 kind WRONG_VALUE",
                        "7 prescription WRONG_VALUE",
                        "7 texture WRONG_VALUE",
                        "8 id WRONG_VALUE",
                        "9  WRONG_CELL_COUNT",
                        "10 name TWICE_IN_FILE",
                        "12 size WRONG_VALUE");
        assertThat(file.at("/warnings").asInt()).isEqualTo(1);
        Answer taken = post("/api/files/" + file.at("/id").asString() + "/taken", "{\"who\": \"Signe\"}");
        assertThat(taken.status()).isEqualTo(422);
        assertThat(export("what=CATALOGUE&form=CSV")).isEqualTo(before);
    }

    @Test
    void files_that_are_no_files_are_said_for_what_they_are() throws Exception {
        assertThat(places(settled(choose("CATALOGUE", "")))).containsExactly("0  EMPTY_FILE");
        assertThat(places(settled(choose("CATALOGUE", "name\n")))).containsExactly("0  EMPTY_FILE");
        assertThat(places(settled(choose("CATALOGUE", "price,size\n1,2\n")))).containsExactly("1 name MISSING_COLUMN");
        assertThat(places(settled(choose("CATALOGUE", "name,maker\nA,B\nC,\"D\n"))))
                .contains("3  BROKEN_CSV");
        assertThat(places(settled(choose("CATALOGUE", "{\"outfell\": \"catalogue\",\n \"version\": 1,\n oops}"))))
                .containsExactly("3  BROKEN_JSON");
        assertThat(
                        places(
                                settled(
                                        choose(
                                                "CATALOGUE",
                                                "{\"outfell\": \"shelf\", \"version\": 1, \"products\": [{\"name\": \"A\"}, {\"name\": \"B\", \"size\": \"big\"}]}"))))
                .containsExactly("0 outfell WRONG_SHAPE", "2 size WRONG_SHAPE");
        byte[] latin = "name,maker\nCrème,B\n".getBytes(StandardCharsets.ISO_8859_1);
        assertThat(places(settled(choose("CATALOGUE", latin)))).contains("0  CODE_PAGE");
        assertThat(choose("SHELF", "name\nA\n").status()).isEqualTo(404);
        assertThat(raw("/api/files/export?what=SHELF&form=CSV").statusCode()).isEqualTo(400);
        assertThat(raw("/api/files/export?what=SHELF&form=CSV&client=" + java.util.UUID.randomUUID())
                        .statusCode())
                .isEqualTo(404);
        assertThat(get("/api/files/" + java.util.UUID.randomUUID())
                        .body()
                        .at("/detail")
                        .asString())
                .contains("choose it again");
    }

    @Test
    void what_a_heading_means_is_said_once_and_remembered() throws Exception {
        JsonNode file = settled(choose("CATALOGUE", "Ware;Regal\nSlipway balm;4\n"));
        assertThat(file.at("/state").asString()).isEqualTo("REFUSED");
        assertThat(file.at("/headings/0/printed").asString()).isEqualTo("Ware");
        assertThat(file.at("/headings/0/column").asString()).isEmpty();
        String id = file.at("/id").asString();
        Answer wrong = put(
                "/api/files/" + id + "/headings",
                JSON.readTree("{\"headings\": {\"Ware\": \"colour\"}, \"who\": \"Signe\"}"));
        assertThat(wrong.status()).isEqualTo(400);
        JsonNode said = settled(put(
                "/api/files/" + id + "/headings",
                JSON.readTree("{\"headings\": {\"Ware\": \"name\", \"Regal\": \"\"}, \"who\": \"Signe\"}")));
        assertThat(said.at("/state").asString()).isEqualTo("READY");
        assertThat(said.at("/changes/0/name").asString()).isEqualTo("Slipway balm");
        JsonNode next = settled(choose("CATALOGUE", "WARE;regal\nSlipway milk;4\n"));
        assertThat(next.at("/state").asString()).isEqualTo("READY");
        assertThat(next.at("/remarks").valueStream().map(r -> r.at("/code").asString()))
                .doesNotContain("UNKNOWN_COLUMN");
    }

    @Test
    void a_file_under_way_can_be_stopped_and_leaves_nothing() throws Exception {
        StringBuilder many = new StringBuilder("name,ingredients\n");
        for (int i = 0; i < 20_000; i++) {
            many.append("Stopped cream ")
                    .append(i)
                    .append(",\"Aqua, Glycerin, Unheard Of ")
                    .append(i)
                    .append("\"\n");
        }
        Answer chosen = choose("CATALOGUE", many.toString());
        String id = chosen.body().at("/id").asString();
        post("/api/files/" + id + "/stopped", "{}");
        JsonNode stopped = settled(chosen);
        assertThat(stopped.at("/state").asString()).isEqualTo("STOPPED");
        assertThat(stopped.at("/sentence").asString()).contains("nothing was stored");
        assertThat(get("/api/products/search?text=Stopped").body().at("/total").asInt())
                .isZero();
    }

    @Test
    void a_byte_order_mark_and_columns_left_out_lose_nothing() throws Exception {
        JsonNode file = settled(choose("CATALOGUE", "\uFEFFName,Maker,Price\r\nCeramide cream,Slipway Works,30\r\n"));
        assertThat(file.at("/changes/0/what").valueStream().map(JsonNode::asString))
                .containsExactly("price");
        JsonNode before =
                get("/api/products/" + file.at("/changes/0/id").asString()).body();
        take(file);
        JsonNode after =
                get("/api/products/" + file.at("/changes/0/id").asString()).body();
        assertThat(after.at("/label")).isEqualTo(before.at("/label"));
        assertThat(after.at("/product/price").asDouble()).isEqualTo(30);
        undo(file);
    }

    @Test
    void a_large_file_says_how_far_it_is() throws Exception {
        String rows = IntStream.range(0, 3000)
                .mapToObj(i -> "Barrel cream %d,Cold Bell,50,ml,%d.25,\"Aqua, Glycerin, Panthenol %d %%\"\n"
                        .formatted(i, i % 90, 1 + i % 5))
                .collect(Collectors.joining());
        JsonNode file = settled(choose("CATALOGUE", HEAD + rows));
        assertThat(file.at("/added").asInt()).isEqualTo(3000);
        assertThat(file.at("/done").asInt()).isEqualTo(3000);
        assertThat(file.at("/all").asInt()).isEqualTo(3000);
        assertThat(file.at("/changes").size()).isEqualTo(100);
        take(file);
        assertThat(get("/api/products/search?text=barrel").body().at("/total").asInt())
                .isEqualTo(3000);
        assertThat(undo(file).status()).isEqualTo(200);
        assertThat(get("/api/products/search?text=barrel").body().at("/total").asInt())
                .isZero();
    }

    @Test
    void a_shelf_compared_with_another_shelf_is_compared_anew() throws Exception {
        String client = client("Tobit Harl");
        JsonNode file = settled(choose("SHELF&client=" + client, "name,weeks\nHarbour soap,3\n"));
        assertThat(file.at("/state").asString()).isEqualTo("READY");
        post(
                "/api/clients/" + client + "/shelf/labels",
                "{\"product\": {\"name\": \"Harbour soap\", \"maker\": \"\", \"size\": 0, \"unit\": \"ml\", \"price\": 0, \"label\": \"\", \"kind\": null, \"texture\": null, \"prescription\": false}, \"weeks\": 3, \"nights\": []}");
        post("/api/files/" + file.at("/id").asString() + "/taken", "{\"who\": \"Signe\"}");
        JsonNode now = settled(get("/api/files/" + file.at("/id").asString()));
        assertThat(now.at("/sentence").asString()).startsWith("What stands here was changed while you looked");
    }

    private Answer choose(String what, String text) throws Exception {
        return choose(what, text.getBytes(StandardCharsets.UTF_8));
    }

    private Answer choose(String what, byte[] bytes) throws Exception {
        HttpResponse<String> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(
                                        "http://localhost:%d/api/files?what=%s&name=list.csv".formatted(port, what)))
                                .header("content-type", "application/octet-stream")
                                .POST(HttpRequest.BodyPublishers.ofByteArray(bytes))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        return new Answer(answer.statusCode(), JSON.readTree(answer.body()));
    }

    /** Asks until the file is no longer on its way. */
    private JsonNode settled(Answer first) throws Exception {
        JsonNode file = first.body();
        while (List.of("READING", "TAKING").contains(file.at("/state").asString())) {
            Thread.sleep(20);
            file = get("/api/files/" + file.at("/id").asString()).body();
        }
        return file;
    }

    private void take(JsonNode file) throws Exception {
        JsonNode taken = settled(post("/api/files/" + file.at("/id").asString() + "/taken", "{\"who\": \"Signe\"}"));
        assertThat(taken.at("/state").asString()).isEqualTo("TAKEN");
    }

    private Answer undo(JsonNode file) throws Exception {
        return post("/api/files/" + file.at("/id").asString() + "/undone", "{\"who\": \"Signe\"}");
    }

    private String export(String query) throws Exception {
        return raw("/api/files/export?" + query).body();
    }

    private String client(String name) throws Exception {
        return get("/api/visits/" + lastVisit(name)).body().at("/client").asString();
    }

    private static Map<String, Long> codes(JsonNode file) {
        return file.at("/remarks")
                .valueStream()
                .collect(Collectors.groupingBy(r -> r.at("/code").asString(), Collectors.counting()));
    }

    private static List<String> places(JsonNode file) {
        return file.at("/remarks")
                .valueStream()
                .map(r -> "%d %s %s"
                        .formatted(
                                r.at("/line").asInt(),
                                r.at("/column").asString(),
                                r.at("/code").asString()))
                .toList();
    }
}

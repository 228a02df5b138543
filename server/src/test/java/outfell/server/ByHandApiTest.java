package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.test.context.TestPropertySource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Steps changed by hand, methods of the house and the yardstick, over HTTP. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@TestPropertySource(properties = {"outfell.memory=by-hand", "outfell.demo=true", "outfell.probe.port=0"})
class ByHandApiTest extends OverHttp {
    private static final String STEP = """
            {"part": "%1$s", "product": "%2$s", "optional": true, "on": null, "places": ["CHEEKS", "NECK"], "nights": ["MONDAY", "FRIDAY"],
             "when": null, "secondCoat": true, "words": "press, do not rub", "move": {"after": %3$s, "before": null, "why": "so she bears it"},
             "overrule": null, "then": [{"again": %3$s, "alone": null}, {"again": null, "alone": "residue"}]}""";

    @Test
    void a_step_changed_by_hand_comes_back_as_it_was_sent_and_stands_in_the_plan() throws Exception {
        String visit = lastVisit("Anselm Roake");
        JsonNode evening = plan(visit).at("/regimen/evening/steps");
        String toner = productOf(evening, "TONER");
        String cream = productOf(evening, "MOISTURISER");
        ObjectNode d = document(visit);
        d.withArray("/steps").add(JSON.readTree(STEP.formatted("EVENING", toner, "\"" + cream + "\"")));
        assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(200);
        assertThat(get("/api/visits/" + visit).body().at("/steps")).isEqualTo(d.at("/steps"));

        JsonNode step = stepOf(plan(visit).at("/regimen/evening/steps"), toner);
        assertThat(step.at("/part").asString()).isEqualTo("cheeks and neck");
        assertThat(step.at("/amount/places")
                        .valueStream()
                        .map(p -> p.at("/place").asString()))
                .containsExactly("CHEEKS", "NECK");
        assertThat(step.at("/nights")).hasSize(2);
        assertThat(step.at("/hand/words").asString()).isEqualTo("press, do not rub");
        assertThat(step.at("/hand/kept").asBoolean()).isTrue();
        assertThat(step.at("/hand/movedBecause").asString()).isEqualTo("so she bears it");
        int creams = stepOf(plan(visit).at("/regimen/evening/steps"), cream)
                .at("/number")
                .asInt();
        assertThat(step.at("/then").valueStream().map(a -> a.at("/told").asString()))
                .containsExactly("then %d again".formatted(creams), "then look for residue");
        assertThat(step.at("/number").asInt())
                .isGreaterThan(stepOf(plan(visit).at("/regimen/evening/steps"), cream)
                        .at("/number")
                        .asInt());

        JsonNode compared = get("/api/visits/" + visit + "/plan/computed").body();
        assertThat(compared.at("/changes").valueStream().map(c -> c.at("/what").asString()))
                .contains("MOVED");
        assertThat(compared.at("/because/sentence").asString()).isNotBlank();
        JsonNode ladders = get("/api/visits/" + visit + "/plan/ladders").body();
        assertThat(ladders.valueStream().map(l -> l.at("/limit").asString()))
                .containsExactly("MONEY", "MORNING_MINUTES", "EVENING_MINUTES", "STEPS");
        assertThat(ladders.at("/1/rungs").valueStream().map(r -> r.at("/where").asString()))
                .contains("STANDS");
    }

    @Test
    void a_step_kept_to_one_place_as_files_had_it_once_is_kept_to_it_still() throws Exception {
        String visit = newVisit("Anselm Roake");
        ObjectNode d = document(visit);
        String cream = productOf(plan(visit).at("/regimen/evening/steps"), "MOISTURISER");
        d.withArray("/steps")
                .addObject()
                .put("part", "EVENING")
                .put("product", cream)
                .put("optional", false)
                .put("on", "CHEEKS")
                .put("secondCoat", false)
                .put("words", "")
                .putArray("nights");
        assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(200);
        assertThat(document(visit).at("/steps/0/on").isNull()).isTrue();
        assertThat(document(visit).at("/steps/0/places").valueStream().map(p -> p.asString()))
                .containsExactly("CHEEKS");
    }

    @Test
    void a_step_without_a_product_that_nobody_knows_is_refused_with_those_there_are() throws Exception {
        String visit = newVisit("Anselm Roake");
        ObjectNode d = document(visit);
        String toner = productOf(plan(visit).at("/regimen/evening/steps"), "MOISTURISER");
        d.withArray("/steps")
                .add(JSON.readTree(STEP.formatted("EVENING", toner, "\"x\"").replace("residue", "broom")));
        Answer refused = put("/api/visits/" + visit, d);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.body().toString())
                .contains("There is no step without a product called broom; there are [hands, residue");
    }

    @Test
    void a_step_that_stands_twice_or_that_nobody_knows_is_refused_and_nothing_is_lost() throws Exception {
        String visit = newVisit("Isla Merrow");
        ObjectNode d = document(visit);
        String step = STEP.formatted("MORNING", "gel-wash-low-foam", "\"x\"");
        d.withArray("/steps").add(JSON.readTree(step)).add(JSON.readTree(step));
        Answer twice = put("/api/visits/" + visit, d);
        assertThat(twice.status()).isEqualTo(400);
        assertThat(twice.body().at("/errors/0/pointer").asString()).isEqualTo("/steps/1");
        assertThat(twice.body().at("/detail").asString()).contains("stands twice");
        d.set("steps", JSON.createArrayNode().add(JSON.readTree(STEP.formatted("MORNING", "nobody", "\"x\""))));
        assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(404);
        assertThat(get("/api/visits/" + visit).body().at("/version").asInt()).isZero();
    }

    @Test
    void a_preset_is_copied_changed_planned_by_and_withdrawn() throws Exception {
        ObjectNode form = copyOf("layered", "Skarrow way");
        ((ObjectNode) form.at("/settings")).put("toner-layers", "0");
        Answer against = post("/api/methods", form.toString());
        assertThat(against.status()).isEqualTo(400);
        assertThat(against.body().at("/errors/0/pointer").asString()).isEqualTo("/settings");
        assertThat(against.body().at("/errors/0/sentence").asString()).contains("An essence without a toner");

        ((ObjectNode) form.at("/settings")).put("essence", "no");
        Answer made = post("/api/methods", form.toString());
        assertThat(made.status()).isEqualTo(201);
        String id = made.body().at("/id").asString();
        assertThat(post("/api/methods", form.toString())
                        .body()
                        .at("/errors/0/sentence")
                        .asString())
                .isEqualTo("There is a method Skarrow way already.");

        String visit = lastVisit("Ines Varro");
        ObjectNode d = document(visit);
        d.put("method", id);
        assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(200);
        assertThat(plan(visit)
                        .at("/regimen/evening/steps")
                        .valueStream()
                        .map(s -> s.at("/kind").asString()))
                .doesNotContain("TONER", "ESSENCE");

        assertThat(put(
                                "/api/methods/" + id + "/offered",
                                JSON.readTree("{\"offered\": false, \"by\": \"Runa\", \"version\": 0}"))
                        .body()
                        .at("/offered")
                        .asBoolean())
                .isFalse();
        assertThat(plan(visit).at("/status").asString()).isEqualTo("PLANNED");
        assertThat(put("/api/methods/classic", form).body().at("/detail").asString())
                .isEqualTo("A preset stays as it is; copy it and change the copy.");
        ObjectNode changed = form.deepCopy().put("version", 1);
        ((ObjectNode) changed.at("/settings")).put("toner-layers", "2");
        assertThat(put("/api/methods/" + id, changed).status()).isEqualTo(200);
        assertThat(answer(id, "toner-layers")).isEqualTo("2");
    }

    @Test
    void the_yardstick_is_set_in_words_and_every_plan_follows() throws Exception {
        Answer outside = put(
                "/api/practice/yardstick/owned", JSON.readTree("{\"value\": 999, \"by\": \"Runa\", \"version\": 0}"));
        assertThat(outside.status()).isEqualTo(400);
        assertThat(outside.body().at("/errors/0/sentence").asString()).contains("999 lies outside 0 to 50");
        assertThat(put(
                                "/api/practice/yardstick/none",
                                JSON.readTree("{\"value\": 1, \"by\": \"Runa\", \"version\": 0}"))
                        .status())
                .isEqualTo(400);

        String visit = lastVisit("Wilma Crake");
        JsonNode before = plan(visit).at("/regimen/morning/steps");
        Answer set = put(
                "/api/practice/yardstick/optional-step",
                JSON.readTree("{\"value\": 50, \"by\": \"Runa\", \"version\": 0}"));
        assertThat(set.status()).isEqualTo(200);
        assertThat(setting(set.body(), "optional-step").at("/changes/0/by").asString())
                .isEqualTo("Runa");
        assertThat(plan(visit).at("/regimen/morning/steps").size()).isLessThan(before.size());
        double shipped = setting(set.body(), "optional-step").at("/shipped").asDouble();
        put(
                "/api/practice/yardstick/optional-step",
                JSON.readTree("{\"value\": %s, \"by\": \"Runa\", \"version\": 1}".formatted(shipped)));
        assertThat(plan(visit).at("/regimen/morning/steps")).isEqualTo(before);
    }

    @Test
    void the_house_follows_another_school_and_back() throws Exception {
        JsonNode shipped = setting(get("/api/practice/schools").body(), "retinoid-pha");
        assertThat(shipped.at("/followsOther").asBoolean()).isFalse();
        assertThat(shipped.at("/by").isNull()).isTrue();
        JsonNode other = put(
                        "/api/practice/schools/retinoid-pha",
                        JSON.readTree("{\"other\": true, \"by\": \"Runa\", \"version\": 0}"))
                .body();
        assertThat(setting(other, "retinoid-pha").at("/followsOther").asBoolean())
                .isTrue();
        assertThat(setting(other, "retinoid-pha").at("/by").asString()).isEqualTo("Runa");
        put(
                "/api/practice/schools/retinoid-pha",
                JSON.readTree("{\"other\": false, \"by\": \"Runa\", \"version\": 1}"));
        assertThat(setting(get("/api/practice/schools").body(), "retinoid-pha")
                        .at("/followsOther")
                        .asBoolean())
                .isFalse();
        assertThat(put(
                                "/api/practice/schools/retinoid-scrub",
                                JSON.readTree("{\"other\": true, \"by\": \"Runa\", \"version\": 0}"))
                        .status())
                .isEqualTo(404);
    }

    private static JsonNode setting(JsonNode all, String id) {
        return all.valueStream()
                .filter(s -> s.at("/id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private ObjectNode copyOf(String method, String name) throws Exception {
        ObjectNode form = JSON.createObjectNode()
                .put("name", name)
                .put("note", "")
                .put("because", "")
                .put("copyOf", method)
                .put("by", "Runa")
                .put("version", 0);
        ObjectNode settings = form.putObject("settings");
        setting(get("/api/methods").body().at("/methods"), method)
                .at("/answers")
                .forEach(a -> settings.set(a.at("/id").asString(), a.at("/value")));
        return form;
    }

    private String answer(String method, String question) throws Exception {
        return setting(
                        setting(get("/api/methods").body().at("/methods"), method)
                                .at("/answers"),
                        question)
                .at("/value")
                .asString();
    }

    private JsonNode plan(String visit) throws Exception {
        String month = get("/api/visits/" + visit).body().at("/month").asString();
        return get("/api/visits/" + visit + "/plan?month=" + month).body();
    }

    private static String productOf(JsonNode steps, String kind) {
        return steps.valueStream()
                .filter(s -> s.at("/kind").asString().equals(kind))
                .map(s -> s.at("/product").asString())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_version_that_never_was_is_a_clash_and_no_fault() throws Exception {
        for (String path : List.of("schools/retinoid-pha", "yardstick/owned", "currency")) {
            Answer answer = put("/api/practice/" + path, (ObjectNode) JSON.readTree(
                    "{\"by\": \"Signe\", \"other\": false, \"value\": 6, \"code\": \"EUR\", \"version\": -1}"));
            assertThat(answer.status()).as(path).isBetween(400, 499);
        }
    }

    private static JsonNode stepOf(JsonNode steps, String product) {
        return steps.valueStream()
                .filter(s -> s.at("/product").asString().equals(product))
                .findFirst()
                .orElseThrow();
    }
}

package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** POST /api/plan against the published schemas. */
@SpringBootTest(
        properties = {
            "springdoc.default-produces-media-type=application/json",
            "springdoc.paths-to-match=/api/**",
            "outfell.memory=plan"
        })
@AutoConfigureMockMvc
class PlanApiTest {
    private static final Path FORMATS = Path.of("../docs/formats");
    private static final JsonMapper JSON = new JsonMapper();

    @Autowired
    MockMvcTester mvc;

    @ParameterizedTest
    @ValueSource(strings = {"oily-and-thirsty", "pregnant-with-marks", "house-method-and-palm-blend"})
    void the_examples_are_planned_and_the_answer_is_as_published(String example) throws IOException {
        MvcTestResult answer = post(Files.readString(FORMATS.resolve("examples/" + example + ".json")));
        assertThat(answer).hasStatusOk();
        var registry = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12);
        var schema = registry.getSchema(Files.readString(FORMATS.resolve("regimen.schema.json")), InputFormat.JSON);
        assertThat(schema.validate(body(answer), InputFormat.JSON)).isEmpty();
        JsonNode plan = JSON.readTree(body(answer));
        assertThat(plan.at("/status").asString()).isEqualTo("PLANNED");
        assertThat(plan.at("/regimen/morning/steps").size()).isGreaterThanOrEqualTo(3);
        assertThat(plan.at("/regimen/evening/steps/0/place/sentence").asString())
                .isNotBlank();
    }

    /** Read as a diff when a rule changes; -Doutfell.update=true writes it anew. */
    @ParameterizedTest
    @ValueSource(strings = {"oily-and-thirsty", "pregnant-with-marks"})
    void the_explained_regimen_is_the_one_that_was_read_and_agreed(String example) throws IOException {
        JsonNode plan = JSON.readTree(body(post(Files.readString(FORMATS.resolve("examples/" + example + ".json")))));
        StringBuilder text = new StringBuilder();
        text.append("skin: %s; water: %s; barrier: %s %s%n"
                .formatted(
                        plan.at("/verdict/type").asString(),
                        plan.at("/verdict/water").asString(),
                        plan.at("/verdict/barrier/state").asString().toLowerCase(java.util.Locale.ROOT),
                        plan.at("/verdict/barrier/index").asString()));
        plan.at("/verdict/concerns")
                .forEach(c -> text.append("concern: %s %s%n"
                        .formatted(
                                c.at("/name").asString(), c.at("/ranked/weight").asString())));
        for (String part : List.of("morning", "evening")) {
            JsonNode routine = plan.at("/regimen/" + part);
            text.append("%n%s, %s minutes%n"
                    .formatted(part, routine.at("/timeline/minutes").asString()));
            routine.at("/steps").forEach(step -> text.append(explained(step)));
        }
        plan.at("/regimen/shelf")
                .forEach(s -> text.append("%nshelf: %s %s. %s%n"
                        .formatted(
                                s.at("/name").asString(),
                                s.at("/fate").asString(),
                                s.at("/because/sentence").asString())));
        same(Path.of("src/test/resources/golden/" + example + ".txt"), text.toString());
    }

    private static String explained(JsonNode step) {
        StringBuilder text = new StringBuilder("%s %s: %s; %s; nights %d; wait %s s%n"
                .formatted(
                        step.at("/number").asString(),
                        step.at("/name").asString(),
                        step.at("/amount/words").asString(),
                        step.at("/technique").asString(),
                        step.at("/nights").size(),
                        step.at("/settle").asString()));
        text.append(
                "    here because: %s%n".formatted(step.at("/place/sentence").asString()));
        step.at("/purpose")
                .forEach(p -> text.append("    for: %s [%s, %s]%n"
                        .formatted(
                                p.at("/sentence").asString(),
                                p.at("/evidence").asString(),
                                p.at("/source").asString())));
        return text.toString();
    }

    @Test
    void the_label_of_an_owned_product_gives_it_a_computed_place() throws IOException {
        JsonNode plan = JSON.readTree(body(post(Files.readString(FORMATS.resolve("examples/oily-and-thirsty.json")))));
        assertThat(plan.at("/regimen/evening/steps/1/product").asString()).isEqualTo("own-gel");
        assertThat(plan.at("/regimen/evening/steps/1/kind").asString()).isEqualTo("WASH");
        assertThat(plan.at("/verdict/type").asString()).isEqualTo("oily");
        assertThat(plan.at("/verdict/dehydrated").asBoolean()).isTrue();
    }

    @Test
    void a_method_of_the_house_and_what_is_mixed_in_the_palm_travel_whole() throws IOException {
        String whole = Files.readString(FORMATS.resolve("examples/house-method-and-palm-blend.json"));
        JsonNode plan = JSON.readTree(body(post(whole)));
        assertThat(plan.at("/regimen/shelf")
                        .valueStream()
                        .map(f -> f.at("/name").asString()))
                .contains("Lotion with jojoba, in the palm");
        assertThat(plan.at("/regimen/evening/steps")
                        .valueStream()
                        .filter(s -> s.at("/kind").asString().equals("TONER"))
                        .map(s -> s.at("/amount/words").asString()))
                .as("in as many layers as the house has it")
                .allMatch(words -> words.endsWith("2 layers"))
                .isNotEmpty();
        assertThat(body(post(whole.replace("\"lotion-light\"", "\"lotion-gone\""))))
                .contains("/owned/")
                .contains("There is no product lotion-gone in the case before this mixture.");
        assertThat(body(post(whole.replace("\"after_toner\"", "\"in_the_bath\""))))
                .contains("/ownMethod/settings")
                .contains("is no answer; there are");
        assertThat(body(post(whole.replace("\"ropewalk\"", "\"layered\""))))
                .contains("A method called layered ships: give yours another id.");
    }

    @Test
    void a_banned_product_is_stopped_with_the_reason() throws IOException {
        JsonNode plan =
                JSON.readTree(body(post(Files.readString(FORMATS.resolve("examples/pregnant-with-marks.json")))));
        assertThat(plan.at("/regimen/shelf/0/fate").asString()).isEqualTo("STOP");
        assertThat(plan.at("/regimen/shelf/0/because/sentence").asString()).contains("Retinol");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/intake/morningMinutes | 900 | /intake/morningMinutes | 120 or less",
                "/intake/outdoorHours | -1 | /intake/outdoorHours | 0 or more",
                "/reading/grades/0/grade | 7 | /reading/grades/0/grade | 4 or less",
                "/reading/grades/0/grade | \"two\" | /reading/grades/0/grade | integer",
                "/reading/grades/0/zone | \"ELBOW\" | /reading/grades/0/zone | FOREHEAD",
                "/reading/conditions | {\"humidity\": 140, \"cleanser\": true} | /reading/conditions/humidity | 100 or less",
                "/intake/answers/0/asked | \"tomorrow\" | /intake/answers/0/asked | 2026-11-25",
                "/month | \"SMARCH\" | /month | JANUARY",
                "/intake/colour | \"blue\" | /intake/colour | ''"
            })
    void a_wrong_field_is_named_with_its_pointer_and_what_is_allowed(
            String at, String value, String pointer, String allowed) throws IOException {
        MvcTestResult answer = post(changed(at, value));
        assertThat(answer).hasStatus(400);
        JsonNode problem = JSON.readTree(body(answer));
        assertThat(problem.at("/code").asString()).isEqualTo("wrong-field");
        assertThat(problem.at("/errors").valueStream().map(e -> e.at("/pointer").asString()))
                .contains(pointer);
        assertThat(body(answer)).contains(allowed.equals("''") ? "not a field that is known" : allowed);
        assertThat(answer.getResponse().getContentType()).isEqualTo("application/problem+json");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/method | \"nobody\" | /method | classic",
                "/intake/site | \"atlantis\" | /intake/site | skarrow-harbour",
                "/intake/answers/0/question | \"moonlight\" | /intake/answers/0 | otherAllergies",
                "/intake/answers/0/on | \"2026-12-24\" | /intake/answers/0 | lies ahead",
                "/intake/answers/0/asked | \"2026-12-24\" | /intake/answers | after the visit",
                "/intake/birthYear | 2030 | /intake/birthYear | after the visit",
                "/reading/byHand | [{\"verdict\": \"WATER\", \"value\": \"WET\", \"who\": \"R\", \"why\": \"so\"}] | /reading/byHand | VERY_DEHYDRATED",
                "/reading/probe | [{\"quantity\": \"PH\", \"zone\": \"NOSE\", \"values\": [70], \"simulated\": false}] | /reading/probe/0 | outside",
                "/reading/grades/0/zone | \"LIPS\" | /reading/grades/0 | not read on",
                "/owned/0/prescription | true | /owned/0/nights | nights are needed"
            })
    void what_the_schema_cannot_say_is_said_by_the_core(String at, String value, String pointer, String sentence)
            throws IOException {
        MvcTestResult answer = post(changed(at, value));
        assertThat(answer).hasStatus(400);
        assertThat(JSON.readTree(body(answer)).at("/errors/0/pointer").asString())
                .isEqualTo(pointer);
        assertThat(body(answer)).contains(sentence);
    }

    @Test
    void what_is_not_json_or_not_a_case_is_refused_plainly() throws IOException {
        assertThat(post("{ not json")).hasStatus(400);
        assertThat(body(post("{ not json"))).contains("not readable JSON");
        assertThat(post("[]")).hasStatus(400);
        assertThat(post("")).hasStatus(400);
        assertThat(body(post("{}"))).contains("intake is missing");
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void no_mangled_case_gives_a_fault(long seed) throws IOException {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
        for (int trial = 0; trial < 60; trial++) {
            JsonNode mangled = mangle(
                    JSON.readTree(Files.readString(FORMATS.resolve("examples/pregnant-with-marks.json"))), random);
            MvcTestResult answer = post(mangled.toString());
            assertThat(answer.getResponse().getStatus())
                    .as("seed %d: %s", seed, mangled)
                    .isIn(200, 400, 422);
        }
    }

    /** The description of the API and the answer's schema are written from the code; -Doutfell.update=true writes them anew. */
    @Test
    void the_published_description_is_that_of_the_code() throws IOException {
        ObjectNode api =
                (ObjectNode) JSON.readTree(body(mvc.get().uri("/v3/api-docs").exchange()));
        api.remove("servers");
        same(Path.of("../web/openapi.json"), pretty(sorted(api)));
        same(FORMATS.resolve("regimen.schema.json"), pretty(answerSchema((ObjectNode) api.at("/components/schemas"))));
    }

    private static JsonNode answerSchema(ObjectNode schemas) {
        ObjectNode schema = JsonNodeFactory.instance.objectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("$id", "urn:outfell:format:regimen");
        schema.put("title", "A regimen");
        schema.put("description", "What POST /api/plan answers. Written from the code by a test.");
        schema.put("$ref", "#/$defs/PlanAnswer");
        ObjectNode defs = schema.putObject("$defs");
        List<String> open = new ArrayList<>(List.of("PlanAnswer"));
        while (!open.isEmpty()) {
            String name = open.removeLast();
            if (!defs.has(name)) {
                JsonNode def = nullable(sorted(schemas.get(name)));
                defs.set(name, def);
                def.findValuesAsString("$ref").forEach(ref -> open.add(ref.substring(ref.lastIndexOf('/') + 1)));
            }
        }
        ObjectNode ordered = JsonNodeFactory.instance.objectNode();
        schema.properties()
                .forEach(
                        e -> ordered.set(e.getKey(), e.getKey().equals("$defs") ? sorted(e.getValue()) : e.getValue()));
        return JSON.readTree(ordered.toString().replace("#/components/schemas/", "#/$defs/"));
    }

    /** A reference that may be null: OpenAPI writes both side by side, a schema needs a choice. */
    private static JsonNode nullable(JsonNode def) {
        if (def.has("properties")) {
            for (Map.Entry<String, JsonNode> p : def.get("properties").properties()) {
                if (p.getValue().has("$ref") && p.getValue().has("type")) {
                    ObjectNode either = JsonNodeFactory.instance.objectNode();
                    ArrayNode any = either.putArray("anyOf");
                    any.addObject().put("$ref", p.getValue().get("$ref").asString());
                    any.addObject().put("type", "null");
                    ((ObjectNode) def.get("properties")).set(p.getKey(), either);
                }
            }
        }
        return def;
    }

    private static void same(Path file, String now) throws IOException {
        if (Boolean.getBoolean("outfell.update")) {
            Files.createDirectories(java.util.Objects.requireNonNull(file.getParent()));
            Files.writeString(file, now);
        }
        assertThat(Files.readString(file))
                .as("%s has drifted from the code; run this test with -Doutfell.update=true", file)
                .isEqualTo(now);
    }

    private static String pretty(JsonNode node) {
        return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(node) + "\n";
    }

    private static JsonNode sorted(JsonNode node) {
        if (node instanceof ObjectNode object) {
            ObjectNode copy = JsonNodeFactory.instance.objectNode();
            object.propertyStream()
                    .sorted(Map.Entry.comparingByKey())
                    .forEach(e -> copy.set(e.getKey(), sorted(e.getValue())));
            return copy;
        }
        if (node instanceof ArrayNode array) {
            ArrayNode copy = JsonNodeFactory.instance.arrayNode();
            array.forEach(x -> copy.add(sorted(x)));
            return copy;
        }
        return node;
    }

    private static JsonNode mangle(JsonNode node, RandomGenerator random) {
        List<ObjectNode> objects = new ArrayList<>();
        collect(node, objects);
        ObjectNode target = objects.get(random.nextInt(objects.size()));
        List<String> names = new ArrayList<>(target.propertyNames());
        if (names.isEmpty()) {
            return node;
        }
        String name = names.get(random.nextInt(names.size()));
        switch (random.nextInt(6)) {
            case 0 -> target.remove(name);
            case 1 -> target.put(name, random.nextInt(-5, 5000));
            case 2 -> target.put(name, "x".repeat(random.nextInt(300)));
            case 3 -> target.putNull(name);
            case 4 -> target.putArray(name).add(random.nextDouble()).addObject();
            default -> target.put(name + "2", true);
        }
        return node;
    }

    private static void collect(JsonNode node, List<ObjectNode> objects) {
        if (node instanceof ObjectNode object) {
            objects.add(object);
        }
        node.forEach(child -> collect(child, objects));
    }

    private static String changed(String at, String value) throws IOException {
        ObjectNode document =
                (ObjectNode) JSON.readTree(Files.readString(FORMATS.resolve("examples/oily-and-thirsty.json")));
        int slash = at.lastIndexOf('/');
        ((ObjectNode) document.at(at.substring(0, slash))).set(at.substring(slash + 1), JSON.readTree(value));
        return document.toString();
    }

    private MvcTestResult post(String body) {
        return mvc.post()
                .uri("/api/plan")
                .contentType(MediaType.APPLICATION_JSON)
                .content(body)
                .exchange();
    }

    private static String body(MvcTestResult result) {
        return new String(result.getResponse().getContentAsByteArray(), java.nio.charset.StandardCharsets.UTF_8);
    }
}

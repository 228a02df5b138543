package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.test.context.TestPropertySource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What differs between two plans and what did it, over HTTP. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@TestPropertySource(properties = {"outfell.memory=changes", "outfell.demo=true", "outfell.probe.port=0"})
class ChangesApiTest extends OverHttp {
    private static final Path EXAMPLE = Path.of("../docs/formats/examples/oily-and-thirsty.json");

    private static ObjectNode example() throws IOException {
        return (ObjectNode) JSON.readTree(Files.readString(EXAMPLE));
    }

    private static String two(ObjectNode from, ObjectNode to) {
        ObjectNode both = JSON.createObjectNode();
        both.set("from", from);
        both.set("to", to);
        return both.toString();
    }

    @Test
    void two_cases_are_held_against_each_other_and_each_difference_has_its_cause() throws Exception {
        ObjectNode quick = example();
        ((ObjectNode) quick.at("/intake")).put("eveningMinutes", 4);
        Answer answer = post("/api/plan/changes", two(example(), quick));
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.body()).isNotEmpty();
        assertThat(answer.body().valueStream()).allSatisfy(c -> {
            assertThat(c.at("/cause").asString()).isEqualTo("MINUTES");
            assertThat(c.at("/because")).hasSize(1);
            assertThat(c.at("/because/0/sentence").asString()).startsWith("The evening has 4 minutes; it had ");
        });
        assertThat(post("/api/plan/changes", two(example(), example())).body()).isEmpty();
    }

    @Test
    void what_is_wrong_in_one_of_the_two_is_named_with_its_place() throws Exception {
        ObjectNode wrong = example();
        wrong.put("month", "JUNY");
        Answer answer = post("/api/plan/changes", two(example(), wrong));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.body().at("/errors/0/pointer").asString()).isEqualTo("/to/month");
        assertThat(post("/api/plan/changes", "{\"from\": " + example() + "}").status())
                .isEqualTo(400);
        assertThat(post("/api/plan/changes", "{}").status()).isEqualTo(400);
    }

    @Test
    void a_visit_is_turned_to_another_month_and_another_method() throws Exception {
        String visit = lastVisit("Maren Oskell");
        String own = document(visit).at("/month").asString();
        JsonNode july = get("/api/visits/" + visit + "/plan/changes?month=JULY").body();
        assertThat(july.valueStream()).anySatisfy(c -> {
            assertThat(c.at("/kind").asString()).isEqualTo("SUNSCREEN");
            assertThat(c.at("/cause").asString()).isEqualTo("AIR");
            assertThat(c.at("/because/0/sentence").asString()).isEqualTo("UV 6 asks for SPF 50.");
        });
        assertThat(july.valueStream())
                .as("what the sunscreen leaves no money for")
                .anySatisfy(c -> {
                    assertThat(c.at("/kind").asString()).isEqualTo("SERUM");
                    assertThat(c.at("/cause").asString()).isEqualTo("MONEY");
                    assertThat(c.at("/because/0/sentence").asString()).isEqualTo("UV 6 asks for SPF 50.");
                    assertThat(c.at("/limit/sentence").asString()).isEqualTo("The budget of €30 no longer holds it.");
                });
        assertThat(get("/api/visits/" + visit + "/plan/changes?month=" + own).body())
                .isEmpty();
        JsonNode layered = get("/api/visits/" + visit + "/plan/changes?month=" + own + "&instead=layered")
                .body();
        assertThat(layered.valueStream()).anySatisfy(c -> {
            assertThat(c.at("/cause").asString()).isEqualTo("METHOD");
            assertThat(c.at("/because/0/sentence").asString()).contains("Layered: ");
        });
        assertThat(get("/api/visits/" + visit + "/plan/changes?month=" + own + "&instead=nobodys")
                        .status())
                .isEqualTo(400);
        assertThat(get("/api/visits/" + visit + "/plan/changes").status()).isEqualTo(400);
    }

    @Test
    void a_rule_of_the_practice_itself_is_named_where_it_worked_and_by_whom() throws Exception {
        String visit = lastVisit("Ines Varro");
        assertThat(get("/api/practice/own-rules").body()).isEmpty();
        assertThat(get("/api/visits/" + visit + "/plan/own-rules").body()).isEmpty();
        put("/api/practice/yardstick/newcomers", weight(1, 0));
        try {
            JsonNode own = get("/api/practice/own-rules").body();
            assertThat(own).hasSize(1);
            assertThat(own.at("/0/by").asString()).isEqualTo("Runa");
            assertThat(own.at("/0/because/rule").asString()).isEqualTo("yardstick.yaml/settings/newcomers");
            JsonNode did = get("/api/visits/" + visit + "/plan/own-rules").body();
            assertThat(did).isNotEmpty();
            assertThat(did.valueStream()).allSatisfy(c -> {
                assertThat(c.at("/cause").asString()).isEqualTo("PRACTICE");
                assertThat(c.at("/because/0")).isEqualTo(own.at("/0/because"));
            });
        } finally {
            put("/api/practice/yardstick/newcomers", weight(2, 1));
        }
        assertThat(get("/api/practice/own-rules").body())
                .as("set back to what ships")
                .isEmpty();
    }

    private static ObjectNode weight(double value, int version) {
        return JSON.createObjectNode()
                .put("value", value)
                .put("version", version)
                .put("by", "Runa");
    }
}

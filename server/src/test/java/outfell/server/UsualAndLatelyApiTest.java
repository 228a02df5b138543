package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.test.context.TestPropertySource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A skin that is otherwise these weeks, over HTTP. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@TestPropertySource(properties = {"outfell.memory=usual-and-lately", "outfell.demo=true", "outfell.probe.port=0"})
class UsualAndLatelyApiTest extends OverHttp {
    private static final String LATELY = """
            {"asUsual": false, "since": "%s", "causes": ["overdone", "%s"]}""";

    @Test
    void what_is_said_of_these_weeks_is_kept_and_the_plan_says_what_it_becomes() throws Exception {
        String visit = lastVisit("Lisbet Marl");
        assertThat(get("/api/visits/" + visit + "/plan/usual")
                        .body()
                        .at("/told")
                        .isNull())
                .as("nobody has asked")
                .isTrue();
        ObjectNode d = document(visit);
        ((ObjectNode) d.at("/intake")).put("says", "OILY");
        ((ObjectNode) d.at("/intake")).set("lately", JSON.readTree(LATELY.formatted("2026-01-10", "mask")));
        assertThat(put("/api/visits/" + visit, d).status()).isEqualTo(200);
        assertThat(get("/api/visits/" + visit).body().at("/intake/lately")).isEqualTo(d.at("/intake/lately"));

        JsonNode told = get("/api/visits/" + visit + "/plan/usual").body().at("/told");
        assertThat(told.at("/usual").asString()).isEqualTo("oily");
        assertThat(told.at("/since").asString()).isEqualTo("2026-01-10");
        assertThat(told.at("/causes")).hasSize(2);
        assertThat(told.at("/changes")).isNotEmpty();
        JsonNode line = get("/api/visits/" + visit + "/year").body().at("/sheet/0");
        assertThat(line.at("/title").asString()).isEqualTo("When the skin is as usual again");
        assertThat(line.at("/from").isNull()).as("nobody knows the day").isTrue();

        String client = get("/api/visits/" + visit).body().at("/client").asString();
        String next =
                post("/api/clients/" + client + "/visits", "").body().at("/id").asString();
        assertThat(document(next).at("/intake/lately").isNull())
                .as("asked anew at every visit")
                .isTrue();
        assertThat(document(next).at("/intake/says").asString()).isEqualTo("OILY");
    }

    @Test
    void a_cause_that_nobody_knows_and_a_day_that_lies_ahead_are_refused() throws Exception {
        String visit = newVisit("Anselm Roake");
        ObjectNode d = document(visit);
        ((ObjectNode) d.at("/intake")).set("lately", JSON.readTree(LATELY.formatted("2026-01-10", "moon")));
        assertThat(put("/api/visits/" + visit, d).body().toString())
                .contains("There is no cause moon; there are [mask,")
                .contains("/intake/lately/causes/1");
        ((ObjectNode) d.at("/intake")).set("lately", JSON.readTree(LATELY.formatted("2099-01-10", "mask")));
        assertThat(put("/api/visits/" + visit, d).body().toString())
                .contains("2099-01-10 lies after the visit")
                .contains("/intake/lately/since");
    }
}

package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.test.context.TestPropertySource;
import tools.jackson.databind.JsonNode;

/** Three routines round one thing, over HTTP. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@TestPropertySource(properties = {"outfell.memory=around", "outfell.demo=true", "outfell.probe.port=0"})
class AroundApiTest extends OverHttp {
    @Test
    void round_a_cream_stand_three_routines_on_a_plain_skin_and_on_a_clients() throws Exception {
        JsonNode plain = get("/api/products/cream-ceramide-night/around").body();
        assertThat(plain.at("/rounds").valueStream().map(r -> r.at("/label").asString()))
                .containsExactly("the smallest", "the usual", "the fullest");
        assertThat(plain.at("/rounds/0/regimen/unsure"))
                .as("nothing is in the way by definition")
                .isEmpty();
        String visit = lastVisit("Anselm Roake");
        JsonNode before = get("/api/visits/" + visit).body();
        JsonNode hers =
                get("/api/products/cream-ceramide-night/around?visit=" + visit).body();
        assertThat(plain.at("/client").asString()).isEmpty();
        assertThat(hers.at("/client").asString()).isEqualTo("Anselm Roake");
        assertThat(hers.at("/rounds")).hasSize(3);
        assertThat(hers.at("/rounds/1/method").asString())
                .isEqualToIgnoringCase(before.at("/method").asString());
        assertThat(hers.at("/rounds").valueStream().map(r -> r.at("/stands"))).noneMatch(JsonNode::isEmpty);
        assertThat(get("/api/visits/" + visit).body())
                .as("nothing of the visit is changed by looking")
                .isEqualTo(before);
    }

    @Test
    void what_nobody_knows_is_not_found() throws Exception {
        Answer product = get("/api/products/nothing/around");
        assertThat(product.status()).isEqualTo(404);
        Answer visit = get("/api/products/cream-ceramide-night/around?visit=" + UUID.randomUUID());
        assertThat(visit.status()).isEqualTo(404);
    }
}

package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.springframework.boot.test.context.SpringBootTest;
import tools.jackson.databind.JsonNode;

/** The table of ingredients as it is looked up, and what the practice says over it. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"outfell.demo=true", "outfell.memory=ingredients"})
class IngredientApiTest extends OverHttp {

    @Test
    void a_row_is_found_by_any_of_its_names() throws Exception {
        for (String name : new String[] {"retinaldehyde", "나이아신아마이드", "shea", "Yellow 5"}) {
            JsonNode found = get("/api/ingredients?text=" + java.net.URLEncoder.encode(name, "UTF-8"))
                    .body();
            assertThat(found.at("/rows")).as(name).isNotEmpty();
            assertThat(found.at("/rows/0/source").asString()).isNotBlank();
        }
        assertThat(get("/api/ingredients?text=nothing-is-called-so")
                        .body()
                        .at("/total")
                        .asInt())
                .isZero();
    }

    @Test
    void what_is_said_of_a_name_is_read_in_every_label_told_and_can_be_taken_back() throws Exception {
        JsonNode product = post(
                        "/api/products",
                        "{\"name\": \"Quay wrack cream\", \"maker\": \"\", \"size\": 50, \"unit\": \"ml\", \"price\": 0, \"label\": \"Aqua, Skarrow Wrack Complex, Glycerin\", \"kind\": null, \"texture\": null, \"prescription\": false}")
                .body();
        String id = product.at("/id").asString();
        assertThat(product.at("/unknown/0").asString()).isEqualTo("Skarrow Wrack Complex");
        Answer said = put("/api/ingredients/own", JSON.readTree(saying(0)));
        assertThat(said.status()).isEqualTo(200);
        assertThat(said.body().at("/products").asInt()).isEqualTo(1);
        assertThat(said.body().at("/changed/0/id").asString()).isEqualTo(id);
        assertThat(said.body().at("/changed/0/gone").valueStream().map(JsonNode::asString))
                .contains("not known: Skarrow Wrack Complex");
        assertThat(get("/api/products/" + id).body().at("/product/unknown")).isEmpty();
        // said by two at once: the second is told, and nothing is lost
        assertThat(put("/api/ingredients/own", JSON.readTree(saying(0))).status())
                .isEqualTo(409);
        Answer back = post(
                "/api/ingredients/own/withdrawn",
                "{\"name\": \"Skarrow Wrack Complex\", \"why\": \"wrong sheet\", \"who\": \"Signe\", \"version\": 1}");
        assertThat(back.status()).isEqualTo(200);
        assertThat(get("/api/products/" + id).body().at("/product/unknown/0").asString())
                .isEqualTo("Skarrow Wrack Complex");
        assertThat(get("/api/ingredients/own").body().at("/own")).isEmpty();
    }

    @Test
    void without_who_and_why_nothing_is_said() throws Exception {
        Answer unsigned = put(
                "/api/ingredients/own",
                JSON.readTree(
                        "{\"name\": \"Wrack\", \"common\": \"\", \"tags\": [], \"low\": null, \"high\": null, \"irritancy\": null, \"why\": \"\", \"who\": \" \", \"version\": 0}"));
        assertThat(unsigned.status()).isEqualTo(400);
        assertThat(unsigned.body().at("/errors").toString()).contains("/why").contains("/who");
        Answer impossible = put(
                "/api/ingredients/own",
                JSON.readTree(
                        "{\"name\": \"Wrack\", \"common\": \"\", \"tags\": [], \"low\": 9, \"high\": 2, \"irritancy\": null, \"why\": \"x\", \"who\": \"Signe\", \"version\": 0}"));
        assertThat(impossible.status()).isEqualTo(422);
    }

    private static String saying(int version) {
        return "{\"name\": \"Skarrow Wrack Complex\", \"common\": \"wrack extract\", \"tags\": [\"SOOTHING\", \"HUMECTANT\"], \"low\": 1, \"high\": 5, \"irritancy\": 0, \"why\": \"the maker's sheet of March\", \"who\": \"Signe\", \"version\": "
                + version + "}";
    }
}

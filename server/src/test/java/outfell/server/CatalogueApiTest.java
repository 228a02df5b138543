package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.context.SpringBootTest;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Products found, compared, put right, changed and retired. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"outfell.demo=true", "outfell.memory=catalogue"})
class CatalogueApiTest extends OverHttp {

    @Test
    void search_finds_by_name_maker_and_ingredient_and_narrows_by_every_filter() throws Exception {
        assertThat(names("/api/products/search?text=salicylic"))
                .containsExactly("Salicylic fluid 2 %", "Gel wash, salicylic 0.5 %", "Spot gel, salicylic 2 %");
        assertThat(names("/api/products/search?text=SALICYLIC%20wash")).containsExactly("Gel wash, salicylic 0.5 %");
        assertThat(names("/api/products/search?text=slipway")).hasSizeGreaterThan(3);
        List<String> all = names("/api/products/search?kinds=SERUM");
        List<String> narrowed = names("/api/products/search?kinds=SERUM&actives=NIACINAMIDE&free=PERFUME&mostPrice=25");
        assertThat(narrowed).isNotEmpty().hasSizeLessThan(all.size());
        assertThat(all).containsAll(narrowed);
        assertThat(names("/api/products/search?text=harpoon")).isEmpty();
    }

    @Test
    void an_unknown_filter_is_said_plainly() throws Exception {
        Answer wrong = get("/api/products/search?kinds=POTION");
        assertThat(wrong.status()).isEqualTo(400);
        assertThat(wrong.body().at("/detail").asString()).isNotBlank();
    }

    @Test
    void two_to_four_products_are_laid_side_by_side() throws Exception {
        Answer rows = get("/api/products/comparison?ids=cream-lanolin&ids=cream-fisher");
        assertThat(rows.body().valueStream().map(r -> r.at("/label").asString()))
                .contains("Texture", "Actives", "To mind", "Price per 10 ml or g", "Price a month, used daily");
        assertThat(rows.body().valueStream())
                .allSatisfy(r -> assertThat(r.at("/values").size()).isEqualTo(2));
        assertThat(get("/api/products/comparison?ids=cream-lanolin").status()).isEqualTo(400);
        assertThat(get("/api/products/comparison?ids=a&ids=b&ids=c&ids=d&ids=e")
                        .body()
                        .at("/detail")
                        .asString())
                .isEqualTo("5 products cannot be compared; two to four can.");
        assertThat(get("/api/products/comparison?ids=cream-lanolin&ids=nothing").status())
                .isEqualTo(404);
    }

    @Test
    void money_is_said_in_the_practice_s_currency() throws Exception {
        assertThat(get("/api/products/comparison?ids=cream-lanolin&ids=cream-fisher")
                        .body()
                        .toString())
                .contains("€");
        Answer pounds = put(
                "/api/practice/currency",
                JSON.createObjectNode().put("code", "GBP").put("by", "Signe").put("version", 0));
        assertThat(pounds.body().at("/changes/0/by").asString()).isEqualTo("Signe");
        assertThat(get("/api/products/comparison?ids=cream-lanolin&ids=cream-fisher")
                        .body()
                        .toString())
                .contains("£")
                .doesNotContain("€");
        put(
                "/api/practice/currency",
                JSON.createObjectNode().put("code", "EUR").put("by", "Signe").put("version", 1));
        Answer wrong = put(
                "/api/practice/currency",
                JSON.createObjectNode().put("code", "XYQ").put("by", "Signe").put("version", 2));
        assertThat(wrong.status()).isEqualTo(400);
        assertThat(wrong.body().at("/detail").asString()).startsWith("XYQ is no currency");
    }

    @Test
    void what_would_do_in_its_place_says_in_what_it_is_better() throws Exception {
        JsonNode cheaper = get("/api/products/cream-lanolin/substitutes?want=CHEAPER")
                .body()
                .at("/found");
        assertThat(cheaper.valueStream())
                .allSatisfy(
                        s -> assertThat(s.at("/because/sentence").asString()).contains("a month in place of"));
        assertThat(get("/api/products/cream-scented/substitutes?want=UNSCENTED")
                        .body()
                        .at("/found")
                        .valueStream())
                .isNotEmpty()
                .allSatisfy(
                        s -> assertThat(s.at("/because/sentence").asString()).contains("no perfume"));
    }

    @Test
    void a_name_put_right_stays_through_every_reading_and_can_be_taken_back() throws Exception {
        String id = add("Kiosk serum", "Aqua, Glycerin, Nicainamide (5 %), Panthenol");
        JsonNode before = get("/api/products/" + id).body();
        assertThat(before.at("/product/unknown/0").asString()).isEqualTo("Nicainamide");
        assertThat(before.at("/product/meant/0/guesses/0/inci").asString()).isEqualTo("Niacinamide");

        Answer right = correct(id, "NAME", "Nicainamide", "Niacinamide");
        assertThat(right.body().at("/product/unknown")).isEmpty();
        assertThat(actives(right.body())).anyMatch(a -> a.startsWith("niacinamide"));
        assertThat(right.body().at("/corrections/0/who").asString()).isEqualTo("Signe");
        // another price reads the label anew; the correction holds
        Answer again = edit(id, "Kiosk serum", "Aqua, Glycerin, Nicainamide (5 %), Panthenol", 12);
        assertThat(again.body().at("/product/unknown")).isEmpty();

        Answer back = delete("/api/products/" + id + "/corrections?about=NAME&of=Nicainamide&version=" + versionOf(id));
        assertThat(back.body().at("/product/unknown/0").asString()).isEqualTo("Nicainamide");
        assertThat(back.body().at("/corrections")).isEmpty();
    }

    @Test
    void what_a_pack_directs_is_asked_said_and_taken_back() throws Exception {
        String id = "cream-fisher";
        JsonNode before = direction(get("/api/products/" + id).body(), "TIMES");
        assertThat(before.at("/value").asString()).isEmpty();
        assertThat(before.at("/question").asString()).isEqualTo("How often in a week, at most?");
        JsonNode said = direction(correct(id, "DIRECTION", "TIMES", "3").body(), "TIMES");
        assertThat(said.at("/words").asString()).isEqualTo("at most 3 days a week");
        assertThat(said.at("/because/sentence").asString()).startsWith("Said by ");
        Answer wrong = correct(id, "DIRECTION", "TIMES", "9");
        assertThat(wrong.status()).isEqualTo(400);
        assertThat(wrong.body().at("/errors/0/sentence").asString()).contains("a number from 1 to 7");
        assertThat(correct(id, "DIRECTION", "SMELL", "9").status()).isEqualTo(400);
        assertThat(direction(correct(id, "DIRECTION", "TIMES", "").body(), "TIMES")
                        .at("/value")
                        .asString())
                .isEmpty();
    }

    private static JsonNode direction(JsonNode detail, String of) {
        return detail.at("/product/directions")
                .valueStream()
                .filter(d -> d.at("/direction").asString().equals(of))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void kind_and_texture_are_put_right_within_what_there_is() throws Exception {
        String id = add("Bottle without a word", "Aqua, Glycerin");
        assertThat(correct(id, "KIND", "", "ESSENCE").body().at("/product/kind").asString())
                .isEqualTo("ESSENCE");
        assertThat(correct(id, "TEXTURE", "", "3").body().at("/product/texture").asDouble())
                .isEqualTo(3);
        Answer wrong = correct(id, "TEXTURE", "", "11");
        assertThat(wrong.status()).isEqualTo(400);
        assertThat(wrong.body().at("/errors/0/pointer").asString()).isEqualTo("/to");
        assertThat(get("/api/products/" + id).body().at("/product/texture").asDouble())
                .isEqualTo(3);
    }

    @Test
    void a_new_list_is_a_new_formula_and_a_kept_plan_is_told() throws Exception {
        String visit = lastVisit("Jorun Pell");
        JsonNode plan = post("/api/visits/" + visit + "/plans", "").body();
        assertThat(plan.at("/number").asInt()).isEqualTo(1);
        assertThat(get("/api/visits/" + visit + "/moved").body()).isEmpty();
        String used = "cream-wash-oat";
        JsonNode before = get("/api/products/" + used).body();

        Answer changed = edit(used, "Cream wash, oats", "Aqua, Glycerin, Avena Sativa Kernel Flour", 11);
        assertThat(changed.body().at("/formula").asInt()).isEqualTo(2);
        assertThat(changed.body()
                        .at("/changes")
                        .valueStream()
                        .map(c -> c.at("/kind").asString()))
                .contains("RENAMED", "REPRICED", "REFORMULATED");
        assertThat(changed.body()
                        .at("/changes")
                        .valueStream()
                        .filter(c -> c.at("/kind").asString().equals("REFORMULATED"))
                        .map(c -> c.at("/was").asString()))
                .containsExactly(before.at("/label").asString());
        JsonNode moved = get("/api/visits/" + visit + "/moved").body();
        assertThat(moved.at("/0/product").asString()).isEqualTo(used);
        assertThat(moved.at("/0/then").asInt()).isEqualTo(1);
        assertThat(moved.at("/0/now").asInt()).isEqualTo(2);
        assertThat(moved.at("/0/nameNow").asString()).isEqualTo("Cream wash, oats");
    }

    @Test
    void a_retired_product_leaves_the_house_shelf_and_can_be_brought_back() throws Exception {
        Answer retired = put(
                "/api/products/toner-alcohol/retirement",
                JSON.createObjectNode()
                        .put("retired", true)
                        .put("who", "Signe")
                        .put("version", versionOf("toner-alcohol")));
        assertThat(retired.body().at("/retiredOn").asString())
                .isEqualTo(java.time.LocalDate.now().toString());
        assertThat(names("/api/products/search?text=witch%20hazel")).isEmpty();
        // who owns it keeps it
        assertThat(get("/api/visits/" + lastVisit("Wilma Crake") + "/present")
                        .body()
                        .toString())
                .contains("toner-alcohol");
        put(
                "/api/products/toner-alcohol/retirement",
                JSON.createObjectNode()
                        .put("retired", false)
                        .put("who", "Signe")
                        .put("version", versionOf("toner-alcohol")));
        assertThat(names("/api/products/search?text=witch%20hazel")).hasSize(1);
        assertThat(put(
                                "/api/products/toner-alcohol/retirement",
                                JSON.createObjectNode().put("retired", true).put("version", 0))
                        .status())
                .isEqualTo(400);
    }

    @Test
    void ounces_are_kept_as_millilitres_and_grams() throws Exception {
        ObjectNode form = form("Ferry oil", "Squalane", 9);
        form.put("size", 1.7).put("unit", "fl oz");
        JsonNode added = post("/api/products", form.toString()).body();
        assertThat(added.at("/size").asDouble()).isEqualTo(50.3);
        assertThat(added.at("/unit").asString()).isEqualTo("ml");
    }

    @Test
    void the_present_routine_is_ordered_and_judged() throws Exception {
        JsonNode now =
                get("/api/visits/" + lastVisit("Anselm Roake") + "/present").body();
        assertThat(now.at("/evening").valueStream().map(s -> s.at("/name").asString()))
                .containsExactly("Lactic serum 5 %", "Tretinoin cream 0.05 %", "Hand cream, urea 5 %");
        assertThat(now.at("/evening/0/fate").asString()).isEqualTo("USE_LESS");
        assertThat(now.at("/evening/1/fate").asString()).isEqualTo("KEEP");
        assertThat(now.at("/found").valueStream().map(f -> f.at("/flaw").asString()))
                .contains("CLASH", "GAP", "LOAD");
    }

    @Test
    void a_mixture_is_read_kept_on_a_shelf_and_refused_by_its_harm() throws Exception {
        String mixture = """
                {"name": "Lemon scrub", "use": "WASH", "palm": false, "preserved": false, "parts": [
                  {"item": "sugar", "product": null, "amount": 2, "measure": "TABLESPOON"},
                  {"item": "lemon-juice", "product": null, "amount": 1, "measure": "TEASPOON"}]}""";
        JsonNode read = post("/api/recipes", mixture).body();
        assertThat(read.at("/shares/0/words").asString()).isEqualTo("2 tablespoons");
        assertThat(read.at("/harms").valueStream().map(h -> h.at("/harm").asString()))
                .contains("lemon juice burns", "sugar is rough");
        assertThat(read.at("/keeps/days").asInt()).isEqualTo(1);

        String visit = newVisit("Hob Tarring");
        String client = get("/api/visits/" + visit).body().at("/client").asString();
        JsonNode shelf = post(
                        "/api/clients/" + client + "/shelf/recipes",
                        "{\"recipe\": %s, \"weeks\": 4}".formatted(mixture))
                .body();
        String id = shelf.at("/0/product/id").asString();
        assertThat(get("/api/products/" + id + "/recipe")
                        .body()
                        .at("/recipe/parts/1/item")
                        .asString())
                .isEqualTo("lemon-juice");
        assertThat(get("/api/products/" + id).body().at("/madeAtHome").asString())
                .isEqualTo("WASH");
        JsonNode now = get("/api/visits/" + visit + "/present").body();
        assertThat(now.at("/evening/0/fate").asString()).isEqualTo("STOP");
        assertThat(now.at("/evening/0/because/sentence").asString()).contains("lemon juice burns");
        assertThat(get("/api/visits/" + visit + "/plan?month=MAY")
                        .body()
                        .at("/regimen/evening/steps")
                        .toString())
                .doesNotContain(id);
    }

    @Test
    void a_palm_blend_of_a_product_says_what_is_lost() throws Exception {
        JsonNode read = post("/api/recipes", """
                {"name": "Day cream with sun fluid", "use": "BY_DAY", "palm": true, "preserved": false, "parts": [
                  {"item": null, "product": "sun-fluid-50", "amount": 2, "measure": "PEA"},
                  {"item": null, "product": "cream-lanolin", "amount": 2, "measure": "PEA"}]}""").body();
        assertThat(read.at("/sun/0/spf").asInt()).isEqualTo(50);
        assertThat(read.at("/sun/0/careful").asInt()).isLessThan(10);
        assertThat(read.at("/harms/0/harm").asString()).isEqualTo("sunscreen is thinned");
        assertThat(read.at("/keeps/days").asInt()).isZero();
    }

    @Test
    void a_mixture_that_cannot_be_is_refused_at_its_part() throws Exception {
        Answer drops = post("/api/recipes", """
                {"name": "Oat drops", "use": "MASK", "palm": false, "preserved": false, "parts": [
                  {"item": "water", "product": null, "amount": 5, "measure": "ML"},
                  {"item": "oat-flour", "product": null, "amount": 5, "measure": "DROP"}]}""");
        assertThat(drops.status()).isEqualTo(400);
        assertThat(drops.body().at("/errors/0/pointer").asString()).isEqualTo("/parts/1");
        assertThat(drops.body().at("/detail").asString())
                .isEqualTo("oat flour does not drop; measure it by the spoon.");
        Answer none = post("/api/recipes", """
                {"name": "", "use": "MASK", "palm": false, "preserved": false, "parts": [
                  {"item": "water", "product": null, "amount": 0, "measure": "ML"}]}""");
        assertThat(none.body()
                        .at("/errors")
                        .valueStream()
                        .map(e -> e.at("/pointer").asString()))
                .contains("/name", "/parts/0/amount");
        assertThat(get("/api/products/cream-lanolin/recipe").status()).isEqualTo(404);
    }

    private List<String> names(String path) throws Exception {
        return get(path)
                .body()
                .at("/products")
                .valueStream()
                .map(p -> p.at("/name").asString())
                .toList();
    }

    private static List<String> actives(JsonNode detail) {
        return detail.at("/product/findings")
                .valueStream()
                .filter(f -> f.at("/about").asString().equals("active"))
                .map(f -> f.at("/found").asString())
                .toList();
    }

    private String add(String name, String label) throws Exception {
        Answer added = post("/api/products", form(name, label, 10).toString());
        assertThat(added.status()).isEqualTo(201);
        return added.body().at("/id").asString();
    }

    private Answer edit(String id, String name, String label, double price) throws Exception {
        ObjectNode body = JSON.createObjectNode().put("who", "Signe").put("version", versionOf(id));
        body.set("product", form(name, label, price));
        return put("/api/products/" + id, body);
    }

    private Answer correct(String id, String about, String of, String to) throws Exception {
        return put(
                "/api/products/" + id + "/corrections",
                JSON.createObjectNode()
                        .put("about", about)
                        .put("of", of)
                        .put("to", to)
                        .put("who", "Signe")
                        .put("version", versionOf(id)));
    }

    private int versionOf(String product) throws Exception {
        return get("/api/products/" + product).body().at("/version").asInt();
    }

    private static ObjectNode form(String name, String label, double price) {
        return JSON.createObjectNode()
                .put("name", name)
                .put("maker", "Ferry kiosk")
                .put("size", 30)
                .put("unit", "ml")
                .put("price", price)
                .put("label", label)
                .putNull("kind")
                .putNull("texture")
                .put("prescription", false);
    }
}

package outfell.routine;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import outfell.method.Method;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StarterCatalogue;
import outfell.product.StepKind;

class StepOrderTest {
    private static final Method CLASSIC = Methods.find("classic").orElseThrow();
    private static final Method LAYERED = Methods.find("layered").orElseThrow();

    @Test
    void an_evening_goes_off_before_on_thin_before_thick_water_before_oil() {
        assertThat(order(
                        CLASSIC,
                        "ointment-plain",
                        "cream-ceramide-night",
                        "oil-squalane",
                        "toner-water",
                        "gel-wash-low-foam",
                        "serum-niacinamide-5",
                        "oil-cleanse-clear",
                        "eye-cream-plain"))
                .containsExactly(
                        "oil-cleanse-clear",
                        "gel-wash-low-foam",
                        "toner-water",
                        "serum-niacinamide-5",
                        "eye-cream-plain",
                        "cream-ceramide-night",
                        "oil-squalane",
                        "ointment-plain");
    }

    @Test
    void an_acid_goes_before_the_toner_or_after_it_as_the_method_has_it() {
        assertThat(order(CLASSIC, "toner-water", "lactic-serum-5", "serum-humectant"))
                .containsExactly("lactic-serum-5", "toner-water", "serum-humectant");
        assertThat(order(LAYERED, "lactic-serum-5", "serum-humectant", "toner-water"))
                .containsExactly("toner-water", "lactic-serum-5", "serum-humectant");
    }

    static Method answering(String... answers) {
        Method method = CLASSIC;
        for (String answer : answers) {
            String[] parts = answer.split("=");
            method = Methods.answering(method, parts[0], parts[1]);
        }
        return method;
    }

    @Test
    void eyes_come_before_the_serums_and_never_on_skin_that_has_not_been_toned() {
        assertThat(order(answering("eye-place=before_serums"), "serum-humectant", "eye-cream-plain", "toner-water"))
                .containsExactly("toner-water", "eye-cream-plain", "serum-humectant");
    }

    @Test
    void eyes_by_their_own_texture_stand_after_the_light_layers_or_with_the_creams() {
        Method method = answering("eye-place=by_texture", "oil-place=before_cream");
        Product light = made("light eyes", StepKind.EYE, 2, "Aqua, Glycerin");
        Product rich = made("rich eyes", StepKind.EYE, 6, "Aqua, Glycerin, Squalane");
        assertThat(new StepOrder(method)
                                .sort(Stream.concat(
                                                Stream.of(rich, light),
                                                products("serum-humectant", "oil-squalane", "cream-ceramide-night")
                                                        .stream())
                                        .toList())
                                .stream()
                                .map(p -> p.id().value()))
                .containsExactly("serum-humectant", "light eyes", "rich eyes", "oil-squalane", "cream-ceramide-night");
    }

    @Test
    void an_acid_goes_over_the_layers_that_cushion_it_where_the_method_has_it_so() {
        Method method = answering("acid-place=after_water");
        assertThat(order(method, "lactic-serum-5", "serum-humectant", "toner-water"))
                .containsExactly("toner-water", "serum-humectant", "lactic-serum-5");
        List<Product> both = products("serum-humectant", "lactic-serum-5");
        assertThat(new StepOrder(method).rule(both.get(0), both.get(1)))
                .hasValueSatisfying(b -> assertThat(b.sentence()).startsWith("A low-pH step over the light layers"));
    }

    @Test
    void an_essence_goes_before_the_toner_where_the_method_has_it_so() {
        Product essence = made("essence", StepKind.ESSENCE, 1, "Aqua, Glycerin");
        Product toner = made("toner", StepKind.TONER, 1, "Aqua, Glycerin");
        assertThat(sorted(answering("essence-place=before_toner"), toner, essence))
                .containsExactly("essence", "toner");
        assertThat(sorted(CLASSIC, essence, toner)).containsExactly("toner", "essence");
    }

    @Test
    void what_only_waters_goes_first_and_what_works_after_it_whatever_its_texture() {
        Product waters = made("waters", StepKind.SERUM, 3, "Aqua, Glycerin, Sodium Hyaluronate");
        Product works = made("works", StepKind.SERUM, 1, "Aqua, Niacinamide 5 %");
        assertThat(sorted(CLASSIC, waters, works)).containsExactly("works", "waters");
        Method method = answering("layering=water_first");
        assertThat(sorted(method, works, waters)).containsExactly("waters", "works");
        assertThat(new StepOrder(method).rule(waters, works))
                .hasValueSatisfying(b -> assertThat(b.sentence()).contains("the Classic method has it so"));
    }

    @Test
    void a_place_is_told_only_where_it_is_the_reason() {
        Product toner = made("toner", StepKind.TONER, 1, "Aqua, Glycerin");
        Product serum = made("serum", StepKind.SERUM, 2, "Aqua, Panthenol 5 %");
        Product thick = made("thick", StepKind.SERUM, 3.5, "Aqua, Panthenol 5 %");
        Product gel = made("gel", StepKind.MOISTURISER, 3, "Aqua, Glycerin");
        StepOrder order = new StepOrder(CLASSIC);
        assertThat(order.place(toner, List.of(), List.of(serum, gel)).sentence())
                .isEqualTo("The toner goes on before the other light layers.");
        assertThat(order.place(toner, List.of(), List.of(gel)).sentence())
                .isEqualTo("Thinner than the moisturiser after it: texture 1 before texture 3.");
        assertThat(order.place(thick, List.of(toner), List.of(gel)).sentence())
                .endsWith("; the moisturiser goes over it, whatever its texture.");
        assertThat(order.rule(toner, gel).orElseThrow().sentence())
                .isEqualTo("Thinner first: texture 1 before texture 3.");
        assertThat(order.rule(thick, gel).orElseThrow().sentence())
                .isEqualTo("The moisturiser goes over the serum, whatever its texture.");
    }

    @Test
    void an_oil_goes_straight_after_the_toner_or_into_the_serum_where_the_method_has_it_so() {
        String[] layers = {"cream-ceramide-night", "oil-squalane", "serum-humectant", "toner-water"};
        assertThat(order(answering("oil-place=after_toner"), layers))
                .containsExactly("toner-water", "oil-squalane", "serum-humectant", "cream-ceramide-night");
        assertThat(order(answering("oil-place=drop_in_serum"), layers))
                .containsExactly("toner-water", "serum-humectant", "oil-squalane", "cream-ceramide-night");
    }

    @Test
    void lips_are_done_first_or_inside_a_wait_where_the_method_has_it_so() {
        Product lips = made("lips", StepKind.LIP, 8, "Petrolatum");
        Product toner = made("toner", StepKind.TONER, 1, "Aqua, Glycerin");
        Product cream = made("cream", StepKind.MOISTURISER, 6, "Aqua, Glycerin");
        assertThat(sorted(CLASSIC, lips, toner, cream)).containsExactly("toner", "cream", "lips");
        assertThat(sorted(answering("lip-place=first"), cream, toner, lips)).containsExactly("lips", "toner", "cream");
        assertThat(sorted(answering("lip-place=in_a_wait"), cream, lips, toner))
                .containsExactly("toner", "lips", "cream");
    }

    @Test
    void a_prescribed_cream_goes_on_bare_skin_where_the_method_has_it_so() {
        Product prescribed = ProductReader.read(new Product.Facts(
                new ProductId("prescribed"),
                "Tretinoin cream",
                "",
                30,
                "g",
                0,
                "",
                Optional.of(StepKind.TREATMENT),
                OptionalDouble.empty(),
                true));
        Product toner = made("toner", StepKind.TONER, 1, "Aqua, Glycerin");
        assertThat(sorted(CLASSIC, prescribed, toner)).containsExactly("toner", "prescribed");
        assertThat(sorted(answering("prescription-place=on_bare_skin"), toner, prescribed))
                .containsExactly("prescribed", "toner");
    }

    private static List<String> sorted(Method method, Product... products) {
        return new StepOrder(method)
                .sort(List.of(products)).stream().map(p -> p.id().value()).toList();
    }

    static Product made(String id, StepKind kind, double texture, String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId(id),
                "Plain " + id,
                "",
                30,
                "ml",
                0,
                label,
                Optional.of(kind),
                OptionalDouble.of(texture),
                false));
    }

    @Test
    void oil_goes_under_the_cream_or_over_it_as_the_method_has_it() {
        assertThat(order(CLASSIC, "oil-squalane", "cream-ceramide-night"))
                .containsExactly("cream-ceramide-night", "oil-squalane");
        assertThat(order(LAYERED, "cream-ceramide-night", "oil-squalane"))
                .containsExactly("oil-squalane", "cream-ceramide-night");
    }

    @Test
    void a_mask_comes_off_before_anything_stays_on() {
        assertThat(order(LAYERED, "toner-water", "clay-mask-kaolin", "enzyme-powder", "gel-wash-low-foam"))
                .containsExactly("gel-wash-low-foam", "enzyme-powder", "clay-mask-kaolin", "toner-water");
    }

    @ParameterizedTest
    @ValueSource(strings = {"classic", "layered"})
    void the_order_is_total_and_does_not_depend_on_where_one_begins(String id) {
        StepOrder order = new StepOrder(Methods.find(id).orElseThrow());
        List<Product> all = StarterCatalogue.products();
        List<Product> sorted = order.sort(all);
        for (int seed = 0; seed < 20; seed++) {
            List<Product> shuffled = new ArrayList<>(all);
            Collections.shuffle(shuffled, new Random(seed));
            assertThat(order.sort(shuffled)).as("seed %d", seed).isEqualTo(sorted);
        }
        for (int i = 0; i < sorted.size(); i++) {
            for (int j = i + 1; j < sorted.size(); j++) {
                assertThat(order.compare(sorted.get(i), sorted.get(j))).isNegative();
                assertThat(order.compare(sorted.get(j), sorted.get(i))).isPositive();
            }
        }
    }

    @Test
    void a_third_product_never_turns_two_round() {
        StepOrder order = new StepOrder(CLASSIC);
        List<Product> all = StarterCatalogue.products();
        List<ProductId> sorted = order.sort(all).stream().map(Product::id).toList();
        for (int leave = 0; leave < all.size(); leave++) {
            Product left = all.get(leave);
            assertThat(order.sort(all.stream().filter(p -> p != left).toList()).stream()
                            .map(Product::id))
                    .containsExactlyElementsOf(
                            sorted.stream().filter(id -> !id.equals(left.id())).toList());
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"essentials", "classic", "layered", "re-tone", "barrier-first"})
    void of_any_two_products_a_rule_speaks_for_one_order_at_most_and_it_is_the_computed_one(String id) {
        StepOrder order = new StepOrder(Methods.find(id).orElseThrow());
        List<Product> all = StarterCatalogue.products();
        for (Product a : all) {
            for (Product b : all) {
                if (a != b) {
                    boolean before = order.compare(a, b) < 0;
                    assertThat(order.rule(before ? b : a, before ? a : b)).isEmpty();
                    assertThat(order.between(a, b, "so it is").sentence()).isNotBlank();
                    if (!before && order.rule(b, a).isPresent()) {
                        assertThat(order.between(a, b, "so it is").sentence()).isEqualTo("By hand: so it is");
                    }
                }
            }
        }
        Product cream = products("cream-ceramide-night").getFirst();
        Product lips = products("lip-balm-plain").getFirst();
        assertThat(order.rule(cream, lips)).isEmpty();
    }

    private static List<String> order(Method method, String... ids) {
        return new StepOrder(method)
                .sort(products(ids)).stream().map(p -> p.id().value()).toList();
    }

    static List<Product> products(String... ids) {
        return List.of(ids).stream()
                .map(id -> StarterCatalogue.products().stream()
                        .filter(p -> p.id().value().equals(id))
                        .findFirst()
                        .orElseThrow())
                .toList();
    }
}

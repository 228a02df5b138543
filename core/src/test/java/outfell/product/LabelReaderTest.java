package outfell.product;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LabelReaderTest {
    @Test
    void a_heading_line_breaks_and_a_full_stop_are_no_ingredients() {
        assertThat(names("INGREDIENTS: AQUA, GLYCERIN,\nCAPRYLIC/CAPRIC TRIGLYCERIDE, Sodium\nHyaluronate."))
                .containsExactly("AQUA", "GLYCERIN", "CAPRYLIC/CAPRIC TRIGLYCERIDE", "Sodium Hyaluronate");
        assertThat(unknown("INGREDIENTS: AQUA, GLYCERIN,\nCAPRYLIC/CAPRIC TRIGLYCERIDE, Sodium\nHyaluronate."))
                .isEmpty();
    }

    @Test
    void full_stops_part_names_and_end_a_list() {
        assertThat(known("Aqua. Glycerin. Panthenol.")).containsExactly("Aqua", "Glycerin", "Panthenol");
        Label label = LabelReader.read("Aqua, Glycerin. Without perfume, dyes or parabens. Shake well, then use.");
        assertThat(label.lines()).hasSize(2);
        assertThat(label.left()).containsExactly("Without perfume, dyes or parabens. Shake well, then use.");
    }

    @Test
    void allergens_named_behind_the_list_are_in_it_and_more_than_there_is_tells_nothing() {
        assertThat(known("Aqua, Glycerin, Parfum. Contains Linalool, Limonene."))
                .containsExactly("Aqua", "Glycerin", "Parfum", "Linalool", "Limonene");
        assertThat(LabelReader.read("1 g contains: Salicylic Acid 5 g, Aqua")
                        .lines()
                        .getFirst()
                        .declared())
                .isEmpty();
    }

    @Test
    void slashes_split_only_between_languages() {
        assertThat(known("Aqua/Water/Eau")).containsExactly("Aqua");
        assertThat(known("Parfum/Fragrance")).containsExactly("Parfum");
        assertThat(known("Caprylic/Capric Triglyceride")).containsExactly("Caprylic/Capric Triglyceride");
        assertThat(unknown("Acrylates/Sponge Copolymer")).containsExactly("Acrylates/Sponge Copolymer");
    }

    @Test
    void brackets_translate_and_do_not_split() {
        assertThat(known("Aqua (Water), Butyrospermum Parkii (Shea) Butter, Zinc Oxide [nano], Mel (Honey, raw)"))
                .containsExactly("Aqua", "Butyrospermum Parkii Butter", "Zinc Oxide", "Mel");
    }

    @Test
    void a_bracket_never_closed_swallows_nothing() {
        assertThat(known("Aqua (Water, Glycerin, Panthenol")).contains("Glycerin", "Panthenol");
    }

    @Test
    void other_separators_and_locants() {
        assertThat(known("Aqua • Glycerin · Panthenol; Squalane - Urea"))
                .containsExactly("Aqua", "Glycerin", "Panthenol", "Squalane", "Urea");
        assertThat(names("Aqua, 1,2-Hexanediol, Glycerin")).containsExactly("Aqua", "1,2-Hexanediol", "Glycerin");
        assertThat(known("Aqua\nGlycerin\nSqualane")).containsExactly("Aqua", "Glycerin", "Squalane");
    }

    @Test
    void percentages_in_and_out_of_brackets_are_declared() {
        Label label = LabelReader.read("Aqua, Niacinamide 5 %, Panthenol (2,5%), Urea [3 %]");
        assertThat(label.lines()).extracting(l -> l.declared().orElse(-1)).containsExactly(-1.0, 5.0, 2.5, 3.0);
    }

    @Test
    void may_contain_is_never_certain() {
        Label label = LabelReader.read("Aqua, Glycerin. May contain: CI 77491, CI 77492 [+/- CI 77891]");
        assertThat(label.certain()).extracting(LabelLine::printed).containsExactly("Aqua", "Glycerin");
        assertThat(label.lines().stream().filter(LabelLine::mayContain)).hasSizeGreaterThanOrEqualTo(2);
    }

    @Test
    void an_active_panel_is_read_before_the_list() {
        Label label = LabelReader.read(
                "Active ingredient: Salicylic Acid 2 %. Inactive ingredients: Water, Glycerin, Carbomer.");
        assertThat(label.lines().getFirst().printed()).isEqualTo("Salicylic Acid");
        assertThat(label.lines().getFirst().declared()).hasValue(2);
        assertThat(known("Active ingredient: Salicylic Acid 2 %. Inactive ingredients: Water, Glycerin, Carbomer."))
                .containsExactly("Salicylic Acid", "Aqua", "Glycerin", "Carbomer");
    }

    @Test
    void footnotes_marks_and_trailing_claims_fall_away() {
        assertThat(known("Aqua, Simmondsia Chinensis Seed Oil*, Carbomer. Made in Skarrow"))
                .containsExactly("Aqua", "Simmondsia Chinensis Seed Oil", "Carbomer");
    }

    @Test
    void a_name_is_never_matched_by_a_part_of_it() {
        assertThat(Ingredients.find("Cetearyl Alcohol").orElseThrow().is(Tag.DRYING_ALCOHOL))
                .isFalse();
        assertThat(Ingredients.find("Retinyl Palmitate").orElseThrow().inci()).isEqualTo("Retinyl Palmitate");
        assertThat(Ingredients.find("Retin")).isEmpty();
        assertThat(Ingredients.find("Water").orElseThrow().inci()).isEqualTo("Aqua");
        assertThat(Ingredients.find("avobenzone").orElseThrow().inci()).isEqualTo("Butyl Methoxydibenzoylmethane");
    }

    @Test
    void place_and_the_one_percent_line_bound_the_share() {
        Label label = LabelReader.read("Aqua, Glycerin, Squalane, Phenoxyethanol, Panthenol");
        assertThat(label.onePercentLine()).isEqualTo(4);
        LabelLine squalane = label.lines().get(2);
        assertThat(squalane.high()).isLessThanOrEqualTo(100.0 / 3);
        assertThat(label.lines().get(4).high()).isLessThanOrEqualTo(1);
        assertThat(label.lines().get(4).because().sentence()).contains("one percent line");
    }

    @Test
    void a_declared_share_bounds_its_neighbours() {
        Label label = LabelReader.read("Aqua, Glycerin, Niacinamide 4 %, Squalane, Urea");
        assertThat(label.lines().get(1).low()).isGreaterThanOrEqualTo(4);
        assertThat(label.lines().get(3).high()).isLessThanOrEqualTo(4);
    }

    @Test
    void a_share_declared_above_one_percent_cancels_a_weak_marker() {
        assertThat(LabelReader.read("Aqua, Parfum, Niacinamide 4 %").onePercentLine())
                .isZero();
        assertThat(LabelReader.read("Aqua, Parfum, Niacinamide").onePercentLine())
                .isEqualTo(2);
    }

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15, 16})
    void what_is_printed_reads_the_same_again(long seed) {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
        for (int trial = 0; trial < 60; trial++) {
            Label first = LabelReader.read(randomLabel(random));
            Label again = LabelReader.read(first.print());
            assertThat(again.print()).as("seed %d", seed).isEqualTo(first.print());
            assertThat(again.lines())
                    .extracting(LabelLine::printed)
                    .isEqualTo(first.lines().stream().map(LabelLine::printed).toList());
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {21, 22, 23, 24})
    void no_text_makes_it_throw_and_no_range_is_upside_down(long seed) {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
        for (int trial = 0; trial < 2000; trial++) {
            StringBuilder text = new StringBuilder();
            int length = random.nextInt(120);
            for (int i = 0; i < length; i++) {
                text.append("abcWater, ;()[]/%*.-–•1234\n+é中".charAt(random.nextInt(29)));
            }
            for (LabelLine line : LabelReader.read(text.toString()).lines()) {
                assertThat(line.low()).as(text.toString()).isLessThanOrEqualTo(line.high());
            }
        }
    }

    @Test
    void free_strength_is_reckoned_from_what_the_name_says() {
        Product p = product("Retinal cream 0.05 %", "Aqua, Squalane, Glycerin, Retinal, Phenoxyethanol");
        assertThat(p.actives().getFirst().high()).isEqualTo(0.05, within(1e-9));
        assertThat(p.actives().getFirst().declared()).isTrue();
    }

    @Test
    void a_little_lactic_acid_adjusts_and_does_not_exfoliate() {
        assertThat(product("Light lotion", "Aqua, Glycerin, Squalane, Phenoxyethanol, Lactic Acid")
                        .has(ActiveKind.AHA))
                .isFalse();
        assertThat(product("Lactic serum", "Aqua, Lactic Acid 5 %, Glycerin").has(ActiveKind.AHA))
                .isTrue();
    }

    @Test
    void kinds_are_told_by_content_before_name() {
        assertThat(product("Fresh skin", "Aqua, Coco-Glucoside, Glycerin").kind())
                .isEqualTo(StepKind.WASH);
        assertThat(product("Day veil SPF 50", "Aqua, Zinc Oxide 20 %, Glycerin").kind())
                .isEqualTo(StepKind.SUNSCREEN);
        assertThat(product("Night cream", "Aqua, Retinol 0.3 %, Squalane").kind())
                .isEqualTo(StepKind.TREATMENT);
        assertThat(product("Skin water", "Aqua, Glycerin, Panthenol").kind()).isEqualTo(StepKind.SERUM);
        assertThat(product("Number nine", "Petrolatum, Cera Microcristallina").kind())
                .isEqualTo(StepKind.SEAL);
    }

    @Test
    void every_ingredient_of_the_starter_catalogue_is_known() {
        assertThat(StarterCatalogue.products())
                .hasSizeGreaterThanOrEqualTo(40)
                .allSatisfy(p -> assertThat(p.label().unknown()).isEmpty());
        assertThat(Ingredients.all()).hasSizeGreaterThan(220);
    }

    private static Product product(String name, String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId("x"),
                name,
                "",
                30,
                "ml",
                0,
                label,
                java.util.Optional.empty(),
                java.util.OptionalDouble.empty(),
                false));
    }

    private static String randomLabel(RandomGenerator random) {
        List<String> pool = List.of(
                "Aqua",
                "Glycerin",
                "1,2-Hexanediol",
                "Caprylic/Capric Triglyceride",
                "Niacinamide 5 %",
                "Unheard Of Extract",
                "Parfum",
                "Zinc Oxide [nano]",
                "Butyrospermum Parkii (Shea) Butter",
                "Urea (2,5 %)");
        List<String> separators = List.of(", ", "; ", " • ", ",\n");
        StringBuilder text = new StringBuilder(random.nextBoolean() ? "Ingredients: " : "");
        int n = 1 + random.nextInt(9);
        for (int i = 0; i < n; i++) {
            text.append(i == 0 ? "" : separators.get(random.nextInt(separators.size())))
                    .append(pool.get(random.nextInt(pool.size())));
        }
        return random.nextInt(4) == 0 ? text + ". May contain: CI 77491" : text.toString();
    }

    private static List<String> names(String text) {
        return LabelReader.read(text).lines().stream().map(LabelLine::printed).toList();
    }

    private static List<String> known(String text) {
        return LabelReader.read(text).lines().stream()
                .flatMap(l -> l.ingredient().stream())
                .map(Ingredient::inci)
                .toList();
    }

    private static List<String> unknown(String text) {
        return LabelReader.read(text).unknown();
    }
}

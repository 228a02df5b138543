package outfell.product;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import outfell.knowledge.Certainty;

/** What is not spelled as the table spells it. */
class FamiliesTest {
    /** Names of the table that look like a family's and are no allergen of it. */
    private static final Set<String> LOOK_ALIKE =
            Set.of("Juglans Regia Leaf Extract", "Cetearyl Wheat Straw Glycosides");

    private static final Set<String> ALLERGENS = Set.of(
            "nut",
            "bee",
            "lanolin",
            "latex",
            "daisy",
            "wheat",
            "soy",
            "sesame",
            "shellfish",
            "formaldehyde",
            "isothiazolinone",
            "paraben");

    @ParameterizedTest
    @CsvSource({
        "All-Trans-Retinoic Acid, RETINOID",
        "Rétinyl Linolénate, RETINOID",
        "Retinol in liposomes, RETINOID",
        "Vitamin A Palmitate, RETINOID",
        "p-Hydroxyanisole, HYDROQUINONE",
        "Hydrochinon, HYDROQUINONE",
        "Prednisolon, STEROID",
        "Hydrargyrum chloratum, POISON",
        "Trichloressigsäure, CAUSTIC",
        "Potassium Glycolate, AHA",
        "Milchsäure, AHA",
        "Zinc Salicylate, BHA",
        "Poplar Bud Extract, ALLERGEN_SALICYLATE",
        "Walnussöl, ALLERGEN_NUT",
        "PEG-6 Beeswax, ALLERGEN_BEE",
        "Hydrogenated Wollwachs, ALLERGEN_LANOLIN",
        "Polyquaternium-15 Quaternium 15, FORMALDEHYDE_RELEASER",
        "Sodium Butylparaben, ALLERGEN_PARABEN",
        "Rosemary Leaf Oil, ESSENTIAL_OIL",
    })
    void a_name_is_known_by_its_stem(String printed, Tag tag) {
        LabelLine line = line(printed);
        assertThat(line.ingredient().orElseThrow().tags()).contains(tag);
        assertThat(line.certainty()).isNotEqualTo(Certainty.GUESS);
        assertThat(line.because().sentence()).contains("by its name");
    }

    @ParameterizedTest
    @CsvSource({
        "Phenyl Methicone, CAUSTIC",
        "Quinoa Seed Extract, HYDROQUINONE",
        "Butylated Hydroxyanisole, HYDROQUINONE",
        "Sodium Starch Glycolate, AHA",
        "Coconut Milk Powder, ALLERGEN_NUT",
        "Honeysuckle Flower Extract, ALLERGEN_BEE",
        "Buckwheat Seed Extract, ALLERGEN_WHEAT",
        "Horse Chestnut Seed Extract, ALLERGEN_LATEX_CROSS",
        "Rosa Canina Seed Oil, ESSENTIAL_OIL",
        "Pro-Vitamin A, RETINOID",
        "Non-steroidal complex, STEROID",
    })
    void what_only_looks_alike_is_not_taken_for_it(String printed, Tag tag) {
        assertThat(line(printed).ingredient().map(i -> i.is(tag)).orElse(false)).isFalse();
    }

    @Test
    void what_no_family_has_stays_unknown() {
        assertThat(line("Kelp Moonlight Complex").ingredient()).isEmpty();
    }

    @Test
    void table_and_families_agree_on_allergens() {
        List<String> missing = Ingredients.all().stream()
                .filter(i -> !LOOK_ALIKE.contains(i.inci()))
                .flatMap(i -> Families.of(i.inci()).stream()
                        .map(h -> h.meaning())
                        .filter(f -> ALLERGENS.contains(f.id()))
                        .filter(f -> f.tags().stream()
                                .noneMatch(t -> t != Tag.PRESERVATIVE && t != Tag.ANIMAL_ORIGIN && i.is(t)))
                        .map(f -> "%s lacks what %s is".formatted(i.inci(), f.id())))
                .toList();
        assertThat(missing).isEmpty();
    }

    @Test
    void two_names_printed_as_one_are_two() {
        for (String printed : List.of(
                "Glycerin (and) Retinol", "Glycerin / Retinol", "Glycerin and Retinol", "Glycerin (und) Retinol")) {
            assertThat(LabelReader.read("Aqua, " + printed).lines())
                    .as(printed)
                    .extracting(LabelLine::printed)
                    .containsExactly("Aqua", "Glycerin", "Retinol");
        }
        assertThat(LabelReader.read("Aqua, Caprylic/Capric Triglyceride").lines())
                .hasSize(2);
    }

    @ParameterizedTest
    @CsvSource({
        "Retinol serum 0.3 %, RETINOID, 0.3",
        "Vitamin A night cream, RETINOID, ",
        "Hydroquinone cream 4 %, HYDROQUINONE, 4",
        "BHA toner 2 %, BHA, 2",
        "Tea tree oil, ESSENTIAL_OIL, ",
    })
    void without_a_list_the_name_says_what_it_holds(String name, Tag tag, Double percent) {
        Label label = read(name, "").label();
        assertThat(label.unread()).isTrue();
        assertThat(label.claimed()).anySatisfy(l -> {
            assertThat(l.ingredient().orElseThrow().is(tag)).isTrue();
            if (percent != null) {
                assertThat(l.declared()).hasValue(percent);
            }
        });
    }

    @Test
    void what_a_name_says_it_is_free_of_is_not_claimed() {
        for (String name : List.of("Night cream, retinol-free", "Serum without retinol", "Oil-free day cream")) {
            assertThat(read(name, "").label().claimed()).as(name).isEmpty();
        }
    }

    @Test
    void a_list_is_believed_before_the_name_but_for_what_must_not_be_missed() {
        assertThat(read("Retinol serum 1 %", "Aqua, Glycerin").tags()).contains(Tag.RETINOID);
        assertThat(read("Retinol serum 1 %", "Aqua, Glycerin, Retinol").label().claimed())
                .isEmpty();
        assertThat(read("Rose water mist", "Aqua, Glycerin").label().claimed()).isEmpty();
    }

    @Test
    void acids_of_one_product_add_up() {
        Product two = read("Acid fluid", "Aqua, Glycolic Acid 6 %, Lactic Acid 5 %");
        assertThat(two.actives())
                .filteredOn(a -> a.kind() == ActiveKind.AHA)
                .singleElement()
                .satisfies(a -> {
                    assertThat(a.low()).isEqualTo(11);
                    assertThat(a.ingredient()).isEqualTo("Glycolic Acid");
                });
        assertThat(two.harms())
                .singleElement()
                .satisfies(h -> assertThat(h.sentence()).contains("too strong for home"));
        assertThat(read("Acid fluid", "Aqua, Glycolic Acid 6 %, Lactic Acid 4 %")
                        .harms())
                .isEmpty();
    }

    static Stream<String> harmful() {
        return Stream.of(
                "Peel|Aqua, Trichloroacetic Acid 20 %",
                "Peel|Aqua, Phenol 5 %",
                "Fluid|Aqua, Salicylic Acid 3 %",
                "Fluid, pH 3.1|Aqua, Glycolic Acid 8 %",
                "Cream|Aqua, Glycerin, Ammoniated Mercury",
                "Cream|Aqua, Monobenzone 10 %",
                "Powder|Boric Acid, Talc",
                "Zahnpasta|",
                "Baking soda mask|",
                "Tea tree oil|Melaleuca Alternifolia Leaf Oil",
                "Gel|Aqua, Clindamycin Phosphate 1 %",
                "Cream|Aqua, Tretinoin 0.05 %");
    }

    @ParameterizedTest
    @org.junit.jupiter.params.provider.MethodSource("harmful")
    void what_is_not_for_a_face_at_home_is_refused_by_the_name_of_the_harm(String row) {
        String[] each = row.split("\\|", 2);
        assertThat(read(each[0], each[1]).harms()).isNotEmpty();
    }

    @Test
    void near_misses_harm_nobody() {
        assertThat(read("Fluid", "Aqua, Salicylic Acid 2 %").harms()).isEmpty();
        assertThat(read("Fluid, pH 3.8", "Aqua, Glycolic Acid 8 %").harms()).isEmpty();
        assertThat(read("Cream", "Aqua, Glycerin, Sodium Bicarbonate, Phenoxyethanol")
                        .harms())
                .isEmpty();
    }

    @Test
    void a_sunscreen_is_one_only_with_filters_at_a_share_that_carries_it() {
        assertThat(read("Sun fluid SPF 50", "Aqua, Zinc Oxide 20 %").protectsFromSun())
                .isTrue();
        assertThat(read("Carrot oil SPF 50", "Daucus Carota Sativa Seed Oil").protectsFromSun())
                .isFalse();
        assertThat(read("Sun fluid SPF 50", "Aqua, Glycerin, Zinc Oxide 0.5 %").protectsFromSun())
                .isFalse();
        assertThat(read("Sun fluid SPF 50", "").protectsFromSun()).isFalse();
        assertThat(read("After-sun milk", "Aqua, Aloe Barbadensis Leaf Juice").protectsFromSun())
                .isFalse();
    }

    private static LabelLine line(String printed) {
        return LabelReader.read("Aqua, " + printed).lines().getLast();
    }

    private static Product read(String name, String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId("x"),
                name,
                "",
                0,
                "ml",
                0,
                label,
                java.util.Optional.empty(),
                java.util.OptionalDouble.empty(),
                false));
    }
}

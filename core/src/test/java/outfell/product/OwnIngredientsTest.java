package outfell.product;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a practice says of ingredients, over the table. */
class OwnIngredientsTest {
    private static final LocalDate DAY = LocalDate.of(2026, 11, 27);

    private static OwnIngredients.Row row(String name, Tag... tags) {
        return new OwnIngredients.Row(
                name,
                "",
                Set.of(tags),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                "the maker's sheet",
                "Signe",
                DAY);
    }

    private static Label read(String text, OwnIngredients.Row... rows) {
        return LabelReader.read(text, Map.of(), new OwnIngredients(List.of(rows)));
    }

    @Test
    void a_name_that_the_table_does_not_have_is_what_the_practice_says() {
        String list = "Aqua, Skarrow Wrack Complex, Glycerin";
        assertThat(read(list).unknown()).containsExactly("Skarrow Wrack Complex");
        Label label =
                read(list, row("skarrow wrack  complex", Tag.SOOTHING, Tag.ALLERGEN_SHELLFISH, Tag.ANIMAL_ORIGIN));
        assertThat(label.unknown()).isEmpty();
        LabelLine line = label.lines().get(1);
        assertThat(line.is(Set.of(Tag.ALLERGEN_SHELLFISH))).isTrue();
        assertThat(line.because().sentence())
                .contains("As the practice has it: the maker's sheet (Signe, 2026-11-27).");
    }

    @ParameterizedTest
    @CsvSource({"Prunus Amygdalus Dulcis Oil, ALLERGEN_NUT", "Retinol, RETINOID", "Limonene, FRAGRANCE_ALLERGEN"})
    void what_the_table_holds_against_an_ingredient_stays(String name, Tag tag) {
        Label label = read("Aqua, " + name, row(name, Tag.SOOTHING));
        assertThat(label.lines().get(1).is(Set.of(tag))).isTrue();
        assertThat(label.lines().get(1).is(Set.of(Tag.SOOTHING))).isTrue();
    }

    @Test
    void another_name_of_the_same_ingredient_is_the_same() {
        Label label = read("Water, Shea Butter", row("Butyrospermum Parkii Butter", Tag.ALLERGEN_NUT));
        assertThat(label.lines().get(1).is(Set.of(Tag.ALLERGEN_NUT))).isTrue();
    }

    @Test
    void a_usual_range_of_its_own_bounds_its_share() {
        OwnIngredients.Row strong = new OwnIngredients.Row(
                "Glycerin",
                "",
                Set.of(),
                OptionalDouble.of(6),
                OptionalDouble.of(8),
                Optional.empty(),
                "weighed here",
                "Signe",
                DAY);
        LabelLine line = read("Aqua, Glycerin, Squalane", strong).lines().get(1);
        assertThat(line.low()).isEqualTo(6);
        assertThat(line.high()).isEqualTo(8);
    }

    @Test
    void an_active_that_the_practice_names_acts() {
        Product.Facts facts = new Product.Facts(
                new ProductId("wrack"),
                "Wrack fluid",
                "",
                30,
                "ml",
                0,
                "Aqua, Skarrow Peeling Salt 6%, Glycerin",
                Optional.empty(),
                OptionalDouble.empty(),
                false);
        assertThat(ProductReader.read(facts).actives()).noneMatch(a -> a.kind() == ActiveKind.AHA);
        OwnIngredients own = new OwnIngredients(List.of(row("Skarrow Peeling Salt", Tag.AHA, Tag.EXFOLIATING_ACID)));
        assertThat(ProductReader.read(facts, own).actives()).anyMatch(a -> a.kind() == ActiveKind.AHA);
    }

    @Test
    void nobody_says_anything_without_a_name_and_a_reason() {
        assertThatThrownBy(() -> new OwnIngredients.Row(
                        "Glycerin",
                        "",
                        Set.of(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        Optional.empty(),
                        " ",
                        "Signe",
                        DAY))
                .hasMessageContaining("why");
        assertThatThrownBy(() -> new OwnIngredients.Row(
                        "Glycerin",
                        "",
                        Set.of(),
                        OptionalDouble.of(9),
                        OptionalDouble.of(3),
                        Optional.empty(),
                        "a guess",
                        "Signe",
                        DAY))
                .hasMessageContaining("usual share");
    }
}

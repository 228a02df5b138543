package outfell.product;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a pack speaks of outside its list is never harmless. */
class BesideTest {
    private static Product read(String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId("pack"),
                "Plain cream",
                "",
                50,
                "ml",
                0,
                label,
                Optional.empty(),
                OptionalDouble.empty(),
                false));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Aqua, Glycerin. May contain traces of nuts.|ALLERGEN_NUT",
                "Aqua, Glycerin. Spuren von Erdnuss möglich.|ALLERGEN_NUT",
                "Aqua, Glycerin. Warnings: avoid contact with eyes. Limonene, Linalool|FRAGRANCE_ALLERGEN",
                "Aqua, Glycerin. Keep cool. Made where sesame is worked.|ALLERGEN_SESAME",
                "Aqua, Glycerin. Directions: apply. Scented with lavender oil.|ESSENTIAL_OIL",
            })
    void an_allergen_beside_the_list_may_be_in_it_and_is_told(String label, Tag tag) {
        Product product = read(label);
        assertThat(product.mayHold(Set.of(tag))).isTrue();
        assertThat(product.holds(tag)).isFalse();
        assertThat(product.findings())
                .anyMatch(f -> f.about().equals("mind") && f.found().startsWith("may hold "));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Aqua, Glycerin. Free from nuts, lanolin and perfume.|ALLERGEN_NUT",
                "Aqua, Glycerin. Without lanolin.|ALLERGEN_LANOLIN",
                "Aqua, Glycerin. Dermatologically tested, fragrance-free.|FRAGRANCE",
                "Aqua, Glycerin. Apply to dry skin morning and evening.|ALLERGEN_NUT",
            })
    void what_a_pack_says_it_is_without_is_not_in_it(String label, Tag tag) {
        assertThat(read(label).mayHold(Set.of(tag))).isFalse();
    }

    @Test
    void a_shelf_made_claim_ends_where_a_warning_begins() {
        assertThat(read("Aqua, Glycerin. Free from parabens; may contain traces of peanuts.")
                        .mayHold(Set.of(Tag.ALLERGEN_NUT)))
                .isTrue();
    }
}

package outfell.product;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a label tells beside kind and texture: one case where each finding is made, one where it is not. */
class LabelFindingsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Sun milk SPF 30 UVA | Aqua, Zinc Oxide 15 % | mineral filters | organic filters",
                "Sun milk SPF 30 UVA | Aqua, Octocrylene 8 % | organic filters | mineral filters",
                "Sun milk SPF 30 UVA | Aqua, Octocrylene 8 %, Zinc Oxide 5 % | mineral and organic filters | UVA not told",
                "Sun milk SPF 30 | Aqua, Octocrylene 8 % | UVA not told | no SPF",
                "Day cream | Aqua, Octocrylene 8 % | no SPF on the pack | UVA not told",
                "Sun milk SPF 30 | Aqua, Glycerin | no filter found | filters:",
                "Raspberry oil | Rubus Idaeus Seed Oil | no sun protection | no filter found",
                "Sun SPF 30 | Aqua, Avobenzone 3 %, Octinoxate 7 % | break each other down | without a steadier",
                "Sun SPF 30 | Aqua, Avobenzone 3 % | without a steadier | break each other down",
                "Sun SPF 30 | Aqua, Avobenzone 3 %, Octocrylene 8 % | organic filters | without a steadier",
                "Sun SPF 30 | Aqua, Avobenzone 3 %, Octocrylene 8 %, Zinc Oxide 5 % | beside a mineral filter | without a steadier",
                "Serum | Aqua, Lactic Acid 5 % | the pH of it | drying alcohol:",
                "Serum | Aqua, Glycerin, Niacinamide 5 % | make-up | the pH of it",
                "Cream | Aqua, Glycerin, Linalool | allergens that the law names: Linalool | perfume",
                "Cream | Aqua, Glycerin | perfume | fragrance:",
                "Cream | Aqua, Cera Alba | of animal origin: Cera Alba | allergens that",
                "Cream | Aqua, Retinol 0.3 % | not in pregnancy | of animal origin",
                "Cream | Aqua, Glycerin, Quaternium-15 | formaldehyde releaser | not in pregnancy",
                "Cream | Aqua, Cocos Nucifera Oil, Glycerin | called comedogenic | formaldehyde",
                "Cream | Aqua, Butylphenyl Methylpropional | old stock | called comedogenic",
                "Oil | Citrus Limon Peel Oil | sun-reactive citrus oil | old stock"
            })
    void each_finding_is_made_where_it_should_and_not_next_to_it(String name, String label, String found, String not) {
        List<String> all = read(name, label, List.of()).findings().stream()
                .map(f -> f.about() + " " + f.found())
                .toList();
        assertThat(all).as("%s", all).anyMatch(f -> f.contains(found));
        assertThat(all).as("%s", all).noneMatch(f -> f.contains(not));
        assertThat(read(name, label, List.of()).findings())
                .allSatisfy(f -> assertThat(f.because().source()).isNotBlank());
    }

    @Test
    void an_unknown_name_forbids_to_call_a_product_free_of_anything() {
        assertThat(read("Cream", "Aqua, Glycerin, Oarweed Glass Polymer", List.of())
                        .findings())
                .noneMatch(f -> f.about().equals("free of"));
    }

    @Test
    void what_was_put_right_stands_with_its_author_and_survives_a_new_reading() {
        LocalDate day = LocalDate.of(2026, 11, 25);
        List<Correction> corrections = List.of(
                new Correction(Correction.About.NAME, "Glycerln", "Glycerin", "Runa", day),
                new Correction(Correction.About.NAME, "Shake well", "", "Runa", day),
                new Correction(Correction.About.KIND, "", "TONER", "Runa", day),
                new Correction(Correction.About.TEXTURE, "", "1.0", "Runa", day));
        Product p = read("Skin water", "Aqua, Glycerln, Shake well", corrections);
        assertThat(p.label().unknown()).isEmpty();
        assertThat(p.kind()).isEqualTo(StepKind.TONER);
        assertThat(p.texture()).isEqualTo(1);
        assertThat(p.findings())
                .anySatisfy(f -> assertThat(f.because().sentence()).contains("Set by Runa"))
                .anySatisfy(f -> assertThat(f.found()).isEqualTo("\"Glycerln\" is Glycerin"));
    }

    @Test
    void a_correction_that_cannot_be_is_refused() {
        LocalDate day = LocalDate.of(2026, 11, 25);
        assertThatThrownBy(() -> new Correction(Correction.About.NAME, "x", "No Such Thing", "Runa", day))
                .hasMessageContaining("knows no ingredient");
        assertThatThrownBy(() -> new Correction(Correction.About.TEXTURE, "", "12", "Runa", day))
                .hasMessageContaining("1..8");
        assertThatThrownBy(() -> new Correction(Correction.About.KIND, "", "SOUP", "Runa", day))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Correction(Correction.About.KIND, "", "TONER", " ", day))
                .hasMessageContaining("whoever makes it");
    }

    private static Product read(String name, String label, List<Correction> corrections) {
        return ProductReader.read(new Product.Facts(
                        new ProductId("x"),
                        name,
                        "",
                        30,
                        "ml",
                        0,
                        label,
                        Optional.empty(),
                        OptionalDouble.empty(),
                        false)
                .corrected(corrections));
    }
}

package outfell.safety;

import static org.assertj.core.api.Assertions.assertThat;
import static outfell.skin.Faces.face;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.safety.Answers.Expecting;
import outfell.skin.Faces;
import outfell.skin.Sign;
import outfell.skin.SkinReader;
import outfell.skin.SkinReading;

/** Every row once where it fires and once where it just does not. */
class SafetyScreenTest {
    /** For each known allergy: what it forbids, and its near miss. */
    private static final Map<String, List<String>> ALLERGENS = Map.ofEntries(
            Map.entry("nuts", List.of("Prunus Amygdalus Dulcis Oil", "Mandelic Acid")),
            Map.entry("bee-products", List.of("Mel", "Euphorbia Cerifera Cera")),
            Map.entry("shellfish", List.of("Chitosan", "Laminaria Digitata Extract")),
            Map.entry("latex", List.of("Papain", "Bromelain")),
            Map.entry("fragrance", List.of("Linalool", "Bisabolol")),
            Map.entry("salicylates", List.of("Salix Alba Bark Extract", "Ethylhexyl Salicylate")),
            Map.entry("lanolin", List.of("Lanolin Alcohol", "Cetearyl Alcohol")),
            Map.entry("daisies", List.of("Calendula Officinalis Flower Extract", "Centella Asiatica Extract")),
            Map.entry("wheat", List.of("Hydrolyzed Wheat Protein", "Avena Sativa Kernel Flour")),
            Map.entry("soy", List.of("Glycine Soja Oil", "Helianthus Annuus Seed Oil")),
            Map.entry("sesame", List.of("Sesamum Indicum Seed Oil", "Squalane")),
            Map.entry("formaldehyde", List.of("DMDM Hydantoin", "Phenoxyethanol")),
            Map.entry("isothiazolinones", List.of("Methylisothiazolinone", "Sodium Benzoate")));

    static List<String> allergies() {
        return SafetyScreen.allergies().stream().map(SafetyScreen.Allergy::id).toList();
    }

    @ParameterizedTest
    @MethodSource("allergies")
    void each_allergy_forbids_its_own_and_nothing_near_it(String id) {
        SafetyVerdict verdict = screen(new Answers(Expecting.NO, List.of(id), List.of(), false, ""), face());
        List<String> pair = ALLERGENS.getOrDefault(id, List.of());
        assertThat(pair).as("no case for %s", id).hasSize(2);
        assertThat(verdict.forbids(holding(pair.get(0)))).isPresent();
        assertThat(verdict.forbids(holding(pair.get(1)))).isEmpty();
    }

    @Test
    void an_allergy_the_table_does_not_know_is_matched_as_text_and_said_to_be_a_guess() {
        SafetyVerdict verdict = screen(new Answers(Expecting.NO, List.of(), List.of("oarweed"), false, ""), face());
        assertThat(verdict.forbids(holding("Laminaria Digitata Extract"))
                        .orElseThrow()
                        .sentence())
                .contains("guess");
        assertThat(verdict.forbids(holding("Glycerin"))).isEmpty();
        assertThat(screen(new Answers(Expecting.NO, List.of(), List.of("oar"), false, ""), face())
                        .forbids(holding("Laminaria Digitata Extract")))
                .isEmpty();
    }

    @Test
    void pregnancy_and_trying_keep_retinoids_and_hydroquinone_out_and_leave_azelaic_acid() {
        for (Expecting expecting : List.of(Expecting.PREGNANT, Expecting.TRYING)) {
            SafetyVerdict verdict = screen(expecting(expecting), face());
            assertThat(verdict.forbids(holding("Retinol"))).isPresent();
            assertThat(verdict.forbids(holding("Retinyl Palmitate"))).isPresent();
            assertThat(verdict.forbids(holding("Bakuchiol"))).isPresent();
            assertThat(verdict.forbids(holding("Hydroquinone"))).isPresent();
            assertThat(verdict.forbids(holding("Azelaic Acid"))).isEmpty();
        }
        assertThat(screen(expecting(Expecting.PREGNANT), face()).forbids(holding("Lavandula Angustifolia Oil")))
                .isPresent();
        assertThat(screen(expecting(Expecting.TRYING), face()).forbids(holding("Lavandula Angustifolia Oil")))
                .isEmpty();
        assertThat(screen(expecting(Expecting.NO), face()).forbids(holding("Retinol")))
                .isEmpty();
    }

    @Test
    void nursing_keeps_retinoids_out_and_leaves_bakuchiol() {
        SafetyVerdict verdict = screen(expecting(Expecting.BREASTFEEDING), face());
        assertThat(verdict.forbids(holding("Retinol"))).isPresent();
        assertThat(verdict.forbids(holding("Bakuchiol"))).isEmpty();
    }

    @Test
    void a_prescribed_retinoid_is_the_only_one_and_with_a_pregnancy_refers_first() {
        SafetyVerdict alone = screen(new Answers(Expecting.NO, List.of(), List.of(), true, ""), face());
        assertThat(alone.referrals()).isEmpty();
        assertThat(alone.forbids(holding("Retinol"))).isPresent();
        assertThat(alone.forbids(holding("Lactic Acid"))).isEmpty();
        SafetyVerdict expecting = screen(new Answers(Expecting.TRYING, List.of(), List.of(), true, ""), face());
        assertThat(expecting.referrals())
                .extracting(SafetyVerdict.Referral::whom)
                .anyMatch(w -> w.contains("prescriber"));
    }

    @Test
    void severe_spots_and_sheets_of_flaking_refer_first_and_marked_ones_do_not() {
        assertThat(screen(Answers.NONE, face().with(Sign.SPOTS, 4)).referrals()).hasSize(1);
        assertThat(screen(Answers.NONE, face().with(Sign.SPOTS, 3)).referrals()).isEmpty();
        assertThat(screen(Answers.NONE, face().with(Sign.FLAKING, 4)).referrals())
                .hasSize(1);
        assertThat(screen(Answers.NONE, face().with(Sign.FLAKING, 3)).referrals())
                .isEmpty();
    }

    @Test
    void a_broken_barrier_lets_nothing_strong_and_nothing_scented_near() {
        SafetyVerdict broken = screen(
                Answers.NONE, face().with(Sign.STING, 3).with(Sign.REDNESS, 3).with(Sign.TIGHTNESS, 3));
        assertThat(broken.forbids(named("Lactic serum", "Aqua, Lactic Acid 5 %")))
                .isPresent();
        assertThat(broken.forbids(named("Vitamin C serum", "Aqua, Ascorbic Acid 12 %")))
                .isPresent();
        assertThat(broken.forbids(named("Night cream", "Aqua, Squalane, Parfum")))
                .isPresent();
        assertThat(broken.forbids(named("Plain cream", "Aqua, Glycerin, Petrolatum")))
                .isEmpty();
        SafetyVerdict sound = screen(Answers.NONE, face().with(Sign.STING, 0).with(Sign.REDNESS, 1));
        assertThat(sound.forbids(named("Lactic serum", "Aqua, Lactic Acid 5 %")))
                .isEmpty();
    }

    @Test
    void every_verdict_carries_evidence_and_source() {
        SafetyVerdict verdict = screen(
                new Answers(Expecting.PREGNANT, allergies(), List.of("kelp"), true, ""), face().with(Sign.SPOTS, 4));
        assertThat(verdict.bans())
                .isNotEmpty()
                .allSatisfy(b -> assertThat(b.because().source()).isNotBlank());
        assertThat(verdict.referrals())
                .allSatisfy(r -> assertThat(r.because().source()).isNotBlank());
    }

    private static Answers expecting(Expecting expecting) {
        return new Answers(expecting, List.of(), List.of(), false, "");
    }

    private static SafetyVerdict screen(Answers answers, Faces face) {
        SkinReading reading = face.reading();
        return SafetyScreen.screen(answers, reading, SkinReader.read(reading, Set.of()));
    }

    private static Product holding(String ingredient) {
        return named("Something", "Aqua, Glycerin, Xanthan Gum, " + ingredient);
    }

    private static Product named(String name, String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId("x"), name, "", 0, "ml", 0, label, Optional.empty(), OptionalDouble.empty(), false));
    }
}

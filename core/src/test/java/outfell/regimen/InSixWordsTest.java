package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.routine.Step;
import outfell.skin.Concern;

/** What a step does for the client: short, and true of that product. */
class InSixWordsTest {
    @Test
    void no_product_and_no_step_of_any_plan_needs_more_than_six_words() {
        assertThat(Consultations.CATALOGUE)
                .allSatisfy(p ->
                        assertThat(InSixWords.of(p, List.of())).isNotBlank().satisfies(this::brief));
        for (Concern a : Concern.values()) {
            for (Concern b : Concern.values()) {
                brief(InSixWords.of(Consultations.product("serum-niacinamide-5"), List.of(a, b)));
            }
        }
        for (int seed = 0; seed < 40; seed++) {
            RandomGenerator random =
                    RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
            Outcome outcome = Planner.plan(Consultations.of(
                    Consultations.face(random),
                    Methods.all().get(seed % 5).id().value(),
                    Month.of(1 + seed % 12),
                    Consultations.CATALOGUE,
                    List.of(),
                    Consultations.NOTHING,
                    outfell.consultation.Life.USUAL));
            ((Outcome.Planned) outcome).regimen().steps().map(Step::does).forEach(this::brief);
        }
    }

    private void brief(String does) {
        assertThat(InSixWords.words(does)).as(does).isBetween(2, 6);
    }

    @Test
    void it_says_what_is_helped_and_else_what_is_in_it() {
        Product cream = Consultations.product("cream-fisher");
        assertThat(InSixWords.of(cream, List.of(Concern.DRYNESS, Concern.BARRIER)))
                .isEqualTo("for dryness and weak barrier");
        assertThat(InSixWords.of(cream, List.of(Concern.LINES, Concern.AFTER_MARKS)))
                .as("two that are too long")
                .isEqualTo("for lines and firmness");
        Product ointment = Consultations.CATALOGUE.stream()
                .filter(p -> p.kind() == StepKind.SEAL && p.composition().humectant() == 0)
                .findFirst()
                .orElseThrow();
        assertThat(InSixWords.of(ointment, List.of())).contains("seals").doesNotContain("waters");
        Product sunscreen = Consultations.product("day-fluid-30");
        assertThat(InSixWords.of(sunscreen, List.of(Concern.DRYNESS))).isEqualTo("holds off the sun, SPF 30");
    }

    @Test
    void a_strong_foam_is_not_said_to_be_mild() {
        Product foam = Consultations.CATALOGUE.stream()
                .filter(p -> p.kind() == StepKind.WASH && p.holds(outfell.product.Tag.SURFACTANT_STRONG))
                .findFirst()
                .orElseThrow();
        assertThat(InSixWords.of(foam, List.of())).isEqualTo("takes off grease and salt");
    }
}

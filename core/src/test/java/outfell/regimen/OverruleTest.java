package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Month;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.ByHand;
import outfell.consultation.Consultation.Choice;
import outfell.hand.Refusal;
import outfell.knowledge.Because;
import outfell.product.ProductId;
import outfell.routine.Adjustment;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.skin.Faces;
import outfell.skin.Sign;

/** A rule that is no ban gives way to a reason of the therapist's; rule and reason stay on the plan. */
class OverruleTest {
    private static final Consultation JULY =
            Consultations.of(Faces.face().with(Sign.SHINE, 1, 1, 1, 1, 1)).in(Month.JULY);
    private static final Choice SPF_30 = new Choice(Part.MORNING, new ProductId("day-fluid-30"));
    private static final Choice OIL_AT_DAWN = new Choice(Part.MORNING, new ProductId("oil-cleanse-clear"));

    @Test
    void a_weaker_sunscreen_in_july_stands_with_a_reason_and_the_plan_says_both() {
        Refusal refused = Planner.refusal(JULY, SPF_30).orElseThrow();
        assertThat(refused.overrulable()).isTrue();
        assertThat(refused.because().sentence()).startsWith("Day fluid SPF 30 has SPF 30.");

        Regimen plan = regimen(because(JULY, SPF_30, "it is open, and she works in the loft all month"));
        assertThat(plan.refusals()).isEmpty();
        Step step = step(plan, SPF_30).orElseThrow();
        assertThat(step.hand().overrule()).isEqualTo("it is open, and she works in the loft all month");
        assertThat(plan.notices())
                .extracting(Because::sentence)
                .anySatisfy(s -> assertThat(s)
                        .startsWith("Against a rule, by hand: Day fluid SPF 30 has SPF 30.")
                        .endsWith("Because: it is open, and she works in the loft all month"));
    }

    @Test
    void an_oil_in_the_morning_stands_with_a_reason_and_without_one_it_does_not() {
        assertThat(step(regimen(JULY.with(OIL_AT_DAWN)), OIL_AT_DAWN)).isEmpty();
        assertThat(step(regimen(because(JULY, OIL_AT_DAWN, "she sleeps in an ointment")), OIL_AT_DAWN))
                .isPresent();
        assertThat(step(regimen(because(JULY, OIL_AT_DAWN, "  ")), OIL_AT_DAWN)).isEmpty();
    }

    @Test
    void no_reason_overrules_a_ban_nor_what_light_and_skin_forbid() {
        Consultation pregnant = JULY.parts()
                .answers(Consultations.NOTHING.yes("pregnant"))
                .together()
                .in(Month.NOVEMBER);
        Choice retinol = new Choice(Part.EVENING, new ProductId("retinol-serum-02"));
        Choice acidByDay = new Choice(Part.MORNING, new ProductId("glycolic-fluid-8"));
        assertThat(Planner.refusal(because(pregnant, retinol, "she insists"), retinol))
                .hasValueSatisfying(r -> assertThat(r.overrulable()).isFalse());
        assertThat(Planner.refusal(because(JULY, acidByDay, "she insists"), acidByDay))
                .hasValueSatisfying(r -> assertThat(r.overrulable()).isFalse());
    }

    @Test
    void what_a_medicine_asks_of_the_sunscreen_is_no_rule_of_custom() {
        Consultation burnsSooner = JULY.parts()
                .answers(Consultations.NOTHING.yes("photosensitising"))
                .together();
        assertThat(Planner.refusal(because(burnsSooner, SPF_30, "it is open"), SPF_30))
                .hasValueSatisfying(r -> assertThat(r.overrulable()).isFalse());
    }

    @Test
    void where_no_rule_speaks_against_it_the_reason_says_nothing() {
        Choice cream = new Choice(Part.EVENING, new ProductId("cream-fisher"));
        Regimen plan = regimen(because(JULY, cream, "she likes it"));
        assertThat(step(plan, cream)).isPresent();
        assertThat(plan.notices()).extracting(Because::sentence).noneMatch(s -> s.startsWith("Against a rule"));
    }

    @Test
    void a_reason_is_a_sentence_and_no_letter() {
        assertThatThrownBy(() -> because(JULY, SPF_30, "x".repeat(201)))
                .hasMessageContaining("200 characters, not 201");
    }

    private static Consultation because(Consultation c, Choice pin, String reason) {
        Adjustment plain = Adjustment.none(pin.part(), pin.product());
        Adjustment overruled = new Adjustment(
                plain.part(),
                plain.product(),
                false,
                java.util.Set.of(),
                List.of(),
                Optional.empty(),
                false,
                "",
                Optional.empty(),
                reason,
                List.of());
        return c.by(new ByHand(List.of(pin), List.of(), List.of(overruled)));
    }

    private static Optional<Step> step(Regimen regimen, Choice of) {
        return regimen.routine(of.part()).steps().stream()
                .filter(s -> s.product().equals(of.product()))
                .findFirst();
    }

    private static Regimen regimen(Consultation consultation) {
        return ((Outcome.Planned) Planner.plan(consultation)).regimen();
    }
}

package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import outfell.conflict.Conflicts;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Habit;
import outfell.consultation.Consultation.Owned;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Feel;
import outfell.routine.Step;
import outfell.safety.SafetyScreen;
import outfell.shelf.PresentRoutine;
import outfell.skin.Faces;
import outfell.skin.ProbeBands;
import outfell.skin.Sign;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;

/** How a layer should not feel, and what follows when a wash leaves the skin tight. */
class FeelTest {
    private static final Consultation PLAIN = Consultations.of(Faces.face().with(Sign.SHINE, 1, 1, 1, 1, 1));
    private static final Product WASH = Consultations.product("gel-wash-low-foam");

    @Test
    void a_sign_is_told_of_what_can_give_it_and_of_nothing_else() {
        assertThat(signs("wash-salicylic")).contains("Tight ten minutes after washing");
        assertThat(signs("lactic-serum-5")).contains("It burns, or tingles longer than two minutes");
        assertThat(signs("serum-humectant")).containsExactly("Still tacky after a minute");
        assertThat(signs("retinol-serum-02")).contains("Flaking, or stinging under the cream");
        assertThat(signs("cream-fisher")).doesNotContain("Flaking, or stinging under the cream");
    }

    @Test
    void the_sheet_tells_the_weightiest_once_each_and_no_more_than_fit() {
        List<Feel> told = regimen(PLAIN).feel();
        assertThat(told).hasSizeLessThanOrEqualTo(3).doesNotHaveDuplicates();
        assertThat(told.getFirst().sign()).isEqualTo("Tight ten minutes after washing");
    }

    @Test
    void every_step_has_its_own() {
        assertThat(regimen(PLAIN).steps().filter(s -> s.kind() == StepKind.MOISTURISER))
                .isNotEmpty()
                .allSatisfy(s -> assertThat(s.feel()).isNotEmpty());
    }

    @Test
    void a_wash_that_leaves_her_tight_is_not_chosen_again_and_that_is_the_reason() {
        Consultation fine = owning(Optional.of(false));
        Consultation tight = owning(Optional.of(true));
        assertThat(washes(fine)).contains(WASH.id());
        assertThat(washes(tight)).isNotEmpty().doesNotContain(WASH.id());
        assertThat(regimen(tight).shelf())
                .filteredOn(a -> a.product().equals(WASH.id()))
                .singleElement()
                .satisfies(a -> assertThat(a.because().sentence()).contains("leaves the skin tight"));
    }

    @Test
    void the_present_routine_stops_it_and_says_where_nobody_asked() {
        assertThat(now(Optional.of(true)).fate()).isEqualTo(PresentRoutine.Fate.STOP);
        assertThat(now(Optional.of(true)).because().sentence()).contains("leaves the skin tight ten minutes after");
        assertThat(now(Optional.of(false)).because().sentence()).isEqualTo("Nothing speaks against it.");
        assertThat(now(Optional.empty()).because().sentence()).contains("has not been asked");
    }

    private static PresentRoutine.Now now(Optional<Boolean> leavesTight) {
        SkinVerdict skin = SkinReader.read(PLAIN.reading(), PLAIN.lifted(), ProbeBands.SHIPPED);
        return PresentRoutine.read(
                        List.of(new PresentRoutine.Used(WASH, 20, false, true, 7, leavesTight)),
                        skin,
                        SafetyScreen.screen(Consultations.NOTHING, PLAIN.reading(), skin, List.of()),
                        Methods.all().getFirst(),
                        Conflicts.SHIPPED)
                .evening()
                .getFirst();
    }

    private static Consultation owning(Optional<Boolean> leavesTight) {
        Owned wash =
                new Owned(WASH, 20, List.of(), Optional.empty(), Optional.of(new Habit(true, true, 7, leavesTight)));
        return PLAIN.parts().shelf(new ArrayList<>(List.of(wash))).together();
    }

    private static List<ProductId> washes(Consultation consultation) {
        return regimen(consultation).evening().steps().stream()
                .filter(s -> s.kind() == StepKind.WASH)
                .map(Step::product)
                .toList();
    }

    private static List<String> signs(String id) {
        return Feel.of(Consultations.product(id)).stream().map(Feel::sign).toList();
    }

    private static Regimen regimen(Consultation consultation) {
        return ((Outcome.Planned) Planner.plan(consultation)).regimen();
    }
}

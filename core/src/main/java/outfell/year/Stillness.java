package outfell.year;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import outfell.changes.Change;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.regimen.Regimen;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.season.Lever;
import outfell.year.Stretch.QuietTurn;
import outfell.year.Stretch.ToldNote;
import outfell.year.Stretch.TurnOfAir;

/** Why a turn of the air changes nothing in a plan. */
final class Stillness {
    private final Consultation consultation;
    private final Regimen plan;
    private final List<Change> changes;
    private final List<ToldNote> told;

    Stillness(Consultation consultation, Regimen plan, List<Change> changes, List<ToldNote> told) {
        this.consultation = consultation;
        this.plan = plan;
        this.changes = changes;
        this.told = told;
    }

    /** Of what has turned, all that is the reason of no change. */
    List<QuietTurn> of(List<TurnOfAir> turned) {
        return turned.stream()
                .filter(t -> changes.stream().noneMatch(c -> c.because().contains(t.because())))
                .filter(t -> told.isEmpty() || !isTold(t.lever()))
                .map(t -> new QuietTurn(t.day(), t.words(), Because.house(why(t))))
                .toList();
    }

    /** What moves only a note of the sheet. */
    private static boolean isTold(Lever lever) {
        return lever == Lever.SUN_AGAIN || lever == Lever.WATER_FAST || lever == Lever.MIST || lever == Lever.HANDS;
    }

    private String why(TurnOfAir t) {
        return switch (t.lever()) {
            case EVENING_CREAM -> cream(Part.EVENING, plan.asked().moisturiser().grade());
            case DAY_CREAM ->
                cream(Part.MORNING, plan.asked().moisturiserByDay().grade());
            case SPF ->
                steps(StepKind.SUNSCREEN)
                        .findFirst()
                        .flatMap(s -> consultation.find(s.product()))
                        .map(p -> "%s has SPF %d, and %d is asked."
                                .formatted(p.name(), p.spf(), plan.asked().spf().value()))
                        .orElse(SAME);
            case NEW_RETINOID, NEW_ACID -> "The plan brings in none, whether it may or not.";
            case RETINOID ->
                has(ActiveKind.RETINOID)
                        ? "Its retinoid is not long borne, or prescribed, or down to one night."
                        : "The plan has no retinoid.";
            case OIL_PLACE ->
                steps(StepKind.OIL).findFirst().isPresent()
                        ? "The method lays the oil on wet skin, in any air."
                        : "The plan has no oil.";
            case TONER -> steps(StepKind.TONER).findFirst().isPresent() ? SAME : "The plan has no toner.";
            case BARE ->
                steps(StepKind.SUNSCREEN)
                        .flatMap(s -> s.leftOut().stream())
                        .map(Step.NotOn::because)
                        .filter(b -> plan.asked().bare().value() > 0
                                && !b.equals(plan.asked().bare().because()))
                        .map(Because::sentence)
                        .findFirst()
                        .orElse(SAME);
            case SUN_AGAIN,
                    WATER_FAST,
                    DAY_CREAM_NEEDED,
                    AMOUNT,
                    SEAL,
                    OIL,
                    WASH,
                    CARRIER,
                    LIPS,
                    EXFOLIATION,
                    MIST,
                    HANDS,
                    AIR -> SAME;
        };
    }

    private static final String SAME = "With it and without it the plan is the same.";

    private String cream(Part part, double asked) {
        Optional<Step> cream = plan.routine(part).steps().stream()
                .filter(s -> s.kind() == StepKind.MOISTURISER)
                .findFirst();
        return cream.map(s ->
                        "%s has texture %s of 8; %s is asked, and nothing that suits better is worth another bottle."
                                .formatted(s.name(), plain(s.texture()), plain(asked)))
                .orElse("There is no cream in that routine.");
    }

    private boolean has(ActiveKind kind) {
        return plan.steps()
                .flatMap(s -> consultation.find(s.product()).stream())
                .anyMatch((Product p) -> p.has(kind));
    }

    private Stream<Step> steps(StepKind kind) {
        return plan.steps().filter(s -> s.kind() == kind);
    }

    private static String plain(double x) {
        return x == Math.rint(x) ? "%.0f".formatted(x) : String.valueOf(x);
    }
}

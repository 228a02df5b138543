package outfell.aims;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import outfell.choice.Limit;
import outfell.choice.Limit.Sums;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Owned;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.routine.Part;
import outfell.week.Tolerance;

/**
 * What a plan must keep to: the client's minutes, steps and money, and the nights and load that the skin bears. What is needed or
 * put in by hand stands always; where that takes more than there is, the choice lets the limit out, and it is said.
 */
public final class Allowance {
    private final Consultation consultation;
    private final Uses uses;
    private final Tolerance tolerance;

    public Allowance(Consultation consultation, Uses uses, Tolerance tolerance) {
        this.consultation = consultation;
        this.uses = uses;
        this.tolerance = tolerance;
    }

    /** In the order of {@link Scarcity}. */
    public List<Limit> limits(List<Slot> slots) {
        return Arrays.stream(Scarcity.values()).map(s -> limit(s, slots)).toList();
    }

    private Limit limit(Scarcity of, List<Slot> slots) {
        int steps =
                Math.min(consultation.life().mostSteps(), consultation.method().mostSteps());
        return switch (of) {
            case MORNING_MINUTES ->
                Limit.in(Part.MORNING.ordinal(), consultation.life().morningMinutes());
            case EVENING_MINUTES ->
                Limit.in(Part.EVENING.ordinal(), consultation.life().eveningMinutes());
            case MORNING_STEPS -> Limit.in(Part.MORNING.ordinal(), steps);
            case EVENING_STEPS -> Limit.in(Part.EVENING.ordinal(), steps);
            case MONEY -> Limit.of(Sums.PER_THING, consultation.life().budget().orElse(Double.POSITIVE_INFINITY));
            case NIGHTS -> left(7 - tolerance.rest() - prescribedNights());
            case LOAD -> left(tolerance.cap() - prescribedLoad());
            case EXFOLIATIONS -> Limit.of(Sums.ADDED, uses.exfoliations());
            case STRONG -> Limit.of(Sums.ADDED, consultation.method().strongActives());
            case BEGINNERS -> Limit.of(Sums.ONCE_A_THING, Math.max(1, pinnedBeginners(slots)));
            case NEWCOMERS ->
                Limit.of(Sums.ONCE_A_THING, consultation.house().yardstick().newcomers());
        };
    }

    /** A prescription that takes more than the skin bears leaves nothing; it does not ask the others to give back. */
    private static Limit left(double most) {
        return Limit.of(Sums.ADDED, Math.max(0, most));
    }

    /** What a prescriber has begun counts for nobody else. */
    private static int pinnedBeginners(List<Slot> slots) {
        return (int) slots.stream()
                .filter(Slot::pinned)
                .flatMap(s -> s.candidates().stream())
                .filter(Candidate::beginner)
                .count();
    }

    private int prescribedNights() {
        return consultation.shelf().stream()
                .filter(o -> o.product().prescription())
                .mapToInt(o -> o.prescribedNights().size())
                .max()
                .orElse(0);
    }

    private double prescribedLoad() {
        return consultation.shelf().stream()
                .map(Owned::product)
                .filter(Product::prescription)
                .mapToDouble(p -> uses.now(p) * Tolerance.points(p))
                .sum();
    }

    /** What had to be let out, each once. */
    public List<Because> notices(List<Slot> slots, List<Limit> hers, List<Limit> letOut) {
        List<Because> notices = new ArrayList<>();
        for (Scarcity of : Scarcity.values()) {
            double had = hers.get(of.ordinal()).most();
            double takes = letOut.get(of.ordinal()).most();
            if (takes > had + 1e-6) {
                said(of, slots, had, takes).ifPresent(notices::add);
            }
        }
        return notices;
    }

    private java.util.Optional<Because> said(Scarcity of, List<Slot> slots, double had, double takes) {
        return java.util.Optional.ofNullable(
                switch (of) {
                    case MORNING_MINUTES, EVENING_MINUTES ->
                        Because.house("The %s needs %.1f minutes for its necessary steps alone; there are %.0f."
                                .formatted(routine(of), takes, had));
                    case MORNING_STEPS, EVENING_STEPS ->
                        Because.house("The %s needs %.0f steps; the limit is %.0f.".formatted(routine(of), takes, had));
                    case MONEY ->
                        Because.house("The necessary steps alone cost %s a month; the budget is %s."
                                .formatted(
                                        consultation.house().money(takes),
                                        consultation.house().money(had)));
                    case LOAD, EXFOLIATIONS -> worn(of, slots, had, takes);
                    case NIGHTS ->
                        Because.house(
                                "What is put in by hand asks for %.0f nights of strong work; this skin bears %.0f."
                                        .formatted(takes, had));
                    case STRONG, BEGINNERS, NEWCOMERS -> null;
                });
    }

    private static String routine(Scarcity of) {
        return (of == Scarcity.MORNING_MINUTES || of == Scarcity.MORNING_STEPS ? Part.MORNING : Part.EVENING).words();
    }

    private Because worn(Scarcity of, List<Slot> slots, double had, double takes) {
        double pinned = pinned(slots).mapToDouble(c -> c.takes(of)).sum();
        if (of == Scarcity.EXFOLIATIONS && pinned > had) {
            return Because.custom(
                    "What is put in by hand exfoliates %.0f times a week in all; the method's total is %.0f, over all products."
                            .formatted(pinned, had));
        }
        if (of == Scarcity.LOAD && pinned > had) {
            return Because.house("What is put in by hand asks for %.0f points of strong work a week; %s."
                    .formatted(
                            pinned,
                            prescribedLoad() == 0
                                    ? "this skin bears %.0f".formatted(had)
                                    : "beside the prescription this skin bears %.0f".formatted(had)));
        }
        return Because.house(
                "What is needed takes more off the skin than the week's total allows (%.1f of %.1f): look for a milder wash."
                        .formatted(takes, had));
    }

    private static Stream<Candidate> pinned(List<Slot> slots) {
        return slots.stream()
                .filter(Slot::pinned)
                .flatMap(s -> s.candidates().stream())
                .filter(c -> !c.product().prescription());
    }
}

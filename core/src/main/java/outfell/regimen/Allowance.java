package outfell.regimen;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.regimen.Consultation.Owned;
import outfell.routine.Part;
import outfell.week.Tolerance;

/**
 * What a plan must keep to: her minutes, steps and money, and the nights and load that the skin bears. What is needed or put
 * in by hand fits always; where that takes more than there is, the limit is let out and it is said.
 */
final class Allowance {
    private final Consultation consultation;
    private final Uses uses;
    private final Tolerance tolerance;
    private final Yardstick yardstick;
    private final List<Because> notices = new ArrayList<>();
    private final Limits limits;

    Allowance(Consultation consultation, Uses uses, Tolerance tolerance, List<Slot> slots) {
        this.consultation = consultation;
        this.uses = uses;
        this.tolerance = tolerance;
        this.yardstick = consultation.house().yardstick();
        this.limits = limits(slots);
    }

    Limits limits() {
        return limits;
    }

    /** The same without an end to what wears the skin. */
    Limits wider() {
        Map<Scarcity, Scarce> of = new EnumMap<>(limits.of());
        of.put(Scarcity.LOAD, Scarce.FREE);
        of.put(Scarcity.EXFOLIATIONS, Scarce.FREE);
        return new Limits(of, limits.strong());
    }

    /** What had to be let out. */
    List<Because> notices() {
        return List.copyOf(notices);
    }

    private Limits limits(List<Slot> slots) {
        int most =
                Math.min(consultation.life().mostSteps(), consultation.method().mostSteps());
        Map<Scarcity, Scarce> of = new EnumMap<>(Scarcity.class);
        for (Part part : Part.values()) {
            Needs needs = needs(slots, part);
            int minutes = consultation.life().minutes(part);
            if (needs.minutes() > minutes) {
                notices.add(Because.house("The %s needs %.1f minutes for its necessary steps alone; there are %d."
                        .formatted(part.words(), needs.minutes(), minutes)));
            }
            if (needs.steps() > most) {
                notices.add(Because.house(
                        "The %s needs %d steps; the limit is %d.".formatted(part.words(), needs.steps(), most)));
            }
            double ceiling = Math.max(minutes, needs.minutes());
            of.put(Scarcity.minutes(part), new Scarce(minutes / 2.0, yardstick.minute(), ceiling));
            of.put(Scarcity.steps(part), Scarce.atMost(Math.max(most, needs.steps())));
        }
        consultation.life().budget().ifPresent(budget -> of.put(Scarcity.MONEY, money(slots, budget)));
        int prescribed = consultation.shelf().stream()
                .filter(o -> o.product().prescription())
                .mapToInt(o -> o.prescribedNights().size())
                .max()
                .orElse(0);
        double prescribedLoad = consultation.shelf().stream()
                .map(Owned::product)
                .filter(Product::prescription)
                .mapToDouble(p -> uses.now(p) * Tolerance.points(p))
                .sum();
        of.put(Scarcity.NIGHTS, Scarce.atMost(Math.max(pinnedNights(slots), 7 - tolerance.rest() - prescribed)));
        of.put(Scarcity.LOAD, Scarce.atMost(Math.max(needed(slots, Scarcity.LOAD), tolerance.cap() - prescribedLoad)));
        of.put(Scarcity.EXFOLIATIONS, exfoliations(slots));
        return new Limits(of, Math.max(consultation.method().strongActives(), pinnedStrong(slots)));
    }

    /** One total for all of them; what is put in by hand stands, and it is said. */
    private Scarce exfoliations(List<Slot> slots) {
        int most = consultation.method().exfoliationsAWeek();
        double pinned = pinned(slots)
                .mapToDouble(c -> c.takes()[Scarcity.EXFOLIATIONS.ordinal()])
                .sum();
        if (pinned > most) {
            notices.add(Because.custom(
                    "What is put in by hand exfoliates %.0f times a week in all; the method's total is %d, over all products."
                            .formatted(pinned, most)));
        }
        return Scarce.atMost(Math.max(needed(slots, Scarcity.EXFOLIATIONS), most));
    }

    /** Half the budget is comfortable; the necessary steps are shown even when they cost more, and it is said. */
    private Scarce money(List<Slot> slots, double budget) {
        double needed = slots.stream()
                .filter(Slot::required)
                .mapToDouble(s -> s.candidates().stream()
                        .mapToDouble(c -> Math.max(c.spend(), c.spendLeast()))
                        .min()
                        .orElse(0))
                .sum();
        if (needed > budget) {
            notices.add(Because.house("The necessary steps alone cost up to %.2f a month; the budget is %.2f."
                    .formatted(needed, budget)));
        }
        return new Scarce(budget / 2, yardstick.money(), Math.max(budget, needed));
    }

    private static Stream<Candidate> pinned(List<Slot> slots) {
        return slots.stream()
                .filter(s -> s.required()
                        && s.candidates().size() == 1
                        && s.candidates().getFirst().rationed())
                .map(s -> s.candidates().getFirst())
                .filter(c -> !c.product().prescription());
    }

    private static int pinnedNights(List<Slot> slots) {
        return pinned(slots).mapToInt(Candidate::uses).sum();
    }

    /** What the necessary steps take of it at least. */
    private static double needed(List<Slot> slots, Scarcity scarcity) {
        return slots.stream()
                .filter(Slot::required)
                .mapToDouble(s -> s.candidates().stream()
                        .filter(c -> !c.product().prescription())
                        .mapToDouble(c -> c.takes()[scarcity.ordinal()])
                        .min()
                        .orElse(0))
                .sum();
    }

    private static int pinnedStrong(List<Slot> slots) {
        return (int) pinned(slots).filter(Candidate::strong).count();
    }

    /** What the necessary steps of a routine take at least; of those with their own nights the longest. */
    private record Needs(double minutes, int steps) {}

    private static Needs needs(List<Slot> slots, Part part) {
        List<Slot> needed =
                slots.stream().filter(s -> s.part() == part && s.required()).toList();
        double daily = needed.stream()
                .filter(Slot::requiredDaily)
                .mapToDouble(Allowance::quickest)
                .sum();
        double rationed = needed.stream()
                .filter(s -> !s.requiredDaily())
                .mapToDouble(Allowance::quickest)
                .max()
                .orElse(0);
        int count = (int) needed.stream().filter(Slot::requiredDaily).count();
        return new Needs(daily + rationed, count + (rationed > 0 ? 1 : 0));
    }

    private static double quickest(Slot slot) {
        return slot.candidates().stream().mapToDouble(Candidate::minutes).min().orElse(0);
    }
}

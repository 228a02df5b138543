package outfell.regimen;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.method.Schools;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.season.Asked;

/**
 * One step that another month or another method changes.
 *
 * @param what "taken out", "put in", "replaced", "other nights", "moved"
 * @param from name before; empty when put in
 * @param to name after; empty when taken out
 */
public record Change(Part part, StepKind kind, String what, String from, String to, Because because) {

    static List<Change> between(Regimen base, Regimen other) {
        List<Change> changes = new ArrayList<>();
        for (Part part : Part.values()) {
            for (StepKind kind : StepKind.values()) {
                changes.addAll(between(part, kind, base, other));
            }
        }
        return List.copyOf(changes);
    }

    /** What the therapist's own hand changes in the computed plan. */
    static List<Change> byHand(Consultation consultation, Regimen computed, Regimen hers) {
        Consultation.ByHand hand = consultation.byHand();
        List<Change> changes = new ArrayList<>();
        for (Change c : between(computed, hers)) {
            changes.add(new Change(c.part(), c.kind(), c.what(), c.from(), c.to(), because(consultation, hand, c)));
        }
        hers.steps().filter(s -> s.hand().moved()).forEach(s -> {
            String why = s.hand().movedBecause();
            changes.add(new Change(
                    part(hers, s),
                    s.kind(),
                    "moved",
                    s.name(),
                    s.name(),
                    Because.custom(
                            why.isBlank() ? "By hand, within the rules of order." : "By hand: %s".formatted(why))));
        });
        return List.copyOf(changes);
    }

    private static Part part(Regimen regimen, Step step) {
        return regimen.morning().steps().contains(step) ? Part.MORNING : Part.EVENING;
    }

    private static Because because(Consultation consultation, Consultation.ByHand hand, Change c) {
        boolean in = named(consultation, hand.kept(), c.part(), c.to());
        boolean out = named(consultation, hand.left(), c.part(), c.from());
        return Because.custom(
                in && out
                        ? "Swapped by hand."
                        : in
                                ? "Put in, or changed, by hand."
                                : out
                                        ? "Taken out by hand."
                                        : "It follows from what was changed by hand: steps, minutes and nights fall differently.");
    }

    private static boolean named(Consultation consultation, List<Consultation.Choice> choices, Part part, String name) {
        return choices.stream()
                .filter(c -> c.part() == part)
                .flatMap(c -> consultation.find(c.product()).stream())
                .anyMatch(p -> !name.isEmpty() && name.startsWith(p.name()));
    }

    /** What another method changes in a plan, what it puts elsewhere, and which of its answers lies behind each. */
    static List<Change> between(Method from, Regimen base, Method to, Regimen other) {
        List<Change> changes = new ArrayList<>();
        for (Change c : between(base, other)) {
            changes.add(new Change(c.part(), c.kind(), c.what(), c.from(), c.to(), because(c.kind(), from, to)));
        }
        for (Part part : Part.values()) {
            changes.addAll(moved(part, from, base, to, other));
        }
        return List.copyOf(changes);
    }

    private static List<Change> moved(Part part, Method from, Regimen base, Method to, Regimen other) {
        List<ProductId> before =
                base.routine(part).steps().stream().map(Step::product).toList();
        List<ProductId> after =
                other.routine(part).steps().stream().map(Step::product).toList();
        return other.routine(part).steps().stream()
                .filter(s -> before.contains(s.product()) && differs(s.kind(), from, to))
                .filter(s -> after.stream()
                        .filter(o -> before.contains(o) && !o.equals(s.product()))
                        .anyMatch(o -> before.indexOf(o) < before.indexOf(s.product())
                                != after.indexOf(o) < after.indexOf(s.product())))
                .map(s -> new Change(part, s.kind(), "moved", s.name(), s.name(), because(s.kind(), from, to)))
                .toList();
    }

    private static boolean differs(StepKind kind, Method from, Method to) {
        return Schools.on(kind).stream()
                .anyMatch(q -> !q.equals("most-steps") && !answer(from, q).equals(answer(to, q)));
    }

    private static Schools.SchoolAnswer answer(Method method, String question) {
        return Schools.of(method).stream()
                .filter(a -> a.id().equals(question))
                .findFirst()
                .orElseThrow();
    }

    private static Because because(StepKind kind, Method from, Method to) {
        return Schools.on(kind).stream()
                .filter(q -> !answer(from, q).equals(answer(to, q)))
                .findFirst()
                .map(q -> to.because()
                        .withSentence("%s %s: %s. %s: %s."
                                .formatted(
                                        answer(to, q).question(),
                                        to.name(),
                                        answer(to, q).answer(),
                                        from.name(),
                                        answer(from, q).answer())))
                .orElseGet(() -> Because.house("With the other steps changed, minutes and steps fall differently."));
    }

    private static List<Change> between(Part part, StepKind kind, Regimen base, Regimen other) {
        List<Step> before = new ArrayList<>(steps(base, part, kind));
        List<Step> after = new ArrayList<>(steps(other, part, kind));
        List<Change> changes = new ArrayList<>();
        for (Step step : List.copyOf(before)) {
            Optional<Step> same = after.stream()
                    .filter(s -> s.product().equals(step.product()))
                    .findFirst();
            same.ifPresent(s -> {
                before.remove(step);
                after.remove(s);
                sameStep(part, step, s, other).ifPresent(changes::add);
            });
        }
        Because because = because(kind, base, other);
        while (!before.isEmpty() && !after.isEmpty()) {
            changes.add(new Change(
                    part,
                    kind,
                    "replaced",
                    before.removeFirst().name(),
                    after.removeFirst().name(),
                    because));
        }
        before.forEach(s -> changes.add(new Change(part, kind, "taken out", s.name(), "", because)));
        after.forEach(s -> changes.add(new Change(part, kind, "put in", "", s.name(), because)));
        return changes;
    }

    private static List<Step> steps(Regimen regimen, Part part, StepKind kind) {
        return regimen.routine(part).steps().stream()
                .filter(s -> s.kind() == kind)
                .toList();
    }

    private static Optional<Change> sameStep(Part part, Step before, Step after, Regimen other) {
        if (before.nights().size() != after.nights().size()) {
            return Optional.of(new Change(
                    part,
                    before.kind(),
                    "other nights",
                    "%s, %d a week".formatted(before.name(), before.nights().size()),
                    "%s, %d a week".formatted(after.name(), after.nights().size()),
                    nightsBecause(other)));
        }
        return Optional.empty();
    }

    private static Because nightsBecause(Regimen other) {
        return other.asked().exfoliantsHalved().yes()
                ? other.asked().exfoliantsHalved().because()
                : Because.house("By then the skin has got used to it.");
    }

    /** The part of what the air asks that differs and bears on this kind of step. */
    private static Because because(StepKind kind, Regimen base, Regimen other) {
        Asked a = base.asked();
        Asked b = other.asked();
        return switch (kind) {
            case SUNSCREEN ->
                a.spf().value() != b.spf().value()
                        ? b.spf().because()
                        : b.moisturiser().because();
            case SEAL -> b.seal().because();
            case OIL -> b.oil().because();
            case MOISTURISER ->
                a.moisturiserNeeded().yes() != b.moisturiserNeeded().yes()
                        ? b.moisturiserNeeded().because()
                        : b.moisturiser().because();
            case TREATMENT -> strong(a, b);
            case SCRUB, ENZYME, CLAY_MASK ->
                a.exfoliantsHalved().yes() != b.exfoliantsHalved().yes()
                        ? b.exfoliantsHalved().because()
                        : Because.house("With the other steps changed, nights, minutes and steps fall differently.");
            default ->
                a.moisturiser().grade() != b.moisturiser().grade()
                        ? b.moisturiser().because()
                        : Because.house("With the other steps changed, minutes and steps fall differently.");
        };
    }

    private static Because strong(Asked a, Asked b) {
        if (a.newRetinoid().yes() != b.newRetinoid().yes()) {
            return b.newRetinoid().because();
        }
        if (a.newAcid().yes() != b.newAcid().yes()) {
            return b.newAcid().because();
        }
        return a.exfoliantsHalved().yes() != b.exfoliantsHalved().yes()
                ? b.exfoliantsHalved().because()
                : Because.house("By then the skin has got used to the strong step of today.");
    }
}

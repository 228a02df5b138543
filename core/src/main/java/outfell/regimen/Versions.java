package outfell.regimen;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import outfell.aims.Candidate;
import outfell.aims.Posed;
import outfell.aims.Slot;
import outfell.aims.Slots;
import outfell.consultation.Consultation;
import outfell.hand.Adjustments;
import outfell.product.Product;
import outfell.routine.Adjustment;
import outfell.routine.Layout;
import outfell.routine.Part;
import outfell.routine.Routine;

/** Shorter and gentler versions of a plan's routines, for one evening or morning. */
final class Versions {
    private final Consultation consultation;
    private final Adjustments adjustments;
    private final Slots places;

    Versions(Consultation consultation, Adjustments adjustments, Slots places) {
        this.consultation = consultation;
        this.adjustments = adjustments;
        this.places = places;
    }

    List<Tonight.Version> tonight(List<Slot> slots, Posed.Found found, Layout layout, List<Routine> routines) {
        List<Tonight.Found> all = new ArrayList<>();
        List<Integer> leave = IntStream.range(0, slots.size())
                .filter(s -> maybeLeftOut(slots.get(s)))
                .boxed()
                .toList();
        Posed forOnce = found.within().optional(leave);
        for (Part part : Part.values()) {
            ToDoubleFunction<List<Optional<Candidate>>> takes = plan -> layout.minutes(part, of(part, slots, plan));
            Tonight.shorter(
                            part,
                            slots,
                            leave,
                            found.chosen(),
                            (p, conditions) -> waits(part, p, conditions),
                            consultation.life().minutes(part),
                            forOnce::worth,
                            takes)
                    .ifPresent(all::add);
        }
        Tonight.Waits waits = (p, conditions) -> waits(Part.EVENING, p, conditions);
        Tonight.sore(Part.EVENING, slots, found.chosen(), waits).ifPresent(all::add);
        all.addAll(
                Tonight.others(slots, found.chosen(), waits, consultation.life().makeUpDays(), consultation.method()));
        return routines.stream()
                .flatMap(r -> all.stream()
                        .filter(v -> v.part() == r.part())
                        .sorted(Comparator.comparing(Tonight.Found::why))
                        .map(v -> v.drawn(r)))
                .toList();
    }

    private boolean waits(Part part, Product p, List<String> conditions) {
        return Adjustment.of(adjustments.followed(), part, p.id())
                .when()
                .filter(w -> conditions.contains(w.kind().id()))
                .isPresent();
    }

    private static List<Product> of(Part part, List<Slot> slots, List<Optional<Candidate>> plan) {
        return IntStream.range(0, slots.size())
                .filter(s -> slots.get(s).part() == part)
                .mapToObj(plan::get)
                .flatMap(Optional::stream)
                .map(Candidate::product)
                .toList();
    }

    /** On one evening everything may be left out but what is needed by itself; a prescription never is. */
    private boolean maybeLeftOut(Slot slot) {
        boolean needed = places.places().stream()
                .anyMatch(p -> p.needed() && p.part() == slot.part() && p.kind() == slot.kind());
        boolean prescribed =
                slot.candidates().stream().anyMatch(c -> c.product().prescription());
        return !slot.required() || !(prescribed || (needed && !optional(slot)));
    }

    private boolean optional(Slot slot) {
        return adjustments.followed().stream()
                .anyMatch(a -> a.optional()
                        && a.part() == slot.part()
                        && slot.candidates().stream()
                                .allMatch(c -> c.product().id().equals(a.product())));
    }
}

package outfell.regimen;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.week.EmptyNight;
import outfell.week.Ramp;
import outfell.week.Round;
import outfell.week.Tolerance;

/** Why nothing strong is used on an evening. */
final class WhyRest {
    private final List<Because> unsure;
    private final BiFunction<Product, LocalDate, Optional<Because>> off;

    /**
     * @param unsure what the plan is made without, so that strong things wait
     * @param off why a thing stays off on an evening: a reset, a pause, an evening of hers
     */
    WhyRest(List<Because> unsure, BiFunction<Product, LocalDate, Optional<Because>> off) {
        this.unsure = unsure;
        this.off = off;
    }

    /** @param left what would have been used on the evening and is not */
    Because of(LocalDate date, List<Going> going, int week, NightsOf.Found found, List<Weeks.LeftOut> left) {
        if (!left.isEmpty()) {
            return left.getFirst().because();
        }
        List<Going> strong =
                going.stream().filter(g -> Tolerance.points(g.product()) > 0).toList();
        Optional<Ramp.WeekOfIt> stopped = strong.stream()
                .map(g -> g.weeks().get(week))
                .filter(w -> w.uses() == 0)
                .findFirst();
        boolean none = strong.stream().allMatch(g -> g.uses(week) == 0);
        if (none) {
            return stopped.map(Ramp.WeekOfIt::because)
                    .or(() -> unsure.stream().findFirst())
                    .orElse(Because.house("Nothing in this plan needs a night of its own."));
        }
        List<Optional<Because>> kept = strong.stream()
                .filter(g -> g.uses(week) > 0)
                .map(g -> off.apply(g.product(), date))
                .toList();
        if (kept.stream().allMatch(Optional::isPresent)) {
            return kept.getFirst().orElseThrow();
        }
        return IntStream.range(0, found.things().size())
                .filter(i -> found.wanted().get(i).points() > 0 && found.uses(i) > 0)
                .mapToObj(i ->
                        kept(found, i, found.rhythm().night(date, found.round().nights())))
                .min(Comparator.comparingInt((Kept k) -> k.limits().size()))
                .map(k -> set(found, k)
                        .or(() -> halved(going, week, k))
                        .orElseGet(
                                () -> Because.house("Rest. No more of %s: %s.".formatted(k.name(), words(k.limits())))))
                .orElse(Because.house("Rest."));
    }

    private record Kept(ProductId product, String name, Set<Round.Limit> limits) {}

    /** Of a thing whose nights somebody has set, that is the reason. */
    private static Optional<Because> set(NightsOf.Found found, Kept kept) {
        return found.things().stream()
                .filter(t ->
                        t.product().id().equals(kept.product()) && !t.fixed().isEmpty())
                .map(t -> t.product().prescription()
                        ? Because.custom("Rest. The nights of %s are the prescriber's.".formatted(kept.name()))
                        : Because.house("Rest. The nights of %s are set by hand.".formatted(kept.name())))
                .findFirst();
    }

    /** Where it is the check-in that leaves it fewer nights, that is told. */
    private static Optional<Because> halved(List<Going> going, int week, Kept kept) {
        return going.stream()
                .filter(g ->
                        g.product().id().equals(kept.product()) && kept.limits().contains(Round.Limit.USES))
                .map(g -> g.weeks().get(week))
                .filter(w -> w.standing() == Ramp.Standing.HALVED || w.standing() == Ramp.Standing.HELD)
                .map(Ramp.WeekOfIt::because)
                .findFirst();
    }

    private static Kept kept(NightsOf.Found found, int thing, int night) {
        Product product = found.things().get(thing).product();
        return new Kept(
                product.id(),
                product.name(),
                EmptyNight.keepsOff(found.wanted(), found.round(), found.laid(), thing, night));
    }

    private static String words(Set<Round.Limit> limits) {
        if (limits.contains(Round.Limit.USES)) {
            // it is of the thing itself, whatever the night
            return Round.Limit.USES.words();
        }
        return limits.isEmpty()
                ? "nothing stands against it but the nights already chosen"
                : limits.stream().map(Round.Limit::words).collect(Collectors.joining("; "));
    }
}

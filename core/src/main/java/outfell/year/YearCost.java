package outfell.year;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a year costs of what is to be bought in it, where prices are known.
 *
 * @param once without what goes into putting a sunscreen on again
 * @param again what goes into that
 * @param unpriced names of what is to be bought and has no price
 * @param dearest the part of the year that lies furthest above the month's limit; absent where none does
 */
public record YearCost(double once, double again, List<String> unpriced, Optional<DearPart> dearest) {
    public YearCost {
        unpriced = List.copyOf(unpriced);
    }

    /**
     * A part of the year above the month's limit.
     *
     * @param from its first day
     * @param month what a month of it costs
     * @param over of that, what lies above the limit
     */
    public record DearPart(LocalDate from, double month, double over) {}

    static YearCost of(List<Stretch> stretches, List<Bottle> bottles, OptionalDouble budget) {
        double all = bottles.stream().mapToDouble(b -> b.cost().orElse(0)).sum();
        double again = bottles.stream().mapToDouble(Bottle::againCost).sum();
        return new YearCost(
                all - again,
                again,
                bottles.stream()
                        .filter(b -> b.bought() > 0 && b.cost().isEmpty())
                        .map(Bottle::name)
                        .toList(),
                budget.isPresent() ? dearest(stretches, budget.getAsDouble()) : Optional.empty());
    }

    private static Optional<DearPart> dearest(List<Stretch> stretches, double budget) {
        return stretches.stream()
                .filter(s -> s.month() > budget)
                .max(Comparator.comparingDouble(Stretch::month))
                .map(s -> new DearPart(s.from(), s.month(), s.month() - budget));
    }
}

package outfell.week;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import outfell.product.ProductId;

/**
 * Gives each rationed step its evenings: no two on one night, prescribed nights fixed, the rest spread as far apart as
 * seven days allow. Exact: every way of choosing the nights is tried, largest step first, ties to the earlier night.
 */
public final class Nights {
    private static final int DAYS = 7;
    /** House custom: a first choice of evenings when spacing alone leaves several. */
    private static final List<DayOfWeek> LIKED = List.of(
            DayOfWeek.TUESDAY,
            DayOfWeek.THURSDAY,
            DayOfWeek.SATURDAY,
            DayOfWeek.MONDAY,
            DayOfWeek.SUNDAY,
            DayOfWeek.WEDNESDAY,
            DayOfWeek.FRIDAY);

    /**
     * One step that has its own nights.
     *
     * @param uses nights a week, 0 to 7
     * @param fixed nights that somebody else has set; empty when free
     */
    public record Wanted(ProductId product, int uses, List<DayOfWeek> fixed) {}

    private Nights() {}

    /** The nights of each step. A step for which no night is left gets none. */
    public static Map<ProductId, List<DayOfWeek>> spread(List<Wanted> wanted) {
        Map<ProductId, List<DayOfWeek>> nights = new LinkedHashMap<>();
        int taken = 0;
        for (Wanted w : wanted) {
            if (!w.fixed().isEmpty()) {
                nights.put(w.product(), w.fixed().stream().sorted().toList());
                taken |= mask(w.fixed());
            }
        }
        List<Wanted> free = wanted.stream()
                .filter(w -> w.fixed().isEmpty())
                .sorted(Comparator.comparingInt(Wanted::uses).reversed().thenComparing(Wanted::product))
                .toList();
        for (Wanted w : free) {
            int chosen = best(w.uses(), taken);
            nights.put(w.product(), days(chosen));
            taken |= chosen;
        }
        return nights;
    }

    private static int best(int uses, int taken) {
        int left = DAYS - Integer.bitCount(taken);
        int wanted = Math.min(uses, left);
        int best = 0;
        double bestScore = Double.NEGATIVE_INFINITY;
        for (int mask = 0; mask < 1 << DAYS; mask++) {
            if (Integer.bitCount(mask) == wanted && (mask & taken) == 0 && score(mask, taken) > bestScore) {
                best = mask;
                bestScore = score(mask, taken);
            }
        }
        return best;
    }

    /** Widest own gap counts most, then the gap to what is taken, then the liked evenings. */
    private static double score(int mask, int taken) {
        double liked =
                days(mask).stream().mapToInt(d -> DAYS - LIKED.indexOf(d)).sum();
        return 10_000.0 * shortestGap(mask) + 100.0 * shortestGap(mask | taken) + liked;
    }

    /** Nights between the two nearest of a repeating week; seven when there is one or none. */
    static int shortestGap(int mask) {
        List<Integer> on = IntStream.range(0, DAYS)
                .filter(i -> (mask >> i & 1) == 1)
                .boxed()
                .toList();
        int shortest = DAYS;
        for (int i = 0; i < on.size() && on.size() > 1; i++) {
            int next = on.get((i + 1) % on.size());
            shortest = Math.min(shortest, Math.floorMod(next - on.get(i) - 1, DAYS) + 1);
        }
        return shortest;
    }

    private static int mask(List<DayOfWeek> days) {
        return days.stream().mapToInt(d -> 1 << d.ordinal()).reduce(0, (a, b) -> a | b);
    }

    private static List<DayOfWeek> days(int mask) {
        List<DayOfWeek> days = new ArrayList<>();
        for (DayOfWeek day : DayOfWeek.values()) {
            if ((mask >> day.ordinal() & 1) == 1) {
                days.add(day);
            }
        }
        return days;
    }
}

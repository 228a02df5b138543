package outfell.week;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Sets of so many nights of a round, as bits, the best first: the most even, of these the best liked, of these the earliest. */
final class NightSets {
    /** What the order of the sets hangs on. */
    private record Shape(int nights, List<Integer> liked) {}

    /** Sets with as many nights, and for each the nights between its two nearest. */
    private record Sets(int[] on, int[] gap) {}

    private static final Map<Shape, NightSets> KNOWN = new ConcurrentHashMap<>();

    private final Round round;
    private final Map<Integer, Sets> known = new ConcurrentHashMap<>();

    private NightSets(Round round) {
        this.round = round;
    }

    static NightSets of(Round round) {
        return KNOWN.computeIfAbsent(new Shape(round.nights(), round.liked()), _ -> new NightSets(round));
    }

    /** All with so many nights. */
    int[] of(int nights) {
        return known.computeIfAbsent(nights, this::all).on();
    }

    /** Those that one thing could have by itself. */
    int[] of(int uses, Wanted w) {
        Sets sets = known.computeIfAbsent(uses, this::all);
        int[] fit = new int[sets.on().length];
        int count = 0;
        for (int i = 0; i < fit.length; i++) {
            int on = sets.on()[i];
            if ((on & w.barred()) == 0 && (uses < 2 || sets.gap()[i] >= w.apart())) {
                fit[count++] = on;
            }
        }
        return java.util.Arrays.copyOf(fit, count);
    }

    /** Which of two sets is the better one for a thing, the one that is worth more before all. */
    Comparator<Integer> better(Wanted w) {
        return Comparator.comparingInt((Integer on) -> -w.worth(Integer.bitCount(on)))
                .thenComparing(better());
    }

    private Comparator<Integer> better() {
        return Comparator.comparingInt(round::spread)
                .thenComparingInt(on -> -round.liking(on))
                .thenComparingInt(NightSets::late);
    }

    /** Of two sets of nights the one with the earlier first difference is less. */
    private static int late(int on) {
        return -(Integer.reverse(on) >>> 1);
    }

    private Sets all(int uses) {
        List<Integer> all = new ArrayList<>();
        if (uses == 0) {
            all.add(0);
        } else if (uses <= round.nights()) {
            // from one set to the next greater number with as many bits
            for (int on = (1 << uses) - 1; on <= round.all(); ) {
                all.add(on);
                int lowest = on & -on;
                int carried = on + lowest;
                on = ((on ^ carried) >>> 2) / lowest | carried;
            }
        }
        all.sort(better());
        int[] on = all.stream().mapToInt(Integer::intValue).toArray();
        return new Sets(on, all.stream().mapToInt(round::shortestGap).toArray());
    }
}

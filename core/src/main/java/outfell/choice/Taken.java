package outfell.choice;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import outfell.choice.Limit.Sums;

/** What is taken of every limit by what stands, and what the open needed places will take at least. */
final class Taken {
    private final List<Place> places;
    private final Limit[] limits;
    private final Limit[] kept;
    private final @Nullable Option[] at;
    private final int[] stands;
    /** For each limit a thing: what each takes. */
    private final double[][] perThing;

    private final double[] used;
    /** For each place the limits that have an end and that it takes of. */
    private final int[][] relevant;
    /** Least that the open needed places will take. */
    private final double[] reserve;

    private final double[][] least;
    /** The longest of the nightly ones that stand, in each limit's routine. */
    private final double[] longest;

    private int nightly;

    /**
     * @param allowed the same problem with the limits that are kept to; {@code problem} has those that are measured against
     * @param at what stands, by place; filled and emptied by the one who asks
     * @param stands how often each thing stands; the same
     */
    Taken(Problem problem, Problem allowed, @Nullable Option[] at, int[] stands) {
        this.places = problem.places();
        this.limits = problem.limits().toArray(Limit[]::new);
        this.kept = allowed.limits().toArray(Limit[]::new);
        this.at = at;
        this.stands = stands;
        this.perThing = new double[limits.length][];
        for (int r = 0; r < limits.length; r++) {
            perThing[r] = limits[r].sums() == Sums.PER_THING ? new double[problem.things()] : new double[0];
        }
        this.used = new double[limits.length];
        this.longest = new double[limits.length];
        this.relevant = new int[places.size()][];
        for (int p = 0; p < places.size(); p++) {
            int place = p;
            relevant[p] = IntStream.range(0, limits.length)
                    .filter(r -> counts(r, place) && !Double.isInfinite(limits[r].most()))
                    .toArray();
        }
        this.reserve = new double[limits.length];
        this.least = least();
        for (int p = 0; p < places.size(); p++) {
            keep(p, 1);
        }
    }

    /** What each needed place takes of each limit at least; of a nightly option nothing is sure, nor of what counts once a thing. */
    private double[][] least() {
        double[][] all = new double[places.size()][limits.length];
        for (int p = 0; p < places.size(); p++) {
            Place place = places.get(p);
            for (int r = 0; r < limits.length; r++) {
                int limit = r;
                boolean sure = place.needed() && limits[r].sums() != Sums.ONCE_A_THING && counts(r, p);
                all[p][r] = sure
                        ? place.options().stream()
                                .mapToDouble(o ->
                                        o.nightly() && limits[limit].sums() == Sums.IN_ROUTINE ? 0 : o.takes()[limit])
                                .min()
                                .orElse(0)
                        : 0;
            }
        }
        return all;
    }

    private boolean counts(int limit, int place) {
        return limits[limit].sums() != Sums.IN_ROUTINE
                || limits[limit].routine() == places.get(place).routine();
    }

    private void keep(int p, int sign) {
        for (int r : relevant[p]) {
            reserve[r] += sign * least[p][r];
        }
    }

    /** Before an option stands. */
    void take(int p, Option o) {
        keep(p, -1);
        for (int r : relevant[p]) {
            used[r] += more(r, o);
            if (limits[r].sums() == Sums.PER_THING) {
                perThing[r][o.thing()] += o.takes()[r];
            }
        }
        if (o.nightly()) {
            nightly++;
            for (int r : relevant[p]) {
                if (limits[r].sums() == Sums.IN_ROUTINE) {
                    longest[r] = Math.max(longest[r], o.takes()[r]);
                }
            }
        }
    }

    /** After what was taken last stands no more. */
    void putBack(int p, Option o) {
        for (int r : relevant[p]) {
            if (limits[r].sums() == Sums.PER_THING) {
                double left = stands[o.thing()] == 0 ? 0 : perThing[r][o.thing()] - o.takes()[r];
                perThing[r][o.thing()] = left;
            }
            used[r] -= more(r, o);
        }
        if (o.nightly()) {
            nightly--;
            for (int r : relevant[p]) {
                longest[r] = longest(r);
            }
        }
        keep(p, 1);
    }

    /** Empties it; while what stands is still there. */
    void reset() {
        for (int p = 0; p < at.length; p++) {
            if (at[p] != null) {
                keep(p, 1);
            }
        }
        Arrays.fill(used, 0);
        Arrays.fill(longest, 0);
        nightly = 0;
        for (double[] each : perThing) {
            Arrays.fill(each, 0);
        }
    }

    /** Whether every limit leaves room for one more, and for what is still needed. */
    boolean room(int p, Option o) {
        for (int r : relevant[p]) {
            if (!room(r, p, o)) {
                return false;
            }
        }
        return true;
    }

    private boolean room(int r, int p, Option o) {
        return kept[r].allows(used[r] + longest(r, o) + more(r, o) + reserve[r] - least[p][r]);
    }

    /** The limits that one more would pass. */
    List<Integer> passed(int p, Option o) {
        return IntStream.range(0, limits.length)
                .filter(r -> !room(r, p, o))
                .boxed()
                .toList();
    }

    /** What one more adds, the longest nightly aside. */
    private double more(int r, Option o) {
        return switch (limits[r].sums()) {
            case ADDED -> o.takes()[r];
            case IN_ROUTINE -> o.nightly() ? 0 : o.takes()[r];
            case PER_THING -> {
                double before = perThing[r][o.thing()];
                yield thing(o, before + o.takes()[r]) - thing(o, before);
            }
            case ONCE_A_THING -> stands[o.thing()] > 0 ? 0 : o.takes()[r];
        };
    }

    private static double thing(Option o, double takes) {
        return takes == 0 ? 0 : Math.max(takes, o.atLeast());
    }

    /** The same with one more in that routine. */
    private double longest(int r, Option more) {
        return more.nightly() && limits[r].sums() == Sums.IN_ROUTINE
                ? Math.max(longest[r], more.takes()[r])
                : longest[r];
    }

    private double longest(int r) {
        double most = 0;
        for (int p = 0; nightly > 0 && limits[r].sums() == Sums.IN_ROUTINE && p < at.length; p++) {
            Option o = at[p];
            if (o != null && o.nightly() && counts(r, p)) {
                most = Math.max(most, o.takes()[r]);
            }
        }
        return most;
    }

    /** What is used of a limit, the longest nightly with it. */
    double use(int r) {
        return used[r] + longest[r];
    }

    /** By how much limits are passed, each in shares of itself; what is still needed is reckoned with. */
    double excess() {
        double sum = 0;
        for (int r = 0; r < limits.length; r++) {
            if (!Double.isInfinite(limits[r].most())) {
                sum += limits[r].excess(use(r) + reserve[r]) / Math.max(1, limits[r].most());
            }
        }
        return sum;
    }
}

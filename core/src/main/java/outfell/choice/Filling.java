package outfell.choice;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import outfell.choice.Limit.Sums;
import outfell.choice.Worth.Aim;

/** Places as far as they are filled: whether one more is allowed beside what stands, and what it all is worth. */
final class Filling {
    private static final int WELL = 2;
    /** Three ways in which a want is served: a number of base three, the first want first. */
    private static final int WAYS = WELL + 1;

    private static final Aim[] AIMS = Aim.values();
    private static final List<Aim> ADDED_UP =
            Arrays.stream(AIMS).filter(a -> a != Aim.WANTS && a != Aim.BOTTLES).toList();

    private final Problem problem;
    private final List<Place> places;
    private final Limit[] limits;
    private final Limit[] kept;
    private final @Nullable Option[] at;
    private final boolean[] helping;
    private final int[] stands;
    /** For each limit a thing: what each takes. */
    private final double[][] perThing;

    private final double[] used;
    /** Of limits a thing, what all take by their amounts alone. */
    private final double[] byAmount;
    /** For each place the limits that have an end and that it takes of. */
    private final int[][] relevant;
    /** Least that the open needed places will take. */
    private final double[] reserve;

    private final double[][] least;
    private final Tally tally;
    /** For each first want, how many things serve it in each way. */
    private final int[][] serving;

    private int nightly;
    /** By aim, what adds up over what stands. */
    private final double[] sums = new double[Worth.AIMS];

    Filling(Problem problem) {
        this(problem, problem);
    }

    /** @param allowed the same problem with the limits that are kept to; {@code problem} has those that are measured against */
    Filling(Problem problem, Problem allowed) {
        this.problem = problem;
        this.places = problem.places();
        this.limits = problem.limits().toArray(Limit[]::new);
        this.kept = allowed.limits().toArray(Limit[]::new);
        this.at = new Option[places.size()];
        this.helping = new boolean[places.size()];
        this.stands = new int[problem.things()];
        this.perThing = new double[limits.length][];
        for (int r = 0; r < limits.length; r++) {
            perThing[r] = limits[r].sums() == Sums.PER_THING ? new double[problem.things()] : new double[0];
        }
        this.used = new double[limits.length];
        this.byAmount = new double[limits.length];
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
        this.tally = new Tally(problem.another(), problem.same());
        this.serving = new int[problem.firsts()][WAYS];
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

    @Nullable
    Option at(int p) {
        return at[p];
    }

    List<Optional<Option>> plan() {
        return Arrays.stream(at).map(Optional::ofNullable).toList();
    }

    boolean stands(int thing) {
        return stands[thing] > 0;
    }

    /** Whether an option may be put into an open place, with room left for what is needed. */
    boolean allows(int p, Option o) {
        return room(p, o) && meets(p, o);
    }

    private boolean room(int p, Option o) {
        for (int r : relevant[p]) {
            if (!room(r, p, o)) {
                return false;
            }
        }
        return true;
    }

    private boolean room(int r, int p, Option o) {
        return kept[r].allows(used[r] + longest(r, o, p) + more(r, o) + reserve[r] - least[p][r]);
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

    /** The longest of the nightly ones that stand in a limit's routine, and of one more. */
    private double longest(int r, @Nullable Option more, int p) {
        if (limits[r].sums() != Sums.IN_ROUTINE) {
            return 0;
        }
        double longest = more != null && more.nightly() && counts(r, p) ? more.takes()[r] : 0;
        for (int o = 0; nightly > 0 && o < at.length; o++) {
            Option other = at[o];
            if (other != null && other.nightly() && counts(r, o)) {
                longest = Math.max(longest, other.takes()[r]);
            }
        }
        return longest;
    }

    private boolean meets(int p, Option o) {
        Place place = places.get(p);
        for (int q = 0; q < at.length; q++) {
            Option other = at[q];
            if (other == null || q == p) {
                continue;
            }
            Place there = places.get(q);
            if (!o.bears(other, place.routine() == there.routine())
                    || (other.thing() == o.thing() && place.like() == there.like())
                    || (place.under() == q && o.rank() > other.rank())
                    || (there.under() == p && other.rank() > o.rank())) {
                return false;
            }
        }
        return true;
    }

    void take(int p, Option o) {
        keep(p, -1);
        for (int r : relevant[p]) {
            used[r] += more(r, o);
            if (limits[r].sums() == Sums.PER_THING) {
                perThing[r][o.thing()] += o.takes()[r];
                byAmount[r] += o.takes()[r];
            }
        }
        nightly += o.nightly() ? 1 : 0;
        helping[p] = stands[o.thing()] == 0;
        if (helping[p]) {
            for (int w = 0; w < serving.length; w++) {
                serving[w][o.grades()[w]]++;
            }
            sums[Aim.BOTTLES.ordinal()] -= o.bottles();
        }
        stands[o.thing()]++;
        add(o, 1);
        at[p] = o;
    }

    /** Puts back what was taken last of all that stand. */
    void putBack(int p) {
        Option o = at[p];
        if (o == null) {
            return;
        }
        at[p] = null;
        add(o, -1);
        stands[o.thing()]--;
        if (helping[p]) {
            for (int w = 0; w < serving.length; w++) {
                serving[w][o.grades()[w]]--;
            }
            sums[Aim.BOTTLES.ordinal()] += o.bottles();
        }
        for (int r : relevant[p]) {
            if (limits[r].sums() == Sums.PER_THING) {
                double left = stands[o.thing()] == 0 ? 0 : perThing[r][o.thing()] - o.takes()[r];
                perThing[r][o.thing()] = left;
                byAmount[r] -= o.takes()[r];
            }
            used[r] -= more(r, o);
        }
        nightly -= o.nightly() ? 1 : 0;
        keep(p, 1);
    }

    private void add(Option o, int sign) {
        for (Aim aim : ADDED_UP) {
            sums[aim.ordinal()] += sign * brings(o, aim);
        }
    }

    /** What an option brings by itself to an aim that adds up; bottles are counted once a thing and helps beside others. */
    static double brings(Option o, Aim aim) {
        return switch (aim) {
            case WANTS, BOTTLES -> 0;
            case COMFORT -> o.comfort();
            case SCHOOL -> o.school();
            case REFINEMENT -> o.refinement();
            case STEPS -> -o.costs().steps();
            case MONEY -> -o.costs().money();
            case MILDNESS -> -o.costs().harshness();
            case NAME -> -o.costs().name();
        };
    }

    /** Empties it, whatever the order in which it was filled. */
    void reset() {
        for (int p = 0; p < at.length; p++) {
            if (at[p] != null) {
                keep(p, 1);
            }
        }
        Arrays.fill(at, null);
        Arrays.fill(stands, 0);
        Arrays.fill(used, 0);
        Arrays.fill(byAmount, 0);
        nightly = 0;
        for (double[] each : perThing) {
            Arrays.fill(each, 0);
        }
        for (int[] each : serving) {
            Arrays.fill(each, 0);
        }
        Arrays.fill(sums, 0);
    }

    /** What is used of a limit, the longest nightly with it. */
    double use(int r) {
        return used[r] + longest(r, null, -1);
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

    /** How well a first want is served: 0, 1 or 2. */
    int served(int want) {
        for (int g = WELL; g > 0; g--) {
            if (serving[want][g] > 0) {
                return g;
            }
        }
        return 0;
    }

    /** The first wants as one number. */
    private double wants() {
        double code = 0;
        for (int w = 0; w < serving.length; w++) {
            code = code * WAYS + served(w);
        }
        return code;
    }

    /** What stands is worth for one aim. */
    double value(Aim aim) {
        return switch (aim) {
            case WANTS -> wants();
            case REFINEMENT -> steps(refined());
            case COMFORT, SCHOOL, BOTTLES, STEPS, MONEY, MILDNESS, NAME -> sums[aim.ordinal()];
        };
    }

    /** Points of refinement, before they are counted in whole steps. */
    private double refined() {
        return sums[Aim.REFINEMENT.ordinal()] + helps();
    }

    /** What all helps come to, in points. */
    double helps() {
        double sum = 0;
        for (int w = 0; w < problem.wants(); w++) {
            tally.clear();
            for (int p = 0; p < at.length; p++) {
                Option o = at[p];
                if (o != null && helping[p] && o.helps()[w] > 0) {
                    tally.add(o.helps()[w], o.by()[w]);
                }
            }
            sum += tally.total();
        }
        return sum;
    }

    private double steps(double points) {
        return Math.floor(points / problem.alike() + Worth.DUST);
    }

    /** Whether what stands is worth more, aim after aim and no further than where they part. */
    boolean isMoreThan(Worth other) {
        for (Aim aim : AIMS) {
            double value = value(aim);
            if (Math.abs(value - other.of(aim)) > Worth.DUST) {
                return value > other.of(aim);
            }
        }
        return false;
    }

    Worth worth() {
        double[] aims = new double[Worth.AIMS];
        for (Aim aim : AIMS) {
            aims[aim.ordinal()] = value(aim);
        }
        return new Worth(aims);
    }
}

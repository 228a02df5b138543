package outfell.choice;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import outfell.choice.Worth.Aim;

/** Places as far as they are filled: whether one more is allowed beside what stands, and what it all is worth. */
final class Filling {
    private static final int WELL = 2;
    /** Three ways in which a want is served: a number of base three, the first want first. */
    private static final int WAYS = WELL + 1;

    private static final Aim[] AIMS = Aim.values();
    private static final Aim[] ADDED_UP =
            Arrays.stream(AIMS).filter(a -> a != Aim.WANTS && a != Aim.BOTTLES).toArray(Aim[]::new);

    private final Problem problem;
    private final List<Place> places;
    private final @Nullable Option[] at;
    private final boolean[] helping;
    private final int[] stands;
    /** The places that are filled, in the order in which they were. */
    private final int[] filled;

    private int size;

    private final Taken taken;
    /** By want. */
    private final Tally[] tallies;
    /** For each first want, how many things serve it in each way. */
    private final int[][] serving;

    /** By aim, what adds up over what stands. */
    private final double[] sums = new double[Worth.AIMS];

    Filling(Problem problem) {
        this(problem, problem);
    }

    /** @param allowed the same problem with the limits that are kept to; {@code problem} has those that are measured against */
    Filling(Problem problem, Problem allowed) {
        this.problem = problem;
        this.places = problem.places();
        this.at = new Option[places.size()];
        this.helping = new boolean[places.size()];
        this.stands = new int[problem.things()];
        this.filled = new int[places.size()];
        this.taken = new Taken(problem, allowed, at, stands);
        this.tallies = Stream.generate(() -> new Tally(problem.another(), problem.same()))
                .limit(problem.wants())
                .toArray(Tally[]::new);
        this.serving = new int[problem.firsts()][WAYS];
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
        return taken.room(p, o) && meets(p, o);
    }

    /** The limits that one more would pass. */
    List<Integer> passed(int p, Option o) {
        return taken.passed(p, o);
    }

    /** What is used of a limit, the longest nightly with it. */
    double use(int r) {
        return taken.use(r);
    }

    /** By how much limits are passed, each in shares of itself; what is still needed is reckoned with. */
    double excess() {
        return taken.excess();
    }

    private boolean meets(int p, Option o) {
        Place place = places.get(p);
        for (int i = 0; i < size; i++) {
            int q = filled[i];
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
        taken.take(p, o);
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
        filled[size++] = p;
    }

    /** Puts back what was taken last of all that stand. */
    void putBack(int p) {
        Option o = at[p];
        if (o == null) {
            return;
        }
        at[p] = null;
        size--;
        add(o, -1);
        stands[o.thing()]--;
        if (helping[p]) {
            for (int w = 0; w < serving.length; w++) {
                serving[w][o.grades()[w]]--;
            }
            sums[Aim.BOTTLES.ordinal()] += o.bottles();
        }
        taken.putBack(p, o);
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
        taken.reset();
        Arrays.fill(at, null);
        size = 0;
        Arrays.fill(stands, 0);
        for (int[] each : serving) {
            Arrays.fill(each, 0);
        }
        Arrays.fill(sums, 0);
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
        for (Tally tally : tallies) {
            tally.clear();
        }
        for (int i = 0; i < size; i++) {
            Option o = at[filled[i]];
            if (o != null && helping[filled[i]]) {
                for (int w : o.on()) {
                    tallies[w].add(o.helps()[w], o.by()[w]);
                }
            }
        }
        double sum = 0;
        for (Tally tally : tallies) {
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

package outfell.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * What helps count beside one another, as a sum that each unit adds to by itself: never less than the tallies, and just as much
 * for the plan that it is set by.
 *
 * <p>A want's total is a sum over k of a weight times the k largest contributions; those are no more than k times any
 * threshold and all that reaches over it. Of several by one kind only the largest counts whole; what it has over the others is
 * no more than any threshold and all that reaches over that. So every threshold gives a bound, and the best of them is found
 * as prices are.
 */
final class Repeats {
    /** How many of the largest have a weight of their own. */
    private static final int LEVELS = 4;

    /**
     * What a unit brings: points of its own, and its helps one by one.
     *
     * @param want of each help
     * @param kind of each help, numbered over all wants
     * @param points of each help
     */
    record Items(double own, int[] want, int[] kind, double[] points) {}

    private final Problem problem;
    private final double[] weight = new double[LEVELS];
    private final double tail;
    private final double same;
    private final Map<Long, Integer> kinds = new HashMap<>();
    /** First the levels of every want, then the kinds. */
    private double[] threshold;

    /** @param rows with all that may help */
    Repeats(Problem problem, List<Row> rows) {
        this.problem = problem;
        double w = 1;
        for (int k = 0; k < LEVELS; k++) {
            weight[k] = w - w * problem.another();
            w *= problem.another();
        }
        this.tail = w;
        this.same = problem.same();
        for (Row row : rows) {
            for (Unit unit : row.units()) {
                for (Option o : unit.options()) {
                    for (int want : o.on()) {
                        kinds.putIfAbsent(key(want, o.by()[want]), kinds.size());
                    }
                }
            }
        }
        this.threshold = new double[problem.wants() * LEVELS + kinds.size()];
    }

    private static long key(int want, int kind) {
        return ((long) want << Integer.SIZE) + kind;
    }

    private int kind(int want, int kind) {
        return problem.wants() * LEVELS + kinds.getOrDefault(key(want, kind), 0);
    }

    Items items(Unit unit) {
        double own = 0;
        for (Option o : unit.options()) {
            own += o.refinement();
        }
        List<int[]> which = new ArrayList<>();
        List<Double> points = new ArrayList<>();
        for (Option o : unit.things()) {
            for (int want : o.on()) {
                which.add(new int[] {want, kind(want, o.by()[want])});
                points.add(o.helps()[want]);
            }
        }
        return new Items(
                own,
                which.stream().mapToInt(x -> x[0]).toArray(),
                which.stream().mapToInt(x -> x[1]).toArray(),
                points.stream().mapToDouble(Double::doubleValue).toArray());
    }

    /** Sets the thresholds by a plan: for it the sum is exact. */
    void setBy(List<Optional<Option>> plan) {
        List<Option> options = plan.stream().flatMap(Optional::stream).toList();
        for (int want = 0; want < problem.wants(); want++) {
            setBy(want, options);
        }
    }

    private void setBy(int want, List<Option> options) {
        Map<Integer, List<Double>> by = new TreeMap<>();
        Set<Integer> things = new HashSet<>();
        options.stream()
                .filter(o -> o.helps()[want] > 0 && things.add(o.thing()))
                .forEach(o ->
                        by.computeIfAbsent(o.by()[want], _ -> new ArrayList<>()).add(o.helps()[want]));
        List<Double> counted = new ArrayList<>();
        by.values().forEach(values -> {
            values.sort(Comparator.reverseOrder());
            counted.add(values.getFirst());
            values.stream().skip(1).forEach(v -> counted.add(same * v));
        });
        counted.sort(Comparator.reverseOrder());
        for (int k = 0; k < LEVELS && k < counted.size(); k++) {
            threshold[want * LEVELS + k] = counted.get(k);
        }
        by.forEach((kind, values) -> {
            if (kinds.containsKey(key(want, kind))) {
                threshold[kind(want, kind)] = gap(want, values.getFirst());
            }
        });
    }

    private double counts(int want, double x) {
        double sum = tail * x;
        for (int k = 0; k < LEVELS; k++) {
            double over = x - threshold[want * LEVELS + k];
            sum += over > 0 ? weight[k] * over : 0;
        }
        return sum;
    }

    /** What a help counts more as the first of its kind than as another. */
    private double gap(int want, double x) {
        return counts(want, x) - counts(want, same * x);
    }

    double[] thresholds() {
        return threshold;
    }

    /** Sets them as they were. */
    void set(double[] thresholds) {
        threshold = thresholds.clone();
    }

    /** What the thresholds come to by themselves. */
    double constant() {
        double sum = 0;
        int levels = problem.wants() * LEVELS;
        for (int i = 0; i < threshold.length; i++) {
            sum += threshold[i] * slope(i, levels);
        }
        return sum;
    }

    private double slope(int i, int levels) {
        return i < levels ? weight[i % LEVELS] * (i % LEVELS + 1) : 1;
    }

    /** What a unit adds. */
    double adds(Items items) {
        double sum = items.own();
        double[] points = items.points();
        for (int i = 0; i < points.length; i++) {
            int want = items.want()[i];
            double again = counts(want, same * points[i]);
            double over = counts(want, points[i]) - again - threshold[items.kind()[i]];
            sum += over > 0 ? again + over : again;
        }
        return sum;
    }

    /** How the sum grows with each threshold while nothing is taken. */
    double[] slopes() {
        double[] slopes = new double[threshold.length];
        int levels = problem.wants() * LEVELS;
        for (int i = 0; i < slopes.length; i++) {
            slopes[i] = slope(i, levels);
        }
        return slopes;
    }

    /** How it falls with each threshold by what a unit adds. */
    void fall(Items items, double[] slopes) {
        for (int i = 0; i < items.points().length; i++) {
            int want = items.want()[i];
            double x = items.points()[i];
            double y = same * x;
            boolean first = gap(want, x) > threshold[items.kind()[i]];
            for (int k = 0; k < LEVELS; k++) {
                double t = threshold[want * LEVELS + k];
                if ((first ? x : y) > t) {
                    slopes[want * LEVELS + k] -= weight[k];
                }
            }
            if (first) {
                slopes[items.kind()[i]]--;
            }
        }
    }
}

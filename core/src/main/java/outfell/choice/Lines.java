package outfell.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.ToDoubleFunction;
import java.util.function.ToLongFunction;
import outfell.choice.Worth.Aim;

/**
 * What binds the rows together, as sums that no plan passes: the limits, the aims that are held, and of what may not stand
 * together whatever parts everybody who has it. Every sum is one that each unit adds to by itself, and never more than the plan
 * really takes; so what the sums allow is never less than what there is.
 */
final class Lines {
    private static final double[] NOTHING = {};

    /**
     * One of them.
     *
     * @param most that the plan's units come to
     * @param adds what one unit adds
     */
    private record Line(double most, ToDoubleFunction<Unit> adds) {}

    private final Problem problem;
    private final List<Row> rows;
    /** The limits that have an end, then what is so in every plan. */
    private final List<Line> fixed;

    private final int limits;
    /** What each unit adds to those. */
    private final Map<Unit, double[]> known;
    /** In how many rows a thing might stand at once. */
    private final int[] where;

    private final List<Line> held = new ArrayList<>();

    /** @param once things of which no best plan has two */
    Lines(Problem problem, List<Row> rows, Set<Integer> once) {
        this.problem = problem;
        this.rows = rows;
        this.where = new int[problem.things()];
        for (Row row : rows) {
            row.things().stream().forEach(t -> where[t] = once.contains(t) ? 1 : where[t] + 1);
        }
        this.fixed = new ArrayList<>();
        for (int r = 0; r < problem.limits().size(); r++) {
            if (!Double.isInfinite(problem.limits().get(r).most())) {
                fixed.add(limit(r, problem.limits().get(r)));
            }
        }
        this.limits = fixed.size();
        ranks();
        cliques();
        this.known = new IdentityHashMap<>();
        for (Row row : rows) {
            for (Unit unit : row.units()) {
                known.put(unit, adds(fixed, unit));
            }
        }
    }

    /** The same, with nothing held yet. */
    Lines(Lines other) {
        this.problem = other.problem;
        this.rows = other.rows;
        this.fixed = other.fixed;
        this.limits = other.limits;
        this.known = other.known;
        this.where = other.where;
    }

    private static double[] adds(List<Line> lines, Unit unit) {
        double[] all = new double[lines.size()];
        for (int l = 0; l < all.length; l++) {
            all[l] = lines.get(l).adds().applyAsDouble(unit);
        }
        return all;
    }

    private Line limit(int r, Limit limit) {
        int nights = nightly(limit.routine());
        return new Line(
                limit.most(),
                switch (limit.sums()) {
                    case ADDED -> unit -> sum(unit, (_, o) -> o.takes()[r]);
                    case IN_ROUTINE ->
                        // of the nightly ones the longest counts, which is no less than their mean
                        unit -> sum(
                                unit,
                                (i, o) -> unit.routines()[i] != limit.routine()
                                        ? 0
                                        : o.nightly() ? o.takes()[r] / nights : o.takes()[r]);
                    case ONCE_A_THING ->
                        unit -> {
                            double sum = 0;
                            for (Option o : unit.things()) {
                                sum += o.takes()[r] / where[o.thing()];
                            }
                            return sum;
                        };
                    case PER_THING -> unit -> perThing(r, unit);
                });
    }

    private double perThing(int r, Unit unit) {
        double sum = 0;
        for (Option o : unit.things()) {
            double takes = unit.twice() ? o.takes()[r] + unit.options()[1].takes()[r] : o.takes()[r];
            // of a bottle that stands elsewhere, too, it is not known here whether it is used up in its time
            sum += where[o.thing()] == 1 && takes > 0 ? Math.max(takes, o.atLeast()) : takes;
        }
        return sum;
    }

    private interface Adds {
        double of(int i, Option o);
    }

    private static double sum(Unit unit, Adds adds) {
        double sum = 0;
        for (int i = 0; i < unit.options().length; i++) {
            sum += adds.of(i, unit.options()[i]);
        }
        return sum;
    }

    private int nightly(int routine) {
        return rows.stream()
                .filter(row -> row.units().stream().anyMatch(u -> hasNightly(u, routine)))
                .mapToInt(row -> row.places().size())
                .sum();
    }

    private static boolean hasNightly(Unit unit, int routine) {
        return sum(unit, (i, o) -> o.nightly() && unit.routines()[i] == routine ? 1 : 0) > 0;
    }

    /** Where one place is sure to be filled, what stands under it ranks no higher. */
    private void ranks() {
        for (int p = 0; p < problem.places().size(); p++) {
            int below = p;
            int above = problem.places().get(p).under();
            if (above >= 0 && problem.places().get(above).needed()) {
                fixed.add(new Line(
                        0,
                        unit -> sum(unit, (i, o) -> {
                            int at = unit.places()[i];
                            return at == below ? o.rank() : at == above ? -o.rank() : 0;
                        })));
            }
        }
    }

    /** Of those that mind what they hold themselves there is at most one. */
    private void cliques() {
        Set<Integer> routines = new TreeSet<>();
        long minding = 0;
        for (Row row : rows) {
            for (Unit unit : row.units()) {
                routines.add(unit.routines()[0]);
                for (Option o : unit.options()) {
                    minding |= (o.notInPlan() | o.notInRoutine()) & o.held();
                }
            }
        }
        for (long left = minding; left != 0; left &= left - 1) {
            long bit = Long.lowestOneBit(left);
            several(unit -> sum(unit, (_, o) -> has(o, Option::notInPlan, bit)));
            for (int in : routines) {
                several(unit -> sum(unit, (i, o) -> unit.routines()[i] == in ? has(o, Option::notInRoutine, bit) : 0));
            }
        }
    }

    private static int has(Option o, ToLongFunction<Option> minds, long bit) {
        return (minds.applyAsLong(o) & o.held() & bit) == 0 ? 0 : 1;
    }

    private void several(ToDoubleFunction<Unit> which) {
        int places = rows.stream()
                .filter(row -> row.units().stream().anyMatch(u -> which.applyAsDouble(u) > 0))
                .mapToInt(Row::size)
                .sum();
        if (places > 1) {
            fixed.add(new Line(1, which));
        }
    }

    /** A first want served so well at least. */
    void serves(int want, int grade) {
        if (grade > 0) {
            held.add(new Line(-1, unit -> unit.grade(want) >= grade ? -1 : 0));
        }
    }

    /** An aim held at what it has reached, which is the most that there is. */
    void holds(Aim aim, double reached, double off) {
        held.add(new Line(off - reached, unit -> -adds(aim, unit)));
        // a bottle that stands elsewhere, too, is counted whole on this side
        held.add(new Line(off + reached, aim == Aim.BOTTLES ? unit -> -bottles(unit) : unit -> adds(aim, unit)));
    }

    /** So much of an aim that adds up at least. */
    void brings(Aim aim, double least) {
        held.add(new Line(-least, unit -> -adds(aim, unit)));
    }

    /** What a unit adds to an aim, and never less than it does. */
    double adds(Aim aim, Unit unit) {
        double sum = 0;
        if (aim == Aim.BOTTLES) {
            for (Option o : unit.things()) {
                sum -= o.bottles() / (double) where[o.thing()];
            }
        } else {
            for (Option o : unit.options()) {
                sum += Filling.brings(o, aim);
            }
        }
        return sum;
    }

    private static double bottles(Unit unit) {
        double sum = 0;
        for (Option o : unit.things()) {
            sum += o.bottles();
        }
        return sum;
    }

    /** What each may come to at most. */
    double[] most() {
        double[] all = new double[fixed.size() + held.size()];
        for (int l = 0; l < all.length; l++) {
            all[l] = (l < fixed.size() ? fixed.get(l) : held.get(l - fixed.size())).most();
        }
        return all;
    }

    /** What one unit adds to each. */
    double[] of(Unit unit) {
        double[] first = known.getOrDefault(unit, NOTHING);
        double[] all = Arrays.copyOf(first, fixed.size() + held.size());
        for (int l = 0; l < held.size(); l++) {
            all[fixed.size() + l] = held.get(l).adds().applyAsDouble(unit);
        }
        return all;
    }

    /** Whether one unit takes no more than another of any limit that has an end. */
    boolean takesNoMore(Unit a, Unit b) {
        double[] mine = known.getOrDefault(a, NOTHING);
        double[] theirs = known.getOrDefault(b, NOTHING);
        for (int l = 0; l < limits; l++) {
            if (mine[l] > theirs[l] + Limit.DUST) {
                return false;
            }
        }
        return true;
    }
}

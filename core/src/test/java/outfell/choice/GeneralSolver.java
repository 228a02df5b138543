package outfell.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.constraints.extension.Tuples;
import org.chocosolver.solver.search.strategy.Search;
import org.chocosolver.solver.variables.BoolVar;
import org.chocosolver.solver.variables.IntVar;
import outfell.choice.Worth.Aim;

/**
 * The choice as a model for a general-purpose constraint solver, written from what a problem says and not from the search: a
 * second witness at sizes where not every plan can be tried. It reckons in whole parts, so the problem's numbers have to be
 * halves, quarters and the like, as those of {@link Problems} are, and helps count half beside others.
 */
final class GeneralSolver {
    /** Parts of a point: a help of half a point halved eleven times is still a whole number. */
    private static final int PARTS = 1 << 12;

    private static final int QUARTERS = 4;
    private static final int TENTHS = 10;
    private static final int LARGE = 1 << 24;

    private final Problem problem;
    private final Model model = new Model();
    /** For each place the number of its option, from 1; 0 for none. */
    private final IntVar[] taken;

    private final BoolVar[][] is;
    /** For each thing, whether it stands anywhere. */
    private final Map<Integer, BoolVar> stands = new TreeMap<>();

    private final Map<Integer, Option> things = new TreeMap<>();
    /** Which thing of a kind counts whole for a want; these are decided, too, else a bound may pass for a sum. */
    private final List<BoolVar> firsts = new ArrayList<>();

    GeneralSolver(Problem problem) {
        this.problem = problem;
        int n = problem.places().size();
        this.taken = new IntVar[n];
        this.is = new BoolVar[n][];
        Map<Integer, List<BoolVar>> where = new TreeMap<>();
        for (int p = 0; p < n; p++) {
            Place place = problem.places().get(p);
            int options = place.options().size();
            taken[p] = model.intVar("place " + p, place.needed() ? 1 : 0, options);
            is[p] = model.boolVarArray(options);
            for (int i = 0; i < options; i++) {
                model.reifyXeqC(taken[p], i + 1, is[p][i]);
                Option o = place.options().get(i);
                things.putIfAbsent(o.thing(), o);
                where.computeIfAbsent(o.thing(), _ -> new ArrayList<>()).add(is[p][i]);
            }
        }
        where.forEach((thing, all) -> {
            BoolVar any = model.boolVar();
            model.addClausesBoolOrArrayEqVar(all.toArray(BoolVar[]::new), any);
            stands.put(thing, any);
        });
    }

    /** The worth of the best choice: aim after aim, each held at its best for the next. */
    Worth best() {
        meetings();
        for (int r = 0; r < problem.limits().size(); r++) {
            if (!Double.isInfinite(problem.limits().get(r).most())) {
                limit(r, problem.limits().get(r));
            }
        }
        double[] aims = new double[Worth.AIMS];
        for (Aim aim : Aim.values()) {
            IntVar value = value(aim);
            List<IntVar> decided = new ArrayList<>(firsts);
            decided.add(value);
            model.getSolver()
                    .setSearch(
                            Search.domOverWDegSearch(taken), Search.inputOrderUBSearch(decided.toArray(IntVar[]::new)));
            Solution best = Objects.requireNonNull(model.getSolver().findOptimalSolution(value, true));
            int reached = best.getIntVal(value);
            model.getSolver().hardReset();
            model.arithm(value, "=", reached).post();
            aims[aim.ordinal()] = aim == Aim.WANTS || aim == Aim.REFINEMENT ? reached : reached / (double) QUARTERS;
        }
        return new Worth(aims);
    }

    private void meetings() {
        for (int p = 0; p < taken.length; p++) {
            for (int q = p + 1; q < taken.length; q++) {
                Tuples apart = apart(p, q);
                if (apart.nbTuples() > 0) {
                    model.table(taken[p], taken[q], apart).post();
                }
            }
        }
    }

    private Tuples apart(int p, int q) {
        Place one = problem.places().get(p);
        Place other = problem.places().get(q);
        Tuples apart = new Tuples(false);
        for (int i = 0; i < one.options().size(); i++) {
            for (int j = 0; j < other.options().size(); j++) {
                Option a = one.options().get(i);
                Option b = other.options().get(j);
                boolean twice = a.thing() == b.thing() && one.like() == other.like();
                boolean outranks =
                        (one.under() == q && a.rank() > b.rank()) || (other.under() == p && b.rank() > a.rank());
                if (twice || outranks || !a.bears(b, one.routine() == other.routine())) {
                    apart.add(i + 1, j + 1);
                }
            }
        }
        return apart;
    }

    private void limit(int r, Limit limit) {
        Sum sum = new Sum();
        switch (limit.sums()) {
            case ADDED -> each((_, o, b) -> sum.add(b, o.takes()[r]));
            case IN_ROUTINE -> {
                List<IntVar> nightly = new ArrayList<>(List.of(model.intVar(0)));
                each((place, o, b) -> {
                    if (place.routine() == limit.routine()) {
                        if (o.nightly()) {
                            nightly.add(model.mul(b, quarters(o.takes()[r])));
                        } else {
                            sum.add(b, o.takes()[r]);
                        }
                    }
                });
                sum.whole(model.max("longest", nightly.toArray(IntVar[]::new)));
            }
            case ONCE_A_THING -> things.forEach((thing, o) -> sum.add(stands(thing), o.takes()[r]));
            case PER_THING -> things.keySet().forEach(thing -> sum.whole(perThing(r, thing)));
        }
        model.arithm(sum.var(), "<=", (int) Math.floor(limit.most() * QUARTERS + 1e-6))
                .post();
    }

    private IntVar perThing(int r, int thing) {
        Sum takes = new Sum();
        each((_, o, b) -> {
            if (o.thing() == thing) {
                takes.add(b, o.takes()[r]);
            }
        });
        IntVar use = takes.var();
        BoolVar any = model.boolVar();
        model.reifyXgtC(use, 0, any);
        int atLeast = quarters(Objects.requireNonNull(things.get(thing)).atLeast());
        return model.max("thing", new IntVar[] {use, model.mul(any, atLeast)});
    }

    private IntVar value(Aim aim) {
        return switch (aim) {
            case WANTS -> wants();
            case COMFORT -> sum(Option::comfort);
            case SCHOOL -> sum(Option::school);
            case REFINEMENT -> refinement();
            case BOTTLES -> {
                Sum sum = new Sum();
                things.forEach((thing, o) -> sum.add(stands(thing), -o.bottles()));
                yield sum.var();
            }
            case STEPS -> sum(o -> -o.costs().steps());
            case MONEY -> sum(o -> -o.costs().money());
            case MILDNESS -> sum(o -> -o.costs().harshness());
            case NAME -> sum(o -> -o.costs().name());
        };
    }

    private IntVar sum(ToDoubleFunction<Option> of) {
        Sum sum = new Sum();
        each((_, o, b) -> sum.add(b, of.applyAsDouble(o)));
        return sum.var();
    }

    private IntVar wants() {
        IntVar[] served = new IntVar[problem.firsts()];
        int[] weights = new int[served.length];
        int weight = 1;
        for (int w = served.length - 1; w >= 0; w--) {
            List<IntVar> grades = new ArrayList<>(List.of(model.intVar(0)));
            for (Map.Entry<Integer, Option> thing : things.entrySet()) {
                grades.add(model.mul(stands(thing.getKey()), thing.getValue().grades()[w]));
            }
            served[w] = model.max("want " + w, grades.toArray(IntVar[]::new));
            weights[w] = weight;
            weight *= 3;
        }
        IntVar code = model.intVar("wants", 0, weight - 1);
        model.scalar(served, weights, "=", code).post();
        return code;
    }

    /** Whole steps of refinement: what things have of their own, and what they help beside one another. */
    private IntVar refinement() {
        List<IntVar> terms = new ArrayList<>();
        List<Integer> weights = new ArrayList<>();
        each((_, o, b) -> {
            terms.add(b);
            weights.add((int) Math.round(o.refinement() * PARTS * TENTHS));
        });
        for (int want = 0; want < problem.wants(); want++) {
            helps(want, terms, weights);
        }
        int alike = (int) Math.round(problem.alike() * TENTHS);
        IntVar points = model.intVar("points", -LARGE, LARGE);
        model.scalar(terms.toArray(IntVar[]::new), ints(weights), "=", points).post();
        IntVar steps = model.intVar("steps", -LARGE / PARTS, LARGE / PARTS);
        IntVar left = model.intVar("left", 0, alike * PARTS - 1);
        model.scalar(new IntVar[] {steps, left}, new int[] {alike * PARTS, 1}, "=", points)
                .post();
        return steps;
    }

    /** Contributions sorted, each place half of the one before; of one kind the largest counts whole, the others half. */
    private void helps(int want, List<IntVar> terms, List<Integer> weights) {
        Map<Integer, List<Integer>> kinds = new TreeMap<>();
        things.forEach((thing, o) -> {
            if (o.helps()[want] > 0) {
                kinds.computeIfAbsent(o.by()[want], _ -> new ArrayList<>()).add(thing);
            }
        });
        List<IntVar> counted = new ArrayList<>();
        for (List<Integer> of : kinds.values()) {
            BoolVar[] first = model.boolVarArray(of.size());
            firsts.addAll(List.of(first));
            Iterator<Integer> thing = of.iterator();
            for (BoolVar f : first) {
                int t = thing.next();
                // parts of a help, in quarters: half of one that is halved again stays whole
                int half =
                        (int) Math.round(Objects.requireNonNull(things.get(t)).helps()[want] * QUARTERS / 2);
                model.arithm(f, "<=", stands(t)).post();
                IntVar counts = model.intVar(0, 2 * half);
                model.scalar(new IntVar[] {stands(t), f}, new int[] {half, half}, "=", counts)
                        .post();
                counted.add(counts);
            }
            if (first.length > 1) {
                // maximised, it is the largest that is counted whole
                model.sum(first, "<=", 1).post();
            }
        }
        if (counted.isEmpty()) {
            return;
        }
        int most = counted.stream().mapToInt(IntVar::getUB).max().orElse(0);
        IntVar[] ascending = model.intVarArray(counted.size(), 0, most);
        model.sort(counted.toArray(IntVar[]::new), ascending).post();
        int weight = PARTS / QUARTERS * TENTHS;
        for (int i = ascending.length - 1; i >= 0 && weight % 2 == 0; i--) {
            terms.add(ascending[i]);
            weights.add(weight);
            weight /= 2;
        }
    }

    private BoolVar stands(int thing) {
        return Objects.requireNonNull(stands.get(thing));
    }

    private static int quarters(double x) {
        return (int) Math.round(x * QUARTERS);
    }

    private static int[] ints(List<Integer> all) {
        return all.stream().mapToInt(Integer::intValue).toArray();
    }

    private interface Each {
        void option(Place place, Option option, BoolVar is);
    }

    private void each(Each each) {
        for (int p = 0; p < is.length; p++) {
            Place place = problem.places().get(p);
            for (int i = 0; i < is[p].length; i++) {
                each.option(place, place.options().get(i), is[p][i]);
            }
        }
    }

    /** A sum in quarters. */
    private final class Sum {
        private final List<IntVar> of = new ArrayList<>();
        private final List<Integer> weights = new ArrayList<>();

        void add(IntVar var, double weight) {
            if (weight != 0) {
                of.add(var);
                weights.add(quarters(weight));
            }
        }

        void whole(IntVar var) {
            of.add(var);
            weights.add(1);
        }

        IntVar var() {
            int[] w = ints(weights);
            int bound = 0;
            for (int i = 0; i < w.length; i++) {
                bound += Math.abs(w[i])
                        * Math.max(
                                Math.abs(of.get(i).getUB()), Math.abs(of.get(i).getLB()));
            }
            IntVar sum = model.intVar(-bound, bound);
            if (w.length > 0) {
                model.scalar(of.toArray(IntVar[]::new), w, "=", sum).post();
            } else {
                model.arithm(sum, "=", 0).post();
            }
            return sum;
        }
    }

    @Override
    public String toString() {
        return Arrays.toString(taken);
    }
}

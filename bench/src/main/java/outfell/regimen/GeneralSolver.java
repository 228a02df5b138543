package outfell.regimen;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.constraints.extension.Tuples;
import org.chocosolver.solver.search.strategy.Search;
import org.chocosolver.solver.variables.BoolVar;
import org.chocosolver.solver.variables.IntVar;
import outfell.product.ActiveKind;
import outfell.routine.Part;

/**
 * The choice as a model for a general-purpose constraint solver, to hold the product's own search against: written from the
 * yardstick and the limits, not from the search. Without a budget. Points are counted in whole parts, so a score is off by
 * less than {@link #TOLERANCE}.
 */
public final class GeneralSolver {
    /** Points by which rounding may move a score. */
    public static final double TOLERANCE = 0.1;

    /** Parts of a point in which a help is counted; even, since a repeated active counts half. */
    private static final int PARTS = 1024;
    /** Places of a concern that count, each half of the one before it. */
    private static final int PLACES = 7;

    private static final int FIRST_PLACE = 1 << (PLACES - 1);
    private static final int WHOLE = PARTS * FIRST_PLACE;
    private static final int MOST_POINTS = 300;
    private static final int SECONDS = 60;

    private final List<Slot> slots;
    private final Limits limits;
    private final Yardstick yardstick;
    private final int concerns;
    private final Model model = new Model();
    /** For each slot the number of its candidate, from 1; 0 for none. */
    private final IntVar[] taken;
    /** For slot and candidate whether it is taken. */
    private final BoolVar[][] is;

    /** Which product of an active counts whole for a concern. */
    private final List<BoolVar> firsts = new ArrayList<>();

    private final List<IntVar> terms = new ArrayList<>();
    private final List<Integer> weights = new ArrayList<>();

    GeneralSolver(List<Slot> slots, Limits limits, Yardstick yardstick, int concerns) {
        if (!Double.isInfinite(limits.of(Scarcity.MONEY).ceiling())) {
            throw new IllegalArgumentException("The model knows no budget.");
        }
        this.slots = slots;
        this.limits = limits;
        this.yardstick = yardstick;
        this.concerns = concerns;
        this.taken = new IntVar[slots.size()];
        this.is = new BoolVar[slots.size()][];
        for (int s = 0; s < slots.size(); s++) {
            Slot slot = slots.get(s);
            int n = slot.candidates().size();
            taken[s] = model.intVar("slot " + s, slot.required() ? 1 : 0, n);
            is[s] = model.boolVarArray(n);
            for (int i = 0; i < n; i++) {
                model.reifyXeqC(taken[s], i + 1, is[s][i]);
                term(is[s][i], slot.candidates().get(i).own());
            }
        }
    }

    /** The best plan, or nothing when the limits allow none. */
    Optional<List<Optional<Candidate>>> solve() {
        meetings();
        for (Part part : Part.values()) {
            time(part);
            steps(part);
        }
        rationed();
        twoBottles();
        for (int k = 0; k < concerns; k++) {
            concern(k);
        }
        IntVar score = model.intVar("score", -MOST_POINTS * WHOLE, MOST_POINTS * WHOLE);
        model.scalar(
                        terms.toArray(IntVar[]::new),
                        weights.stream().mapToInt(Integer::intValue).toArray(),
                        "=",
                        score)
                .post();
        model.getSolver()
                .setSearch(Search.domOverWDegSearch(taken), Search.inputOrderUBSearch(firsts.toArray(BoolVar[]::new)));
        Solution best = model.getSolver().findOptimalSolution(score, true);
        return Optional.ofNullable(best).map(this::plan);
    }

    private List<Optional<Candidate>> plan(Solution best) {
        return IntStream.range(0, slots.size())
                .mapToObj(s -> {
                    int i = best.getIntVal(taken[s]) - 1;
                    return i < 0
                            ? Optional.<Candidate>empty()
                            : Optional.of(slots.get(s).candidates().get(i));
                })
                .toList();
    }

    private void term(IntVar of, double points) {
        terms.add(of);
        weights.add((int) Math.round(points * WHOLE));
    }

    private void meetings() {
        for (int s = 0; s < slots.size(); s++) {
            for (int o = s + 1; o < slots.size(); o++) {
                Tuples apart = apart(slots.get(s), slots.get(o));
                if (apart.nbTuples() > 0) {
                    model.table(taken[s], taken[o], apart).post();
                }
            }
        }
    }

    private static Tuples apart(Slot one, Slot other) {
        Tuples apart = new Tuples(false);
        for (int i = 0; i < one.candidates().size(); i++) {
            for (int j = 0; j < other.candidates().size(); j++) {
                Candidate a = one.candidates().get(i);
                Candidate b = other.candidates().get(j);
                boolean twice = a.number() == b.number() && one.alike(other);
                if (twice || !a.bears(b, one.part() == other.part())) {
                    apart.add(i + 1, j + 1);
                }
            }
        }
        return apart;
    }

    /** Daily steps add up; of those with nights of their own the longest counts. Beyond the comfortable part it costs. */
    private void time(Part part) {
        Scarce minutes = limits.of(Scarcity.minutes(part));
        List<IntVar> daily = new ArrayList<>();
        List<Integer> seconds = new ArrayList<>();
        List<IntVar> nightly = new ArrayList<>(List.of(model.intVar(0)));
        each((s, i, c) -> {
            if (slots.get(s).part() == part) {
                int takes = seconds(c.minutes());
                if (c.rationed()) {
                    nightly.add(model.mul(is[s][i], takes));
                } else {
                    daily.add(is[s][i]);
                    seconds.add(takes);
                }
            }
        });
        int most = (int) Math.floor(minutes.ceiling() * SECONDS + 1e-6);
        IntVar longest = model.max("longest " + part, nightly.toArray(IntVar[]::new));
        daily.add(longest);
        seconds.add(1);
        IntVar use = model.intVar("seconds " + part, 0, most);
        model.scalar(
                        daily.toArray(IntVar[]::new),
                        seconds.stream().mapToInt(Integer::intValue).toArray(),
                        "=",
                        use)
                .post();
        IntVar beyond =
                model.max("beyond " + part, new IntVar[] {model.intVar(0), model.offset(use, -seconds(minutes.high()))
                });
        term(beyond, -minutes.over() / SECONDS);
    }

    private void steps(Part part) {
        List<BoolVar> daily = new ArrayList<>();
        List<BoolVar> nightly = new ArrayList<>();
        each((s, i, c) -> {
            if (slots.get(s).part() == part) {
                (c.rationed() ? nightly : daily).add(is[s][i]);
            }
        });
        BoolVar any = model.boolVar();
        if (nightly.isEmpty()) {
            model.arithm(any, "=", 0).post();
        } else {
            model.addClausesBoolOrArrayEqVar(nightly.toArray(BoolVar[]::new), any);
        }
        daily.add(any);
        double most = limits.of(Scarcity.steps(part)).ceiling();
        if (!Double.isInfinite(most)) {
            atMost(daily, (int) Math.round(most));
        }
    }

    private void rationed() {
        atMost(Scarcity.NIGHTS, 1);
        atMost(Scarcity.LOAD, 100);
        List<BoolVar> strong = new ArrayList<>();
        List<BoolVar> beginners = new ArrayList<>();
        each((s, i, c) -> {
            if (c.strong()) {
                strong.add(is[s][i]);
            }
            if (c.beginner()) {
                beginners.add(is[s][i]);
            }
        });
        atMost(strong, limits.strong());
        atMost(beginners, 1);
    }

    private void atMost(List<BoolVar> of, int most) {
        if (of.size() > most) {
            model.sum(of.toArray(BoolVar[]::new), "<=", most).post();
        }
    }

    private void atMost(Scarcity of, int parts) {
        double ceiling = limits.of(of).ceiling();
        if (Double.isInfinite(ceiling)) {
            return;
        }
        List<IntVar> all = new ArrayList<>();
        List<Integer> takes = new ArrayList<>();
        each((s, i, c) -> {
            int take = (int) Math.round(c.takes()[of.ordinal()] * parts);
            if (take > 0) {
                all.add(is[s][i]);
                takes.add(take);
            }
        });
        if (!all.isEmpty()) {
            model.scalar(
                            all.toArray(IntVar[]::new),
                            takes.stream().mapToInt(Integer::intValue).toArray(),
                            "<=",
                            (int) Math.floor(ceiling * parts + 1e-6))
                    .post();
        }
    }

    /** The same kind from two bottles costs, where it stands once in each routine. */
    private void twoBottles() {
        int[] twin = Slot.twins(slots);
        for (int s = 0; s < twin.length; s++) {
            int t = twin[s];
            if (t > s) {
                Tuples two = new Tuples(true);
                two.add(0, 0, 0);
                for (int i = 0; i <= slots.get(s).candidates().size(); i++) {
                    for (int j = 0; j <= slots.get(t).candidates().size(); j++) {
                        if (i + j > 0) {
                            boolean different = i > 0
                                    && j > 0
                                    && slots.get(s).candidates().get(i - 1).number()
                                            != slots.get(t)
                                                    .candidates()
                                                    .get(j - 1)
                                                    .number();
                            two.add(i, j, different ? 1 : 0);
                        }
                    }
                }
                BoolVar costs = model.boolVar();
                model.table(new IntVar[] {taken[s], taken[t], costs}, two).post();
                term(costs, -yardstick.anotherBottle());
            }
        }
    }

    /** Contributions sorted, each place half of the one before; of one active the first counts whole, the others half. */
    private void concern(int k) {
        Map<Integer, BoolVar> stands = new TreeMap<>();
        Map<Integer, Candidate> by = new TreeMap<>();
        Map<Integer, List<BoolVar>> where = new TreeMap<>();
        each((s, i, c) -> {
            if (c.helps()[k] > 0) {
                by.putIfAbsent(c.number(), c);
                where.computeIfAbsent(c.number(), _ -> new ArrayList<>()).add(is[s][i]);
            }
        });
        where.forEach((number, slotsOfIt) -> {
            BoolVar any = model.boolVar();
            model.addClausesBoolOrArrayEqVar(slotsOfIt.toArray(BoolVar[]::new), any);
            stands.put(number, any);
        });
        List<IntVar> counted = new ArrayList<>();
        for (ActiveKind kind : ActiveKind.values()) {
            List<Integer> of = by.keySet().stream()
                    .filter(n -> at(by, n).kinds()[k] == kind.ordinal())
                    .toList();
            BoolVar[] first = model.boolVarArray(of.size());
            firsts.addAll(List.of(first));
            for (int n = 0; n < first.length; n++) {
                int half = (int) Math.round(at(by, of.get(n)).helps()[k] * PARTS / 2);
                model.arithm(first[n], "<=", at(stands, of.get(n))).post();
                IntVar counts = model.intVar(0, 2 * half);
                model.scalar(new IntVar[] {at(stands, of.get(n)), first[n]}, new int[] {half, half}, "=", counts)
                        .post();
                counted.add(counts);
            }
            if (first.length > 1) {
                model.sum(first, "<=", 1).post();
            }
        }
        if (!counted.isEmpty()) {
            sorted(counted);
        }
    }

    private void sorted(List<IntVar> counted) {
        int most = counted.stream().mapToInt(IntVar::getUB).max().orElse(0);
        IntVar[] ascending = model.intVarArray(counted.size(), 0, most);
        model.sort(counted.toArray(IntVar[]::new), ascending).post();
        int weight = FIRST_PLACE;
        for (int i = ascending.length - 1; i >= 0 && weight > 0; i--) {
            terms.add(ascending[i]);
            weights.add(weight);
            weight /= 2;
        }
    }

    private interface Each {
        void candidate(int slot, int index, Candidate candidate);
    }

    private void each(Each each) {
        for (int s = 0; s < slots.size(); s++) {
            List<Candidate> candidates = slots.get(s).candidates();
            for (int i = 0; i < candidates.size(); i++) {
                each.candidate(s, i, candidates.get(i));
            }
        }
    }

    private static int seconds(double minutes) {
        return (int) Math.round(minutes * SECONDS);
    }

    private static <V> V at(Map<Integer, V> map, int number) {
        return Objects.requireNonNull(map.get(number));
    }
}

package outfell.choice;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Leaves out options that others can always stand for: no choice becomes worse by it. An option goes when more others beat it
 * than could be in use elsewhere.
 */
final class Fewer {
    private final Problem problem;
    /** Bits of what anybody leaves behind, and of what anybody minds: what nothing minds parts nobody. */
    private final long held;

    private final long minded;
    /** By place and thing. */
    private final @Nullable Option[][] at;

    private final int[] related;
    private final boolean[] ranked;

    private Fewer(Problem problem) {
        this.problem = problem;
        long all = 0;
        long minds = 0;
        for (Place place : problem.places()) {
            for (Option o : place.options()) {
                all |= o.held();
                minds |= o.notInPlan() | o.notInRoutine();
            }
        }
        this.held = all;
        this.minded = minds;
        int n = problem.places().size();
        this.at = new Option[n][problem.things()];
        this.related = new int[n];
        this.ranked = new boolean[n];
        for (int p = 0; p < n; p++) {
            for (Option o : problem.places().get(p).options()) {
                at[p][o.thing()] = o;
            }
            ranked[p] = ranked(p);
        }
        for (int p = 0; p < n; p++) {
            related[p] = related(p);
        }
    }

    static Problem of(Problem problem) {
        boolean[] left = new Fewer(problem).left();
        return problem.over(problem.places().stream()
                .map(p ->
                        p.with(p.options().stream().filter(o -> left[o.thing()]).toList()))
                .toList());
    }

    private boolean[] left() {
        boolean[] left = new boolean[problem.things()];
        for (int b = 0; b < left.length; b++) {
            int first = first(b);
            if (first >= 0) {
                int enough = enough(b);
                int beaten = 0;
                List<Option> others = problem.places().get(first).options();
                for (int i = 0; i < others.size() && beaten < enough; i++) {
                    int a = others.get(i).thing();
                    beaten += a != b && beats(a, b) ? 1 : 0;
                }
                left[b] = beaten < enough;
            }
        }
        return left;
    }

    /** The first place in which a thing may stand; -1 where there is none. */
    private int first(int thing) {
        for (int p = 0; p < at.length; p++) {
            if (at[p][thing] != null) {
                return p;
            }
        }
        return -1;
    }

    /** Whether one thing can stand for another wherever that may stand. */
    private boolean beats(int a, int b) {
        for (int p = 0; p < at.length; p++) {
            Option theirs = at[p][b];
            if (theirs != null) {
                Option mine = at[p][a];
                if (mine == null || !beats(p, mine, theirs)) {
                    return false;
                }
            }
        }
        return true;
    }

    /**
     * How many that beat it make a thing needless: of what helps nothing that counts, as many as one row has places; of what
     * helps, as many as there are places in which those might help already.
     */
    private int enough(int thing) {
        int most = 1;
        for (int p = 0; p < at.length; p++) {
            Option o = at[p][thing];
            if (o != null) {
                most = Math.max(most, o.on().length > 0 ? related[p] : row(p));
            }
        }
        return most;
    }

    private int row(int place) {
        int like = problem.places().get(place).like();
        return (int) problem.places().stream().filter(p -> p.like() == like).count();
    }

    /** In how many places an option of this place, or one that beats it, might stand. */
    private int related(int place) {
        int many = 0;
        for (Option[] there : at) {
            boolean any = false;
            for (int t = 0; t < there.length && !any; t++) {
                any = there[t] != null && at[place][t] != null;
            }
            many += any ? 1 : 0;
        }
        return many;
    }

    private boolean beats(int place, Option a, Option b) {
        if (a.nightly() != b.nightly()
                || a.atLeast() > b.atLeast()
                || !subset(a.held() & minded, b.held())
                || !subset(a.notInPlan() & held, b.notInPlan())
                || !subset(a.notInRoutine() & held, b.notInRoutine())
                || (ranked[place] && a.rank() != b.rank())) {
            return false;
        }
        for (int r = 0; r < a.takes().length; r++) {
            if (a.takes()[r] > b.takes()[r]) {
                return false;
            }
        }
        for (int w = 0; w < a.grades().length; w++) {
            if (a.grades()[w] < b.grades()[w]) {
                return false;
            }
        }
        return asGood(a, b);
    }

    /** Whether the first aim in which they may differ is on its side. */
    private boolean asGood(Option a, Option b) {
        int order = Double.compare(a.comfort(), b.comfort());
        order = order != 0 ? order : Double.compare(a.school(), b.school());
        if (order != 0) {
            return order > 0;
        }
        double ahead = a.refinement() - b.refinement();
        for (int w = 0; w < a.helps().length && ahead >= 0; w++) {
            // by another kind of help it may be the one that counts less as a repetition
            double sure = a.by()[w] == b.by()[w] ? a.helps()[w] : problem.same() * a.helps()[w];
            ahead -= Math.max(0, b.helps()[w] - sure);
        }
        if (ahead < 0 || a.bottles() > b.bottles()) {
            return false;
        }
        return cheaper(a.costs(), b.costs());
    }

    private static boolean cheaper(Option.Costs a, Option.Costs b) {
        int order = Double.compare(a.steps(), b.steps());
        order = order != 0 ? order : Double.compare(a.money(), b.money());
        order = order != 0 ? order : Double.compare(a.harshness(), b.harshness());
        order = order != 0 ? order : Double.compare(a.name(), b.name());
        return order < 0;
    }

    private boolean ranked(int place) {
        return problem.places().get(place).under() >= 0
                || problem.places().stream().anyMatch(p -> p.under() == place);
    }

    private static boolean subset(long a, long b) {
        return (a & ~b) == 0;
    }
}

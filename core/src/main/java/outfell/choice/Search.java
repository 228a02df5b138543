package outfell.choice;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import outfell.choice.Choice.Short;
import outfell.choice.Relaxed.Effort;
import outfell.choice.Worth.Aim;

/**
 * Goal after goal, each with those before it held at their best. What a goal has shown to be in no best plan is left out of all
 * that follow.
 */
final class Search {
    private static final int WELL = 2;
    /** Pairs of options that are looked at as one. */
    private static final int MOST_PAIRS = 600;

    /** What sums of fractions may be off by, in points. */
    private static final double OFF = 1e-6;

    /** What is sure is decided first; rows of several, which have most ways to be filled, last. */
    private static final Comparator<Row> FEWEST_FIRST =
            Comparator.comparingInt(Row::size).thenComparing(r -> r.units().size());

    private final Problem problem;
    private final Walk walk;
    private final UnaryOperator<List<Optional<Option>>> polish;
    private final Filling filling;
    private final List<Goal> before = new ArrayList<>();
    private final List<Double> held = new ArrayList<>();
    private final List<Budget> budgets = new ArrayList<>();
    private final Set<Integer> once;
    private List<Row> rows;
    /** What binds every plan; absent when pairs have been made since. */
    private Optional<Lines> fixed = Optional.empty();

    private List<Optional<Option>> best;

    /**
     * @param start a plan that there is
     * @param polish makes a plan better where that is easy
     */
    Search(Problem problem, Walk walk, List<Optional<Option>> start, UnaryOperator<List<Optional<Option>>> polish) {
        this.problem = problem;
        this.walk = walk;
        this.polish = polish;
        this.filling = new Filling(problem);
        this.rows = Row.of(problem);
        this.once = Once.of(problem);
        this.best = start;
    }

    List<Optional<Option>> best() {
        return best;
    }

    /** @return where it ended before its end, by how much what was found may fall short */
    Optional<Short> run() {
        for (Goal goal : Goal.all(problem.firsts())) {
            Optional<Short> unproven = settled() ? Optional.empty() : goal.isWant() ? serve(goal) : add(goal);
            if (unproven.isPresent()) {
                return unproven;
            }
            before.add(goal);
            held.add(value(goal));
        }
        return Optional.empty();
    }

    /** Whether there is no choice left. */
    private boolean settled() {
        return rows.stream().allMatch(r -> r.units().size() <= r.needed());
    }

    private double value(Goal goal) {
        for (int p = 0; p < best.size(); p++) {
            if (best.get(p).isPresent()) {
                filling.take(p, best.get(p).get());
            }
        }
        double value = goal.value(filling);
        filling.reset();
        return value;
    }

    private Optional<Short> serve(Goal goal) {
        int reached = (int) value(goal);
        boolean better = true;
        while (better && reached < WELL) {
            int now = reached;
            if (rows.stream().flatMap(r -> r.units().stream()).allMatch(u -> u.grade(goal.want()) <= now)) {
                break;
            }
            Lines lines = lines();
            lines.serves(goal.want(), reached + 1);
            // nothing to gain but a plan: the bound falls under nothing where there is none
            Relaxed relaxed = new Relaxed(rows, lines, _ -> 0);
            better = descend(goal, reached, lines, relaxed, -OFF, walk);
            if (walk.ended()) {
                return Optional.of(new Short(goal.aim(), WELL - reached));
            }
            reached = (int) value(goal);
        }
        int most = reached;
        rows = rows.stream().map(r -> r.only(u -> u.grade(goal.want()) <= most)).toList();
        return Optional.empty();
    }

    private Optional<Short> add(Goal goal) {
        pair();
        rows = rows.stream().sorted(FEWEST_FIRST).toList();
        double unit = goal.aim() == Aim.REFINEMENT ? problem.alike() : unit(goal.aim());
        double least = goal.aim() == Aim.REFINEMENT ? OFF : unit / 2;
        boolean ties = !goal.then().isEmpty();
        Lines lines = lines();
        Relaxed relaxed = relaxed(goal.aim(), lines);
        raise(goal, lines, relaxed, ties ? -OFF : unit - least, ties ? -OFF : unit - OFF);
        double now = points(goal);
        Nets nets = relaxed.tighten(now + OFF, Effort.LAST);
        if (walk.ended()) {
            return Optional.of(new Short(goal.aim(), Math.max(0, nets.bound() - now)));
        }
        if (nets.bound() > now + least) {
            budgets.add(new Budget(rows, nets, now - least));
        }
        rows = nets.without(now - least);
        return Optional.empty();
    }

    /**
     * The best plan for a goal. Where it is not found soon, it is asked first what more of the goal would leave of each goal before.
     *
     * @param more by how much a bound has to pass what is reached
     * @param atLeast by how much a better plan passes it
     */
    private void raise(Goal goal, Lines lines, Relaxed relaxed, double more, double atLeast) {
        Walk first = walk.first();
        descend(goal, value(goal), lines, relaxed, points(goal) + more, first);
        if (!first.ended() || walk.ended()) {
            return;
        }
        List<Budget> known = List.copyOf(budgets);
        if (leaves(goal, points(goal) + atLeast)) {
            descend(goal, value(goal), lines, relaxed, points(goal) + more, walk);
        }
        budgets.clear();
        budgets.addAll(known);
    }

    /** Whether so much of a goal may leave enough of every goal before; what it leaves binds the search from now on. */
    private boolean leaves(Goal goal, double least) {
        for (Goal other : before) {
            if (other.isWant()) {
                continue;
            }
            Lines lines = lines();
            double enough = heldPoints(other) - OFF;
            Relaxed relaxed = with(goal, least, other, lines);
            Nets nets = relaxed.tighten(enough, Effort.QUICK);
            if (nets.bound() < enough) {
                return false;
            }
            budgets.add(new Budget(rows, nets, enough));
        }
        return true;
    }

    /** A goal before with so much of a later one. */
    private Relaxed with(Goal later, double least, Goal goal, Lines lines) {
        if (later.aim() == Aim.REFINEMENT) {
            Repeats repeats = new Repeats(problem, rows);
            repeats.setBy(best);
            return new Relaxed(rows, lines, u -> lines.adds(goal.aim(), u), repeats, least);
        }
        lines.brings(later.aim(), least);
        return relaxed(goal.aim(), lines);
    }

    /** What a goal has reached, as its bound counts it. */
    private double points(Goal goal) {
        return points(goal, value(goal));
    }

    private double points(Goal goal, double value) {
        return goal.aim() == Aim.REFINEMENT ? value * problem.alike() : value;
    }

    private double heldPoints(Goal goal) {
        return points(goal, held.get(before.indexOf(goal)));
    }

    private Relaxed relaxed(Aim aim, Lines lines) {
        if (aim.compareTo(Aim.REFINEMENT) < 0) {
            return new Relaxed(rows, lines, u -> lines.adds(aim, u));
        }
        Repeats repeats = new Repeats(problem, rows);
        repeats.setBy(best);
        if (aim == Aim.REFINEMENT) {
            return new Relaxed(rows, lines, repeats);
        }
        return new Relaxed(rows, lines, u -> lines.adds(aim, u), repeats, heldPoints(Goal.REFINEMENT) - OFF);
    }

    /** Least by which two plans can differ where all that adds up are thousandths; else what is no difference. */
    private double unit(Aim aim) {
        long common = 0;
        for (Row row : rows) {
            for (Unit unit : row.units()) {
                for (Option o : unit.options()) {
                    double thousandths = 1000 * (aim == Aim.BOTTLES ? o.bottles() : Filling.brings(o, aim));
                    if (Math.abs(thousandths - Math.rint(thousandths)) > OFF) {
                        return 2 * Worth.DUST;
                    }
                    common = gcd(common, Math.abs(Math.round(thousandths)));
                }
            }
        }
        return common == 0 ? 1 : common / 1000.0;
    }

    private static long gcd(long a, long b) {
        return b == 0 ? a : gcd(b, a % b);
    }

    /** Two single places that may share a bottle are decided at once, where that is not too much. */
    private void pair() {
        for (int a = 0; a < rows.size(); a++) {
            for (int b = a + 1; b < rows.size(); b++) {
                Row first = rows.get(a);
                Row second = rows.get(b);
                if (first.single()
                        && second.single()
                        && first.units().size() * second.units().size() <= MOST_PAIRS
                        && shares(first, second)) {
                    List<Row> others = new ArrayList<>(rows);
                    others.set(a, first.with(second, problem));
                    others.remove(b);
                    rows = others;
                    fixed = Optional.empty();
                }
            }
        }
    }

    private boolean shares(Row first, Row second) {
        BitSet both = first.things();
        both.and(second.things());
        return both.stream().anyMatch(t -> !once.contains(t));
    }

    private boolean descend(Goal goal, double reached, Lines lines, Relaxed relaxed, double aimedAt, Walk on) {
        Nets nets = relaxed.tighten(aimedAt, Effort.QUICK);
        if (nets.bound() < aimedAt) {
            return false;
        }
        Beaten beaten = new Beaten(problem, rows, lines, goal);
        double[] then = goal.then().stream().mapToDouble(a -> value(Goal.of(a))).toArray();
        double[] all = held.stream().mapToDouble(Double::doubleValue).toArray();
        Optional<List<Optional<Option>>> better = new Descent(
                        problem, rows, goal, before, all, reached, then, nets, aimedAt, once, beaten, budgets, on)
                .run();
        better.map(polish).ifPresent(plan -> best = plan);
        return better.isPresent();
    }

    private Lines fixed() {
        Lines lines = new Lines(problem, rows, once);
        fixed = Optional.of(lines);
        return lines;
    }

    /** What binds a plan now: the limits, and what is held. */
    private Lines lines() {
        Lines lines = new Lines(fixed.orElseGet(this::fixed));
        for (int g = 0; g < before.size(); g++) {
            Goal goal = before.get(g);
            double reached = held.get(g);
            switch (goal.aim()) {
                case WANTS -> lines.serves(goal.want(), (int) reached);
                case REFINEMENT -> {}
                case COMFORT, SCHOOL, BOTTLES, STEPS, MONEY, MILDNESS, NAME -> lines.holds(goal.aim(), reached, OFF);
            }
        }
        return lines;
    }
}

package outfell.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import outfell.choice.Worth.Aim;

/**
 * Tries the rows depth first for one goal, with the goals before it held at their best. What stands brings its net, what is
 * open the most net that it could: a branch under what is aimed at is cut, and of options sorted by their net all that follow.
 */
final class Descent {
    private final Problem problem;
    private final List<Row> rows;
    private final Goal goal;
    private final List<Goal> before;
    private final double[] held;
    private final Walk walk;
    /** Things of which no best plan has two. */
    private final boolean[] once;

    private final Filling filling;
    private final Nets relaxed;
    private final Unit[][] units;
    private final double[][] net;
    /** For each thing, those that beat it; and for each row, how many places there are in later ones where such may stand. */
    private final int[][] dominators;

    private final int[] later;
    private final Spending spending;
    /** What the rows from each on bring at most. */
    private final double[] rest;
    /** For each row and first want, the best grade in the rows from there on. */
    private final int[][] grades;
    /** For each row, the most that the rows from there on bring to comfort and to the school. */
    private final double[][] gives;

    /** What the goal has to bring, as the bound counts it. */
    private double aimedAt;

    private double best;
    /** The same of the aims that come then. */
    private double[] bestThen;

    private @Nullable List<Optional<Option>> bestPlan;

    /**
     * @param before goals that are held
     * @param held what each of them has reached, in their order
     * @param best what the goal has reached
     * @param bestThen the same of the aims that come then
     * @param aimedAt what the goal has to bring to be more, as the bound counts it
     */
    Descent(
            Problem problem,
            List<Row> rows,
            Goal goal,
            List<Goal> before,
            double[] held,
            double best,
            double[] bestThen,
            Nets relaxed,
            double aimedAt,
            Set<Integer> once,
            Beaten beaten,
            List<Budget> budgets,
            Walk walk) {
        this.problem = problem;
        this.rows = rows;
        this.goal = goal;
        this.before = before;
        this.held = held;
        this.best = best;
        this.bestThen = bestThen;
        this.relaxed = relaxed;
        this.aimedAt = aimedAt;
        this.once = new boolean[problem.things()];
        once.forEach(thing -> this.once[thing] = true);
        this.walk = walk;
        this.filling = new Filling(problem);
        this.units = new Unit[rows.size()][];
        this.net = new double[rows.size()][];
        this.dominators = new int[problem.things()][0];
        beaten.dominators().forEach((thing, better) -> dominators[thing] = better);
        this.later = new int[rows.size()];
        this.spending = new Spending(rows, budgets, problem.places().size());
        this.rest = new double[rows.size() + 1];
        this.grades = new int[rows.size() + 1][problem.firsts()];
        this.gives = new double[rows.size() + 1][2];
        for (int r = rows.size() - 1; r >= 0; r--) {
            Row row = rows.get(r);
            unbeaten(r, beaten);
            rest[r] = rest[r + 1] + Nets.most(net[r], 0, row.size(), row.needed());
            later[r] = beaten.later(r);
            spending.row(r, units[r]);
            grades[r] = grades[r + 1].clone();
            for (Unit unit : row.units()) {
                for (int w = 0; w < problem.firsts(); w++) {
                    grades[r][w] = Math.max(grades[r][w], unit.grade(w));
                }
            }
            gives[r][0] = gives[r + 1][0] + most(row, Aim.COMFORT);
            gives[r][1] = gives[r + 1][1] + most(row, Aim.SCHOOL);
        }
    }

    /** What could be in a better plan, and nothing beats. */
    private void unbeaten(int r, Beaten beaten) {
        Unit[] all = relaxed.units(r);
        double[] nets = relaxed.net(r);
        List<Unit> near = new ArrayList<>();
        double least = aimedAt - relaxed.bound() + relaxed.most(r);
        for (int i = 0; i < all.length && (rows.get(r).size() > 1 || nets[i] >= least); i++) {
            near.add(all[i]);
        }
        List<Integer> kept = beaten.alone(r)
                ? beaten.unbeaten(r, near)
                : IntStream.range(0, near.size()).boxed().toList();
        units[r] = kept.stream().map(near::get).toArray(Unit[]::new);
        net[r] = kept.stream().mapToDouble(i -> nets[i]).toArray();
    }

    /** Whether so many stand already, or may still, of those that beat it that it may be the next. */
    private boolean next(int r, Option o, int places) {
        int missing = 0;
        for (int better : dominators[o.thing()]) {
            missing += filling.stands(better) ? 0 : 1;
        }
        return missing <= later[r] + places - 1;
    }

    private static double most(Row row, Aim aim) {
        double[] all = row.units().stream()
                .mapToDouble(u -> -Arrays.stream(u.options())
                        .mapToDouble(o -> Filling.brings(o, aim))
                        .sum())
                .sorted()
                .toArray();
        double sum = 0;
        for (int k = 0; k < row.size() && k < all.length && (k < row.needed() || all[k] < 0); k++) {
            sum -= all[k];
        }
        return sum;
    }

    /** The best plan for this goal, where it is better than the one that was there. */
    Optional<List<Optional<Option>>> run() {
        if (relaxed.bound() >= aimedAt) {
            row(0, relaxed.before());
        }
        return Optional.ofNullable(bestPlan);
    }

    private void row(int r, double sum) {
        if (r == rows.size()) {
            leaf();
        } else if (sum + rest[r] >= aimedAt && mayHold(r)) {
            Row row = rows.get(r);
            fill(r, 0, row.size(), row.needed(), sum);
        }
    }

    private void fill(int r, int from, int places, int needed, double sum) {
        if (!walk.on()) {
            return;
        }
        Unit[] units = this.units[r];
        double[] net = this.net[r];
        boolean left = needed > 0;
        for (int i = from; places > 0 && i < units.length; i++) {
            if (!left && net[i] <= 0) {
                left = true;
                row(r + 1, sum);
            }
            if (sum + Nets.most(net, i, places, Math.max(1, needed)) + rest[r + 1] < aimedAt || done()) {
                break;
            }
            if (!spending.affords(r, i, places, needed)) {
                continue;
            }
            int taken = take(r, units[i], places);
            if (taken == units[i].options().length) {
                spending.take();
                fill(r, i + 1, places - 1, needed - 1, sum + net[i]);
                spending.putBack();
            }
            putBack(units[i], open(r, places), taken);
        }
        if (!left) {
            row(r + 1, sum);
        }
    }

    /** @return how many of the unit's options could be taken, one after the other */
    private int take(int r, Unit unit, int places) {
        int open = open(r, places);
        for (int i = 0; i < unit.options().length; i++) {
            int p = unit.places()[i] < 0 ? open : unit.places()[i];
            Option o = unit.options()[i];
            if ((once[o.thing()] && filling.stands(o.thing())) || !next(r, o, places) || !filling.allows(p, o)) {
                return i;
            }
            filling.take(p, o);
        }
        return unit.options().length;
    }

    /** The place that comes next where so many of a row are open. */
    private int open(int r, int places) {
        return rows.get(r).places().get(rows.get(r).size() - places);
    }

    private void putBack(Unit unit, int open, int taken) {
        for (int i = taken - 1; i >= 0; i--) {
            filling.putBack(unit.places()[i] < 0 ? open : unit.places()[i]);
        }
    }

    /** A want that is served better asks for another bound. */
    private boolean done() {
        return goal.isWant() && bestPlan != null;
    }

    private void leaf() {
        if (done()) {
            return;
        }
        double value = goal.value(filling);
        if ((value > best + Worth.DUST || (value > best - Worth.DUST && betterThen())) && holds()) {
            aimedAt += counted(Math.max(0, value - best));
            best = Math.max(best, value);
            bestPlan = filling.plan();
            bestThen = goal.then().stream().mapToDouble(filling::value).toArray();
        }
    }

    /** Whether it is as good, and better in the first of the later aims in which they part. */
    private boolean betterThen() {
        for (int a = 0; a < bestThen.length; a++) {
            double value = filling.value(goal.then().get(a));
            if (Math.abs(value - bestThen[a]) > Worth.DUST) {
                return value > bestThen[a];
            }
        }
        return false;
    }

    /** What is soon summed up is asked first: most that do not hold fail by that. */
    private boolean holds() {
        return holds(false) && holds(true);
    }

    private boolean holds(boolean refinement) {
        for (int g = 0; g < held.length; g++) {
            Goal each = before.get(g);
            if ((each.aim() == Aim.REFINEMENT) == refinement && each.value(filling) < held[g] - Worth.DUST) {
                return false;
            }
        }
        return true;
    }

    private double counted(double gain) {
        return goal.aim() == Aim.REFINEMENT ? gain * problem.alike() : gain;
    }

    /** Whether the rows from here on may still hold what is to be held. */
    private boolean mayHold(int r) {
        for (int g = 0; g < held.length; g++) {
            Goal each = before.get(g);
            boolean may = switch (each.aim()) {
                case WANTS -> Math.max(filling.served(each.want()), grades[r][each.want()]) >= held[g];
                case COMFORT -> filling.value(Aim.COMFORT) + gives[r][0] >= held[g] - Worth.DUST;
                case SCHOOL -> filling.value(Aim.SCHOOL) + gives[r][1] >= held[g] - Worth.DUST;
                case REFINEMENT, BOTTLES, STEPS, MONEY, MILDNESS, NAME -> true;
            };
            if (!may) {
                return false;
            }
        }
        return spending.lasts(r)
                && (!goal.isWant() || Math.max(filling.served(goal.want()), grades[r][goal.want()]) >= best + 1);
    }
}

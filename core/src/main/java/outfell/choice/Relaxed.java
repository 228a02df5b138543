package outfell.choice;

import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A goal without what binds the rows together, which has a price instead: every row takes what brings most by itself, net of
 * the prices, and no plan brings more than that. Prices are moved so that the bound falls (a subgradient, its step towards what
 * is aimed at, deflected by the last one).
 */
final class Relaxed {
    /** Share of the last direction that is kept. */
    private static final double KEPT = 0.7;

    private static final double FIRST_STEP = 1.2;
    /** How long prices are moved. */
    enum Effort {
        /** As far as a bound falls quickly. */
        QUICK(240, 8, 0.01),
        /** Where the bound is good already. */
        LAST(40, 6, 0.02);

        private final int rounds;
        /** Rounds without a lower bound after which the steps become shorter. */
        private final int stale;

        private final double shortest;

        Effort(int rounds, int stale, double shortest) {
            this.rounds = rounds;
            this.stale = stale;
            this.shortest = shortest;
        }
    }

    private static final double NONE = Nets.NONE;

    private final List<Row> rows;
    private final Unit[][] units;
    private final double[][] brings;
    /** By row and line, what each unit adds to it: a line that costs nothing is not read. */
    private final double[][][] adds;

    /** By row, the lines to which any of its units adds: of the others there are many. */
    private final int[][] touched;

    private final double[] most;
    private final @Nullable Repeats repeats;
    private final Repeats.Items[][] items;
    /** What the refinements have to come to where they are held. */
    private final double refined;
    /** Whether the refinements are the goal itself. */
    private final boolean refines;

    private final double[] price;
    /** What a point of refinement is worth. */
    private double refinement;

    private double bound = Double.POSITIVE_INFINITY;

    /** A goal that adds up. */
    Relaxed(List<Row> rows, Lines lines, ToDoubleFunction<Unit> goal) {
        this(rows, lines, goal, null, false, 0);
    }

    /** A goal that adds up, with the refinements held at what they have reached. */
    Relaxed(List<Row> rows, Lines lines, ToDoubleFunction<Unit> goal, Repeats repeats, double refined) {
        this(rows, lines, goal, repeats, false, refined);
    }

    /** The refinements. */
    Relaxed(List<Row> rows, Lines lines, Repeats repeats) {
        this(rows, lines, _ -> 0, repeats, true, 0);
    }

    private Relaxed(
            List<Row> rows,
            Lines lines,
            ToDoubleFunction<Unit> goal,
            @Nullable Repeats repeats,
            boolean refines,
            double refined) {
        this.rows = rows;
        this.repeats = repeats;
        this.refines = refines;
        this.refined = refined;
        this.refinement = refines ? 1 : 0;
        int n = rows.size();
        this.units = new Unit[n][];
        this.brings = new double[n][];
        this.adds = new double[n][][];
        this.items = new Repeats.Items[n][];
        this.most = lines.most();
        this.price = new double[most.length];
        for (int r = 0; r < n; r++) {
            units[r] = rows.get(r).units().toArray(Unit[]::new);
            brings[r] = Arrays.stream(units[r]).mapToDouble(goal).toArray();
            adds[r] = byLine(units[r], lines);
            items[r] = repeats == null
                    ? new Repeats.Items[0]
                    : Arrays.stream(units[r]).map(repeats::items).toArray(Repeats.Items[]::new);
        }
        scale();
        this.touched = new int[n][];
        for (int r = 0; r < n; r++) {
            double[][] row = adds[r];
            touched[r] = IntStream.range(0, row.length)
                    .filter(l -> Arrays.stream(row[l]).anyMatch(a -> a != 0))
                    .toArray();
        }
    }

    private double[][] byLine(Unit[] row, Lines lines) {
        double[][] all = new double[most.length][row.length];
        for (int i = 0; i < row.length; i++) {
            double[] of = lines.of(row[i]);
            for (int l = 0; l < of.length; l++) {
                all[l][i] = of[l];
            }
        }
        return all;
    }

    /** A line says the same whatever its unit; with like units the steps are of like length. */
    private void scale() {
        for (int l = 0; l < most.length; l++) {
            double largest = 0;
            for (double[][] row : adds) {
                for (double add : row[l]) {
                    largest = Math.max(largest, Math.abs(add));
                }
            }
            if (largest > 0) {
                most[l] /= largest;
                for (double[][] row : adds) {
                    for (int i = 0; i < row[l].length; i++) {
                        row[l][i] /= largest;
                    }
                }
            }
        }
    }

    /** Prices, the worth of refinement, thresholds: all that is moved. */
    private final class Moved {
        private final double[] prices = price.clone();
        private final double worth = refinement;
        private final double[] thresholds =
                repeats == null ? new double[0] : repeats.thresholds().clone();

        void back() {
            System.arraycopy(prices, 0, price, 0, price.length);
            refinement = worth;
            if (repeats != null) {
                repeats.set(thresholds);
            }
        }
    }

    /** What is left of every line, what the refinements reach over what is held, and how the bound grows with each threshold. */
    private static final class Slopes {
        private final double[] lines;
        private double refined;
        private final double[] thresholds;

        Slopes(double[] lines, double[] thresholds) {
            this.lines = lines;
            this.thresholds = thresholds;
        }
    }

    /** Moves the prices until the bound is under what is aimed at, or falls no more. */
    Nets tighten(double aimedAt, Effort effort) {
        Moved best = new Moved();
        Slopes direction = slopes();
        Arrays.fill(direction.lines, 0);
        Arrays.fill(direction.thresholds, 0);
        double step = FIRST_STEP;
        int stale = 0;
        for (int round = 0; round < effort.rounds && step > effort.shortest; round++) {
            Slopes slopes = slopes();
            double now = priced(slopes);
            stale = now < bound - 1e-3 * Math.max(1, bound - aimedAt) ? 0 : stale + 1;
            if (now < bound) {
                bound = now;
                best = new Moved();
            }
            if (bound < aimedAt || bound == NONE) {
                break;
            }
            if (stale >= effort.stale) {
                stale = 0;
                step /= 2;
                best.back();
                Arrays.fill(direction.lines, 0);
                Arrays.fill(direction.thresholds, 0);
                direction.refined = 0;
                continue;
            }
            double length = deflect(direction, slopes);
            if (length < 1e-12) {
                break;
            }
            move(direction, step * (now - aimedAt + 1e-3) / length);
        }
        best.back();
        double[][] nets = new double[units.length][];
        for (int r = 0; r < nets.length; r++) {
            nets[r] = nets(r);
        }
        return new Nets(rows, units, nets, before());
    }

    private Slopes slopes() {
        return new Slopes(most.clone(), repeats == null ? new double[0] : repeats.slopes());
    }

    private double deflect(Slopes direction, Slopes slopes) {
        double length = 0;
        for (int l = 0; l < price.length; l++) {
            length += square(direction.lines, l, slopes.lines[l], price[l]);
        }
        if (repeats != null) {
            double[] thresholds = repeats.thresholds();
            for (int t = 0; t < thresholds.length; t++) {
                length += square(direction.thresholds, t, refinement * slopes.thresholds[t], thresholds[t]);
            }
            if (!refines) {
                direction.refined = slopes.refined + KEPT * direction.refined;
                if (refinement == 0 && direction.refined > 0) {
                    direction.refined = 0;
                }
                length += direction.refined * direction.refined;
            }
        }
        return length;
    }

    /** What is nothing does not fall. */
    private static double square(double[] direction, int i, double slope, double now) {
        direction[i] = slope + KEPT * direction[i];
        if (now == 0 && direction[i] > 0) {
            direction[i] = 0;
        }
        return direction[i] * direction[i];
    }

    private void move(Slopes direction, double by) {
        for (int l = 0; l < price.length; l++) {
            price[l] = Math.max(0, price[l] - by * direction.lines[l]);
        }
        if (repeats != null) {
            double[] thresholds = repeats.thresholds();
            for (int t = 0; t < thresholds.length; t++) {
                thresholds[t] = Math.max(0, thresholds[t] - by * direction.thresholds[t]);
            }
            if (!refines) {
                refinement = Math.max(0, refinement - by * direction.refined);
            }
        }
    }

    /** The bound at these prices. */
    private double priced(Slopes slopes) {
        double sum = before();
        slopes.refined = repeats == null ? 0 : repeats.constant() - refined;
        for (int r = 0; r < units.length; r++) {
            double[] nets = nets(r);
            int needed = rows.get(r).needed();
            for (int k = 0; k < rows.get(r).size(); k++) {
                int taken = -1;
                double top = k < needed ? NONE : 0;
                for (int i = 0; i < nets.length; i++) {
                    if (nets[i] > top) {
                        top = nets[i];
                        taken = i;
                    }
                }
                sum += top;
                if (taken < 0) {
                    break;
                }
                take(r, taken, slopes);
                nets[taken] = NONE;
            }
        }
        return sum;
    }

    private void take(int r, int i, Slopes slopes) {
        double[][] a = adds[r];
        for (int l : touched[r]) {
            slopes.lines[l] -= a[l][i];
        }
        if (repeats != null) {
            slopes.refined += repeats.adds(items[r][i]);
            repeats.fall(items[r][i], slopes.thresholds);
        }
    }

    private double[] nets(int r) {
        double[] nets = brings[r].clone();
        for (int l : touched[r]) {
            double cost = price[l];
            if (cost != 0) {
                double[] a = adds[r][l];
                for (int i = 0; i < nets.length; i++) {
                    nets[i] -= cost * a[i];
                }
            }
        }
        if (repeats != null && refinement > 0) {
            for (int i = 0; i < nets.length; i++) {
                nets[i] += refinement * repeats.adds(items[r][i]);
            }
        }
        return nets;
    }

    /** What there is before any row has taken anything. */
    private double before() {
        double sum = repeats == null ? 0 : refinement * (repeats.constant() - refined);
        for (int l = 0; l < price.length; l++) {
            sum += price[l] * most[l];
        }
        return sum;
    }
}

package outfell.choice;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import outfell.choice.Worth.Aim;

/**
 * Tries the places depth first for one aim, with the aims before it held at their best. What a branch could still bring is
 * bounded for every aim from what each open place could bring by itself, less a price for what is scarce; the prices are found
 * once, at the root.
 */
final class Descent {
    private static final int STEPS = 40;
    /** Prices in points for a share of a limit, from which the steps begin. */
    private static final double FIRST_STEP = 8;

    private final Problem problem;
    private final Aim aim;
    private final double[] held;
    private final Walk walk;
    private final Filling filling;
    private final int[] order;
    private final Option[][] options;
    /** The same options, what brings most to the refinements first. */
    private final Option[][] byMost;

    private final boolean[] needed;
    private final int[] likeBefore;
    private final int[] index;
    private final double[] price;
    /** For each depth, the best grade of each first want in the places from there on. */
    private final int[][] bestGrades;
    /** For each depth, aim and with and without prices, what the places from there on bring at most. */
    private final double[][][] rest;
    /** For each depth and aim, the most that its place can bring. */
    private final double[][] top;

    private double[] best;
    private @Nullable List<Optional<Option>> bestPlan;

    /** @param incumbent what is reached already; the aims before this one are at their best in it */
    Descent(Problem problem, Aim aim, Worth incumbent, Walk walk) {
        this.problem = problem;
        this.aim = aim;
        this.held = incumbent.aims().clone();
        this.best = incumbent.aims().clone();
        this.walk = walk;
        this.filling = new Filling(problem);
        List<Place> places = problem.places();
        this.order = IntStream.range(0, places.size())
                .boxed()
                .sorted(Comparator.comparingInt((Integer p) -> turn(places.get(p)))
                        .thenComparing(p -> p))
                .mapToInt(Integer::intValue)
                .toArray();
        int n = order.length;
        this.options = new Option[n][];
        this.byMost = new Option[n][];
        this.needed = new boolean[n];
        this.likeBefore = new int[n];
        this.index = new int[n];
        for (int d = 0; d < n; d++) {
            Place place = places.get(order[d]);
            options[d] = place.options().stream().sorted(Choice.mostFirst()).toArray(Option[]::new);
            byMost[d] = place.options().stream()
                    .sorted(Comparator.comparingDouble((Option o) -> -o.most()).thenComparingInt(Option::thing))
                    .toArray(Option[]::new);
            needed[d] = place.needed();
            likeBefore[d] = -1;
            for (int e = 0; e < d; e++) {
                if (places.get(order[e]).like() == place.like()) {
                    likeBefore[d] = e;
                }
            }
        }
        this.price = new double[problem.limits().size()];
        this.bestGrades = bestGrades();
        this.rest = new double[n + 1][Worth.AIMS][2];
        this.top = new double[n][Worth.AIMS];
        if (aim != Aim.WANTS) {
            findPrices();
        }
        addUp();
    }

    /** What brings to this aim is decided first, and what serves the first wants before the rest. */
    private int turn(Place place) {
        boolean brings = switch (aim) {
            case COMFORT -> place.options().stream().anyMatch(o -> o.comfort() != 0);
            case SCHOOL -> place.options().stream().anyMatch(o -> o.school() != 0);
            case WANTS, REFINEMENT, THRIFT -> false;
        };
        return brings ? 0 : servesFirst(place) ? 1 : 2;
    }

    private static boolean servesFirst(Place place) {
        return place.options().stream().anyMatch(o -> Arrays.stream(o.grades()).anyMatch(g -> g > 0));
    }

    /** The best plan for this aim, where it is better than the one that was there. */
    Optional<List<Optional<Option>>> run() {
        descend(0);
        return Optional.ofNullable(bestPlan);
    }

    private int[][] bestGrades() {
        int[][] all = new int[order.length + 1][problem.firsts()];
        for (int d = order.length - 1; d >= 0; d--) {
            for (int w = 0; w < problem.firsts(); w++) {
                all[d][w] = all[d + 1][w];
                for (Option o : options[d]) {
                    all[d][w] = Math.max(all[d][w], o.grades()[w]);
                }
            }
        }
        return all;
    }

    private void addUp() {
        for (int d = order.length - 1; d >= 0; d--) {
            for (Aim a : Aim.values()) {
                for (int priced = 0; priced < 2; priced++) {
                    double most = needed[d] && options[d].length > 0 ? Double.NEGATIVE_INFINITY : 0;
                    for (Option o : options[d]) {
                        most = Math.max(most, brings(a, d, o) - (priced == 1 ? priced(d, o) : 0));
                    }
                    if (priced == 0) {
                        top[d][a.ordinal()] = most;
                    }
                    rest[d][a.ordinal()][priced] = rest[d + 1][a.ordinal()][priced] + most;
                }
            }
        }
    }

    /** What an option brings to an aim that adds up, at most. */
    private double brings(Aim a, int d, Option o) {
        return switch (a) {
            case WANTS -> 0;
            case COMFORT -> o.comfort();
            case SCHOOL -> o.school();
            case REFINEMENT -> o.most();
            case THRIFT -> o.thrift() - (elsewhere(d, o) ? 0 : o.bottle());
        };
    }

    private boolean elsewhere(int d, Option o) {
        for (int e = 0; e < order.length; e++) {
            if (e != d) {
                for (Option x : options[e]) {
                    if (x.thing() == o.thing()) {
                        return true;
                    }
                }
            }
        }
        return false;
    }

    /** What the prices take for an option: only what surely adds up. */
    private double priced(int d, Option o) {
        double sum = 0;
        for (int r = 0; r < price.length; r++) {
            if (price[r] > 0 && addsUp(r, d, o)) {
                sum += price[r] * o.takes()[r];
            }
        }
        return sum;
    }

    private boolean addsUp(int r, int d, Option o) {
        Limit limit = problem.limits().get(r);
        return switch (limit.sums()) {
            case ADDED, PER_THING -> true;
            case IN_ROUTINE ->
                !o.nightly()
                        && limit.routine() == problem.places().get(order[d]).routine();
            case ONCE_A_THING -> false;
        };
    }

    /** What the prices give back for what is left of the limits. */
    private double left() {
        double sum = 0;
        for (int r = 0; r < price.length; r++) {
            if (price[r] > 0) {
                sum += price[r] * (problem.limits().get(r).most() - filling.addedUp(r));
            }
        }
        return sum;
    }

    /** Moves the prices so that the bound at the root falls; what is best there is kept. */
    private void findPrices() {
        double[] kept = price.clone();
        double lowest = Double.POSITIVE_INFINITY;
        for (int step = 0; step < STEPS; step++) {
            double[] over = new double[price.length];
            double bound = 0;
            for (int r = 0; r < price.length; r++) {
                double most = problem.limits().get(r).most();
                over[r] = Double.isInfinite(most) ? 0 : -most;
                bound += Double.isInfinite(most) ? 0 : price[r] * most;
            }
            for (int d = 0; d < order.length; d++) {
                double most = needed[d] && options[d].length > 0 ? Double.NEGATIVE_INFINITY : 0;
                Option taken = null;
                for (Option o : options[d]) {
                    double net = brings(aim, d, o) - priced(d, o);
                    if (net > most) {
                        most = net;
                        taken = o;
                    }
                }
                bound += most;
                if (taken != null) {
                    for (int r = 0; r < price.length; r++) {
                        over[r] += addsUp(r, d, taken) ? taken.takes()[r] : 0;
                    }
                }
            }
            if (bound < lowest) {
                lowest = bound;
                System.arraycopy(price, 0, kept, 0, price.length);
            }
            for (int r = 0; r < price.length; r++) {
                double most = problem.limits().get(r).most();
                if (!Double.isInfinite(most)) {
                    double unit = Math.max(1, most);
                    double by = FIRST_STEP / (1 + step) * over[r] / unit / unit;
                    price[r] = Math.max(0, price[r] + by);
                }
            }
        }
        System.arraycopy(kept, 0, price, 0, price.length);
    }

    private void descend(int d) {
        if (!walk.on()) {
            return;
        }
        if (d == order.length) {
            double[] aims = filling.worth().aims();
            if (atLeastHeld(aims) && aims[aim.ordinal()] > best[aim.ordinal()] + Worth.DUST) {
                best = aims;
                bestPlan = filling.plan();
            }
            return;
        }
        if (!mayBring(d)) {
            return;
        }
        int p = order[d];
        int before = likeBefore[d];
        int from = before < 0 ? 0 : index[before] < 0 ? options[d].length : index[before] + 1;
        boolean first = !emptyFirst(d);
        if (!first) {
            index[d] = -1;
            descend(d + 1);
        }
        for (int i = from; i < options[d].length; i++) {
            Option o = options[d][i];
            if (filling.allows(p, o)) {
                filling.take(p, o);
                index[d] = i;
                descend(d + 1);
                filling.putBack(p);
            }
        }
        if (first && !needed[d]) {
            index[d] = -1;
            descend(d + 1);
        }
    }

    /** Thrift is best served by nothing. */
    private boolean emptyFirst(int d) {
        return aim == Aim.THRIFT && !needed[d];
    }

    private boolean atLeastHeld(double[] aims) {
        for (int a = 0; a < aim.ordinal(); a++) {
            if (aims[a] < held[a] - Worth.DUST) {
                return false;
            }
        }
        return true;
    }

    /** Whether the places from here on may still bring more to the aim, and no less to those before it. */
    private boolean mayBring(int d) {
        double wants = filling.wants(bestGrades[d]);
        if (!reaches(Aim.WANTS, wants)) {
            return false;
        }
        if (aim == Aim.WANTS) {
            return true;
        }
        double left = left();
        if (!reaches(Aim.COMFORT, bound(Aim.COMFORT, d, filling.comfort(), left))) {
            return false;
        }
        if (aim == Aim.COMFORT) {
            return true;
        }
        if (!reaches(Aim.SCHOOL, bound(Aim.SCHOOL, d, filling.school(), left))) {
            return false;
        }
        if (aim == Aim.SCHOOL) {
            return true;
        }
        double refined = filling.refined();
        double sure = bound(Aim.REFINEMENT, d, refined, left);
        if (!reaches(Aim.REFINEMENT, filling.steps(sure))
                || !reaches(Aim.REFINEMENT, filling.steps(refined + gains(d, left, slacks(d))))) {
            return false;
        }
        return aim == Aim.REFINEMENT || reaches(Aim.THRIFT, bound(Aim.THRIFT, d, filling.thrift(), left));
    }

    private boolean reaches(Aim a, double bound) {
        return a == aim ? bound > best[a.ordinal()] + Worth.DUST : bound >= held[a.ordinal()] - Worth.DUST;
    }

    private double bound(Aim a, int d, double now, double left) {
        double free = now + rest[d][a.ordinal()][0];
        // the prices were found for one aim, and hold for any
        return Math.min(free, now + rest[d][a.ordinal()][1] + left);
    }

    /** By how much comfort and school may still fall short of the most that the open places could bring. */
    private double[] slacks(int d) {
        double[] slacks = new double[Worth.AIMS];
        slacks[Aim.COMFORT.ordinal()] =
                filling.comfort() + rest[d][Aim.COMFORT.ordinal()][0] - held[Aim.COMFORT.ordinal()];
        slacks[Aim.SCHOOL.ordinal()] = filling.school() + rest[d][Aim.SCHOOL.ordinal()][0] - held[Aim.SCHOOL.ordinal()];
        return slacks;
    }

    /** Whether an aim before this one bears that a place brings only so much to it. */
    private boolean bears(int d, double comfort, double school, double[] slacks) {
        return top[d][Aim.COMFORT.ordinal()] - comfort <= slacks[Aim.COMFORT.ordinal()] + Worth.DUST
                && top[d][Aim.SCHOOL.ordinal()] - school <= slacks[Aim.SCHOOL.ordinal()] + Worth.DUST;
    }

    /** What the open places would add to the refinements beside what stands: helps count less beside others, so never more. */
    private double gains(int d, double left, double[] slacks) {
        double free = 0;
        double priced = left;
        for (int e = d; e < order.length; e++) {
            boolean mayBeEmpty = (!needed[e] || options[e].length == 0) && bears(e, 0, 0, slacks);
            double most = mayBeEmpty ? 0 : Double.NEGATIVE_INFINITY;
            double mostPriced = most;
            for (Option o : byMost[e]) {
                if (o.most() <= Math.min(most, mostPriced)) {
                    break;
                }
                walk.work();
                if (bears(e, o.comfort(), o.school(), slacks)) {
                    double gain = o.refinement();
                    if (!filling.stands(o)) {
                        for (int w : o.on()) {
                            gain += filling.tally(w).gain(o.helps()[w], o.by()[w]);
                        }
                    }
                    most = Math.max(most, gain);
                    mostPriced = Math.max(mostPriced, gain - priced(e, o));
                }
            }
            free += most;
            priced += mostPriced;
        }
        return Math.min(free, priced);
    }
}

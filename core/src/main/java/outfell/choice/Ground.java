package outfell.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What is needed, whatever it takes: the fill of the needed places that passes the limits least. By what it takes the limits
 * are let out; a needed place that nothing may fill beside the others stays empty.
 */
final class Ground {
    /** What an empty needed place weighs: more than any limit passed. */
    private static final double EMPTY = 1e6;

    private final Problem problem;
    private final Filling filling;
    private final List<Integer> needed = new ArrayList<>();
    private final List<List<Option>> options = new ArrayList<>();
    private final Walk walk;
    private double best = Double.POSITIVE_INFINITY;
    private List<Optional<Option>> bestPlan = List.of();

    Ground(Problem problem, Walk walk) {
        this.problem = problem;
        this.walk = walk;
        List<Place> places = problem.places();
        for (int p = 0; p < places.size(); p++) {
            if (places.get(p).needed()) {
                needed.add(p);
                options.add(places.get(p).options().stream()
                        .sorted(Comparator.comparingDouble(this::share).thenComparing(Option::thing))
                        .toList());
            }
        }
        List<Limit> none = problem.limits().stream()
                .map(l -> l.letOut(Double.POSITIVE_INFINITY))
                .toList();
        this.filling = new Filling(problem, problem.within(none));
    }

    /** What an option takes of all limits, each as a share of itself. */
    private double share(Option o) {
        double sum = 0;
        for (int r = 0; r < o.takes().length; r++) {
            double most = problem.limits().get(r).most();
            sum += Double.isInfinite(most) ? 0 : o.takes()[r] / Math.max(1, most);
        }
        return sum;
    }

    /** The problem with its limits let out where what is needed asks for it, and needed places that stay empty as optional ones. */
    Problem let() {
        fill(0, 0);
        for (int i = 0; i < bestPlan.size(); i++) {
            if (bestPlan.get(i).isPresent()) {
                filling.take(i, bestPlan.get(i).get());
            }
        }
        List<Limit> limits = new ArrayList<>();
        for (int r = 0; r < problem.limits().size(); r++) {
            limits.add(problem.limits().get(r).letOut(filling.use(r)));
        }
        List<Place> places = new ArrayList<>();
        for (int p = 0; p < problem.places().size(); p++) {
            Place place = problem.places().get(p);
            places.add(bestPlan.get(p).isEmpty() ? place.optional() : place);
        }
        return problem.within(limits).over(places);
    }

    /** What fills the needed places so; the others are empty. */
    List<Optional<Option>> plan() {
        return bestPlan;
    }

    private void fill(int depth, double empty) {
        boolean on = walk.on();
        // the first fill is had whatever it takes
        if ((!on && !bestPlan.isEmpty()) || best <= 0) {
            return;
        }
        double sofar = empty + filling.excess();
        if (sofar >= best) {
            return;
        }
        if (depth == needed.size()) {
            best = sofar;
            bestPlan = filling.plan();
            return;
        }
        int p = needed.get(depth);
        for (Option o : options.get(depth)) {
            if (filling.allows(p, o)) {
                filling.take(p, o);
                fill(depth + 1, empty);
                filling.putBack(p);
            }
        }
        fill(depth + 1, empty + EMPTY);
    }
}

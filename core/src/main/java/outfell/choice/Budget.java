package outfell.choice;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What a goal that is done leaves to the later ones: with its prices kept, every unit's net, and what a plan has to come to if
 * it is to hold the goal. So a later search sees at once what it can no longer afford.
 */
final class Budget {
    private static final double NONE = Double.NEGATIVE_INFINITY;

    private record At(int place, Option option) {}

    private final double before;
    private final double atLeast;
    private final Map<Unit, Double> units = new HashMap<>();
    private final Map<At, Double> options = new HashMap<>();

    /** @param atLeast what the goal is held at, as its bound counts it */
    Budget(List<Row> rows, Nets nets, double atLeast) {
        this.before = nets.before();
        this.atLeast = atLeast;
        for (int r = 0; r < rows.size(); r++) {
            double[] net = nets.net(r);
            Unit[] all = nets.units(r);
            for (int i = 0; i < all.length; i++) {
                units.put(all[i], net[i]);
                if (all[i].options().length == 1) {
                    options.put(new At(all[i].places()[0], all[i].options()[0]), net[i]);
                }
            }
        }
    }

    /** What no row has taken of. */
    double before() {
        return before;
    }

    double atLeast() {
        return atLeast;
    }

    /** Of two places that have become a pair since, each brings its own. */
    double net(Unit unit) {
        Double known = units.get(unit);
        if (known != null) {
            return known;
        }
        double sum = 0;
        for (int i = 0; i < unit.options().length; i++) {
            sum += options.getOrDefault(new At(unit.places()[i], unit.options()[i]), NONE);
        }
        return sum;
    }
}

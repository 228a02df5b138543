package outfell.week;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * Something of which a round has so much, such as its load: what is the most that things could be worth with what is left of it, if
 * parts of a use could be had. It is never less than what they can be worth.
 */
final class Allowance {
    /** Some uses more of a thing, and what each unit of the allowance then brings. */
    private record More(int place, double spends, double worth) {
        double each() {
            return worth / spends;
        }
    }

    private static final double HAIR = 1e-9;

    private final double most;
    /** The most rewarding first. */
    private final List<More> all = new ArrayList<>();
    /** By place: what the things from there on are worth that spend nothing. */
    private final double[] gratis;

    Allowance(double most, List<Wanted> things, ToDoubleFunction<Wanted> spends) {
        this.most = most;
        this.gratis = new double[things.size() + 1];
        for (int i = things.size() - 1; i >= 0; i--) {
            Wanted w = things.get(i);
            double each = spends.applyAsDouble(w);
            gratis[i] = gratis[i + 1] + (each == 0 ? w.worth(w.most()) : w.worth(0));
            if (each > 0) {
                envelope(i, w, each);
            }
        }
        all.sort(Comparator.comparingDouble(More::each).reversed());
    }

    double most() {
        return most;
    }

    /** The most that things from a place on could be worth with so much of it. */
    double worth(int from, double left) {
        double worth = gratis[from];
        double has = Math.max(0, left);
        for (More m : all) {
            if (m.place() >= from) {
                double part = Math.min(1, has / m.spends());
                worth += part * m.worth();
                has -= part * m.spends();
                if (has <= HAIR) {
                    break;
                }
            }
        }
        return worth + HAIR;
    }

    /** From each number of uses to that from which on a use brings most: each step brings less than the one before. */
    private void envelope(int place, Wanted w, double each) {
        int at = 0;
        while (at < w.most()) {
            int next = at + 1;
            for (int u = at + 2; u <= w.most(); u++) {
                if ((w.worth(u) - w.worth(at)) * (next - at) >= (w.worth(next) - w.worth(at)) * (u - at)) {
                    next = u;
                }
            }
            all.add(new More(place, (next - at) * each, w.worth(next) - w.worth(at)));
            at = next;
        }
    }
}

package outfell.choice;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import outfell.choice.Worth.Aim;

/**
 * What one search looks for: one of the first wants, or one of the later aims.
 *
 * @param want number of the want; -1 for an aim
 * @param then aims that decide between plans that are as good for this one
 */
record Goal(Aim aim, int want, List<Aim> then) {
    static final Goal REFINEMENT = of(Aim.REFINEMENT);

    static Goal of(Aim aim) {
        return new Goal(aim, -1, List.of());
    }

    /** Every goal in its order; from money on they are looked for at once. */
    static List<Goal> all(int firsts) {
        List<Goal> all = new ArrayList<>();
        for (int w = 0; w < firsts; w++) {
            all.add(new Goal(Aim.WANTS, w, List.of()));
        }
        EnumSet.range(Aim.COMFORT, Aim.STEPS).forEach(aim -> all.add(of(aim)));
        all.add(new Goal(Aim.MONEY, -1, List.of(Aim.MILDNESS, Aim.NAME)));
        return all;
    }

    boolean isWant() {
        return want >= 0;
    }

    double value(Filling filling) {
        return isWant() ? filling.served(want) : filling.value(aim);
    }
}

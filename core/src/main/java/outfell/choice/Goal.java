package outfell.choice;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import outfell.choice.Worth.Aim;

/**
 * What one search looks for: one of the first wants, or one of the later aims.
 *
 * @param want number of the want; -1 for an aim
 */
record Goal(Aim aim, int want) {
    /** Every goal up to the last that belongs to an aim, in their order. */
    static List<Goal> upTo(Aim last, int firsts) {
        List<Goal> all = new ArrayList<>();
        for (int w = 0; w < firsts; w++) {
            all.add(new Goal(Aim.WANTS, w));
        }
        EnumSet.range(Aim.WANTS, last).stream().filter(a -> a != Aim.WANTS).forEach(a -> all.add(new Goal(a, -1)));
        return all;
    }

    boolean isWant() {
        return want >= 0;
    }

    double value(Filling filling) {
        return isWant() ? filling.served(want) : filling.value(aim);
    }
}

package outfell.regimen;

import java.time.DayOfWeek;
import java.util.List;
import outfell.product.Actives;
import outfell.product.Product;
import outfell.week.Ramp;
import outfell.week.Rhythm;

/**
 * A thing with nights of its own, through the weeks of a plan.
 *
 * @param queued whether it is not in today's plan, but next in line
 * @param weeks of the plan, from the first
 * @param fixed nights that a prescriber or a hand has set; none when it is free
 */
record Going(Product product, boolean queued, Ramp.Thing thing, List<Ramp.WeekOfIt> weeks, List<DayOfWeek> fixed) {
    int uses(int week) {
        return weeks.get(week).uses();
    }

    /** Whether it has become a step of every day, with no nights of its own. */
    boolean isDaily(int week) {
        return !product.rationed() && uses(week) == Rhythm.WEEK;
    }

    /** Of its leading active; empty for none. */
    String letter() {
        return product.actives().stream()
                .map(a -> Actives.of(a.kind()))
                .filter(a -> a.rationed() || a.ledUpTo())
                .map(Actives.Family::letter)
                .findFirst()
                .orElse("");
    }
}

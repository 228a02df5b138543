package outfell.regimen;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import outfell.product.Actives;
import outfell.product.Product;
import outfell.routine.Condition;
import outfell.week.Ramp;
import outfell.week.Rhythm;

/**
 * A thing with nights of its own, through the weeks of a plan.
 *
 * @param queued whether it is not in today's plan, but next in line
 * @param weeks of the plan, from the first
 * @param fixed nights that a prescriber or a hand has set; none when it is free
 * @param when its condition: then it has room, and no night
 */
record Going(
        Product product,
        boolean queued,
        Ramp.Thing thing,
        List<Ramp.WeekOfIt> weeks,
        List<DayOfWeek> fixed,
        Optional<Condition> when) {
    int uses(int week) {
        return weeks.get(week).uses();
    }

    /** Whether it is used by then, as far as it waits for something. */
    boolean begunOn(LocalDate day) {
        return !day.isBefore(thing.begins());
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

package outfell.year;

import java.time.LocalDate;
import java.time.Month;
import java.util.List;
import outfell.climate.Air;

/**
 * A year ahead.
 *
 * @param from the first day
 * @param until the day after the last, a year later
 * @param stretches at least one, one after another
 * @param months as they come, the air of each
 */
public record Year(LocalDate from, LocalDate until, List<Stretch> stretches, List<MonthAhead> months) {
    public Year {
        stretches = List.copyOf(stretches);
        months = List.copyOf(months);
    }

    /** One month of it. */
    public record MonthAhead(int year, Month month, Air air) {}
}

package outfell.year;

import java.time.LocalDate;
import java.time.Month;
import java.util.List;
import java.util.Optional;
import outfell.climate.Air;

/**
 * A year ahead.
 *
 * @param from the first day
 * @param until the day after the last, a year later
 * @param stretches at least one, one after another
 * @param months as they come, the air of each
 * @param spells over the season, in the order of days
 * @param sheet what the client's sheet says of it
 * @param apart every two parts that do not follow one another, held against each other
 * @param bottles of all that is used in it, the sunscreen as often as it is put on again
 */
public record Year(
        LocalDate from,
        LocalDate until,
        List<Stretch> stretches,
        List<MonthAhead> months,
        List<SpellPlan> spells,
        List<YearLine> sheet,
        List<Apart> apart,
        List<Bottle> bottles,
        YearCost cost) {
    private static final double DRY_ROOMS = Turns.FILE.number("dry-rooms", 0, 100);

    /** Humidity of rooms, %, below which they are drawn as drying. */
    public static double dryRooms() {
        return DRY_ROOMS;
    }

    public Year {
        stretches = List.copyOf(stretches);
        months = List.copyOf(months);
        spells = List.copyOf(spells);
        sheet = List.copyOf(sheet);
        apart = List.copyOf(apart);
        bottles = List.copyOf(bottles);
    }

    /**
     * One line of the client's sheet.
     *
     * @param from the day from which it holds; absent for what holds whenever it comes
     * @param until the last day; absent for what holds on
     * @param title a few words; empty for a date
     */
    public record YearLine(Optional<LocalDate> from, Optional<LocalDate> until, String title, String text) {}

    /** One month of it. */
    public record MonthAhead(int year, Month month, Air air) {}
}

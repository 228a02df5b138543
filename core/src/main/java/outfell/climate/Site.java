package outfell.climate;

import java.time.LocalDate;
import java.time.Month;
import java.time.temporal.ChronoUnit;
import java.util.List;

/**
 * A place where a client lives and works.
 *
 * @param id short name used in files
 * @param name as shown
 * @param note what its air is like, in a few words
 * @param months January to December, twelve of them
 */
public record Site(SiteId id, String name, String note, List<MonthlyAir> months) {
    public Site {
        if (months.size() != 12) {
            throw new IllegalArgumentException("Site %s has %d months, expected twelve.".formatted(id, months.size()));
        }
        months = List.copyOf(months);
    }

    public MonthlyAir in(Month month) {
        return months.get(month.getValue() - 1);
    }

    /** The normal air of a day: a straight line from the middle of one month to the middle of the next. */
    public MonthlyAir on(LocalDate day) {
        LocalDate middle = middle(day.withDayOfMonth(1));
        LocalDate before = day.isBefore(middle) ? middle(day.withDayOfMonth(1).minusMonths(1)) : middle;
        LocalDate after = middle(before.withDayOfMonth(1).plusMonths(1));
        double share = (double) ChronoUnit.DAYS.between(before, day) / ChronoUnit.DAYS.between(before, after);
        return in(before.getMonth()).towards(in(after.getMonth()), share);
    }

    private static LocalDate middle(LocalDate first) {
        return first.withDayOfMonth((first.lengthOfMonth() + 1) / 2);
    }
}

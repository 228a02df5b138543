package outfell.climate;

import java.time.Month;
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
}

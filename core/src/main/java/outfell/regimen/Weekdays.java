package outfell.regimen;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Evenings in her words. */
final class Weekdays {
    private static final DateTimeFormatter DATED = DateTimeFormatter.ofPattern("EEE d MMMM", Locale.UK);

    private Weekdays() {}

    /** As in "Mon, Thu". */
    static String said(List<DayOfWeek> days) {
        return days.size() == 7
                ? "every evening"
                : days.stream()
                        .map(d -> d.getDisplayName(TextStyle.SHORT, Locale.UK))
                        .collect(Collectors.joining(", "));
    }

    /** As in "one night in four". */
    static String times(int uses, int nights) {
        return uses == 1 && nights == 2
                ? "every other night"
                : "%d night%s in %d".formatted(uses, uses == 1 ? "" : "s", nights);
    }

    static String dated(LocalDate day) {
        return DATED.format(day);
    }
}

package outfell.causes;

import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Months in words: "October to March and June". */
public final class Months {
    private Months() {}

    /** Runs of months, the year taken as a ring; "the whole year" for all of them, empty for none. */
    public static String words(Set<Month> months) {
        if (months.size() == 12) {
            return "the whole year";
        }
        List<String> runs = new ArrayList<>();
        for (Month first : Month.values()) {
            if (months.contains(first) && !months.contains(first.minus(1))) {
                Month last = first;
                while (months.contains(last.plus(1))) {
                    last = last.plus(1);
                }
                runs.add(first == last ? name(first) : "%s to %s".formatted(name(first), name(last)));
            }
        }
        return String.join(" and ", runs);
    }

    private static String name(Month month) {
        return month.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    }
}

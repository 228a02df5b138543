package outfell.week;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import outfell.product.Product;

/**
 * An evening of her own: every week on a day, or once on a date.
 *
 * @param kind from the evenings of pauses.yaml
 * @param weekday absent for one that is once
 * @param date absent for one that is weekly
 */
public record HerEvening(Pause.KindOfPause kind, Optional<DayOfWeek> weekday, Optional<LocalDate> date) {
    public HerEvening {
        if (weekday.isPresent() == date.isPresent()) {
            throw new IllegalArgumentException("An evening of her own is on a weekday or on a date: one of the two.");
        }
    }

    public static List<Pause.KindOfPause> kinds() {
        return Pause.evenings();
    }

    public static Optional<Pause.KindOfPause> kind(String id) {
        return kinds().stream().filter(k -> k.id().equals(id)).findFirst();
    }

    /** Whether it keeps a product off on an evening. */
    public boolean keepsOff(Product p, LocalDate evening) {
        return kind.stops(p) && isOn(evening);
    }

    /** Whether an evening is one of these, or so near before it that it counts as one. */
    public boolean isOn(LocalDate evening) {
        for (int ahead = 0; ahead <= kind.before(); ahead++) {
            LocalDate day = evening.plusDays(ahead);
            if (weekday.filter(w -> w == day.getDayOfWeek()).isPresent()
                    || date.filter(day::equals).isPresent()) {
                return true;
            }
        }
        return false;
    }
}

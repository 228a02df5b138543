package outfell.week;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How nights come round: by weekday, every so many nights, or by the fortnight. Counted in nights from its first, so that every
 * other night is every other night over Sunday, too.
 *
 * @param every nights after which they come again: 7 by weekday, 2 to 6, or 14
 * @param first its first night; by weekday the Monday of some week
 */
public record Rhythm(int every, LocalDate first) {
    public static final int WEEK = 7;
    private static final int FORTNIGHT = 14;
    /** Rounds longer than this are no rhythm that anybody keeps. */
    private static final int LONGEST = 21;

    /** House custom: a first choice of evenings when nothing else tells two apart. */
    private static final List<DayOfWeek> LIKED = List.of(
            DayOfWeek.TUESDAY,
            DayOfWeek.THURSDAY,
            DayOfWeek.SATURDAY,
            DayOfWeek.MONDAY,
            DayOfWeek.SUNDAY,
            DayOfWeek.WEDNESDAY,
            DayOfWeek.FRIDAY);

    public Rhythm {
        if (every != WEEK && every != FORTNIGHT && !(every >= 2 && every <= 6)) {
            throw new IllegalArgumentException(
                    "Nights come again after 7, 14, or 2 to 6 nights, not after %d.".formatted(every));
        }
        if (every == WEEK || every == FORTNIGHT) {
            first = first.minusDays(first.getDayOfWeek().ordinal());
        }
    }

    /** By weekday, in any week. */
    public static Rhythm weekly() {
        return new Rhythm(WEEK, LocalDate.EPOCH);
    }

    public boolean byWeekday() {
        return every == WEEK;
    }

    /**
     * Nights of the round over which so many uses a week are laid: as many rounds as it takes for the rarest thing to have one
     * night without having more than its week allows.
     */
    public int nights(List<Integer> usesAWeek) {
        int nights = every;
        while (nights + every <= LONGEST && rare(usesAWeek, nights)) {
            nights += every;
        }
        return nights;
    }

    private static boolean rare(List<Integer> usesAWeek, int nights) {
        return usesAWeek.stream().anyMatch(uses -> uses > 0 && inRound(uses, nights) == 0);
    }

    /** Most uses in a round of so many nights that are no more than so many a week. */
    public static int inRound(int usesAWeek, int nights) {
        return usesAWeek * nights / WEEK;
    }

    /** Which night of a round of so many a day is, from 0. */
    public int night(LocalDate day, int nights) {
        return (int) Math.floorMod(day.toEpochDay() - first.toEpochDay(), (long) nights);
    }

    /** The nights of a round, the best liked first. */
    public List<Integer> liked(int nights) {
        if (nights % WEEK != 0) {
            return IntStream.range(0, nights).boxed().toList();
        }
        return LIKED.stream()
                .flatMap(day -> IntStream.range(0, nights / WEEK).mapToObj(w -> w * WEEK + day.ordinal()))
                .toList();
    }
}

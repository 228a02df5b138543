package outfell.regimen;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import outfell.knowledge.Because;
import outfell.product.ActiveKind;
import outfell.week.Diary;
import outfell.week.OneMore;
import outfell.week.Ramp;
import outfell.week.Rhythm;
import outfell.week.Round;
import outfell.week.Tolerance;

/** The things with nights of their own as tracks through the weeks: rung by rung, when their nights change, why not one more. */
final class Tracks {
    private final Diary diary;
    private final LocalDate from;
    private final LocalDate first;
    private final LocalDate now;
    private final int weeks;

    /**
     * @param from first day of the plan's weeks
     * @param first first day that is shown, some weeks before it where something is in use already
     */
    Tracks(Diary diary, LocalDate from, LocalDate first, LocalDate now, int weeks) {
        this.diary = diary;
        this.from = from;
        this.first = first;
        this.now = now;
        this.weeks = weeks;
    }

    /** @param current the nights as they are this week */
    Weeks.Track of(Going g, List<NightsOf.Found> found, NightsOf.Found current) {
        List<Ramp.WeekOfIt> all = Ramp.of(g.thing(), diary, from, weeks);
        int shown = (int) ChronoUnit.WEEKS.between(first, from) + weeks;
        return new Weeks.Track(
                g.product().id(),
                g.product().name(),
                g.letter(),
                Tolerance.points(g.product()),
                g.queued(),
                all.subList(Math.max(0, all.size() - shown), all.size()),
                diary.courses().stream()
                        .filter(c -> c.product().equals(g.product().id()))
                        .findFirst(),
                free(g, current),
                weekdays(g, current),
                more(g, current),
                stronger(g, all),
                turns(g, found));
    }

    private List<DayOfWeek> weekdays(Going g, NightsOf.Found found) {
        return free(g, found) && found.round().nights() == Rhythm.WEEK
                ? found.days(found.place(g.product().id()), now)
                : List.of();
    }

    private static boolean free(Going g, NightsOf.Found found) {
        int thing = found.place(g.product().id());
        return thing >= 0 && g.when().isEmpty() && found.wanted().get(thing).free();
    }

    /** Strength goes up only when the nights rest, and after some weeks of enough of them without a sign. */
    private static Optional<Because> stronger(Going g, List<Ramp.WeekOfIt> weeks) {
        if (!g.product().has(ActiveKind.RETINOID) || g.product().prescription()) {
            return Optional.empty();
        }
        int calm = 0;
        for (Ramp.WeekOfIt w : weeks) {
            boolean goes = w.standing() == Ramp.Standing.LED_UP || w.standing() == Ramp.Standing.SETTLED;
            calm = goes && w.uses() >= Tolerance.STRONGER_NIGHTS ? calm + 1 : 0;
            if (calm >= Tolerance.STRONGER_WEEKS && w.standing() == Ramp.Standing.SETTLED) {
                return Optional.of(Because.custom(
                        "A stronger one not before %s: %d weeks of %d nights or more without a sign, and not while the nights still rise."
                                .formatted(
                                        Weekdays.dated(w.from().plusWeeks(1)),
                                        Tolerance.STRONGER_WEEKS,
                                        Tolerance.STRONGER_NIGHTS)));
            }
        }
        return Optional.of(Because.custom(
                "A stronger one not within these weeks: it asks for %d weeks of %d nights or more without a sign, with nights that no longer rise."
                        .formatted(Tolerance.STRONGER_WEEKS, Tolerance.STRONGER_NIGHTS)));
    }

    private static String more(Going g, NightsOf.Found found) {
        int thing = found.place(g.product().id());
        if (thing < 0 || !found.wanted().get(thing).free()) {
            return "";
        }
        OneMore more = OneMore.of(found.wanted(), found.round(), found.laid(), thing);
        String gives = more.gives().stream()
                .map(i -> found.things().get(i).product().name())
                .collect(Collectors.joining(" or "));
        String limits = more.limits().stream()
                .findFirst()
                .map(l -> l.stream().map(Round.Limit::words).collect(Collectors.joining(", and ")))
                .orElse("no night bears it");
        return "One more night of %s: %s.%s"
                .formatted(
                        g.product().name(),
                        limits,
                        gives.isEmpty() ? "" : " One night less of %s would make room.".formatted(gives));
    }

    /** The days on which its nights change. */
    private List<Weeks.NightsFrom> turns(Going g, List<NightsOf.Found> found) {
        List<Weeks.NightsFrom> turns = new ArrayList<>();
        String before = "";
        for (int w = 0; w < weeks; w++) {
            String now = said(g, w, found.get(w));
            if (!now.equals(before)) {
                LocalDate week = from.plusWeeks(w);
                boolean begins =
                        g.weeks().get(w).uses() > 0 && week.isBefore(g.thing().begins());
                turns.add(new Weeks.NightsFrom(begins ? g.thing().begins() : week, now));
                before = now;
            }
        }
        return turns;
    }

    private String said(Going g, int week, NightsOf.Found found) {
        Ramp.WeekOfIt w = g.weeks().get(week);
        if (w.uses() == 0) {
            return switch (w.standing()) {
                case WAITS -> "not yet";
                case RESET -> "off until the skin is calm";
                case PAUSED -> "paused";
                case OFF_COURSE -> "off";
                case LED_UP, SETTLED, HELD, HALVED -> "not now";
            };
        }
        if (g.isDaily(week)) {
            return "every day";
        }
        int thing = found.place(g.product().id());
        if (thing < 0 || found.uses(thing) == 0) {
            return "not now";
        }
        if (g.when().isPresent()) {
            return "%s, up to %d a week".formatted(g.when().get().kind().words(), w.uses());
        }
        return found.round().nights() == Rhythm.WEEK
                ? Weekdays.said(found.days(thing, from.plusWeeks(week)))
                : Weekdays.times(found.uses(thing), found.round().nights());
    }
}

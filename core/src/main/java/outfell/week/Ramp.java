package outfell.week;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;
import outfell.knowledge.Because;
import outfell.product.Product;

/** How a thing with nights of its own is led up to, week by week, with what has happened to it. */
public final class Ramp {
    /** What a week is to a thing. */
    public enum Standing {
        /** it is not begun: its test is to be read, or another new thing goes first */
        WAITS,
        /** a rung on the way up */
        LED_UP,
        /** as often as this skin bears it */
        SETTLED,
        /** the same again: too many nights were left out, or nobody asked how it was */
        HELD,
        /** half its nights, after a check-in */
        HALVED,
        /** off for some days of hers */
        PAUSED,
        /** off until the skin is calm */
        RESET,
        /** its course is not begun, or over */
        OFF_COURSE
    }

    /**
     * One week of a thing.
     *
     * @param from its first day
     * @param led weeks of getting used to it that count, before this one
     * @param uses nights that it may have
     */
    public record WeekOfIt(LocalDate from, int led, int uses, Standing standing, Because because) {}

    /**
     * @param begins the first day on which it is used, or was
     * @param uses nights a week after so many weeks of getting used to it
     * @param waits why it has not begun; absent when it has
     * @param back weeks to wait after a calm reset, so that things come back one by one
     * @param because why so many, when nothing happened
     */
    public record Thing(
            Product product,
            LocalDate begins,
            IntUnaryOperator uses,
            Optional<Because> waits,
            int back,
            Because because) {
        /** The same on no more nights a week than it is counted at. */
        public Thing atMost(int nights) {
            return new Thing(product, begins, led -> Math.min(nights, uses.applyAsInt(led)), waits, back, because);
        }
    }

    private static final int DAYS = 7;

    private Ramp() {}

    /**
     * Every week from the one in which it began, or from the first asked, whichever is earlier.
     *
     * @param from first day of a week that is asked for; weeks before it are counted from there
     * @param weeks how many from there
     */
    public static List<WeekOfIt> of(Thing thing, Diary diary, LocalDate from, int weeks) {
        long before = Math.max(0, Math.ceilDiv(ChronoUnit.DAYS.between(thing.begins(), from), DAYS));
        LocalDate first = from.minusWeeks(before);
        List<WeekOfIt> all = new ArrayList<>();
        int led = 0;
        int daysOff = 0;
        for (int w = 0; w < before + weeks; w++) {
            LocalDate start = first.plusWeeks(w);
            WeekOfIt week = week(thing, diary, start, led);
            int off = daysOff(thing, diary, start);
            daysOff = off == 0 ? 0 : daysOff + off;
            if (daysOff >= Pause.BACK_AFTER_DAYS && off > 0 && daysOff - off < Pause.BACK_AFTER_DAYS) {
                led = Math.max(0, led - Pause.BACK_WEEKS);
            }
            all.add(week);
            led = switch (week.standing()) {
                case LED_UP, SETTLED -> counts(diary, week, off) ? led + 1 : led;
                case RESET -> 0;
                case WAITS, HELD, HALVED, PAUSED, OFF_COURSE -> led;
            };
        }
        return all;
    }

    /** Weeks of getting used to it that count on a day; as many as have passed when nothing happened. */
    public static int led(Thing thing, Diary diary, LocalDate day) {
        return of(thing, diary, day, 1).getLast().led();
    }

    private static boolean counts(Diary diary, WeekOfIt week, int off) {
        return 2 * off < DAYS && !skipped(diary, week);
    }

    /** Whether too many of its strong nights were left out, as the first check-in after it says. */
    private static boolean skipped(Diary diary, WeekOfIt week) {
        LocalDate end = week.from().plusDays(DAYS);
        return diary.checkIns().stream()
                .filter(c -> !c.on().isBefore(end))
                .findFirst()
                .filter(c -> c.on().isBefore(end.plusWeeks(1)))
                .filter(c -> c.skipped().orElse(0) > CheckIn.SKIPPED * week.uses())
                .isPresent();
    }

    private static int daysOff(Thing thing, Diary diary, LocalDate from) {
        return (int) IntStream.range(0, DAYS)
                .filter(d -> diary.pauses().stream().anyMatch(p -> p.keepsOff(thing.product(), from.plusDays(d))))
                .count();
    }

    private static WeekOfIt week(Thing thing, Diary diary, LocalDate from, int led) {
        if (from.plusDays(DAYS - 1).isBefore(thing.begins())) {
            return new WeekOfIt(from, 0, 0, Standing.WAITS, thing.waits().orElse(thing.because()));
        }
        int uses = thing.uses().applyAsInt(led);
        if (thing.product().prescription()) {
            return new WeekOfIt(from, led, uses, Standing.SETTLED, thing.because());
        }
        Optional<Calming.Begun> reset = diary.reset(from);
        if (reset.isPresent()) {
            return new WeekOfIt(from, led, 0, Standing.RESET, reset.get().because());
        }
        Optional<Because> later = comesLater(thing, diary, from);
        if (later.isPresent()) {
            return new WeekOfIt(from, led, 0, Standing.WAITS, later.get());
        }
        Optional<Because> off = offCourse(thing, diary, from);
        if (off.isPresent()) {
            return new WeekOfIt(from, led, 0, Standing.OFF_COURSE, off.get());
        }
        if (daysOff(thing, diary, from) == DAYS) {
            return new WeekOfIt(
                    from,
                    led,
                    0,
                    Standing.PAUSED,
                    diary.keepsOff(thing.product(), from).orElse(thing.because()));
        }
        Optional<Diary.Heard> back = diary.stepBack(from);
        if (back.isPresent()) {
            long into = ChronoUnit.DAYS.between(back.get().checkIn().on(), from) / DAYS;
            // of an odd number the smaller half comes first, so that one night a week is one in two weeks
            int half = into == 0 ? uses / 2 : uses - uses / 2;
            return new WeekOfIt(from, led, half, Standing.HALVED, back.get().because());
        }
        Optional<Because> held = held(diary, from);
        if (held.isPresent()) {
            return new WeekOfIt(from, led, uses, Standing.HELD, held.get());
        }
        boolean settled = uses == thing.uses().applyAsInt(Tolerance.GOT_USED_TO);
        return new WeekOfIt(from, led, uses, settled ? Standing.SETTLED : Standing.LED_UP, thing.because());
    }

    /** After a calm reset things come back one by one: why this one does not yet. */
    private static Optional<Because> comesLater(Thing thing, Diary diary, LocalDate from) {
        return diary.calming(from)
                .ended()
                .filter(calm -> thing.begins().isBefore(calm) && from.isBefore(calm.plusWeeks(thing.back())))
                .map(calm -> Because.custom("Calm since %s: strong things come back one by one, this one from %s."
                        .formatted(Diary.DAY.format(calm), Diary.DAY.format(calm.plusWeeks(thing.back())))));
    }

    private static Optional<Because> offCourse(Thing thing, Diary diary, LocalDate from) {
        return diary.courses().stream()
                .filter(c -> c.product().equals(thing.product().id()))
                .filter(c -> IntStream.range(0, DAYS).noneMatch(d -> c.isOn(from.plusDays(d))))
                .map(c -> c.because(from))
                .findFirst();
    }

    /** The week after a check-in at which not everything was asked is the same again. */
    private static Optional<Because> held(Diary diary, LocalDate from) {
        return diary.read(from).stream()
                .filter(r -> r.says() == CheckIn.Says.NOT_TOLD
                        && from.isBefore(r.checkIn().on().plusDays(DAYS)))
                .map(Diary.Heard::because)
                .reduce((a, b) -> b);
    }
}

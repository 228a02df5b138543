package outfell.week;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import outfell.knowledge.Because;

/**
 * How a calm reset stands on a day. It lasts some days at least and ends by calm check-ins some days apart, by no date
 * alone. One that a swelling began, or that had one in it, ends no sooner than a doctor has looked at it, however calm the
 * skin is.
 *
 * @param first what began it; absent when none is on
 * @param begun what asked for it last, from which its days count; absent when none is on
 * @param unseen swellings in it that nobody has looked at
 * @param calm calm check-ins in it that count; 0 when none is on
 * @param counted the day of the last of them
 * @param last how the skin was at the last look in it
 * @param ended the day on which the last one ended; absent when there was none, or one is on
 */
public record Calming(
        Optional<Begun> first,
        Optional<Begun> begun,
        List<Diary.Heard> unseen,
        int calm,
        Optional<LocalDate> counted,
        Optional<Look> last,
        Optional<LocalDate> ended) {
    /**
     * How the skin was on a day, each sign 0 to 4; absent what nobody knows.
     *
     * @param calm whether it counts towards the end of a reset
     */
    record Look(LocalDate on, OptionalInt sting, OptionalInt redness, OptionalInt flaking, boolean calm) {
        static Look of(CheckIn c) {
            return new Look(c.on(), c.sting(), c.redness(), c.flaking(), c.allLow());
        }
    }

    /**
     * The beginning of a calm reset.
     *
     * @param because what asked for it
     */
    public record Begun(Look look, Because because) {
        public LocalDate on() {
            return look.on();
        }
    }

    static final Calming NONE = over(Optional.empty());

    private static Calming over(Optional<LocalDate> ended) {
        return new Calming(Optional.empty(), Optional.empty(), List.of(), 0, Optional.empty(), Optional.empty(), ended);
    }

    /** The first day on which one that begins on a day may end. */
    static LocalDate soonest(LocalDate begun) {
        return begun.plusDays(CheckIn.RESET_DAYS);
    }

    /**
     * A face that was read, be it that it asks for a reset or not. One that is sound when a reset has lasted its days ends it by
     * itself: a whole face under the lamp is worth more than what is told.
     */
    Calming read(ReadFace face) {
        if (face.calm().isPresent()) {
            return again(new Begun(face.look(), face.calm().orElseThrow()), unseen);
        }
        if (!face.isWhole()) {
            return this;
        }
        boolean late = begun.filter(b -> !face.on().isBefore(soonest(b.on()))).isPresent();
        return late && face.look().calm() && unseen.isEmpty() ? over(Optional.of(face.on())) : looked(face.look());
    }

    Calming heard(Diary.Heard h) {
        Look look = Look.of(h.checkIn());
        return switch (h.says()) {
            case REFER ->
                again(
                        new Begun(look, h.because()),
                        Stream.concat(unseen.stream(), Stream.of(h)).toList());
            case RESET -> again(new Begun(look, h.because()), unseen);
            case CALM, NOT_TOLD, STEP_BACK -> looked(look);
        };
    }

    private Calming again(Begun by, List<Diary.Heard> open) {
        return new Calming(
                first.or(() -> Optional.of(by)),
                Optional.of(by),
                open,
                0,
                Optional.empty(),
                first.filter(f -> by.on().isAfter(f.on())).map(_ -> by.look()),
                Optional.empty());
    }

    private Calming looked(Look look) {
        if (begun.filter(b -> look.on().isAfter(b.on())).isEmpty()) {
            return this;
        }
        boolean counts = look.calm()
                && counted.filter(d -> look.on().isBefore(d.plusDays(CheckIn.RESET_APART)))
                        .isEmpty();
        return new Calming(
                        first,
                        begun,
                        unseen,
                        !look.calm() ? 0 : counts ? calm + 1 : calm,
                        !look.calm() ? Optional.empty() : counts ? Optional.of(look.on()) : counted,
                        Optional.of(look),
                        ended)
                .endedBy(look.on());
    }

    Calming seen(Diary.Heard h, LocalDate on) {
        return new Calming(
                        first, begun, unseen.stream().filter(u -> !u.equals(h)).toList(), calm, counted, last, ended)
                .endedBy(on);
    }

    Calming endedBy(LocalDate day) {
        boolean over = begun.filter(b -> !day.isBefore(soonest(b.on()))).isPresent()
                && calm >= CheckIn.CALM_ENDS
                && unseen.isEmpty();
        return over ? over(Optional.of(day)) : this;
    }

    /** Why a doctor is to look at it: it got worse, or no better in its days; none when neither. */
    public Optional<Because> doctor() {
        return first.map(Begun::look).flatMap(then -> last.flatMap(now -> doctor(then, now)));
    }

    private static Optional<Because> doctor(Look then, Look now) {
        String day = Diary.DAY.format(now.on());
        if (pairs(then, now).anyMatch(p -> p.now() > p.then())) {
            return Optional.of(
                    CheckIn.resetBecause("Worse on %s than when it began: a doctor looks at it.".formatted(day)));
        }
        boolean better = now.calm() || pairs(then, now).anyMatch(p -> p.now() < p.then());
        return better || now.on().isBefore(soonest(then.on()))
                ? Optional.empty()
                : Optional.of(
                        CheckIn.resetBecause("No better on %s, %d days or more after it began: a doctor looks at it."
                                .formatted(day, CheckIn.RESET_DAYS)));
    }

    private record Pair(int then, int now) {}

    private static Stream<Pair> pairs(Look then, Look now) {
        return Stream.of(
                        pair(then.sting(), now.sting()),
                        pair(then.redness(), now.redness()),
                        pair(then.flaking(), now.flaking()))
                .flatMap(Optional::stream);
    }

    private static Optional<Pair> pair(OptionalInt then, OptionalInt now) {
        return then.isPresent() && now.isPresent()
                ? Optional.of(new Pair(then.getAsInt(), now.getAsInt()))
                : Optional.empty();
    }
}

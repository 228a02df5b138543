package outfell.week;

import java.time.LocalDate;
import java.util.ArrayList;
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
 * @param last the last check-in in it
 * @param ended the day on which the last one ended; absent when there was none, or one is on
 */
public record Calming(
        Optional<Begun> first,
        Optional<Begun> begun,
        List<Diary.Heard> unseen,
        int calm,
        Optional<LocalDate> counted,
        Optional<CheckIn> last,
        Optional<LocalDate> ended) {
    /**
     * The beginning of a calm reset, with the grades that the skin had, 0 to 4; absent what nobody knows.
     *
     * @param because what asked for it
     */
    public record Begun(LocalDate on, OptionalInt sting, OptionalInt redness, OptionalInt flaking, Because because) {
        static Begun of(Diary.Heard h) {
            CheckIn c = h.checkIn();
            return new Begun(c.on(), c.sting(), c.redness(), c.flaking(), h.because());
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

    Calming begin(Begun by) {
        return new Calming(
                first.or(() -> Optional.of(by)), Optional.of(by), unseen, 0, Optional.empty(), last, Optional.empty());
    }

    Calming heard(Diary.Heard h) {
        CheckIn c = h.checkIn();
        if (h.says() == CheckIn.Says.RESET || h.says() == CheckIn.Says.REFER) {
            Calming again = begin(Begun.of(h));
            List<Diary.Heard> open = new ArrayList<>(unseen);
            if (h.says() == CheckIn.Says.REFER) {
                open.add(h);
            }
            return new Calming(
                    again.first,
                    again.begun,
                    List.copyOf(open),
                    0,
                    Optional.empty(),
                    begun.isPresent() ? Optional.of(c) : Optional.empty(),
                    Optional.empty());
        }
        if (begun.isEmpty()) {
            return this;
        }
        boolean counts = c.allLow()
                && counted.filter(d -> c.on().isBefore(d.plusDays(CheckIn.RESET_APART)))
                        .isEmpty();
        return new Calming(
                        first,
                        begun,
                        unseen,
                        !c.allLow() ? 0 : counts ? calm + 1 : calm,
                        !c.allLow() ? Optional.empty() : counts ? Optional.of(c.on()) : counted,
                        Optional.of(c),
                        ended)
                .endedBy(c.on());
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
        return first.flatMap(then -> last.filter(c -> !c.on().isBefore(then.on()))
                .flatMap(c -> {
                    if (pairs(then, c).anyMatch(p -> p.now() > p.then())) {
                        return Optional.of(CheckIn.resetBecause("Worse on %s than when it began: a doctor looks at it."
                                .formatted(Diary.DAY.format(c.on()))));
                    }
                    boolean better = c.allLow() || pairs(then, c).anyMatch(p -> p.now() < p.then());
                    return better || c.on().isBefore(soonest(then.on()))
                            ? Optional.empty()
                            : Optional.of(CheckIn.resetBecause(
                                    "No better on %s, %d days or more after it began: a doctor looks at it."
                                            .formatted(Diary.DAY.format(c.on()), CheckIn.RESET_DAYS)));
                }));
    }

    private record Pair(int then, int now) {}

    private static Stream<Pair> pairs(Begun then, CheckIn now) {
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

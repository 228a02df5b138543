package outfell.regimen;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import outfell.aims.Candidate;
import outfell.aims.Rations;
import outfell.consultation.Consultation;
import outfell.method.Method;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.week.Diary;
import outfell.week.HerEvening;
import outfell.week.Nights;
import outfell.week.OneMore;
import outfell.week.Rhythm;
import outfell.week.Round;
import outfell.week.Tolerance;
import outfell.week.Wanted;

/** Which nights the things of a plan have, beside what every day brings. */
final class NightsOf {
    /**
     * A thing that asks for nights.
     *
     * @param uses a week for now
     * @param fixed nights set by the prescriber or by hand; empty when free
     * @param begins the first day on which it may be used
     */
    record Asking(Product product, int uses, List<DayOfWeek> fixed, LocalDate begins) {}

    /** How they are laid. */
    record Found(List<Asking> things, List<Wanted> wanted, Round round, Nights.Laid laid, Rhythm rhythm) {
        private static final double HAIR = 1e-9;
        private static final int THREE = 3;

        boolean on(int thing, LocalDate day) {
            return isOn(thing, rhythm.night(day, round.nights()));
        }

        /** The place of a product among the things; -1 when it has no nights. */
        int place(ProductId product) {
            return IntStream.range(0, things.size())
                    .filter(i -> things.get(i).product().id().equals(product))
                    .findFirst()
                    .orElse(-1);
        }

        /** Uses of a thing in a round. */
        int uses(int thing) {
            return Integer.bitCount(laid.on().get(thing));
        }

        /**
         * Weekdays of a thing, of a round that comes by weekday; of any other those of the week from a day on, or of its next
         * night when that week has none.
         */
        List<DayOfWeek> days(int thing, LocalDate from) {
            List<DayOfWeek> soon = IntStream.range(0, round.nights())
                    .mapToObj(from::plusDays)
                    .filter(d -> on(thing, d))
                    .limit(1)
                    .map(LocalDate::getDayOfWeek)
                    .toList();
            List<DayOfWeek> week = IntStream.range(0, Rhythm.WEEK)
                    .mapToObj(from::plusDays)
                    .filter(d -> on(thing, d))
                    .map(LocalDate::getDayOfWeek)
                    .sorted()
                    .toList();
            return week.isEmpty() ? soon : week;
        }

        /** How often, in words, where the nights do not come by weekday; else empty. */
        String often(int thing) {
            return round.nights() == Rhythm.WEEK || uses(thing) == 0 ? "" : Weekdays.times(uses(thing), round.nights());
        }

        /** Why it has fewer nights than it may have, as one more sentence; empty when it has them all. */
        String fewer(int thing) {
            int may = Rhythm.inRound(things.get(thing).uses(), round.nights());
            if (!wanted.get(thing).free() || uses(thing) >= may) {
                return "";
            }
            return " Of these it has %d: %s.".formatted(uses(thing), why(OneMore.of(wanted, round, laid, thing)));
        }

        private static String why(OneMore more) {
            return more.limits().stream()
                    .findFirst()
                    .map(limits -> limits.stream().map(Round.Limit::words).collect(Collectors.joining(", and ")))
                    .orElse("no night bears one more");
        }

        /**
         * Whether a thing whose nights nobody can say beforehand may be on a night: it meets nothing there that it must not, and
         * with what the others bring the night and any three running are not too much.
         */
        boolean may(int thing, int night) {
            Wanted w = wanted.get(thing);
            boolean parted = IntStream.range(0, things.size())
                    .anyMatch(i -> i != thing && isOn(i, night) && (w.parted() >> i & 1) == 1);
            boolean barred = (w.barred() >> night & 1) == 1;
            return !parted
                    && !barred
                    && carried(thing, night) + w.points() <= round.night() + HAIR
                    && IntStream.range(night - THREE + 1, night + 1)
                            .allMatch(first -> IntStream.range(first, first + THREE)
                                                    .mapToDouble(n -> carried(thing, Math.floorMod(n, round.nights())))
                                                    .sum()
                                            + w.points()
                                    <= round.three() + HAIR);
        }

        /** The days of a week on which it may be. */
        List<DayOfWeek> mayBe(int thing, LocalDate from) {
            return IntStream.range(0, Rhythm.WEEK)
                    .mapToObj(from::plusDays)
                    .filter(d -> may(thing, rhythm.night(d, round.nights())))
                    .map(LocalDate::getDayOfWeek)
                    .sorted()
                    .toList();
        }

        private boolean isOn(int thing, int night) {
            return (laid.on().get(thing) >> night & 1) == 1;
        }

        /** Points of a night without one of the things. */
        private double carried(int without, int night) {
            return round.daily()
                    + IntStream.range(0, things.size())
                            .filter(i -> i != without && isOn(i, night))
                            .mapToDouble(i -> wanted.get(i).points())
                            .sum();
        }

        /** Whether a thing has a night together with another. */
        boolean shares(int thing) {
            int on = laid.on().get(thing);
            return IntStream.range(0, things.size())
                    .anyMatch(i -> i != thing && (laid.on().get(i) & on) != 0);
        }
    }

    private record Case(List<Asking> things, List<Integer> barred) {}

    private final Rations rations;
    private final Diary diary;
    private final Rhythm asked;
    private final double daily;
    private final double exfoliatedDaily;
    private final Map<Case, Found> known = new HashMap<>();

    /** @param everyDay what has no nights of its own, once for each routine that it stands in */
    NightsOf(Rations rations, Consultation consultation, List<Candidate> everyDay) {
        this.rations = rations;
        this.diary = consultation.diary();
        this.asked = diary.rhythm().orElseGet(() -> rhythm(consultation.method()));
        this.daily = everyDay.stream()
                .filter(c -> !c.product().prescription())
                .mapToDouble(c -> Tolerance.points(c.product()))
                .sum();
        this.exfoliatedDaily = everyDay.stream()
                .mapToDouble(c -> Tolerance.exfoliation(c.product()))
                .sum();
    }

    /** As a method has it: counted from a day that is the same for every plan, so that no visit shifts the nights of the one before. */
    static Rhythm rhythm(Method method) {
        return switch (method.nightRhythm()) {
            case WEEKDAY -> Rhythm.weekly();
            case EVERY_OTHER -> new Rhythm(2, LocalDate.EPOCH);
            case EVERY_THIRD -> new Rhythm(3, LocalDate.EPOCH);
        };
    }

    double daily() {
        return daily;
    }

    /** As they come round in any week: what is set, and her weekly evenings. */
    Found always(List<Asking> things) {
        return find(things, things.stream().map(t -> everyWeek(t.product())).toList());
    }

    /** As they are in the week from a day on, with what happens in it. */
    Found from(List<Asking> things, LocalDate day) {
        return find(things, things.stream().map(t -> inWeek(t, day)).toList());
    }

    private Found find(List<Asking> things, List<Integer> barredDays) {
        return known.computeIfAbsent(new Case(things, barredDays), c -> laid(c.things(), c.barred()));
    }

    private Found laid(List<Asking> things, List<Integer> barredDays) {
        // what a prescriber or a hand set goes by weekday, so the week does
        boolean byDay = things.stream().anyMatch(t -> !t.fixed().isEmpty());
        Rhythm rhythm = byDay && asked.every() % Rhythm.WEEK != 0 ? Rhythm.weekly() : asked;
        int nights = rhythm.nights(things.stream().map(Asking::uses).toList());
        List<Rations.Thing> asked = IntStream.range(0, things.size())
                .mapToObj(i -> new Rations.Thing(
                        things.get(i).product(),
                        things.get(i).uses(),
                        spread(bits(things.get(i).fixed()), nights),
                        spread(barredDays.get(i), nights)))
                .toList();
        List<Wanted> wanted = rations.wanted(asked, nights);
        Round round = rations.round(rhythm, nights, daily, exfoliatedDaily);
        return new Found(things, wanted, round, Nights.lay(wanted, round), rhythm);
    }

    /** Weekdays over a round of whole weeks; a round of other nights knows no weekdays, there each date is looked at by itself. */
    private static int spread(int week, int nights) {
        int bits = 0;
        for (int n = 0; n < nights && nights % Rhythm.WEEK == 0; n++) {
            bits |= (week >> n % Rhythm.WEEK & 1) << n;
        }
        return bits;
    }

    private int everyWeek(Product p) {
        return bits(Stream.of(DayOfWeek.values())
                .filter(d -> diary.evenings().stream()
                        .filter(e -> e.date().isEmpty())
                        .anyMatch(e -> e.keepsOff(p, monday().plusDays(d.ordinal()))))
                .toList());
    }

    private static LocalDate monday() {
        return Rhythm.weekly().first();
    }

    private int inWeek(Asking thing, LocalDate from) {
        return bits(IntStream.range(0, Rhythm.WEEK)
                .mapToObj(from::plusDays)
                .filter(d -> d.isBefore(thing.begins())
                        || diary.keepsOff(thing.product(), d).isPresent())
                .map(LocalDate::getDayOfWeek)
                .toList());
    }

    private static int bits(List<DayOfWeek> days) {
        return days.stream().mapToInt(d -> 1 << d.ordinal()).sum();
    }

    /** The evening of hers that a day is, if it is one. */
    static Stream<HerEvening> hers(Diary diary, LocalDate day) {
        return diary.evenings().stream().filter(e -> e.isOn(day));
    }
}

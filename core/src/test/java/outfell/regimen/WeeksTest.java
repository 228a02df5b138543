package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.consultation.Consultation;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.week.CheckIn;
import outfell.week.Diary;
import outfell.week.HandNight;
import outfell.week.HerEvening;
import outfell.week.Pause;
import outfell.week.Ramp;
import outfell.week.Rhythm;
import outfell.week.Tolerance;

/** What holds of every evening of every plan, whatever happens to the client. */
class WeeksTest {
    private static final double HAIR = 1e-9;
    private static final Map<Integer, Optional<Weeks>> KNOWN = new HashMap<>();

    static IntStream clients() {
        return IntStream.rangeClosed(1, 24);
    }

    private static Consultation client(int n) {
        Consultation c = PlansSaidTest.consultation(1 + n % 36);
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(1000 + n);
        return c.parts().diary(anything(random, c.answers().today())).together();
    }

    /** Made once for all that is looked at; some of them weeks after the visit. */
    private static Optional<Weeks> weeks(int n) {
        return KNOWN.computeIfAbsent(n, _ -> Planner.weeks(client(n), now(n)));
    }

    private static LocalDate now(int n) {
        return client(n).answers().today().plusDays(n % 3 * 20);
    }

    private static Diary anything(RandomGenerator random, LocalDate begun) {
        List<CheckIn> checkIns = new ArrayList<>();
        for (int n = random.nextInt(4), day = 0; n > 0; n--) {
            day += 7 + random.nextInt(20);
            checkIns.add(new CheckIn(
                    begun.plusDays(day),
                    OptionalInt.of(random.nextInt(4)),
                    OptionalInt.of(random.nextInt(3)),
                    random.nextBoolean() ? OptionalInt.of(random.nextInt(3)) : OptionalInt.empty(),
                    false,
                    OptionalInt.of(random.nextInt(4))));
        }
        List<Pause> pauses = new ArrayList<>();
        for (int n = random.nextInt(3); n > 0; n--) {
            LocalDate from = begun.plusDays(random.nextInt(60));
            pauses.add(new Pause(
                    Pause.kinds().get(random.nextInt(Pause.kinds().size())), from, from.plusDays(random.nextInt(10))));
        }
        int[] every = {7, 7, 7, 14, 2, 3, 4, 5};
        List<HerEvening> evenings = random.nextBoolean()
                ? List.of(new HerEvening(
                        HerEvening.kinds().get(random.nextInt(3)),
                        Optional.of(DayOfWeek.of(1 + random.nextInt(7))),
                        Optional.empty()))
                : List.of();
        return new Diary(
                CheckIn.Before.UNKNOWN,
                checkIns,
                pauses,
                Optional.of(new Rhythm(every[random.nextInt(every.length)], begun)),
                evenings,
                List.of(),
                List.of());
    }

    @ParameterizedTest
    @MethodSource("clients")
    void no_evening_breaks_a_limit_and_every_one_without_strong_work_says_why(int n) {
        Consultation c = client(n);
        Optional<Weeks> found = weeks(n);
        if (found.isEmpty()) {
            assertThat(Planner.plan(c)).isInstanceOf(Outcome.ReferFirst.class);
            return;
        }
        Weeks w = found.get();
        Map<ProductId, LocalDate> last = new HashMap<>();
        List<Double> loads = new ArrayList<>();
        assertThat(w.evenings()).hasSizeGreaterThanOrEqualTo(84);
        for (Weeks.Evening e : w.evenings()) {
            double strong = 0;
            boolean prescribed = false;
            for (Weeks.UsedThen u : e.uses()) {
                Product p = c.find(u.product()).orElseThrow();
                prescribed |= p.prescription();
                strong += u.points();
                assertThat(e.products()).as("%s %s", e.date(), p.name()).contains(p.id());
                if (!p.prescription()) {
                    assertThat(c.diary().keepsOff(p, e.date()))
                            .as("%s on %s", p.name(), e.date())
                            .isEmpty();
                    assertThat(c.diary().reset(e.date())).isEmpty();
                    LocalDate before = last.get(p.id());
                    assertThat(before == null ? 99 : ChronoUnit.DAYS.between(before, e.date()))
                            .as("%s on %s", p.name(), e.date())
                            .isGreaterThanOrEqualTo(Tolerance.nightsApart(p));
                }
                last.put(p.id(), e.date());
            }
            assertThat(e.rest().isPresent()).as("%s", e.date()).isEqualTo(strong == 0);
            loads.add(e.load());
            double three = loads.stream()
                    .skip(Math.max(0, loads.size() - 3))
                    .mapToDouble(Double::doubleValue)
                    .sum();
            assertThat(e.three()).isCloseTo(three, org.assertj.core.data.Offset.offset(HAIR));
            boolean tooMuch = strong > 0
                    && (e.load() > w.bears().night() + HAIR || three > w.bears().three() + HAIR);
            assertThat(e.over().isPresent())
                    .as("%s", e.date())
                    .isEqualTo(tooMuch && !e.uses().isEmpty());
            assertThat(tooMuch && !prescribed).as("%s too much", e.date()).isFalse();
        }
        if (n <= 6) {
            assertThat(Planner.weeks(c, now(n))).contains(w);
        }
    }

    @ParameterizedTest
    @MethodSource("clients")
    void no_week_gives_a_thing_more_nights_than_its_rung(int n) {
        weeks(n).ifPresent(w -> w.tracks().forEach(t -> {
            List<Ramp.WeekOfIt> weeks = t.weeks()
                    .subList(
                            t.weeks().size() - w.evenings().size() / 7,
                            t.weeks().size());
            for (int week = 0; week < weeks.size() && w.rhythm().every() == 7; week++) {
                long used = w.evenings().subList(7 * week, 7 * week + 7).stream()
                        .filter(e -> e.uses().stream().anyMatch(u -> u.product().equals(t.product())))
                        .count();
                assertThat(used)
                        .as("%s in week %d", t.name(), week)
                        .isLessThanOrEqualTo(weeks.get(week).uses());
            }
        }));
    }

    @ParameterizedTest
    @MethodSource("clients")
    void new_things_begin_one_by_one(int n) {
        Consultation c = client(n);
        weeks(n).ifPresent(w -> {
            List<LocalDate> begins = w.tracks().stream()
                    .filter(t ->
                            c.shelf().stream().noneMatch(o -> o.product().id().equals(t.product()) && o.weeks() > 0))
                    .flatMap(
                            t -> t.weeks().stream()
                                    .filter(week -> week.uses() > 0)
                                    .map(Ramp.WeekOfIt::from)
                                    .findFirst()
                                    .stream())
                    .sorted()
                    .toList();
            for (int i = 1; i < begins.size(); i++) {
                assertThat(ChronoUnit.DAYS.between(begins.get(i - 1), begins.get(i)))
                        .isGreaterThanOrEqualTo(Tolerance.DAYS_AFTER_MILD);
            }
        });
    }

    @Test
    void an_evening_by_hand_is_hers_and_says_what_it_is_over() {
        Consultation c = IntStream.rangeClosed(1, 36)
                .mapToObj(PlansSaidTest::consultation)
                .filter(x -> Planner.weeks(x, x.answers().today())
                        .filter(w ->
                                w.evenings().stream().anyMatch(e -> e.rest().isEmpty()))
                        .isPresent())
                .findFirst()
                .orElseThrow();
        Weeks before = Planner.weeks(c, c.answers().today()).orElseThrow();
        Weeks.Evening used = before.evenings().stream()
                .filter(e -> e.uses().stream().anyMatch(u -> u.points() > 0))
                .findFirst()
                .orElseThrow();
        Weeks.UsedThen use = used.uses().getFirst();
        LocalDate next = used.date().plusDays(1);

        Weeks after = Planner.weeks(
                        c.parts()
                                .diary(byHand(
                                        new HandNight(use.product(), used.date(), false, "late shift"),
                                        new HandNight(use.product(), next, true, "she asked for it")))
                                .together(),
                        c.answers().today())
                .orElseThrow();

        assertThat(after.on(used.date()).orElseThrow().uses())
                .noneMatch(u -> u.product().equals(use.product()));
        assertThat(after.on(used.date()).orElseThrow().leftOut())
                .anyMatch(l -> l.because().sentence().equals("Left out by hand: late shift"));
        assertThat(after.on(next).orElseThrow().uses())
                .anyMatch(u -> u.product().equals(use.product())
                        && u.byHand()
                        && u.why().equals("she asked for it"));
    }

    @Test
    void what_was_set_by_hand_for_a_prescribed_thing_is_told_as_not_followed() {
        Consultation with = PlansSaidTest.consultation(8)
                .parts()
                .shelf(List.of(new Consultation.Owned(
                        Consultations.PRESCRIBED, 20, List.of(DayOfWeek.MONDAY, DayOfWeek.FRIDAY))))
                .together();
        LocalDate monday = with.answers().today().with(TemporalAdjusters.next(DayOfWeek.MONDAY));
        Weeks w = Planner.weeks(
                        with.parts()
                                .diary(byHand(
                                        new HandNight(Consultations.PRESCRIBED.id(), monday, false, "a feast"),
                                        new HandNight(new ProductId("gone"), monday, true, ""),
                                        new HandNight(new ProductId("gone"), monday.plusDays(1), false, "")))
                                .together(),
                        with.answers().today())
                .orElseThrow();

        assertThat(w.on(monday).orElseThrow().uses()).anyMatch(u -> u.product().equals(Consultations.PRESCRIBED.id()));
        assertThat(w.notFollowed())
                .extracting(Weeks.NotFollowed::date, n -> n.because().sentence().substring(0, 17))
                .containsExactly(tuple(monday, "It is prescribed:"), tuple(monday, "It is no longer a"));
    }

    private static Diary byHand(HandNight... nights) {
        return new Diary(
                CheckIn.Before.UNKNOWN, List.of(), List.of(), Optional.empty(), List.of(), List.of(), List.of(nights));
    }

    @Test
    void what_is_next_in_line_begins_two_weeks_after_what_is_begun_before_it() {
        List<Weeks> queues = IntStream.rangeClosed(1, 36)
                .mapToObj(PlansSaidTest::consultation)
                .map(c -> c.by(Methods.answering(
                        Methods.answering(c.method(), "strong-actives", "3"), "exfoliations-a-week", "3")))
                .flatMap(c -> Planner.weeks(c, c.answers().today()).stream())
                .filter(w -> w.tracks().stream().anyMatch(Weeks.Track::queued))
                .toList();

        assertThat(queues.isEmpty()).isFalse();
        queues.forEach(w -> {
            List<LocalDate> begins = w.tracks().stream()
                    .flatMap(t ->
                            t.weeks().stream().filter(x -> x.uses() > 0).map(Ramp.WeekOfIt::from).findFirst().stream())
                    .sorted()
                    .toList();
            for (int i = 1; i < begins.size(); i++) {
                assertThat(ChronoUnit.DAYS.between(begins.get(i - 1), begins.get(i)))
                        .isGreaterThanOrEqualTo(Tolerance.DAYS_AFTER_MILD);
            }
        });
    }

    @Test
    void two_that_are_queued_wait_for_each_other() {
        Consultation c = IntStream.rangeClosed(1, 36)
                .mapToObj(PlansSaidTest::consultation)
                .filter(x -> Planner.plan(x) instanceof Outcome.Planned)
                .findFirst()
                .orElseThrow();
        Outcome.Planned planned = (Outcome.Planned) Planner.plan(c);
        LocalDate begun = c.answers().today();
        List<Weeks.Track> tracks = Read.of(c, planned.skin())
                .draft(Consultation::ask)
                .weeks(
                        begun,
                        List.of(
                                new WeekByWeek.Queued(Consultations.product("retinol-serum-02"), begun.plusDays(14)),
                                new WeekByWeek.Queued(Consultations.product("lactic-serum-5"), begun.plusDays(15))),
                        Optional.empty())
                .tracks()
                .stream()
                .filter(Weeks.Track::queued)
                .toList();

        assertThat(tracks.stream().map(t -> t.product().value())).containsExactly("retinol-serum-02", "lactic-serum-5");
        List<Long> waits = tracks.stream()
                .map(t -> t.weeks().stream()
                        .takeWhile(w -> w.standing() == Ramp.Standing.WAITS)
                        .count())
                .toList();
        assertThat(waits.get(1) - waits.get(0)).isGreaterThanOrEqualTo(2);
    }

    @Test
    void a_prescription_of_every_night_stands_and_leaves_nothing_to_others() {
        Consultation.Owned every = new Consultation.Owned(Consultations.PRESCRIBED, 20, List.of(DayOfWeek.values()));
        Consultation c =
                PlansSaidTest.consultation(8).parts().shelf(List.of(every)).together();
        Weeks w = Planner.weeks(c, c.answers().today()).orElseThrow();

        assertThat(w.evenings())
                .allSatisfy(e -> assertThat(e.uses().stream().map(Weeks.UsedThen::product))
                        .containsExactly(Consultations.PRESCRIBED.id()));
    }

    @Test
    void in_a_calm_reset_what_is_prescribed_keeps_its_nights_and_its_load() {
        Consultation with = PlansSaidTest.consultation(8)
                .parts()
                .shelf(List.of(new Consultation.Owned(
                        Consultations.PRESCRIBED, 20, List.of(DayOfWeek.MONDAY, DayOfWeek.FRIDAY))))
                .together();
        LocalDate begun = with.answers().today();
        CheckIn stung = new CheckIn(
                begun.plusDays(7), OptionalInt.of(4), OptionalInt.of(0), OptionalInt.of(0), false, OptionalInt.empty());
        Weeks w = Planner.weeks(
                        with.parts()
                                .diary(new Diary(
                                        CheckIn.Before.UNKNOWN,
                                        List.of(stung),
                                        List.of(),
                                        Optional.empty(),
                                        List.of(),
                                        List.of(),
                                        List.of()))
                                .together(),
                        begun.plusDays(8))
                .orElseThrow();

        w.evenings().stream().filter(Weeks.Evening::calm).forEach(e -> {
            boolean hers =
                    e.date().getDayOfWeek() == DayOfWeek.MONDAY || e.date().getDayOfWeek() == DayOfWeek.FRIDAY;
            assertThat(e.products().contains(Consultations.PRESCRIBED.id()))
                    .as("%s", e.date())
                    .isEqualTo(hers);
            assertThat(e.load() > 0).as("%s", e.date()).isEqualTo(hers);
        });
        assertThat(w.evenings()).anyMatch(Weeks.Evening::calm);
    }

    @Test
    void on_a_bare_evening_the_first_cleanse_is_left_out() {
        Consultation c = IntStream.rangeClosed(1, 36)
                .mapToObj(PlansSaidTest::consultation)
                .filter(x -> Planner.plan(x) instanceof Outcome.Planned p
                        && p.regimen().evening().steps().stream()
                                .anyMatch(s -> s.kind() == StepKind.FIRST_CLEANSE && s.everyDay()))
                .findFirst()
                .orElseThrow();
        HerEvening bare =
                new HerEvening(HerEvening.kind("bare").orElseThrow(), Optional.of(DayOfWeek.SUNDAY), Optional.empty());
        Weeks w = Planner.weeks(
                        c.parts()
                                .diary(new Diary(
                                        CheckIn.Before.UNKNOWN,
                                        List.of(),
                                        List.of(),
                                        Optional.empty(),
                                        List.of(bare),
                                        List.of(),
                                        List.of()))
                                .together(),
                        c.answers().today())
                .orElseThrow();

        w.evenings()
                .forEach(e -> assertThat(e.products().stream()
                                .map(p -> c.find(p).orElseThrow().kind())
                                .anyMatch(k -> k == StepKind.FIRST_CLEANSE))
                        .as("%s", e.date())
                        .isEqualTo(e.date().getDayOfWeek() != DayOfWeek.SUNDAY));
    }

    @Test
    void check_ins_of_another_year_are_history_and_not_told_beside_the_weeks() {
        Consultation c = PlansSaidTest.consultation(2);
        LocalDate begun = c.answers().today();
        Diary was = c.diary();
        Consultation said = c.parts()
                .diary(new Diary(
                        was.before(),
                        Stream.of(begun.minusYears(1), begun.minusWeeks(3), begun.plusDays(8))
                                .map(d -> new CheckIn(
                                        d,
                                        OptionalInt.of(0),
                                        OptionalInt.of(0),
                                        OptionalInt.of(0),
                                        false,
                                        OptionalInt.of(0)))
                                .toList(),
                        was.pauses(),
                        was.rhythm(),
                        was.evenings(),
                        was.courses(),
                        was.byHand(),
                        was.faces()))
                .together();
        assertThat(Planner.weeks(said, begun.plusDays(10)).orElseThrow().checkIns())
                .extracting(h -> h.checkIn().on())
                .containsExactly(begun.minusWeeks(3), begun.plusDays(8));
    }
}

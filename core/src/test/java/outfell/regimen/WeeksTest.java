package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.consultation.Consultation;
import outfell.product.Product;
import outfell.product.ProductId;
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

    static IntStream clients() {
        return IntStream.rangeClosed(1, 60);
    }

    private static Consultation client(int n) {
        Consultation c = PlansSaidTest.consultation(1 + n % 36);
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(1000 + n);
        return c.parts().diary(anything(random, c.answers().today())).together();
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
                new Rhythm(every[random.nextInt(every.length)], begun),
                evenings,
                List.of(),
                List.of());
    }

    @ParameterizedTest
    @MethodSource("clients")
    void no_evening_breaks_a_limit_and_every_one_without_strong_work_says_why(int n) {
        Consultation c = client(n);
        LocalDate now = c.answers().today().plusDays(n % 3 * 20);
        Optional<Weeks> found = Planner.weeks(c, now);
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
            for (Weeks.Use u : e.uses()) {
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
        assertThat(Planner.weeks(c, now)).contains(w);
    }

    @ParameterizedTest
    @MethodSource("clients")
    void no_week_gives_a_thing_more_nights_than_its_rung(int n) {
        Consultation c = client(n);
        Planner.weeks(c, c.answers().today())
                .ifPresent(w -> w.tracks().forEach(t -> {
                    List<Ramp.Week> weeks = t.weeks()
                            .subList(
                                    t.weeks().size() - w.evenings().size() / 7,
                                    t.weeks().size());
                    for (int week = 0; week < weeks.size() && w.rhythm().every() == 7; week++) {
                        long used = w.evenings().subList(7 * week, 7 * week + 7).stream()
                                .filter(e -> e.uses().stream()
                                        .anyMatch(u -> u.product().equals(t.product())))
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
        Planner.weeks(c, c.answers().today()).ifPresent(w -> {
            List<LocalDate> begins = w.tracks().stream()
                    .filter(t ->
                            c.shelf().stream().noneMatch(o -> o.product().id().equals(t.product()) && o.weeks() > 0))
                    .flatMap(t ->
                            t.weeks().stream()
                                    .filter(week -> week.uses() > 0)
                                    .map(Ramp.Week::from)
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
        Weeks.Use use = used.uses().getFirst();
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

    private static Diary byHand(HandNight... nights) {
        return new Diary(
                CheckIn.Before.UNKNOWN, List.of(), List.of(), Rhythm.weekly(), List.of(), List.of(), List.of(nights));
    }
}

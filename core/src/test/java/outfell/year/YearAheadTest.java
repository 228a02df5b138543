package outfell.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.causes.Cause;
import outfell.changes.Change;
import outfell.changes.Difference;
import outfell.climate.MonthlyAir;
import outfell.climate.Site;
import outfell.climate.SiteId;
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.consultation.Surroundings;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.regimen.Consultations;
import outfell.regimen.Planner;
import outfell.regimen.Regimen;
import outfell.regimen.SheetNotes;
import outfell.routine.Part;
import outfell.safety.Answers;
import outfell.season.Lever;
import outfell.skin.Faces;
import outfell.skin.Sign;

/** The year after a visit. */
class YearAheadTest {
    private static Consultation at(Consultation c, Site site) {
        return c.parts().site(site).together();
    }

    private static Year year(Consultation c) {
        return YearAhead.of(c, c.answers().today(), Map.of()).orElseThrow();
    }

    private static Site always(MonthlyAir air) {
        return new Site(new SiteId("always"), "Always", "the same all year", Collections.nCopies(12, air));
    }

    static Stream<Site> sites() {
        return Sites.all().stream();
    }

    @ParameterizedTest
    @MethodSource("sites")
    void its_stretches_follow_one_another_through_the_year(Site site) {
        Year year = year(at(Client.calm(), site));
        LocalDate day = year.from();
        for (Stretch s : year.stretches()) {
            assertThat(s.from()).isEqualTo(day);
            assertThat(s.until()).isAfter(s.from());
            day = s.until();
        }
        assertThat(day).isEqualTo(year.until()).isEqualTo(year.from().plusYears(1));
        assertThat(year.months()).hasSize(12);
        assertThat(year.months().getFirst().month()).isEqualTo(year.from().getMonth());
    }

    @ParameterizedTest
    @MethodSource("sites")
    void it_begins_with_the_plan_of_the_visit(Site site) {
        Consultation c = at(Client.calm(), site);
        assertThat(year(c).stretches().getFirst().plan())
                .isEqualTo(((outfell.regimen.Outcome.Planned) Planner.plan(c)).regimen());
    }

    @ParameterizedTest
    @MethodSource("sites")
    void every_date_changes_something_and_every_change_of_it_is_the_airs_or_the_moneys(Site site) {
        List<Stretch> later =
                year(at(Client.calm(), site)).stretches().stream().skip(1).toList();
        for (Stretch s : later) {
            assertThat(s.changes().size() + s.told().size()).isPositive();
            assertThat(s.turned()).isNotEmpty();
            for (Change c : s.changes()) {
                assertThat(c.cause()).isIn(Cause.AIR, Cause.MONEY, Cause.MINUTES, Cause.STEPS);
                assertThat(c.because()).isNotEmpty();
                assertThat(s.turned().stream().map(Stretch.TurnOfAir::because).toList())
                        .as("the reason is one of what turned that day, or the air itself")
                        .containsAll(c.because().stream()
                                .filter(b -> !b.equals(s.plan().asked().air().rooms()))
                                .toList());
            }
        }
    }

    @ParameterizedTest
    @MethodSource("sites")
    void what_turned_and_changed_nothing_says_why(Site site) {
        for (Stretch s : year(at(Client.calm(), site)).stretches()) {
            for (Stretch.QuietTurn q : s.quiet()) {
                assertThat(q.because().sentence()).isNotBlank().endsWith(".");
                assertThat(q.day()).isBetween(s.from().minusDays(31), s.until());
            }
        }
    }

    @Test
    void where_the_air_stays_there_is_one_stretch() {
        Year year = year(at(Client.calm(), always(new MonthlyAir(18, 60, 3, 2))));
        assertThat(year.stretches()).hasSize(1);
        assertThat(year.stretches().getFirst().quiet()).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("sites")
    void a_place_on_the_other_half_of_the_earth_has_the_same_year_six_months_apart(Site site) {
        List<MonthlyAir> turned = new ArrayList<>(site.months());
        Collections.rotate(turned, 6);
        Site south = new Site(new SiteId("south"), "South", "six months apart", turned);
        Year here = year(on(at(Client.calm(), site), LocalDate.of(2026, 11, 25)));
        Year there = year(on(at(Client.calm(), south), LocalDate.of(2027, 5, 25)));
        assertThat(there.stretches().stream().map(YearAheadTest::what).toList())
                .isEqualTo(here.stretches().stream().map(YearAheadTest::what).toList());
        for (int i = 0; i < here.stretches().size(); i++) {
            assertThat(there.stretches().get(i).from())
                    .as("within what months differ in length")
                    .isBetween(
                            here.stretches().get(i).from().plusMonths(6).minusDays(4),
                            here.stretches().get(i).from().plusMonths(6).plusDays(4));
        }
    }

    private static Consultation on(Consultation c, LocalDate day) {
        Answers all = c.answers();
        List<Answers.Answer> given = all.given().stream()
                .map(a -> new Answers.Answer(a.question(), a.yes(), a.on(), day))
                .toList();
        return c.parts()
                .month(day.getMonth())
                .answers(new Answers(
                        day, given, OptionalInt.of(30), all.medicines(), all.otherAllergies(), all.settled()))
                .together();
    }

    private static List<String> what(Stretch s) {
        return s.changes().stream()
                .map(c -> "%s %s %s %s %s".formatted(c.part(), c.what(), c.from(), c.to(), c.cause()))
                .toList();
    }

    @Test
    void the_air_brings_in_no_active_that_no_visit_has_decided() {
        Consultation c = Consultations.of(Faces.face()
                .calm()
                .with(Sign.SHINE, 3, 3, 3, 2, 2)
                .with(Sign.SPOTS, 1, 1, 2, 1, 1)
                .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .person(25, false, false)
                .history(0, 0));
        Set<ProductId> came = new HashSet<>();
        Set<StepKind> moved = Set.of(
                StepKind.MOISTURISER, StepKind.SUNSCREEN, StepKind.WASH, StepKind.OIL, StepKind.SEAL, StepKind.LIP);
        for (Site site : Sites.all()) {
            Year year = year(at(c, site));
            Set<ProductId> first = year.stretches().getFirst().plan().products();
            year.stretches()
                    .forEach(s -> s.plan().products().stream()
                            .filter(p -> !first.contains(p))
                            .forEach(came::add));
        }
        assertThat(came)
                .isNotEmpty()
                .allSatisfy(
                        p -> assertThat(moved).contains(c.find(p).orElseThrow().kind()));
    }

    @Test
    void what_the_practice_does_not_let_the_air_move_turns_on_no_day() {
        Consultation c = at(Client.calm(), Sites.find("upper-tarn").orElseThrow());
        assertThat(levers(year(c))).contains(Lever.LIPS, Lever.SEAL);
        Consultation.House house = c.house();
        Consultation still = c.parts()
                .house(house.with(
                        outfell.consultation.Yardstick.with(java.util.Map.of("air-lips", 0.0, "air-seal", 0.0))))
                .together();
        assertThat(levers(year(still))).doesNotContain(Lever.LIPS, Lever.SEAL).isNotEmpty();
    }

    private static Set<Lever> levers(Year year) {
        return year.stretches().stream()
                .flatMap(s -> s.turned().stream().map(Stretch.TurnOfAir::lever))
                .collect(Collectors.toSet());
    }

    @ParameterizedTest
    @MethodSource("sites")
    void what_is_kept_by_hand_stays_through_the_year(Site site) {
        Consultation c = at(Client.calm(), site);
        Consultation.Choice rich = new Consultation.Choice(
                Part.EVENING, Consultations.product("cream-rich-cold").id());
        Year year = year(c.with(rich));
        assertThat(year.stretches())
                .allSatisfy(s -> assertThat(s.plan().choices()).contains(rich));
    }

    @Test
    void months_spent_outdoors_bring_the_sunscreen_again_and_those_indoors_let_it_be() {
        Consultation c = Client.calm();
        List<Double> outdoors = new ArrayList<>(Collections.nCopies(12, 0.0));
        outdoors.set(Month.JULY.getValue() - 1, 8.0);
        Year year = year(c.living(c.life().within(new Surroundings(Map.of(), outdoors))));
        assertThat(year.stretches().stream()
                        .filter(s -> s.plan().asked().sunAgain().value() > 0)
                        .map(Stretch::from))
                .isNotEmpty()
                .allSatisfy(day -> assertThat(day.getMonth()).isEqualTo(Month.JULY));
    }

    @Test
    void packs_follow_one_another_and_the_sunscreen_is_used_up_sooner_where_it_is_put_on_again() {
        Consultation c = Client.calm();
        Year year = year(c.living(c.life().outdoors(8)));
        for (Bottle bottle : year.bottles()) {
            LocalDate day = LocalDate.MIN;
            for (Bottle.BottlePack pack : bottle.packs()) {
                assertThat(pack.from()).isAfterOrEqualTo(day);
                assertThat(pack.until()).isAfter(pack.from());
                day = pack.until();
            }
            assertThat(bottle.again()).isBetween(0, bottle.bought());
            assertThat(bottle.again() > 0).as(bottle.name()).isIn(false, bottle.kind() == StepKind.SUNSCREEN);
        }
        assertThat(year.bottles().stream().filter(b -> b.again() > 0)).isNotEmpty();
        assertThat(year(c.living(c.life().outdoors(0))).bottles())
                .allSatisfy(b -> assertThat(b.again()).isZero());
    }

    @Test
    void a_visit_without_a_plan_has_no_year() {
        Consultation c = Client.calm();
        Answers none = Answers.none(c.answers().today());
        Consultation referred = c.parts()
                .answers(none.with(new Answers.Answer("mole", true, Optional.empty(), none.today())))
                .month(Month.NOVEMBER)
                .together();
        assertThat(Planner.plan(referred)).isInstanceOf(outfell.regimen.Outcome.ReferFirst.class);
        assertThat(YearAhead.of(referred, referred.answers().today(), Map.of())).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("sites")
    void any_two_parts_differ_by_what_their_plans_differ_in_each_with_the_dates_that_did_it(Site site) {
        Year year = year(at(Client.calm(), site));
        int n = year.stretches().size();
        assertThat(year.apart()).hasSize(Math.max(0, (n - 1) * (n - 2) / 2));
        for (Apart apart : year.apart()) {
            Stretch first = year.stretches().get(apart.from());
            Stretch second = year.stretches().get(apart.to());
            assertThat(apart.differences())
                    .extracting(Apart.Dated::difference)
                    .isEqualTo(Difference.between(first.plan(), second.plan()));
            assertThat(apart.differences()).allSatisfy(d -> {
                assertThat(d.since()).isNotEmpty();
                assertThat(d.since()).extracting(Apart.Since::day).isSorted();
                assertThat(d.since()).allSatisfy(s -> {
                    assertThat(s.day()).isAfter(first.from()).isBeforeOrEqualTo(second.from());
                    assertThat(s.change().because()).isNotEmpty();
                });
            });
        }
    }

    @Test
    void what_comes_and_goes_between_two_parts_is_no_difference_of_theirs() {
        Year year = year(at(Client.calm(), Sites.find("skarrow-harbour").orElseThrow()));
        assertThat(year.apart()).isNotEmpty();
        for (Apart apart : year.apart()) {
            Regimen first = year.stretches().get(apart.from()).plan();
            Regimen second = year.stretches().get(apart.to()).plan();
            assertThat(apart.differences().stream()
                            .filter(d -> d.difference().what() == Change.What.PUT_IN)
                            .flatMap(d -> d.difference().products().stream()))
                    .allSatisfy(p -> assertThat(second.products()).contains(p));
            assertThat(apart.told().stream().filter(Stretch.ToldNote::begins).map(Stretch.ToldNote::title))
                    .doesNotContainAnyElementsOf(first.sheetNotes().stream()
                            .map(SheetNotes.SheetNote::title)
                            .toList());
        }
    }
}

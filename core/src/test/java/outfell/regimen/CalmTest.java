package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.Month;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.product.ProductId;
import outfell.skin.Faces;
import outfell.skin.Sign;
import outfell.skin.SkinVerdict.BarrierState;
import outfell.week.CheckIn;
import outfell.week.Diary;
import outfell.week.Ramp;
import outfell.week.ReadFace;

/** A calm reset that the face asks for on the day of the visit: it is on, it ends, and what was in use comes back. */
class CalmTest {
    private static final LocalDate DAY = Consultations.TODAY;
    private static final String RETINOL = "retinol-serum-02";
    private static final String GLUCONOLACTONE = "gluconolactone-8";

    private static Faces face() {
        return Faces.face()
                .with(Sign.SHINE, 1, 1, 1, 1, 1)
                .with(Sign.STING, 3, 3, 3, 3, 3)
                .with(Sign.REDNESS, 2, 2, 2, 2, 2)
                .with(Sign.TIGHTNESS, 3, 3, 3, 3, 3)
                .with(Sign.FLAKING, 2, 2, 2, 2, 2)
                .with(Sign.LINES, 2, -1, 2, 2, 2);
    }

    /** Stings, is red and flakes; a retinol and an acid have been in use for months. */
    private static Consultation raw(CheckIn... checkIns) {
        return Consultations.of(
                        face().reading(),
                        "classic",
                        Month.NOVEMBER,
                        Consultations.CATALOGUE,
                        List.of(Consultations.owned(RETINOL, 30), Consultations.owned(GLUCONOLACTONE, 20)),
                        Consultations.NOTHING,
                        Life.USUAL)
                .parts()
                .diary(new Diary(
                        CheckIn.Before.UNKNOWN,
                        List.of(checkIns),
                        List.of(),
                        Optional.empty(),
                        List.of(),
                        List.of(),
                        List.of()))
                .together();
    }

    private static CheckIn calm(int day) {
        return new CheckIn(
                DAY.plusDays(day), OptionalInt.of(1), OptionalInt.of(1), OptionalInt.of(0), false, OptionalInt.empty());
    }

    private static Weeks weeks(Consultation c, int day) {
        return Planner.weeks(c, DAY.plusDays(day)).orElseThrow();
    }

    @Test
    void it_is_on_from_the_visit_and_nothing_strong_is_on_any_evening() {
        Weeks w = weeks(raw(), 0);

        assertThat(w.calm().orElseThrow().since()).isEqualTo(DAY);
        assertThat(w.calm().orElseThrow().out())
                .contains(Consultations.product(RETINOL).name());
        assertThat(w.calm().orElseThrow().ends().sentence())
                .contains("A calm reset comes first.")
                .contains("2 calm check-ins, 7 days or more apart, end it")
                .endsWith("So far none.");
        assertThat(w.evenings()).allSatisfy(e -> {
            assertThat(e.calm()).isTrue();
            assertThat(e.load()).isZero();
            assertThat(e.rest()).isPresent();
        });
        assertThat(w.byDate()).isFalse();
        assertThat(w.dueCheckIns()).startsWith(DAY.plusDays(7), DAY.plusDays(14));
    }

    @Test
    void what_is_done_meanwhile_is_the_plan_of_the_visit() {
        Consultation c = raw();
        Outcome.Planned plan = (Outcome.Planned) Planner.plan(c);
        Weeks w = weeks(c, 0);

        assertThat(w.routine(w.evenings().getFirst()).steps())
                .isEqualTo(plan.regimen().evening().steps());
    }

    @Test
    void two_calm_check_ins_end_it_and_what_was_in_use_comes_back_one_by_one_from_the_first_rung() {
        Weeks w = weeks(raw(calm(7), calm(14)), 14);

        assertThat(w.calm()).isEmpty();
        assertThat(w.byDate()).isTrue();
        assertThat(w.evenings()).noneMatch(Weeks.Evening::calm);
        List<Weeks.Track> back = w.tracks().stream().filter(t -> !t.queued()).toList();
        assertThat(back).isNotEmpty();
        for (int i = 0; i < back.size(); i++) {
            int place = i;
            Ramp.WeekOfIt first = back.get(i).weeks().stream()
                    .filter(x -> !x.from().isBefore(DAY.plusDays(14)) && x.uses() > 0)
                    .findFirst()
                    .orElseThrow(() -> new AssertionError("%d does not come back".formatted(place)));
            assertThat(first.from()).isEqualTo(DAY.plusDays(14).plusWeeks(2L * i));
            assertThat(first.led()).isZero();
            assertThat(first.uses()).isEqualTo(1);
            Weeks.Evening used = w.evenings().stream()
                    .filter(e -> e.products().contains(back.get(place).product()))
                    .findFirst()
                    .orElseThrow();
            assertThat(w.routine(used).steps())
                    .anyMatch(x -> x.product().equals(back.get(place).product()));
        }
    }

    @Test
    void nothing_that_she_has_not_begins_after_it_before_the_face_is_read_anew() {
        Consultation c = raw(calm(7), calm(14));
        Outcome.Planned plan = (Outcome.Planned) Planner.plan(c);
        Set<ProductId> has = c.shelf().stream().map(o -> o.product().id()).collect(Collectors.toSet());
        has.addAll(plan.regimen().products());

        assertThat(weeks(c, 20).evenings()).allSatisfy(e -> assertThat(has).containsAll(e.products()));
        assertThat(weeks(c, 20).tracks()).allSatisfy(t -> assertThat(has).contains(t.product()));
    }

    @Test
    void a_face_that_is_worse_a_week_later_is_for_a_doctor() {
        CheckIn worse = new CheckIn(
                DAY.plusDays(7), OptionalInt.of(4), OptionalInt.of(2), OptionalInt.of(2), false, OptionalInt.empty());

        Weeks.Calm calm = weeks(raw(worse), 7).calm().orElseThrow();

        assertThat(calm.since()).isEqualTo(DAY);
        assertThat(calm.doctor().orElseThrow().sentence()).startsWith("Worse on 2 December");
        assertThat(weeks(raw(calm(7)), 7).calm().orElseThrow().doctor()).isEmpty();
    }

    /** Looks sound on the day, after other visits. */
    private static Consultation soundAgain(ReadFace... earlier) {
        Diary diary = Diary.NONE;
        for (ReadFace f : earlier) {
            diary = diary.with(f);
        }
        return Consultations.of(
                        sound().reading(),
                        "classic",
                        Month.NOVEMBER,
                        Consultations.CATALOGUE,
                        List.of(Consultations.owned(RETINOL, 33), Consultations.owned(GLUCONOLACTONE, 23)),
                        Consultations.NOTHING,
                        Life.USUAL)
                .parts()
                .diary(diary)
                .together();
    }

    private static Faces sound() {
        return Faces.face()
                .with(Sign.SHINE, 1, 1, 1, 1, 1)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .with(Sign.REDNESS, 1, 1, 1, 1, 1)
                .with(Sign.TIGHTNESS, 0, 0, 0, 0, 0)
                .with(Sign.FLAKING, 0, 0, 0, 0, 0)
                .with(Sign.LINES, 3, -1, 3, 3, 3);
    }

    private static ReadFace raw(int daysAgo) {
        return ReadFace.of(
                DAY.minusDays(daysAgo), face().reading(), face().verdict().barrier());
    }

    @Test
    void a_face_that_looks_sound_within_the_days_of_a_reset_is_a_calm_look_and_no_end() {
        Weeks w = weeks(soundAgain(raw(10)), 0);

        assertThat(w.calm().orElseThrow().since()).isEqualTo(DAY.minusDays(10));
        assertThat(w.calm().orElseThrow().ends().sentence())
                .startsWith("15 November: ")
                .endsWith("So far 1.");
        assertThat(w.evenings()).allMatch(Weeks.Evening::calm);
    }

    @Test
    void one_that_looks_sound_after_them_ends_it_and_what_was_in_use_for_months_begins_again_at_one_night() {
        Consultation c = soundAgain(raw(28));
        Weeks w = weeks(c, 0);

        assertThat(w.calm()).isEmpty();
        assertThat(w.tracks().getFirst().product().value()).isEqualTo(RETINOL);
        Ramp.WeekOfIt now = w.tracks().getFirst().weeks().stream()
                .filter(x -> x.from().equals(w.from()))
                .findFirst()
                .orElseThrow();
        assertThat(now.led()).isZero();
        assertThat(now.uses()).isEqualTo(1);
        assertThat(weeks(soundAgain(), 0).tracks().getFirst().weeks())
                .anyMatch(x -> x.from().equals(DAY) && x.uses() > 1);
    }

    @Test
    void a_calm_answer_on_the_day_of_a_sound_face_hinders_nothing_and_another_one_does() {
        assertThat(weeks(told(soundAgain(raw(28)), calm(0)), 0).calm()).isEmpty();
        CheckIn stings =
                new CheckIn(DAY, OptionalInt.of(2), OptionalInt.of(1), OptionalInt.of(0), false, OptionalInt.empty());
        assertThat(weeks(told(soundAgain(raw(28)), stings), 0).calm()).isPresent();
    }

    @Test
    void what_is_told_on_the_day_on_which_it_began_is_not_worse_than_its_beginning() {
        CheckIn stings =
                new CheckIn(DAY, OptionalInt.of(4), OptionalInt.of(2), OptionalInt.of(0), false, OptionalInt.empty());

        assertThat(weeks(raw(stings), 0).calm().orElseThrow().doctor()).isEmpty();
    }

    private static Consultation told(Consultation c, CheckIn checkIn) {
        Diary was = c.diary();
        return c.parts()
                .diary(new Diary(
                        was.before(),
                        List.of(checkIn),
                        was.pauses(),
                        was.rhythm(),
                        was.evenings(),
                        was.courses(),
                        was.byHand(),
                        was.faces()))
                .together();
    }

    @Test
    void one_that_is_still_weak_keeps_what_is_strong_off_and_is_planned_for_as_it_is() {
        Faces strained = sound().with(Sign.TIGHTNESS, 3, 3, 3, 3, 3).with(Sign.FLAKING, 2, 2, 2, 2, 2);
        Consultation c = soundAgain(raw(28)).parts().reading(strained.reading()).together();

        assertThat(((Outcome.Planned) Planner.plan(c)).skin().barrier().state()).isEqualTo(BarrierState.STRAINED);
        assertThat(weeks(c, 0).calm().orElseThrow().ends().sentence()).endsWith("So far none.");
        assertThat(weeks(c, 0).evenings()).allMatch(e -> e.load() == 0);
    }

    @Test
    void a_face_that_nobody_has_looked_at_whole_ends_nothing() {
        ReadFace part = new ReadFace(
                DAY.minusDays(3), OptionalInt.of(0), OptionalInt.empty(), OptionalInt.of(0), true, Optional.empty());

        assertThat(weeks(soundAgain(raw(10), part), 0)
                        .calm()
                        .orElseThrow()
                        .ends()
                        .sentence())
                .endsWith("So far 1.");
    }
}

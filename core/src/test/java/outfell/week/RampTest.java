package outfell.week;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import outfell.knowledge.Because;
import outfell.regimen.Consultations;
import outfell.week.CheckIn.Says;
import outfell.week.Ramp.Standing;

/** How things are led up to by date, and what check-ins, pauses and resets do to that. */
class RampTest {
    private static final LocalDate MONDAY = LocalDate.of(2026, 11, 30);
    private static final Because WHY = Because.house("why");
    private static final List<Integer> RUNGS = List.of(1, 1, 2, 2, 3, 3, 4, 4, 5, 5, 6, 6);

    private static Ramp.Thing retinol(int back) {
        return new Ramp.Thing(
                Consultations.product("retinol-serum-02"),
                MONDAY,
                led -> RUNGS.get(Math.min(led, RUNGS.size() - 1)),
                Optional.empty(),
                back,
                WHY);
    }

    private static CheckIn checkIn(LocalDate on, int sting, int redness, int flaking, int skipped) {
        return new CheckIn(
                on,
                OptionalInt.of(sting),
                OptionalInt.of(redness),
                OptionalInt.of(flaking),
                false,
                OptionalInt.of(skipped));
    }

    private static Diary diary(List<CheckIn> checkIns, Pause... pauses) {
        return new Diary(
                CheckIn.Before.UNKNOWN, checkIns, List.of(pauses), Optional.empty(), List.of(), List.of(), List.of());
    }

    private static List<Integer> uses(Diary diary, int weeks) {
        return Ramp.of(retinol(0), diary, MONDAY, weeks).stream()
                .map(Ramp.WeekOfIt::uses)
                .toList();
    }

    private static List<Standing> standing(Diary diary, int weeks) {
        return Ramp.of(retinol(0), diary, MONDAY, weeks).stream()
                .map(Ramp.WeekOfIt::standing)
                .toList();
    }

    @Test
    void a_ramp_that_nothing_happens_to_climbs_rung_by_rung() {
        assertThat(uses(Diary.NONE, 12)).isEqualTo(RUNGS);
        assertThat(standing(Diary.NONE, 12).getLast()).isEqualTo(Standing.SETTLED);
        assertThat(Ramp.led(retinol(0), Diary.NONE, MONDAY.plusWeeks(7))).isEqualTo(7);
    }

    @Test
    void a_step_back_halves_the_nights_for_two_weeks_and_the_ramp_goes_on_where_it_was() {
        Diary stung = diary(List.of(checkIn(MONDAY.plusWeeks(6), 2, 0, 0, 0)));

        assertThat(uses(stung, 10)).containsExactly(1, 1, 2, 2, 3, 3, 2, 2, 4, 4);
        assertThat(standing(stung, 10).subList(6, 9))
                .containsExactly(Standing.HALVED, Standing.HALVED, Standing.LED_UP);
    }

    @Test
    void half_of_one_night_a_week_is_one_night_in_two_weeks() {
        Diary stung = diary(List.of(checkIn(MONDAY.plusWeeks(1), 2, 0, 0, 0)));

        assertThat(uses(stung, 4)).containsExactly(1, 0, 1, 1);
    }

    @Test
    void redness_that_was_there_before_is_no_rise() {
        Diary red = new Diary(
                new CheckIn.Before(OptionalInt.of(2), OptionalInt.of(0)),
                List.of(checkIn(MONDAY.plusWeeks(2), 0, 2, 0, 0)),
                List.of(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of());

        assertThat(red.read(MONDAY.plusWeeks(2)).getFirst().says()).isEqualTo(Says.CALM);
        assertThat(diary(red.checkIns()).read(MONDAY.plusWeeks(2)).getFirst().says())
                .isEqualTo(Says.STEP_BACK);
    }

    @Test
    void a_reset_ends_by_two_calm_check_ins_and_by_no_date() {
        LocalDate stung = MONDAY.plusWeeks(2);
        Diary once = diary(List.of(checkIn(stung, 3, 0, 0, 0), checkIn(stung.plusWeeks(2), 0, 1, 1, 0)));
        Diary twice = diary(List.of(
                checkIn(stung, 3, 0, 0, 0),
                checkIn(stung.plusWeeks(2), 0, 1, 1, 0),
                checkIn(stung.plusWeeks(4), 1, 1, 0, 0)));
        Diary broken = diary(List.of(
                checkIn(stung, 3, 0, 0, 0),
                checkIn(stung.plusWeeks(2), 0, 1, 1, 0),
                checkIn(stung.plusWeeks(3), 2, 1, 0, 0),
                checkIn(stung.plusWeeks(4), 1, 1, 0, 0)));

        assertThat(once.reset(stung.plusWeeks(40))).isPresent();
        assertThat(twice.reset(stung.plusWeeks(4))).isEmpty();
        assertThat(twice.calming(stung.plusWeeks(4)).ended()).contains(stung.plusWeeks(4));
        assertThat(twice.calming(stung.plusWeeks(3)).ended()).isEmpty();
        assertThat(broken.reset(stung.plusWeeks(4))).isPresent();
        assertThat(uses(twice, 8)).containsExactly(1, 1, 0, 0, 0, 0, 1, 1);
    }

    @Test
    void a_reset_lasts_two_weeks_at_least_and_its_calm_check_ins_are_a_week_apart() {
        LocalDate stung = MONDAY.plusWeeks(2);
        Diary soon = diary(List.of(
                checkIn(stung, 3, 0, 0, 0),
                checkIn(stung.plusDays(2), 0, 0, 0, 0),
                checkIn(stung.plusDays(9), 0, 0, 0, 0)));
        Diary near = diary(List.of(
                checkIn(stung, 3, 0, 0, 0),
                checkIn(stung.plusDays(14), 0, 0, 0, 0),
                checkIn(stung.plusDays(16), 0, 0, 0, 0)));

        assertThat(soon.reset(stung.plusDays(13))).isPresent();
        assertThat(soon.calming(stung.plusDays(13)).calm()).isEqualTo(2);
        assertThat(soon.calming(stung.plusDays(20)).ended()).contains(stung.plusDays(14));
        assertThat(near.reset(stung.plusDays(30))).isPresent();
        assertThat(near.calming(stung.plusDays(30)).calm()).isEqualTo(1);
    }

    @Test
    void what_gets_worse_in_a_reset_or_no_better_in_two_weeks_is_for_a_doctor() {
        LocalDate stung = MONDAY.plusWeeks(2);
        assertThat(doctor(stung, checkIn(stung.plusDays(7), 4, 0, 0, 0))).contains("Worse on 21 December");
        assertThat(doctor(stung, checkIn(stung.plusDays(7), 3, 0, 0, 0))).isEmpty();
        assertThat(doctor(stung, checkIn(stung.plusDays(14), 3, 0, 0, 0))).contains("No better on 28 December");
        assertThat(doctor(stung, checkIn(stung.plusDays(14), 2, 0, 0, 0))).isEmpty();
        assertThat(doctor(stung, checkIn(stung.plusDays(14), 2, 2, 0, 0))).contains("Worse on 28 December");
    }

    private static String doctor(LocalDate stung, CheckIn later) {
        return diary(List.of(checkIn(stung, 3, 0, 0, 0), later))
                .calming(later.on())
                .doctor()
                .map(Because::sentence)
                .orElse("");
    }

    @Test
    void a_swelling_holds_until_a_doctor_has_looked_however_calm_the_skin_is() {
        LocalDate swollen = MONDAY.plusWeeks(2);
        Diary nobody = diary(List.of(
                swelling(swollen, Optional.empty()),
                checkIn(swollen.plusWeeks(1), 3, 0, 0, 0),
                checkIn(swollen.plusWeeks(2), 0, 0, 0, 0),
                checkIn(swollen.plusWeeks(3), 0, 0, 0, 0)));
        Diary late = seenOn(nobody, swollen.plusWeeks(5));
        Diary early = seenOn(nobody, swollen.plusDays(1));

        assertThat(nobody.reset(swollen.plusWeeks(40))).isPresent();
        assertThat(nobody.calming(swollen.plusWeeks(40)).unseen()).hasSize(1);
        assertThat(late.reset(swollen.plusWeeks(5).minusDays(1))).isPresent();
        assertThat(late.calming(swollen.plusWeeks(5)).ended()).contains(swollen.plusWeeks(5));
        assertThat(early.reset(swollen.plusWeeks(3).minusDays(1))).isPresent();
        assertThat(early.calming(swollen.plusWeeks(3)).ended()).contains(swollen.plusWeeks(3));
        assertThat(nobody.read(swollen).getFirst().because().sentence()).contains("emergency help at once");
        assertThat(late.read(swollen).getFirst().because().sentence()).endsWith("a doctor: a contact reaction");
    }

    @Test
    void what_was_not_there_was_not_looked_at() {
        assertThatThrownBy(() -> new CheckIn(
                        MONDAY,
                        OptionalInt.empty(),
                        OptionalInt.empty(),
                        OptionalInt.empty(),
                        false,
                        OptionalInt.empty(),
                        Optional.of(new CheckIn.Seen(MONDAY, "a doctor", "nothing"))))
                .hasMessage("There was no swelling to be looked at.");
        assertThatThrownBy(() -> swelling(MONDAY, Optional.of(MONDAY.minusDays(1))))
                .hasMessage("It cannot have been looked at before it was there.");
        assertThatThrownBy(() -> new CheckIn.Seen(MONDAY, "a doctor", " "))
                .hasMessage("Say who looked at it and what they said.");
    }

    private static Diary seenOn(Diary diary, LocalDate day) {
        return diary(diary.checkIns().stream()
                .map(c -> c.swelling() ? swelling(c.on(), Optional.of(day)) : c)
                .toList());
    }

    private static CheckIn swelling(LocalDate on, Optional<LocalDate> seen) {
        return new CheckIn(
                on,
                OptionalInt.of(0),
                OptionalInt.of(0),
                OptionalInt.of(0),
                true,
                OptionalInt.empty(),
                seen.map(day -> new CheckIn.Seen(day, "a doctor", "a contact reaction")));
    }

    @Test
    void after_a_reset_things_come_back_one_by_one() {
        LocalDate stung = MONDAY.plusWeeks(2);
        Diary calm = diary(List.of(
                checkIn(stung, 4, 0, 0, 0),
                checkIn(stung.plusWeeks(1), 0, 0, 0, 0),
                checkIn(stung.plusWeeks(2), 0, 0, 0, 0)));

        List<Ramp.WeekOfIt> second = Ramp.of(retinol(2), calm, MONDAY, 8);

        assertThat(second.stream().map(Ramp.WeekOfIt::standing))
                .containsExactly(
                        Standing.LED_UP,
                        Standing.LED_UP,
                        Standing.RESET,
                        Standing.RESET,
                        Standing.WAITS,
                        Standing.WAITS,
                        Standing.LED_UP,
                        Standing.LED_UP);
        assertThat(second.get(6).led()).isZero();
    }

    @Test
    void what_was_not_asked_is_not_calm() {
        CheckIn half = new CheckIn(
                MONDAY.plusWeeks(2),
                OptionalInt.of(0),
                OptionalInt.empty(),
                OptionalInt.of(0),
                false,
                OptionalInt.empty());

        assertThat(half.says(CheckIn.Before.UNKNOWN)).isEqualTo(Says.NOT_TOLD);
        assertThat(uses(diary(List.of(half)), 5)).containsExactly(1, 1, 2, 2, 2);
        assertThat(standing(diary(List.of(half)), 5).get(2)).isEqualTo(Standing.HELD);
    }

    @Test
    void swelling_is_for_a_doctor_whatever_else_is_said() {
        CheckIn swollen =
                new CheckIn(MONDAY, OptionalInt.of(0), OptionalInt.of(0), OptionalInt.of(0), true, OptionalInt.empty());

        assertThat(swollen.says(CheckIn.Before.UNKNOWN)).isEqualTo(Says.REFER);
        assertThat(diary(List.of(swollen)).reset(MONDAY)).isPresent();
    }

    @Test
    void a_week_with_too_many_nights_left_out_does_not_count() {
        Diary left = diary(List.of(checkIn(MONDAY.plusWeeks(4), 0, 0, 0, 2)));

        assertThat(uses(left, 7)).containsExactly(1, 1, 2, 2, 2, 3, 3);
    }

    @Test
    void a_ramp_interrupted_twice_goes_on_from_where_it_was_each_time() {
        Pause waxing = new Pause(
                Pause.kind("rest").orElseThrow(),
                MONDAY.plusWeeks(2),
                MONDAY.plusWeeks(2).plusDays(6));
        Pause again = new Pause(
                Pause.kind("rest").orElseThrow(),
                MONDAY.plusWeeks(5),
                MONDAY.plusWeeks(5).plusDays(6));

        Diary diary = diary(List.of(), waxing, again);

        assertThat(uses(diary, 8)).containsExactly(1, 1, 0, 2, 2, 0, 3, 3);
        assertThat(standing(diary, 8).get(2)).isEqualTo(Standing.PAUSED);
    }

    @Test
    void a_fortnight_off_takes_the_ramp_back_by_two_weeks() {
        Pause burnt = new Pause(
                Pause.kind("sunburn").orElseThrow(),
                MONDAY.plusWeeks(4),
                MONDAY.plusWeeks(5).minusDays(1));

        assertThat(uses(diary(List.of(), burnt), 9)).containsExactly(1, 1, 2, 2, 0, 0, 2, 2, 3);
    }

    @Test
    void a_course_ends_and_one_in_turns_comes_again() {
        Course once =
                new Course(retinol(0).product().id(), Course.kind("thirty_days").orElseThrow(), MONDAY);
        Course turns =
                new Course(retinol(0).product().id(), Course.kind("six_weeks").orElseThrow(), MONDAY);

        assertThat(once.isOn(MONDAY.minusDays(1))).isFalse();
        assertThat(once.isOn(MONDAY.plusDays(29))).isTrue();
        assertThat(once.isOn(MONDAY.plusDays(30))).isFalse();
        assertThat(once.last(MONDAY)).isEqualTo(LocalDate.of(2026, 12, 29));
        assertThat(turns.isOn(MONDAY.plusDays(42))).isFalse();
        assertThat(turns.isOn(MONDAY.plusDays(84))).isTrue();
        assertThat(turns.because(MONDAY.plusDays(50)).sentence()).endsWith("off until 21 February.");

        Diary diary = new Diary(
                CheckIn.Before.UNKNOWN, List.of(), List.of(), Optional.empty(), List.of(), List.of(once), List.of());
        assertThat(standing(diary, 6)).endsWith(Standing.LED_UP, Standing.OFF_COURSE);
    }

    @Test
    void her_days_keep_strong_things_off_and_a_day_that_matters_the_nights_before_it_too() {
        LocalDate wedding = MONDAY.plusDays(10);
        HerEvening event =
                new HerEvening(HerEvening.kind("event").orElseThrow(), Optional.empty(), Optional.of(wedding));

        assertThat(event.keepsOff(retinol(0).product(), wedding)).isTrue();
        assertThat(event.keepsOff(retinol(0).product(), wedding.minusDays(3))).isTrue();
        assertThat(event.keepsOff(retinol(0).product(), wedding.minusDays(4))).isFalse();
        assertThat(event.keepsOff(Consultations.product("serum-humectant"), wedding))
                .isFalse();
    }

    @Test
    void nights_come_round_over_sunday_and_over_a_leap_day() {
        Rhythm third = new Rhythm(3, LocalDate.of(2028, 2, 26));

        assertThat(LocalDate.of(2028, 2, 26)
                        .datesUntil(LocalDate.of(2028, 3, 31))
                        .filter(d -> third.night(d, 3) == 0)
                        .map(LocalDate::toEpochDay)
                        .toList())
                .hasSize(12)
                .allSatisfy(d -> assertThat((d - LocalDate.of(2028, 2, 26).toEpochDay()) % 3)
                        .isZero());
        assertThat(third.night(LocalDate.of(2028, 2, 29), 3)).isZero();
        assertThatThrownBy(() -> new Rhythm(8, MONDAY)).hasMessageContaining("not after 8");
    }
}

package outfell.routine;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.util.List;
import org.junit.jupiter.api.Test;
import outfell.product.StepKind;
import outfell.routine.Routine.Doing;
import outfell.routine.Routine.Segment;

class ScheduleTest {
    @Test
    void eyes_and_lips_that_follow_a_retinoid_are_done_while_it_settles() {
        Schedule schedule = Schedule.of(List.of(
                step(1, StepKind.WASH, 60, 0),
                step(2, StepKind.TREATMENT, 35, 600),
                step(3, StepKind.EYE, 30, 0),
                step(4, StepKind.LIP, 10, 0),
                step(5, StepKind.MOISTURISER, 40, 0)));
        assertThat(schedule.seconds()).isEqualTo(60 + 35 + 600 + 40);
        assertThat(schedule.saved()).isEqualTo(40);
        assertThat(schedule.filled()).isEqualTo("3 and 4 while 2 settles");
        assertThat(schedule.segments())
                .containsExactly(
                        new Segment(1, Doing.HANDS_ON, 60),
                        new Segment(2, Doing.HANDS_ON, 35),
                        new Segment(3, Doing.IN_A_WAIT, 30),
                        new Segment(4, Doing.IN_A_WAIT, 10),
                        new Segment(2, Doing.WAITING, 560),
                        new Segment(5, Doing.HANDS_ON, 40));
    }

    @Test
    void the_clock_tells_the_order_of_the_list() {
        Schedule schedule = Schedule.of(List.of(
                step(1, StepKind.EYE, 30, 0),
                step(2, StepKind.TREATMENT, 35, 600),
                step(3, StepKind.MOISTURISER, 40, 0),
                step(4, StepKind.LIP, 10, 0)));
        assertThat(schedule.segments())
                .extracting(Segment::step)
                .as("eyes stand before what settles, lips after it")
                .containsExactly(1, 2, 2, 3, 4);
        assertThat(schedule.saved()).isZero();
    }

    @Test
    void a_wait_too_short_for_both_saves_what_it_lasts() {
        Schedule schedule = Schedule.of(List.of(
                step(1, StepKind.SERUM, 30, 30),
                step(2, StepKind.EYE, 30, 0),
                step(3, StepKind.LIP, 10, 0),
                step(4, StepKind.MOISTURISER, 40, 0)));
        assertThat(schedule.seconds()).isEqualTo(30 + 30 + 40 + 10);
        assertThat(schedule.saved()).isEqualTo(30);
        Schedule shorter = Schedule.of(List.of(
                step(1, StepKind.SERUM, 30, 20), step(2, StepKind.EYE, 30, 0), step(3, StepKind.MOISTURISER, 40, 0)));
        assertThat(shorter.seconds()).isEqualTo(30 + 30 + 40);
        assertThat(shorter.saved()).isEqualTo(20);
    }

    @Test
    void the_last_wait_is_not_waited_for_and_nothing_is_saved_where_nothing_settles() {
        Schedule schedule = Schedule.of(
                List.of(step(1, StepKind.WASH, 60, 0), step(2, StepKind.EYE, 30, 0), step(3, StepKind.SERUM, 30, 30)));
        assertThat(schedule.seconds()).isEqualTo(120);
        assertThat(schedule.saved()).isZero();
        assertThat(schedule.filled()).isEmpty();
    }

    @Test
    void no_seconds_are_lost_or_made_up() {
        Schedule schedule = Schedule.of(List.of(
                step(1, StepKind.SERUM, 30, 120),
                step(2, StepKind.EYE, 30, 0),
                step(3, StepKind.MOISTURISER, 40, 120),
                step(4, StepKind.SUNSCREEN, 50, 0)));
        assertThat(schedule.segments().stream().mapToInt(Segment::seconds).sum())
                .isEqualTo(schedule.seconds());
        assertThat(Schedule.of(List.of()).seconds()).isZero();
    }

    private static Schedule.Task step(int number, StepKind kind, int handsOn, int settle) {
        return new Schedule.Task(number, kind, handsOn, 0, settle, List.of(DayOfWeek.values()), true, false);
    }
}

package outfell.routine;

import java.time.DayOfWeek;
import java.util.List;

/**
 * One morning or evening.
 *
 * @param steps in order
 * @param timeline of the longest day of the week
 */
public record Routine(Part part, List<Step> steps, Timeline timeline) {
    /**
     * @param day drawn
     * @param segments in order
     * @param minutes elapsed, to one decimal
     * @param handsOnMinutes of them with hands on
     * @param shortestMinutes on the shortest day of the week
     * @param limitMinutes what the client truly has
     * @param savedSeconds by what is done in a wait
     * @param filled which steps are done in which wait, in words; empty for none
     */
    public record Timeline(
            DayOfWeek day,
            List<Segment> segments,
            double minutes,
            double handsOnMinutes,
            double shortestMinutes,
            int limitMinutes,
            int savedSeconds,
            String filled) {}

    /** @param step number of the step; hands on, left on, or waiting */
    public record Segment(int step, Doing doing, int seconds) {}

    /** What the time goes into. */
    public enum Doing {
        HANDS_ON,
        LEFT_ON,
        WAITING,
        /** Hands on, on another area while something settles. */
        IN_A_WAIT
    }

    public static Routine of(Part part, List<Step> steps, int limitMinutes) {
        DayOfWeek longest = DayOfWeek.MONDAY;
        int most = -1;
        int least = Integer.MAX_VALUE;
        for (DayOfWeek day : DayOfWeek.values()) {
            int seconds = Schedule.of(on(steps, day)).seconds();
            if (seconds > most) {
                longest = day;
                most = seconds;
            }
            least = Math.min(least, seconds);
        }
        List<Step> drawn = on(steps, longest);
        Schedule schedule = Schedule.of(drawn);
        int handsOn = drawn.stream().mapToInt(Step::handsOn).sum();
        return new Routine(
                part,
                List.copyOf(steps),
                new Timeline(
                        longest,
                        schedule.segments(),
                        minutes(most),
                        minutes(handsOn),
                        minutes(least),
                        limitMinutes,
                        schedule.saved(),
                        schedule.filled()));
    }

    private static List<Step> on(List<Step> steps, DayOfWeek day) {
        return steps.stream().filter(s -> s.nights().contains(day)).toList();
    }

    private static double minutes(int seconds) {
        return Math.round(seconds / 6.0) / 10.0;
    }
}

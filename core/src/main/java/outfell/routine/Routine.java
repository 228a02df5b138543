package outfell.routine;

import java.time.DayOfWeek;
import java.util.ArrayList;
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
     */
    public record Timeline(
            DayOfWeek day,
            List<Segment> segments,
            double minutes,
            double handsOnMinutes,
            double shortestMinutes,
            int limitMinutes) {}

    /** @param step number of the step; hands on, left on, or waiting */
    public record Segment(int step, Doing doing, int seconds) {}

    /** What the time goes into. */
    public enum Doing {
        HANDS_ON,
        LEFT_ON,
        WAITING
    }

    public static Routine of(Part part, List<Step> steps, int limitMinutes) {
        DayOfWeek longest = DayOfWeek.MONDAY;
        int most = -1;
        int least = Integer.MAX_VALUE;
        for (DayOfWeek day : DayOfWeek.values()) {
            int seconds = seconds(on(steps, day));
            if (seconds > most) {
                longest = day;
                most = seconds;
            }
            least = Math.min(least, seconds);
        }
        List<Step> drawn = on(steps, longest);
        int handsOn = drawn.stream().mapToInt(Step::handsOn).sum();
        return new Routine(
                part,
                List.copyOf(steps),
                new Timeline(longest, segments(drawn), minutes(most), minutes(handsOn), minutes(least), limitMinutes));
    }

    private static List<Step> on(List<Step> steps, DayOfWeek day) {
        return steps.stream().filter(s -> s.nights().contains(day)).toList();
    }

    /** The last step's wait is not waited for. */
    private static int seconds(List<Step> steps) {
        int sum = steps.stream().mapToInt(Step::seconds).sum();
        return steps.isEmpty() ? 0 : sum - steps.getLast().settle();
    }

    private static List<Segment> segments(List<Step> steps) {
        List<Segment> all = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            Step s = steps.get(i);
            all.add(new Segment(s.number(), Doing.HANDS_ON, s.handsOn()));
            if (s.contact() > 0) {
                all.add(new Segment(s.number(), Doing.LEFT_ON, s.contact()));
            }
            if (s.settle() > 0 && i < steps.size() - 1) {
                all.add(new Segment(s.number(), Doing.WAITING, s.settle()));
            }
        }
        return List.copyOf(all);
    }

    private static double minutes(int seconds) {
        return Math.round(seconds / 6.0) / 10.0;
    }
}

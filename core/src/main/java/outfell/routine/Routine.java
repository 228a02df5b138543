package outfell.routine;

import java.time.DayOfWeek;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

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
        IN_A_WAIT,
        /** Hands on, without a product. */
        ALONE
    }

    public static Routine of(Part part, List<Step> steps, int limitMinutes) {
        return new Routine(part, List.copyOf(steps), timeline(Schedule.tasks(timed(steps)), limitMinutes));
    }

    /** The same on one day, on which only these of its steps are done; they keep their numbers. */
    public Routine doing(List<Step> done) {
        return new Routine(
                part,
                List.copyOf(done),
                timeline(
                        Schedule.tasks(timed(done).stream()
                                .map(Schedule.Timed::everyDay)
                                .toList()),
                        timeline.limitMinutes()));
    }

    /** Elapsed minutes, to one decimal, of an evening or morning on which only these of the steps are done. */
    public static double minutes(List<Step> done) {
        return minutes(Schedule.of(Schedule.tasks(
                        timed(done).stream().map(Schedule.Timed::everyDay).toList()))
                .seconds());
    }

    private static List<Schedule.Timed> timed(List<Step> steps) {
        return steps.stream().map(Schedule.Timed::of).toList();
    }

    static Timeline timeline(List<Schedule.Task> tasks, int limitMinutes) {
        DayOfWeek longest = DayOfWeek.MONDAY;
        int most = -1;
        int least = Integer.MAX_VALUE;
        Map<List<Schedule.Task>, Integer> known = new HashMap<>();
        for (DayOfWeek day : DayOfWeek.values()) {
            int seconds = known.computeIfAbsent(
                    on(tasks, day), today -> Schedule.of(today).seconds());
            if (seconds > most) {
                longest = day;
                most = seconds;
            }
            least = Math.min(
                    least,
                    known.computeIfAbsent(
                            on(tasks, day).stream().filter(Schedule.Task::sure).toList(),
                            sure -> Schedule.of(sure).seconds()));
        }
        List<Schedule.Task> drawn = on(tasks, longest);
        Schedule schedule = Schedule.of(drawn);
        return new Timeline(
                longest,
                schedule.segments(),
                minutes(most),
                minutes(drawn.stream()
                        .filter(t -> !t.kind().besideTheCare())
                        .mapToInt(Schedule.Task::handsOn)
                        .sum()),
                minutes(least),
                limitMinutes,
                schedule.saved(),
                schedule.filled());
    }

    private static List<Schedule.Task> on(List<Schedule.Task> tasks, DayOfWeek day) {
        return tasks.stream().filter(t -> t.nights().contains(day)).toList();
    }

    private static double minutes(int seconds) {
        return Math.round(seconds / 6.0) / 10.0;
    }
}

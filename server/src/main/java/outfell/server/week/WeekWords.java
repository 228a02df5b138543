package outfell.server.week;

import java.util.List;
import outfell.routine.Condition;
import outfell.week.Course;
import outfell.week.HerEvening;
import outfell.week.Pause;

/** Kinds of pause, of evenings of the client's own, of course, and of what a step may wait for, as shown. */
public record WeekWords(
        List<Pause.KindOfPause> pauses,
        List<Pause.KindOfPause> evenings,
        List<Course.KindOfCourse> courses,
        List<Condition.KindOfCondition> conditions) {
    public static WeekWords all() {
        return new WeekWords(Pause.kinds(), HerEvening.kinds(), Course.kinds(), Condition.kinds());
    }
}

package outfell.server.week;

import java.util.List;
import outfell.routine.Alone;
import outfell.routine.Condition;
import outfell.week.Course;
import outfell.week.HerEvening;
import outfell.week.Pause;

/** Kinds of pause, of evenings of the client's own, of course, of what a step may wait for, and steps without a product, as shown. */
public record WeekWords(
        List<Pause.KindOfPause> pauses,
        List<Pause.KindOfPause> evenings,
        List<Course.KindOfCourse> courses,
        List<Condition.KindOfCondition> conditions,
        List<AloneWord> alone) {
    /** A step without a product, as it is chosen. */
    public record AloneWord(String id, String label) {}

    public static WeekWords all() {
        return new WeekWords(
                Pause.kinds(),
                HerEvening.kinds(),
                Course.kinds(),
                Condition.kinds(),
                Alone.all().stream().map(a -> new AloneWord(a.id(), a.label())).toList());
    }
}

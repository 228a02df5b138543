package outfell.server.week;

import java.util.List;
import outfell.week.Course;
import outfell.week.HerEvening;
import outfell.week.Pause;

/** Kinds of pause, of evenings of the client's own, and of course, as shown. */
public record WeekWords(
        List<Pause.KindOfPause> pauses, List<Pause.KindOfPause> evenings, List<Course.KindOfCourse> courses) {
    public static WeekWords all() {
        return new WeekWords(Pause.kinds(), HerEvening.kinds(), Course.kinds());
    }
}

package outfell.server.visit;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import outfell.knowledge.Because;
import outfell.regimen.HerSun;
import outfell.sun.Film;
import outfell.sun.SunOfDay;

/**
 * The sun of a client's day, as it is shown.
 *
 * @param word what to do
 * @param anHour standard erythemal doses in an hour of midday sun
 * @param day the same over the hours outdoors, as if all were midday
 * @param minutesToRedden of unprotected midday sun; absent while the phototype is not known
 * @param dose grams of a coat on face and neck
 * @param share percent of the film on the face that is the sunscreen: less than 100 where it is mixed into a cream
 * @param tested what is left of the number at the film that it is measured at
 * @param truly at the film that people put on
 * @param coats times at which the sunscreen is put on
 * @param raised what asks for more care than the index alone
 * @param cautions what is always told with it
 */
public record SunView(
        Because word,
        double anHour,
        double day,
        @Schema(types = {"number", "null"}) @Nullable Double minutesToRedden,
        double dose,
        int share,
        List<Film.KeptFilm> tested,
        List<Film.KeptFilm> truly,
        List<LocalTime> coats,
        List<Because> raised,
        List<Because> cautions) {
    static SunView of(HerSun her) {
        SunOfDay sun = her.sun();
        return new SunView(
                sun.word(),
                sun.anHour(),
                sun.day(),
                sun.minutesToRedden().isPresent() ? sun.minutesToRedden().getAsDouble() : null,
                her.dose(),
                (int) Math.round(100 * her.share()),
                sun.tested(),
                sun.truly(),
                sun.coats(),
                her.raised(),
                her.cautions());
    }
}

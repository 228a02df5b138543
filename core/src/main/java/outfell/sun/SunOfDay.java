package outfell.sun;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/**
 * The sun of one day for somebody who is out in it: one word at the chair, and the arithmetic behind it. It tells no time that may be
 * spent outdoors.
 *
 * @param word what to do
 * @param anHour standard erythemal doses in an hour of midday sun (100 J/m² each)
 * @param day the same over the hours outdoors, as if all of them were midday: more than it will be
 * @param minutesToRedden of unprotected midday sun, by the middle figure of the phototype; absent while that is not
 *     known, and where it would be long
 * @param tested what is left of the number at the film that it is measured at, by what of that film is the sunscreen
 * @param truly the same at the film that people put on; empty where there is no sunscreen
 * @param coats times at which the sunscreen is put on
 */
public record SunOfDay(
        Because word,
        double anHour,
        double day,
        OptionalDouble minutesToRedden,
        List<Film.KeptFilm> tested,
        List<Film.KeptFilm> truly,
        List<LocalTime> coats) {
    private record Word(String id, double fromUv, Because because) {}

    private static final Row FILE = KnowledgeFile.yaml("sun-day.yaml");
    private static final List<Word> WORDS = Row.unique(FILE.rows("words"), SunOfDay::word, Word::id);
    private static final double SED_AN_HOUR = FILE.number("sed-an-hour", 0.1, 10);
    private static final double TRULY = FILE.number("truly", 0.1, 5);
    private static final double MOST_MINUTES = FILE.number("most-minutes", 1, 600);
    private static final int BEFORE = FILE.whole("before-minutes", 0, 120);
    private static final int MIDDAY = FILE.whole("midday", 8, 18);
    private static final double J_A_SED = 100;
    private static final int MINUTES = 60;
    private static final int QUARTER = 15;

    public SunOfDay {
        tested = List.copyOf(tested);
        truly = List.copyOf(truly);
        coats = List.copyOf(coats);
    }

    /**
     * @param uv clear-sky midday index, 0 to 20
     * @param hours outdoors, 0 to 24
     * @param again hours between two coats; 0 for once a day
     * @param med least dose that reddens, J/m²; absent while the phototype is not known
     * @param spf on the pack; absent without a sunscreen
     * @param share what of the film on the face is the sunscreen, over 0 to 1: less where it is mixed into a cream
     */
    public static SunOfDay of(double uv, double hours, int again, OptionalDouble med, OptionalInt spf, double share) {
        double anHour = SED_AN_HOUR * uv;
        return new SunOfDay(
                WORDS.stream()
                        .filter(w -> uv >= w.fromUv())
                        .max(Comparator.comparingDouble(Word::fromUv))
                        .orElseThrow()
                        .because(),
                anHour,
                anHour * hours,
                med.isPresent() && uv > 0
                        ? told(med.getAsDouble() / (anHour * J_A_SED) * MINUTES)
                        : OptionalDouble.empty(),
                kept(spf, Film.TESTED * share),
                kept(spf, TRULY * share),
                spf.isPresent() ? coats(hours, again) : List.of());
    }

    /** Long times are not told: they would be taken for leave to stay out. */
    private static OptionalDouble told(double minutes) {
        return minutes <= MOST_MINUTES ? OptionalDouble.of(minutes) : OptionalDouble.empty();
    }

    private static List<Film.KeptFilm> kept(OptionalInt spf, double density) {
        return spf.isPresent() ? List.of(Film.kept(spf.getAsInt(), density)) : List.of();
    }

    /** The first before she goes out, then again every so many hours until she is in. */
    private static List<LocalTime> coats(double hours, int again) {
        int out = quarter(Math.max(0, MIDDAY * MINUTES - hours * MINUTES / 2));
        List<LocalTime> all = new ArrayList<>();
        all.add(LocalTime.MIN.plusMinutes(Math.max(0, out - BEFORE)));
        if (again > 0) {
            for (double at = out + again * MINUTES; at < out + hours * MINUTES; at += again * MINUTES) {
                all.add(LocalTime.MIN.plusMinutes((long) at));
            }
        }
        return all;
    }

    private static int quarter(double minutes) {
        return (int) Math.round(minutes / QUARTER) * QUARTER;
    }

    private static Word word(Row row) {
        return new Word(row.text("id"), row.number("from-uv", 0, 20), row.because(row.text("words")));
    }
}

package outfell.safety;

import java.time.LocalDate;
import java.time.Year;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import outfell.knowledge.Because;
import outfell.knowledge.Certainty;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Lexicon;
import outfell.knowledge.Row;

/** Medicines that matter to the skin, from medicines.yaml: what a client's words for one come to. */
final class Medicines {
    /**
     * @param kind the class that safety rows speak of
     * @param routes ids of the ways in which it counts; none for any
     * @param place id of the place for which it counts; empty for any
     * @param clearDays days after its end for which it still counts
     */
    private record Medicine(
            String kind, String label, List<String> routes, String place, int clearDays, Because because) {}

    /**
     * A word of the client's that the table knows.
     *
     * @param kind its class
     * @param because what it was taken for, with the evidence of its row
     */
    record Match(String kind, Because because) {}

    private static final Row FILE = KnowledgeFile.yaml("medicines.yaml");
    private static final Lexicon<String> ROUTES = places("routes");
    private static final Lexicon<String> PLACES = places("places");
    private static final List<String> NEVER = FILE.texts("never");
    private static final List<String> OVER = FILE.texts("over");
    private static final List<Lexicon.Entry<Medicine>> ALL =
            FILE.rows("medicines").stream().map(Medicines::read).toList();
    private static final Lexicon<Medicine> LEXICON = new Lexicon<>(ALL, true);
    private static final Pattern YEAR = Pattern.compile("\\b(19\\d\\d|20\\d\\d)\\b");
    private static final Pattern AGO = Pattern.compile("\\b(\\d{1,2})\\s*(?:years?|jahren?|ans)\\b");

    private Medicines() {}

    /** What the typed words are taken for on a day; nothing for what was never taken or is over for long enough. */
    static List<Match> of(String typed, LocalDate today) {
        if (said(NEVER, typed)) {
            return List.of();
        }
        List<String> routes = named(ROUTES, typed);
        List<String> places = named(PLACES, typed);
        Optional<LocalDate> ended = ended(typed, today);
        List<Match> matches = new ArrayList<>();
        for (Lexicon.Hit<Medicine> hit : LEXICON.of(typed)) {
            Medicine m = hit.meaning();
            boolean thatWay =
                    m.routes().isEmpty() || routes.isEmpty() || routes.stream().anyMatch(m.routes()::contains);
            boolean there = m.place().isEmpty() || places.contains(m.place());
            boolean still =
                    ended.map(e -> today.isBefore(e.plusDays(m.clearDays()))).orElse(true);
            if (thatWay && there && still) {
                matches.add(new Match(m.kind(), m.because().withSentence(sentence(typed, hit))));
            }
        }
        return List.copyOf(matches);
    }

    private static String sentence(String typed, Lexicon.Hit<Medicine> hit) {
        boolean misspelt = hit.certainty() != Certainty.SURE && !hit.by().contains("*");
        return "\"%s\" is taken for a %s%s."
                .formatted(
                        typed,
                        hit.meaning().label(),
                        misspelt ? ", as a slip for \"%s\"".formatted(hit.by()) : ", by its name");
    }

    static boolean known(String kind) {
        return ALL.stream().anyMatch(m -> m.meaning().kind().equals(kind));
    }

    /**
     * The latest day on which it may have ended: the end of a year that was named, so many years ago; nothing when it is not said
     * to be over, or nobody said when.
     */
    private static Optional<LocalDate> ended(String typed, LocalDate today) {
        if (!said(OVER, typed)) {
            return Optional.empty();
        }
        Matcher year = YEAR.matcher(typed);
        if (year.find()) {
            LocalDate last =
                    Year.of(Integer.parseInt(year.group(1))).atMonth(12).atEndOfMonth();
            return Optional.of(last.isAfter(today) ? today : last);
        }
        Matcher ago = AGO.matcher(typed.toLowerCase(java.util.Locale.ROOT));
        return ago.find() ? Optional.of(today.minusYears(Integer.parseInt(ago.group(1)))) : Optional.empty();
    }

    private static boolean said(List<String> phrases, String typed) {
        return phrases.stream().anyMatch(p -> Lexicon.standsIn(p, typed));
    }

    private static List<String> named(Lexicon<String> lexicon, String typed) {
        return lexicon.of(typed).stream().map(Lexicon.Hit::meaning).toList();
    }

    private static Lexicon<String> places(String key) {
        return new Lexicon<>(
                FILE.rows(key).stream()
                        .map(r -> new Lexicon.Entry<>(r.text("id"), r.texts("words"), List.of()))
                        .toList(),
                false);
    }

    private static Lexicon.Entry<Medicine> read(Row row) {
        String label = row.text("label");
        Medicine medicine = new Medicine(
                row.text("class"),
                label,
                row.texts("routes"),
                row.text("place", ""),
                row.has("clear-days") ? row.whole("clear-days", 0, 3650) : 0,
                row.because(label));
        Lexicon.Entry<Medicine> entry = new Lexicon.Entry<>(medicine, row.texts("names"), row.texts("but"));
        row.done();
        return entry;
    }
}

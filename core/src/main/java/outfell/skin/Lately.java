package outfell.skin;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/**
 * A skin that is otherwise these weeks than it is as a rule, and by what.
 *
 * @param since when; absent where nobody knows
 * @param causes what it is put down to; none where nobody asked
 */
public record Lately(Optional<LocalDate> since, List<CauseOfLately> causes) {
    private static final int LONGEST = 26;
    private static final Row FILE = KnowledgeFile.yaml("lately.yaml");
    private static final int LOOK_AGAIN = FILE.whole("look-again", 1, LONGEST);
    private static final List<CauseOfLately> KNOWN =
            Row.unique(FILE.rows("causes"), CauseOfLately::read, CauseOfLately::id);

    /**
     * One cause, from lately.yaml.
     *
     * @param signs what is put down to it
     * @param zones where alone; everywhere when empty
     * @param weeks after which it is looked at again
     * @param because what is done about it
     */
    public record CauseOfLately(
            String id, String label, List<Sign> signs, List<Zone> zones, int weeks, Because because) {
        private static CauseOfLately read(Row row) {
            return new CauseOfLately(
                    row.text("id"),
                    row.text("label"),
                    row.several("signs", Sign.class),
                    row.several("zones", Zone.class),
                    row.whole("weeks", 1, LONGEST),
                    row.because(row.text("says")));
        }

        private boolean did(Observation o) {
            return signs.contains(o.sign()) && (zones.isEmpty() || zones.contains(o.zone()));
        }
    }

    public Lately {
        causes = List.copyOf(causes);
    }

    public static List<CauseOfLately> known() {
        return KNOWN;
    }

    public static Optional<CauseOfLately> known(String id) {
        return KNOWN.stream().filter(c -> c.id().equals(id)).findFirst();
    }

    /** After how many weeks it is looked at again: the soonest of its causes, else the usual weeks. */
    public int weeks() {
        return causes.stream()
                .map(CauseOfLately::weeks)
                .min(Comparator.naturalOrder())
                .orElse(LOOK_AGAIN);
    }

    /** The signs of a face that are put down to the causes, each once. */
    public List<Sign> putDownTo(SkinReading face) {
        return face.observations().stream()
                .filter(o -> o.grade() > 0 && did(o))
                .map(Observation::sign)
                .distinct()
                .toList();
    }

    /**
     * The same face as it is as a rule: without what is put down to the causes, and of the type that the client calls her own. What
     * was set by hand about the type and the barrier of these weeks does not stand for it.
     */
    public SkinReading usual(SkinReading face) {
        List<Observation> seen = face.observations().stream()
                .map(o -> did(o) ? new Observation(o.zone(), o.sign(), 0, o.how()) : o)
                .toList();
        Optional<ByHand> type = face.history()
                .says()
                .map(s -> new ByHand(ByHand.Verdict.TYPE, bands(s), "client", "the client calls it so as a rule"));
        List<ByHand> byHand = Stream.concat(
                        type.stream(),
                        face.byHand().stream()
                                .filter(b -> b.verdict() != ByHand.Verdict.BARRIER
                                        && (b.verdict() != ByHand.Verdict.TYPE || type.isEmpty())))
                .toList();
        return new SkinReading(
                seen, face.probe(), face.conditions(), face.history(), face.events(), face.settlements(), byHand);
    }

    private boolean did(Observation o) {
        return causes.stream().anyMatch(c -> c.did(o));
    }

    private static String bands(History.Says says) {
        return switch (says) {
            case DRY -> Band.DRY.name();
            case NORMAL -> Band.NORMAL.name();
            case OILY -> Band.OILY.name();
            case COMBINATION -> "%s-%s".formatted(Band.OILY, Band.NORMAL);
        };
    }
}

package outfell.week;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.StepKind;

/**
 * Days on which strong work pauses, from pauses.yaml: waxing, a treatment, a sunburn, strong sun.
 *
 * @param from the first of the days themselves
 * @param until the last of them
 */
public record Pause(KindOfPause kind, LocalDate from, LocalDate until) {
    /**
     * One kind of pause.
     *
     * @param label as in "after waxing"
     * @param before days before it that are meant, too
     * @param after days after it
     * @param stops families that pause
     * @param leavesOut kinds of step that the evening does without
     */
    public record KindOfPause(
            String id,
            String label,
            int before,
            int after,
            List<ActiveKind> stops,
            List<StepKind> leavesOut,
            Because because) {
        public boolean stops(Product p) {
            return !p.prescription() && p.hasAny(stops);
        }
    }

    private static final Row FILE = KnowledgeFile.yaml("pauses.yaml");
    private static final List<KindOfPause> KINDS = Row.unique(FILE.rows("pauses"), Pause::read, KindOfPause::id);
    /** Days off in a row after which a ramp goes back, and by how many weeks. */
    static final int BACK_AFTER_DAYS = FILE.whole("back-after-days", 1, 90);

    static final int BACK_WEEKS = FILE.whole("back-weeks", 0, 12);

    public Pause {
        if (until.isBefore(from)) {
            throw new IllegalArgumentException("A pause from %s cannot end on %s.".formatted(from, until));
        }
    }

    public static List<KindOfPause> kinds() {
        return KINDS;
    }

    public static Optional<KindOfPause> kind(String id) {
        return KINDS.stream().filter(k -> k.id().equals(id)).findFirst();
    }

    /** Whether it keeps a product off on a day. */
    public boolean keepsOff(Product p, LocalDate day) {
        return kind.stops(p)
                && !day.isBefore(from.minusDays(kind.before()))
                && !day.isAfter(until.plusDays(kind.after()));
    }

    private static KindOfPause read(Row row) {
        return new KindOfPause(
                row.text("id"),
                row.text("label"),
                row.whole("before", 0, 60),
                row.has("after") ? row.whole("after", 0, 60) : 0,
                row.several("stops", ActiveKind.class),
                row.several("leaves-out", StepKind.class),
                row.because(row.text("reason")));
    }

    static List<KindOfPause> evenings() {
        return EVENINGS;
    }

    private static final List<KindOfPause> EVENINGS = Row.unique(FILE.rows("evenings"), Pause::read, KindOfPause::id);
}

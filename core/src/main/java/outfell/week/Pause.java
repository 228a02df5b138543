package outfell.week;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
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
 * @param figure what the kind asks of it, such as hours in the air; absent where nobody said
 */
public record Pause(KindOfPause kind, LocalDate from, LocalDate until, OptionalDouble figure) {
    /**
     * One kind of pause.
     *
     * @param label as in "after waxing"
     * @param before days before it that are meant, too
     * @param after days after it
     * @param stops families that pause
     * @param leavesOut kinds of step that the evening does without
     * @param asks the figure that it asks for; absent for most
     */
    public record KindOfPause(
            String id,
            String label,
            int before,
            int after,
            List<ActiveKind> stops,
            List<StepKind> leavesOut,
            Optional<Asks> asks,
            Because because) {
        public boolean stops(Product p) {
            return !p.prescription() && p.hasAny(stops);
        }
    }

    /**
     * A figure that tells how much of it there is.
     *
     * @param words "hours in the air"
     * @param unit as printed behind it
     * @param usual where nobody said
     */
    public record Asks(String words, String unit, double least, double most, double usual) {
        private static Asks read(Row row) {
            double least = row.number("least", 0, 10_000);
            double most = row.number("most", least, 10_000);
            return new Asks(row.text("words"), row.text("unit"), least, most, row.number("usual", least, most));
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
        if (figure.isPresent()) {
            double told = figure.getAsDouble();
            Asks asks = kind.asks()
                    .orElseThrow(() -> new IllegalArgumentException("%s asks for no figure.".formatted(kind.label())));
            if (!(told >= asks.least() && told <= asks.most())) {
                throw new IllegalArgumentException("%s: %s is outside %.0f to %.0f %s."
                        .formatted(asks.words(), told, asks.least(), asks.most(), asks.unit()));
            }
        }
    }

    /** Without a figure. */
    public Pause(KindOfPause kind, LocalDate from, LocalDate until) {
        this(kind, from, until, OptionalDouble.empty());
    }

    /** The figure, or the usual one; 0 where none is asked for. */
    public double much() {
        return figure.orElse(kind.asks().map(Asks::usual).orElse(0.0));
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
                row.has("asks") ? Optional.of(Asks.read(row.row("asks"))) : Optional.empty(),
                row.because(row.text("reason")));
    }

    static List<KindOfPause> evenings() {
        return EVENINGS;
    }

    private static final List<KindOfPause> EVENINGS = Row.unique(FILE.rows("evenings"), Pause::read, KindOfPause::id);
}

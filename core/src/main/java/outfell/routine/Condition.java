package outfell.routine;

import java.util.List;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/**
 * When a step is for some days only, whichever they turn out to be.
 *
 * @param usual days a week that it is counted at, 1 to 7
 */
public record Condition(KindOfCondition kind, int usual) {
    /**
     * One kind of condition, from conditions.yaml.
     *
     * @param label as in "only when the skin feels dry", without its first words
     * @param words for the client's sheet
     * @param usual days a week, as long as nobody says another number
     */
    public record KindOfCondition(String id, String label, String words, int usual, Because because) {}

    private static final int MOST = 7;
    private static final List<KindOfCondition> KINDS =
            Row.unique(KnowledgeFile.yaml("conditions.yaml").rows("conditions"), Condition::read, KindOfCondition::id);

    public Condition {
        if (usual < 1 || usual > MOST) {
            throw new IllegalArgumentException(
                    "A step with a condition is counted at 1 to %d days a week, not %d.".formatted(MOST, usual));
        }
    }

    public static List<KindOfCondition> kinds() {
        return KINDS;
    }

    public static Optional<KindOfCondition> kind(String id) {
        return KINDS.stream().filter(k -> k.id().equals(id)).findFirst();
    }

    /** As in "when the skin feels dry, about 3 a week". */
    public String words() {
        return "%s, about %d a week".formatted(kind.words(), usual);
    }

    private static KindOfCondition read(Row row) {
        return new KindOfCondition(
                row.text("id"),
                row.text("label"),
                row.text("words"),
                row.whole("usual", 1, MOST),
                row.because(row.text("words")));
    }
}

package outfell.consultation;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.StepKind;
import outfell.routine.Part;

/**
 * When a step is done that no plan chooses by itself, from hers.yaml.
 *
 * @param parts the routines in which it is done
 * @param usual days a week, as long as nobody says another number
 * @param most days a week that it is for
 * @param because evidence and source, with the sentence why so often
 */
public record Hers(StepKind kind, List<Part> parts, int usual, int most, Because because) {
    private static final Map<StepKind, Hers> ALL = all();

    /** @throws NullPointerException for a kind that plans choose */
    public static Hers of(StepKind kind) {
        return Objects.requireNonNull(ALL.get(kind));
    }

    private static Map<StepKind, Hers> all() {
        Row file = KnowledgeFile.yaml("hers.yaml");
        Map<StepKind, Hers> map = new EnumMap<>(StepKind.class);
        Row.unique(file.rows("hers"), Hers::read, Hers::kind).forEach(h -> map.put(h.kind(), h));
        for (StepKind kind : StepKind.values()) {
            if (kind.onlyHers() != map.containsKey(kind)) {
                throw file.fault("%s is %s here".formatted(kind, kind.onlyHers() ? "missing" : "not to be"));
            }
        }
        return map;
    }

    private static Hers read(Row row) {
        int most = row.whole("most", 1, 7);
        return new Hers(
                row.one("id", StepKind.class),
                row.several("parts", Part.class),
                row.whole("usual", 1, most),
                most,
                row.because(row.text("because")));
    }
}

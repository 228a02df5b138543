package outfell.conflict;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.ActiveKind;

/** What may meet, from interactions.yaml. */
public final class Interactions {
    /**
     * @param because with evidence and source
     * @param otherSchool what those say who see it otherwise; may be empty
     */
    public record Interaction(
            String id, ActiveKind a, ActiveKind b, Meeting meeting, Because because, String otherSchool) {
        boolean joins(ActiveKind x, ActiveKind y) {
            return (a == x && b == y) || (a == y && b == x);
        }
    }

    private static final List<Interaction> ALL = Row.unique(
            KnowledgeFile.yaml("interactions.yaml").rows("interactions"), Interactions::read, Interaction::id);
    private static final Map<ActiveKind, Map<ActiveKind, Interaction>> TABLE = table();

    private Interactions() {}

    public static List<Interaction> all() {
        return ALL;
    }

    public static Optional<Interaction> between(ActiveKind a, ActiveKind b) {
        return Optional.ofNullable(TABLE.getOrDefault(a, Map.of()).get(b));
    }

    private static Map<ActiveKind, Map<ActiveKind, Interaction>> table() {
        Map<ActiveKind, Map<ActiveKind, Interaction>> table = new EnumMap<>(ActiveKind.class);
        for (Interaction i : ALL) {
            put(table, i.a(), i.b(), i);
            put(table, i.b(), i.a(), i);
        }
        return table;
    }

    private static void put(
            Map<ActiveKind, Map<ActiveKind, Interaction>> table, ActiveKind a, ActiveKind b, Interaction i) {
        Interaction before =
                table.computeIfAbsent(a, _ -> new EnumMap<>(ActiveKind.class)).put(b, i);
        if (before != null && before != i) {
            throw new IllegalStateException(
                    "interactions.yaml joins %s and %s twice: %s and %s".formatted(a, b, before.id(), i.id()));
        }
    }

    private static Interaction read(Row row) {
        return new Interaction(
                row.text("id"),
                row.one("a", ActiveKind.class),
                row.one("b", ActiveKind.class),
                row.one("meeting", Meeting.class),
                row.because(row.text("reason")),
                row.text("other-school", ""));
    }
}

package outfell.conflict;

import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.knowledge.RuleId;
import outfell.product.ActiveKind;
import outfell.product.Product;

/** What may meet, from interactions.yaml, as one practice follows the schools. */
public final class Interactions {
    /**
     * @param because with evidence and source
     * @param otherSchool what those say who see it otherwise; may be empty
     * @param otherMeeting what they make of it; absent where nobody has it otherwise
     * @param but products of these families that meet in another way
     */
    public record Interaction(
            RuleId id,
            ActiveKind a,
            ActiveKind b,
            Meeting meeting,
            Because because,
            String otherSchool,
            Optional<Meeting> otherMeeting,
            List<But> but) {
        /** The same as the other school has it. */
        Interaction switched() {
            return new Interaction(
                    id,
                    a,
                    b,
                    otherMeeting.orElse(meeting),
                    because.withSentence(otherSchool),
                    because.sentence(),
                    otherMeeting.map(_ -> meeting),
                    but);
        }

        /** The same for two products, one of which may be an exception. */
        public Interaction between(Product p, Product q) {
            return but.stream()
                    .filter(x -> p.holds(x.ingredient()) || q.holds(x.ingredient()))
                    .findFirst()
                    .map(x -> new Interaction(
                            id, a, b, x.meeting(), x.because(), otherSchool, Optional.empty(), List.of()))
                    .orElse(this);
        }
    }

    /** An ingredient that meets in another way than its family. */
    public record But(String ingredient, Meeting meeting, Because because) {}

    private static final List<Interaction> ALL = Row.unique(
            KnowledgeFile.yaml("interactions.yaml").rows("interactions"), Interactions::read, Interaction::id);

    private final List<Interaction> rows;
    private final Map<ActiveKind, Map<ActiveKind, Interaction>> table = new EnumMap<>(ActiveKind.class);

    /** @param others ids of the rows in which the other school is followed */
    Interactions(Set<RuleId> others) {
        this.rows = ALL.stream()
                .map(i -> others.contains(i.id()) ? i.switched() : i)
                .toList();
        for (Interaction i : rows) {
            put(i.a(), i.b(), i);
            put(i.b(), i.a(), i);
        }
    }

    public List<Interaction> all() {
        return rows;
    }

    /** Every row that joins an active to another. */
    public Collection<Interaction> of(ActiveKind kind) {
        return table.getOrDefault(kind, Map.of()).values();
    }

    /** What the families of two actives are to one another. */
    public Optional<Interaction> between(ActiveKind a, ActiveKind b) {
        return Optional.ofNullable(table.getOrDefault(a, Map.of()).get(b));
    }

    /** The same for an active in one product and one in another. */
    public Optional<Interaction> between(Product p, ActiveKind a, Product q, ActiveKind b) {
        return between(a, b).map(i -> i.between(p, q));
    }

    private void put(ActiveKind a, ActiveKind b, Interaction i) {
        Interaction before =
                table.computeIfAbsent(a, _ -> new EnumMap<>(ActiveKind.class)).put(b, i);
        if (before != null && before != i) {
            throw new IllegalStateException(
                    "interactions.yaml joins %s and %s twice: %s and %s".formatted(a, b, before.id(), i.id()));
        }
    }

    private static Interaction read(Row row) {
        return new Interaction(
                new RuleId(row.text("id")),
                row.one("a", ActiveKind.class),
                row.one("b", ActiveKind.class),
                row.one("meeting", Meeting.class),
                row.because(row.text("reason")),
                row.text("other-school", ""),
                row.has("other-meeting") ? Optional.of(row.one("other-meeting", Meeting.class)) : Optional.empty(),
                Row.unique(row.rows("but"), Interactions::readBut, But::ingredient));
    }

    private static But readBut(Row row) {
        return new But(row.text("ingredient"), row.one("meeting", Meeting.class), row.because(row.text("reason")));
    }
}

package outfell.product;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.knowledge.Certainty;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Lexicon;
import outfell.knowledge.Row;

/** What a name is by its stem when the ingredient table does not know it, from families.yaml. */
public final class Families {
    /**
     * @param label with its article, as in "taken for a retinoid"
     * @param claims words that mean it in a product's own name only
     * @param with words of which one must stand in the name too; none for no matter
     * @param usualLow percent of a product
     * @param usualHigh percent of a product
     */
    public record Family(
            String id,
            String label,
            List<String> names,
            List<String> claims,
            List<String> but,
            List<String> with,
            Set<Tag> tags,
            double usualLow,
            double usualHigh,
            int irritancy,
            Because because) {
        boolean allows(String text) {
            return with.isEmpty() || with.stream().anyMatch(w -> Lexicon.standsIn(w, text));
        }
    }

    /**
     * A name taken for what its families are.
     *
     * @param labels of the families, as in "a retinoid"
     */
    record Taken(Ingredient ingredient, List<String> labels, Certainty certainty) {}

    private static final List<Family> ALL =
            Row.unique(KnowledgeFile.yaml("families.yaml").rows("families"), Families::read, Family::id);
    /** Unforgiving: "phenyl" is no phenol. Slips on labels are the speller's, who knows every whole name. */
    private static final Lexicon<Family> LEXICON = new Lexicon<>(
            ALL.stream().map(f -> new Lexicon.Entry<>(f, f.names(), f.but())).toList(), false);

    private static final Lexicon<Family> CLAIMS = new Lexicon<>(
            ALL.stream()
                    .map(f -> new Lexicon.Entry<>(
                            f,
                            Stream.concat(f.names().stream(), f.claims().stream())
                                    .toList(),
                            f.but()))
                    .toList(),
            false);

    private Families() {}

    public static List<Family> all() {
        return ALL;
    }

    /** The families that a name on a list speaks of, surest first. */
    static List<Lexicon.Hit<Family>> of(String text) {
        return allowed(LEXICON, text);
    }

    /** The families that a product's own name speaks of, surest first. */
    static List<Lexicon.Hit<Family>> claimed(String name) {
        return allowed(CLAIMS, name);
    }

    private static List<Lexicon.Hit<Family>> allowed(Lexicon<Family> lexicon, String text) {
        return lexicon.of(text).stream().filter(h -> h.meaning().allows(text)).toList();
    }

    /** What a name that the table does not know is taken for, as an ingredient of its own; nothing when no family has it. */
    static Optional<Taken> taken(String name) {
        return taken(name, of(name));
    }

    /** An ingredient that is what all these families are. */
    static Optional<Taken> taken(String name, List<Lexicon.Hit<Family>> hits) {
        if (hits.isEmpty()) {
            return Optional.empty();
        }
        Set<Tag> tags = EnumSet.noneOf(Tag.class);
        hits.forEach(h -> tags.addAll(h.meaning().tags()));
        Family first = hits.getFirst().meaning();
        Ingredient.Origin origin =
                tags.contains(Tag.ANIMAL_ORIGIN) ? Ingredient.Origin.ANIMAL : Ingredient.Origin.SYNTHETIC;
        List<String> labels =
                hits.stream().map(h -> h.meaning().label()).distinct().toList();
        return Optional.of(new Taken(
                new Ingredient(
                        name,
                        name,
                        tags,
                        first.usualLow(),
                        first.usualHigh(),
                        first.irritancy(),
                        false,
                        "",
                        "-",
                        origin,
                        "both",
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        "",
                        "low",
                        first.because().source()),
                labels,
                hits.getFirst().certainty()));
    }

    private static Family read(Row row) {
        List<Double> usual = row.numbers("usual");
        if (usual.size() != 2) {
            throw row.fault("\"usual\" is a lowest and a highest share");
        }
        Set<Tag> tags = EnumSet.noneOf(Tag.class);
        tags.addAll(row.several("tags", Tag.class));
        String label = row.text("label");
        return new Family(
                row.text("id"),
                label,
                row.texts("names"),
                row.texts("claims"),
                row.texts("but"),
                row.texts("with"),
                tags,
                usual.getFirst(),
                usual.getLast(),
                row.whole("irritancy", 0, 4),
                row.because("By its name %s.".formatted(label)));
    }
}

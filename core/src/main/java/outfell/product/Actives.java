package outfell.product;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** The families of actives, from actives.yaml. */
public final class Actives {
    /**
     * @param label as shown
     * @param letter shown on its block of the strip
     * @param called what packs call it, beside its label
     * @param ingredients INCI names that belong, or none when tags decide
     * @param tags that make an ingredient belong
     * @param much ingredients that belong from a share on, percent: sugar is a scrub when there is much of it
     * @param actsRinsed whether it works in what is washed off after a minute, too
     * @param counts least likely share in percent at which it acts and is not a mere adjuster or preservative
     * @param rationed whether it has its own nights
     * @param byDay whether it may be worn by day
     * @param ledUpTo whether a daily step of it begins every other evening
     * @param needsSunscreen whether it is not left on without a sunscreen
     * @param bland whether it only waters, softens, seals or soothes: a new one is no event
     * @param patchFirst whether a product of it that is new to a client is patch-tested first
     * @param because evidence and source of the row
     */
    public record Family(
            ActiveKind kind,
            String label,
            String letter,
            List<String> called,
            List<String> ingredients,
            Set<Tag> tags,
            Map<String, Double> much,
            double counts,
            boolean actsRinsed,
            boolean rationed,
            boolean byDay,
            boolean ledUpTo,
            boolean needsSunscreen,
            boolean bland,
            boolean patchFirst,
            Because because) {
        boolean holds(Ingredient ingredient) {
            return ingredients.isEmpty()
                    ? tags.stream().anyMatch(ingredient::is)
                    : ingredients.contains(ingredient.inci());
        }
    }

    private static final List<Family> ALL =
            Row.unique(KnowledgeFile.yaml("actives.yaml").rows("actives"), Actives::read, Family::kind);
    private static final Map<ActiveKind, Family> BY_KIND = byKind();
    /** Every ingredient of the table that acts; asked for each line of each label. */
    private static final Map<String, Family> BY_INCI = byInci();

    /** Families to which an ingredient belongs from a share on, in the order of the table. */
    private static final Map<String, List<Family>> MUCH = much();

    private Actives() {}

    private static Map<String, List<Family>> much() {
        Map<String, List<Family>> map = new HashMap<>();
        for (Family f : ALL) {
            f.much()
                    .keySet()
                    .forEach(inci ->
                            map.computeIfAbsent(inci, _ -> new ArrayList<>()).add(f));
        }
        return map;
    }

    public static List<Family> all() {
        return ALL;
    }

    public static Family of(ActiveKind kind) {
        return Objects.requireNonNull(BY_KIND.get(kind));
    }

    /** Of what the table does not know by name, or not so, its tags decide. */
    static Optional<Family> of(Ingredient ingredient) {
        Family known = BY_INCI.get(ingredient.inci());
        return known != null || Ingredients.isOfTheTable(ingredient)
                ? Optional.ofNullable(known)
                : ALL.stream().filter(f -> f.holds(ingredient)).findFirst();
    }

    /** The family that a line belongs to, by what it is or by how much of it there is. */
    static Optional<Family> of(LabelLine line) {
        return line.ingredient()
                .flatMap(i -> MUCH.getOrDefault(i.inci(), List.of()).stream()
                        .filter(f -> line.certainShare() >= f.much().getOrDefault(i.inci(), Double.MAX_VALUE))
                        .findFirst()
                        .or(() -> of(i)));
    }

    private static Map<String, Family> byInci() {
        Map<String, Family> map = new HashMap<>();
        for (Ingredient i : Ingredients.all()) {
            ALL.stream().filter(f -> f.holds(i)).findFirst().ifPresent(f -> map.put(i.inci(), f));
        }
        return map;
    }

    private static Map<ActiveKind, Family> byKind() {
        Map<ActiveKind, Family> map = new EnumMap<>(ActiveKind.class);
        ALL.forEach(f -> map.put(f.kind(), f));
        for (ActiveKind kind : ActiveKind.values()) {
            if (!map.containsKey(kind)) {
                throw new IllegalStateException("actives.yaml has no row for " + kind);
            }
        }
        return map;
    }

    private static Family read(Row row) {
        List<String> ingredients = row.texts("ingredients");
        ingredients.forEach(i -> {
            if (Ingredients.find(i).isEmpty()) {
                throw row.fault("no ingredient is named \"%s\"".formatted(i));
            }
        });
        Set<Tag> tags = EnumSet.noneOf(Tag.class);
        tags.addAll(row.several("tags", Tag.class));
        Map<String, Double> much = new HashMap<>();
        row.rows("much").forEach(r -> {
            much.put(r.text("ingredient"), r.number("from", 0, 100));
            r.done();
        });
        return new Family(
                row.one("id", ActiveKind.class),
                row.text("label"),
                row.text("letter"),
                row.texts("called"),
                ingredients,
                tags,
                Map.copyOf(much),
                row.number("counts-from", 0),
                row.flag("acts-rinsed"),
                row.flag("rationed"),
                !row.flag("evening-only"),
                row.flag("led-up-to"),
                row.flag("needs-sunscreen"),
                row.flag("bland"),
                row.flag("patch-first"),
                row.because(row.text("label")));
    }
}

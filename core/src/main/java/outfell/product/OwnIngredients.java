package outfell.product;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import outfell.knowledge.Certainty;

/**
 * What a practice has said of ingredients, over the table: of names that the table does not know, what they are; of those that it
 * knows, what they are beside. What the table holds against an ingredient stays: a practice can add a caution and take none away.
 */
public final class OwnIngredients {
    public static final OwnIngredients NONE = new OwnIngredients(List.of());

    /**
     * One name as the practice has it.
     *
     * @param name as printed, or an INCI name
     * @param common in plain words; empty for the name itself
     * @param tags what it is, beside what the table says of it
     * @param low lowest usual share of a finished product, percent; absent for what the table says, or 0.001
     * @param high highest such share; absent for what the table says, or 100
     * @param irritancy 0 to 4; absent for what the table says, or 0
     */
    public record Row(
            String name,
            String common,
            Set<Tag> tags,
            OptionalDouble low,
            OptionalDouble high,
            Optional<Integer> irritancy,
            String why,
            String who,
            LocalDate on) {
        /** @throws IllegalArgumentException with a sentence, when it says what cannot be */
        public Row {
            if (name.isBlank()) {
                throw new IllegalArgumentException("Say which name is meant.");
            }
            if (why.isBlank() || who.isBlank()) {
                throw new IllegalArgumentException("Say who says it, and why.");
            }
            tags = Set.copyOf(tags);
            ingredientOf(name, common, tags, low, high, irritancy);
        }

        Ingredient ingredient() {
            return ingredientOf(name, common, tags, low, high, irritancy);
        }
    }

    private final Map<String, Row> rows = new HashMap<>();

    /** @param all the newest of each name; a later one of the same name wins */
    public OwnIngredients(List<Row> all) {
        all.forEach(r -> rows.put(Ingredients.key(r.name()), r));
    }

    /** How a name is told from others: case, accents and spaces carry no meaning. */
    public static String key(String name) {
        return Ingredients.key(name);
    }

    /** What a printed name means, first by what the practice says of it, then of what the table took it for. */
    Substances.Meant of(String printed, Substances.Meant meant) {
        if (rows.isEmpty()) {
            return meant;
        }
        return row(printed)
                .or(() -> meant.ingredient().flatMap(i -> row(i.inci())))
                .map(r -> new Substances.Meant(
                        Optional.of(r.ingredient()),
                        Certainty.SURE,
                        "As the practice has it: %s (%s, %s).".formatted(r.why(), r.who(), r.on()),
                        List.of()))
                .orElse(meant);
    }

    private Optional<Row> row(String name) {
        return Optional.ofNullable(rows.get(Ingredients.key(name)));
    }

    private static Ingredient ingredientOf(
            String name,
            String common,
            Set<Tag> added,
            OptionalDouble low,
            OptionalDouble high,
            Optional<Integer> irritancy) {
        Optional<Ingredient> known = Ingredients.find(name);
        Set<Tag> tags = EnumSet.noneOf(Tag.class);
        known.ifPresent(i -> tags.addAll(i.tags()));
        tags.addAll(added);
        String called = common.isBlank() ? known.map(Ingredient::common).orElse(name) : common.strip();
        return new Ingredient(
                known.map(Ingredient::inci).orElse(name.strip()),
                called,
                tags,
                low.orElse(known.map(Ingredient::usualLow).orElse(LabelRanges.trace())),
                high.orElse(known.map(Ingredient::usualHigh).orElse(100.0)),
                irritancy.orElse(known.map(Ingredient::irritancy).orElse(0)),
                known.map(Ingredient::clogs).orElse(false),
                known.map(Ingredient::notes).orElse(""),
                known.map(Ingredient::us).orElse("-"),
                tags.contains(Tag.ANIMAL_ORIGIN)
                        ? Ingredient.Origin.ANIMAL
                        : known.map(Ingredient::origin).orElse(Ingredient.Origin.SYNTHETIC),
                known.map(Ingredient::solubility).orElse("both"),
                known.map(Ingredient::phLow).orElse(OptionalDouble.empty()),
                known.map(Ingredient::phHigh).orElse(OptionalDouble.empty()),
                known.map(Ingredient::legal).orElse(""),
                known.map(Ingredient::comedogenic).orElse("low"),
                "custom");
    }
}

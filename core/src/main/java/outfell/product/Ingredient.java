package outfell.product;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * One ingredient by its INCI name.
 *
 * @param common name in plain words
 * @param usualLow lowest usual share of a finished product, percent by weight
 * @param usualHigh highest usual share
 * @param us name on labels of the United States
 * @param origin of the usual raw material
 * @param solubility "water", "oil", "both" or "insoluble"
 * @param phLow lowest pH of a product at which it works or stays; absent when it does not matter
 * @param phHigh highest such pH
 * @param legal where the law names it; empty for none known
 * @param comedogenic "low", "med" or "high"; debated in every row
 * @param source id of a row in sources.yaml
 * @param clogs whether old animal scores call it highly comedogenic; debated in every row
 * @param irritancy 0 practically none to 4 strong, at usual leave-on strength
 */
public record Ingredient(
        String inci,
        String common,
        Set<Tag> tags,
        double usualLow,
        double usualHigh,
        int irritancy,
        boolean clogs,
        String notes,
        String us,
        Origin origin,
        String solubility,
        OptionalDouble phLow,
        OptionalDouble phHigh,
        String legal,
        String comedogenic,
        String source) {
    /** Where a raw material usually comes from. */
    public enum Origin {
        PLANT,
        ANIMAL,
        MINERAL,
        SYNTHETIC
    }

    public Ingredient {
        tags = Set.copyOf(tags);
        if (!(usualLow >= 0 && usualLow <= usualHigh && usualHigh <= 100)) {
            throw new IllegalArgumentException(
                    "%s: usual share %s..%s is not within 0..100 %%.".formatted(inci, usualLow, usualHigh));
        }
        if (!List.of("water", "oil", "both", "insoluble").contains(solubility)) {
            throw new IllegalArgumentException("%s: solubility \"%s\" is not known.".formatted(inci, solubility));
        }
        if (phLow.orElse(0) > phHigh.orElse(14)) {
            throw new IllegalArgumentException("%s: the pH window ends before it begins.".formatted(inci));
        }
        if (origin == Origin.ANIMAL != tags.contains(Tag.ANIMAL_ORIGIN)) {
            throw new IllegalArgumentException("%s: origin and the tag animal_origin part.".formatted(inci));
        }
        if (irritancy < 0 || irritancy > 4) {
            throw new IllegalArgumentException("%s: irritancy %d is outside 0..4.".formatted(inci, irritancy));
        }
    }

    /** Whether the law of the EU asks for its name on a label as an allergen. */
    public boolean namedAllergen() {
        return is(Tag.FRAGRANCE_ALLERGEN);
    }

    public boolean is(Tag tag) {
        return tags.contains(tag);
    }

    boolean isAny(Tag... any) {
        for (Tag tag : any) {
            if (is(tag)) {
                return true;
            }
        }
        return false;
    }
}

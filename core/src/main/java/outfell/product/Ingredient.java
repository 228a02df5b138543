package outfell.product;

import java.util.Set;

/**
 * One ingredient by its INCI name.
 *
 * @param common name in plain words
 * @param usualLow lowest usual share of a finished product, percent by weight
 * @param usualHigh highest usual share
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
        String notes) {
    public Ingredient {
        tags = Set.copyOf(tags);
        if (!(usualLow >= 0 && usualLow <= usualHigh && usualHigh <= 100)) {
            throw new IllegalArgumentException(
                    "%s: usual share %s..%s is not within 0..100 %%.".formatted(inci, usualLow, usualHigh));
        }
        if (irritancy < 0 || irritancy > 4) {
            throw new IllegalArgumentException("%s: irritancy %d is outside 0..4.".formatted(inci, irritancy));
        }
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

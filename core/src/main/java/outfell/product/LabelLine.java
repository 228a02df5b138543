package outfell.product;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import outfell.knowledge.Because;
import outfell.knowledge.Certainty;

/**
 * One ingredient as it stands on a label.
 *
 * @param position from 1, in the descending list; 0 in the panel of actives and in "may contain"
 * @param printed the name as printed, without marks and percentages
 * @param ingredient what it was taken for, if the table knows it or its family
 * @param certainty how sure that is
 * @param maybe what an unknown name may be a misprint of, nearest first
 * @param declared percent printed on the pack
 * @param low likely least share, percent
 * @param high likely greatest share, percent
 * @param mayContain whether it stands under "may contain", and so is never certain
 * @param because how the range was inferred
 */
public record LabelLine(
        int position,
        String printed,
        Optional<Ingredient> ingredient,
        Certainty certainty,
        List<Ingredient> maybe,
        OptionalDouble declared,
        double low,
        double high,
        boolean mayContain,
        Because because) {

    /** Whether it is of one of these kinds, or may be a misprint of what is. */
    public boolean is(Set<Tag> tags) {
        return tags.stream().anyMatch(this::is)
                || maybe.stream().anyMatch(m -> tags.stream().anyMatch(m::is));
    }

    /** Whether it is one of these by INCI name, or may be a misprint of one. */
    public boolean named(Set<String> inci) {
        return ingredient.filter(i -> inci.contains(i.inci())).isPresent()
                || maybe.stream().anyMatch(m -> inci.contains(m.inci()));
    }

    boolean is(Tag tag) {
        return ingredient.isPresent() && ingredient.get().is(tag);
    }

    boolean isAny(Tag... tags) {
        return ingredient.isPresent() && ingredient.get().isAny(tags);
    }

    /** The share to reckon with: the declared one, or the geometric middle of the range; percent. */
    public double likely() {
        return declared.orElse(Math.sqrt(low * high));
    }

    /** The share that is sure: the declared one, or the least of the range; percent. */
    double certainShare() {
        return declared.orElse(low);
    }

    public String common() {
        return ingredient.map(Ingredient::common).orElse(printed);
    }
}

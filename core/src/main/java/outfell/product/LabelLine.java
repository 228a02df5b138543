package outfell.product;

import java.util.Optional;
import java.util.OptionalDouble;
import outfell.knowledge.Because;

/**
 * One ingredient as it stands on a label.
 *
 * @param position from 1, in the descending list; 0 in the panel of actives and in "may contain"
 * @param printed the name as printed, without marks and percentages
 * @param ingredient what it was matched to, if the table knows it
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
        OptionalDouble declared,
        double low,
        double high,
        boolean mayContain,
        Because because) {

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

    String common() {
        return ingredient.map(Ingredient::common).orElse(printed);
    }
}

package outfell.causes;

import outfell.knowledge.Because;
import outfell.product.ProductId;

/**
 * What becomes of a thing that is owned.
 *
 * @param cause of what kind the reason is
 */
public record ShelfAdvice(ProductId product, String name, Fate fate, Cause cause, Because because) {
    /** Used, kept for another time, or stopped. */
    public enum Fate {
        USED,
        SET_ASIDE,
        /** Nothing is known against it: its list is to be read first, or everybody's questions to be asked. */
        WAITS,
        STOP
    }
}

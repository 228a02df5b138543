package outfell.hand;

import outfell.knowledge.Because;
import outfell.product.ProductId;
import outfell.routine.Part;

/**
 * A pin or a change by hand that a rule forbids.
 *
 * @param overrulable whether a reason of the therapist's lets it stand all the same
 */
public record Refusal(Part part, ProductId product, String name, Because because, boolean overrulable) {
    /** One that no reason lets stand. */
    public Refusal(Part part, ProductId product, String name, Because because) {
        this(part, product, name, because, false);
    }
}

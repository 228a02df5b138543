package outfell.changes;

import java.util.List;
import java.util.Optional;
import outfell.causes.Cause;
import outfell.knowledge.Because;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Part;

/**
 * One step in which two plans differ.
 *
 * @param from what stood; empty when put in
 * @param to what stands; empty when taken out
 * @param products what it is about, as it stood and as it stands
 * @param cause of what kind the fact is that did it, or the limit that it made too tight
 * @param because the fact: taken back, it takes the difference back; several where only all of them together do
 * @param limit the client's own limit that stands in the way since then: let out, it takes the difference back, too
 */
public record Change(
        Part part,
        StepKind kind,
        What what,
        String from,
        String to,
        List<ProductId> products,
        Cause cause,
        List<Because> because,
        Optional<Because> limit) {
    /** What happens to a step. */
    public enum What {
        TAKEN_OUT,
        PUT_IN,
        REPLACED,
        OTHER_NIGHTS,
        OTHER_AMOUNT,
        /** Something else is done straight before or after it. */
        OTHER_BESIDE,
        MOVED
    }

    public Change {
        products = List.copyOf(products);
        because = List.copyOf(because);
    }
}

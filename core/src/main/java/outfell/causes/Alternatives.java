package outfell.causes;

import java.util.List;
import outfell.knowledge.Because;
import outfell.product.ProductId;
import outfell.routine.Part;

/** What else could stand in one step's place, nearest first. */
public record Alternatives(Part part, ProductId instead, List<Alternative> choices) {
    /** @param priceDifference what it costs more, in the practice's currency */
    public record Alternative(ProductId product, String name, double priceDifference, Because because) {}
}

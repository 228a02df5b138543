package outfell.hand;

import outfell.knowledge.Because;
import outfell.product.ProductId;
import outfell.routine.Part;

/** A pin or a change by hand that a rule forbids. */
public record Refusal(Part part, ProductId product, String name, Because because) {}

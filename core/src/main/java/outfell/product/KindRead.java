package outfell.product;

import outfell.knowledge.Because;

/**
 * A kind that a pack was read as, or may be.
 *
 * @param sure how sure: "sure", "likely" or "guess"
 * @param weight of all its signs together, by kinds.yaml
 * @param because the sign that weighed most
 */
public record KindRead(StepKind kind, String sure, int weight, Because because) {}

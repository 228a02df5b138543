package outfell.product;

import outfell.knowledge.Because;

/**
 * One thing that a label tells.
 *
 * @param about what is found: "kind of step", "texture", "active", "mind"
 * @param found the answer in words
 * @param sure how sure, "sure", "likely" or "guess"
 */
public record Finding(String about, String found, String sure, Because because) {}

package outfell.routine;

import outfell.product.ProductId;

/**
 * A step as far as two plans can part in it: what stands there, how often, and how much of it.
 *
 * @param aWeek days a week that it is counted at
 * @param words of its amount, "4 peas"
 * @param grams of one use
 */
public record BareStep(ProductId product, int aWeek, String words, double grams) {
    public static BareStep of(Step step) {
        return new BareStep(
                step.product(),
                step.aWeek(),
                step.amount().words(),
                step.amount().grams());
    }

    public double gramsAWeek() {
        return grams * aWeek;
    }
}

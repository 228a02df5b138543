package outfell.routine;

import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.Product;
import outfell.product.StepKind;

/**
 * What the air makes of amounts.
 *
 * @param tonerMore layers of a toner beside the method's, may be below 0
 * @param cream share of the usual amount of cream in the evening; by day no more than the usual
 * @param because why that share
 */
public record ByAir(int tonerMore, double cream, Because because) {
    public static final ByAir AS_USUAL = new ByAir(0, 1, Because.custom("The usual amount."));

    /** The same for the cream only. */
    public ByAir creamOnly() {
        return new ByAir(0, cream, because);
    }

    /** The same for a toner only. */
    public ByAir tonerOnly() {
        return new ByAir(tonerMore, 1, because);
    }

    /** Thin layers of a step: a toner's are the method's and the air's, at least one. */
    public int layers(Method method, Product p) {
        return p.kind() == StepKind.TONER ? Math.max(1, method.tonerLayers() + tonerMore) : 1;
    }

    /** Share of its usual amount that a step gets. */
    public double share(Product p, Part part) {
        return p.kind() != StepKind.MOISTURISER ? 1 : part == Part.EVENING ? cream : Math.min(1, cream);
    }
}

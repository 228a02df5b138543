package outfell.routine;

import java.util.List;
import java.util.stream.Collectors;
import outfell.product.ProductId;

/**
 * A step as far as two plans can part in it: what stands there, how often, and how much of it.
 *
 * @param aWeek days a week that it is counted at
 * @param words of its amount, "4 peas"
 * @param grams of one use
 * @param then what the therapist has put beside it, in words; empty for nothing
 */
public record BareStep(ProductId product, int aWeek, String words, double grams, String then) {
    public static BareStep of(Step step) {
        return new BareStep(
                step.product(),
                step.aWeek(),
                step.amount().words(),
                step.amount().grams(),
                told(step.then()));
    }

    /** What of it the therapist has put there, in words; by name, for numbers change when another step leaves. */
    static String told(List<Aside> asides) {
        return asides.stream()
                .filter(Aside::byHand)
                .map(a -> a.name().isEmpty() ? a.told() : "then %s again".formatted(a.name()))
                .collect(Collectors.joining(", "));
    }

    public double gramsAWeek() {
        return grams * aWeek;
    }
}

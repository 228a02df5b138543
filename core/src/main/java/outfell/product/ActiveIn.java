package outfell.product;

/**
 * An active in a product with its likely strength.
 *
 * @param ingredient INCI name
 * @param low percent by weight
 * @param high percent by weight
 * @param declared whether the pack states the share
 */
public record ActiveIn(ActiveKind kind, String ingredient, double low, double high, boolean declared) {
    /** As shown: "5 %" or "2 to 10 %". */
    public String strength() {
        return low == high
                ? LabelRanges.number(low) + " %"
                : "likely %s to %s %%".formatted(LabelRanges.number(low), LabelRanges.number(high));
    }
}

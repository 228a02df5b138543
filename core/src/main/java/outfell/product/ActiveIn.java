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
    /** As shown: "5 %" when declared, else "likely 2 to 10 %" or "about 1 %". */
    public String strength() {
        return declared && low == high ? LabelRanges.number(low) + " %" : LabelRanges.between(low, high);
    }
}

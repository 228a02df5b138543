package outfell.shelf;

import java.util.Optional;
import outfell.product.Product;
import outfell.routine.Amounts;
import outfell.routine.Part;
import outfell.skin.FaceBands;

/** What a product costs as it is used. */
public final class Prices {
    private static final double DAYS_A_MONTH = 365.0 / 12;

    private Prices() {}

    static Optional<Double> perTen(Product p) {
        return p.price() > 0 && p.size() > 0 ? Optional.of(10 * p.price() / p.size()) : Optional.empty();
    }

    /** Used once a day on a normal skin, by the amounts of the house; grams and millilitres taken as one. */
    public static Optional<Double> perMonth(Product p) {
        return p.price() > 0 && p.size() > 0
                ? Optional.of(p.price()
                        / p.size()
                        * Amounts.amount(p, FaceBands.NORMAL, 1, Part.EVENING).grams()
                        * DAYS_A_MONTH)
                : Optional.empty();
    }
}

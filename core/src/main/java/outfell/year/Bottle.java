package outfell.year;

import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.supply.Supply.End;

/**
 * The packs of one product through the year, laid end to end.
 *
 * @param packs in the order of days; none where its size is not known
 * @param bought how many of them are to be bought within the year
 * @param again of those, the packs that go into putting a sunscreen on again; 0 for everything else
 * @param cost of all that are bought; absent where a price is not known
 * @param againCost the part of it for putting on again
 */
public record Bottle(
        ProductId product,
        String name,
        StepKind kind,
        List<BottlePack> packs,
        int bought,
        int again,
        OptionalDouble cost,
        double againCost) {
    public Bottle {
        packs = List.copyOf(packs);
    }

    /**
     * One pack.
     *
     * @param from the day on which it is opened, or the first of the year
     * @param until the day on which it is empty or past its time; the end of the year when it lasts longer
     * @param end of it; absent in the year where {@code lasts}
     * @param lasts whether it goes on past the year
     * @param hers whether she owns it already
     */
    public record BottlePack(LocalDate from, LocalDate until, End end, boolean lasts, boolean hers) {}
}

package outfell.server.visit;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import outfell.knowledge.Because;
import outfell.product.ProductId;
import outfell.server.client.ClientStore;
import outfell.supply.Supply;

/**
 * What a plan costs and how long its packs last.
 *
 * @param month of all whose price is known, in the practice's currency
 * @param bought the part of it that is for packs not yet owned
 * @param budget of the client, a month, if there is one
 * @param over what is to be bought above the budget; 0 within it
 */
public record SupplyView(
        List<SupplyLine> lines,
        double month,
        double bought,
        List<String> unpriced,
        @Schema(types = {"number", "null"}) @Nullable Double budget,
        double over) {

    /** @param days until it ends; 0 when it has ended or is not known */
    public record SupplyLine(
            ProductId product,
            String name,
            int days,
            @Schema(types = {"string", "null"}) @Nullable LocalDate ends,
            Supply.End end,
            boolean soon,
            @Schema(types = {"number", "null"}) @Nullable Double month,
            @Schema(types = {"object", "null"}) @Nullable Cheaper cheaper,
            Because because) {}

    /**
     * What would do the same job for less.
     *
     * @param saves a month
     * @param lost actives that it does not give
     */
    public record Cheaper(ProductId product, String name, double saves, List<String> lost) {}

    /** A pack as it stands on the client's shelf. */
    static Supply.Pack pack(ClientStore.Use use) {
        return new Supply.Pack(Optional.ofNullable(use.opened()), use.left());
    }

    static SupplyView of(Supply.Whole whole, Map<ProductId, Cheaper> cheaper, @Nullable Double budget) {
        return new SupplyView(
                whole.lines().stream()
                        .map(l -> new SupplyLine(
                                l.product(),
                                l.name(),
                                l.days(),
                                l.ends().orElse(null),
                                l.end(),
                                l.soon(),
                                l.month().isPresent() ? l.month().getAsDouble() : null,
                                l.second() ? null : cheaper.get(l.product()),
                                l.because()))
                        .toList(),
                whole.month(),
                whole.bought(),
                whole.unpriced(),
                budget,
                budget == null ? 0 : whole.over(budget));
    }
}

package outfell.week;

import java.util.List;
import outfell.product.ProductId;

/**
 * One thing that has nights of its own.
 *
 * @param worth by uses in a round, from none to the most there may be: what so many do for the client, in points of the house; it
 *     never falls
 * @param points load of one use
 * @param exfoliation what one use adds to the round's exfoliations
 * @param apart nights from one use to the next at least, 1 to 14, over the edge of the round, too
 * @param fixed nights that somebody else has set, as bits; 0 when it is free
 * @param barred nights that it may not have, as bits
 * @param parted which others of the list may not share a night with it, as bits of their places
 */
public record Wanted(
        ProductId product,
        List<Integer> worth,
        double points,
        double exfoliation,
        int apart,
        int fixed,
        int barred,
        long parted) {
    public Wanted {
        worth = List.copyOf(worth);
        if (worth.isEmpty()) {
            throw new IllegalArgumentException("%s has no worth, not even of no use.".formatted(product));
        }
        if (apart < 1) {
            throw new IllegalArgumentException(
                    "%s may stand %d nights apart; 1 is the least.".formatted(product, apart));
        }
    }

    /** Uses in a round at most. */
    public int most() {
        return fixed == 0 ? worth.size() - 1 : Integer.bitCount(fixed);
    }

    public boolean free() {
        return fixed == 0;
    }

    int worth(int uses) {
        return worth.get(Math.min(uses, worth.size() - 1));
    }
}

package outfell.regimen;

/**
 * What too little or too much of something costs, in points: nothing between {@code low} and {@code high}, straight lines
 * outside, and never above the ceiling. Convex, on which the search's bound rests.
 *
 * @param low least that costs nothing
 * @param under points for each unit below it
 * @param high most that costs nothing, at least {@code low}
 * @param over points for each unit above it
 * @param ceiling hard, at least {@code high}; infinite for none
 */
record Scarce(double low, double under, double high, double over, double ceiling) {
    static final Scarce FREE =
            new Scarce(Double.NEGATIVE_INFINITY, 0, Double.POSITIVE_INFINITY, 0, Double.POSITIVE_INFINITY);
    /** What sums of fractions may be off by. */
    private static final double DUST = 1e-9;

    Scarce {
        if (!(under >= 0 && over >= 0 && low <= high && high <= ceiling)) {
            throw new IllegalArgumentException(
                    "No convex cost: %s under %s, %s over %s, at most %s.".formatted(under, low, over, high, ceiling));
        }
    }

    /** Free up to a hard ceiling. */
    static Scarce atMost(double ceiling) {
        return new Scarce(Double.NEGATIVE_INFINITY, 0, ceiling, 0, ceiling);
    }

    boolean allows(double use) {
        return use <= ceiling + DUST;
    }

    double cost(double use) {
        return use > high ? over * (use - high) : use < low ? under * (low - use) : 0;
    }

    /** Prices at which a straight line still lies below the cost: from {@code -under} up to this. */
    double mostPrice() {
        return Double.isInfinite(high) ? 0 : Double.isInfinite(ceiling) ? over : Double.POSITIVE_INFINITY;
    }

    double leastPrice() {
        return Double.isInfinite(low) ? 0 : -under;
    }

    /** What the cost is below a price's straight line at most: the largest of price × use − cost over every allowed use. */
    double slack(double price) {
        if (price == 0) {
            return 0;
        }
        if (price < 0) {
            return price * low;
        }
        return price <= over ? price * high : price * ceiling - over * (ceiling - high);
    }

    /** Where price × use − cost is largest, nearest to what is used now: the direction in which the price is off. */
    double fairUse(double price, double now) {
        if (price == 0) {
            return Math.clamp(now, low, high);
        }
        return price < 0 ? low : price < over || (price == over && Double.isInfinite(ceiling)) ? high : ceiling;
    }
}

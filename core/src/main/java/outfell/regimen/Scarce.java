package outfell.regimen;

/**
 * What taking much of something costs, in points: nothing up to {@code high}, a straight line above it, and never above the
 * ceiling. Convex, on which the search's bound rests.
 *
 * @param high most that costs nothing
 * @param over points for each unit above it
 * @param ceiling hard, at least {@code high}; infinite for none
 */
record Scarce(double high, double over, double ceiling) {
    static final Scarce FREE = new Scarce(Double.POSITIVE_INFINITY, 0, Double.POSITIVE_INFINITY);
    /** What sums of fractions may be off by. */
    private static final double DUST = 1e-9;

    Scarce {
        if (!(over >= 0 && high <= ceiling)) {
            throw new IllegalArgumentException(
                    "No convex cost: %s over %s, at most %s.".formatted(over, high, ceiling));
        }
    }

    /** Free up to a hard ceiling. */
    static Scarce atMost(double ceiling) {
        return new Scarce(ceiling, 0, ceiling);
    }

    boolean allows(double use) {
        return use <= ceiling + DUST;
    }

    double cost(double use) {
        return use > high ? over * (use - high) : 0;
    }

    /** Prices from nought up to this have a straight line that lies below the cost. */
    double mostPrice() {
        return Double.isInfinite(high) ? 0 : Double.isInfinite(ceiling) ? over : Double.POSITIVE_INFINITY;
    }

    /** What the cost is below a price's straight line at most: the largest of price × use − cost over every allowed use. */
    double slack(double price) {
        if (price == 0) {
            return 0;
        }
        return price <= over ? price * high : price * ceiling - over * (ceiling - high);
    }

    /** Where price × use − cost is largest, nearest to what is used now: the direction in which the price is off. */
    double fairUse(double price, double now) {
        if (price == 0) {
            return Math.min(now, high);
        }
        return price < over || (price == over && Double.isInfinite(ceiling)) ? high : ceiling;
    }
}

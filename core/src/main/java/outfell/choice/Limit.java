package outfell.choice;

/**
 * What there is only so much of.
 *
 * @param most hard; infinite for none
 */
public record Limit(Sums sums, int routine, double most) {
    /** How the takings of several options come to one. */
    public enum Sums {
        /** They add up. */
        ADDED,
        /** In one routine: daily ones add up, and of nightly ones the longest counts, since no two share a night. */
        IN_ROUTINE,
        /** Of one thing they add up to no less than it takes at least. */
        PER_THING,
        /** A thing takes once, wherever it stands. */
        ONCE_A_THING
    }

    /** What sums of fractions may be off by. */
    static final double DUST = 1e-9;

    /** Over everything that is chosen. */
    public static Limit of(Sums sums, double most) {
        return new Limit(sums, -1, most);
    }

    /** Over one routine. */
    public static Limit in(int routine, double most) {
        return new Limit(Sums.IN_ROUTINE, routine, most);
    }

    Limit letOut(double to) {
        return new Limit(sums, routine, Math.max(most, to));
    }

    boolean allows(double use) {
        return use <= most + DUST;
    }

    double excess(double use) {
        return Math.max(0, use - most - DUST);
    }
}

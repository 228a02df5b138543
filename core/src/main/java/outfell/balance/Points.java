package outfell.balance;

/**
 * What layers give, in points: 100 is the reference of each need.
 *
 * @param water of what binds water, 0 and more
 * @param oils of what softens
 * @param seal of what keeps water in
 */
public record Points(double water, double oils, double seal) {
    public static final Points NONE = new Points(0, 0, 0);

    public double of(Need need) {
        return switch (need) {
            case WATER -> water;
            case OILS -> oils;
            case SEAL -> seal;
        };
    }

    public Points and(Points more) {
        return new Points(water + more.water, oils + more.oils, seal + more.seal);
    }

    public Points times(double factor) {
        return new Points(water * factor, oils * factor, seal * factor);
    }
}

package outfell.skin;

/**
 * How oily the two sides of a face are, as far as a plan can be built on it.
 *
 * @param t forehead, nose and chin
 * @param u cheeks, and what is below the jaw
 */
public record FaceBands(Band t, Band u) {
    public static final FaceBands NORMAL = even(Band.NORMAL);

    /** Both sides alike. */
    public static FaceBands even(Band band) {
        return new FaceBands(band, band);
    }

    public boolean part() {
        return t != u;
    }
}

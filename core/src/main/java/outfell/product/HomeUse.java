package outfell.product;

/** How a mixture made at home is used. */
public enum HomeUse {
    /** Stays on, by day. */
    BY_DAY("left on by day"),
    /** Stays on, at night. */
    BY_NIGHT("left on at night"),
    /** Comes off after minutes. */
    MASK("as a mask"),
    /** Comes off at once. */
    WASH("as a wash or scrub");

    private final String words;

    HomeUse(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

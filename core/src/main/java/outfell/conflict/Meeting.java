package outfell.conflict;

/** How two actives may meet. */
public enum Meeting {
    /** Not in one plan. */
    NEVER("never together"),
    /** One in the morning, one in the evening. */
    AM_PM("not in one routine"),
    /** On separate nights. */
    NIGHTS("not on one night"),
    /** Together, with an eye on it. */
    CAUTION("mind"),
    /** Together. */
    FINE("fine"),
    /** Together; that they clash is a story. */
    MYTH("fine, the clash is a myth");

    private final String words;

    Meeting(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}

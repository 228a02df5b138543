package outfell.knowledge;

/** How sure it is what a text means. */
public enum Certainty {
    /** By its whole name. */
    SURE("sure"),
    /** By the stem of its family, or by one slip of the pen in a long name. */
    LIKELY("likely"),
    /** By more than one slip: to be asked, never to be relied on. */
    GUESS("a guess");

    private final String words;

    Certainty(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Whether it is sure enough for an open ban to take it. */
    public boolean binds() {
        return this != GUESS;
    }
}

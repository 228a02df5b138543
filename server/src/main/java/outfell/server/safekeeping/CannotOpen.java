package outfell.server.safekeeping;

/** The practice's data cannot be opened or put back: one sentence that says why and what to do; nothing was touched. */
public final class CannotOpen extends Exception {
    private static final long serialVersionUID = 1L;

    CannotOpen(String sentence) {
        super(sentence);
    }

    CannotOpen(String sentence, Throwable cause) {
        super(sentence, cause);
    }

    /** What to say. */
    public String sentence() {
        return String.valueOf(getMessage());
    }
}

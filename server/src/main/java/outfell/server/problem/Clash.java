package outfell.server.problem;

/** Two people have changed the same thing: both versions, so that nothing is lost. */
public final class Clash extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final transient Object theirs;

    public Clash(Object theirs) {
        super("This visit was changed in another window meanwhile. Nothing of yours is lost: choose which to keep.");
        this.theirs = theirs;
    }

    Object theirs() {
        return theirs;
    }
}

package outfell.server.problem;

/** Two people have changed the same thing: both versions, so that nothing is lost. Nothing was written. */
public final class Clash extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final transient Object theirs;

    /** @param what that was changed, as in "This visit" */
    public Clash(String what, Object theirs) {
        super("%s was changed in another window meanwhile. Nothing of yours is lost: choose which to keep."
                .formatted(what));
        this.theirs = theirs;
    }

    Object theirs() {
        return theirs;
    }
}

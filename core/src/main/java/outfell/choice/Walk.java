package outfell.choice;

/** How far a search may go: an amount of work, not a time, so that the same problem always gets the same answer; and whoever waits. */
final class Walk {
    /** Nodes after which it pays to ask more before going on. */
    private static final long SOON = 2_000;

    private final Runnable patience;
    private final long most;
    private final long soon;
    private long visited;

    /** @param patience asked at every node; it throws when nobody waits any more */
    Walk(Runnable patience, long most) {
        this(patience, most, SOON);
    }

    /** @param soon nodes that its first part goes */
    Walk(Runnable patience, long most, long soon) {
        this.patience = patience;
        this.most = most;
        this.soon = soon;
    }

    /** One node more; false once there were too many. */
    boolean on() {
        patience.run();
        visited++;
        return visited <= most;
    }

    /** A first part of what is still to go, after which it pays to ask more before going on. */
    Walk first() {
        return new Walk(this::on, soon);
    }

    boolean ended() {
        return visited > most;
    }

    long visited() {
        return visited;
    }
}

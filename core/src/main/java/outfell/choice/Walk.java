package outfell.choice;

/** How far a search may go: a number of nodes, so that the same problem always gets the same answer, and whoever waits. */
final class Walk {
    private final Runnable patience;
    private final long most;
    private long visited;

    /** @param patience asked at every node; it throws when nobody waits any more */
    Walk(Runnable patience, long most) {
        this.patience = patience;
        this.most = most;
    }

    /** One node more; false once there were too many. */
    boolean on() {
        patience.run();
        visited++;
        return visited <= most;
    }

    boolean ended() {
        return visited > most;
    }

    long visited() {
        return visited;
    }
}

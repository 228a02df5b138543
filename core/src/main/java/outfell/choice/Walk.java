package outfell.choice;

/** How far a search may go: an amount of work, not a time, so that the same problem always gets the same answer; and whoever waits. */
final class Walk {
    private final Runnable patience;
    private final long most;
    private long visited;
    private long worked;

    /** @param patience asked at every node; it throws when nobody waits any more */
    Walk(Runnable patience, long most) {
        this.patience = patience;
        this.most = most;
    }

    /** One node more; false once there was too much. */
    boolean on() {
        patience.run();
        visited++;
        worked++;
        return worked <= most;
    }

    /** One option more that was looked at for a bound. */
    void work() {
        worked++;
    }

    boolean ended() {
        return worked > most;
    }

    long visited() {
        return visited;
    }
}

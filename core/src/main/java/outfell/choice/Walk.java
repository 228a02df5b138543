package outfell.choice;

/** How far a search may go: an amount of work, not a time, so that the same problem always gets the same answer; and whoever waits. */
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

    /** A part of it that ends earlier. */
    Walk part(long most) {
        return new Walk(this::on, most);
    }

    boolean ended() {
        return visited > most;
    }

    long visited() {
        return visited;
    }
}

package outfell.skin;

/**
 * Something that lately thinned the barrier.
 *
 * @param days since it happened, 0 or more
 */
public record RecentEvent(Kind kind, int days) {
    /** What it takes off the barrier index at once, and the days until that has worn off. House judgement. */
    public enum Kind {
        OVER_EXFOLIATION("over-exfoliation", 15, 14),
        SUPERFICIAL_PEEL("a superficial peel", 20, 7),
        MEDIUM_PEEL("a medium peel", 30, 28),
        MICRONEEDLING("microneedling", 20, 7),
        WAXING("waxing", 10, 3),
        LIGHT_OR_LASER("light or laser", 15, 7),
        SUNBURN("sunburn", 20, 7);

        private final String words;
        private final int size;
        private final int window;

        Kind(String words, int size, int window) {
            this.words = words;
            this.size = size;
            this.window = window;
        }

        public String words() {
            return words;
        }
    }

    public RecentEvent {
        if (days < 0) {
            throw new IllegalArgumentException("Days since %s is %d; it cannot lie ahead.".formatted(kind.words, days));
        }
    }

    /** E = size · clamp(1 − days / window, 0, 1). */
    double cost() {
        return kind.size * Math.clamp(1 - (double) days / kind.window, 0, 1);
    }
}

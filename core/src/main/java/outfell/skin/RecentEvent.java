package outfell.skin;

/**
 * Something that lately thinned the barrier; safety.yaml says how much and for how long.
 *
 * @param words as named in a sentence, such as "waxing"
 * @param size points it takes off the barrier index at once, 0 to 100
 * @param window days until that has worn off, at least 1
 * @param days since it happened, 0 or more
 */
public record RecentEvent(String words, int size, int window, int days) {
    public RecentEvent {
        if (days < 0) {
            throw new IllegalArgumentException("Days since %s is %d; it cannot lie ahead.".formatted(words, days));
        }
        if (size < 0 || size > 100 || window < 1) {
            throw new IllegalArgumentException(
                    "%s takes %d points for %d days; 0..100 points and at least one day are possible."
                            .formatted(words, size, window));
        }
    }

    /** E = size · clamp(1 − days / window, 0, 1). */
    double cost() {
        return size * Math.clamp(1 - (double) days / window, 0, 1);
    }
}

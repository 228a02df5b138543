package outfell.skin;

/**
 * Which side a therapist keeps where two disagree.
 *
 * @param contradiction id of the {@link Contradiction}
 * @param who settled it
 * @param why in her words
 */
public record Settlement(String contradiction, Side keeps, String who, String why) {
    /** Where a finding comes from. */
    public enum Side {
        EYE,
        PROBE,
        WORD,
        READING
    }

    public Settlement {
        if (who.isBlank() || why.isBlank()) {
            throw new IllegalArgumentException("Settling a contradiction needs who settles it and why.");
        }
    }
}

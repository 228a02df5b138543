package outfell.skin;

/**
 * A verdict as the therapist holds it, against the computed one.
 *
 * @param value a value of the verdict: for a type a {@link Band}, or two as "OILY-DRY" for T-zone and cheeks; for water a
 *     {@link SkinVerdict.WaterState}; for sensitivity "SENSITIVE"; for the barrier "STRAINED" or "BROKEN"; for the phototype
 *     1 to 6
 */
public record ByHand(Verdict verdict, String value, String who, String why) {
    /** What can be set by hand. */
    public enum Verdict {
        TYPE,
        WATER,
        SENSITIVITY,
        BARRIER,
        PHOTOTYPE
    }

    public ByHand {
        if (who.isBlank() || why.isBlank()) {
            throw new IllegalArgumentException("A verdict set by hand needs who sets it and why.");
        }
    }
}

package outfell.product;

/** What a pack may direct, see directions.yaml. */
public enum Direction {
    /** On dry or on damp skin. */
    SKIN,
    /** Round the eyes, too, or not. */
    EYES,
    /** Rinsed off, wiped off, or left on. */
    LEAVES,
    /** Minutes that it stays. */
    MINUTES,
    /** Days a week at most. */
    TIMES,
    /** Months that it keeps once opened. */
    MONTHS,
    /** Millilitres of one stroke of its pump, or of one dropper. */
    DOSE
}

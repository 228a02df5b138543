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
    DOSE,
    /** Minutes that the second part of two stays. */
    SECOND_MINUTES,
    /** What is in its bottle. */
    SECOND_SIZE,
    /** What that bottle costs where it is sold by itself. */
    SECOND_PRICE;

    /** Whether its number is whole. */
    boolean whole() {
        return switch (this) {
            case SKIN, EYES, LEAVES, MINUTES, TIMES, MONTHS, SECOND_MINUTES -> true;
            case DOSE, SECOND_SIZE, SECOND_PRICE -> false;
        };
    }
}

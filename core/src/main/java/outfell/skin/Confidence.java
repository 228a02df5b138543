package outfell.skin;

/** How sure a verdict is. */
public enum Confidence {
    LOW,
    MEDIUM,
    HIGH
}

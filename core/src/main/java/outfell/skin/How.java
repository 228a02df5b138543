package outfell.skin;

/** How a grade is known. */
public enum How {
    SEEN,
    FELT,
    REPORTED
}

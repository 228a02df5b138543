package outfell.routine;

/** What speaks against rubbing and rolling for now. */
public enum NotWhile {
    STRAINED,
    SPOTS,
    NEW_RETINOID
}

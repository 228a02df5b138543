package outfell.routine;

/** Morning or evening. */
public enum Part {
    MORNING,
    EVENING;

    public String words() {
        return name().toLowerCase();
    }
}

package outfell.climate;

/** Identity of a place that one lives and works at. */
public record SiteId(String value) {
    public SiteId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("A site needs an id; none was given.");
        }
    }

    @Override
    public String toString() {
        return value;
    }
}

package outfell.method;

/** Identity of a method, shipped or of the house, stable over renaming. */
public record MethodId(String value) {
    public MethodId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("A method needs an id; none was given.");
        }
    }

    @Override
    public String toString() {
        return value;
    }
}

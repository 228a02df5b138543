package outfell.product;

/** Identity of a product, stable over renaming. */
public record ProductId(String value) implements Comparable<ProductId> {
    public ProductId {
        // a document may leave it out; that is told like a blank one
        if (value == null || value.isBlank()) {
            throw new IllegalArgumentException("A product needs an id; none was given.");
        }
    }

    @Override
    public int compareTo(ProductId other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}

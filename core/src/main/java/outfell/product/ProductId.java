package outfell.product;

/** Identity of a product, stable over renaming. */
public record ProductId(String value) implements Comparable<ProductId> {
    public ProductId {
        if (value.isBlank()) {
            throw new IllegalArgumentException("A product id cannot be blank.");
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

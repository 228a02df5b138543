package outfell.routine;

import java.util.Optional;
import outfell.product.ProductId;

/**
 * What a therapist puts beside a step: another one again, or a step without a product.
 *
 * @param again the step that comes once more, straight after it
 * @param alone which step without a product
 */
public record Then(Optional<ProductId> again, Optional<Alone> alone) {
    /** @throws IllegalArgumentException when it is neither or both */
    public Then {
        if (again.isPresent() == alone.isPresent()) {
            throw new IllegalArgumentException("Beside a step stands another one again, or a step without a product.");
        }
    }

    public static Then again(ProductId product) {
        return new Then(Optional.of(product), Optional.empty());
    }

    public static Then alone(Alone alone) {
        return new Then(Optional.empty(), Optional.of(alone));
    }
}

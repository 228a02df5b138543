package outfell.recipe;

import java.util.List;
import java.util.Optional;
import outfell.product.HomeUse;
import outfell.product.Product;

/**
 * A mixture: made at home for some days, or in the palm for one use.
 *
 * @param palm whether it is mixed in the palm each time
 * @param preserved whether a preservative was put in by its own label
 */
public record Recipe(String name, HomeUse use, boolean palm, boolean preserved, List<Part> parts) {

    /**
     * Some of something: of the pantry, or of a product.
     *
     * @param item exactly one of the two is there
     * @param amount more than 0
     */
    public record Part(Optional<Pantry.PantryItem> item, Optional<Product> product, double amount, Measure measure) {
        public Part {
            if (item.isPresent() == product.isPresent()) {
                throw new IllegalArgumentException("A part is of the pantry or a product, not both and not neither.");
            }
            if (!(amount > 0)) {
                throw new IllegalArgumentException("How much of %s? More than 0.".formatted(named(item, product)));
            }
            if (measure == Measure.DROP && item.isPresent() && !item.get().drops()) {
                throw new IllegalArgumentException("%s does not drop; measure it by the spoon."
                        .formatted(item.get().name()));
            }
        }

        private static String named(Optional<Pantry.PantryItem> item, Optional<Product> product) {
            return item.map(Pantry.PantryItem::name)
                    .or(() -> product.map(Product::name))
                    .orElse("");
        }

        public static Part ofPantry(String id, double amount, Measure measure) {
            return new Part(
                    Optional.of(Pantry.find(id)
                            .orElseThrow(() -> new IllegalArgumentException(
                                    "There is nothing called %s in the pantry.".formatted(id)))),
                    Optional.empty(),
                    amount,
                    measure);
        }

        public static Part ofProduct(Product product, double amount, Measure measure) {
            return new Part(Optional.empty(), Optional.of(product), amount, measure);
        }

        String name() {
            return named(item, product);
        }

        double grams() {
            return item.map(i -> Pantry.grams(
                            amount,
                            measure,
                            i.density(),
                            i.form() == Pantry.Form.OIL || i.form() == Pantry.Form.ESSENTIAL_OIL))
                    .or(() -> product.map(p -> Pantry.grams(amount, measure, density(p), p.waterFree())))
                    .orElseThrow();
        }

        /** Oils are lighter than water and what holds mineral filters heavier; emulsions are taken as water. */
        private static double density(Product p) {
            return p.waterFree() ? OIL : p.spf() > 0 ? SUNSCREEN : 1;
        }

        private static final double OIL = 0.92;
        private static final double SUNSCREEN = 1.1;
    }

    public Recipe {
        if (parts.size() < 2 && palm) {
            throw new IllegalArgumentException("A blend has two parts at least.");
        }
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("Nothing is in it yet.");
        }
        parts = List.copyOf(parts);
    }
}

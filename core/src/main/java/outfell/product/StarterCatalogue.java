package outfell.product;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** Made-up products to begin with, from starter-catalogue.yaml. */
public final class StarterCatalogue {
    private static final List<Product.Facts> FACTS = Row.unique(
            KnowledgeFile.yaml("starter-catalogue.yaml").rows("products"), StarterCatalogue::read, Product.Facts::id);

    private StarterCatalogue() {}

    /** As they would be typed. */
    public static List<Product.Facts> facts() {
        return FACTS;
    }

    /** As they are understood. */
    public static List<Product> products() {
        return FACTS.stream().map(ProductReader::read).toList();
    }

    private static Product.Facts read(Row row) {
        return new Product.Facts(
                new ProductId(row.text("id")),
                row.text("name"),
                row.text("maker"),
                row.number("size", 0, 5000),
                row.text("unit"),
                row.number("price", 0, 1000),
                row.text("label"),
                Optional.empty(),
                row.has("texture") ? OptionalDouble.of(row.number("texture", 1, 8)) : OptionalDouble.empty(),
                false);
    }
}

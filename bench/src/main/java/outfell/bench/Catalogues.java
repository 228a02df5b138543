package outfell.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StarterCatalogue;

/** Large catalogues for measuring: the starter catalogue and varied copies of it. */
final class Catalogues {
    private Catalogues() {}

    static List<Product> varied(int size, RandomGenerator random) {
        List<Product.Facts> starter = StarterCatalogue.facts();
        List<Product> all = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            Product.Facts f = starter.get(i % starter.size());
            all.add(ProductReader.read(new Product.Facts(
                    new ProductId("%s-%d".formatted(f.id(), i)),
                    f.name(),
                    f.maker(),
                    f.size(),
                    f.unit(),
                    i < starter.size() ? f.price() : Math.round(f.price() * (50 + random.nextInt(150))) / 100.0,
                    i < starter.size() ? f.label() : otherLabel(f.label(), random),
                    f.kind(),
                    f.texture(),
                    f.prescription())));
        }
        return all;
    }

    /** Another strength wherever one is declared, and one more ingredient. */
    private static String otherLabel(String label, RandomGenerator random) {
        List<String> more =
                List.of("Panthenol", "Niacinamide 3 %", "Ceramide NP", "Allantoin", "Sodium PCA", "Squalane");
        String stronger = label.replaceAll("(\\d) %", (1 + random.nextInt(9)) + " %");
        return stronger + ", " + more.get(random.nextInt(more.size()));
    }
}

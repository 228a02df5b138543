package outfell.server.catalogue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;

/** The house's products, understood. */
@Service
public class Catalogue {
    private final ProductStore store;
    /** What was typed, with what it means: reading a label is pure, so the same facts are read once. */
    private final Map<Product.Facts, Product> understood = new ConcurrentHashMap<>();

    Catalogue(ProductStore store) {
        this.store = store;
    }

    public List<Product> house() {
        return store.house().stream().map(this::understand).toList();
    }

    public Optional<Product> find(ProductId id) {
        return store.find(id).map(this::understand);
    }

    public Product understand(Product.Facts facts) {
        return understood.computeIfAbsent(facts, ProductReader::read);
    }

    @Transactional
    public Product add(ProductForm form, boolean house) {
        Product.Facts facts = form.facts(store.freeId(form.name()));
        store.add(facts, house);
        return understand(facts);
    }
}

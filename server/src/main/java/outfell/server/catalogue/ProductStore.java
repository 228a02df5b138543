package outfell.server.catalogue;

import static outfell.store.Tables.PRODUCT;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.store.tables.records.ProductRecord;

/** Products as typed; what they are is read from them anew each time, so that better knowledge reaches old products. */
@Repository
public class ProductStore {
    private final DSLContext db;

    ProductStore(DSLContext db) {
        this.db = db;
    }

    /** The house catalogue by name. */
    public List<Product.Facts> house() {
        return db.selectFrom(PRODUCT)
                .where(PRODUCT.HOUSE)
                .orderBy(PRODUCT.NAME, PRODUCT.ID)
                .fetch(ProductStore::facts);
    }

    public Optional<Product.Facts> find(ProductId id) {
        return db.selectFrom(PRODUCT).where(PRODUCT.ID.eq(id.value())).fetchOptional(ProductStore::facts);
    }

    public void add(Product.Facts facts, boolean house) {
        ProductRecord row = db.newRecord(PRODUCT);
        row.setId(facts.id().value());
        row.setName(facts.name().strip());
        row.setMaker(facts.maker().strip());
        row.setNetSize(BigDecimal.valueOf(facts.size()));
        row.setSizeUnit(facts.unit());
        row.setPrice(BigDecimal.valueOf(facts.price()));
        row.setLabel(facts.label());
        row.setKind(facts.kind().map(Enum::name).orElse(null));
        row.setTexture(
                facts.texture().isPresent() ? BigDecimal.valueOf(facts.texture().getAsDouble()) : null);
        row.setPrescription(facts.prescription());
        row.setHouse(house);
        row.insert();
    }

    /** An id from the name that nothing else has: "sun-fluid", "sun-fluid-2". */
    public ProductId freeId(String name) {
        String stem =
                name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        String base = stem.isEmpty() ? "product" : stem.substring(0, Math.min(50, stem.length()));
        List<String> taken = db.select(PRODUCT.ID)
                .from(PRODUCT)
                .where(PRODUCT.ID.startsWith(base))
                .fetch(PRODUCT.ID);
        String id = base;
        for (int n = 2; taken.contains(id); n++) {
            id = base + "-" + n;
        }
        return new ProductId(id);
    }

    private static Product.Facts facts(ProductRecord row) {
        return new Product.Facts(
                new ProductId(row.getId()),
                row.getName(),
                row.getMaker(),
                row.getNetSize().doubleValue(),
                row.getSizeUnit(),
                row.getPrice().doubleValue(),
                row.getLabel(),
                Optional.ofNullable(row.getKind()).map(StepKind::valueOf),
                row.getTexture() == null
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(row.getTexture().doubleValue()),
                row.getPrescription());
    }
}

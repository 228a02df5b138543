package outfell.server.catalogue;

import static org.jooq.impl.DSL.noCondition;
import static outfell.store.Tables.PRODUCT;
import static outfell.store.Tables.PRODUCT_CHANGE;
import static outfell.store.Tables.PRODUCT_CORRECTION;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import outfell.product.Correction;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.store.tables.records.ProductCorrectionRecord;
import outfell.store.tables.records.ProductRecord;

/** Products as typed; what they are is read from them anew each time, so that better knowledge reaches old products. */
@Repository
public class ProductStore {
    /** Words that stand in addresses where an id would. */
    private static final Set<String> RESERVED =
            Set.of("search", "compare", "comparison", "imports", "export", "recipes");

    private final DSLContext db;

    ProductStore(DSLContext db) {
        this.db = db;
    }

    /** Where a product stands in time. */
    public record Standing(int formula, @Nullable LocalDate retiredOn, boolean house) {}

    /** What happened to a product. */
    public enum ChangeKind {
        RENAMED,
        REFORMULATED,
        REPRICED,
        RETIRED,
        BROUGHT_BACK
    }

    /** @param formula that held before it */
    public record ProductChange(ChangeKind kind, int formula, String was, String now, String who, LocalDateTime at) {}

    /** The house catalogue by name, without what is retired. */
    public List<Product.Facts> house() {
        Map<String, List<Correction>> corrections = corrections(noCondition());
        return db.selectFrom(PRODUCT)
                .where(PRODUCT.HOUSE)
                .and(PRODUCT.RETIRED_ON.isNull())
                .orderBy(PRODUCT.NAME, PRODUCT.ID)
                .fetch(r -> facts(r).corrected(corrections.getOrDefault(r.getId(), List.of())));
    }

    public Optional<Product.Facts> find(ProductId id) {
        Map<String, List<Correction>> corrections = corrections(PRODUCT_CORRECTION.PRODUCT_ID.eq(id.value()));
        return db.selectFrom(PRODUCT)
                .where(PRODUCT.ID.eq(id.value()))
                .fetchOptional(r -> facts(r).corrected(corrections.getOrDefault(r.getId(), List.of())));
    }

    public Optional<Standing> standing(ProductId id) {
        return db.select(PRODUCT.FORMULA, PRODUCT.RETIRED_ON, PRODUCT.HOUSE)
                .from(PRODUCT)
                .where(PRODUCT.ID.eq(id.value()))
                .fetchOptional(r -> new Standing(r.value1(), r.value2(), r.value3()));
    }

    /** Newest first. */
    public List<ProductChange> changes(ProductId id) {
        return db.selectFrom(PRODUCT_CHANGE)
                .where(PRODUCT_CHANGE.PRODUCT_ID.eq(id.value()))
                .orderBy(PRODUCT_CHANGE.CHANGED_AT.desc(), PRODUCT_CHANGE.ID)
                .fetch(r -> new ProductChange(
                        ChangeKind.valueOf(r.getKind()),
                        r.getFormula(),
                        r.getWas(),
                        r.getIsNow(),
                        r.getWho(),
                        r.getChangedAt()));
    }

    void note(ProductId id, ProductChange change) {
        db.insertInto(PRODUCT_CHANGE)
                .set(PRODUCT_CHANGE.ID, UUID.randomUUID())
                .set(PRODUCT_CHANGE.PRODUCT_ID, id.value())
                .set(PRODUCT_CHANGE.KIND, change.kind().name())
                .set(PRODUCT_CHANGE.FORMULA, change.formula())
                .set(PRODUCT_CHANGE.WAS, change.was())
                .set(PRODUCT_CHANGE.IS_NOW, change.now())
                .set(PRODUCT_CHANGE.WHO, change.who())
                .set(PRODUCT_CHANGE.CHANGED_AT, change.at())
                .execute();
    }

    void change(Product.Facts facts, int formula) {
        db.update(PRODUCT)
                .set(PRODUCT.NAME, facts.name().strip())
                .set(PRODUCT.MAKER, facts.maker().strip())
                .set(PRODUCT.NET_SIZE, BigDecimal.valueOf(facts.size()))
                .set(PRODUCT.SIZE_UNIT, facts.unit())
                .set(PRODUCT.PRICE, BigDecimal.valueOf(facts.price()))
                .set(PRODUCT.LABEL, facts.label())
                .set(PRODUCT.FORMULA, formula)
                .where(PRODUCT.ID.eq(facts.id().value()))
                .execute();
    }

    void retire(ProductId id, @Nullable LocalDate on) {
        db.update(PRODUCT)
                .set(PRODUCT.RETIRED_ON, on)
                .where(PRODUCT.ID.eq(id.value()))
                .execute();
    }

    void correct(ProductId id, Correction c) {
        uncorrect(id, c.about(), c.of());
        db.insertInto(PRODUCT_CORRECTION)
                .set(PRODUCT_CORRECTION.PRODUCT_ID, id.value())
                .set(PRODUCT_CORRECTION.ABOUT, c.about().name())
                .set(PRODUCT_CORRECTION.OF_NAME, c.of())
                .set(PRODUCT_CORRECTION.SET_TO, c.to())
                .set(PRODUCT_CORRECTION.WHO, c.who())
                .set(PRODUCT_CORRECTION.ON_DATE, c.on())
                .execute();
    }

    void uncorrect(ProductId id, Correction.About about, String of) {
        db.deleteFrom(PRODUCT_CORRECTION)
                .where(PRODUCT_CORRECTION.PRODUCT_ID.eq(id.value()))
                .and(PRODUCT_CORRECTION.ABOUT.eq(about.name()))
                .and(PRODUCT_CORRECTION.OF_NAME.eq(of))
                .execute();
    }

    private Map<String, List<Correction>> corrections(Condition which) {
        return db
                .selectFrom(PRODUCT_CORRECTION)
                .where(which)
                .orderBy(PRODUCT_CORRECTION.ABOUT, PRODUCT_CORRECTION.OF_NAME)
                .fetch()
                .stream()
                .collect(Collectors.groupingBy(
                        ProductCorrectionRecord::getProductId,
                        Collectors.mapping(
                                r -> new Correction(
                                        Correction.About.valueOf(r.getAbout()),
                                        r.getOfName(),
                                        r.getSetTo(),
                                        r.getWho(),
                                        r.getOnDate()),
                                Collectors.toList())));
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
        for (int n = 2; taken.contains(id) || RESERVED.contains(id); n++) {
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

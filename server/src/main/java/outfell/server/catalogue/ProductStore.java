package outfell.server.catalogue;

import static org.jooq.impl.DSL.noCondition;
import static outfell.store.Tables.PATCH_TEST;
import static outfell.store.Tables.PATCH_WAIVER;
import static outfell.store.Tables.PLAN_PRODUCT;
import static outfell.store.Tables.PRODUCT;
import static outfell.store.Tables.PRODUCT_CHANGE;
import static outfell.store.Tables.PRODUCT_CORRECTION;
import static outfell.store.Tables.SHELF_ITEM;
import static outfell.store.Tables.VISIT_CHOICE;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.TableField;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Repository;
import outfell.product.Correction;
import outfell.product.HomeUse;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.store.tables.records.ProductChangeRecord;
import outfell.store.tables.records.ProductCorrectionRecord;
import outfell.store.tables.records.ProductRecord;

/** Products as typed; what they are is read from them anew each time, so that better knowledge reaches old products. */
@Repository
public class ProductStore {
    /** Words that stand in addresses where an id would. */
    private static final Set<String> RESERVED =
            Set.of("search", "compare", "comparison", "files", "file", "recipes", "ingredients");

    private static final int AT_A_TIME = 500;

    private final DSLContext db;

    ProductStore(DSLContext db) {
        this.db = db;
    }

    /** Where a product stands in time. */
    public record Standing(int formula, @Nullable LocalDate retiredOn, boolean house, int version) {}

    /** A product's own facts with where it stands in time: what a file may change and put back. */
    public record Stored(
            Product.Facts facts, int formula, @Nullable LocalDate retiredOn, boolean house) {}

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
        return find(List.of(id)).stream().findFirst();
    }

    /** Those of a shelf that there are, by id. */
    public List<Product.Facts> find(Collection<ProductId> ids) {
        List<String> wanted = ids.stream().map(ProductId::value).toList();
        Map<String, List<Correction>> corrections = corrections(PRODUCT_CORRECTION.PRODUCT_ID.in(wanted));
        return db.selectFrom(PRODUCT)
                .where(PRODUCT.ID.in(wanted))
                .fetch(r -> facts(r).corrected(corrections.getOrDefault(r.getId(), List.of())));
    }

    public Optional<Standing> standing(ProductId id) {
        return db.select(PRODUCT.FORMULA, PRODUCT.RETIRED_ON, PRODUCT.HOUSE, PRODUCT.VERSION)
                .from(PRODUCT)
                .where(PRODUCT.ID.eq(id.value()))
                .fetchOptional(r -> new Standing(r.value1(), r.value2(), r.value3(), r.value4()));
    }

    /** The house's products, retired ones too, by name. */
    public List<Stored> wholeHouse() {
        return db.selectFrom(PRODUCT)
                .where(PRODUCT.HOUSE)
                .orderBy(PRODUCT.NAME, PRODUCT.ID)
                .fetch(ProductStore::stored);
    }

    /** Every product that there is. */
    public List<Stored> all() {
        return db.selectFrom(PRODUCT).orderBy(PRODUCT.ID).fetch(ProductStore::stored);
    }

    public List<Stored> stored(Collection<String> ids) {
        return someAtATime(ids)
                .flatMap(some -> db.selectFrom(PRODUCT).where(PRODUCT.ID.in(some)).fetch(ProductStore::stored).stream())
                .toList();
    }

    /** A statement with ten thousands of values takes the database longer to read than to run. */
    private static Stream<List<String>> someAtATime(Collection<String> ids) {
        List<String> all = List.copyOf(ids);
        return IntStream.rangeClosed(0, (all.size() - 1) / AT_A_TIME)
                .mapToObj(i -> all.subList(i * AT_A_TIME, Math.min(all.size(), (i + 1) * AT_A_TIME)))
                .filter(some -> !some.isEmpty());
    }

    private static Stored stored(ProductRecord row) {
        return new Stored(facts(row), row.getFormula(), row.getRetiredOn(), row.getHouse());
    }

    /** Writes many at once, new ones and changed ones. */
    public void putAll(List<Stored> fresh, List<Stored> changed) {
        db.batchInsert(fresh.stream().map(this::row).toList()).execute();
        db.batchUpdate(changed.stream().map(this::row).toList()).execute();
        someAtATime(changed.stream().map(s -> s.facts().id().value()).toList())
                .forEach(some -> db.update(PRODUCT)
                        .set(PRODUCT.VERSION, PRODUCT.VERSION.plus(1))
                        .where(PRODUCT.ID.in(some))
                        .execute());
    }

    /** Those of the ids that stand on a shelf, in a plan or in a patch test, or were put right by hand. */
    public Set<String> inUse(Collection<String> ids) {
        Set<String> used = new TreeSet<>();
        for (TableField<?, String> column : List.of(
                SHELF_ITEM.PRODUCT_ID,
                PLAN_PRODUCT.PRODUCT_ID,
                PATCH_TEST.PRODUCT_ID,
                PATCH_WAIVER.PRODUCT_ID,
                VISIT_CHOICE.PRODUCT_ID,
                PRODUCT_CORRECTION.PRODUCT_ID)) {
            someAtATime(ids)
                    .forEach(some -> used.addAll(db.selectDistinct(column)
                            .from(column.getTable())
                            .where(column.in(some))
                            .fetch(column)));
        }
        return used;
    }

    /** Whether a product stands on the shelf of anybody else. */
    public boolean ownedByOthers(String product, UUID client) {
        return db.fetchExists(SHELF_ITEM, SHELF_ITEM.PRODUCT_ID.eq(product).and(SHELF_ITEM.CLIENT_ID.ne(client)));
    }

    /** Takes products out for good, with what was put right of them and what happened to them. */
    public void deleteAll(Collection<String> ids) {
        someAtATime(ids).forEach(some -> {
            db.deleteFrom(PRODUCT_CORRECTION)
                    .where(PRODUCT_CORRECTION.PRODUCT_ID.in(some))
                    .execute();
            db.deleteFrom(PRODUCT_CHANGE)
                    .where(PRODUCT_CHANGE.PRODUCT_ID.in(some))
                    .execute();
            db.deleteFrom(PRODUCT).where(PRODUCT.ID.in(some)).execute();
        });
    }

    /** Notes what a file changed. */
    public void noteAll(UUID file, Map<ProductId, List<ProductChange>> changes) {
        db.batchInsert(changes.entrySet().stream()
                        .flatMap(e -> e.getValue().stream().map(c -> changeRow(e.getKey(), c, file)))
                        .toList())
                .execute();
    }

    /** Forgets what a file changed, when it is taken back. */
    public void unnote(UUID file) {
        db.deleteFrom(PRODUCT_CHANGE).where(PRODUCT_CHANGE.FILE_ID.eq(file)).execute();
    }

    private ProductChangeRecord changeRow(ProductId id, ProductChange change, @Nullable UUID file) {
        ProductChangeRecord row = db.newRecord(PRODUCT_CHANGE);
        row.setId(UUID.randomUUID());
        row.setProductId(id.value());
        row.setKind(change.kind().name());
        row.setFormula(change.formula());
        row.setWas(change.was());
        row.setIsNow(change.now());
        row.setWho(change.who());
        row.setChangedAt(change.at());
        row.setFileId(file);
        return row;
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
        changeRow(id, change, null).insert();
    }

    /** @return whether the version was still the one that was read; then it is the next */
    boolean claim(ProductId id, int version) {
        return db.update(PRODUCT)
                        .set(PRODUCT.VERSION, PRODUCT.VERSION.plus(1))
                        .where(PRODUCT.ID.eq(id.value()))
                        .and(PRODUCT.VERSION.eq(version))
                        .execute()
                == 1;
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
        row(new Stored(facts, 1, null, house)).insert();
    }

    /** A mixture made at home, with the recipe as it was sent. */
    public void addRecipe(Product.Facts facts, String recipe) {
        ProductRecord row = row(new Stored(facts, 1, null, false));
        row.setRecipe(recipe);
        row.insert();
    }

    public Optional<String> recipe(ProductId id) {
        return db.select(PRODUCT.RECIPE)
                .from(PRODUCT)
                .where(PRODUCT.ID.eq(id.value()))
                .and(PRODUCT.RECIPE.isNotNull())
                .fetchOptional(PRODUCT.RECIPE);
    }

    private ProductRecord row(Stored s) {
        Product.Facts facts = s.facts();
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
        row.setHouse(s.house());
        row.setFormula(s.formula());
        row.setRetiredOn(s.retiredOn());
        row.setHomeUse(facts.home().map(Enum::name).orElse(null));
        return row;
    }

    /** Ids for new products by their names, none taken and none twice. */
    public static final class Ids {
        private final Set<String> taken;
        private final Map<String, Integer> next = new HashMap<>();

        public Ids(Collection<String> taken) {
            this.taken = new HashSet<>(taken);
        }

        public ProductId next(String name) {
            String base = stem(name);
            String id = base;
            while (taken.contains(id) || RESERVED.contains(id)) {
                id = base + "-" + next.merge(base, 2, (n, two) -> n + 1);
            }
            taken.add(id);
            return new ProductId(id);
        }
    }

    private static String stem(String name) {
        String stem =
                name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        return stem.isEmpty() ? "product" : stem.substring(0, Math.min(50, stem.length()));
    }

    public static boolean isReserved(String id) {
        return RESERVED.contains(id);
    }

    /** Adds a product under an id of its own name; two of one name that come at once each get theirs. */
    public Product.Facts addNamed(String name, Function<ProductId, Product.Facts> facts, boolean house) {
        Ids ids = new Ids(List.of());
        while (true) {
            ProductId id = ids.next(name);
            if (db.fetchExists(PRODUCT, PRODUCT.ID.eq(id.value()))) {
                continue;
            }
            try {
                Product.Facts made = facts.apply(id);
                add(made, house);
                return made;
            } catch (DuplicateKeyException atOnce) {
                // somebody took the id between the look and the write; the next one is tried
            }
        }
    }

    /** An id from the name that nothing else has: "sun-fluid", "sun-fluid-2". */
    public ProductId freeId(String name) {
        return new Ids(db.select(PRODUCT.ID)
                        .from(PRODUCT)
                        .where(PRODUCT.ID.startsWith(stem(name)))
                        .fetch(PRODUCT.ID))
                .next(name);
    }

    private static Product.Facts facts(ProductRecord row) {
        Product.Facts facts = new Product.Facts(
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
        return row.getHomeUse() == null ? facts : facts.madeAtHome(HomeUse.valueOf(row.getHomeUse()));
    }
}

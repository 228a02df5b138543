package outfell.server.catalogue;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import outfell.product.Correction;
import outfell.product.HomeUse;
import outfell.product.OwnIngredients;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.server.catalogue.ProductStore.ChangeKind;
import outfell.server.catalogue.ProductStore.ProductChange;
import outfell.server.practice.FollowedSchools;
import outfell.server.practice.Settings;
import outfell.server.problem.Clash;
import outfell.server.problem.Problem;
import outfell.shelf.Finder;
import outfell.shelf.SideBySide;
import outfell.shelf.Substitutes;

/** The house's products, understood. */
@Service
public class Catalogue {
    /** What was found: how many there are, the first of them, and which words were read as others. */
    public record SearchResult(int total, List<ProductView> products, List<ReadAs> readAs) {}

    /** A word that stands nowhere, and those one slip of the finger away that were looked for in its place. */
    public record ReadAs(String word, List<String> as) {}

    /** A product with what was typed, what was put right, and what it was before. */
    public record Detail(
            ProductView product,
            int version,
            String label,
            int formula,

            @io.swagger.v3.oas.annotations.media.Schema(types = {"string", "null"}) @Nullable
            LocalDate retiredOn,

            boolean house,

            @io.swagger.v3.oas.annotations.media.Schema(types = {"string", "null"}) @Nullable
            HomeUse madeAtHome,

            List<Correction> corrections,
            List<ProductChange> changes) {}

    private static final int SHOWN = 60;
    /** More than any house shelf. */
    private static final int UNDERSTOOD = 60_000;

    private final ProductStore store;
    private final Settings settings;
    private final FollowedSchools schools;
    private final OwnIngredientStore ingredients;
    private volatile @Nullable OwnIngredients own;
    private final Clock clock;
    /** What was typed, with what it means: reading a label is pure, so the same facts are read once. */
    private volatile Cache<Product.Facts, Product> understood = nothingUnderstood();
    /** How often products have changed, so far as everybody can see. */
    private final AtomicLong generation = new AtomicLong();
    /** The house shelf laid out for finding, with the generation that it was read in. */
    private volatile @Nullable LaidOut laidOut;

    /** An index holds for as long as its generation is the newest: one read beside a change is never taken for good. */
    private record LaidOut(long generation, Finder.Index index) {}

    Catalogue(
            ProductStore store,
            Settings settings,
            FollowedSchools schools,
            OwnIngredientStore ingredients,
            Clock clock) {
        this.store = store;
        this.settings = settings;
        this.schools = schools;
        this.ingredients = ingredients;
        this.clock = clock;
    }

    /** Lays the shelf out before anybody asks, so that the first search is as quick as the next. */
    @EventListener(ApplicationReadyEvent.class)
    void layOut() {
        Thread.ofVirtual().name("catalogue").start(this::index);
    }

    public List<Product> house() {
        return index().all();
    }

    public SearchResult find(Finder.Wanted wanted) {
        Finder.Found found = Finder.search(index(), wanted);
        return new SearchResult(
                found.products().size(),
                found.products().stream().limit(SHOWN).map(ProductView::of).toList(),
                found.readAs().entrySet().stream()
                        .map(e -> new ReadAs(e.getKey(), e.getValue()))
                        .toList());
    }

    public List<SideBySide.ComparisonRow> compare(List<String> ids) {
        return SideBySide.of(
                ids.stream().map(id -> known(new ProductId(id))).toList(), schools.current(), settings.currency());
    }

    public Substitutes.Instead substitutes(ProductId id, Substitutes.Want want) {
        return Substitutes.of(known(id), house(), want, settings.currency());
    }

    public Optional<Product> find(ProductId id) {
        return store.find(id).map(this::understand);
    }

    /** Several at once, by id; what there is not is left out. */
    public Map<ProductId, Product> find(Collection<ProductId> ids) {
        return ids.isEmpty()
                ? Map.of()
                : store.find(ids).stream().map(this::understand).collect(Collectors.toMap(Product::id, p -> p));
    }

    public Detail detail(ProductId id) {
        Product product = known(id);
        ProductStore.Standing standing = store.standing(id).orElseThrow();
        Product.Facts facts = store.find(id).orElseThrow();
        return new Detail(
                ProductView.of(product),
                standing.version(),
                facts.label(),
                standing.formula(),
                standing.retiredOn(),
                standing.house(),
                facts.home().orElse(null),
                facts.corrections(),
                store.changes(id));
    }

    public Product understand(Product.Facts facts) {
        return understood.get(facts, f -> ProductReader.read(f, own()));
    }

    /** What a label says, by what the practice says of ingredients; nothing is kept of it. */
    public Product read(Product.Facts facts) {
        return ProductReader.read(facts, own());
    }

    private OwnIngredients own() {
        OwnIngredients ready = own;
        if (ready == null) {
            ready = new OwnIngredients(ingredients.all().stream()
                    .filter(s -> !s.withdrawn())
                    .map(OwnIngredientStore.Said::row)
                    .toList());
            own = ready;
        }
        return ready;
    }

    private static Cache<Product.Facts, Product> nothingUnderstood() {
        return Caffeine.newBuilder().maximumSize(UNDERSTOOD).build();
    }

    /** What the practice says of ingredients has changed: every label is read again when it is next asked for. */
    void readAnew() {
        own = null;
        // another cache, so that what is being read by what was said before is not kept for good
        understood = nothingUnderstood();
        changed();
    }

    @Transactional
    public Product add(ProductForm form, boolean house) {
        Product.Facts facts = store.addNamed(form.name(), form::facts, house);
        changed();
        return understand(facts);
    }

    /** A mixture made at home, on its way to a client's shelf. */
    @Transactional
    public Product addRecipe(Product.Facts read, String recipe) {
        Product.Facts facts = new Product.Facts(
                        store.freeId(read.name()),
                        read.name(),
                        read.maker(),
                        read.size(),
                        read.unit(),
                        read.price(),
                        read.label(),
                        read.kind(),
                        read.texture(),
                        false)
                .madeAtHome(read.home().orElseThrow());
        store.addRecipe(facts, recipe);
        return understand(facts);
    }

    /** The recipe as it was sent, if it is one. */
    public Optional<String> recipe(ProductId id) {
        return store.recipe(id);
    }

    /** A new name, price or formula; what it was is kept, with who changed it. */
    @Transactional
    public Detail change(ProductId id, ProductForm form, String who, int version) {
        ProductStore.Stored before = store.stored(List.of(id.value())).stream()
                .findFirst()
                .orElseThrow(() -> Problem.notFound("product", id));
        Product.Facts facts = form.facts(id);
        ProductStore.Stored after =
                becomes(before, before.facts().home().map(facts::madeAtHome).orElse(facts), before.retiredOn());
        if (sameFacts(before.facts(), after.facts())) {
            return detail(id);
        }
        claim(id, version);
        changes(before, after, who).forEach(c -> store.note(id, c));
        store.change(after.facts(), after.formula());
        changed();
        return detail(id);
    }

    /** A change that was sent twice, or changes nothing, is no change. */
    private static boolean sameFacts(Product.Facts a, Product.Facts b) {
        return a.name().equals(b.name().strip())
                && a.maker().equals(b.maker().strip())
                && a.size() == b.size()
                && a.unit().equals(b.unit())
                && a.price() == b.price()
                && a.label().equals(b.label());
    }

    /** @throws Clash when somebody else has changed the product since this version was read */
    private void claim(ProductId id, int version) {
        if (!store.claim(id, version)) {
            throw new Clash("This product", detail(id));
        }
    }

    /** What becomes of a product by new facts: another list makes another formula. */
    public static ProductStore.Stored becomes(
            ProductStore.Stored before, Product.Facts facts, @Nullable LocalDate retiredOn) {
        boolean reformulated = !before.facts().label().equals(facts.label());
        return new ProductStore.Stored(
                facts, reformulated ? before.formula() + 1 : before.formula(), retiredOn, before.house());
    }

    /** What lies between two states, to be kept in the product's history. */
    public List<ProductChange> changes(ProductStore.Stored before, ProductStore.Stored after, String who) {
        Product.Facts was = before.facts();
        Product.Facts now = after.facts();
        List<ProductChange> all = new ArrayList<>();
        BiConsumer<ChangeKind, List<String>> note = (kind, pair) -> {
            if (!pair.getFirst().equals(pair.getLast())) {
                all.add(new ProductChange(
                        kind, before.formula(), pair.getFirst(), pair.getLast(), who, LocalDateTime.now(clock)));
            }
        };
        note.accept(ChangeKind.RENAMED, List.of(was.name(), now.name().strip()));
        note.accept(ChangeKind.REPRICED, List.of(String.valueOf(was.price()), String.valueOf(now.price())));
        note.accept(ChangeKind.REFORMULATED, List.of(was.label(), now.label()));
        if ((before.retiredOn() == null) != (after.retiredOn() == null)) {
            all.add(new ProductChange(
                    after.retiredOn() == null ? ChangeKind.BROUGHT_BACK : ChangeKind.RETIRED,
                    before.formula(),
                    "",
                    "",
                    who,
                    LocalDateTime.now(clock)));
        }
        return all;
    }

    /** Off the house shelf, or back on it; what stands on clients' shelves and in kept plans stays. */
    @Transactional
    public Detail retire(ProductId id, boolean retired, String who, int version) {
        known(id);
        ProductStore.Standing standing = store.standing(id).orElseThrow();
        if ((standing.retiredOn() != null) == retired) {
            return detail(id);
        }
        claim(id, version);
        int formula = standing.formula();
        store.retire(id, retired ? LocalDate.now(clock) : null);
        store.note(
                id,
                new ProductChange(
                        retired ? ChangeKind.RETIRED : ChangeKind.BROUGHT_BACK,
                        formula,
                        "",
                        "",
                        who,
                        LocalDateTime.now(clock)));
        changed();
        return detail(id);
    }

    /** @throws Problem when the correction says what cannot be */
    @Transactional
    public Detail correct(ProductId id, Correction.About about, String of, String to, String who, int version) {
        known(id);
        boolean stands = detail(id).corrections().stream()
                .anyMatch(c -> c.about() == about
                        && c.of().equals(of)
                        && c.to().equals(to)
                        && c.who().equals(who));
        if (stands) {
            return detail(id);
        }
        claim(id, version);
        try {
            store.correct(id, new Correction(about, of, to, who, LocalDate.now(clock)));
        } catch (IllegalArgumentException wrong) {
            throw Problem.field("/to", String.valueOf(wrong.getMessage()));
        }
        changed();
        return detail(id);
    }

    @Transactional
    public Detail uncorrect(ProductId id, Correction.About about, String of, int version) {
        known(id);
        boolean gone = detail(id).corrections().stream().noneMatch(c -> c.about() == about && c.of().equals(of));
        if (gone) {
            return detail(id);
        }
        claim(id, version);
        store.uncorrect(id, about, of);
        changed();
        return detail(id);
    }

    private Product known(ProductId id) {
        return find(id).orElseThrow(() -> Problem.notFound("product", id));
    }

    private Finder.Index index() {
        LaidOut ready = laidOut;
        // asked before reading: a change that ends while the shelf is read makes another generation
        long now = generation.get();
        if (ready == null || ready.generation() != now) {
            List<Product> house =
                    store.house().parallelStream().map(this::understand).toList();
            ready = new LaidOut(now, ready == null ? Finder.index(house) : Finder.index(house, ready.index()));
            laidOut = ready;
        }
        return ready.index();
    }

    /** The shelf is laid out anew once the change can be seen by everybody. */
    public void changed() {
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    generation.incrementAndGet();
                }
            });
        } else {
            generation.incrementAndGet();
        }
    }
}

package outfell.server.catalogue;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import outfell.product.Correction;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.regimen.Finder;
import outfell.server.catalogue.ProductStore.ChangeKind;
import outfell.server.catalogue.ProductStore.ProductChange;
import outfell.server.problem.Problem;

/** The house's products, understood. */
@Service
public class Catalogue {
    /** What was found: how many there are, and the first of them. */
    public record SearchResult(int total, List<ProductView> products) {}

    /** A product with what was typed, what was put right, and what it was before. */
    public record Detail(
            ProductView product,
            String label,
            int formula,

            @io.swagger.v3.oas.annotations.media.Schema(types = {"string", "null"}) @Nullable
            LocalDate retiredOn,

            boolean house,
            List<Correction> corrections,
            List<ProductChange> changes) {}

    private static final int SHOWN = 60;

    private final ProductStore store;
    private final Clock clock;
    /** What was typed, with what it means: reading a label is pure, so the same facts are read once. */
    private final Map<Product.Facts, Product> understood = new ConcurrentHashMap<>();
    /** The house shelf laid out for finding; thrown away at every change of a product. */
    private volatile @Nullable List<Finder.Indexed> index;

    Catalogue(ProductStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    public List<Product> house() {
        return index().stream().map(Finder.Indexed::product).toList();
    }

    public SearchResult find(Finder.Wanted wanted) {
        List<Product> found = Finder.find(index(), wanted);
        return new SearchResult(
                found.size(), found.stream().limit(SHOWN).map(ProductView::of).toList());
    }

    public List<Finder.ComparisonRow> compare(List<String> ids) {
        return Finder.compare(ids.stream().map(id -> known(new ProductId(id))).toList());
    }

    public List<Finder.Substitute> substitutes(ProductId id, Finder.Want want) {
        return Finder.substitutes(known(id), house(), want);
    }

    public Optional<Product> find(ProductId id) {
        return store.find(id).map(this::understand);
    }

    public Detail detail(ProductId id) {
        Product product = known(id);
        ProductStore.Standing standing = store.standing(id).orElseThrow();
        Product.Facts facts = store.find(id).orElseThrow();
        return new Detail(
                ProductView.of(product),
                facts.label(),
                standing.formula(),
                standing.retiredOn(),
                standing.house(),
                facts.corrections(),
                store.changes(id));
    }

    public Product understand(Product.Facts facts) {
        return understood.computeIfAbsent(facts, ProductReader::read);
    }

    @Transactional
    public Product add(ProductForm form, boolean house) {
        Product.Facts facts = form.facts(store.freeId(form.name()));
        store.add(facts, house);
        changed();
        return understand(facts);
    }

    /** A new name, price or formula; what it was is kept, with who changed it. */
    @Transactional
    public Detail change(ProductId id, ProductForm form, String who) {
        Product.Facts before = store.find(id).orElseThrow(() -> Problem.notFound("product", id));
        int formula = store.standing(id).orElseThrow().formula();
        Product.Facts after = form.facts(id);
        boolean reformulated = !before.label().equals(after.label());
        note(id, ChangeKind.RENAMED, formula, before.name(), after.name().strip(), who);
        note(id, ChangeKind.REPRICED, formula, String.valueOf(before.price()), String.valueOf(after.price()), who);
        note(id, ChangeKind.REFORMULATED, formula, before.label(), after.label(), who);
        store.change(after, reformulated ? formula + 1 : formula);
        changed();
        return detail(id);
    }

    private void note(ProductId id, ChangeKind kind, int formula, String was, String now, String who) {
        if (!was.equals(now)) {
            store.note(id, new ProductChange(kind, formula, was, now, who, LocalDateTime.now(clock)));
        }
    }

    /** Off the house shelf, or back on it; what stands on clients' shelves and in kept plans stays. */
    @Transactional
    public Detail retire(ProductId id, boolean retired, String who) {
        known(id);
        int formula = store.standing(id).orElseThrow().formula();
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
    public Detail correct(ProductId id, Correction.About about, String of, String to, String who) {
        known(id);
        try {
            store.correct(id, new Correction(about, of, to, who, LocalDate.now(clock)));
        } catch (IllegalArgumentException wrong) {
            throw Problem.field("/to", String.valueOf(wrong.getMessage()));
        }
        changed();
        return detail(id);
    }

    @Transactional
    public Detail uncorrect(ProductId id, Correction.About about, String of) {
        known(id);
        store.uncorrect(id, about, of);
        changed();
        return detail(id);
    }

    private Product known(ProductId id) {
        return find(id).orElseThrow(() -> Problem.notFound("product", id));
    }

    private List<Finder.Indexed> index() {
        List<Finder.Indexed> ready = index;
        if (ready == null) {
            ready = store.house().stream()
                    .map(this::understand)
                    .map(Finder::index)
                    .toList();
            index = ready;
        }
        return ready;
    }

    /** The shelf is laid out anew once the change can be seen by everybody. */
    void changed() {
        index = null;
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    index = null;
                }
            });
        }
    }
}

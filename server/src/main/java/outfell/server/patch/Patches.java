package outfell.server.patch;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import outfell.consultation.Consultation;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.safety.PatchTest;
import outfell.server.catalogue.Catalogue;
import outfell.server.client.ClientChanged;
import outfell.server.client.ClientStore;
import outfell.server.problem.Problem;

/** Patch tests of clients. A second test of a product takes the place of the first; both are kept. */
@Service
public class Patches {
    /** One reading as kept. */
    public record ReadingView(UUID id, double hours, int grade, LocalDateTime at, String remark) {}

    /** A test as shown. */
    public record TestView(
            UUID id,
            String product,
            String name,
            PatchTest.Kind kind,
            PatchTest.Site site,
            LocalDateTime started,
            List<ReadingView> readings,
            PatchTest.Verdict verdict,
            List<LocalDateTime> schedule) {}

    /** A test done without. */
    public record WaiverView(String product, String name, String who, String why, LocalDate on) {}

    /**
     * Everything of one client.
     *
     * @param unsigned tests that were passed after one of the same product had failed, and that nobody has signed for
     */
    public record PatchView(List<TestView> tests, List<WaiverView> waivers, List<UUID> unsigned) {}

    /**
     * A reading that is due.
     *
     * @param late whether its hour has passed
     */
    public record Due(UUID client, String clientName, UUID test, String name, LocalDateTime due, boolean late) {}

    private final PatchStore store;
    private final ClientStore clients;
    private final Catalogue catalogue;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Patches(
            PatchStore store,
            ClientStore clients,
            Catalogue catalogue,
            TransactionTemplate transaction,
            ApplicationEventPublisher events,
            Clock clock) {
        this.store = store;
        this.clients = clients;
        this.catalogue = catalogue;
        this.transaction = transaction;
        this.events = events;
        this.clock = clock;
    }

    /** What counts for a plan: the test of each product that stands, and the waivers. */
    public List<Consultation.Patched> of(UUID client) {
        PatchView view = view(client);
        return Stream.concat(
                        view.tests().stream().map(TestView::product),
                        view.waivers().stream().map(WaiverView::product))
                .distinct()
                .map(p -> new Consultation.Patched(
                        new ProductId(p),
                        standing(view, p),
                        view.waivers().stream()
                                .filter(w -> w.product().equals(p))
                                .map(w -> new Consultation.Waiver(w.who(), w.why(), w.on()))
                                .findFirst()))
                .toList();
    }

    /**
     * The newest test; but one that failed stands until a later one is read to its end and somebody has signed for it since, by
     * name and with a reason, as one signs for doing without.
     */
    static Optional<PatchTest.Verdict> standing(PatchView view, String product) {
        List<TestView> newestFirst =
                view.tests().stream().filter(t -> t.product().equals(product)).toList();
        Optional<TestView> newest = newestFirst.stream().findFirst();
        Optional<TestView> failed =
                newestFirst.stream().filter(t -> t.verdict().standing().fails()).findFirst();
        boolean released = newest.filter(t -> t.verdict().standing() == PatchTest.Standing.MAY_USE)
                .flatMap(t -> view.waivers().stream()
                        .filter(w -> w.product().equals(product)
                                && !w.on().isBefore(t.started().toLocalDate()))
                        .findFirst())
                .isPresent();
        return (released || failed.isEmpty() ? newest : failed).map(TestView::verdict);
    }

    public PatchView view(UUID client) {
        PatchView view = new PatchView(
                store.tests(client).stream().map(this::view).toList(),
                store.waivers(client).stream()
                        .map(w -> new WaiverView(w.product().value(), name(w.product()), w.who(), w.why(), w.on()))
                        .toList(),
                List.of());
        return new PatchView(
                view.tests(),
                view.waivers(),
                view.tests().stream()
                        .filter(t -> t.verdict().standing() == PatchTest.Standing.MAY_USE)
                        .filter(t -> standing(view, t.product())
                                .filter(v -> v.standing().fails())
                                .isPresent())
                        .map(TestView::id)
                        .toList());
    }

    /** Open tests with their next reading, soonest first. */
    public List<Due> due() {
        LocalDateTime now = LocalDateTime.now(clock);
        return store.open().stream()
                .map(o -> new Due(
                        o.client(),
                        o.clientName(),
                        o.test(),
                        o.product(),
                        o.due(),
                        o.due().isBefore(now)))
                .toList();
    }

    /** Tests of before the next reading was kept get theirs. */
    @EventListener
    void started(ApplicationReadyEvent event) {
        transaction.executeWithoutResult(status -> store.unreckoned().forEach(this::reckonDue));
    }

    private void reckonDue(PatchStore.Test test) {
        store.setDue(test.id(), view(test).verdict().due().orElse(null));
    }

    /** Begins a test; the same one begun twice on a day and not yet read is one. */
    @Transactional
    public PatchView start(
            UUID client, ProductId product, PatchTest.Kind kind, PatchTest.Site site, LocalDateTime started) {
        known(product);
        clients.hold(client);
        boolean begun = store.tests(client).stream()
                .filter(t -> t.product().equals(product))
                .findFirst()
                .filter(t -> t.kind() == kind && t.site() == site)
                .filter(t -> t.started().toLocalDate().equals(started.toLocalDate()))
                .filter(t -> store.readings(t.id()).isEmpty())
                .isPresent();
        if (!begun) {
            PatchStore.Test test = new PatchStore.Test(UUID.randomUUID(), client, product, kind, site, started);
            store.add(test);
            reckonDue(test);
            events.publishEvent(new ClientChanged(client));
        }
        return view(client);
    }

    /** @throws Problem when the reading lies before the start or ahead of now */
    @Transactional
    public PatchView read(UUID id, int grade, LocalDateTime at, String remark) {
        PatchStore.Test test = find(id);
        if (at.isBefore(test.started())) {
            throw Problem.field("/at", "A patch test cannot be read before it starts.");
        }
        if (at.isAfter(LocalDateTime.now(clock).plusMinutes(1))) {
            throw Problem.field("/at", "This reading lies ahead; was the day mistyped?");
        }
        clients.hold(test.client());
        boolean read = store.readings(id).stream()
                .anyMatch(r ->
                        r.grade() == grade && r.at().equals(at) && r.remark().equals(remark));
        if (!read) {
            store.add(id, new PatchStore.Reading(UUID.randomUUID(), grade, at, remark));
            reckonDue(test);
        }
        return view(test.client());
    }

    /** Takes a reading back. */
    @Transactional
    public PatchView takeBack(UUID id, UUID reading) {
        PatchStore.Test test = find(id);
        if (!store.takeBack(id, reading)) {
            throw Problem.notFound("reading", reading);
        }
        reckonDue(test);
        return view(test.client());
    }

    /** Takes back the start of a test that nobody has read yet. */
    @Transactional
    public PatchView drop(UUID id) {
        PatchStore.Test test = find(id);
        if (!store.readings(id).isEmpty()) {
            throw Problem.refused("already-read", "This test has readings and is kept; take them back first.");
        }
        store.drop(id);
        return view(test.client());
    }

    /** Takes out everything of a client's for good. */
    public void erase(UUID client) {
        store.erase(client);
    }

    @Transactional
    public PatchView waive(UUID client, ProductId product, String who, String why) {
        known(product);
        store.waive(client, new PatchStore.Waiver(product, who, why, LocalDate.now(clock)));
        return view(client);
    }

    @Transactional
    public PatchView unwaive(UUID client, ProductId product) {
        store.unwaive(client, product);
        return view(client);
    }

    private void known(ProductId product) {
        if (catalogue.find(product).isEmpty()) {
            throw Problem.notFound("product", product);
        }
    }

    private String name(ProductId product) {
        return catalogue.find(product).map(Product::name).orElse(product.value());
    }

    private PatchStore.Test find(UUID test) {
        return store.test(test).orElseThrow(() -> Problem.notFound("patch test", test));
    }

    private TestView view(PatchStore.Test t) {
        PatchTest empty = new PatchTest(t.kind(), t.site(), t.started(), List.of());
        List<ReadingView> readings = store.readings(t.id()).stream()
                .map(r -> new ReadingView(r.id(), empty.hoursAt(r.at()), r.grade(), r.at(), r.remark()))
                .toList();
        PatchTest test = new PatchTest(
                t.kind(),
                t.site(),
                t.started(),
                readings.stream()
                        .map(r -> new PatchTest.Reading(r.hours(), r.grade()))
                        .toList());
        return new TestView(
                t.id(),
                t.product().value(),
                name(t.product()),
                t.kind(),
                t.site(),
                t.started(),
                readings,
                test.verdict(),
                test.schedule());
    }
}

package outfell.server.exchange;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.server.catalogue.Catalogue;
import outfell.server.catalogue.ProductStore;
import outfell.server.catalogue.ProductStore.ProductChange;
import outfell.server.catalogue.ProductStore.Stored;
import outfell.server.client.ClientChanged;
import outfell.server.client.ClientStore;
import outfell.server.exchange.FileStore.TakenFile;
import outfell.server.exchange.FileStore.TakenProduct;
import outfell.server.exchange.FileStore.TakenShelf;
import outfell.server.exchange.Remark.Code;
import outfell.server.practice.FileHeadings;
import outfell.server.practice.Settings;
import outfell.server.problem.Problem;

/**
 * Files on their way in. A file is read and shown first; nothing is stored until it is taken, then all of it or nothing; and
 * it can be taken back while nobody has changed what it left.
 */
@Service
public class Imports {
    private static final Logger LOG = LoggerFactory.getLogger(Imports.class);
    private static final int REMARKS_SHOWN = 200;
    private static final int CHANGES_SHOWN = 100;
    private static final int NAMES_SHOWN = 3;
    private static final int FILES_HELD = 20;
    /** Of so many the bytes are held, so that they can be read anew with other headings. */
    private static final int BYTES_HELD = 3;

    private static final int CHUNK = 500;

    enum State {
        READING,
        READY,
        REFUSED,
        TAKING,
        TAKEN,
        STOPPED,
        FAILED
    }

    /** Somebody wants no more of it; what was done so far is undone with the transaction. */
    private static final class Stopped extends RuntimeException {
        Stopped() {
            super("stopped");
        }
    }

    /** A heading of the file, what it was taken for (empty: left out), and what stands under it. */
    record HeadingView(String printed, String column, String sample) {}

    record RemarkView(int line, String column, Code code, boolean stops, String sentence) {}

    /** One product that the file brings or changes; what is "new" or the names of what differs. */
    record ChangeView(String id, String name, String maker, List<String> what) {}

    /**
     * A file as it stands.
     *
     * @param done of all, while it is read or taken
     * @param sentence what to say of it
     * @param headings of a CSV file, in its order
     * @param columns what a heading may be said to mean
     * @param remarks the first 200, those that stop first
     * @param changes the first 100
     */
    record FileView(
            UUID id,
            What what,
            @Schema(types = {"string", "null"}) @Nullable UUID client,
            String file,
            State state,
            String sentence,
            int done,
            int all,
            int added,
            int changed,
            int same,
            int stops,
            int warnings,
            List<HeadingView> headings,
            List<String> columns,
            List<RemarkView> remarks,
            List<ChangeView> changes) {}

    /** A file that was chosen; written by one thread at a time, read by all. */
    private static final class Chosen {
        final UUID id = UUID.randomUUID();
        final What what;
        final @Nullable UUID client;
        final String file;
        /** The file itself, so that it can be read anew; let go once it is taken or others came. */
        volatile byte[] bytes;

        List<Row> rows = List.of();
        volatile List<Table.Heading> headings = List.of();
        volatile boolean stop;
        List<Remark> fileRemarks = List.of();
        volatile Merge.@Nullable Outcome outcome;
        volatile List<Remark> remarks = List.of();
        volatile State state = State.READING;
        volatile String sentence = "The file is being read.";
        volatile int done;
        volatile int all;

        Chosen(What what, @Nullable UUID client, String file, byte[] bytes) {
            this.what = what;
            this.client = client;
            this.file = file;
            this.bytes = bytes;
        }

        void unlessStopped() {
            if (stop) {
                throw new Stopped();
            }
        }

        void is(State next, String words) {
            sentence = words;
            state = next;
        }
    }

    private final TableReader tables;
    private final FileHeadings headings;
    private final Settings settings;
    private final RowReader rows;
    private final ProductStore products;
    private final ClientStore clients;
    private final FileStore files;
    private final Snapshots snapshots;
    private final Catalogue catalogue;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().daemon().name("files").factory());
    private final Map<UUID, Chosen> chosen = new LinkedHashMap<>();

    Imports(
            TableReader tables,
            FileHeadings headings,
            Settings settings,
            RowReader rows,
            ProductStore products,
            ClientStore clients,
            FileStore files,
            Snapshots snapshots,
            Catalogue catalogue,
            TransactionTemplate transaction,
            ApplicationEventPublisher events,
            Clock clock) {
        this.tables = tables;
        this.headings = headings;
        this.settings = settings;
        this.rows = rows;
        this.products = products;
        this.clients = clients;
        this.files = files;
        this.snapshots = snapshots;
        this.catalogue = catalogue;
        this.transaction = transaction;
        this.events = events;
        this.clock = clock;
    }

    @PreDestroy
    void stop() {
        worker.shutdownNow();
    }

    /** Begins to read a file; the answer comes at once, and the rest is asked for by the id. */
    FileView choose(What what, @Nullable UUID client, String file, byte[] bytes) {
        if (what == What.SHELF && (client == null || clients.find(client).isEmpty())) {
            throw Problem.notFound("client", String.valueOf(client));
        }
        Chosen c = new Chosen(what, what == What.SHELF ? client : null, file, bytes);
        synchronized (chosen) {
            chosen.put(c.id, c);
            if (chosen.size() > FILES_HELD) {
                chosen.remove(chosen.keySet().iterator().next());
            }
            chosen.values().stream()
                    .limit(Math.max(0, chosen.size() - BYTES_HELD))
                    // what still waits for its turn has not been read yet
                    .filter(old -> !onItsWay(old.state))
                    .forEach(old -> old.bytes = new byte[0]);
        }
        worker.execute(() -> guarded(c, () -> read(c)));
        return view(c);
    }

    /**
     * Says what headings of a file mean, keeps it for the next file, and reads this one anew.
     *
     * @param meant column by heading; an empty column leaves the heading out
     */
    FileView match(UUID id, Map<String, String> meant, String who) {
        Chosen c = held(id);
        for (Map.Entry<String, String> e : meant.entrySet()) {
            if (!e.getValue().isEmpty() && !c.what.columns().contains(e.getValue())) {
                throw Problem.field(
                        "/headings",
                        "\"%s\" is no column here; there are %s."
                                .formatted(e.getValue(), String.join(", ", c.what.columns())));
            }
        }
        synchronized (c) {
            if (onItsWay(c.state) || c.state == State.TAKEN || c.bytes.length == 0) {
                throw Problem.refused(
                        "not-ready", "This file cannot be read anew as it stands; choose it again. " + c.sentence);
            }
            // first on disk, so that a failure leaves the file as it stood
            headings.remember(meant, who);
            c.stop = false;
            c.is(State.READING, "The file is being read anew.");
        }
        worker.execute(() -> guarded(c, () -> read(c)));
        return view(c);
    }

    /** Stops what is under way; nothing of it stays. What is taken in already stays taken in. */
    FileView stop(UUID id) {
        Chosen c = held(id);
        synchronized (c) {
            c.stop = onItsWay(c.state);
        }
        return view(c);
    }

    private static boolean onItsWay(State state) {
        return state == State.READING || state == State.TAKING;
    }

    FileView view(UUID id) {
        return view(held(id));
    }

    /** Begins to store all of a file that was shown. */
    FileView take(UUID id, String who) {
        Chosen c = held(id);
        synchronized (c) {
            if (c.state != State.READY) {
                throw Problem.refused(
                        "not-ready", "This file cannot be taken in as it stands: %s".formatted(c.sentence));
            }
            c.stop = false;
            c.is(State.TAKING, "The file is being taken in.");
        }
        worker.execute(() -> guarded(c, () -> take(c, who)));
        return view(c);
    }

    List<TakenFile> taken(What what, @Nullable UUID client) {
        return files.of(what, client);
    }

    // ---- reading

    private void read(Chosen c) {
        c.done = 0;
        c.all = 0;
        c.outcome = null;
        Table table = tables.read(c.what, c.bytes, headings.known());
        c.headings = table.headings();
        c.unlessStopped();
        RowReader.Reading reading = rows.read(c.what, table, settings.currency());
        c.unlessStopped();
        c.rows = reading.rows();
        List<Remark> remarks = new ArrayList<>(reading.remarks());
        if (remarks.stream().noneMatch(Remark::stops) && c.rows.isEmpty()) {
            remarks.add(new Remark(0, "", Code.EMPTY_FILE, "The file names its columns and holds no product."));
        }
        Merge.Outcome outcome = merge(c);
        c.all = outcome.changes().size();
        for (int from = 0; from < outcome.changes().size(); from += CHUNK) {
            c.unlessStopped();
            List<Merge.Change> some =
                    outcome.changes().subList(from, Math.min(outcome.changes().size(), from + CHUNK));
            // a label is read by itself: as many at once as there are hands
            some.parallelStream().map(this::names).toList().forEach(r -> r.ifPresent(remarks::add));
            c.done = from + some.size();
        }
        c.fileRemarks = remarks;
        show(c, outcome);
    }

    /** What the label reader does not know counts for nothing, so it is said before anything is stored. */
    private Optional<Remark> names(Merge.Change change) {
        Product.Facts facts = change.after().facts();
        Stored before = change.before();
        if (before != null && before.facts().label().equals(facts.label())) {
            return Optional.empty();
        }
        if (facts.label().isBlank()) {
            return Optional.of(
                    new Remark(
                            change.line(),
                            "ingredients",
                            Code.NO_INGREDIENTS,
                            "No ingredients: kind, texture and actives are read from the name alone, and no allergy can be looked for."));
        }
        Product read = catalogue.understand(facts);
        List<String> unknown = read.label().unknown();
        if (unknown.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Remark(
                change.line(),
                "ingredients",
                Code.UNKNOWN_NAMES,
                "%d of %d names %s: %s%s"
                        .formatted(
                                unknown.size(),
                                read.label().lines().size(),
                                unknown.size() == 1
                                        ? "is not known and counts for nothing"
                                        : "are not known and count for nothing",
                                unknown.stream().limit(NAMES_SHOWN).collect(Collectors.joining(", ")),
                                unknown.size() > NAMES_SHOWN ? " and more." : ".")));
    }

    private Merge.Outcome merge(Chosen c) {
        return c.what == What.CATALOGUE
                ? Merge.catalogue(products.all(), c.rows)
                : Merge.shelf(products.all(), clients.shelf(Objects.requireNonNull(c.client)), c.rows);
    }

    private static void show(Chosen c, Merge.Outcome outcome) {
        List<Remark> all = new ArrayList<>(c.fileRemarks);
        all.addAll(outcome.remarks());
        all.sort(Comparator.comparing((Remark r) -> !r.stops())
                .thenComparing(Remark::line)
                .thenComparing(Remark::column));
        c.remarks = all;
        c.outcome = outcome;
        if (all.stream().anyMatch(Remark::stops)) {
            c.is(State.REFUSED, "Nothing was stored. Put right what is marked as stopping, and choose the file again.");
        } else if (outcome.changes().isEmpty() && outcome.shelfAdded() + outcome.shelfChanged() == 0) {
            c.is(State.REFUSED, "Everything in this file stands here already; there is nothing to take in.");
        } else {
            c.is(State.READY, "Nothing is stored yet.");
        }
    }

    // ---- taking

    private void take(Chosen c, String who) {
        Merge.Outcome now = merge(c);
        if (!same(now, Objects.requireNonNull(c.outcome))) {
            show(c, now);
            c.sentence = "What stands here was changed while you looked; this is the file compared anew. " + c.sentence;
            return;
        }
        c.done = 0;
        c.all = now.changes().size();
        transaction.executeWithoutResult(status -> store(c, now, who));
        c.bytes = new byte[0];
        catalogue.changed();
        c.is(State.TAKEN, "All of it is stored.");
        // lays the shelf out anew, so that the next search need not wait for it
        catalogue.house();
    }

    /** Ids of things not yet on a shelf are drawn anew each time and do not count. */
    private static boolean same(Merge.Outcome a, Merge.Outcome b) {
        return a.changes().equals(b.changes())
                && a.same() == b.same()
                && a.shelfAdded() == b.shelfAdded()
                && a.shelfChanged() == b.shelfChanged();
    }

    private void store(Chosen c, Merge.Outcome outcome, String who) {
        List<Merge.Change> changes = outcome.changes();
        UUID file = c.id;
        Map<ProductId, List<ProductChange>> history = new LinkedHashMap<>();
        List<TakenProduct> found = new ArrayList<>();
        for (int from = 0; from < changes.size(); from += CHUNK) {
            c.unlessStopped();
            List<Merge.Change> some = changes.subList(from, Math.min(changes.size(), from + CHUNK));
            products.putAll(
                    some.stream()
                            .filter(x -> x.before() == null)
                            .map(Merge.Change::after)
                            .toList(),
                    some.stream()
                            .filter(x -> x.before() != null)
                            .map(Merge.Change::after)
                            .toList());
            for (Merge.Change x : some) {
                Stored before = x.before();
                if (before != null) {
                    history.put(x.after().facts().id(), catalogue.changes(before, x.after(), who));
                }
                found.add(new TakenProduct(
                        x.after().facts().id().value(),
                        before == null ? null : snapshots.of(before),
                        snapshots.of(x.after())));
            }
            c.done = from + some.size();
        }
        products.noteAll(file, history);
        int added = c.what == What.SHELF ? outcome.shelfAdded() : changes.size() - history.size();
        int changed = c.what == What.SHELF ? outcome.shelfChanged() : history.size();
        files.add(
                new TakenFile(
                        file, c.what, c.client, c.file, added, changed, who, LocalDateTime.now(clock), null, null),
                found,
                shelf(c, outcome));
    }

    private @Nullable TakenShelf shelf(Chosen c, Merge.Outcome outcome) {
        List<ClientStore.ShelfItem> after = outcome.shelf();
        UUID client = c.client;
        if (after == null || client == null) {
            return null;
        }
        String before = snapshots.of(clients.shelf(client));
        clients.replaceShelf(client, after);
        events.publishEvent(new ClientChanged(client));
        return new TakenShelf(before, snapshots.of(clients.shelf(client)));
    }

    // ---- taking back

    /** @throws Problem when something that the file left was changed or used since */
    @Transactional
    public List<TakenFile> undo(UUID id, String who) {
        TakenFile file = files.find(id).orElseThrow(() -> Problem.notFound("file", id));
        if (file.undoneAt() != null) {
            throw Problem.refused("undone", "This file was taken back already.");
        }
        List<TakenProduct> left = files.products(id);
        Map<String, Stored> now = products
                .stored(left.stream().map(TakenProduct::id).toList())
                .stream()
                .collect(Collectors.toMap(s -> s.facts().id().value(), s -> s));
        putBackShelf(file);
        List<String> brought =
                left.stream().filter(p -> p.was() == null).map(TakenProduct::id).toList();
        Set<String> used = products.inUse(brought);
        List<String> inTheWay = left.stream()
                .filter(p -> used.contains(p.id()) || !stands(p, now))
                .map(p -> snapshots.product(p.leftAs()).facts().name())
                .toList();
        if (!inTheWay.isEmpty()) {
            throw Problem.refused(
                    "changed-since",
                    "This file cannot be taken back: %s%s changed since, or used on a shelf or in a plan."
                            .formatted(
                                    inTheWay.stream().limit(NAMES_SHOWN).collect(Collectors.joining(", ")),
                                    inTheWay.size() > NAMES_SHOWN
                                            ? " and %d more were".formatted(inTheWay.size() - NAMES_SHOWN)
                                            : inTheWay.size() == 1 ? " was" : " were"));
        }
        products.unnote(id);
        products.putAll(
                List.of(),
                left.stream()
                        .map(TakenProduct::was)
                        .filter(Objects::nonNull)
                        .map(snapshots::product)
                        .toList());
        products.deleteAll(brought);
        files.undone(id, who, LocalDateTime.now(clock));
        catalogue.changed();
        return files.of(file.what(), file.client());
    }

    private void putBackShelf(TakenFile file) {
        UUID client = file.client();
        if (client == null) {
            return;
        }
        TakenShelf shelf = files.shelf(file.id()).orElseThrow();
        if (!snapshots.of(clients.shelf(client)).equals(shelf.after())) {
            throw Problem.refused("changed-since", "This file cannot be taken back: the shelf was changed since.");
        }
        clients.replaceShelf(client, snapshots.shelf(shelf.before()));
        events.publishEvent(new ClientChanged(client));
    }

    private boolean stands(TakenProduct p, Map<String, Stored> now) {
        Stored stored = now.get(p.id());
        return stored != null && snapshots.of(stored).equals(p.leftAs());
    }

    // ---- showing

    private Chosen held(UUID id) {
        synchronized (chosen) {
            Chosen c = chosen.get(id);
            if (c == null) {
                throw Problem.notFound("chosen file", id + "; choose it again");
            }
            return c;
        }
    }

    private static FileView view(Chosen c) {
        State state = c.state;
        Merge.Outcome o = c.outcome;
        List<Remark> remarks = c.remarks;
        int stops = (int) remarks.stream().filter(Remark::stops).count();
        boolean shelf = c.what == What.SHELF;
        int fresh = o == null
                ? 0
                : (int) o.changes().stream().filter(x -> x.before() == null).count();
        return new FileView(
                c.id,
                c.what,
                c.client,
                c.file,
                state,
                c.sentence,
                c.done,
                c.all,
                o == null ? 0 : shelf ? o.shelfAdded() : fresh,
                o == null ? 0 : shelf ? o.shelfChanged() : o.changes().size() - fresh,
                o == null ? 0 : o.same(),
                stops,
                remarks.size() - stops,
                c.headings.stream()
                        .map(h -> new HeadingView(h.printed(), h.column(), h.sample()))
                        .toList(),
                c.what.columns(),
                remarks.stream()
                        .limit(REMARKS_SHOWN)
                        .map(r -> new RemarkView(r.line(), r.column(), r.code(), r.stops(), r.sentence()))
                        .toList(),
                o == null
                        ? List.of()
                        : o.changes().stream()
                                .limit(CHANGES_SHOWN)
                                .map(x -> new ChangeView(
                                        x.after().facts().id().value(),
                                        x.after().facts().name(),
                                        x.after().facts().maker(),
                                        x.what()))
                                .toList());
    }

    private static void guarded(Chosen c, Runnable work) {
        try {
            work.run();
        } catch (Stopped stopped) {
            boolean wasRead = c.outcome != null && c.state == State.TAKING;
            c.is(
                    wasRead ? State.READY : State.STOPPED,
                    wasRead
                            ? "Stopped; nothing was stored."
                            : "Stopped; nothing was stored. Choose the file again to read it.");
        } catch (RuntimeException broken) {
            // the file may be a client's, so nothing of it goes into the log
            LOG.error("A file could not be taken in: {}", broken.getClass().getName());
            c.is(State.FAILED, "Outfell could not do this, and nothing was stored. Choose the file again.");
        }
    }
}

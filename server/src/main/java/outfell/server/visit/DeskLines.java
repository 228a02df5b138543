package outfell.server.visit;

import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.info.BuildProperties;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionTemplate;
import outfell.server.client.ClientChanged;
import outfell.server.client.ClientStore;
import outfell.server.client.Shelf;
import outfell.server.plan.VerdictView;
import outfell.server.practice.HouseChanged;
import outfell.server.problem.Problem;
import outfell.server.visit.DeskStore.Line;
import outfell.server.visit.DeskStore.Row;
import outfell.server.visit.VisitStore.Visit;

/**
 * The lines of the desk: reckoned after something of a client is written, when the desk is opened or a moment later, and anew when
 * the rules are others. A record that cannot be read makes a line that says so; it keeps nobody else's from being shown.
 */
@Service
class DeskLines {
    private static final Logger LOG = LoggerFactory.getLogger(DeskLines.class);
    static final int PAGE = 50;
    private static final String NOT_READ = "not read yet";
    /** One tap at the chair follows another; their line is reckoned once, and beside none of them. */
    private static final long LATER_SECONDS = 3;

    private final DeskStore store;
    private final Visits visits;
    private final ClientStore clients;
    private final Shelf shelf;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final String madeBy;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.UK);

    private final ScheduledExecutorService behind = Executors.newSingleThreadScheduledExecutor(
            Thread.ofPlatform().daemon().name("desk").factory());
    private final AtomicBoolean later = new AtomicBoolean();

    DeskLines(
            DeskStore store,
            Visits visits,
            ClientStore clients,
            Shelf shelf,
            TransactionTemplate transaction,
            Clock clock,
            ObjectProvider<BuildProperties> build) {
        this.store = store;
        this.visits = visits;
        this.clients = clients;
        this.shelf = shelf;
        this.transaction = transaction;
        this.clock = clock;
        this.madeBy = Optional.ofNullable(build.getIfAvailable())
                .map(b -> String.valueOf(b.getTime()))
                .orElse("unknown build");
    }

    int count(DeskStore.Which which) {
        return store.count(which);
    }

    /** One page; a line that is missing, behind its record or made by other rules is reckoned now. */
    List<Row> page(DeskStore.Which which, int skipped) {
        LocalDate today = LocalDate.now(clock);
        List<Row> rows = store.rows(which, today, skipped, PAGE);
        List<UUID> stale = rows.stream()
                .filter(r -> !r.madeBy().equals(madeBy))
                .map(Row::client)
                // each is held, by whoever reckons them in the same order
                .sorted()
                .toList();
        if (stale.isEmpty()) {
            return rows;
        }
        transaction.executeWithoutResult(status -> stale.forEach(this::reckon));
        return store.rows(which, today, skipped, PAGE);
    }

    @EventListener
    void changed(ClientChanged change) {
        if (clients.find(change.client()).isPresent()) {
            store.makeStale(change.client());
        }
    }

    @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
    void settled(ClientChanged change) {
        if (!behind.isShutdown() && later.compareAndSet(false, true)) {
            behind.schedule(this::reckonStale, LATER_SECONDS, TimeUnit.SECONDS);
        }
    }

    @EventListener
    void changed(HouseChanged change) {
        store.makeAllStale();
    }

    @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
    void settled(HouseChanged change) {
        behind.execute(this::reckonStale);
    }

    @EventListener
    void started(ApplicationReadyEvent event) {
        behind.execute(this::reckonStale);
    }

    @EventListener
    void ends(ContextClosedEvent event) {
        behind.shutdownNow();
    }

    private void reckonStale() {
        later.set(false);
        for (UUID client : store.stale(madeBy)) {
            if (behind.isShutdown()) {
                return;
            }
            try {
                transaction.executeWithoutResult(status -> reckonIfThere(client));
            } catch (RuntimeException notNow) {
                LOG.warn(
                        "A line of the desk is reckoned later: {}",
                        notNow.getClass().getName());
            }
        }
    }

    private void reckonIfThere(UUID client) {
        if (clients.find(client).isPresent()) {
            reckon(client);
        }
    }

    private void reckon(UUID client) {
        store.hold(client);
        store.put(client, line(client), madeBy);
    }

    private Line line(UUID client) {
        try {
            return read(client);
        } catch (Problem | IllegalArgumentException unreadable) {
            return unreadable("This record cannot be read: %s".formatted(unreadable.getMessage()));
        } catch (RuntimeException fault) {
            LOG.error("A record cannot be read: {}", fault.getClass().getName());
            return unreadable("This record cannot be read; a part of it is not what Outfell knows.");
        }
    }

    private static Line unreadable(String fault) {
        return new Line(null, null, null, NOT_READ, List.of(), 0, fault);
    }

    /** The line is kept until the client's record changes, so what ends by itself says its day. */
    private static String minded(VerdictView.BanView ban) {
        return ban.until()
                .map(d -> "%s until %s".formatted(ban.name(), DAY.format(d)))
                .orElse(ban.name());
    }

    private Line read(UUID client) {
        Optional<Visit> last = visits.latest(client);
        Optional<Visit> read = last.flatMap(visits::lastRead);
        List<String> faults = new ArrayList<>(shelf.missing(client));
        return new Line(
                last.map(Visit::id).orElse(null),
                last.map(Visit::date).orElse(null),
                read.map(Visit::date).orElse(null),
                read.map(visits::verdict).map(VerdictView::type).orElse(NOT_READ),
                last.map(visits::verdict)
                        .map(v -> v.safety().bans().stream()
                                .map(DeskLines::minded)
                                .distinct()
                                .toList())
                        .orElse(List.of()),
                visits.keptOf(client).size(),
                String.join(" ", faults));
    }
}

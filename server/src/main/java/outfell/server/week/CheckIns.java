package outfell.server.week;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.server.client.ClientChanged;
import outfell.server.client.ClientStore;
import outfell.server.plan.CaseDocument;
import outfell.server.plan.Diaries;
import outfell.server.problem.Problem;
import outfell.week.CheckIn;
import outfell.week.Pause;

/** What clients say between visits. One check-in a day: a second of the same day takes the place of the first. */
@Service
public class CheckIns {
    /**
     * Everything of one client, in the order of their days.
     *
     * @param today the day of the practice
     * @param urgent what is said to whoever tells of a swelling
     */
    public record Diary(
            List<CheckInStore.Kept> checkIns, List<CheckInStore.KeptPause> pauses, LocalDate today, String urgent) {}

    private final CheckInStore store;
    private final ClientStore clients;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    CheckIns(CheckInStore store, ClientStore clients, ApplicationEventPublisher events, Clock clock) {
        this.store = store;
        this.clients = clients;
        this.events = events;
        this.clock = clock;
    }

    public Diary view(UUID client) {
        return new Diary(store.checkIns(client), store.pauses(client), LocalDate.now(clock), CheckIn.URGENT);
    }

    /** As the core reads them. */
    public List<CheckIn> said(UUID client) {
        return Diaries.checkIns(
                store.checkIns(client).stream().map(CheckInStore.Kept::said).toList());
    }

    /** As the core reads them. */
    public List<Pause> pauses(UUID client) {
        return Diaries.pauses(store.pauses(client).stream()
                .map(CheckInStore.KeptPause::pause)
                .distinct()
                .toList());
    }

    /** @throws Problem when it lies ahead, a figure outside of its range, or it would silence a swelling or what another noted that day */
    @Transactional
    public Diary say(UUID client, CaseDocument.SaidOfSkin said, CheckInStore.How how, String remark) {
        hold(client);
        if (said.on().isAfter(LocalDate.now(clock))) {
            throw Problem.field("/on", "This check-in lies ahead; was the day mistyped?");
        }
        boolean notedByOthers = store.checkIns(client).stream()
                .anyMatch(k -> k.said().on().equals(said.on()) && k.how() != CheckInStore.How.CLIENT);
        // a swelling is taken whoever tells it
        if (how == CheckInStore.How.CLIENT && notedByOthers && !said.swelling()) {
            throw Problem.refused(
                    "noted-today",
                    "How your skin is today has been noted already. Tell your therapist what has changed.");
        }
        boolean swollen = store.checkIns(client).stream()
                .map(CheckInStore.Kept::said)
                .anyMatch(s -> s.on().equals(said.on()) && s.swelling());
        if (swollen && !said.swelling()) {
            throw Problem.refused(
                    "swelling-told",
                    "A swelling is noted for this day, and a second check-in would take its place. Take that one back first if there was none.");
        }
        CaseDocument.SaidOfSkin whole = said.swelling() ? said.with(seenOn(client, said.on())) : said;
        try {
            Diaries.checkIn(whole);
        } catch (IllegalArgumentException e) {
            throw Problem.field("/sting", String.valueOf(e.getMessage()));
        }
        store.put(client, new CheckInStore.Kept(UUID.randomUUID(), whole, how, remark, LocalDateTime.now(clock)));
        events.publishEvent(new ClientChanged(client));
        return view(client);
    }

    /** What was noted of a swelling on that day stays when the day is told anew. */
    private CaseDocument.@Nullable Seen seenOn(UUID client, LocalDate day) {
        return store.checkIns(client).stream()
                .map(CheckInStore.Kept::said)
                .filter(s -> s.on().equals(day))
                .map(CaseDocument.SaidOfSkin::seen)
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(null);
    }

    /**
     * Notes who looked at a swelling.
     *
     * @throws Problem when there was none, or the day lies before it or ahead
     */
    @Transactional
    public Diary seen(UUID id, CaseDocument.Seen seen) {
        if (seen.on().isAfter(LocalDate.now(clock))) {
            throw Problem.field("/on", "This day lies ahead; was it mistyped?");
        }
        return looked(id, seen);
    }

    /** Takes back that somebody looked at a swelling. */
    @Transactional
    public Diary unseen(UUID id) {
        return looked(id, null);
    }

    private Diary looked(UUID id, CaseDocument.@Nullable Seen seen) {
        UUID client = store.ofCheckIn(id).orElseThrow(() -> Problem.notFound("check-in", id));
        hold(client);
        CheckInStore.Kept kept = store.checkIn(id).orElseThrow(() -> Problem.notFound("check-in", id));
        CaseDocument.SaidOfSkin said = kept.said().with(seen);
        try {
            Diaries.checkIn(said);
        } catch (IllegalArgumentException e) {
            throw Problem.field("/on", String.valueOf(e.getMessage()));
        }
        store.put(client, new CheckInStore.Kept(id, said, kept.how(), kept.remark(), kept.notedAt()));
        events.publishEvent(new ClientChanged(client));
        return view(client);
    }

    @Transactional
    public Diary takeBack(UUID id) {
        UUID client = store.ofCheckIn(id).orElseThrow(() -> Problem.notFound("check-in", id));
        hold(client);
        store.dropCheckIn(id);
        events.publishEvent(new ClientChanged(client));
        return view(client);
    }

    /** Keeps a pause; the same one told twice is one. */
    @Transactional
    public Diary pause(UUID client, CaseDocument.PauseOf pause, String remark) {
        hold(client);
        try {
            Diaries.pause(pause);
        } catch (IllegalArgumentException e) {
            boolean ofTheDays = pause.figure() == null || pause.until().isBefore(pause.from());
            throw Problem.field(ofTheDays ? "/until" : "/figure", String.valueOf(e.getMessage()));
        }
        if (store.pauses(client).stream().noneMatch(p -> p.pause().equals(pause))) {
            store.add(client, new CheckInStore.KeptPause(UUID.randomUUID(), pause, remark, LocalDateTime.now(clock)));
            events.publishEvent(new ClientChanged(client));
        }
        return view(client);
    }

    @Transactional
    public Diary goOn(UUID id) {
        UUID client = store.ofPause(id).orElseThrow(() -> Problem.notFound("pause", id));
        hold(client);
        store.dropPause(id);
        events.publishEvent(new ClientChanged(client));
        return view(client);
    }

    /** Takes out everything of a client's for good. */
    public void erase(UUID client) {
        store.erase(client);
    }

    private void hold(UUID client) {
        if (clients.hold(client).isEmpty()) {
            throw Problem.notFound("client", client);
        }
    }
}

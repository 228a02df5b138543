package outfell.server.client;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.server.client.ClientStore.Client;
import outfell.server.problem.Clash;
import outfell.server.problem.Problem;

/** Who comes here, and how they are reached. */
@Service
public class Clients {
    /**
     * What may be changed of a client.
     *
     * @param archived whether they no longer come; an archived client keeps everything and leaves the desk
     */
    public record Details(
            String name,
            String trade,
            String contact,
            String note,
            @Nullable LocalDateTime nextVisit,
            boolean archived) {}

    private final ClientStore store;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Clients(ClientStore store, ApplicationEventPublisher events, Clock clock) {
        this.store = store;
        this.events = events;
        this.clock = clock;
    }

    public Client get(UUID id) {
        return store.find(id).orElseThrow(() -> Problem.notFound("client", id));
    }

    /** @param id that the client is to have, so that one sent twice is added once; absent for any */
    @Transactional
    public Client add(@Nullable UUID id, String name, String trade, @Nullable LocalDateTime nextVisit) {
        Optional<Client> there = id == null ? Optional.empty() : store.find(id);
        if (there.isPresent()) {
            return there.get();
        }
        Client client = new Client(
                id == null ? UUID.randomUUID() : id,
                name.strip(),
                trade.strip(),
                "",
                "",
                nextVisit,
                null,
                LocalDateTime.now(clock),
                0);
        store.add(client);
        events.publishEvent(new ClientChanged(client.id()));
        return client;
    }

    /** @throws Clash when somebody else has changed them since this version was read */
    @Transactional
    public Client change(UUID id, Details to, int version) {
        Client before = get(id);
        LocalDate archived = before.archived();
        Client after = new Client(
                id,
                to.name().strip(),
                to.trade().strip(),
                to.contact().strip(),
                to.note().strip(),
                to.nextVisit(),
                to.archived() ? (archived == null ? LocalDate.now(clock) : archived) : null,
                before.added(),
                version);
        if (!same(before, after) && !store.update(after)) {
            throw new Clash("This client", before);
        }
        events.publishEvent(new ClientChanged(id));
        return get(id);
    }

    /** The same change sent twice is no clash. */
    private static boolean same(Client a, Client b) {
        return new Client(
                        a.id(),
                        a.name(),
                        a.trade(),
                        a.contact(),
                        a.note(),
                        a.nextVisit(),
                        a.archived(),
                        a.added(),
                        b.version())
                .equals(b);
    }
}

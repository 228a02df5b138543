package outfell.server.visit;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.server.catalogue.ProductStore;
import outfell.server.client.ClientStore;
import outfell.server.client.ClientStore.Client;
import outfell.server.client.Clients;
import outfell.server.client.Shelf;
import outfell.server.patch.Patches;
import outfell.server.problem.Clash;
import outfell.server.safekeeping.SafeKeeping;
import outfell.server.visit.PlanStore.SavedPlan;
import outfell.server.visit.VisitStore.Visit;
import outfell.server.visit.VisitStore.VisitCorrection;
import outfell.server.week.CheckIns;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A client's whole record: taken out as a document, and erased. */
@Service
class ClientRecords {
    /** The record, docs/formats/client-record.schema.json. */
    record ClientRecord(
            String format,
            int version,
            LocalDateTime written,
            Client client,
            List<Shelf.Item> shelf,
            List<VisitRecord> visits,
            Patches.PatchView patchTests,
            CheckIns.Diary diary) {}

    record VisitRecord(Visit visit, List<VisitCorrection> corrections, List<PlanRecord> plans) {}

    /** @param document as it was handed over */
    record PlanRecord(SavedPlan plan, JsonNode document) {}

    /** What erasing takes out, and what it leaves and why; to be read before it is done. */
    record Erasure(List<String> goes, List<String> stays) {}

    private final Clients clients;
    private final ClientStore store;
    private final Shelf shelf;
    private final VisitStore visits;
    private final PlanStore plans;
    private final Patches patches;
    private final CheckIns checkIns;
    private final ProductStore products;
    private final JsonMapper json;
    private final Clock clock;

    ClientRecords(
            Clients clients,
            ClientStore store,
            Shelf shelf,
            VisitStore visits,
            PlanStore plans,
            Patches patches,
            CheckIns checkIns,
            ProductStore products,
            JsonMapper json,
            Clock clock) {
        this.clients = clients;
        this.store = store;
        this.shelf = shelf;
        this.visits = visits;
        this.plans = plans;
        this.patches = patches;
        this.checkIns = checkIns;
        this.products = products;
        this.json = json;
        this.clock = clock;
    }

    ClientRecord of(UUID id) {
        return new ClientRecord(
                "outfell-client-record",
                1,
                LocalDateTime.now(clock),
                clients.get(id),
                shelf.items(id),
                visits.all(id).stream().map(this::visit).toList(),
                patches.view(id),
                checkIns.view(id));
    }

    private VisitRecord visit(Visit visit) {
        return new VisitRecord(
                visit,
                visits.corrections(visit.id()),
                plans.ofVisit(visit.id()).stream()
                        .map(p -> new PlanRecord(
                                p, json.readTree(plans.document(p.id()).orElseThrow())))
                        .toList());
    }

    /** What would go and what would stay. */
    Erasure erasure(UUID id) {
        Client client = clients.get(id);
        int keptPlans = plans.ofClient(id).size();
        Patches.PatchView tests = patches.view(id);
        List<String> goes = new ArrayList<>();
        goes.add("%s: name, trade, contact, note and appointments.".formatted(client.name()));
        goes.add("%s with all that was asked and read, and %s."
                .formatted(count(visits.all(id).size(), "visit"), count(keptPlans, "kept plan")));
        goes.add("%s and %s."
                .formatted(
                        count(tests.tests().size(), "patch test"),
                        count(tests.waivers().size(), "waiver")));
        CheckIns.Diary diary = checkIns.view(id);
        goes.add("%s and %s."
                .formatted(
                        count(diary.checkIns().size(), "check-in"),
                        count(diary.pauses().size(), "pause")));
        goes.add("The shelf, with %s that nobody else owns or uses."
                .formatted(count(ownAlone(id).size(), "product")));
        return new Erasure(
                goes,
                List.of(
                        "That a record was erased today and by whom, without whose it was: so that a gap can be explained.",
                        "Backups made before: they are needed whole. The last that holds this record is gone after %d further backups, at one a day about %s."
                                .formatted(
                                        SafeKeeping.BACKUPS_KEPT,
                                        LocalDate.now(clock).plusDays(SafeKeeping.BACKUPS_KEPT)),
                        "Sheets, files and notes that were printed or taken out; Outfell does not know where they are."));
    }

    private static String count(int n, String what) {
        return n == 1 ? "1 " + what : "%d %ss".formatted(n, what);
    }

    /** Products that stand on this shelf alone and are not the house's. */
    private Set<String> ownAlone(UUID id) {
        List<String> own =
                store.shelf(id).stream().map(i -> i.product().value()).toList();
        return products.stored(own).stream()
                .filter(s -> !s.house())
                .map(s -> s.facts().id().value())
                .filter(p -> !products.ownedByOthers(p, id))
                .collect(Collectors.toSet());
    }

    /** @throws Clash when the record was changed since this version was read */
    @Transactional
    public void erase(UUID id, int version, String who) {
        Client client = store.hold(id).orElse(null);
        if (client == null) {
            return;
        }
        if (client.version() != version) {
            throw new Clash("This client", client);
        }
        Set<String> alone = ownAlone(id);
        plans.erase(id);
        visits.erase(id);
        patches.erase(id);
        checkIns.erase(id);
        store.erase(id);
        Set<String> used = products.inUse(alone);
        products.deleteAll(alone.stream().filter(p -> !used.contains(p)).toList());
        store.noteErasure(LocalDate.now(clock), who);
    }
}

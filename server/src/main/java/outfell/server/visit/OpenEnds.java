package outfell.server.visit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import outfell.aims.PatchCall;
import outfell.regimen.Regimen;
import outfell.server.client.ClientStore.Client;
import outfell.server.client.Clients;
import outfell.server.client.Shelf;
import outfell.server.plan.PlanAnswer;
import outfell.server.plan.VerdictView;
import outfell.server.visit.VisitStore.Visit;
import tools.jackson.databind.json.JsonMapper;

/** What is still open when a visit is to be finished, in the order in which it would be done. */
@Service
class OpenEnds {
    /** Where an open end is tied. */
    enum Where {
        TALK,
        READ,
        REGIMEN,
        PATCH,
        CLIENT
    }

    record OpenEnd(Where where, String sentence) {}

    private final Visits visits;
    private final PlanStore plans;
    private final Clients clients;
    private final Shelf shelf;
    private final JsonMapper json;

    OpenEnds(Visits visits, PlanStore plans, Clients clients, Shelf shelf, JsonMapper json) {
        this.visits = visits;
        this.plans = plans;
        this.clients = clients;
        this.shelf = shelf;
        this.json = json;
    }

    List<OpenEnd> of(UUID id) {
        Visit visit = visits.find(id);
        VerdictView verdict = visits.verdict(visit);
        List<OpenEnd> all = new ArrayList<>();
        unasked(verdict).ifPresent(sentence -> all.add(new OpenEnd(Where.TALK, sentence)));
        shelf.missing(visit.client()).forEach(m -> all.add(new OpenEnd(Where.TALK, m)));
        verdict.safety().referrals().stream()
                .filter(r -> r.open())
                .forEach(r -> all.add(new OpenEnd(
                        Where.REGIMEN, "%s: refer first, and nothing is settled yet.".formatted(r.name()))));
        if (visit.reading().grades().isEmpty() && visit.reading().probe().isEmpty()) {
            all.add(new OpenEnd(Where.READ, "The face was not read."));
        }
        verdict.contradictions().stream()
                .filter(c -> c.settled().isEmpty())
                .forEach(c -> all.add(new OpenEnd(
                        Where.READ,
                        "Two findings disagree: %s".formatted(c.because().sentence()))));
        plan(visit, all);
        appointment(clients.get(visit.client()), visit, all);
        return all;
    }

    /** How much of what must be asked before anything is given was not; nothing when all of it was. */
    static Optional<String> unasked(VerdictView verdict) {
        int unasked = verdict.safety().unasked().size();
        return switch (unasked) {
            case 0 -> Optional.empty();
            case 1 -> Optional.of("One safety question was not asked.");
            default -> Optional.of("%d safety questions were not asked.".formatted(unasked));
        };
    }

    private void plan(Visit visit, List<OpenEnd> all) {
        PlanAnswer answer = visits.plan(visit.id(), visit.month());
        Regimen regimen = answer.regimen();
        if (regimen == null) {
            return;
        }
        Optional<String> newest = plans.ofVisit(visit.id()).stream().findFirst().flatMap(p -> plans.document(p.id()));
        if (newest.isEmpty()) {
            all.add(new OpenEnd(Where.REGIMEN, "No plan of this visit is kept."));
        } else if (!newest.get().equals(json.writeValueAsString(answer))) {
            all.add(new OpenEnd(Where.REGIMEN, "The plan has changed since it was kept."));
        }
        regimen.patches().stream()
                .filter(p -> p.state() == PatchCall.PatchState.MISSING)
                .forEach(p ->
                        all.add(new OpenEnd(Where.PATCH, "The patch test of %s has not begun.".formatted(p.name()))));
    }

    private static void appointment(Client client, Visit visit, List<OpenEnd> all) {
        boolean agreed =
                client.nextVisit() != null && client.nextVisit().toLocalDate().isAfter(visit.date());
        if (!agreed) {
            all.add(new OpenEnd(Where.CLIENT, "No next visit is agreed."));
        }
    }
}

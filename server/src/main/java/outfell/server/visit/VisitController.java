package outfell.server.visit;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import outfell.regimen.Compared;
import outfell.regimen.Findings;
import outfell.regimen.Loosened;
import outfell.regimen.PresentRoutine;
import outfell.server.catalogue.ProductForm;
import outfell.server.client.ClientStore;
import outfell.server.patch.Patches;
import outfell.server.plan.CaseDocument;
import outfell.server.plan.PlanAnswer;
import outfell.server.plan.VerdictView;
import outfell.server.problem.MatchesSchema;
import outfell.server.visit.VisitStore.SavedPlan;
import outfell.server.visit.VisitStore.Visit;

/** The desk and the visits. */
@RestController
@RequestMapping("/api")
class VisitController {
    /** Everybody, by next visit, and the patch tests to read. */
    record Desk(LocalDateTime now, List<Docket> clients, List<Patches.Due> patchTests) {}

    /** One client on the desk. */
    record Docket(
            UUID id,
            String name,
            String trade,
            @Schema(types = {"string", "null"}) @Nullable LocalDateTime nextVisit,
            @Schema(types = {"string", "null"}) @Nullable UUID lastVisit,
            @Schema(types = {"string", "null"}) @Nullable LocalDate lastDate,
            @Schema(types = {"string", "null"}) @Nullable LocalDate readDate,
            String skin,
            List<String> mind,
            int plansKept) {}

    private final Visits visits;
    private final ClientStore clients;
    private final Patches patches;
    private final Clock clock;

    VisitController(Visits visits, ClientStore clients, Patches patches, Clock clock) {
        this.visits = visits;
        this.clients = clients;
        this.patches = patches;
        this.clock = clock;
    }

    @GetMapping("/desk")
    Desk desk() {
        return new Desk(
                LocalDateTime.now(clock),
                clients.all().stream().map(this::docket).toList(),
                patches.due());
    }

    @PostMapping("/clients/{client}/visits")
    @ResponseStatus(HttpStatus.CREATED)
    Visit begin(@PathVariable UUID client) {
        return visits.begin(client);
    }

    @GetMapping("/visits/{id}")
    Visit visit(@PathVariable UUID id) {
        return visits.find(id);
    }

    @PutMapping("/visits/{id}")
    Visit save(@PathVariable UUID id, @RequestBody @MatchesSchema("visit") VisitDocument document) {
        return visits.save(id, document);
    }

    /** What was asked and read at the visit before; nothing when this is the first. */
    @GetMapping("/visits/{id}/before")
    ResponseEntity<Visit> before(@PathVariable UUID id) {
        return orNothing(visits.before(id));
    }

    /** The verdict of a visit as it stands in the window, kept or not. */
    @PostMapping("/visits/{id}/verdict")
    VerdictView verdict(@PathVariable UUID id, @RequestBody @MatchesSchema("visit") VisitDocument document) {
        return visits.verdict(id, document);
    }

    /** What the plan costs a month, and when each pack is empty or past its time. */
    @GetMapping("/visits/{id}/supply")
    SupplyView supply(@PathVariable UUID id, @RequestParam Month month) {
        return visits.supply(id, month);
    }

    /** What the steps of the plan do to one another, gravest first, and what mends each. */
    @GetMapping("/visits/{id}/plan/findings")
    List<Findings.Met> findings(@PathVariable UUID id) {
        return visits.findings(id);
    }

    /** The plan against the one that is computed without anything by hand. */
    @GetMapping("/visits/{id}/plan/computed")
    ResponseEntity<Compared> withComputed(@PathVariable UUID id) {
        return orNothing(visits.withComputed(id));
    }

    /** The best plan for three quarters of the money, against this one. */
    @GetMapping("/visits/{id}/plan/cheaper")
    ResponseEntity<Compared> cheaper(@PathVariable UUID id) {
        return orNothing(visits.cheaper(id));
    }

    private static <T> ResponseEntity<T> orNothing(Optional<T> found) {
        return found.map(ResponseEntity::ok)
                .orElseGet(() -> ResponseEntity.noContent().build());
    }

    /** Which limit to let out, by how little, and what that buys. */
    @GetMapping("/visits/{id}/plan/limits")
    List<Loosened> loosened(@PathVariable UUID id) {
        return visits.loosened(id);
    }

    @GetMapping("/visits/{id}/plan")
    PlanAnswer plan(
            @PathVariable UUID id,
            @RequestParam Month month,
            @RequestParam(required = false) @Nullable String instead) {
        return instead == null ? visits.plan(id, month) : visits.planInstead(id, instead);
    }

    /** What the client does now, read as a regimen. */
    @GetMapping("/visits/{id}/present")
    PresentRoutine.Present present(@PathVariable UUID id) {
        return visits.present(id);
    }

    /** Reads a label for this client and keeps nothing. */
    @PostMapping("/visits/{id}/labels")
    Visits.LabelForClient label(@PathVariable UUID id, @RequestBody @Valid ProductForm form) {
        return visits.label(id, form);
    }

    /** Whether a product may be put in by hand; refuses with the reason. */
    @PostMapping("/visits/{id}/choices/check")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void check(@PathVariable UUID id, @RequestBody CaseDocument.Choice choice) {
        visits.check(id, choice);
    }

    @PostMapping("/visits/{id}/plans")
    @ResponseStatus(HttpStatus.CREATED)
    SavedPlan keep(@PathVariable UUID id) {
        return visits.keepPlan(id);
    }

    /** Products of the client's newest kept plan that were reformulated, renamed or retired since. */
    @GetMapping("/visits/{id}/moved")
    List<VisitStore.Moved> moved(@PathVariable UUID id) {
        return visits.moved(id);
    }

    @GetMapping("/visits/{id}/plans")
    List<SavedPlan> kept(@PathVariable UUID id) {
        return visits.kept(visits.find(id).id());
    }

    private Docket docket(ClientStore.Client c) {
        Optional<Visit> last = visits.latest(c.id());
        Optional<Visit> read = last.flatMap(visits::lastRead);
        Optional<VerdictView> verdict = last.map(visits::verdict);
        return new Docket(
                c.id(),
                c.name(),
                c.trade(),
                c.nextVisit(),
                last.map(Visit::id).orElse(null),
                last.map(Visit::date).orElse(null),
                read.map(Visit::date).orElse(null),
                read.map(visits::verdict).map(VerdictView::type).orElse("not read yet"),
                verdict.map(v -> v.safety().bans().stream()
                                .map(VerdictView.BanView::name)
                                .distinct()
                                .toList())
                        .orElse(List.of()),
                last.map(v -> visits.kept(v.id()).size()).orElse(0));
    }
}

package outfell.server.visit;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
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
import outfell.causes.Ladder;
import outfell.changes.Change;
import outfell.changes.Compared;
import outfell.changes.UsualAgain;
import outfell.regimen.Findings;
import outfell.regimen.Weeks;
import outfell.routine.Part;
import outfell.server.catalogue.ProductForm;
import outfell.server.patch.Patches;
import outfell.server.plan.CaseDocument;
import outfell.server.plan.PlanAnswer;
import outfell.server.plan.VerdictView;
import outfell.server.problem.MatchesSchema;
import outfell.server.problem.Problem;
import outfell.server.visit.PlanStore.SavedPlan;
import outfell.server.visit.VisitStore.Visit;
import outfell.server.weather.AirTodayView;
import outfell.shelf.PresentRoutine;

/** The desk and the visits. */
@RestController
@RequestMapping("/api")
class VisitController {
    /** Which of the clients the desk shows. */
    enum Scope {
        /** those with a visit on one day */
        DAY,
        /** those with a visit in the seven days from it */
        WEEK,
        /** everybody who still comes */
        ALL,
        /** those who no longer come, too */
        ARCHIVED
    }

    /**
     * One page of clients, and the patch tests to read.
     *
     * @param total how many fit
     * @param skipped how many stand before these
     */
    record Desk(LocalDateTime now, int total, int skipped, List<Docket> clients, List<Patches.Due> patchTests) {}

    /**
     * One client on the desk.
     *
     * @param fault why the record, or a part of it, cannot be read; empty when it can
     */
    record Docket(
            UUID id,
            String name,
            String trade,
            String contact,
            @Schema(types = {"string", "null"}) @Nullable LocalDateTime nextVisit,
            @Schema(types = {"string", "null"}) @Nullable UUID lastVisit,
            @Schema(types = {"string", "null"}) @Nullable LocalDate lastDate,
            @Schema(types = {"string", "null"}) @Nullable LocalDate readDate,
            String skin,
            List<String> mind,
            int plansKept,
            String fault) {}

    record Chosen(
            @NotNull(message = "Say which routine.") Part part,

            @NotBlank(message = "Say which product.")
            @Size(max = 60, message = "The id is too long; allowed is 60 characters.")
            String product) {}

    record Correcting(
            @NotBlank(message = "Say who puts it right.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String who,

            @NotBlank(message = "Say why it is put right.")
            @Size(max = 500, message = "The reason is too long; allowed is 500 characters.")
            String why) {}

    private final Visits visits;
    private final AfterSave afterSave;
    private final VisitWeeks weeks;
    private final VisitYear year;
    private final LastYear lastYear;
    private final DeskLines lines;
    private final Patches patches;
    private final Clock clock;

    VisitController(
            Visits visits,
            AfterSave afterSave,
            VisitWeeks weeks,
            VisitYear year,
            LastYear lastYear,
            DeskLines lines,
            Patches patches,
            Clock clock) {
        this.visits = visits;
        this.afterSave = afterSave;
        this.weeks = weeks;
        this.year = year;
        this.lastYear = lastYear;
        this.lines = lines;
        this.patches = patches;
        this.clock = clock;
    }

    /** @param day first day of what is shown by day or week; today when absent */
    @GetMapping("/desk")
    Desk desk(
            @RequestParam(defaultValue = "ALL") Scope scope,
            @RequestParam(required = false) @Nullable LocalDate day,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "0") int skipped) {
        if (skipped < 0) {
            throw Problem.field("/skipped", "%d cannot be skipped; allowed is 0 or more.".formatted(skipped));
        }
        DeskStore.Which which = which(scope, day == null ? LocalDate.now(clock) : day, text);
        return new Desk(
                LocalDateTime.now(clock),
                lines.count(which),
                skipped,
                lines.page(which, skipped).stream().map(VisitController::docket).toList(),
                patches.due());
    }

    private static DeskStore.Which which(Scope scope, LocalDate day, String text) {
        boolean bound = scope == Scope.DAY || scope == Scope.WEEK;
        return new DeskStore.Which(
                bound ? day.atStartOfDay() : null,
                bound ? day.plusDays(scope == Scope.DAY ? 1 : 7).atStartOfDay() : null,
                Stream.of(text.strip().split("\\s+")).filter(w -> !w.isEmpty()).toList(),
                scope == Scope.ARCHIVED);
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

    /**
     * Keeps the visit and tells what follows from it.
     *
     * @param typed when it was typed, where that was before the connection was lost
     * @param shown the month whose plan is in sight; absent for the verdict alone
     */
    @PutMapping("/visits/{id}")
    AfterSave.Saved save(
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable LocalDateTime typed,
            @RequestParam(required = false) @Nullable Month shown,
            @RequestBody @MatchesSchema("visit") VisitDocument document) {
        return afterSave.of(visits.save(id, document, typed), shown);
    }

    /** Whose day a visit is, whether it has passed, and what was put right since. */
    @GetMapping("/visits/{id}/day")
    Visits.DayView day(@PathVariable UUID id) {
        return visits.day(id);
    }

    /** Marks that a visit of an earlier day is put right today. */
    @PostMapping("/visits/{id}/corrections")
    Visits.DayView correct(@PathVariable UUID id, @RequestBody @Valid Correcting form) {
        return visits.correct(id, form.who().strip(), form.why().strip());
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

    private static <T> ResponseEntity<T> orNothing(Optional<T> found) {
        return found.map(ResponseEntity::ok)
                .orElseGet(() -> ResponseEntity.noContent().build());
    }

    /** For each of the client's limits, what less would take and what more would buy. */
    @GetMapping("/visits/{id}/plan/ladders")
    List<Ladder> ladders(@PathVariable UUID id) {
        return visits.ladders(id);
    }

    @GetMapping("/visits/{id}/plan")
    PlanAnswer plan(@PathVariable UUID id, @RequestParam Month month) {
        return visits.plan(id, month);
    }

    /** The plan in time: what each evening brings, and what is led up to week by week. */
    @GetMapping("/visits/{id}/weeks")
    Weeks weeks(@PathVariable UUID id) {
        return weeks.weeks(id);
    }

    /** The sun of her day in a month, under the plan: a word, and the arithmetic behind it. */
    @GetMapping("/visits/{id}/sun")
    SunView sun(@PathVariable UUID id, @RequestParam Month month) {
        return year.sun(id, month);
    }

    /** The plan in an air that is only thought of, to see what air does. */
    @GetMapping("/visits/{id}/what-if")
    WhatIfView whatIf(
            @PathVariable UUID id,
            @RequestParam double celsius,
            @RequestParam double humidity,
            @RequestParam double wind,
            @RequestParam double uv,
            @RequestParam double hours) {
        return year.whatIf(id, celsius, humidity, wind, uv, hours);
    }

    /** Today's air at the client's place, and what it is to the plan. */
    @GetMapping("/visits/{id}/weather")
    AirTodayView weather(@PathVariable UUID id) {
        return year.today(id);
    }

    /** What was a year before some days: how the skin was read, what plan stood, how it was borne. */
    @GetMapping("/visits/{id}/last-year")
    LastYear.LastYearView lastYear(@PathVariable UUID id, @RequestParam LocalDate from, @RequestParam LocalDate until) {
        return lastYear.before(id, from, until);
    }

    /** The year after it, for the client's place or another: on which dates the plan turns, and why. */
    @GetMapping("/visits/{id}/year")
    YearView year(@PathVariable UUID id, @RequestParam(required = false) @Nullable String place) {
        return year.year(id, place);
    }

    /** One evening of the plan, on any day that it reaches to. */
    @GetMapping("/visits/{id}/evenings/{date}")
    VisitWeeks.DatedEvening evening(@PathVariable UUID id, @PathVariable LocalDate date) {
        return weeks.evening(id, date);
    }

    /** What another month, or the visit's method in place of another, changes in the plan; each with the fact that did it. */
    @GetMapping("/visits/{id}/plan/changes")
    List<Change> changes(
            @PathVariable UUID id,
            @RequestParam Month month,
            @RequestParam(required = false) @Nullable String instead) {
        return instead == null ? visits.turned(id, month) : visits.instead(id, instead);
    }

    /** What the practice's own rules change in the plan, by those that ship; each with the rule that did it. */
    @GetMapping("/visits/{id}/plan/own-rules")
    List<Change> ownRules(@PathVariable UUID id) {
        return visits.byOwnRules(id);
    }

    /**
     * The plan of a skin that is otherwise these weeks.
     *
     * @param told what it becomes when the skin is as usual again; absent where it is as usual now, or nobody asked
     */
    record UsualView(Optional<UsualAgain.UsualTold> told) {}

    @GetMapping("/visits/{id}/plan/usual")
    UsualView usual(@PathVariable UUID id) {
        return new UsualView(visits.usualAgain(id));
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
    void check(@PathVariable UUID id, @RequestBody @Valid Chosen chosen) {
        visits.check(id, new CaseDocument.Choice(chosen.part(), chosen.product()));
    }

    @PostMapping("/visits/{id}/plans")
    @ResponseStatus(HttpStatus.CREATED)
    SavedPlan keep(@PathVariable UUID id) {
        return visits.keepPlan(id);
    }

    /** Products of the client's newest kept plan that were reformulated, renamed or retired since. */
    @GetMapping("/visits/{id}/moved")
    List<PlanStore.Moved> moved(@PathVariable UUID id) {
        return visits.moved(id);
    }

    @GetMapping("/visits/{id}/plans")
    List<SavedPlan> kept(@PathVariable UUID id) {
        return visits.kept(visits.find(id).id());
    }

    private static Docket docket(DeskStore.Row row) {
        DeskStore.Line line = row.line() == null ? DeskStore.Line.NONE : row.line();
        return new Docket(
                row.client(),
                row.name(),
                row.trade(),
                row.contact(),
                row.nextVisit(),
                line.lastVisit(),
                line.lastDate(),
                line.readDate(),
                line.skin(),
                line.mind(),
                line.plansKept(),
                line.fault());
    }
}

package outfell.server.visit;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.causes.Ladder;
import outfell.changes.Change;
import outfell.changes.Changes;
import outfell.changes.Compared;
import outfell.changes.UsualAgain;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.consultation.Life.Taste;
import outfell.hand.Refusal;
import outfell.knowledge.Because;
import outfell.knowledge.RuleId;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.regimen.Findings;
import outfell.regimen.Planner;
import outfell.regimen.Regimen;
import outfell.safety.SafetyScreen;
import outfell.server.catalogue.Catalogue;
import outfell.server.catalogue.ProductForm;
import outfell.server.catalogue.ProductView;
import outfell.server.client.ClientChanged;
import outfell.server.client.ClientStore;
import outfell.server.client.Shelf;
import outfell.server.plan.CaseDocument;
import outfell.server.plan.Cases;
import outfell.server.plan.PlanAnswer;
import outfell.server.plan.Plans;
import outfell.server.plan.VerdictView;
import outfell.server.practice.Bands;
import outfell.server.practice.FollowedSchools;
import outfell.server.practice.HouseMethods;
import outfell.server.problem.Clash;
import outfell.server.problem.Problem;
import outfell.server.visit.PlanStore.SavedPlan;
import outfell.server.visit.VisitStore.Visit;
import outfell.shelf.PresentRoutine;
import outfell.shelf.Substitutes;
import outfell.skin.ProbeBands;
import outfell.supply.Supply;
import tools.jackson.databind.json.JsonMapper;

/** Keeps visits and plans from them. */
@Service
public class Visits {
    /**
     * The day of a visit.
     *
     * @param today the day of the practice
     * @param earlier whether it has passed, so that the visit is read and no longer changed
     * @param open whether a correction is open today
     * @param corrections newest first
     */
    public record DayView(
            LocalDate date,
            LocalDate today,
            boolean earlier,
            boolean open,
            List<VisitStore.VisitCorrection> corrections) {}

    /** A visit that was saved, and all that a plan of it is made from. */
    record Kept(Visit visit, Consultation told) {}

    /** How long after the last touch a visit of yesterday is still going on; a judgement of this house. */
    private static final Duration STILL_AT_WORK = Duration.ofHours(3);

    /** @param forbidden every ban against it; none when it may be used */
    public record LabelForClient(ProductView product, List<Because> forbidden) {}

    private final VisitStore store;
    private final PlanStore planStore;
    private final ClientStore clients;
    private final Shelf shelf;
    private final Catalogue catalogue;
    private final Plans plans;
    private final VisitCases consultations;
    private final Bands bands;
    private final HouseMethods methods;
    private final FollowedSchools schools;
    private final JsonMapper json;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Visits(
            VisitStore store,
            PlanStore planStore,
            ClientStore clients,
            Shelf shelf,
            Catalogue catalogue,
            Plans plans,
            VisitCases consultations,
            Bands bands,
            HouseMethods methods,
            FollowedSchools schools,
            JsonMapper json,
            ApplicationEventPublisher events,
            Clock clock) {
        this.store = store;
        this.planStore = planStore;
        this.clients = clients;
        this.shelf = shelf;
        this.catalogue = catalogue;
        this.plans = plans;
        this.consultations = consultations;
        this.bands = bands;
        this.methods = methods;
        this.schools = schools;
        this.json = json;
        this.events = events;
        this.clock = clock;
    }

    /** Today's visit, begun once: what was asked last time stands as a beginning, the face is read anew. */
    @Transactional
    public Visit begin(UUID client) {
        if (clients.hold(client).isEmpty()) {
            throw Problem.notFound("client", client);
        }
        LocalDate today = LocalDate.now(clock);
        Optional<Visit> begun = store.onDay(client, today);
        if (begun.isPresent()) {
            return begun.get();
        }
        Optional<Visit> last = store.latest(client);
        Visit visit = new Visit(
                UUID.randomUUID(),
                client,
                today,
                0,
                last.map(v -> carriedOver(v.intake(), today)).orElseGet(this::unasked),
                CaseDocument.Reading.NONE,
                last.map(Visit::method).orElse(Methods.all().getFirst().id().value()),
                today.getMonth(),
                List.of(),
                List.of(),
                List.of(),
                last.map(v -> carriedOver(v.week(), today)).orElse(CaseDocument.Week.USUAL));
        store.insert(visit, LocalDateTime.now(clock));
        events.publishEvent(new ClientChanged(client));
        return visit;
    }

    public Visit find(UUID id) {
        return store.find(id).orElseThrow(() -> Problem.notFound("visit", id));
    }

    public Optional<Visit> latest(UUID client) {
        return store.latest(client);
    }

    /**
     * Keeps a visit. What stands there already, as when an answer was lost and the save is sent again, is a success.
     *
     * @param typed when it was typed; absent for now. What was typed on the visit's own day is no correction
     * @return the visit as it stands on disk, with all that a plan of it is made from
     * @throws Clash when somebody else has saved since this version was read
     * @throws Problem when the visit is of an earlier day and no correction is open
     */
    @Transactional
    Kept save(UUID id, VisitDocument document, @Nullable LocalDateTime typed) {
        VisitStore.Day day = store.hold(id).orElseThrow(() -> Problem.notFound("visit", id));
        Visit before = find(id);
        Visit after = with(before, document);
        String save = fingerprint(document);
        if (day.madeBySave().equals(save)) {
            return new Kept(before, consultations.of(before));
        }
        Consultation told = consultations.of(after);
        LocalDateTime worked = typed != null && typed.toLocalDate().equals(day.date()) ? typed : null;
        boolean putRight = worked == null && isEarlier(day);
        if (putRight && !correctedToday(id)) {
            throw Problem.refused(
                    "earlier-visit",
                    "This visit is of an earlier day and stays as it was. Mark a correction, with who and why, to change it.");
        }
        document.pins().forEach(p -> known(p.product()));
        document.takenOut().forEach(p -> known(p.product()));
        document.steps().forEach(p -> known(p.product()));
        after.week().courses().forEach(c -> known(c.product()));
        // what is put right later does not make the visit one of today
        LocalDateTime last = putRight ? day.workedAt() : worked != null ? worked : LocalDateTime.now(clock);
        Visit kept = store.update(before, after, last, save).orElseThrow(() -> new Clash("This visit", find(id)));
        events.publishEvent(new ClientChanged(before.client()));
        // lists are kept in an order of their own, and what is told of a visit follows the order that it is read in
        return new Kept(kept, kept.equals(after.of(kept.version())) ? told : consultations.of(kept));
    }

    /** Of the whole save with the version that it was made on: the same only when it is the same save. */
    private String fingerprint(VisitDocument document) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(json.writeValueAsBytes(document)));
        } catch (NoSuchAlgorithmException never) {
            throw new IllegalStateException("Every Java has SHA-256.", never);
        }
    }

    /** A visit that runs past midnight is still worked on; one that nobody touched for some hours is of its day. */
    private boolean isEarlier(VisitStore.Day day) {
        LocalDateTime now = LocalDateTime.now(clock);
        return day.date().isBefore(now.toLocalDate()) && day.workedAt().isBefore(now.minus(STILL_AT_WORK));
    }

    private boolean correctedToday(UUID id) {
        return store.corrections(id).stream()
                .anyMatch(c -> c.openedAt().toLocalDate().equals(LocalDate.now(clock)));
    }

    /** Whose day it is, whether that has passed, and what was put right since. */
    public DayView day(UUID id) {
        VisitStore.Day day = store.day(id).orElseThrow(() -> Problem.notFound("visit", id));
        boolean earlier = isEarlier(day);
        return new DayView(
                day.date(), LocalDate.now(clock), earlier, earlier && correctedToday(id), store.corrections(id));
    }

    /** Marks that an earlier visit is put right today; two taps mark it once. */
    @Transactional
    public DayView correct(UUID id, String who, String why) {
        VisitStore.Day day = store.hold(id).orElseThrow(() -> Problem.notFound("visit", id));
        if (!isEarlier(day)) {
            throw Problem.refused("not-earlier", "This visit is today's; it can be changed as it stands.");
        }
        boolean marked = store.corrections(id).stream()
                .anyMatch(c -> c.openedAt().toLocalDate().equals(LocalDate.now(clock))
                        && c.who().equals(who)
                        && c.why().equals(why));
        if (!marked) {
            store.correct(id, new VisitStore.VisitCorrection(UUID.randomUUID(), who, why, LocalDateTime.now(clock)));
        }
        return day(id);
    }

    public PlanAnswer plan(UUID id, Month shown) {
        return plans.plan(consultations.of(find(id)), shown);
    }

    PlanAnswer plan(Kept kept, Month shown) {
        return plans.plan(kept.told(), shown);
    }

    /** What the air of another month changes in the visit's plan, and what did it. */
    public List<Change> turned(UUID id, Month shown) {
        return plans.turned(consultations.of(find(id)), shown);
    }

    /** What the visit's method changes in the plan of another, and which of its answers did it. */
    public List<Change> instead(UUID id, String method) {
        return plans.instead(consultations.of(find(id)), methods.get(method));
    }

    /** What the practice's own rules change in the visit's plan, and which of them. */
    public List<Change> byOwnRules(UUID id) {
        return plans.byOwnRules(consultations.of(find(id)));
    }

    /** What the plan becomes when the skin is as usual again; absent where it is as usual now, or nobody asked. */
    public Optional<UsualAgain.UsualTold> usualAgain(UUID id) {
        Visit visit = find(id);
        return Cases.lately(visit.date(), visit.intake()).map(l -> UsualAgain.of(consultations.of(visit), l));
    }

    /** What the steps of the visit's plan do to one another, and what mends it. */
    public List<Findings.Met> findings(UUID id) {
        return Planner.findings(consultations.of(find(id)));
    }

    /** For each of the client's limits, what less would take from the visit's plan and what more would buy. */
    public List<Ladder> ladders(UUID id) {
        return plans.ladders(consultations.of(find(id)));
    }

    /** The visit's plan against the computed one; nothing when there is no plan. */
    public Optional<Compared> withComputed(UUID id) {
        return Changes.withComputed(consultations.of(find(id)));
    }

    /** What the plan costs and how long its packs last, those in use by what is left of them. */
    public SupplyView supply(UUID id, Month shown) {
        Visit visit = find(id);
        Regimen regimen = plan(id, shown).regimen();
        if (regimen == null) {
            throw Problem.refused("refer-first", "There is nothing to buy until the referral is settled.");
        }
        Map<ProductId, Supply.Pack> packs = clients.shelf(visit.client()).stream()
                .collect(Collectors.toMap(ClientStore.ShelfItem::product, i -> SupplyView.pack(i.use())));
        Map<ProductId, Double> grams = Supply.gramsAWeek(Stream.of(regimen.morning(), regimen.evening())
                .flatMap(r -> r.steps().stream())
                .toList());
        List<Supply.Used> used = grams.entrySet().stream()
                .map(e -> new Supply.Used(
                        catalogue.find(e.getKey()).orElseThrow(),
                        e.getValue(),
                        Optional.ofNullable(packs.get(e.getKey()))))
                .toList();
        return SupplyView.of(
                Supply.of(used, LocalDate.now(clock)),
                cheaper(visit, used),
                visit.intake().budget());
    }

    /** For each new product of the plan, the cheapest of the house that does its job and that no ban keeps from her. */
    private Map<ProductId, SupplyView.Cheaper> cheaper(Visit visit, List<Supply.Used> used) {
        ProbeBands now = bands.current();
        Cases.Asked asked = asked(visit, now);
        Set<ProductId> planned = used.stream().map(u -> u.product().id()).collect(Collectors.toSet());
        Map<ProductId, SupplyView.Cheaper> all = new LinkedHashMap<>();
        used.stream()
                .filter(u -> u.pack().isEmpty() && !u.product().prescription())
                .forEach(u -> catalogue.substitutes(u.product().id(), Substitutes.Want.CHEAPER).found().stream()
                        .map(Substitutes.Substitute::product)
                        .filter(p -> !planned.contains(p.id())
                                && plans.against(asked, Cases.concerns(visit.intake()), now, p)
                                        .isEmpty())
                        .flatMap(p -> instead(u, p).stream())
                        .max(Comparator.comparingDouble(SupplyView.Cheaper::saves))
                        .ifPresent(c -> all.put(u.product().id(), c)));
        return all;
    }

    private static Optional<SupplyView.Cheaper> instead(Supply.Used u, Product p) {
        return Supply.saves(u, p).stream()
                .mapToObj(saved -> new SupplyView.Cheaper(p.id(), p.name(), saved, Substitutes.lost(u.product(), p)))
                .findFirst();
    }

    /** @throws Problem when a rule forbids the product, with the reason */
    public void check(UUID id, CaseDocument.Choice choice) {
        known(choice.product());
        Optional<Refusal> refusal = Planner.refusal(
                consultations.of(find(id)), Cases.choices(List.of(choice)).getFirst());
        refusal.ifPresent(r -> {
            throw Problem.refused(
                    r.overrulable() ? "against-a-rule" : "forbidden",
                    r.because().sentence());
        });
    }

    /** Keeps the plan of the visit's own month as it is now, once; it is never changed afterwards. */
    @Transactional
    public SavedPlan keepPlan(UUID id) {
        VisitStore.Day day = store.hold(id).orElseThrow(() -> Problem.notFound("visit", id));
        if (isEarlier(day) && !correctedToday(id)) {
            throw Problem.refused(
                    "earlier-visit",
                    "This visit is of an earlier day; the plans kept at it stand. Mark a correction to keep another.");
        }
        return keepPlan(id, LocalDateTime.now(clock));
    }

    /** As it was kept at some moment. */
    @Transactional
    public SavedPlan keepPlan(UUID id, LocalDateTime at) {
        if (store.hold(id).isEmpty()) {
            throw Problem.notFound("visit", id);
        }
        Visit visit = find(id);
        PlanAnswer answer = plan(id, visit.month());
        if (answer.status() == PlanAnswer.Status.REFER_FIRST) {
            throw Problem.refused("refer-first", "There is no plan to keep until the referral is settled.");
        }
        Keepable.demand(answer);
        String document = json.writeValueAsString(answer);
        Optional<SavedPlan> newest = planStore.ofVisit(id).stream().findFirst();
        if (newest.flatMap(p -> planStore.document(p.id()))
                .filter(document::equals)
                .isPresent()) {
            return newest.get();
        }
        SavedPlan saved = planStore.save(id, visit.month(), document, at);
        Regimen regimen = answer.regimen();
        if (regimen != null) {
            planStore.builtWith(
                    saved.id(),
                    regimen.products().stream().map(ProductId::value).toList());
        }
        events.publishEvent(new ClientChanged(visit.client()));
        return saved;
    }

    /** The newest kept plan of the visit, when it is this answer word for word. */
    public Optional<SavedPlan> keptAs(UUID id, PlanAnswer answer) {
        return planStore.ofVisit(id).stream()
                .findFirst()
                .filter(p -> planStore
                        .document(p.id())
                        .filter(json.writeValueAsString(answer)::equals)
                        .isPresent());
    }

    /** What of the client's newest kept plan is no longer what it was. */
    public List<PlanStore.Moved> moved(UUID id) {
        return planStore.moved(find(id).client());
    }

    public List<SavedPlan> kept(UUID id) {
        return planStore.ofVisit(id);
    }

    /** Every kept plan of a client, newest first. */
    public List<PlanStore.PlanOfVisit> keptOf(UUID client) {
        return planStore.ofClient(client);
    }

    private void known(String product) {
        if (catalogue.find(new ProductId(product)).isEmpty()) {
            throw Problem.notFound("product", product);
        }
    }

    /** A visit as it stands in the window, kept or not. */
    public VerdictView verdict(UUID id, VisitDocument document) {
        return verdict(with(find(id), document));
    }

    public VerdictView verdict(Visit visit) {
        ProbeBands now = bands.current();
        return plans.verdict(asked(visit, now), Cases.concerns(visit.intake()), now);
    }

    /** A label read for this client: what it is, and why it must not touch this skin. */
    public LabelForClient label(UUID id, ProductForm form) {
        Visit visit = find(id);
        ProbeBands now = bands.current();
        Product product = catalogue.read(form.facts(new ProductId("not-kept")));
        return new LabelForClient(
                ProductView.of(product),
                plans.against(asked(visit, now), Cases.concerns(visit.intake()), now, product));
    }

    /** What the client does now, read as a regimen. */
    public PresentRoutine.Present present(UUID id) {
        Visit visit = find(id);
        ProbeBands now = bands.current();
        return plans.present(
                asked(visit, now),
                Cases.concerns(visit.intake()),
                now,
                shelf.used(visit.client()),
                methods.get(visit.method()),
                schools.current());
    }

    private Cases.Asked asked(Visit visit, ProbeBands now) {
        return Cases.asked(visit.date(), visit.intake(), visit.reading(), shelf.owned(visit.client()), now);
    }

    /** The last visit at which the face was looked at. */
    public Optional<Visit> lastRead(Visit latest) {
        return latest.reading().grades().isEmpty() && latest.reading().probe().isEmpty()
                ? store.before(latest)
                : Optional.of(latest);
    }

    /** The visit before, if there was one: what was asked and read then. */
    public Optional<Visit> before(UUID id) {
        return store.before(find(id));
    }

    private static Visit with(Visit before, VisitDocument document) {
        return new Visit(
                before.id(),
                before.client(),
                before.date(),
                document.version(),
                document.intake(),
                document.reading(),
                document.method(),
                document.month(),
                document.pins(),
                document.takenOut(),
                document.steps(),
                Optional.ofNullable(document.week()).orElse(before.week()));
    }

    /** The rhythm and her evenings stand; single evenings that have passed do not come along. */
    private static CaseDocument.Week carriedOver(CaseDocument.Week w, LocalDate today) {
        return new CaseDocument.Week(
                w.every(),
                w.first(),
                w.evenings().stream()
                        .filter(e -> e.date() == null || !e.date().isBefore(today))
                        .toList(),
                w.courses(),
                w.byHand().stream().filter(n -> !n.date().isBefore(today)).toList());
    }

    /** What stands until it is asked again; a wait that has run out and a release for one visit do not come along. */
    private static CaseDocument.Intake carriedOver(CaseDocument.Intake i, LocalDate today) {
        return new CaseDocument.Intake(
                i.site(),
                i.places(),
                i.outdoorHours(),
                i.makeUpDays(),
                i.makeUp(),
                i.sunscreenDays(),
                i.morningMinutes(),
                i.eveningMinutes(),
                i.mostSteps(),
                i.budget(),
                i.scent(),
                i.animal(),
                i.oils(),
                i.birthYear(),
                i.says(),
                i.swings(),
                i.flush(),
                i.reactions(),
                i.burns(),
                i.tans(),
                i.answers().stream()
                        .filter(a -> !SafetyScreen.hasRunOut(a.question(), a.on() == null ? a.asked() : a.on(), today))
                        .toList(),
                i.medicines(),
                i.otherAllergies(),
                i.matters(),
                i.settled().stream()
                        .filter(s -> SafetyScreen.staysSettled(new RuleId(s.referral())))
                        .toList(),
                "",
                i.hoursIn(),
                i.outdoorsByMonth(),
                null,
                i.assumed());
    }

    private CaseDocument.Intake unasked() {
        Life usual = Life.USUAL;
        return new CaseDocument.Intake(
                consultations.usualPlace().value(),
                List.of(),
                usual.outdoorHours(),
                usual.makeUpDays(),
                CaseDocument.MakeUp.LIGHT,
                usual.sunscreenDays(),
                usual.morningMinutes(),
                usual.eveningMinutes(),
                usual.mostSteps(),
                null,
                Taste.ANY,
                Taste.ANY,
                Taste.ANY,
                null,
                null,
                false,
                null,
                null,
                null,
                null,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                "",
                null,
                null,
                null,
                List.of(CaseDocument.Assumable.values()));
    }
}

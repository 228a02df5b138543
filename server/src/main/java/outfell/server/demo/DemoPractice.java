package outfell.server.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import outfell.consultation.Life.Place;
import outfell.consultation.Life.Taste;
import outfell.product.ProductId;
import outfell.product.StarterCatalogue;
import outfell.safety.PatchTest;
import outfell.safety.SafetyScreen;
import outfell.server.catalogue.ProductForm;
import outfell.server.catalogue.ProductStore;
import outfell.server.client.ClientChanged;
import outfell.server.client.ClientStore;
import outfell.server.client.Shelf;
import outfell.server.patch.Patches;
import outfell.server.place.Places;
import outfell.server.plan.CaseDocument;
import outfell.server.practice.House;
import outfell.server.visit.VisitStore;
import outfell.server.visit.Visits;
import outfell.server.week.CheckInStore;
import outfell.server.week.CheckIns;
import outfell.skin.Concern;
import outfell.skin.History;
import outfell.skin.ProbeReading;
import outfell.skin.Sign;
import outfell.skin.Signs;
import outfell.skin.Zone;
import tools.jackson.databind.json.JsonMapper;

/** Fills an empty database with the Gannet Steps Skin Room: made-up clients, made-up products. */
@Component
@ConditionalOnProperty("outfell.demo")
class DemoPractice implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(DemoPractice.class);

    /** A demo client, with days relative to today. */
    record DemoClient(
            String name,
            String trade,
            @Nullable String contact,
            @Nullable String note,
            @Nullable Integer inDays,
            String at,
            @Nullable Integer visitDaysAgo,
            @Nullable List<DemoEarlier> earlier,
            @Nullable DemoIntake intake,
            @Nullable Map<Sign, List<Integer>> grades,
            @Nullable DemoProbe probe,
            @Nullable List<DemoPatch> patches,
            @Nullable List<CaseDocument.Choice> pins,
            @Nullable Boolean kept,
            @Nullable List<DemoCheckIn> checkIns,
            @Nullable List<CaseDocument.OwnEvening> evenings,
            @Nullable List<DemoCourse> courses,
            @Nullable Integer every,
            @Nullable List<DemoSpell> spells,
            List<DemoItem> shelf) {}

    /** How the skin took the weeks before, said so many days ago. */
    record DemoCheckIn(
            int daysAgo,
            CheckInStore.How how,
            @Nullable Integer sting,
            @Nullable Integer redness,
            @Nullable Integer flaking,
            @Nullable Integer skipped,
            String remark) {}

    /** A spell that is called ahead: so many days from now, for so many days. */
    record DemoSpell(String kind, int inDays, int days) {}

    record DemoCourse(String known, String kind, int daysAgo) {}

    /**
     * A visit before the one that is told whole.
     *
     * @param worse how many grades every sign that is there was worse then
     */
    record DemoEarlier(int daysAgo, int worse, String method) {}

    /**
     * @param yes questions answered yes
     * @param happened dated questions answered yes, with the days ago
     */
    record DemoIntake(
            String site,
            @Nullable List<Place> places,
            double outdoorHours,
            int makeUpDays,
            CaseDocument.@Nullable MakeUp makeUp,
            int sunscreenDays,
            int morningMinutes,
            int eveningMinutes,
            int mostSteps,
            @Nullable Double budget,
            @Nullable Taste scent,
            @Nullable Taste animal,
            @Nullable Integer birthYear,
            History.@Nullable Says says,
            @Nullable Boolean swings,
            @Nullable Integer flush,
            @Nullable Integer reactions,
            @Nullable Integer burns,
            @Nullable Integer tans,
            @Nullable List<String> yes,
            @Nullable Map<String, Integer> happened,
            @Nullable List<String> medicines,
            @Nullable List<String> otherAllergies,
            @Nullable List<Concern> matters,
            String note,
            @Nullable List<CaseDocument.HoursIn> hoursIn,
            @Nullable List<Double> outdoorsByMonth,
            CaseDocument.@Nullable LatelySaid lately) {}

    record DemoProbe(CaseDocument.Conditions conditions, List<DemoSpot> readings) {}

    record DemoSpot(ProbeReading.Quantity quantity, Zone zone, List<Double> values) {}

    record DemoPatch(
            String known, PatchTest.Kind kind, PatchTest.Site site, int hoursAgo, List<DemoReading> readings) {}

    record DemoReading(int hours, int grade) {}

    /** @param use how it is used, every day morning and evening and full when nothing is said */
    record DemoItem(
            @Nullable String known,
            @Nullable ProductFormLike label,
            int weeks,
            @Nullable DemoUse use,
            @Nullable List<DayOfWeek> nights) {

        ClientStore.Use used(LocalDate today) {
            ClientStore.Use some = ClientStore.Use.NEW.after(weeks);
            return use == null
                    ? some
                    : new ClientStore.Use(
                            weeks,
                            use.morning(),
                            use.evening(),
                            use.daysAWeek(),
                            today.minusWeeks(weeks),
                            use.left(),
                            null);
        }
    }

    record DemoUse(boolean morning, boolean evening, int daysAWeek, int left) {}

    record ProductFormLike(
            String name, String maker, double size, String unit, double price, String label, boolean prescription) {
        ProductForm form() {
            return new ProductForm(name, maker, size, unit, price, label, null, null, prescription);
        }
    }

    private static final LocalTime CLOSING = LocalTime.of(17, 0);

    private final ProductStore products;
    private final ClientStore clients;
    private final Shelf shelf;
    private final VisitStore visits;
    private final Visits planning;
    private final House house;
    private final Places places;
    private final Patches patches;
    private final CheckIns checkIns;
    private final JsonMapper json;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private boolean laid;

    DemoPractice(
            ProductStore products,
            ClientStore clients,
            Shelf shelf,
            VisitStore visits,
            Visits planning,
            House house,
            Places places,
            Patches patches,
            CheckIns checkIns,
            JsonMapper json,
            ApplicationEventPublisher events,
            Clock clock) {
        this.products = products;
        this.clients = clients;
        this.shelf = shelf;
        this.visits = visits;
        this.planning = planning;
        this.house = house;
        this.places = places;
        this.patches = patches;
        this.checkIns = checkIns;
        this.json = json;
        this.events = events;
        this.clock = clock;
    }

    /** Before the server answers, so that nobody meets a half-laid practice. */
    @Override
    public int getPhase() {
        return 0;
    }

    @Override
    public void stop() {
        laid = false;
    }

    @Override
    public boolean isRunning() {
        return laid;
    }

    @Override
    @Transactional
    public void start() {
        laid = true;
        if (!clients.isEmpty() || !products.house().isEmpty()) {
            return;
        }
        StarterCatalogue.facts().forEach(f -> products.add(f, true));
        try (InputStream in = Objects.requireNonNull(getClass().getResourceAsStream("/demo/clients.json"))) {
            for (DemoClient client : json.readValue(in, DemoClient[].class)) {
                add(client);
            }
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        house.set(
                new House.Details(
                        "Gannet Steps Skin Room",
                        "above the ferry slip\nSkarrow",
                        "555 0100",
                        "Tue to Sat, 9:00 to 18:00",
                        house.view().details().formats()),
                "Signe Marlow",
                0);
        List.of("Signe Marlow", "Runa Vale").forEach(house::join);
        places.setHome("skarrow-harbour", "Signe Marlow", 0);
        LOG.info("The demo practice is laid out.");
    }

    private void add(DemoClient demo) {
        LocalDate today = LocalDate.now(clock);
        UUID id = UUID.randomUUID();
        LocalDateTime next =
                demo.inDays() == null ? null : today.plusDays(demo.inDays()).atTime(LocalTime.parse(demo.at()));
        clients.add(new ClientStore.Client(
                id,
                demo.name(),
                demo.trade(),
                or(demo.contact(), ""),
                or(demo.note(), ""),
                next,
                null,
                LocalDateTime.now(clock),
                0));
        for (DemoItem item : demo.shelf()) {
            if (item.label() != null) {
                shelf.addLabel(id, null, item.label().form(), item.used(today), orNone(item.nights()));
            } else {
                shelf.addKnown(
                        id,
                        new ProductId(Objects.requireNonNull(item.known())),
                        item.used(today),
                        orNone(item.nights()));
            }
        }
        orNone(demo.patches()).forEach(p -> patch(id, p));
        if (demo.intake() != null && demo.grades() != null && demo.visitDaysAgo() != null) {
            orNone(demo.earlier()).forEach(e -> earlier(id, demo, e));
            LocalDate on = today.minusDays(demo.visitDaysAgo());
            UUID visit = UUID.randomUUID();
            visits.insert(
                    new VisitStore.Visit(
                            visit,
                            id,
                            on,
                            0,
                            intake(demo.intake(), on),
                            reading(demo, demo.grades()),
                            "classic",
                            today.getMonth(),
                            orNone(demo.pins()),
                            List.of(),
                            List.of(),
                            week(demo, today, on)),
                    on.equals(today) ? LocalDateTime.now(clock) : on.atTime(CLOSING));
            if (Boolean.TRUE.equals(demo.kept())) {
                planning.keepPlan(visit, on.atTime(CLOSING));
            }
        }
        orNone(demo.checkIns()).forEach(c -> checkIns.say(id, said(c, today), c.how(), c.remark()));
        orNone(demo.spells())
                .forEach(s -> checkIns.pause(
                        id,
                        new CaseDocument.PauseOf(
                                s.kind(), today.plusDays(s.inDays()), today.plusDays(s.inDays() + s.days() - 1), null),
                        ""));
        events.publishEvent(new ClientChanged(id));
    }

    private static CaseDocument.Week week(DemoClient demo, LocalDate today, LocalDate first) {
        CaseDocument.Week usual = CaseDocument.Week.USUAL;
        return new CaseDocument.Week(
                demo.every(),
                demo.every() == null ? null : first,
                orNone(demo.evenings()),
                orNone(demo.courses()).stream()
                        .map(c -> new CaseDocument.CourseOf(c.known(), c.kind(), today.minusDays(c.daysAgo())))
                        .toList(),
                List.of());
    }

    private static CaseDocument.SaidOfSkin said(DemoCheckIn c, LocalDate today) {
        return new CaseDocument.SaidOfSkin(
                today.minusDays(c.daysAgo()), c.sting(), c.redness(), c.flaking(), false, c.skipped(), null);
    }

    /** An earlier visit with the plan that was kept at it. */
    private void earlier(UUID client, DemoClient demo, DemoEarlier then) {
        LocalDate on = LocalDate.now(clock).minusDays(then.daysAgo());
        VisitStore.Visit visit = new VisitStore.Visit(
                UUID.randomUUID(),
                client,
                on,
                0,
                intake(Objects.requireNonNull(demo.intake()), on),
                new CaseDocument.Reading(
                        worse(grades(Objects.requireNonNull(demo.grades())), then.worse()),
                        List.of(),
                        null,
                        List.of(),
                        List.of()),
                then.method(),
                on.getMonth(),
                List.of(),
                List.of(),
                List.of(),
                CaseDocument.Week.USUAL);
        visits.insert(visit, on.atTime(CLOSING));
        planning.keepPlan(visit.id(), on.atTime(CLOSING));
    }

    private static List<CaseDocument.Grade> worse(List<CaseDocument.Grade> grades, int by) {
        return grades.stream()
                .map(g -> g.grade() == 0
                        ? g
                        : new CaseDocument.Grade(g.zone(), g.sign(), Math.min(3, g.grade() + by), g.how()))
                .toList();
    }

    private void patch(UUID client, DemoPatch demo) {
        LocalDateTime started = LocalDateTime.now(clock).minusHours(demo.hoursAgo());
        ProductId product = new ProductId(demo.known());
        UUID test = patches.start(client, product, demo.kind(), demo.site(), started)
                .tests()
                .getFirst()
                .id();
        demo.readings().forEach(r -> patches.read(test, r.grade(), started.plusHours(r.hours()), ""));
    }

    private static CaseDocument.Reading reading(DemoClient demo, Map<Sign, List<Integer>> table) {
        DemoProbe probe = demo.probe();
        return new CaseDocument.Reading(
                grades(table),
                probe == null
                        ? List.of()
                        : probe.readings().stream()
                                .map(r -> new CaseDocument.Probe(r.quantity(), r.zone(), r.values(), true))
                                .toList(),
                probe == null ? null : probe.conditions(),
                List.of(),
                List.of());
    }

    /** Grades in the order of the sign's zones. */
    private static List<CaseDocument.Grade> grades(Map<Sign, List<Integer>> table) {
        List<CaseDocument.Grade> all = new ArrayList<>();
        table.forEach((sign, grades) -> {
            List<Zone> zones = Signs.of(sign).zones();
            for (int i = 0; i < grades.size(); i++) {
                all.add(new CaseDocument.Grade(
                        zones.get(i), sign, grades.get(i), Signs.of(sign).how()));
            }
        });
        return all;
    }

    private static CaseDocument.Intake intake(DemoIntake i, LocalDate on) {
        return new CaseDocument.Intake(
                i.site(),
                orNone(i.places()),
                i.outdoorHours(),
                i.makeUpDays(),
                or(i.makeUp(), CaseDocument.MakeUp.LIGHT),
                i.sunscreenDays(),
                i.morningMinutes(),
                i.eveningMinutes(),
                i.mostSteps(),
                i.budget(),
                or(i.scent(), Taste.ANY),
                or(i.animal(), Taste.ANY),
                Taste.ANY,
                i.birthYear(),
                i.says(),
                Boolean.TRUE.equals(i.swings()),
                i.flush(),
                i.reactions(),
                i.burns(),
                i.tans(),
                answers(i, on),
                orNone(i.medicines()),
                orNone(i.otherAllergies()),
                orNone(i.matters()),
                List.of(),
                i.note(),
                i.hoursIn(),
                i.outdoorsByMonth(),
                i.lately(),
                assumed(i));
    }

    /** What the demo's talk says nothing of. */
    private static List<CaseDocument.Assumable> assumed(DemoIntake i) {
        List<CaseDocument.Assumable> all = new ArrayList<>();
        if (i.makeUp() == null && i.makeUpDays() > 0) {
            all.add(CaseDocument.Assumable.MAKE_UP);
        }
        if (i.scent() == null) {
            all.add(CaseDocument.Assumable.SCENT);
        }
        if (i.animal() == null) {
            all.add(CaseDocument.Assumable.ANIMAL);
        }
        all.add(CaseDocument.Assumable.OILS);
        if (i.swings() == null) {
            all.add(CaseDocument.Assumable.SWINGS);
        }
        return all;
    }

    /** Everything asked: yes where it applies, no elsewhere. */
    private static List<CaseDocument.Answer> answers(DemoIntake i, LocalDate on) {
        Map<String, Integer> happened = or(i.happened(), Map.of());
        return SafetyScreen.questions().stream()
                .sorted()
                .map(q -> {
                    Integer days = happened.get(q);
                    return CaseDocument.Answer.alone(
                            q,
                            days != null || orNone(i.yes()).contains(q),
                            days == null ? null : on.minusDays(days),
                            on);
                })
                .toList();
    }

    private static <T> T or(@Nullable T value, T otherwise) {
        return value == null ? otherwise : value;
    }

    private static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }
}

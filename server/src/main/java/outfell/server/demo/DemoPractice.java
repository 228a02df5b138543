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
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import outfell.product.ProductId;
import outfell.product.StarterCatalogue;
import outfell.regimen.Consultation.Scent;
import outfell.safety.Answers.Expecting;
import outfell.server.catalogue.ProductForm;
import outfell.server.catalogue.ProductStore;
import outfell.server.client.ClientStore;
import outfell.server.client.Shelf;
import outfell.server.plan.CaseDocument;
import outfell.server.visit.VisitStore;
import outfell.skin.Concern;
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
            @Nullable Integer inDays,
            String at,
            @Nullable Integer visitDaysAgo,
            @Nullable DemoIntake intake,
            @Nullable Map<Sign, List<Integer>> grades,
            List<DemoItem> shelf) {}

    record DemoIntake(
            String site,
            double outdoorHours,
            int makeUpDays,
            int sunscreenDays,
            int morningMinutes,
            int eveningMinutes,
            int mostSteps,
            @Nullable Scent scent,
            @Nullable Boolean swings,
            @Nullable Expecting expecting,
            @Nullable List<String> allergies,
            @Nullable List<String> otherAllergies,
            @Nullable Boolean prescribedRetinoid,
            @Nullable Integer flush,
            @Nullable Integer reactions,
            @Nullable List<CaseDocument.Event> recent,
            @Nullable List<Concern> matters,
            String note) {}

    record DemoItem(
            @Nullable String known,
            @Nullable ProductFormLike label,
            int weeks,
            @Nullable List<DayOfWeek> nights) {}

    record ProductFormLike(
            String name, String maker, double size, String unit, double price, String label, boolean prescription) {
        ProductForm form() {
            return new ProductForm(name, maker, size, unit, price, label, null, null, prescription);
        }
    }

    private final ProductStore products;
    private final ClientStore clients;
    private final Shelf shelf;
    private final VisitStore visits;
    private final JsonMapper json;
    private final Clock clock;
    private boolean laid;

    DemoPractice(
            ProductStore products, ClientStore clients, Shelf shelf, VisitStore visits, JsonMapper json, Clock clock) {
        this.products = products;
        this.clients = clients;
        this.shelf = shelf;
        this.visits = visits;
        this.json = json;
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
        if (!clients.all().isEmpty() || !products.house().isEmpty()) {
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
        LOG.info("The demo practice is laid out.");
    }

    private void add(DemoClient demo) {
        LocalDate today = LocalDate.now(clock);
        UUID id = UUID.randomUUID();
        LocalDateTime next =
                demo.inDays() == null ? null : today.plusDays(demo.inDays()).atTime(LocalTime.parse(demo.at()));
        clients.add(new ClientStore.Client(id, demo.name(), demo.trade(), next), LocalDateTime.now(clock));
        for (DemoItem item : demo.shelf()) {
            if (item.label() != null) {
                shelf.addLabel(id, item.label().form(), item.weeks(), orNone(item.nights()));
            } else {
                shelf.addKnown(id, new ProductId(Objects.requireNonNull(item.known())), item.weeks());
            }
        }
        if (demo.intake() != null && demo.grades() != null && demo.visitDaysAgo() != null) {
            LocalDate on = today.minusDays(demo.visitDaysAgo());
            visits.insert(new VisitStore.Visit(
                    UUID.randomUUID(),
                    id,
                    on,
                    0,
                    intake(demo.intake()),
                    new CaseDocument.Reading(grades(demo.grades()), List.of()),
                    "classic",
                    today.getMonth(),
                    List.of(),
                    List.of()));
        }
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

    private static CaseDocument.Intake intake(DemoIntake i) {
        return new CaseDocument.Intake(
                i.site(),
                i.outdoorHours(),
                i.makeUpDays(),
                i.sunscreenDays(),
                i.morningMinutes(),
                i.eveningMinutes(),
                i.mostSteps(),
                i.scent() == null ? Scent.ANY : i.scent(),
                Boolean.TRUE.equals(i.swings()),
                i.expecting() == null ? Expecting.NO : i.expecting(),
                orNone(i.allergies()),
                orNone(i.otherAllergies()),
                Boolean.TRUE.equals(i.prescribedRetinoid()),
                i.flush(),
                i.reactions(),
                orNone(i.recent()),
                orNone(i.matters()),
                "",
                i.note());
    }

    private static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }
}

package outfell.server.visit;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import outfell.knowledge.Because;
import outfell.server.client.ClientStore.Client;
import outfell.server.client.Clients;
import outfell.server.client.Shelf;
import outfell.server.patch.Patches;
import outfell.server.plan.VerdictView;
import outfell.server.visit.KeptPlans.KeptSteps;
import outfell.server.visit.KeptPlans.PlanDifference;
import outfell.server.visit.PlanStore.PlanOfVisit;
import outfell.server.visit.VisitStore.Day;
import outfell.server.visit.VisitStore.Visit;

/** Everything of one client on one page: what to mind first, the visits and what came of them, the plans kept. */
@Service
class ClientPage {
    private static final Logger LOG = LoggerFactory.getLogger(ClientPage.class);
    private static final int LONGEST_NEWS = 2;

    /** What must be minded, gravest first. */
    enum Mind {
        REFER,
        BAN,
        DUE,
        ASK
    }

    /**
     * @param text of something to be done or asked; empty for a verdict
     * @param because of a verdict; empty for something to be done or asked
     * @param due when something is to be done; absent when it only has to be known
     */
    record MindView(
            Mind kind,
            String title,
            String text,
            List<Because> because,
            @Schema(types = {"string", "null"}) @Nullable LocalDateTime due) {
        MindView(Mind kind, String title, String text) {
            this(kind, title, text, List.of(), null);
        }

        MindView(Mind kind, String title, Because because) {
            this(kind, title, "", List.of(because), null);
        }
    }

    /**
     * One visit, as a tag on the string.
     *
     * @param weeks since the visit before; 0 for the first
     * @param came what came of it
     * @param plan the newest plan kept at it
     * @param fault why it cannot be read; empty when it can
     */
    record Tag(
            UUID visit,
            LocalDate date,
            boolean today,
            long weeks,
            String skin,
            String barrier,
            String came,
            int corrections,
            @Schema(types = {"string", "null"}) @Nullable UUID plan,
            KeptSteps steps,
            String fault) {}

    /**
     * @param todays today's visit, when it has begun
     * @param visits oldest first
     * @param plans newest first
     */
    record Page(
            Client client,
            LocalDate today,
            List<MindView> mind,
            List<Tag> visits,
            List<PlanOfVisit> plans,
            @Schema(types = {"string", "null"}) @Nullable UUID todays) {}

    private final Clients clients;
    private final Visits visits;
    private final VisitStore store;
    private final PlanStore planStore;
    private final KeptPlans kept;
    private final Patches patches;
    private final Shelf shelf;
    private final Clock clock;

    ClientPage(
            Clients clients,
            Visits visits,
            VisitStore store,
            PlanStore planStore,
            KeptPlans kept,
            Patches patches,
            Shelf shelf,
            Clock clock) {
        this.clients = clients;
        this.visits = visits;
        this.store = store;
        this.planStore = planStore;
        this.kept = kept;
        this.patches = patches;
        this.shelf = shelf;
        this.clock = clock;
    }

    Page of(UUID id) {
        Client client = clients.get(id);
        LocalDate today = LocalDate.now(clock);
        List<PlanOfVisit> plans = planStore.ofClient(id);
        List<Day> all = store.days(id);
        List<Tag> tags = new ArrayList<>();
        Optional<KeptSteps> before = Optional.empty();
        LocalDate last = null;
        for (Day day : all) {
            Optional<PlanOfVisit> plan =
                    plans.stream().filter(p -> p.visit().equals(day.visit())).findFirst();
            Tag tag = tag(day, plan, before, last, today);
            tags.add(tag);
            last = day.date();
            if (plan.isPresent() && tag.fault().isEmpty()) {
                before = Optional.of(tag.steps());
            }
        }
        return new Page(
                client,
                today,
                mind(
                        id,
                        all.isEmpty()
                                ? Optional.empty()
                                : Optional.of(all.getLast().visit())),
                tags,
                plans,
                tags.stream().filter(Tag::today).map(Tag::visit).findFirst().orElse(null));
    }

    private Tag tag(
            Day day,
            Optional<PlanOfVisit> plan,
            Optional<KeptSteps> before,
            @Nullable LocalDate last,
            LocalDate today) {
        long weeks = last == null ? 0 : Math.round(ChronoUnit.DAYS.between(last, day.date()) / 7.0);
        boolean isToday = day.date().equals(today);
        int corrections = store.corrections(day.visit()).size();
        UUID planId = plan.map(p -> p.plan().id()).orElse(null);
        try {
            Visit visit = visits.find(day.visit());
            boolean read = !visit.reading().grades().isEmpty()
                    || !visit.reading().probe().isEmpty();
            VerdictView verdict = visits.verdict(visit);
            KeptSteps steps = planId == null ? KeptSteps.NONE : kept.steps(planId);
            return new Tag(
                    day.visit(),
                    day.date(),
                    isToday,
                    weeks,
                    read ? verdict.type() : "not read",
                    read ? "barrier %s".formatted(verdict.barrier().state().words()) : "",
                    came(verdict, plan, steps, before),
                    corrections,
                    planId,
                    steps,
                    "");
        } catch (RuntimeException unreadable) {
            LOG.error("A visit cannot be read: {}", unreadable.getClass().getName());
            return new Tag(
                    day.visit(),
                    day.date(),
                    isToday,
                    weeks,
                    "",
                    "",
                    "",
                    corrections,
                    planId,
                    KeptSteps.NONE,
                    "This visit cannot be read; the others can.");
        }
    }

    private static String came(
            VerdictView verdict, Optional<PlanOfVisit> plan, KeptSteps steps, Optional<KeptSteps> before) {
        if (verdict.safety().referrals().stream().anyMatch(r -> r.open())) {
            return "referred first";
        }
        if (plan.isEmpty()) {
            return "no plan kept";
        }
        if (before.isEmpty()) {
            return "first plan kept";
        }
        return came(KeptPlans.between(before.get(), steps));
    }

    /** Which products came and went; a night, an amount or a place in the order is no product that came. */
    static String came(List<PlanDifference> lines) {
        List<String> news = lines.stream()
                .flatMap(l -> switch (l.what()) {
                    case TAKEN_OUT -> Stream.of("%s out".formatted(l.from()));
                    case PUT_IN, REPLACED -> Stream.of("%s in".formatted(l.to()));
                    case OTHER_NIGHTS, OTHER_AMOUNT, MOVED -> Stream.empty();
                })
                .distinct()
                .toList();
        if (news.isEmpty()) {
            return lines.isEmpty() ? "plan kept as before" : "same products, used otherwise";
        }
        return news.stream().limit(LONGEST_NEWS).collect(Collectors.joining(", "))
                + (news.size() > LONGEST_NEWS ? " and %d more".formatted(news.size() - LONGEST_NEWS) : "");
    }

    private List<MindView> mind(UUID client, Optional<UUID> newest) {
        List<MindView> all = new ArrayList<>();
        try {
            newest.map(visits::find).map(visits::verdict).ifPresent(v -> {
                v.safety().referrals().stream()
                        .filter(r -> r.open())
                        .forEach(r -> all.add(new MindView(Mind.REFER, r.name(), r.because())));
                LocalDate today = LocalDate.now(clock);
                // a wait that has ended since is minded no longer
                v.safety().bans().stream()
                        .filter(b -> b.until().map(today::isBefore).orElse(true))
                        .forEach(b -> all.add(new MindView(Mind.BAN, b.name(), b.because())));
                OpenEnds.unasked(v).ifPresent(sentence -> all.add(new MindView(Mind.ASK, "Still to ask", sentence)));
            });
        } catch (RuntimeException unreadable) {
            LOG.error("A visit cannot be read: {}", unreadable.getClass().getName());
            all.add(new MindView(
                    Mind.ASK,
                    "The last visit cannot be read",
                    "What has to be minded is not known; ask everything anew."));
        }
        patches.due().stream()
                .filter(d -> d.client().equals(client))
                .forEach(d -> all.add(new MindView(
                        Mind.DUE,
                        d.late() ? "Patch test to read" : "A patch test runs",
                        d.name(),
                        List.of(),
                        d.due())));
        shelf.missing(client).forEach(m -> all.add(new MindView(Mind.ASK, "Still to ask", m)));
        return all;
    }
}

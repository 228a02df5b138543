package outfell.server.visit;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import outfell.server.plan.VerdictView;
import outfell.server.plan.VerdictView.ConcernView;
import outfell.server.problem.Problem;
import outfell.server.visit.KeptPlans.KeptSteps;
import outfell.server.visit.KeptPlans.PlanDifference;
import outfell.server.visit.PlanStore.PlanOfVisit;
import outfell.server.visit.VisitStore.Day;
import outfell.server.visit.VisitStore.Visit;
import outfell.server.week.CheckIns;

/** What was a year before some days: how the skin was read, what plan stood, how it was borne. */
@Service
class LastYear {
    private static final Logger LOG = LoggerFactory.getLogger(LastYear.class);
    private static final int CONCERNS_TOLD = 3;

    /**
     * A year before some days.
     *
     * @param from the first day, a year before
     * @param until the day after the last
     * @param since the day of the first visit: before it nothing can be known; absent without a visit
     * @param stood the plan that stood on the first day, or the first one that was kept in those days
     * @param read at visits in those days, or at the last one before them where there was none in them
     * @param said by the client in those days
     * @param now where that plan and the one of this visit part; none where no plan stood
     */
    record LastYearView(
            LocalDate from,
            LocalDate until,
            @Schema(types = {"string", "null"}) @Nullable LocalDate since,
            Optional<Stood> stood,
            List<ReadThen> read,
            List<SaidThen> said,
            List<PlanDifference> now) {}

    /** @param fault why it cannot be read, or not be held against the plan of this visit; empty when it can */
    record Stood(UUID plan, LocalDate kept, KeptSteps steps, String fault) {}

    /**
     * A skin as it was read.
     *
     * @param concerns the heaviest first, three at most
     * @param fault why it cannot be read; empty when it can
     */
    record ReadThen(
            UUID visit,
            LocalDate date,
            String type,
            String water,
            String barrier,
            List<String> concerns,
            String fault) {}

    /** @param grades as told, 0 to 4; absent where nothing was said */
    record SaidThen(
            LocalDate date,
            @Schema(types = {"integer", "null"}) @Nullable Integer sting,
            @Schema(types = {"integer", "null"}) @Nullable Integer redness,
            @Schema(types = {"integer", "null"}) @Nullable Integer flaking,
            boolean swelling,
            String remark) {}

    private final Visits visits;
    private final VisitStore store;
    private final PlanStore plans;
    private final KeptPlans kept;
    private final CheckIns checkIns;

    LastYear(Visits visits, VisitStore store, PlanStore plans, KeptPlans kept, CheckIns checkIns) {
        this.visits = visits;
        this.store = store;
        this.plans = plans;
        this.kept = kept;
        this.checkIns = checkIns;
    }

    /**
     * @param from the first of the days that are looked at, not those of the year before
     * @param until the day after the last of them
     * @throws Problem when they are no days, or longer than a year
     */
    LastYearView before(UUID visit, LocalDate from, LocalDate until) {
        if (!from.isBefore(until) || until.isAfter(from.plusYears(1))) {
            throw Problem.field("/until", "The days end after they begin, and within a year.");
        }
        Visit now = visits.find(visit);
        LocalDate first = from.minusYears(1);
        LocalDate last = until.minusYears(1);
        List<Day> days = store.days(now.client());
        Optional<PlanOfVisit> stood = stood(now, first, last);
        Optional<Held> held = stood.map(p -> held(p, now));
        return new LastYearView(
                first,
                last,
                days.stream().findFirst().map(Day::date).orElse(null),
                held.map(Held::stood),
                read(days, first, last),
                said(now.client(), first, last),
                held.map(Held::now).orElse(List.of()));
    }

    private record Held(Stood stood, List<PlanDifference> now) {}

    /** A plan that cannot be read is one line that says so; what was read and said then is still told. */
    private Held held(PlanOfVisit plan, Visit now) {
        KeptSteps steps = KeptSteps.NONE;
        String fault = "";
        List<PlanDifference> differences = List.of();
        try {
            steps = kept.steps(plan.plan().id());
            differences = KeptPlans.between(steps, kept.now(now));
        } catch (RuntimeException unreadable) {
            LOG.error("A kept plan is not compared: {}", unreadable.getClass().getName());
            fault = steps == KeptSteps.NONE
                    ? "This plan cannot be read. What was read of the skin and said then can."
                    : "It cannot be held against the plan of today: that cannot be made.";
        }
        return new Held(new Stood(plan.plan().id(), plan.plan().savedAt().toLocalDate(), steps, fault), differences);
    }

    /** The newest plan that was kept up to the first day; else the first that was kept in those days. */
    private Optional<PlanOfVisit> stood(Visit now, LocalDate first, LocalDate last) {
        List<PlanOfVisit> newestFirst = plans.ofClient(now.client());
        return newestFirst.stream()
                .filter(p -> !p.plan().savedAt().toLocalDate().isAfter(first))
                .findFirst()
                .or(() -> newestFirst.reversed().stream()
                        .filter(p -> p.plan().savedAt().toLocalDate().isBefore(last))
                        .findFirst());
    }

    private List<ReadThen> read(List<Day> days, LocalDate first, LocalDate last) {
        List<Day> within = days.stream()
                .filter(d -> !d.date().isBefore(first) && d.date().isBefore(last))
                .toList();
        List<Day> told = within.isEmpty()
                ? days.reversed().stream()
                        .filter(d -> d.date().isBefore(first))
                        .limit(1)
                        .toList()
                : within;
        return told.stream().map(this::read).toList();
    }

    /** One visit that cannot be read is one line that says so. */
    private ReadThen read(Day day) {
        try {
            VerdictView verdict = visits.verdict(visits.find(day.visit()));
            return new ReadThen(
                    day.visit(),
                    day.date(),
                    verdict.type(),
                    verdict.water(),
                    "barrier %s".formatted(verdict.barrier().state().words()),
                    verdict.concerns().stream()
                            .limit(CONCERNS_TOLD)
                            .map(ConcernView::name)
                            .toList(),
                    "");
        } catch (RuntimeException unreadable) {
            LOG.error("A visit cannot be read: {}", unreadable.getClass().getName());
            return new ReadThen(
                    day.visit(), day.date(), "", "", "", List.of(), "This visit cannot be read; the others can.");
        }
    }

    private List<SaidThen> said(UUID client, LocalDate first, LocalDate last) {
        return checkIns.view(client).checkIns().stream()
                .filter(k -> !k.said().on().isBefore(first) && k.said().on().isBefore(last))
                .map(k -> new SaidThen(
                        k.said().on(),
                        k.said().sting(),
                        k.said().redness(),
                        k.said().flaking(),
                        k.said().swelling(),
                        k.remark()))
                .toList();
    }
}

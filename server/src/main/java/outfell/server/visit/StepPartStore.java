package outfell.server.visit;

import static outfell.store.Tables.VISIT_CHOICE;
import static outfell.store.Tables.VISIT_STEP;
import static outfell.store.Tables.VISIT_STEP_DAY;
import static outfell.store.Tables.VISIT_STEP_THEN;

import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Query;
import org.jooq.Record2;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import outfell.routine.Coverage;
import outfell.routine.Part;
import outfell.server.plan.CaseDocument;
import outfell.server.plan.Cases;

/** What was put in, taken out and set by hand in a visit's plan. */
@Repository
class StepPartStore {
    /** What stands in tables of its own. */
    record Lists(
            List<CaseDocument.Choice> pins, List<CaseDocument.Choice> takenOut, List<CaseDocument.StepByHand> steps) {
        static Lists of(VisitStore.Visit v) {
            return new Lists(v.pins(), v.takenOut(), v.steps());
        }
    }

    private final DSLContext db;

    StepPartStore(DSLContext db) {
        this.db = db;
    }

    void clear(UUID visit) {
        db.deleteFrom(VISIT_CHOICE).where(VISIT_CHOICE.VISIT_ID.eq(visit)).execute();
        db.deleteFrom(VISIT_STEP).where(VISIT_STEP.VISIT_ID.eq(visit)).execute();
    }

    /** @param all takes what writes them */
    void write(List<Query> all, UUID visit, Lists lists) {
        choices(all, visit, lists.pins(), false);
        choices(all, visit, lists.takenOut(), true);
        steps(all, visit, lists.steps());
    }

    Lists read(UUID visit) {
        return new Lists(choices(visit, false), choices(visit, true), steps(visit));
    }

    private void choices(List<Query> all, UUID visit, List<CaseDocument.Choice> choices, boolean out) {
        for (int i = 0; i < choices.size(); i++) {
            all.add(db.insertInto(VISIT_CHOICE)
                    .set(VISIT_CHOICE.VISIT_ID, visit)
                    .set(VISIT_CHOICE.PART, choices.get(i).part().name())
                    .set(VISIT_CHOICE.PRODUCT_ID, choices.get(i).product())
                    .set(VISIT_CHOICE.TAKEN_OUT, out)
                    .set(VISIT_CHOICE.PLACE, i));
        }
    }

    private void steps(List<Query> all, UUID visit, List<CaseDocument.StepByHand> steps) {
        for (int i = 0; i < steps.size(); i++) {
            CaseDocument.StepByHand s = steps.get(i);
            CaseDocument.MovedTo move = s.move();
            CaseDocument.OnCondition when = s.when();
            all.add(db.insertInto(VISIT_STEP)
                    .set(VISIT_STEP.VISIT_ID, visit)
                    .set(VISIT_STEP.PART, s.part().name())
                    .set(VISIT_STEP.PRODUCT_ID, s.product())
                    .set(VISIT_STEP.PLACE, i)
                    .set(VISIT_STEP.LEFT_OUT, s.optional())
                    .set(VISIT_STEP.KEPT_TO, places(s))
                    .set(VISIT_STEP.WHEN_KIND, when == null ? null : when.kind())
                    .set(VISIT_STEP.WHEN_USUAL, when == null ? null : when.usual())
                    .set(VISIT_STEP.SECOND_COAT, s.secondCoat())
                    .set(VISIT_STEP.OWN_WORDS, s.words())
                    .set(VISIT_STEP.MOVED, move != null)
                    .set(VISIT_STEP.GOES_AFTER, move == null ? null : move.after())
                    .set(VISIT_STEP.GOES_BEFORE, move == null ? null : move.before())
                    .set(VISIT_STEP.MOVED_WHY, move == null ? "" : move.why())
                    .set(VISIT_STEP.OVERRULE, s.overrule() == null ? "" : s.overrule()));
            s.nights().stream()
                    .distinct()
                    .forEach(day -> all.add(db.insertInto(VISIT_STEP_DAY)
                            .set(VISIT_STEP_DAY.VISIT_ID, visit)
                            .set(VISIT_STEP_DAY.PART, s.part().name())
                            .set(VISIT_STEP_DAY.PRODUCT_ID, s.product())
                            .set(VISIT_STEP_DAY.WEEKDAY, day.name())));
            beside(all, visit, s);
        }
    }

    private void beside(List<Query> all, UUID visit, CaseDocument.StepByHand s) {
        List<CaseDocument.BesideStep> then = s.then() == null ? List.of() : s.then();
        for (int i = 0; i < then.size(); i++) {
            all.add(db.insertInto(VISIT_STEP_THEN)
                    .set(VISIT_STEP_THEN.VISIT_ID, visit)
                    .set(VISIT_STEP_THEN.PART, s.part().name())
                    .set(VISIT_STEP_THEN.PRODUCT_ID, s.product())
                    .set(VISIT_STEP_THEN.PLACE, i)
                    .set(VISIT_STEP_THEN.COMES_AGAIN, then.get(i).again())
                    .set(VISIT_STEP_THEN.DONE_ALONE, then.get(i).alone()));
        }
    }

    /** In the order of the body, with commas; absent for the computed ones. */
    private static @Nullable String places(CaseDocument.StepByHand s) {
        String written = Cases.places(s).stream().sorted().map(Enum::name).collect(Collectors.joining(","));
        return written.isEmpty() ? null : written;
    }

    private static List<Coverage> places(@Nullable String written) {
        return written == null
                ? List.of()
                : Arrays.stream(written.split(",")).map(Coverage::valueOf).toList();
    }

    private List<CaseDocument.StepByHand> steps(UUID visit) {
        Map<Record2<String, String>, List<DayOfWeek>> days = db.select(
                        VISIT_STEP_DAY.PART, VISIT_STEP_DAY.PRODUCT_ID, VISIT_STEP_DAY.WEEKDAY)
                .from(VISIT_STEP_DAY)
                .where(VISIT_STEP_DAY.VISIT_ID.eq(visit))
                .fetchGroups(
                        r -> r.into(VISIT_STEP_DAY.PART, VISIT_STEP_DAY.PRODUCT_ID),
                        r -> DayOfWeek.valueOf(r.value3()));
        Map<Record2<String, String>, List<CaseDocument.BesideStep>> beside = db.selectFrom(VISIT_STEP_THEN)
                .where(VISIT_STEP_THEN.VISIT_ID.eq(visit))
                .orderBy(VISIT_STEP_THEN.PLACE)
                .fetchGroups(
                        r -> r.into(VISIT_STEP_THEN.PART, VISIT_STEP_THEN.PRODUCT_ID),
                        r -> new CaseDocument.BesideStep(r.getComesAgain(), r.getDoneAlone()));
        return db.selectFrom(VISIT_STEP)
                .where(VISIT_STEP.VISIT_ID.eq(visit))
                .orderBy(VISIT_STEP.PLACE)
                .fetch(r -> new CaseDocument.StepByHand(
                        Part.valueOf(r.getPart()),
                        r.getProductId(),
                        r.getLeftOut(),
                        null,
                        places(r.getKeptTo()),
                        days.getOrDefault(r.into(VISIT_STEP_DAY.PART, VISIT_STEP_DAY.PRODUCT_ID), List.of()).stream()
                                .sorted()
                                .toList(),
                        r.getWhenKind() == null
                                ? null
                                : new CaseDocument.OnCondition(r.getWhenKind(), r.getWhenUsual()),
                        r.getSecondCoat(),
                        r.getOwnWords(),
                        r.getMoved()
                                ? new CaseDocument.MovedTo(r.getGoesAfter(), r.getGoesBefore(), r.getMovedWhy())
                                : null,
                        r.getOverrule().isEmpty() ? null : r.getOverrule(),
                        beside.getOrDefault(r.into(VISIT_STEP.PART, VISIT_STEP.PRODUCT_ID), List.of())));
    }

    private List<CaseDocument.Choice> choices(UUID visit, boolean out) {
        return db.selectFrom(VISIT_CHOICE)
                .where(VISIT_CHOICE.VISIT_ID.eq(visit))
                .and(VISIT_CHOICE.TAKEN_OUT.eq(out))
                .orderBy(VISIT_CHOICE.PLACE)
                .fetch(c -> new CaseDocument.Choice(Part.valueOf(c.getPart()), c.getProductId()));
    }
}

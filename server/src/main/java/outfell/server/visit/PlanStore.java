package outfell.server.visit;

import static org.jooq.impl.DSL.val;
import static outfell.store.Tables.PLAN;
import static outfell.store.Tables.PLAN_PRODUCT;
import static outfell.store.Tables.PRODUCT;
import static outfell.store.Tables.VISIT;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Record6;
import org.jooq.SelectOnConditionStep;
import org.springframework.stereotype.Repository;

/** Plans as they were handed over, and what their products were then. */
@Repository
public class PlanStore {
    /** A plan as it was handed over. */
    public record SavedPlan(UUID id, int number, Month month, LocalDateTime savedAt) {}

    /** A kept plan with the visit that it is of. */
    public record PlanOfVisit(UUID visit, LocalDate visitDate, SavedPlan plan) {}

    /**
     * A product of a kept plan that is no longer what it was.
     *
     * @param name then
     * @param nameNow the same where it was not renamed
     * @param then its formula at that time
     * @param now its formula today
     * @param keptAt when that plan was kept
     */
    public record Moved(
            String product, String name, String nameNow, int then, int now, boolean retired, LocalDateTime keptAt) {}

    private final DSLContext db;

    PlanStore(DSLContext db) {
        this.db = db;
    }

    /** Every kept plan of a client, newest first. */
    public List<PlanOfVisit> ofClient(UUID client) {
        return selectPlans()
                .where(VISIT.CLIENT_ID.eq(client))
                .orderBy(PLAN.SAVED_AT.desc(), PLAN.NUMBER.desc())
                .fetch(PlanStore::planOfVisit);
    }

    public Optional<PlanOfVisit> find(UUID plan) {
        return selectPlans().where(PLAN.ID.eq(plan)).fetchOptional(PlanStore::planOfVisit);
    }

    private SelectOnConditionStep<Record6<UUID, LocalDate, UUID, Integer, String, LocalDateTime>> selectPlans() {
        return db.select(VISIT.ID, VISIT.ON_DATE, PLAN.ID, PLAN.NUMBER, PLAN.PLAN_MONTH, PLAN.SAVED_AT)
                .from(PLAN)
                .join(VISIT)
                .on(VISIT.ID.eq(PLAN.VISIT_ID));
    }

    private static PlanOfVisit planOfVisit(Record6<UUID, LocalDate, UUID, Integer, String, LocalDateTime> r) {
        return new PlanOfVisit(
                r.value1(), r.value2(), new SavedPlan(r.value3(), r.value4(), Month.valueOf(r.value5()), r.value6()));
    }

    /** Those of one visit, newest first. */
    public List<SavedPlan> ofVisit(UUID visit) {
        return db.select(PLAN.ID, PLAN.NUMBER, PLAN.PLAN_MONTH, PLAN.SAVED_AT)
                .from(PLAN)
                .where(PLAN.VISIT_ID.eq(visit))
                .orderBy(PLAN.NUMBER.desc())
                .fetch(r -> new SavedPlan(r.value1(), r.value2(), Month.valueOf(r.value3()), r.value4()));
    }

    public SavedPlan save(UUID visit, Month month, String document, LocalDateTime now) {
        int number =
                1 + ofVisit(visit).stream().mapToInt(SavedPlan::number).max().orElse(0);
        SavedPlan plan = new SavedPlan(UUID.randomUUID(), number, month, now);
        db.insertInto(PLAN)
                .set(PLAN.ID, plan.id())
                .set(PLAN.VISIT_ID, visit)
                .set(PLAN.NUMBER, number)
                .set(PLAN.PLAN_MONTH, month.name())
                .set(PLAN.DOCUMENT, document)
                .set(PLAN.SAVED_AT, now)
                .execute();
        return plan;
    }

    /** Notes which formula of each product a plan was built with. */
    public void builtWith(UUID plan, List<String> products) {
        db.insertInto(
                        PLAN_PRODUCT,
                        PLAN_PRODUCT.PLAN_ID,
                        PLAN_PRODUCT.PRODUCT_ID,
                        PLAN_PRODUCT.NAME,
                        PLAN_PRODUCT.FORMULA)
                .select(db.select(val(plan), PRODUCT.ID, PRODUCT.NAME, PRODUCT.FORMULA)
                        .from(PRODUCT)
                        .where(PRODUCT.ID.in(products)))
                .execute();
    }

    /** What of the client's newest kept plan was reformulated, renamed or retired since. */
    public List<Moved> moved(UUID client) {
        return db.select(
                        PRODUCT.ID,
                        PLAN_PRODUCT.NAME,
                        PRODUCT.NAME,
                        PLAN_PRODUCT.FORMULA,
                        PRODUCT.FORMULA,
                        PRODUCT.RETIRED_ON,
                        PLAN.SAVED_AT)
                .from(PLAN_PRODUCT)
                .join(PRODUCT)
                .on(PRODUCT.ID.eq(PLAN_PRODUCT.PRODUCT_ID))
                .join(PLAN)
                .on(PLAN.ID.eq(PLAN_PRODUCT.PLAN_ID))
                .where(PLAN_PRODUCT.PLAN_ID.eq(db.select(PLAN.ID)
                        .from(PLAN)
                        .join(VISIT)
                        .on(VISIT.ID.eq(PLAN.VISIT_ID))
                        .where(VISIT.CLIENT_ID.eq(client))
                        .orderBy(PLAN.SAVED_AT.desc(), PLAN.NUMBER.desc())
                        .limit(1)))
                .and(PLAN_PRODUCT
                        .FORMULA
                        .ne(PRODUCT.FORMULA)
                        .or(PLAN_PRODUCT.NAME.ne(PRODUCT.NAME))
                        .or(PRODUCT.RETIRED_ON.isNotNull()))
                .orderBy(PLAN_PRODUCT.NAME)
                .fetch(r -> new Moved(
                        r.value1(), r.value2(), r.value3(), r.value4(), r.value5(), r.value6() != null, r.value7()));
    }

    /** As it was handed over. */
    public Optional<String> document(UUID plan) {
        return db.select(PLAN.DOCUMENT).from(PLAN).where(PLAN.ID.eq(plan)).fetchOptional(PLAN.DOCUMENT);
    }

    /** Takes out every plan of a client for good. */
    public void erase(UUID client) {
        db.deleteFrom(PLAN)
                .where(PLAN.VISIT_ID.in(db.select(VISIT.ID).from(VISIT).where(VISIT.CLIENT_ID.eq(client))))
                .execute();
    }
}

package outfell.server.visit;

import static outfell.store.Tables.VISIT_COURSE;
import static outfell.store.Tables.VISIT_EVENING;
import static outfell.store.Tables.VISIT_NIGHT;

import java.time.DayOfWeek;
import java.util.List;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Query;
import org.springframework.stereotype.Repository;
import outfell.server.plan.CaseDocument;
import outfell.store.tables.records.VisitRecord;

/** The parts of a visit that say how its nights come round. */
@Repository
class WeekPartStore {
    private final DSLContext db;

    WeekPartStore(DSLContext db) {
        this.db = db;
    }

    void clear(UUID visit) {
        db.deleteFrom(VISIT_EVENING).where(VISIT_EVENING.VISIT_ID.eq(visit)).execute();
        db.deleteFrom(VISIT_COURSE).where(VISIT_COURSE.VISIT_ID.eq(visit)).execute();
        db.deleteFrom(VISIT_NIGHT).where(VISIT_NIGHT.VISIT_ID.eq(visit)).execute();
    }

    /** @param all takes what writes them */
    void write(List<Query> all, UUID visit, CaseDocument.Week week) {
        for (int i = 0; i < week.evenings().size(); i++) {
            CaseDocument.OwnEvening e = week.evenings().get(i);
            DayOfWeek weekday = e.weekday();
            all.add(db.insertInto(VISIT_EVENING)
                    .set(VISIT_EVENING.VISIT_ID, visit)
                    .set(VISIT_EVENING.PLACE, i)
                    .set(VISIT_EVENING.KIND, e.kind())
                    .set(VISIT_EVENING.WEEKDAY, weekday == null ? null : weekday.name())
                    .set(VISIT_EVENING.ON_DATE, e.date()));
        }
        week.courses()
                .forEach(c -> all.add(db.insertInto(VISIT_COURSE)
                        .set(VISIT_COURSE.VISIT_ID, visit)
                        .set(VISIT_COURSE.PRODUCT_ID, c.product())
                        .set(VISIT_COURSE.KIND, c.kind())
                        .set(VISIT_COURSE.FROM_DATE, c.from())));
        week.byHand()
                .forEach(n -> all.add(db.insertInto(VISIT_NIGHT)
                        .set(VISIT_NIGHT.VISIT_ID, visit)
                        .set(VISIT_NIGHT.PRODUCT_ID, n.product())
                        .set(VISIT_NIGHT.ON_DATE, n.date())
                        .set(VISIT_NIGHT.USED, n.on())
                        .set(VISIT_NIGHT.WHY, n.why())));
    }

    CaseDocument.Week read(VisitRecord r) {
        return new CaseDocument.Week(
                r.getNightsEvery(),
                r.getNightsFirst(),
                db.selectFrom(VISIT_EVENING)
                        .where(VISIT_EVENING.VISIT_ID.eq(r.getId()))
                        .orderBy(VISIT_EVENING.PLACE)
                        .fetch(e -> new CaseDocument.OwnEvening(
                                e.getKind(),
                                e.getWeekday() == null ? null : DayOfWeek.valueOf(e.getWeekday()),
                                e.getOnDate())),
                db.selectFrom(VISIT_COURSE)
                        .where(VISIT_COURSE.VISIT_ID.eq(r.getId()))
                        .orderBy(VISIT_COURSE.PRODUCT_ID)
                        .fetch(c -> new CaseDocument.CourseOf(c.getProductId(), c.getKind(), c.getFromDate())),
                db.selectFrom(VISIT_NIGHT)
                        .where(VISIT_NIGHT.VISIT_ID.eq(r.getId()))
                        .orderBy(VISIT_NIGHT.ON_DATE, VISIT_NIGHT.PRODUCT_ID)
                        .fetch(n -> new CaseDocument.NightByHand(
                                n.getProductId(), n.getOnDate(), n.getUsed(), n.getWhy())));
    }
}

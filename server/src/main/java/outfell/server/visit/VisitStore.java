package outfell.server.visit;

import static outfell.store.Tables.GRADE;
import static outfell.store.Tables.PLAN;
import static outfell.store.Tables.PROBE_READING;
import static outfell.store.Tables.VISIT;
import static outfell.store.Tables.VISIT_ALLERGY;
import static outfell.store.Tables.VISIT_CHOICE;
import static outfell.store.Tables.VISIT_CONCERN;
import static outfell.store.Tables.VISIT_EVENT;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.Table;
import org.jooq.TableField;
import org.springframework.stereotype.Repository;
import outfell.regimen.Consultation.Scent;
import outfell.routine.Part;
import outfell.safety.Answers.Expecting;
import outfell.server.plan.CaseDocument;
import outfell.skin.Concern;
import outfell.skin.How;
import outfell.skin.ProbeReading;
import outfell.skin.RecentEvent;
import outfell.skin.Sign;
import outfell.skin.Zone;
import outfell.store.tables.records.VisitRecord;

/** Visits with all that was asked, read and chosen. */
@Repository
public class VisitStore {
    /** A visit as kept. */
    public record Visit(
            UUID id,
            UUID client,
            LocalDate date,
            int version,
            CaseDocument.Intake intake,
            CaseDocument.Reading reading,
            String method,
            Month month,
            List<CaseDocument.Choice> pins,
            List<CaseDocument.Choice> takenOut) {}

    /** A plan as it was handed over. */
    public record SavedPlan(UUID id, int number, Month month, LocalDateTime savedAt) {}

    private final DSLContext db;

    VisitStore(DSLContext db) {
        this.db = db;
    }

    public Optional<Visit> find(UUID id) {
        return db.selectFrom(VISIT).where(VISIT.ID.eq(id)).fetchOptional(this::read);
    }

    public Optional<Visit> latest(UUID client) {
        return db.selectFrom(VISIT)
                .where(VISIT.CLIENT_ID.eq(client))
                .orderBy(VISIT.ON_DATE.desc(), VISIT.ID)
                .limit(1)
                .fetchOptional(this::read);
    }

    public void insert(Visit visit) {
        VisitRecord row = db.newRecord(VISIT);
        row.setId(visit.id());
        row.setClientId(visit.client());
        row.setOnDate(visit.date());
        row.setVersion(visit.version());
        write(row, visit);
        row.insert();
        writeParts(visit);
    }

    /** @return whether the version was still the one that was read; if not, nothing is changed */
    public boolean update(Visit visit) {
        VisitRecord row = db.newRecord(VISIT);
        write(row, visit);
        row.setVersion(visit.version() + 1);
        boolean current = db.update(VISIT)
                        .set(row)
                        .where(VISIT.ID.eq(visit.id()))
                        .and(VISIT.VERSION.eq(visit.version()))
                        .execute()
                == 1;
        if (current) {
            clear(visit.id());
            writeParts(visit);
        }
        return current;
    }

    public List<SavedPlan> plans(UUID visit) {
        return db.select(PLAN.ID, PLAN.NUMBER, PLAN.PLAN_MONTH, PLAN.SAVED_AT)
                .from(PLAN)
                .where(PLAN.VISIT_ID.eq(visit))
                .orderBy(PLAN.NUMBER.desc())
                .fetch(r -> new SavedPlan(r.value1(), r.value2(), Month.valueOf(r.value3()), r.value4()));
    }

    public SavedPlan savePlan(UUID visit, Month month, String document, LocalDateTime now) {
        int number = 1 + plans(visit).stream().mapToInt(SavedPlan::number).max().orElse(0);
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

    public Optional<String> planDocument(UUID plan) {
        return db.select(PLAN.DOCUMENT).from(PLAN).where(PLAN.ID.eq(plan)).fetchOptional(PLAN.DOCUMENT);
    }

    private static void write(VisitRecord row, Visit v) {
        CaseDocument.Intake i = v.intake();
        row.setSite(i.site());
        row.setMethod(v.method());
        row.setPlanMonth(v.month().name());
        row.setOutdoorHours(BigDecimal.valueOf(i.outdoorHours()));
        row.setMakeUpDays(i.makeUpDays());
        row.setSunscreenDays(i.sunscreenDays());
        row.setMorningMinutes(i.morningMinutes());
        row.setEveningMinutes(i.eveningMinutes());
        row.setMostSteps(i.mostSteps());
        row.setScent(i.scent().name());
        row.setSwings(i.swings());
        row.setExpecting(i.expecting().name());
        row.setPrescribedRetinoid(i.prescribedRetinoid());
        row.setFlush(i.flush());
        row.setReactions(i.reactions());
        row.setSettled(i.settled());
        row.setNote(i.note());
    }

    private void clear(UUID visit) {
        clear(VISIT_ALLERGY, VISIT_ALLERGY.VISIT_ID, visit);
        clear(VISIT_CONCERN, VISIT_CONCERN.VISIT_ID, visit);
        clear(VISIT_EVENT, VISIT_EVENT.VISIT_ID, visit);
        clear(GRADE, GRADE.VISIT_ID, visit);
        clear(PROBE_READING, PROBE_READING.VISIT_ID, visit);
        clear(VISIT_CHOICE, VISIT_CHOICE.VISIT_ID, visit);
    }

    private <R extends Record> void clear(Table<R> table, TableField<R, UUID> key, UUID visit) {
        db.deleteFrom(table).where(key.eq(visit)).execute();
    }

    private void writeParts(Visit v) {
        List<org.jooq.Query> all = new ArrayList<>();
        v.intake().allergies().stream().distinct().forEach(a -> all.add(allergy(v.id(), a, true)));
        v.intake().otherAllergies().stream().distinct().forEach(a -> all.add(allergy(v.id(), a, false)));
        v.intake().matters().stream()
                .distinct()
                .forEach(c -> all.add(db.insertInto(VISIT_CONCERN)
                        .set(VISIT_CONCERN.VISIT_ID, v.id())
                        .set(VISIT_CONCERN.CONCERN, c.name())));
        v.intake()
                .recent()
                .forEach(e -> all.add(db.insertInto(VISIT_EVENT)
                        .set(VISIT_EVENT.VISIT_ID, v.id())
                        .set(VISIT_EVENT.KIND, e.kind().name())
                        .set(VISIT_EVENT.DAYS_PAST, e.days())));
        v.reading()
                .grades()
                .forEach(g -> all.add(db.insertInto(GRADE)
                        .set(GRADE.VISIT_ID, v.id())
                        .set(GRADE.ZONE, g.zone().name())
                        .set(GRADE.SIGN, g.sign().name())
                        .set(GRADE.GRADE_, g.grade())
                        .set(GRADE.KNOWN_BY, g.how().name())));
        v.reading()
                .probe()
                .forEach(p -> all.add(db.insertInto(PROBE_READING)
                        .set(PROBE_READING.VISIT_ID, v.id())
                        .set(PROBE_READING.QUANTITY, p.quantity().name())
                        .set(PROBE_READING.ZONE, p.zone().name())
                        .set(PROBE_READING.READING, BigDecimal.valueOf(p.value()))));
        choices(all, v.id(), v.pins(), false);
        choices(all, v.id(), v.takenOut(), true);
        db.batch(all).execute();
    }

    private org.jooq.Query allergy(UUID visit, String name, boolean known) {
        return db.insertInto(VISIT_ALLERGY)
                .set(VISIT_ALLERGY.VISIT_ID, visit)
                .set(VISIT_ALLERGY.NAME, name)
                .set(VISIT_ALLERGY.KNOWN, known);
    }

    private void choices(List<org.jooq.Query> all, UUID visit, List<CaseDocument.Choice> choices, boolean out) {
        for (int i = 0; i < choices.size(); i++) {
            all.add(db.insertInto(VISIT_CHOICE)
                    .set(VISIT_CHOICE.VISIT_ID, visit)
                    .set(VISIT_CHOICE.PART, choices.get(i).part().name())
                    .set(VISIT_CHOICE.PRODUCT_ID, choices.get(i).product())
                    .set(VISIT_CHOICE.TAKEN_OUT, out)
                    .set(VISIT_CHOICE.PLACE, i));
        }
    }

    private Visit read(VisitRecord r) {
        return new Visit(
                r.getId(),
                r.getClientId(),
                r.getOnDate(),
                r.getVersion(),
                intake(r),
                new CaseDocument.Reading(grades(r.getId()), probe(r.getId())),
                r.getMethod(),
                Month.valueOf(r.getPlanMonth()),
                choices(r.getId(), false),
                choices(r.getId(), true));
    }

    private CaseDocument.Intake intake(VisitRecord r) {
        return new CaseDocument.Intake(
                r.getSite(),
                r.getOutdoorHours().doubleValue(),
                r.getMakeUpDays(),
                r.getSunscreenDays(),
                r.getMorningMinutes(),
                r.getEveningMinutes(),
                r.getMostSteps(),
                Scent.valueOf(r.getScent()),
                r.getSwings(),
                Expecting.valueOf(r.getExpecting()),
                allergies(r.getId(), true),
                allergies(r.getId(), false),
                r.getPrescribedRetinoid(),
                r.getFlush(),
                r.getReactions(),
                db.selectFrom(VISIT_EVENT)
                        .where(VISIT_EVENT.VISIT_ID.eq(r.getId()))
                        .orderBy(VISIT_EVENT.KIND)
                        .fetch(e -> new CaseDocument.Event(RecentEvent.Kind.valueOf(e.getKind()), e.getDaysPast())),
                db.selectFrom(VISIT_CONCERN)
                        .where(VISIT_CONCERN.VISIT_ID.eq(r.getId()))
                        .orderBy(VISIT_CONCERN.CONCERN)
                        .fetch(c -> Concern.valueOf(c.getConcern())),
                r.getSettled(),
                r.getNote());
    }

    private List<String> allergies(UUID visit, boolean known) {
        return db.select(VISIT_ALLERGY.NAME)
                .from(VISIT_ALLERGY)
                .where(VISIT_ALLERGY.VISIT_ID.eq(visit))
                .and(VISIT_ALLERGY.KNOWN.eq(known))
                .orderBy(VISIT_ALLERGY.NAME)
                .fetch(VISIT_ALLERGY.NAME);
    }

    private List<CaseDocument.Grade> grades(UUID visit) {
        return db.selectFrom(GRADE).where(GRADE.VISIT_ID.eq(visit)).fetch().stream()
                .map(g -> new CaseDocument.Grade(
                        Zone.valueOf(g.getZone()),
                        Sign.valueOf(g.getSign()),
                        g.getGrade(),
                        How.valueOf(g.getKnownBy())))
                .sorted(java.util.Comparator.comparing(CaseDocument.Grade::sign)
                        .thenComparing(CaseDocument.Grade::zone))
                .toList();
    }

    private List<CaseDocument.Probe> probe(UUID visit) {
        return db.selectFrom(PROBE_READING)
                .where(PROBE_READING.VISIT_ID.eq(visit))
                .orderBy(PROBE_READING.QUANTITY, PROBE_READING.ZONE)
                .fetch(p -> new CaseDocument.Probe(
                        ProbeReading.Quantity.valueOf(p.getQuantity()),
                        Zone.valueOf(p.getZone()),
                        p.getReading().doubleValue()));
    }

    private List<CaseDocument.Choice> choices(UUID visit, boolean out) {
        return db.selectFrom(VISIT_CHOICE)
                .where(VISIT_CHOICE.VISIT_ID.eq(visit))
                .and(VISIT_CHOICE.TAKEN_OUT.eq(out))
                .orderBy(VISIT_CHOICE.PLACE)
                .fetch(c -> new CaseDocument.Choice(Part.valueOf(c.getPart()), c.getProductId()));
    }
}

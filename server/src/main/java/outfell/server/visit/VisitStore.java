package outfell.server.visit;

import static outfell.store.Tables.VISIT;
import static outfell.store.Tables.VISIT_CORRECTION;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Query;
import org.jooq.Record4;
import org.jooq.SelectJoinStep;
import org.springframework.stereotype.Repository;
import outfell.server.plan.CaseDocument;
import outfell.skin.History;
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
            List<CaseDocument.Choice> takenOut,
            List<CaseDocument.StepByHand> steps,
            CaseDocument.Week week) {
        /** The same as another version. */
        Visit of(int other) {
            return new Visit(id, client, date, other, intake, reading, method, month, pins, takenOut, steps, week);
        }
    }

    /**
     * A visit's day.
     *
     * @param workedAt when somebody last worked on it
     * @param madeBySave fingerprint of the save that made its version; empty when none has
     */
    public record Day(UUID visit, LocalDate date, LocalDateTime workedAt, String madeBySave) {}

    /** Why an earlier visit was put right, and by whom. */
    public record VisitCorrection(UUID id, String who, String why, LocalDateTime openedAt) {}

    private final DSLContext db;
    private final IntakePartStore intakes;
    private final ReadingPartStore readings;
    private final StepPartStore steps;
    private final WeekPartStore weeks;

    VisitStore(
            DSLContext db,
            IntakePartStore intakes,
            ReadingPartStore readings,
            StepPartStore steps,
            WeekPartStore weeks) {
        this.db = db;
        this.intakes = intakes;
        this.readings = readings;
        this.steps = steps;
        this.weeks = weeks;
    }

    public Optional<Visit> find(UUID id) {
        return db.selectFrom(VISIT).where(VISIT.ID.eq(id)).fetchOptional(this::whole);
    }

    public Optional<Visit> latest(UUID client) {
        return db.selectFrom(VISIT)
                .where(VISIT.CLIENT_ID.eq(client))
                .orderBy(VISIT.ON_DATE.desc(), VISIT.WORKED_AT.desc(), VISIT.ID)
                .limit(1)
                .fetchOptional(this::whole);
    }

    public Optional<Visit> onDay(UUID client, LocalDate date) {
        return db.selectFrom(VISIT)
                .where(VISIT.CLIENT_ID.eq(client))
                .and(VISIT.ON_DATE.eq(date))
                .orderBy(VISIT.WORKED_AT.desc(), VISIT.ID)
                .limit(1)
                .fetchOptional(this::whole);
    }

    /** Every visit of a client, newest first. */
    public List<Visit> all(UUID client) {
        return db.selectFrom(VISIT)
                .where(VISIT.CLIENT_ID.eq(client))
                .orderBy(VISIT.ON_DATE.desc(), VISIT.WORKED_AT.desc(), VISIT.ID)
                .fetch(this::whole);
    }

    /** The days of a client's visits, oldest first; each is read by itself, so that one that cannot be is but one. */
    public List<Day> days(UUID client) {
        return selectDays()
                .where(VISIT.CLIENT_ID.eq(client))
                .orderBy(VISIT.ON_DATE, VISIT.WORKED_AT, VISIT.ID)
                .fetch(VisitStore::day);
    }

    /** Holds a visit until the transaction ends, so that what is kept of it is kept once. */
    public Optional<Day> hold(UUID visit) {
        return selectDays().where(VISIT.ID.eq(visit)).forUpdate().fetchOptional(VisitStore::day);
    }

    private SelectJoinStep<Record4<UUID, LocalDate, LocalDateTime, String>> selectDays() {
        return db.select(VISIT.ID, VISIT.ON_DATE, VISIT.WORKED_AT, VISIT.MADE_BY_SAVE)
                .from(VISIT);
    }

    private static Day day(Record4<UUID, LocalDate, LocalDateTime, String> r) {
        return new Day(r.value1(), r.value2(), r.value3(), r.value4());
    }

    public Optional<Day> day(UUID visit) {
        return selectDays().where(VISIT.ID.eq(visit)).fetchOptional(VisitStore::day);
    }

    /** Newest first. */
    public List<VisitCorrection> corrections(UUID visit) {
        return db.selectFrom(VISIT_CORRECTION)
                .where(VISIT_CORRECTION.VISIT_ID.eq(visit))
                .orderBy(VISIT_CORRECTION.OPENED_AT.desc(), VISIT_CORRECTION.ID)
                .fetch(r -> new VisitCorrection(r.getId(), r.getWho(), r.getWhy(), r.getOpenedAt()));
    }

    public void correct(UUID visit, VisitCorrection correction) {
        db.insertInto(VISIT_CORRECTION)
                .set(VISIT_CORRECTION.ID, correction.id())
                .set(VISIT_CORRECTION.VISIT_ID, visit)
                .set(VISIT_CORRECTION.WHO, correction.who())
                .set(VISIT_CORRECTION.WHY, correction.why())
                .set(VISIT_CORRECTION.OPENED_AT, correction.openedAt())
                .execute();
    }

    /** Takes out a client's visits for good; the plans kept at them must be gone before. */
    public void erase(UUID client) {
        db.deleteFrom(VISIT).where(VISIT.CLIENT_ID.eq(client)).execute();
    }

    /** The visit before this one. */
    public Optional<Visit> before(Visit visit) {
        return db.selectFrom(VISIT)
                .where(VISIT.CLIENT_ID.eq(visit.client()))
                .and(VISIT.ID.ne(visit.id()))
                .and(VISIT.ON_DATE.le(visit.date()))
                .orderBy(VISIT.ON_DATE.desc(), VISIT.WORKED_AT.desc(), VISIT.ID)
                .limit(1)
                .fetchOptional(this::whole);
    }

    /** A client's last visit before a day. */
    public Optional<Visit> lastBefore(UUID client, LocalDate day) {
        return db.selectFrom(VISIT)
                .where(VISIT.CLIENT_ID.eq(client))
                .and(VISIT.ON_DATE.lt(day))
                .orderBy(VISIT.ON_DATE.desc(), VISIT.WORKED_AT.desc(), VISIT.ID)
                .limit(1)
                .fetchOptional(this::whole);
    }

    /** @param worked when it is worked on */
    public void insert(Visit visit, LocalDateTime worked) {
        VisitRecord row = db.newRecord(VISIT);
        row.setId(visit.id());
        row.setClientId(visit.client());
        row.setOnDate(visit.date());
        row.setVersion(visit.version());
        row.setWorkedAt(worked);
        write(row, visit);
        row.insert();
        List<Query> all = new ArrayList<>();
        intakes.write(all, visit.id(), visit.intake());
        readings.write(all, visit.id(), ReadingPartStore.Lists.of(visit.reading()));
        steps.write(all, visit.id(), StepPartStore.Lists.of(visit));
        weeks.write(all, visit.id(), visit.week());
        all.forEach(Query::execute);
    }

    /**
     * Writes a visit over the one that stood; what is in both alike is left as it is.
     *
     * @return as it is kept now; nothing where the version was no longer the one that was read
     */
    public Optional<Visit> update(Visit before, Visit after, LocalDateTime worked, String save) {
        UUID id = after.id();
        VisitRecord row = db.newRecord(VISIT);
        write(row, after);
        row.setWorkedAt(worked);
        row.setMadeBySave(save);
        row.setVersion(after.version() + 1);
        boolean current = db.update(VISIT)
                        .set(row)
                        .where(VISIT.ID.eq(id))
                        .and(VISIT.VERSION.eq(after.version()))
                        .execute()
                == 1;
        return current ? Optional.of(parts(before, after)) : Optional.empty();
    }

    private Visit parts(Visit before, Visit after) {
        UUID id = after.id();
        IntakePartStore.Lists asked = IntakePartStore.Lists.of(before.intake());
        ReadingPartStore.Lists seen = ReadingPartStore.Lists.of(before.reading());
        StepPartStore.Lists byHand = StepPartStore.Lists.of(before);
        boolean askedAnew = !asked.equals(IntakePartStore.Lists.of(after.intake()));
        boolean seenAnew = !seen.equals(ReadingPartStore.Lists.of(after.reading()));
        boolean handled = !byHand.equals(StepPartStore.Lists.of(after));
        boolean dated = !before.week().equals(after.week());
        List<Query> all = new ArrayList<>();
        if (askedAnew) {
            intakes.clear(id);
            intakes.write(all, id, after.intake());
        }
        if (seenAnew) {
            readings.clear(id);
            readings.write(all, id, ReadingPartStore.Lists.of(after.reading()));
        }
        if (handled) {
            steps.clear(id);
            steps.write(all, id, StepPartStore.Lists.of(after));
        }
        if (dated) {
            weeks.clear(id);
            weeks.write(all, id, after.week());
        }
        all.forEach(Query::execute);
        VisitRecord kept = db.selectFrom(VISIT).where(VISIT.ID.eq(id)).fetchSingle();
        return visit(
                kept,
                askedAnew ? intakes.read(id) : asked,
                seenAnew ? readings.read(id) : seen,
                handled ? steps.read(id) : byHand,
                dated ? weeks.read(kept) : before.week());
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
        Double budget = i.budget();
        History.Says says = i.says();
        row.setMakeUp(i.makeUp().name());
        row.setBudget(budget == null ? null : BigDecimal.valueOf(budget));
        row.setScent(i.scent().name());
        row.setAnimal(i.animal().name());
        row.setOils(i.oils().name());
        row.setBirthYear(i.birthYear());
        row.setSays(says == null ? null : says.name());
        row.setSwings(i.swings());
        row.setFlush(i.flush());
        row.setReactions(i.reactions());
        row.setBurns(i.burns());
        row.setTans(i.tans());
        row.setNote(i.note());
        IntakePartStore.write(row, i.lately());
        IntakePartStore.writeAssumed(row, i.assumed());
        row.setNightsEvery(v.week().every());
        row.setNightsFirst(v.week().first());
        ReadingPartStore.write(row, v.reading().conditions());
    }

    /** A visit is read part by part; one that was saved meanwhile is read again, so that its parts are of one version. */
    private Visit whole(VisitRecord r) {
        Visit visit = read(r);
        VisitRecord now = db.selectFrom(VISIT).where(VISIT.ID.eq(r.getId())).fetchOne();
        return now == null || now.getVersion().equals(r.getVersion()) ? visit : whole(now);
    }

    private Visit read(VisitRecord r) {
        UUID id = r.getId();
        return visit(r, intakes.read(id), readings.read(id), steps.read(id), weeks.read(r));
    }

    private static Visit visit(
            VisitRecord r,
            IntakePartStore.Lists asked,
            ReadingPartStore.Lists seen,
            StepPartStore.Lists byHand,
            CaseDocument.Week week) {
        return new Visit(
                r.getId(),
                r.getClientId(),
                r.getOnDate(),
                r.getVersion(),
                IntakePartStore.intake(r, asked),
                ReadingPartStore.reading(r, seen),
                r.getMethod(),
                Month.valueOf(r.getPlanMonth()),
                byHand.pins(),
                byHand.takenOut(),
                byHand.steps(),
                week);
    }
}

package outfell.server.visit;

import static outfell.store.Tables.GRADE;
import static outfell.store.Tables.PROBE_SPOT;
import static outfell.store.Tables.VISIT;
import static outfell.store.Tables.VISIT_ANSWER;
import static outfell.store.Tables.VISIT_BY_HAND;
import static outfell.store.Tables.VISIT_CHOICE;
import static outfell.store.Tables.VISIT_CONCERN;
import static outfell.store.Tables.VISIT_CONTRADICTION;
import static outfell.store.Tables.VISIT_CORRECTION;
import static outfell.store.Tables.VISIT_OUTDOORS;
import static outfell.store.Tables.VISIT_PLACE;
import static outfell.store.Tables.VISIT_SETTLED;
import static outfell.store.Tables.VISIT_STEP;
import static outfell.store.Tables.VISIT_STEP_DAY;
import static outfell.store.Tables.VISIT_WORD;

import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Query;
import org.jooq.Record;
import org.jooq.Record2;
import org.jooq.Record4;
import org.jooq.SelectJoinStep;
import org.jooq.Table;
import org.jooq.TableField;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import outfell.consultation.Life.Taste;
import outfell.routine.Coverage;
import outfell.routine.Part;
import outfell.server.plan.CaseDocument;
import outfell.skin.ByHand;
import outfell.skin.Concern;
import outfell.skin.History;
import outfell.skin.How;
import outfell.skin.ProbeReading;
import outfell.skin.Settlement;
import outfell.skin.Sign;
import outfell.skin.Zone;
import outfell.store.tables.records.ProbeSpotRecord;
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
            CaseDocument.Week week) {}

    /**
     * A visit's day.
     *
     * @param workedAt when somebody last worked on it
     * @param madeBySave fingerprint of the save that made its version; empty when none has
     */
    public record Day(UUID visit, LocalDate date, LocalDateTime workedAt, String madeBySave) {}

    /** Why an earlier visit was put right, and by whom. */
    public record VisitCorrection(UUID id, String who, String why, LocalDateTime openedAt) {}

    private static final String MEDICINE = "MEDICINE";
    private static final String ALLERGY = "ALLERGY";

    private final DSLContext db;
    private final WeekPartStore weeks;
    private final HoursStore hours;

    VisitStore(DSLContext db, WeekPartStore weeks, HoursStore hours) {
        this.db = db;
        this.weeks = weeks;
        this.hours = hours;
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
        writeParts(visit);
    }

    /** @return whether the version was still the one that was read; if not, nothing is changed */
    public boolean update(Visit visit, LocalDateTime worked, String save) {
        VisitRecord row = db.newRecord(VISIT);
        write(row, visit);
        row.setWorkedAt(worked);
        row.setMadeBySave(save);
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
        row.setNightsEvery(v.week().every());
        row.setNightsFirst(v.week().first());
        write(row, v.reading().conditions());
    }

    private static void write(VisitRecord row, CaseDocument.@Nullable Conditions c) {
        Double celsius = c == null ? null : c.roomCelsius();
        Double humidity = c == null ? null : c.humidity();
        row.setRoomCelsius(celsius == null ? null : BigDecimal.valueOf(celsius));
        row.setRoomHumidity(humidity == null ? null : BigDecimal.valueOf(humidity));
        row.setWashMinutes(c == null ? null : c.minutesSinceWash());
        row.setWashedWithCleanser(c != null && c.cleanser());
        row.setSettledMinutes(c == null ? null : c.minutesSettled());
        row.setProductHours(c == null ? null : c.hoursSinceProduct());
    }

    private void clear(UUID visit) {
        clear(VISIT_ANSWER, VISIT_ANSWER.VISIT_ID, visit);
        clear(VISIT_WORD, VISIT_WORD.VISIT_ID, visit);
        clear(VISIT_PLACE, VISIT_PLACE.VISIT_ID, visit);
        clear(VISIT_OUTDOORS, VISIT_OUTDOORS.VISIT_ID, visit);
        clear(VISIT_SETTLED, VISIT_SETTLED.VISIT_ID, visit);
        clear(VISIT_CONCERN, VISIT_CONCERN.VISIT_ID, visit);
        clear(GRADE, GRADE.VISIT_ID, visit);
        clear(PROBE_SPOT, PROBE_SPOT.VISIT_ID, visit);
        clear(VISIT_CONTRADICTION, VISIT_CONTRADICTION.VISIT_ID, visit);
        clear(VISIT_BY_HAND, VISIT_BY_HAND.VISIT_ID, visit);
        clear(VISIT_CHOICE, VISIT_CHOICE.VISIT_ID, visit);
        clear(VISIT_STEP, VISIT_STEP.VISIT_ID, visit);
        weeks.clear(visit);
    }

    private <R extends Record> void clear(Table<R> table, TableField<R, UUID> key, UUID visit) {
        db.deleteFrom(table).where(key.eq(visit)).execute();
    }

    private void writeParts(Visit v) {
        List<Query> all = new ArrayList<>();
        writeIntake(all, v.id(), v.intake());
        writeReading(all, v.id(), v.reading());
        choices(all, v.id(), v.pins(), false);
        choices(all, v.id(), v.takenOut(), true);
        steps(all, v.id(), v.steps());
        weeks.write(all, v.id(), v.week());
        db.batch(all).execute();
    }

    private void writeIntake(List<Query> all, UUID visit, CaseDocument.Intake intake) {
        intake.answers()
                .forEach(a -> all.add(db.insertInto(VISIT_ANSWER)
                        .set(VISIT_ANSWER.VISIT_ID, visit)
                        .set(VISIT_ANSWER.QUESTION, a.question())
                        .set(VISIT_ANSWER.YES, a.yes())
                        .set(VISIT_ANSWER.ON_DATE, a.on())
                        .set(VISIT_ANSWER.ASKED, a.asked())
                        .set(VISIT_ANSWER.BULK, CaseDocument.Answer.together(a))));
        words(all, visit, MEDICINE, intake.medicines());
        words(all, visit, ALLERGY, intake.otherAllergies());
        all.addAll(hours.writing(visit, intake));
        intake.settled()
                .forEach(s -> all.add(db.insertInto(VISIT_SETTLED)
                        .set(VISIT_SETTLED.VISIT_ID, visit)
                        .set(VISIT_SETTLED.REFERRAL, s.referral())
                        .set(VISIT_SETTLED.WHO, s.who())
                        .set(VISIT_SETTLED.ON_DATE, s.on())
                        .set(VISIT_SETTLED.REMARK, s.remark())));
        intake.matters().stream()
                .distinct()
                .forEach(c -> all.add(db.insertInto(VISIT_CONCERN)
                        .set(VISIT_CONCERN.VISIT_ID, visit)
                        .set(VISIT_CONCERN.CONCERN, c.name())));
    }

    private void words(List<Query> all, UUID visit, String kind, List<String> words) {
        List<String> once = words.stream().distinct().toList();
        for (int i = 0; i < once.size(); i++) {
            all.add(db.insertInto(VISIT_WORD)
                    .set(VISIT_WORD.VISIT_ID, visit)
                    .set(VISIT_WORD.KIND, kind)
                    .set(VISIT_WORD.WORD, once.get(i))
                    .set(VISIT_WORD.PLACE, i));
        }
    }

    private void writeReading(List<Query> all, UUID visit, CaseDocument.Reading reading) {
        reading.grades()
                .forEach(g -> all.add(db.insertInto(GRADE)
                        .set(GRADE.VISIT_ID, visit)
                        .set(GRADE.ZONE, g.zone().name())
                        .set(GRADE.SIGN, g.sign().name())
                        .set(GRADE.GRADE_, g.grade())
                        .set(GRADE.KNOWN_BY, g.how().name())));
        reading.probe().forEach(p -> spot(all, visit, p));
        orNone(reading.settlements())
                .forEach(s -> all.add(db.insertInto(VISIT_CONTRADICTION)
                        .set(VISIT_CONTRADICTION.VISIT_ID, visit)
                        .set(VISIT_CONTRADICTION.CONTRADICTION, s.contradiction())
                        .set(VISIT_CONTRADICTION.KEEPS, s.keeps().name())
                        .set(VISIT_CONTRADICTION.WHO, s.who())
                        .set(VISIT_CONTRADICTION.WHY, s.why())));
        orNone(reading.byHand())
                .forEach(b -> all.add(db.insertInto(VISIT_BY_HAND)
                        .set(VISIT_BY_HAND.VISIT_ID, visit)
                        .set(VISIT_BY_HAND.VERDICT, b.verdict().name())
                        .set(VISIT_BY_HAND.STANDS, b.value())
                        .set(VISIT_BY_HAND.WHO, b.who())
                        .set(VISIT_BY_HAND.WHY, b.why())));
    }

    private void spot(List<Query> all, UUID visit, CaseDocument.Probe p) {
        for (int nth = 0; nth < p.values().size(); nth++) {
            all.add(db.insertInto(PROBE_SPOT)
                    .set(PROBE_SPOT.VISIT_ID, visit)
                    .set(PROBE_SPOT.QUANTITY, p.quantity().name())
                    .set(PROBE_SPOT.ZONE, p.zone().name())
                    .set(PROBE_SPOT.NTH, nth)
                    .set(PROBE_SPOT.READING, BigDecimal.valueOf(p.values().get(nth)))
                    .set(PROBE_SPOT.SIMULATED, p.simulated()));
        }
    }

    private static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
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
            Coverage on = s.on();
            CaseDocument.OnCondition when = s.when();
            all.add(db.insertInto(VISIT_STEP)
                    .set(VISIT_STEP.VISIT_ID, visit)
                    .set(VISIT_STEP.PART, s.part().name())
                    .set(VISIT_STEP.PRODUCT_ID, s.product())
                    .set(VISIT_STEP.PLACE, i)
                    .set(VISIT_STEP.LEFT_OUT, s.optional())
                    .set(VISIT_STEP.KEPT_TO, on == null ? null : on.name())
                    .set(VISIT_STEP.WHEN_KIND, when == null ? null : when.kind())
                    .set(VISIT_STEP.WHEN_USUAL, when == null ? null : when.usual())
                    .set(VISIT_STEP.SECOND_COAT, s.secondCoat())
                    .set(VISIT_STEP.OWN_WORDS, s.words())
                    .set(VISIT_STEP.MOVED, move != null)
                    .set(VISIT_STEP.GOES_AFTER, move == null ? null : move.after())
                    .set(VISIT_STEP.GOES_BEFORE, move == null ? null : move.before())
                    .set(VISIT_STEP.MOVED_WHY, move == null ? "" : move.why()));
            s.nights().stream()
                    .distinct()
                    .forEach(day -> all.add(db.insertInto(VISIT_STEP_DAY)
                            .set(VISIT_STEP_DAY.VISIT_ID, visit)
                            .set(VISIT_STEP_DAY.PART, s.part().name())
                            .set(VISIT_STEP_DAY.PRODUCT_ID, s.product())
                            .set(VISIT_STEP_DAY.WEEKDAY, day.name())));
        }
    }

    private List<CaseDocument.StepByHand> steps(UUID visit) {
        Map<Record2<String, String>, List<DayOfWeek>> days = db.select(
                        VISIT_STEP_DAY.PART, VISIT_STEP_DAY.PRODUCT_ID, VISIT_STEP_DAY.WEEKDAY)
                .from(VISIT_STEP_DAY)
                .where(VISIT_STEP_DAY.VISIT_ID.eq(visit))
                .fetchGroups(
                        r -> r.into(VISIT_STEP_DAY.PART, VISIT_STEP_DAY.PRODUCT_ID),
                        r -> DayOfWeek.valueOf(r.value3()));
        return db.selectFrom(VISIT_STEP)
                .where(VISIT_STEP.VISIT_ID.eq(visit))
                .orderBy(VISIT_STEP.PLACE)
                .fetch(r -> new CaseDocument.StepByHand(
                        Part.valueOf(r.getPart()),
                        r.getProductId(),
                        r.getLeftOut(),
                        r.getKeptTo() == null ? null : Coverage.valueOf(r.getKeptTo()),
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
                                : null));
    }

    /** A visit is read part by part; one that was saved meanwhile is read again, so that its parts are of one version. */
    private Visit whole(VisitRecord r) {
        Visit visit = read(r);
        VisitRecord now = db.selectFrom(VISIT).where(VISIT.ID.eq(r.getId())).fetchOne();
        return now == null || now.getVersion().equals(r.getVersion()) ? visit : whole(now);
    }

    private Visit read(VisitRecord r) {
        return new Visit(
                r.getId(),
                r.getClientId(),
                r.getOnDate(),
                r.getVersion(),
                intake(r),
                reading(r),
                r.getMethod(),
                Month.valueOf(r.getPlanMonth()),
                choices(r.getId(), false),
                choices(r.getId(), true),
                steps(r.getId()),
                weeks.read(r));
    }

    private CaseDocument.Reading reading(VisitRecord r) {
        return new CaseDocument.Reading(
                grades(r.getId()),
                probe(r.getId()),
                conditions(r),
                db.selectFrom(VISIT_CONTRADICTION)
                        .where(VISIT_CONTRADICTION.VISIT_ID.eq(r.getId()))
                        .orderBy(VISIT_CONTRADICTION.CONTRADICTION)
                        .fetch(s -> new CaseDocument.Settling(
                                s.getContradiction(), Settlement.Side.valueOf(s.getKeeps()), s.getWho(), s.getWhy())),
                db.selectFrom(VISIT_BY_HAND)
                        .where(VISIT_BY_HAND.VISIT_ID.eq(r.getId()))
                        .orderBy(VISIT_BY_HAND.VERDICT)
                        .fetch(b -> new CaseDocument.SetValue(
                                ByHand.Verdict.valueOf(b.getVerdict()), b.getStands(), b.getWho(), b.getWhy())));
    }

    private static CaseDocument.@Nullable Conditions conditions(VisitRecord r) {
        boolean nothing = r.getRoomCelsius() == null
                && r.getRoomHumidity() == null
                && r.getWashMinutes() == null
                && r.getSettledMinutes() == null
                && r.getProductHours() == null
                && !r.getWashedWithCleanser();
        return nothing
                ? null
                : new CaseDocument.Conditions(
                        r.getRoomCelsius() == null ? null : r.getRoomCelsius().doubleValue(),
                        r.getRoomHumidity() == null ? null : r.getRoomHumidity().doubleValue(),
                        r.getWashMinutes(),
                        r.getWashedWithCleanser(),
                        r.getSettledMinutes(),
                        r.getProductHours());
    }

    private CaseDocument.Intake intake(VisitRecord r) {
        return new CaseDocument.Intake(
                r.getSite(),
                hours.places(r.getId()),
                r.getOutdoorHours().doubleValue(),
                r.getMakeUpDays(),
                CaseDocument.MakeUp.valueOf(r.getMakeUp()),
                r.getSunscreenDays(),
                r.getMorningMinutes(),
                r.getEveningMinutes(),
                r.getMostSteps(),
                r.getBudget() == null ? null : r.getBudget().doubleValue(),
                Taste.valueOf(r.getScent()),
                Taste.valueOf(r.getAnimal()),
                Taste.valueOf(r.getOils()),
                r.getBirthYear(),
                r.getSays() == null ? null : History.Says.valueOf(r.getSays()),
                r.getSwings(),
                r.getFlush(),
                r.getReactions(),
                r.getBurns(),
                r.getTans(),
                db.selectFrom(VISIT_ANSWER)
                        .where(VISIT_ANSWER.VISIT_ID.eq(r.getId()))
                        .orderBy(VISIT_ANSWER.QUESTION)
                        .fetch(a -> new CaseDocument.Answer(
                                a.getQuestion(), a.getYes(), a.getOnDate(), a.getAsked(), a.getBulk())),
                words(r.getId(), MEDICINE),
                words(r.getId(), ALLERGY),
                db.selectFrom(VISIT_CONCERN)
                        .where(VISIT_CONCERN.VISIT_ID.eq(r.getId()))
                        .orderBy(VISIT_CONCERN.CONCERN)
                        .fetch(c -> Concern.valueOf(c.getConcern())),
                db.selectFrom(VISIT_SETTLED)
                        .where(VISIT_SETTLED.VISIT_ID.eq(r.getId()))
                        .orderBy(VISIT_SETTLED.REFERRAL)
                        .fetch(s ->
                                new CaseDocument.Settled(s.getReferral(), s.getWho(), s.getOnDate(), s.getRemark())),
                r.getNote(),
                hours.hours(r.getId()),
                hours.outdoors(r.getId()));
    }

    private List<String> words(UUID visit, String kind) {
        return db.select(VISIT_WORD.WORD)
                .from(VISIT_WORD)
                .where(VISIT_WORD.VISIT_ID.eq(visit))
                .and(VISIT_WORD.KIND.eq(kind))
                .orderBy(VISIT_WORD.PLACE, VISIT_WORD.WORD)
                .fetch(VISIT_WORD.WORD);
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
        Map<List<String>, List<ProbeSpotRecord>> spots = db
                .selectFrom(PROBE_SPOT)
                .where(PROBE_SPOT.VISIT_ID.eq(visit))
                .orderBy(PROBE_SPOT.QUANTITY, PROBE_SPOT.ZONE, PROBE_SPOT.NTH)
                .fetch()
                .stream()
                .collect(Collectors.groupingBy(
                        p -> List.of(p.getQuantity(), p.getZone()), LinkedHashMap::new, Collectors.toList()));
        return spots.values().stream()
                .map(readings -> new CaseDocument.Probe(
                        ProbeReading.Quantity.valueOf(readings.getFirst().getQuantity()),
                        Zone.valueOf(readings.getFirst().getZone()),
                        readings.stream().map(p -> p.getReading().doubleValue()).toList(),
                        readings.getFirst().getSimulated()))
                .toList();
    }

    private List<CaseDocument.Choice> choices(UUID visit, boolean out) {
        return db.selectFrom(VISIT_CHOICE)
                .where(VISIT_CHOICE.VISIT_ID.eq(visit))
                .and(VISIT_CHOICE.TAKEN_OUT.eq(out))
                .orderBy(VISIT_CHOICE.PLACE)
                .fetch(c -> new CaseDocument.Choice(Part.valueOf(c.getPart()), c.getProductId()));
    }
}

package outfell.server.visit;

import static outfell.store.Tables.GRADE;
import static outfell.store.Tables.PROBE_SPOT;
import static outfell.store.Tables.VISIT_BY_HAND;
import static outfell.store.Tables.VISIT_CONTRADICTION;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Query;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import outfell.server.plan.CaseDocument;
import outfell.skin.ByHand;
import outfell.skin.How;
import outfell.skin.ProbeReading;
import outfell.skin.Settlement;
import outfell.skin.Sign;
import outfell.skin.Zone;
import outfell.store.tables.records.ProbeSpotRecord;
import outfell.store.tables.records.VisitRecord;

/** What was seen and measured at a visit, and what was said of it by hand. */
@Repository
class ReadingPartStore {
    /** What of it stands in tables of its own. */
    record Lists(
            List<CaseDocument.Grade> grades,
            List<CaseDocument.Probe> probe,
            List<CaseDocument.Settling> settlements,
            List<CaseDocument.SetValue> byHand) {
        static Lists of(CaseDocument.Reading r) {
            return new Lists(r.grades(), r.probe(), orNone(r.settlements()), orNone(r.byHand()));
        }
    }

    private final DSLContext db;

    ReadingPartStore(DSLContext db) {
        this.db = db;
    }

    void clear(UUID visit) {
        db.deleteFrom(GRADE).where(GRADE.VISIT_ID.eq(visit)).execute();
        db.deleteFrom(PROBE_SPOT).where(PROBE_SPOT.VISIT_ID.eq(visit)).execute();
        db.deleteFrom(VISIT_CONTRADICTION)
                .where(VISIT_CONTRADICTION.VISIT_ID.eq(visit))
                .execute();
        db.deleteFrom(VISIT_BY_HAND).where(VISIT_BY_HAND.VISIT_ID.eq(visit)).execute();
    }

    /** @param all takes what writes them */
    void write(List<Query> all, UUID visit, Lists reading) {
        reading.grades()
                .forEach(g -> all.add(db.insertInto(GRADE)
                        .set(GRADE.VISIT_ID, visit)
                        .set(GRADE.ZONE, g.zone().name())
                        .set(GRADE.SIGN, g.sign().name())
                        .set(GRADE.GRADE_, g.grade())
                        .set(GRADE.KNOWN_BY, g.how().name())));
        reading.probe().forEach(p -> spot(all, visit, p));
        reading.settlements()
                .forEach(s -> all.add(db.insertInto(VISIT_CONTRADICTION)
                        .set(VISIT_CONTRADICTION.VISIT_ID, visit)
                        .set(VISIT_CONTRADICTION.CONTRADICTION, s.contradiction())
                        .set(VISIT_CONTRADICTION.KEEPS, s.keeps().name())
                        .set(VISIT_CONTRADICTION.WHO, s.who())
                        .set(VISIT_CONTRADICTION.WHY, s.why())));
        reading.byHand()
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

    Lists read(UUID visit) {
        return new Lists(
                grades(visit),
                probe(visit),
                db.selectFrom(VISIT_CONTRADICTION)
                        .where(VISIT_CONTRADICTION.VISIT_ID.eq(visit))
                        .orderBy(VISIT_CONTRADICTION.CONTRADICTION)
                        .fetch(s -> new CaseDocument.Settling(
                                s.getContradiction(), Settlement.Side.valueOf(s.getKeeps()), s.getWho(), s.getWhy())),
                db.selectFrom(VISIT_BY_HAND)
                        .where(VISIT_BY_HAND.VISIT_ID.eq(visit))
                        .orderBy(VISIT_BY_HAND.VERDICT)
                        .fetch(b -> new CaseDocument.SetValue(
                                ByHand.Verdict.valueOf(b.getVerdict()), b.getStands(), b.getWho(), b.getWhy())));
    }

    private List<CaseDocument.Grade> grades(UUID visit) {
        return db.selectFrom(GRADE).where(GRADE.VISIT_ID.eq(visit)).fetch().stream()
                .map(g -> new CaseDocument.Grade(
                        Zone.valueOf(g.getZone()),
                        Sign.valueOf(g.getSign()),
                        g.getGrade(),
                        How.valueOf(g.getKnownBy())))
                .sorted(Comparator.comparing(CaseDocument.Grade::sign).thenComparing(CaseDocument.Grade::zone))
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

    static CaseDocument.Reading reading(VisitRecord r, Lists lists) {
        return new CaseDocument.Reading(
                lists.grades(), lists.probe(), conditions(r), lists.settlements(), lists.byHand());
    }

    static void write(VisitRecord row, CaseDocument.@Nullable Conditions c) {
        Double celsius = c == null ? null : c.roomCelsius();
        Double humidity = c == null ? null : c.humidity();
        row.setRoomCelsius(celsius == null ? null : BigDecimal.valueOf(celsius));
        row.setRoomHumidity(humidity == null ? null : BigDecimal.valueOf(humidity));
        row.setWashMinutes(c == null ? null : c.minutesSinceWash());
        row.setWashedWithCleanser(c != null && c.cleanser());
        row.setSettledMinutes(c == null ? null : c.minutesSettled());
        row.setProductHours(c == null ? null : c.hoursSinceProduct());
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
}

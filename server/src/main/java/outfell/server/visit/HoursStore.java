package outfell.server.visit;

import static outfell.store.Tables.VISIT_OUTDOORS;
import static outfell.store.Tables.VISIT_PLACE;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jooq.DSLContext;
import org.jooq.Query;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import outfell.consultation.Life.Place;
import outfell.server.plan.CaseDocument;
import outfell.server.plan.CaseDocument.HoursIn;

/** In which air a visit's day is spent, and for how long. */
@Repository
class HoursStore {
    private final DSLContext db;

    HoursStore(DSLContext db) {
        this.db = db;
    }

    /** What writes them anew; what was there is gone already. */
    List<Query> writing(UUID visit, CaseDocument.Intake intake) {
        List<HoursIn> hours = intake.hoursIn() == null ? List.of() : intake.hoursIn();
        List<Query> all = new ArrayList<>();
        Stream.concat(intake.places().stream(), hours.stream().map(HoursIn::place))
                .distinct()
                .forEach(p -> all.add(db.insertInto(VISIT_PLACE)
                        .set(VISIT_PLACE.VISIT_ID, visit)
                        .set(VISIT_PLACE.PLACE, p.name())
                        .set(VISIT_PLACE.TICKED, intake.places().contains(p))
                        .set(
                                VISIT_PLACE.HOURS,
                                hours.stream()
                                        .filter(h -> h.place() == p)
                                        .map(h -> BigDecimal.valueOf(h.hours()))
                                        .findFirst()
                                        .orElse(null))));
        List<Double> months = intake.outdoorsByMonth() == null ? List.of() : intake.outdoorsByMonth();
        for (int m = 0; m < months.size(); m++) {
            all.add(db.insertInto(VISIT_OUTDOORS)
                    .set(VISIT_OUTDOORS.VISIT_ID, visit)
                    .set(VISIT_OUTDOORS.OF_MONTH, m + 1)
                    .set(VISIT_OUTDOORS.HOURS, BigDecimal.valueOf(months.get(m))));
        }
        return all;
    }

    List<Place> places(UUID visit) {
        return db.selectFrom(VISIT_PLACE)
                .where(VISIT_PLACE.VISIT_ID.eq(visit))
                .and(VISIT_PLACE.TICKED)
                .orderBy(VISIT_PLACE.PLACE)
                .fetch(p -> Place.valueOf(p.getPlace()));
    }

    /** Of those for which they were asked, ticked still or not; absent where of none. */
    @Nullable
    List<HoursIn> hours(UUID visit) {
        List<HoursIn> asked = db.selectFrom(VISIT_PLACE)
                .where(VISIT_PLACE.VISIT_ID.eq(visit))
                .and(VISIT_PLACE.HOURS.isNotNull())
                .orderBy(VISIT_PLACE.PLACE)
                .fetch(p ->
                        new HoursIn(Place.valueOf(p.getPlace()), p.getHours().doubleValue()));
        return asked.isEmpty() ? null : asked;
    }

    /** January first; absent where every month is alike. */
    @Nullable
    List<Double> outdoors(UUID visit) {
        List<Double> months = db.selectFrom(VISIT_OUTDOORS)
                .where(VISIT_OUTDOORS.VISIT_ID.eq(visit))
                .orderBy(VISIT_OUTDOORS.OF_MONTH)
                .fetch(m -> m.getHours().doubleValue());
        return months.isEmpty() ? null : months;
    }
}

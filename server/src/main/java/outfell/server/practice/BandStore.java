package outfell.server.practice;

import static outfell.store.Tables.PROBE_BAND;

import java.math.BigDecimal;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Repository;
import outfell.skin.ProbeBands;

/** Every setting of a band that there ever was. */
@Repository
class BandStore {
    /** One setting. */
    record Setting(ProbeBands.Band band, ProbeBands.Bounds bounds, String by, LocalDateTime at) {}

    private final DSLContext db;

    BandStore(DSLContext db) {
        this.db = db;
    }

    /** Oldest first. */
    List<Setting> all() {
        return db.selectFrom(PROBE_BAND)
                .orderBy(PROBE_BAND.CHANGED_AT, PROBE_BAND.BAND, PROBE_BAND.NTH)
                .fetch(r -> new Setting(
                        ProbeBands.Band.valueOf(r.getBand()),
                        new ProbeBands.Bounds(
                                r.getLow().doubleValue(), r.getHigh().doubleValue()),
                        r.getChangedBy(),
                        r.getChangedAt()));
    }

    /**
     * Sets a band anew.
     *
     * @param nth how often it had been set when the change was made
     * @return whether that was still so; if not, nothing is changed
     */
    boolean add(int nth, Setting setting) {
        if (db.fetchCount(PROBE_BAND, PROBE_BAND.BAND.eq(setting.band().name())) != nth) {
            return false;
        }
        try {
            insert(nth, setting);
            return true;
        } catch (DataIntegrityViolationException atOnce) {
            return false;
        }
    }

    private void insert(int nth, Setting setting) {
        db.insertInto(PROBE_BAND)
                .set(PROBE_BAND.ID, UUID.randomUUID())
                .set(PROBE_BAND.NTH, nth)
                .set(PROBE_BAND.BAND, setting.band().name())
                .set(PROBE_BAND.LOW, BigDecimal.valueOf(setting.bounds().low()))
                .set(PROBE_BAND.HIGH, BigDecimal.valueOf(setting.bounds().high()))
                .set(PROBE_BAND.CHANGED_BY, setting.by())
                .set(PROBE_BAND.CHANGED_AT, setting.at())
                .execute();
    }
}

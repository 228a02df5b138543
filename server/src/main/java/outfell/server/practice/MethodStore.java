package outfell.server.practice;

import static outfell.store.Tables.HOUSE_METHOD;
import static outfell.store.Tables.HOUSE_METHOD_SETTING;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;
import outfell.store.tables.records.HouseMethodRecord;

/** The methods of the house. */
@Repository
class MethodStore {
    /**
     * One method as kept.
     *
     * @param because why a therapist would choose it
     * @param copyOf id of the method that it was copied from
     * @param offered whether new plans may take it
     * @param settings by id of the question
     */
    record Kept(
            String id,
            String name,
            String note,
            String because,
            String copyOf,
            boolean offered,
            String by,
            LocalDateTime at,
            int version,
            Map<String, String> settings) {}

    private final DSLContext db;

    MethodStore(DSLContext db) {
        this.db = db;
    }

    /** By name. */
    List<Kept> all() {
        return db.selectFrom(HOUSE_METHOD)
                .orderBy(DSL.lower(HOUSE_METHOD.NAME), HOUSE_METHOD.ID)
                .fetch(this::read);
    }

    Optional<Kept> find(String id) {
        return db.selectFrom(HOUSE_METHOD).where(HOUSE_METHOD.ID.eq(id)).fetchOptional(this::read);
    }

    void insert(Kept m) {
        HouseMethodRecord row = db.newRecord(HOUSE_METHOD);
        row.setId(m.id());
        write(row, m);
        row.insert();
        writeSettings(m);
    }

    /** @return whether its version was still the one that was read; if not, nothing is changed */
    boolean update(Kept m) {
        HouseMethodRecord row = db.newRecord(HOUSE_METHOD);
        write(row, m);
        row.setVersion(m.version() + 1);
        int changed = db.update(HOUSE_METHOD)
                .set(row)
                .where(HOUSE_METHOD.ID.eq(m.id()))
                .and(HOUSE_METHOD.VERSION.eq(m.version()))
                .execute();
        if (changed == 0) {
            return false;
        }
        db.deleteFrom(HOUSE_METHOD_SETTING)
                .where(HOUSE_METHOD_SETTING.METHOD_ID.eq(m.id()))
                .execute();
        writeSettings(m);
        return true;
    }

    private static void write(HouseMethodRecord row, Kept m) {
        row.setName(m.name());
        row.setNote(m.note());
        row.setBecause(m.because());
        row.setCopyOf(m.copyOf());
        row.setOffered(m.offered());
        row.setChangedBy(m.by());
        row.setChangedAt(m.at());
    }

    private void writeSettings(Kept m) {
        db.batch(m.settings().entrySet().stream()
                        .map(e -> db.insertInto(HOUSE_METHOD_SETTING)
                                .set(HOUSE_METHOD_SETTING.METHOD_ID, m.id())
                                .set(HOUSE_METHOD_SETTING.SETTING, e.getKey())
                                .set(HOUSE_METHOD_SETTING.SET_TO, e.getValue()))
                        .toList())
                .execute();
    }

    private Kept read(HouseMethodRecord r) {
        return new Kept(
                r.getId(),
                r.getName(),
                r.getNote(),
                r.getBecause(),
                r.getCopyOf(),
                r.getOffered(),
                r.getChangedBy(),
                r.getChangedAt(),
                r.getVersion(),
                db.select(HOUSE_METHOD_SETTING.SETTING, HOUSE_METHOD_SETTING.SET_TO)
                        .from(HOUSE_METHOD_SETTING)
                        .where(HOUSE_METHOD_SETTING.METHOD_ID.eq(r.getId()))
                        .fetchMap(HOUSE_METHOD_SETTING.SETTING, HOUSE_METHOD_SETTING.SET_TO));
    }
}

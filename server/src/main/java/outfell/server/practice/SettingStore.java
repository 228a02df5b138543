package outfell.server.practice;

import static outfell.store.Tables.PRACTICE_SETTING;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Repository;

/** Settings that are one word, with every value that there ever was. */
@Repository
class SettingStore {
    /** One setting of one thing. */
    record Setting(String to, String by, LocalDateTime at) {}

    private final DSLContext db;

    SettingStore(DSLContext db) {
        this.db = db;
    }

    /** Newest first. */
    List<Setting> of(String name) {
        return db.selectFrom(PRACTICE_SETTING)
                .where(PRACTICE_SETTING.NAME.eq(name))
                .orderBy(PRACTICE_SETTING.NTH.desc())
                .fetch(r -> new Setting(r.getSetTo(), r.getChangedBy(), r.getChangedAt()));
    }

    /** All whose name begins so, by the rest of the name, each newest first. */
    Map<String, List<Setting>> under(String prefix) {
        return db.selectFrom(PRACTICE_SETTING)
                .where(PRACTICE_SETTING.NAME.startsWith(prefix))
                .orderBy(PRACTICE_SETTING.NTH.desc())
                .fetchGroups(
                        r -> r.getName().substring(prefix.length()),
                        r -> new Setting(r.getSetTo(), r.getChangedBy(), r.getChangedAt()));
    }

    /**
     * Sets it anew.
     *
     * @param nth how often it had been set when the change was made
     * @return whether that was still so; if not, nothing is changed
     */
    boolean add(String name, int nth, Setting setting) {
        if (db.fetchCount(PRACTICE_SETTING, PRACTICE_SETTING.NAME.eq(name)) != nth) {
            return false;
        }
        try {
            insert(name, nth, setting);
            return true;
        } catch (DataIntegrityViolationException atOnce) {
            return false;
        }
    }

    private void insert(String name, int nth, Setting setting) {
        db.insertInto(PRACTICE_SETTING)
                .set(PRACTICE_SETTING.ID, UUID.randomUUID())
                .set(PRACTICE_SETTING.NAME, name)
                .set(PRACTICE_SETTING.NTH, nth)
                .set(PRACTICE_SETTING.SET_TO, setting.to())
                .set(PRACTICE_SETTING.CHANGED_BY, setting.by())
                .set(PRACTICE_SETTING.CHANGED_AT, setting.at())
                .execute();
    }
}

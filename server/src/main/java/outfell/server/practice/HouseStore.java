package outfell.server.practice;

import static org.jooq.impl.DSL.lower;
import static outfell.store.Tables.PRACTICE_MARK;
import static outfell.store.Tables.WORKER;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import outfell.store.tables.records.PracticeMarkRecord;

/** Who works in the practice, and its mark. */
@Repository
public class HouseStore {
    /** Somebody who works here. */
    public record Worker(UUID id, String name) {}

    /** The mark as it was sent. */
    public record MarkKept(String mediaType, byte[] picture, String by, LocalDateTime at) {}

    private static final int THE_ONE = 1;

    private final DSLContext db;

    HouseStore(DSLContext db) {
        this.db = db;
    }

    List<Worker> workers() {
        return db.select(WORKER.ID, WORKER.NAME)
                .from(WORKER)
                .where(WORKER.LEFT_ON.isNull())
                .orderBy(lower(WORKER.NAME), WORKER.ID)
                .fetch(r -> new Worker(r.value1(), r.value2()));
    }

    void join(String name) {
        int back = db.update(WORKER)
                .set(WORKER.LEFT_ON, (LocalDate) null)
                .where(lower(WORKER.NAME).eq(name.toLowerCase(Locale.ROOT)))
                .execute();
        if (back == 0) {
            db.insertInto(WORKER)
                    .set(WORKER.ID, UUID.randomUUID())
                    .set(WORKER.NAME, name)
                    .execute();
        }
    }

    void leave(UUID id, LocalDate on) {
        db.update(WORKER).set(WORKER.LEFT_ON, on).where(WORKER.ID.eq(id)).execute();
    }

    Optional<MarkKept> mark() {
        return db.selectFrom(PRACTICE_MARK)
                .where(PRACTICE_MARK.ID.eq(THE_ONE))
                .fetchOptional(r -> new MarkKept(r.getMediaType(), r.getPicture(), r.getChangedBy(), r.getChangedAt()));
    }

    void setMark(MarkKept mark) {
        PracticeMarkRecord row = db.newRecord(PRACTICE_MARK);
        row.setId(THE_ONE);
        row.setMediaType(mark.mediaType());
        row.setPicture(mark.picture());
        row.setChangedBy(mark.by());
        row.setChangedAt(mark.at());
        row.merge();
    }

    void dropMark() {
        db.deleteFrom(PRACTICE_MARK).where(PRACTICE_MARK.ID.eq(THE_ONE)).execute();
    }
}

package outfell.server.week;

import static outfell.store.Tables.CHECK_IN;
import static outfell.store.Tables.PAUSE;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import outfell.server.plan.CaseDocument;
import outfell.store.tables.records.CheckInRecord;

/** Check-ins and pauses of clients. */
@Repository
public class CheckInStore {
    /** How a check-in was made. */
    public enum How {
        VISIT,
        TELEPHONE,
        HOME,
        /** the client has tapped it herself */
        CLIENT
    }

    /** A check-in as kept. */
    public record Kept(UUID id, CaseDocument.SaidOfSkin said, How how, String remark, LocalDateTime notedAt) {}

    /** A pause as kept. */
    public record KeptPause(UUID id, CaseDocument.PauseOf pause, String remark, LocalDateTime notedAt) {}

    private final DSLContext db;

    CheckInStore(DSLContext db) {
        this.db = db;
    }

    /** In the order of their days. */
    List<Kept> checkIns(UUID client) {
        return db.selectFrom(CHECK_IN)
                .where(CHECK_IN.CLIENT_ID.eq(client))
                .orderBy(CHECK_IN.ON_DATE)
                .fetch(r -> new Kept(
                        r.getId(),
                        new CaseDocument.SaidOfSkin(
                                r.getOnDate(),
                                r.getSting(),
                                r.getRedness(),
                                r.getFlaking(),
                                r.getSwelling(),
                                r.getSkipped(),
                                seen(r)),
                        How.valueOf(r.getHow()),
                        r.getRemark(),
                        r.getNotedAt()));
    }

    private static CaseDocument.@Nullable Seen seen(CheckInRecord r) {
        return r.getSeenOn() == null ? null : new CaseDocument.Seen(r.getSeenOn(), r.getSeenBy(), r.getSeenSaid());
    }

    /** @return none when there is no such check-in */
    Optional<Kept> checkIn(UUID id) {
        return ofCheckIn(id)
                .flatMap(client ->
                        checkIns(client).stream().filter(k -> k.id().equals(id)).findFirst());
    }

    /** Keeps it in place of another of the same day. */
    void put(UUID client, Kept kept) {
        CaseDocument.SaidOfSkin said = kept.said();
        CaseDocument.@Nullable Seen seen = said.seen();
        db.deleteFrom(CHECK_IN)
                .where(CHECK_IN.CLIENT_ID.eq(client))
                .and(CHECK_IN.ON_DATE.eq(said.on()))
                .execute();
        db.insertInto(CHECK_IN)
                .set(CHECK_IN.ID, kept.id())
                .set(CHECK_IN.CLIENT_ID, client)
                .set(CHECK_IN.ON_DATE, said.on())
                .set(CHECK_IN.HOW, kept.how().name())
                .set(CHECK_IN.STING, said.sting())
                .set(CHECK_IN.REDNESS, said.redness())
                .set(CHECK_IN.FLAKING, said.flaking())
                .set(CHECK_IN.SWELLING, said.swelling())
                .set(CHECK_IN.SKIPPED, said.skipped())
                .set(CHECK_IN.SEEN_ON, seen == null ? null : seen.on())
                .set(CHECK_IN.SEEN_BY, seen == null ? null : seen.by())
                .set(CHECK_IN.SEEN_SAID, seen == null ? null : seen.said())
                .set(CHECK_IN.REMARK, kept.remark())
                .set(CHECK_IN.NOTED_AT, kept.notedAt())
                .execute();
    }

    /** @return whose it was; none when there is no such check-in */
    Optional<UUID> ofCheckIn(UUID id) {
        return db.select(CHECK_IN.CLIENT_ID)
                .from(CHECK_IN)
                .where(CHECK_IN.ID.eq(id))
                .fetchOptional(CHECK_IN.CLIENT_ID);
    }

    void dropCheckIn(UUID id) {
        db.deleteFrom(CHECK_IN).where(CHECK_IN.ID.eq(id)).execute();
    }

    /** In the order of their days. */
    List<KeptPause> pauses(UUID client) {
        return db.selectFrom(PAUSE)
                .where(PAUSE.CLIENT_ID.eq(client))
                .orderBy(PAUSE.FROM_DATE, PAUSE.ID)
                .fetch(r -> new KeptPause(
                        r.getId(),
                        new CaseDocument.PauseOf(r.getKind(), r.getFromDate(), r.getUntilDate(), r.getFigure()),
                        r.getRemark(),
                        r.getNotedAt()));
    }

    void add(UUID client, KeptPause kept) {
        db.insertInto(PAUSE)
                .set(PAUSE.ID, kept.id())
                .set(PAUSE.CLIENT_ID, client)
                .set(PAUSE.KIND, kept.pause().kind())
                .set(PAUSE.FROM_DATE, kept.pause().from())
                .set(PAUSE.UNTIL_DATE, kept.pause().until())
                .set(PAUSE.FIGURE, kept.pause().figure())
                .set(PAUSE.REMARK, kept.remark())
                .set(PAUSE.NOTED_AT, kept.notedAt())
                .execute();
    }

    /** @return whose it was; none when there is no such pause */
    Optional<UUID> ofPause(UUID id) {
        return db.select(PAUSE.CLIENT_ID).from(PAUSE).where(PAUSE.ID.eq(id)).fetchOptional(PAUSE.CLIENT_ID);
    }

    void dropPause(UUID id) {
        db.deleteFrom(PAUSE).where(PAUSE.ID.eq(id)).execute();
    }

    void erase(UUID client) {
        db.deleteFrom(CHECK_IN).where(CHECK_IN.CLIENT_ID.eq(client)).execute();
        db.deleteFrom(PAUSE).where(PAUSE.CLIENT_ID.eq(client)).execute();
    }
}

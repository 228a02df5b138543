package outfell.server.visit;

import static org.jooq.impl.DSL.inline;
import static org.jooq.impl.DSL.lower;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.when;
import static outfell.store.Tables.CLIENT;
import static outfell.store.Tables.DESK_LINE;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import outfell.store.tables.records.ClientRecord;
import outfell.store.tables.records.DeskLineRecord;

/** What the desk shows of each client, written when something of theirs is. */
@Repository
class DeskStore {
    /**
     * One client's line.
     *
     * @param mind what must stay in sight, a word or two each
     * @param fault why the record, or a part of it, cannot be read; empty when it can
     */
    record Line(
            @Nullable UUID lastVisit,
            @Nullable LocalDate lastDate,
            @Nullable LocalDate readDate,
            String skin,
            List<String> mind,
            int plansKept,
            String fault) {
        /** Nothing is reckoned yet. */
        static final Line NONE = new Line(null, null, null, "", List.of(), 0, "");
    }

    /** A client with the line that was written, if one was, and by which rules. */
    record Row(
            UUID client,
            String name,
            String trade,
            String contact,
            @Nullable LocalDateTime nextVisit,
            @Nullable Line line,
            String madeBy) {}

    /**
     * Which clients.
     *
     * @param from first moment of the next visits that are wanted; absent for all clients
     * @param until the moment after the last
     * @param words each must stand in name, trade or contact
     */
    record Which(@Nullable LocalDateTime from, @Nullable LocalDateTime until, List<String> words, boolean archived) {}

    private static final int LONGEST_FAULT = 500;
    private static final String BETWEEN = "\n";

    private final DSLContext db;

    DeskStore(DSLContext db) {
        this.db = db;
    }

    int count(Which which) {
        return db.fetchCount(CLIENT, condition(which));
    }

    /** Those who are booked from today on first, soonest first; then everybody by name. */
    List<Row> rows(Which which, LocalDate today, int skipped, int most) {
        Field<LocalDateTime> booked = when(CLIENT.NEXT_VISIT.ge(today.atStartOfDay()), CLIENT.NEXT_VISIT)
                .otherwise((LocalDateTime) null);
        return db.select(CLIENT.asterisk(), DESK_LINE.asterisk())
                .from(CLIENT)
                .leftJoin(DESK_LINE)
                .on(DESK_LINE.CLIENT_ID.eq(CLIENT.ID))
                .where(condition(which))
                .orderBy(booked.asc().nullsLast(), lower(CLIENT.NAME), CLIENT.ID)
                .offset(skipped)
                .limit(most)
                .fetch(r -> row(r.into(CLIENT), r.get(DESK_LINE.MADE_BY) == null ? null : r.into(DESK_LINE)));
    }

    private static Row row(ClientRecord c, @Nullable DeskLineRecord l) {
        return new Row(
                c.getId(),
                c.getName(),
                c.getTrade(),
                c.getContact(),
                c.getNextVisit(),
                l == null
                        ? null
                        : new Line(
                                l.getLastVisit(),
                                l.getLastDate(),
                                l.getReadDate(),
                                l.getSkin(),
                                l.getMind().isEmpty()
                                        ? List.of()
                                        : List.of(l.getMind().split(BETWEEN)),
                                l.getPlansKept(),
                                l.getFault()),
                l == null ? "" : l.getMadeBy());
    }

    private static Condition condition(Which which) {
        Condition all = which.archived() ? noCondition() : CLIENT.ARCHIVED_ON.isNull();
        if (which.from() != null) {
            all = all.and(CLIENT.NEXT_VISIT.ge(which.from()));
        }
        if (which.until() != null) {
            all = all.and(CLIENT.NEXT_VISIT.lt(which.until()));
        }
        Field<String> text = lower(CLIENT.NAME.concat(inline(" "), CLIENT.TRADE, inline(" "), CLIENT.CONTACT));
        for (String word : which.words()) {
            all = all.and(text.contains(word.toLowerCase(Locale.ROOT)));
        }
        return all;
    }

    /** Writes a client's line in the place of the one before. */
    void put(UUID client, Line line, String madeBy) {
        DeskLineRecord row = db.newRecord(DESK_LINE);
        row.setClientId(client);
        row.setLastVisit(line.lastVisit());
        row.setLastDate(line.lastDate());
        row.setReadDate(line.readDate());
        row.setSkin(line.skin());
        row.setMind(String.join(BETWEEN, line.mind()));
        row.setPlansKept(line.plansKept());
        row.setFault(line.fault().length() > LONGEST_FAULT ? line.fault().substring(0, LONGEST_FAULT) : line.fault());
        row.setMadeBy(madeBy);
        row.merge();
    }

    /** Clients whose line is missing or was made by other rules. */
    List<UUID> stale(String madeBy) {
        return db.select(CLIENT.ID)
                .from(CLIENT)
                .leftJoin(DESK_LINE)
                .on(DESK_LINE.CLIENT_ID.eq(CLIENT.ID))
                .where(DESK_LINE.MADE_BY.isNull().or(DESK_LINE.MADE_BY.ne(madeBy)))
                .orderBy(CLIENT.NEXT_VISIT.desc().nullsLast(), CLIENT.ID)
                .fetch(CLIENT.ID);
    }

    void makeAllStale() {
        makeStale(DESK_LINE.MADE_BY.ne(""));
    }

    /** A line that is not there yet is begun, so that whoever reckons it meanwhile is waited for. */
    void makeStale(UUID client) {
        if (makeStale(DESK_LINE.CLIENT_ID.eq(client)) == 0) {
            put(client, Line.NONE, "");
        }
    }

    private int makeStale(Condition which) {
        return db.update(DESK_LINE).set(DESK_LINE.MADE_BY, "").where(which).execute();
    }

    /** Holds a line until the transaction ends: what is written of its client meanwhile waits, and makes it stale again. */
    void hold(UUID client) {
        boolean none = db.select(DESK_LINE.CLIENT_ID)
                .from(DESK_LINE)
                .where(DESK_LINE.CLIENT_ID.eq(client))
                .forUpdate()
                .fetch()
                .isEmpty();
        if (none) {
            put(client, Line.NONE, "");
        }
    }
}

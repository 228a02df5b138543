package outfell.server.client;

import static outfell.store.Tables.CLIENT;
import static outfell.store.Tables.ERASURE;
import static outfell.store.Tables.PRESCRIBED_NIGHT;
import static outfell.store.Tables.PRODUCT;
import static outfell.store.Tables.SHELF_ITEM;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import outfell.product.ProductId;
import outfell.store.tables.records.ClientRecord;

/** Clients and what stands on their shelves. */
@Repository
public class ClientStore {
    /**
     * A client.
     *
     * @param contact how to reach them; empty when not told
     * @param note what to keep in mind of the person, not of a visit
     * @param nextVisit absent while none is agreed
     * @param archived since when they no longer come; absent while they do
     * @param version counts the changes
     */
    @Schema(name = "Person")
    public record Client(
            UUID id,
            String name,
            String trade,
            String contact,
            String note,
            @Schema(types = {"string", "null"}) @Nullable LocalDateTime nextVisit,
            @Schema(types = {"string", "null"}) @Nullable LocalDate archived,
            LocalDateTime added,
            int version) {}

    /**
     * How she uses a thing now.
     *
     * @param weeks that she has used it, 0 when it is new
     * @param daysAWeek 0 to 7
     * @param opened on which day, when she knows
     * @param left percent of the pack that is left, 0 to 100
     * @param leavesTight of a wash: whether the skin is tight ten minutes after it; absent where nobody asked
     */
    public record Use(
            int weeks,
            boolean morning,
            boolean evening,
            int daysAWeek,
            @Schema(types = {"string", "null"}) @Nullable LocalDate opened,
            int left,
            @Schema(types = {"boolean", "null"}) @Nullable Boolean leavesTight) {
        public static final Use NEW = new Use(0, true, true, 7, null, 100, null);

        public Use after(int otherWeeks) {
            return new Use(otherWeeks, morning, evening, daysAWeek, opened, left, leavesTight);
        }
    }

    /**
     * One thing a client owns.
     *
     * @param version counts the changes of how it is used
     */
    public record ShelfItem(UUID id, ProductId product, Use use, List<DayOfWeek> nights, int version) {
        public ShelfItem(UUID id, ProductId product, Use use, List<DayOfWeek> nights) {
            this(id, product, use, nights, 0);
        }
    }

    private final DSLContext db;

    ClientStore(DSLContext db) {
        this.db = db;
    }

    public boolean isEmpty() {
        return !db.fetchExists(CLIENT);
    }

    public List<UUID> ids() {
        return db.select(CLIENT.ID).from(CLIENT).orderBy(CLIENT.ID).fetch(CLIENT.ID);
    }

    public Optional<Client> find(UUID id) {
        return db.selectFrom(CLIENT).where(CLIENT.ID.eq(id)).fetchOptional(ClientStore::client);
    }

    /** Holds a client until the transaction ends, so that what is begun for one is begun once. */
    public Optional<Client> hold(UUID id) {
        return db.selectFrom(CLIENT).where(CLIENT.ID.eq(id)).forUpdate().fetchOptional(ClientStore::client);
    }

    private static Client client(ClientRecord r) {
        return new Client(
                r.getId(),
                r.getName(),
                r.getTrade(),
                r.getContact(),
                r.getNote(),
                r.getNextVisit(),
                r.getArchivedOn(),
                r.getAddedAt(),
                r.getVersion());
    }

    public void add(Client client) {
        ClientRecord row = db.newRecord(CLIENT);
        row.setId(client.id());
        row.setAddedAt(client.added());
        row.setVersion(client.version());
        write(row, client);
        row.insert();
    }

    /** @return whether the version was still the one that was read; if not, nothing is changed */
    public boolean update(Client client) {
        ClientRecord row = db.newRecord(CLIENT);
        write(row, client);
        row.setVersion(client.version() + 1);
        return db.update(CLIENT)
                        .set(row)
                        .where(CLIENT.ID.eq(client.id()))
                        .and(CLIENT.VERSION.eq(client.version()))
                        .execute()
                == 1;
    }

    private static void write(ClientRecord row, Client client) {
        row.setName(client.name());
        row.setTrade(client.trade());
        row.setContact(client.contact());
        row.setNote(client.note());
        row.setNextVisit(client.nextVisit());
        row.setArchivedOn(client.archived());
    }

    /** What is hers alone; visits, plans and patch tests are taken out by those who keep them. */
    public void erase(UUID client) {
        db.deleteFrom(SHELF_ITEM).where(SHELF_ITEM.CLIENT_ID.eq(client)).execute();
        db.deleteFrom(CLIENT).where(CLIENT.ID.eq(client)).execute();
    }

    /** Notes that a record was erased, without whose. */
    public void noteErasure(LocalDate on, String who) {
        db.insertInto(ERASURE)
                .set(ERASURE.ID, UUID.randomUUID())
                .set(ERASURE.ERASED_ON, on)
                .set(ERASURE.WHO, who)
                .execute();
    }

    public List<ShelfItem> shelf(UUID client) {
        return db.selectFrom(SHELF_ITEM)
                .where(SHELF_ITEM.CLIENT_ID.eq(client))
                .orderBy(SHELF_ITEM.PLACE)
                .fetch(r -> new ShelfItem(
                        r.getId(),
                        new ProductId(r.getProductId()),
                        new Use(
                                r.getWeeksUsed(),
                                r.getMorning(),
                                r.getEvening(),
                                r.getDaysAWeek(),
                                r.getOpenedOn(),
                                r.getPercentLeft(),
                                r.getLeavesTight()),
                        nights(r.getId()),
                        r.getVersion()));
    }

    /** After everything else on the shelf. */
    public void put(UUID client, ShelfItem item) {
        put(client, item, db.fetchCount(SHELF_ITEM, SHELF_ITEM.CLIENT_ID.eq(client)));
    }

    /** The shelf as it is to be, in this order. */
    public void replaceShelf(UUID client, List<ShelfItem> items) {
        db.deleteFrom(SHELF_ITEM).where(SHELF_ITEM.CLIENT_ID.eq(client)).execute();
        for (int i = 0; i < items.size(); i++) {
            ShelfItem item = items.get(i);
            // a window that still shows the shelf of before must not overwrite it
            put(client, new ShelfItem(item.id(), item.product(), item.use(), item.nights(), item.version() + 1), i);
        }
    }

    private void put(UUID client, ShelfItem item, int place) {
        Use use = item.use();
        db.insertInto(SHELF_ITEM)
                .set(SHELF_ITEM.ID, item.id())
                .set(SHELF_ITEM.CLIENT_ID, client)
                .set(SHELF_ITEM.PRODUCT_ID, item.product().value())
                .set(SHELF_ITEM.WEEKS_USED, use.weeks())
                .set(SHELF_ITEM.MORNING, use.morning())
                .set(SHELF_ITEM.EVENING, use.evening())
                .set(SHELF_ITEM.DAYS_A_WEEK, use.daysAWeek())
                .set(SHELF_ITEM.OPENED_ON, use.opened())
                .set(SHELF_ITEM.PERCENT_LEFT, use.left())
                .set(SHELF_ITEM.LEAVES_TIGHT, use.leavesTight())
                .set(SHELF_ITEM.PLACE, place)
                .set(SHELF_ITEM.VERSION, item.version())
                .execute();
        putNights(item);
    }

    private void putNights(ShelfItem item) {
        for (DayOfWeek night : item.nights()) {
            db.insertInto(PRESCRIBED_NIGHT)
                    .set(PRESCRIBED_NIGHT.SHELF_ITEM_ID, item.id())
                    .set(PRESCRIBED_NIGHT.WEEKDAY, night.name())
                    .execute();
        }
    }

    /** @return whether the version was still the one that was read; if not, nothing is changed */
    public boolean change(UUID client, ShelfItem item) {
        Use use = item.use();
        boolean current = db.update(SHELF_ITEM)
                        .set(SHELF_ITEM.WEEKS_USED, use.weeks())
                        .set(SHELF_ITEM.MORNING, use.morning())
                        .set(SHELF_ITEM.EVENING, use.evening())
                        .set(SHELF_ITEM.DAYS_A_WEEK, use.daysAWeek())
                        .set(SHELF_ITEM.OPENED_ON, use.opened())
                        .set(SHELF_ITEM.PERCENT_LEFT, use.left())
                        .set(SHELF_ITEM.LEAVES_TIGHT, use.leavesTight())
                        .set(SHELF_ITEM.VERSION, item.version() + 1)
                        .where(SHELF_ITEM.CLIENT_ID.eq(client))
                        .and(SHELF_ITEM.ID.eq(item.id()))
                        .and(SHELF_ITEM.VERSION.eq(item.version()))
                        .execute()
                == 1;
        if (current) {
            db.deleteFrom(PRESCRIBED_NIGHT)
                    .where(PRESCRIBED_NIGHT.SHELF_ITEM_ID.eq(item.id()))
                    .execute();
            putNights(item);
        }
        return current;
    }

    /** Products on the shelves of other clients that the house does not sell; whose they are is not told. */
    public List<ProductId> ownedByOthers(UUID client) {
        return db.selectDistinct(PRODUCT.ID, PRODUCT.NAME)
                .from(SHELF_ITEM)
                .join(PRODUCT)
                .on(PRODUCT.ID.eq(SHELF_ITEM.PRODUCT_ID))
                .where(SHELF_ITEM.CLIENT_ID.ne(client))
                .and(PRODUCT.HOUSE.isFalse())
                .and(PRODUCT.PRESCRIPTION.isFalse())
                .orderBy(PRODUCT.NAME, PRODUCT.ID)
                .fetch(r -> new ProductId(r.value1()));
    }

    public void takeOff(UUID client, UUID item) {
        db.deleteFrom(SHELF_ITEM)
                .where(SHELF_ITEM.CLIENT_ID.eq(client))
                .and(SHELF_ITEM.ID.eq(item))
                .execute();
    }

    private List<DayOfWeek> nights(UUID item) {
        return db
                .select(PRESCRIBED_NIGHT.WEEKDAY)
                .from(PRESCRIBED_NIGHT)
                .where(PRESCRIBED_NIGHT.SHELF_ITEM_ID.eq(item))
                .fetch(r -> DayOfWeek.valueOf(r.value1()))
                .stream()
                .sorted()
                .toList();
    }
}

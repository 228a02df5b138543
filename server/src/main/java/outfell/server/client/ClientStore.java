package outfell.server.client;

import static outfell.store.Tables.CLIENT;
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

/** Clients and what stands on their shelves. */
@Repository
public class ClientStore {
    /** A client; the time of the next visit is absent while none is agreed. */
    public record Client(
            UUID id, String name, String trade, @Nullable LocalDateTime nextVisit) {}

    /**
     * How she uses a thing now.
     *
     * @param weeks that she has used it, 0 when it is new
     * @param daysAWeek 0 to 7
     * @param opened on which day, when she knows
     * @param left percent of the pack that is left, 0 to 100
     */
    public record Use(
            int weeks,
            boolean morning,
            boolean evening,
            int daysAWeek,
            @Schema(types = {"string", "null"}) @Nullable LocalDate opened,
            int left) {
        public static final Use NEW = new Use(0, true, true, 7, null, 100);

        public Use after(int otherWeeks) {
            return new Use(otherWeeks, morning, evening, daysAWeek, opened, left);
        }
    }

    /** One thing she owns. */
    public record ShelfItem(UUID id, ProductId product, Use use, List<DayOfWeek> nights) {}

    private final DSLContext db;

    ClientStore(DSLContext db) {
        this.db = db;
    }

    public List<Client> all() {
        return db.select(CLIENT.ID, CLIENT.NAME, CLIENT.TRADE, CLIENT.NEXT_VISIT)
                .from(CLIENT)
                .orderBy(CLIENT.NEXT_VISIT.asc().nullsLast(), CLIENT.NAME, CLIENT.ID)
                .fetch(r -> new Client(r.value1(), r.value2(), r.value3(), r.value4()));
    }

    public Optional<Client> find(UUID id) {
        return db.select(CLIENT.ID, CLIENT.NAME, CLIENT.TRADE, CLIENT.NEXT_VISIT)
                .from(CLIENT)
                .where(CLIENT.ID.eq(id))
                .fetchOptional(r -> new Client(r.value1(), r.value2(), r.value3(), r.value4()));
    }

    public void add(Client client, LocalDateTime now) {
        db.insertInto(CLIENT)
                .set(CLIENT.ID, client.id())
                .set(CLIENT.NAME, client.name())
                .set(CLIENT.TRADE, client.trade())
                .set(CLIENT.NEXT_VISIT, client.nextVisit())
                .set(CLIENT.ADDED_AT, now)
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
                                r.getPercentLeft()),
                        nights(r.getId())));
    }

    public UUID put(UUID client, ProductId product, Use use, List<DayOfWeek> nights) {
        ShelfItem item = new ShelfItem(UUID.randomUUID(), product, use, nights);
        put(client, item, db.fetchCount(SHELF_ITEM, SHELF_ITEM.CLIENT_ID.eq(client)));
        return item.id();
    }

    /** The shelf as it is to be, in this order. */
    public void replaceShelf(UUID client, List<ShelfItem> items) {
        db.deleteFrom(SHELF_ITEM).where(SHELF_ITEM.CLIENT_ID.eq(client)).execute();
        for (int i = 0; i < items.size(); i++) {
            put(client, items.get(i), i);
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
                .set(SHELF_ITEM.PLACE, place)
                .execute();
        for (DayOfWeek night : item.nights()) {
            db.insertInto(PRESCRIBED_NIGHT)
                    .set(PRESCRIBED_NIGHT.SHELF_ITEM_ID, item.id())
                    .set(PRESCRIBED_NIGHT.WEEKDAY, night.name())
                    .execute();
        }
    }

    /** @return whether there was such an item */
    public boolean change(UUID client, UUID item, Use use) {
        return db.update(SHELF_ITEM)
                        .set(SHELF_ITEM.WEEKS_USED, use.weeks())
                        .set(SHELF_ITEM.MORNING, use.morning())
                        .set(SHELF_ITEM.EVENING, use.evening())
                        .set(SHELF_ITEM.DAYS_A_WEEK, use.daysAWeek())
                        .set(SHELF_ITEM.OPENED_ON, use.opened())
                        .set(SHELF_ITEM.PERCENT_LEFT, use.left())
                        .where(SHELF_ITEM.CLIENT_ID.eq(client))
                        .and(SHELF_ITEM.ID.eq(item))
                        .execute()
                == 1;
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

    /** @return whether there was such an item */
    public boolean takeOff(UUID client, UUID item) {
        return db.deleteFrom(SHELF_ITEM)
                        .where(SHELF_ITEM.CLIENT_ID.eq(client))
                        .and(SHELF_ITEM.ID.eq(item))
                        .execute()
                == 1;
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

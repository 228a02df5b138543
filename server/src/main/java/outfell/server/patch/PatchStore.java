package outfell.server.patch;

import static outfell.store.Tables.CLIENT;
import static outfell.store.Tables.PATCH_READING;
import static outfell.store.Tables.PATCH_TEST;
import static outfell.store.Tables.PATCH_WAIVER;
import static outfell.store.Tables.PRODUCT;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import outfell.product.ProductId;
import outfell.safety.PatchTest;
import outfell.store.tables.records.PatchTestRecord;

/** Patch tests with their readings, and waivers. */
@Repository
class PatchStore {
    /** A test as kept. */
    record Test(
            UUID id, UUID client, ProductId product, PatchTest.Kind kind, PatchTest.Site site, LocalDateTime started) {}

    /** A test that waits for its next reading. */
    record Open(UUID client, String clientName, UUID test, String product, LocalDateTime due) {}

    /** A reading as kept. */
    record Reading(UUID id, int grade, LocalDateTime at, String remark) {}

    /** A test done without. */
    record Waiver(ProductId product, String who, String why, LocalDate on) {}

    private final DSLContext db;

    PatchStore(DSLContext db) {
        this.db = db;
    }

    /** Newest first. */
    List<Test> tests(UUID client) {
        return db.selectFrom(PATCH_TEST)
                .where(PATCH_TEST.CLIENT_ID.eq(client))
                .orderBy(PATCH_TEST.STARTED_AT.desc(), PATCH_TEST.ID)
                .fetch(PatchStore::test);
    }

    /** Tests whose next reading nobody has reckoned yet: those of before it was kept. */
    List<Test> unreckoned() {
        return db.selectFrom(PATCH_TEST)
                .where(PATCH_TEST.DUE_KNOWN.isFalse())
                .orderBy(PATCH_TEST.STARTED_AT, PATCH_TEST.ID)
                .fetch(PatchStore::test);
    }

    /** @param due when it is to be read next; absent when it is read to its end */
    void setDue(UUID test, @Nullable LocalDateTime due) {
        db.update(PATCH_TEST)
                .set(PATCH_TEST.DUE_AT, due)
                .set(PATCH_TEST.DUE_KNOWN, true)
                .where(PATCH_TEST.ID.eq(test))
                .execute();
    }

    /** Open tests of clients who still come, the next reading soonest first. */
    List<Open> open() {
        return db.select(PATCH_TEST.CLIENT_ID, CLIENT.NAME, PATCH_TEST.ID, PRODUCT.NAME, PATCH_TEST.DUE_AT)
                .from(PATCH_TEST)
                .join(CLIENT)
                .on(CLIENT.ID.eq(PATCH_TEST.CLIENT_ID))
                .join(PRODUCT)
                .on(PRODUCT.ID.eq(PATCH_TEST.PRODUCT_ID))
                .where(PATCH_TEST.DUE_AT.isNotNull())
                .and(CLIENT.ARCHIVED_ON.isNull())
                .orderBy(PATCH_TEST.DUE_AT, PATCH_TEST.ID)
                .fetch(r -> new Open(r.value1(), r.value2(), r.value3(), r.value4(), r.value5()));
    }

    /** Takes out everything of a client's for good. */
    void erase(UUID client) {
        db.deleteFrom(PATCH_TEST).where(PATCH_TEST.CLIENT_ID.eq(client)).execute();
        db.deleteFrom(PATCH_WAIVER).where(PATCH_WAIVER.CLIENT_ID.eq(client)).execute();
    }

    Optional<Test> test(UUID id) {
        return db.selectFrom(PATCH_TEST).where(PATCH_TEST.ID.eq(id)).fetchOptional(PatchStore::test);
    }

    void add(Test test) {
        db.insertInto(PATCH_TEST)
                .set(PATCH_TEST.ID, test.id())
                .set(PATCH_TEST.CLIENT_ID, test.client())
                .set(PATCH_TEST.PRODUCT_ID, test.product().value())
                .set(PATCH_TEST.KIND, test.kind().name())
                .set(PATCH_TEST.SITE, test.site().name())
                .set(PATCH_TEST.STARTED_AT, test.started())
                .execute();
    }

    void drop(UUID test) {
        db.deleteFrom(PATCH_TEST).where(PATCH_TEST.ID.eq(test)).execute();
    }

    /** In the order read. */
    List<Reading> readings(UUID test) {
        return db.selectFrom(PATCH_READING)
                .where(PATCH_READING.PATCH_TEST_ID.eq(test))
                .orderBy(PATCH_READING.READ_AT, PATCH_READING.ID)
                .fetch(r -> new Reading(r.getId(), r.getGrade(), r.getReadAt(), r.getRemark()));
    }

    void add(UUID test, Reading reading) {
        db.insertInto(PATCH_READING)
                .set(PATCH_READING.ID, reading.id())
                .set(PATCH_READING.PATCH_TEST_ID, test)
                .set(PATCH_READING.GRADE, reading.grade())
                .set(PATCH_READING.READ_AT, reading.at())
                .set(PATCH_READING.REMARK, reading.remark())
                .execute();
    }

    /** @return whether there was such a reading */
    boolean takeBack(UUID test, UUID reading) {
        return db.deleteFrom(PATCH_READING)
                        .where(PATCH_READING.ID.eq(reading))
                        .and(PATCH_READING.PATCH_TEST_ID.eq(test))
                        .execute()
                == 1;
    }

    List<Waiver> waivers(UUID client) {
        return db.selectFrom(PATCH_WAIVER)
                .where(PATCH_WAIVER.CLIENT_ID.eq(client))
                .orderBy(PATCH_WAIVER.PRODUCT_ID)
                .fetch(r -> new Waiver(new ProductId(r.getProductId()), r.getWho(), r.getWhy(), r.getWaivedOn()));
    }

    void waive(UUID client, Waiver waiver) {
        unwaive(client, waiver.product());
        db.insertInto(PATCH_WAIVER)
                .set(PATCH_WAIVER.CLIENT_ID, client)
                .set(PATCH_WAIVER.PRODUCT_ID, waiver.product().value())
                .set(PATCH_WAIVER.WHO, waiver.who())
                .set(PATCH_WAIVER.WHY, waiver.why())
                .set(PATCH_WAIVER.WAIVED_ON, waiver.on())
                .execute();
    }

    void unwaive(UUID client, ProductId product) {
        db.deleteFrom(PATCH_WAIVER)
                .where(PATCH_WAIVER.CLIENT_ID.eq(client))
                .and(PATCH_WAIVER.PRODUCT_ID.eq(product.value()))
                .execute();
    }

    private static Test test(PatchTestRecord r) {
        return new Test(
                r.getId(),
                r.getClientId(),
                new ProductId(r.getProductId()),
                PatchTest.Kind.valueOf(r.getKind()),
                PatchTest.Site.valueOf(r.getSite()),
                r.getStartedAt());
    }
}

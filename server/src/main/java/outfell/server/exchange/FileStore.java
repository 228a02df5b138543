package outfell.server.exchange;

import static outfell.store.Tables.TAKEN_FILE;
import static outfell.store.Tables.TAKEN_PRODUCT;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import outfell.store.tables.records.TakenProductRecord;

/** Files that were taken in, with what they found and what they left, each as text. */
@Repository
class FileStore {
    /**
     * A file taken in.
     *
     * @param client whose shelf it was; absent for the catalogue
     */
    record TakenFile(
            UUID id,
            What what,
            @Schema(types = {"string", "null"}) @Nullable UUID client,
            String file,
            int added,
            int changed,
            String who,
            LocalDateTime at,
            @Schema(types = {"string", "null"}) @Nullable String undoneBy,
            @Schema(types = {"string", "null"}) @Nullable LocalDateTime undoneAt) {}

    /** @param was absent where the file brought the product */
    record TakenProduct(String id, @Nullable String was, String leftAs) {}

    /** A shelf before and after a file. */
    record TakenShelf(String before, String after) {}

    private final DSLContext db;

    FileStore(DSLContext db) {
        this.db = db;
    }

    void add(TakenFile file, List<TakenProduct> products, @Nullable TakenShelf shelf) {
        db.insertInto(TAKEN_FILE)
                .set(TAKEN_FILE.ID, file.id())
                .set(TAKEN_FILE.WHAT, file.what().name())
                .set(TAKEN_FILE.CLIENT_ID, file.client())
                .set(TAKEN_FILE.FILE_NAME, file.file())
                .set(TAKEN_FILE.ADDED, file.added())
                .set(TAKEN_FILE.CHANGED, file.changed())
                .set(TAKEN_FILE.TAKEN_BY, file.who())
                .set(TAKEN_FILE.TAKEN_AT, file.at())
                .set(TAKEN_FILE.SHELF_BEFORE, shelf == null ? null : shelf.before())
                .set(TAKEN_FILE.SHELF_AFTER, shelf == null ? null : shelf.after())
                .execute();
        db.batchInsert(products.stream().map(p -> row(file.id(), p)).toList()).execute();
    }

    private TakenProductRecord row(UUID file, TakenProduct p) {
        TakenProductRecord row = db.newRecord(TAKEN_PRODUCT);
        row.setFileId(file);
        row.setProductId(p.id());
        row.setWas(p.was());
        row.setLeftAs(p.leftAs());
        return row;
    }

    Optional<TakenFile> find(UUID id) {
        return db.selectFrom(TAKEN_FILE).where(TAKEN_FILE.ID.eq(id)).fetchOptional(FileStore::file);
    }

    /** Newest first. */
    List<TakenFile> of(What what, @Nullable UUID client) {
        return db.selectFrom(TAKEN_FILE)
                .where(TAKEN_FILE.WHAT.eq(what.name()))
                .and(client == null ? TAKEN_FILE.CLIENT_ID.isNull() : TAKEN_FILE.CLIENT_ID.eq(client))
                .orderBy(TAKEN_FILE.TAKEN_AT.desc(), TAKEN_FILE.ID)
                .fetch(FileStore::file);
    }

    List<TakenProduct> products(UUID file) {
        return db.selectFrom(TAKEN_PRODUCT)
                .where(TAKEN_PRODUCT.FILE_ID.eq(file))
                .orderBy(TAKEN_PRODUCT.PRODUCT_ID)
                .fetch(r -> new TakenProduct(r.getProductId(), r.getWas(), r.getLeftAs()));
    }

    Optional<TakenShelf> shelf(UUID file) {
        return db.selectFrom(TAKEN_FILE)
                .where(TAKEN_FILE.ID.eq(file))
                .and(TAKEN_FILE.SHELF_BEFORE.isNotNull())
                .fetchOptional(r -> new TakenShelf(r.getShelfBefore(), r.getShelfAfter()));
    }

    void undone(UUID file, String who, LocalDateTime at) {
        db.update(TAKEN_FILE)
                .set(TAKEN_FILE.UNDONE_BY, who)
                .set(TAKEN_FILE.UNDONE_AT, at)
                .where(TAKEN_FILE.ID.eq(file))
                .execute();
    }

    private static TakenFile file(org.jooq.Record r) {
        return new TakenFile(
                r.get(TAKEN_FILE.ID),
                What.valueOf(r.get(TAKEN_FILE.WHAT)),
                r.get(TAKEN_FILE.CLIENT_ID),
                r.get(TAKEN_FILE.FILE_NAME),
                r.get(TAKEN_FILE.ADDED),
                r.get(TAKEN_FILE.CHANGED),
                r.get(TAKEN_FILE.TAKEN_BY),
                r.get(TAKEN_FILE.TAKEN_AT),
                r.get(TAKEN_FILE.UNDONE_BY),
                r.get(TAKEN_FILE.UNDONE_AT));
    }
}

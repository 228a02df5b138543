package outfell.server.catalogue;

import static outfell.store.Tables.OWN_INGREDIENT;

import java.math.BigDecimal;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Repository;
import outfell.product.OwnIngredients;
import outfell.product.Tag;
import outfell.store.tables.records.OwnIngredientRecord;

/** What the practice has said of ingredients, with every saying that there ever was. */
@Repository
class OwnIngredientStore {
    /** @param withdrawn whether the saying was that the table holds again */
    record Said(OwnIngredients.Row row, int nth, boolean withdrawn, LocalDateTime at) {}

    private static final Logger LOG = LoggerFactory.getLogger(OwnIngredientStore.class);

    private final DSLContext db;

    OwnIngredientStore(DSLContext db) {
        this.db = db;
    }

    /** The newest of each name, by name; withdrawn ones among them. */
    List<Said> all() {
        Map<String, Said> newest = new LinkedHashMap<>();
        db.selectFrom(OWN_INGREDIENT)
                .orderBy(OWN_INGREDIENT.NAME_KEY, OWN_INGREDIENT.NTH)
                .forEach(r -> {
                    newest.remove(r.getNameKey());
                    try {
                        newest.put(r.getNameKey(), said(r));
                    } catch (IllegalArgumentException noLonger) {
                        // a later table may speak against it; one saying is not every label
                        LOG.warn("What the practice says of {} cannot be: {}", r.getPrinted(), noLonger.getMessage());
                    }
                });
        return List.copyOf(newest.values());
    }

    int count(String name) {
        return db.fetchCount(OWN_INGREDIENT, OWN_INGREDIENT.NAME_KEY.eq(OwnIngredients.key(name)));
    }

    /** @return whether the name had been spoken of so often still; if not, nothing is changed */
    boolean add(OwnIngredients.Row row, int nth, boolean withdrawn, LocalDateTime at) {
        if (count(row.name()) != nth) {
            return false;
        }
        OwnIngredientRecord r = db.newRecord(OWN_INGREDIENT);
        r.setId(UUID.randomUUID());
        r.setNameKey(OwnIngredients.key(row.name()));
        r.setNth(nth);
        r.setPrinted(row.name());
        r.setCommon(row.common());
        r.setTags(row.tags().stream().map(Tag::name).sorted().collect(Collectors.joining(" ")));
        r.setLow(decimal(row.low()));
        r.setHigh(decimal(row.high()));
        r.setIrritancy(row.irritancy().orElse(null));
        r.setWhy(row.why());
        r.setWithdrawn(withdrawn);
        r.setChangedBy(row.who());
        r.setChangedAt(at);
        try {
            r.insert();
            return true;
        } catch (DuplicateKeyException atOnce) {
            return false;
        }
    }

    private static @Nullable BigDecimal decimal(OptionalDouble x) {
        return x.isPresent() ? BigDecimal.valueOf(x.getAsDouble()) : null;
    }

    private static OptionalDouble number(@Nullable BigDecimal x) {
        return x == null ? OptionalDouble.empty() : OptionalDouble.of(x.doubleValue());
    }

    private static Said said(OwnIngredientRecord r) {
        return new Said(
                new OwnIngredients.Row(
                        r.getPrinted(),
                        r.getCommon(),
                        tags(r.getTags()),
                        number(r.getLow()),
                        number(r.getHigh()),
                        Optional.ofNullable(r.getIrritancy()),
                        r.getWhy(),
                        r.getChangedBy(),
                        r.getChangedAt().toLocalDate()),
                r.getNth(),
                r.getWithdrawn(),
                r.getChangedAt());
    }

    /** A kind that a later version no longer has is left out. */
    private static Set<Tag> tags(String text) {
        Set<Tag> tags = EnumSet.noneOf(Tag.class);
        Arrays.stream(Tag.values())
                .filter(t -> Arrays.asList(text.split(" ")).contains(t.name()))
                .forEach(tags::add);
        return tags;
    }
}

package outfell.server.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.server.catalogue.Catalogue;
import outfell.server.catalogue.ProductStore;
import outfell.server.catalogue.ProductStore.Stored;
import outfell.server.client.ClientStore;
import outfell.server.client.ClientStore.ShelfItem;
import outfell.server.exchange.Remark.Code;

/** What a file would make of what there is; nothing is written here. */
final class Merge {
    /**
     * A product that the file brings or changes.
     *
     * @param line where the file says it
     * @param before absent for a new one
     */
    record Change(int line, @Nullable Stored before, Stored after) {
        /** What differs, in words; "new" for a new one. */
        List<String> what() {
            if (before == null) {
                return List.of("new");
            }
            Product.Facts a = before.facts();
            Product.Facts b = after.facts();
            List<String> all = new ArrayList<>();
            add(all, "name", a.name(), b.name());
            add(all, "maker", a.maker(), b.maker());
            add(all, "size", a.size() + a.unit(), b.size() + b.unit());
            add(all, "price", a.price(), b.price());
            add(all, "kind", a.kind(), b.kind());
            add(all, "texture", a.texture(), b.texture());
            add(all, "prescription", a.prescription(), b.prescription());
            add(all, "formula", a.label(), b.label());
            add(all, after.retiredOn() == null ? "brought back" : "retired", before.retiredOn(), after.retiredOn());
            return all;
        }

        private static void add(List<String> all, String word, @Nullable Object a, @Nullable Object b) {
            if (!Objects.equals(a, b)) {
                all.add(word);
            }
        }
    }

    /**
     * The outcome.
     *
     * @param shelf as it would be; null for a catalogue
     * @param shelfChanged how many things on it are used otherwise than before
     */
    record Outcome(
            List<Change> changes,
            int same,
            @Nullable List<ShelfItem> shelf,
            int shelfAdded,
            int shelfChanged,
            List<Remark> remarks) {}

    private final Map<String, Stored> byId = new HashMap<>();
    private final Map<String, Stored> byName = new HashMap<>();
    private final ProductStore.Ids ids;
    private final List<Remark> remarks = new ArrayList<>();

    private Merge(List<Stored> all, List<Row> rows) {
        Set<String> taken = new HashSet<>();
        for (Stored s : all) {
            byId.put(s.facts().id().value(), s);
            taken.add(s.facts().id().value());
        }
        // what the house sells comes before what only a client owns, and the first by id before the others
        for (boolean house : new boolean[] {true, false}) {
            all.stream()
                    .filter(s -> s.house() == house)
                    .forEach(s ->
                            byName.putIfAbsent(key(s.facts().name(), s.facts().maker()), s));
        }
        rows.forEach(r -> taken.add(r.id()));
        ids = new ProductStore.Ids(taken);
    }

    static Outcome catalogue(List<Stored> all, List<Row> rows) {
        Merge merge = new Merge(all, rows);
        List<Change> changes = new ArrayList<>();
        Map<String, Integer> met = new HashMap<>();
        int same = 0;
        for (Row row : rows) {
            Stored before = merge.match(row, true);
            if (before != null && !before.house()) {
                merge.fault(
                        row,
                        "id",
                        Code.NOT_OF_THE_HOUSE,
                        "%s stands on clients' shelves only; leave the id empty to sell it here too."
                                .formatted(before.facts().name()));
                continue;
            }
            ProductId id = before == null ? merge.newId(row) : before.facts().id();
            Integer earlier = met.putIfAbsent(
                    before == null && row.id().isEmpty()
                            ? key(row.form().name(), row.form().maker())
                            : id.value(),
                    row.line());
            if (earlier != null) {
                merge.fault(
                        row,
                        "name",
                        Code.TWICE_IN_FILE,
                        "%s of the same maker stands at %d already."
                                .formatted(row.form().name(), earlier));
                continue;
            }
            Stored after = before == null
                    ? new Stored(row.form().facts(id), 1, row.retired(), true)
                    : Catalogue.becomes(
                            before,
                            merged(before.facts(), row),
                            row.given().contains("retired") ? row.retired() : before.retiredOn());
            if (after.equals(before)) {
                same++;
            } else {
                changes.add(new Change(row.line(), before, after));
            }
        }
        return new Outcome(changes, same, null, 0, 0, merge.remarks);
    }

    static Outcome shelf(List<Stored> all, List<ShelfItem> shelf, List<Row> rows) {
        Merge merge = new Merge(all, rows);
        List<Change> changes = new ArrayList<>();
        List<ShelfItem> after = new ArrayList<>(shelf);
        Set<String> met = new HashSet<>();
        int added = 0;
        int changed = 0;
        int same = 0;
        for (Row row : rows) {
            Stored known = merge.match(row, false);
            ProductId id = known == null ? merge.newId(row) : known.facts().id();
            if (!met.add(known == null ? key(row.form().name(), row.form().maker()) : id.value())) {
                merge.fault(
                        row,
                        "name",
                        Code.TWICE_IN_FILE,
                        "%s stands in the file twice.".formatted(row.form().name()));
                continue;
            }
            if (known == null) {
                changes.add(new Change(row.line(), null, new Stored(row.form().facts(id), 1, null, false)));
            } else if (!merged(known.facts(), row).equals(known.facts())) {
                merge.fault(
                        row,
                        "",
                        Code.OURS_KEPT,
                        "%s is known here with other facts; those stay. Change the product on its own page."
                                .formatted(known.facts().name()));
            }
            Optional<ShelfItem> stands =
                    after.stream().filter(i -> i.product().equals(id)).findFirst();
            if (stands.isEmpty()) {
                after.add(new ShelfItem(UUID.randomUUID(), id, row.use(), row.nights()));
                added++;
            } else {
                ShelfItem now = new ShelfItem(
                        stands.get().id(),
                        id,
                        used(stands.get().use(), row),
                        row.given().contains("nights")
                                ? row.nights()
                                : stands.get().nights(),
                        stands.get().version());
                if (now.equals(stands.get())) {
                    same++;
                } else {
                    after.set(after.indexOf(stands.get()), now);
                    changed++;
                }
            }
        }
        return new Outcome(changes, same, after, added, changed, merge.remarks);
    }

    private @Nullable Stored match(Row row, boolean catalogue) {
        if (!row.id().isEmpty()) {
            return byId.get(row.id());
        }
        Stored found = byName.get(key(row.form().name(), row.form().maker()));
        return catalogue && found != null && !found.house() ? null : found;
    }

    private ProductId newId(Row row) {
        return row.id().isEmpty() ? ids.next(row.form().name()) : new ProductId(row.id());
    }

    private static Product.Facts merged(Product.Facts before, Row row) {
        Product.Facts file = row.form().facts(before.id());
        Set<String> given = row.given();
        boolean size = given.contains("size");
        Product.Facts merged = new Product.Facts(
                before.id(),
                file.name().strip(),
                given.contains("maker") ? file.maker().strip() : before.maker(),
                size ? file.size() : before.size(),
                size && given.contains("unit") ? file.unit() : before.unit(),
                given.contains("price") ? file.price() : before.price(),
                given.contains("ingredients") && !plain(file.label()).equals(plain(before.label()))
                        ? file.label()
                        : before.label(),
                given.contains("kind") ? file.kind() : before.kind(),
                given.contains("texture") ? file.texture() : before.texture(),
                given.contains("prescription") ? file.prescription() : before.prescription());
        return before.home().map(merged::madeAtHome).orElse(merged);
    }

    private static ClientStore.Use used(ClientStore.Use before, Row row) {
        ClientStore.Use file = row.use();
        Set<String> given = row.given();
        return new ClientStore.Use(
                given.contains("weeks") ? file.weeks() : before.weeks(),
                given.contains("morning") ? file.morning() : before.morning(),
                given.contains("evening") ? file.evening() : before.evening(),
                given.contains("days_a_week") ? file.daysAWeek() : before.daysAWeek(),
                given.contains("opened") ? file.opened() : before.opened(),
                given.contains("left") ? file.left() : before.left(),
                given.contains("leaves_tight") ? file.leavesTight() : before.leavesTight());
    }

    /** Line ends and outer blanks are changed by spreadsheets and mean nothing. */
    private static String plain(String label) {
        return label.replace("\r\n", "\n").strip();
    }

    private static String key(String name, String maker) {
        return name.strip().toLowerCase(Locale.ROOT) + "\n" + maker.strip().toLowerCase(Locale.ROOT);
    }

    private void fault(Row row, String column, Code code, String sentence) {
        remarks.add(new Remark(row.line(), column, code, sentence));
    }
}

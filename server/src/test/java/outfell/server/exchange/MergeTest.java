package outfell.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.server.catalogue.ProductForm;
import outfell.server.catalogue.ProductStore.Stored;
import outfell.server.client.ClientStore;
import outfell.server.client.ClientStore.ShelfItem;
import outfell.server.exchange.Remark.Code;
import tools.jackson.databind.json.JsonMapper;

class MergeTest {
    private static final Set<String> EVERY = Set.of(
            "id",
            "name",
            "maker",
            "size",
            "unit",
            "price",
            "kind",
            "texture",
            "prescription",
            "ingredients",
            "retired");
    private static final Stored CREAM = stored("cream", "Cream", "Aqua, Glycerin", 12, true);
    private static final Stored OWNED = stored("kiosk-soap", "Kiosk soap", "Sodium Palmate", 0, false);

    @Test
    void a_product_is_known_by_its_id_else_by_name_and_maker_in_any_case() {
        assertThat(catalogue(row("cream", "Renamed", 12)).changes())
                .singleElement()
                .satisfies(c -> assertThat(c.what()).containsExactly("name"));
        assertThat(catalogue(row("", "CREAM", 13)).changes())
                .singleElement()
                .satisfies(c -> assertThat(c.what()).containsExactly("name", "price"));
        assertThat(catalogue(row("", "Other cream", 12)).changes())
                .singleElement()
                .satisfies(c -> {
                    assertThat(c.what()).containsExactly("new");
                    assertThat(c.after().facts().id()).isEqualTo(new ProductId("other-cream"));
                });
    }

    @Test
    void another_list_counts_the_formula_and_another_line_end_does_not() {
        assertThat(catalogue(row("cream", "Cream", 12, "Aqua, Glycerin, Squalane"))
                        .changes()
                        .getFirst()
                        .after()
                        .formula())
                .isEqualTo(2);
        assertThat(catalogue(row("cream", "Cream", 12, "Aqua, Glycerin\r\n")).same())
                .isEqualTo(1);
    }

    @Test
    void columns_that_are_not_there_change_nothing() {
        Row bare = new Row(2, "", form("Cream", 0, ""), null, ClientStore.Use.NEW, List.of(), Set.of("name", "maker"));
        assertThat(catalogue(bare).same()).isEqualTo(1);
    }

    @Test
    void what_only_a_client_owns_is_no_product_of_the_house() {
        assertThat(catalogue(row("kiosk-soap", "Kiosk soap", 3)).remarks())
                .extracting(Remark::code)
                .containsExactly(Code.NOT_OF_THE_HOUSE);
        // by its name alone the house may begin to sell it
        assertThat(catalogue(row("", "Kiosk soap", 3))
                        .changes()
                        .getFirst()
                        .after()
                        .facts()
                        .id())
                .isEqualTo(new ProductId("kiosk-soap-2"));
    }

    @Test
    void a_shelf_changes_no_product_that_is_known() {
        Merge.Outcome outcome = Merge.shelf(
                List.of(CREAM, OWNED), List.of(), List.of(row("cream", "Cream", 99), row("", "Kiosk soap", 0)));
        assertThat(outcome.changes()).isEmpty();
        assertThat(outcome.shelfAdded()).isEqualTo(2);
        assertThat(outcome.remarks()).extracting(Remark::code).contains(Code.OURS_KEPT);
        List<ShelfItem> after = java.util.Objects.requireNonNull(outcome.shelf());
        Merge.Outcome again = Merge.shelf(List.of(CREAM, OWNED), after, List.of(row("cream", "Cream", 99)));
        assertThat(again.same()).isEqualTo(1);
        assertThat(again.shelfAdded() + again.shelfChanged()).isZero();
    }

    @Test
    void a_file_taken_in_once_brings_nothing_the_second_time_in_whatever_order() {
        Random random = new Random(17);
        for (int i = 0; i < 200; i++) {
            List<Row> rows = new ArrayList<>();
            for (int k = 0; k < 1 + random.nextInt(12); k++) {
                rows.add(row(random.nextInt(4) == 0 ? "own-" + k : "", "Product " + k, random.nextInt(40)));
            }
            List<Stored> shelf = new ArrayList<>(List.of(CREAM, OWNED));
            Merge.catalogue(shelf, rows).changes().forEach(c -> shelf.add(c.after()));
            assertThat(shelf.stream().map(s -> s.facts().id()).distinct()).hasSameSizeAs(shelf);
            Collections.shuffle(rows, random);
            Merge.Outcome again = Merge.catalogue(shelf, rows);
            assertThat(again.changes()).isEmpty();
            assertThat(again.same()).isEqualTo(rows.size());
        }
    }

    @Test
    void a_snapshot_puts_back_what_was_taken() {
        Snapshots snapshots = new Snapshots(new JsonMapper());
        for (Stored s : List.of(CREAM, OWNED)) {
            assertThat(snapshots.product(snapshots.of(s))).isEqualTo(s);
        }
        List<ShelfItem> shelf = List.of(new ShelfItem(
                UUID.randomUUID(),
                new ProductId("cream"),
                new ClientStore.Use(3, true, false, 5, null, 40, null),
                List.of()));
        assertThat(snapshots.shelf(snapshots.of(shelf))).isEqualTo(shelf);
    }

    private static Merge.Outcome catalogue(Row... rows) {
        return Merge.catalogue(List.of(CREAM, OWNED), List.of(rows));
    }

    private static Row row(String id, String name, double price) {
        return row(id, name, price, "Aqua, Glycerin");
    }

    private static Row row(String id, String name, double price, String label) {
        return new Row(2, id, form(name, price, label), null, ClientStore.Use.NEW, List.of(), EVERY);
    }

    private static ProductForm form(String name, double price, String label) {
        return new ProductForm(name, "Cold Bell", 50, "ml", price, label, null, null, false);
    }

    private static Stored stored(String id, String name, String label, double price, boolean house) {
        return new Stored(
                new Product.Facts(
                        new ProductId(id),
                        name,
                        "Cold Bell",
                        50,
                        "ml",
                        price,
                        label,
                        Optional.empty(),
                        OptionalDouble.empty(),
                        false),
                1,
                null,
                house);
    }
}

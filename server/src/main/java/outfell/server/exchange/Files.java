package outfell.server.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.server.catalogue.ProductStore;
import outfell.server.client.ClientStore;
import outfell.server.problem.Problem;
import tools.jackson.databind.json.JsonMapper;

/** Writes the catalogue and a shelf as a file that reads back to the same. */
@Component
class Files {
    /** SEMICOLON is CSV as spreadsheets write it where the comma is the decimal mark. */
    enum Form {
        CSV,
        SEMICOLON,
        JSON
    }

    private static final int FORMAT_VERSION = 1;
    private static final String BYTE_ORDER_MARK = "\uFEFF";

    private final ProductStore products;
    private final ClientStore clients;
    private final JsonMapper json;

    Files(ProductStore products, ClientStore clients, JsonMapper json) {
        this.products = products;
        this.clients = clients;
        this.json = json;
    }

    String catalogue(Form form) {
        return write(
                What.CATALOGUE,
                form,
                products.wholeHouse().stream()
                        .map(s -> {
                            Map<String, Object> cells = cells(s.facts());
                            cells.put("retired", s.retiredOn() == null ? "" : s.retiredOn());
                            return cells;
                        })
                        .toList());
    }

    /** @throws Problem when there is no such client */
    String shelf(UUID client, Form form) {
        if (clients.find(client).isEmpty()) {
            throw Problem.notFound("client", client);
        }
        List<ClientStore.ShelfItem> shelf = clients.shelf(client);
        Map<ProductId, Product.Facts> facts =
                products.stored(shelf.stream().map(i -> i.product().value()).toList()).stream()
                        .map(ProductStore.Stored::facts)
                        .collect(Collectors.toMap(Product.Facts::id, f -> f));
        List<Map<String, Object>> rows = new ArrayList<>();
        for (ClientStore.ShelfItem item : shelf) {
            Map<String, Object> cells = cells(Objects.requireNonNull(facts.get(item.product())));
            cells.put("weeks", item.use().weeks());
            cells.put("morning", item.use().morning());
            cells.put("evening", item.use().evening());
            cells.put("days_a_week", item.use().daysAWeek());
            cells.put("opened", item.use().opened() == null ? "" : item.use().opened());
            cells.put("left", item.use().left());
            cells.put(
                    "leaves_tight",
                    item.use().leavesTight() == null ? "" : item.use().leavesTight());
            cells.put("nights", item.nights());
            rows.add(cells);
        }
        return write(What.SHELF, form, rows);
    }

    private static Map<String, Object> cells(Product.Facts f) {
        Map<String, Object> cells = new LinkedHashMap<>();
        cells.put("id", f.id().value());
        cells.put("name", f.name());
        cells.put("maker", f.maker());
        cells.put("size", f.size());
        cells.put("unit", f.unit());
        cells.put("price", f.price());
        cells.put(
                "kind",
                f.kind()
                        .map(k -> k.name().toLowerCase(Locale.ROOT).replace('_', '-'))
                        .orElse(""));
        cells.put("texture", f.texture().isPresent() ? (Object) f.texture().getAsDouble() : "");
        cells.put("prescription", f.prescription());
        cells.put("ingredients", f.label());
        return cells;
    }

    private String write(What what, Form form, List<Map<String, Object>> rows) {
        return form == Form.JSON ? asJson(what, rows) : asCsv(what, form == Form.SEMICOLON, rows);
    }

    /** In JSON what is not known is left out. */
    private String asJson(What what, List<Map<String, Object>> rows) {
        Map<String, Object> document = new LinkedHashMap<>();
        document.put("outfell", what.word());
        document.put("version", FORMAT_VERSION);
        document.put(
                "products",
                rows.stream()
                        .map(r -> {
                            Map<String, Object> known = new LinkedHashMap<>(r);
                            known.values().removeIf(v -> v.equals("") || v.equals(List.of()));
                            return known;
                        })
                        .toList());
        return json.writerWithDefaultPrettyPrinter().writeValueAsString(document) + "\n";
    }

    private static String asCsv(What what, boolean semicolon, List<Map<String, Object>> rows) {
        StringBuilder text = new StringBuilder(BYTE_ORDER_MARK);
        CSVFormat format =
                CSVFormat.RFC4180.builder().setDelimiter(semicolon ? ';' : ',').get();
        try (CSVPrinter printer = new CSVPrinter(text, format)) {
            printer.printRecord(what.columns());
            for (Map<String, Object> row : rows) {
                printer.printRecord(what.columns().stream()
                        .map(c -> Cells.safe(cell(row.get(c), semicolon)))
                        .toList());
            }
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        return text.toString();
    }

    private static String cell(@Nullable Object value, boolean decimalComma) {
        return switch (value) {
            case null -> "";
            case Boolean b -> b ? "yes" : "no";
            case Double d -> {
                String number = d == Math.rint(d) ? String.valueOf(d.longValue()) : String.valueOf(d);
                yield decimalComma ? number.replace('.', ',') : number;
            }
            case List<?> days -> days.stream().map(d -> shortDay((DayOfWeek) d)).collect(Collectors.joining(" "));
            default -> value.toString();
        };
    }

    private static String shortDay(DayOfWeek day) {
        return day.name().charAt(0) + day.name().substring(1, 3).toLowerCase(Locale.ROOT);
    }
}

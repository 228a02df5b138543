package outfell.server.exchange;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import outfell.server.exchange.Remark.Code;
import outfell.server.problem.Sentences;
import tools.jackson.core.JacksonException;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Bytes in, rows out: CSV, or JSON by its schema. It throws for no file. */
@Component
class TableReader {
    private final JsonMapper json;
    private final Map<What, Schema> schemas = new EnumMap<>(What.class);

    TableReader(JsonMapper json) {
        this.json = json;
        SchemaRegistry registry = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12);
        for (What what : What.values()) {
            String name = "/formats/%s.schema.json".formatted(what.word());
            try (InputStream file = Objects.requireNonNull(TableReader.class.getResourceAsStream(name), name)) {
                schemas.put(what, registry.getSchema(file));
            } catch (IOException broken) {
                throw new UncheckedIOException(broken);
            }
        }
    }

    /** @param known columns by the keys of headings that the practice has said to mean them */
    Table read(What what, byte[] bytes, Map<String, String> known) {
        FileText file = FileText.of(bytes);
        if (file.remarks().stream().anyMatch(Remark::stops)) {
            return new Table(List.of(), false, List.of(), file.remarks());
        }
        if (file.text().isBlank()) {
            return Table.broken(0, Code.EMPTY_FILE, "The file is empty.");
        }
        char first = file.text().stripLeading().charAt(0);
        Table table = first == '{' || first == '['
                ? fromJson(what, file.text())
                : new CsvTable(what, file.text(), known).read();
        List<Remark> remarks = new ArrayList<>(file.remarks());
        remarks.addAll(table.remarks());
        return new Table(table.rows(), table.decimalComma(), table.headings(), remarks);
    }

    // ---- JSON

    private Table fromJson(What what, String text) {
        JsonNode document;
        try {
            document = json.readTree(text);
        } catch (JacksonException broken) {
            TokenStreamLocation at = broken.getLocation();
            return Table.broken(
                    at == null ? 0 : Math.max(0, at.getLineNr()),
                    Code.BROKEN_JSON,
                    "The file cannot be read as JSON from here on.");
        }
        List<Error> errors = Objects.requireNonNull(schemas.get(what)).validate(text, InputFormat.JSON);
        if (!errors.isEmpty()) {
            return new Table(
                    List.of(),
                    false,
                    List.of(),
                    errors.stream().map(e -> shape(e, document)).toList());
        }
        JsonNode products = document.path("products");
        if (products.size() > CsvTable.MOST_ROWS) {
            return CsvTable.tooMany();
        }
        List<Table.Cells> rows = new ArrayList<>();
        for (int i = 0; i < products.size(); i++) {
            Map<String, String> cells = new HashMap<>();
            for (Map.Entry<String, JsonNode> e : products.get(i).properties()) {
                cells.put(e.getKey(), cell(e.getValue()));
            }
            rows.add(new Table.Cells(i + 1, cells));
        }
        return new Table(rows, false, List.of(), List.of());
    }

    private static String cell(JsonNode value) {
        if (value.isNull()) {
            return "";
        }
        return value.isArray()
                ? value.valueStream().map(JsonNode::asString).collect(Collectors.joining(" "))
                : value.asString().strip();
    }

    private static Remark shape(Error error, JsonNode document) {
        var field = Sentences.field(error, document);
        String[] parts = field.pointer().split("/");
        boolean product = parts.length > 2 && parts[1].equals("products");
        return new Remark(
                product ? Integer.parseInt(parts[2]) + 1 : 0,
                parts.length > 0 ? parts[parts.length - 1] : "",
                Code.WRONG_SHAPE,
                field.sentence());
    }
}

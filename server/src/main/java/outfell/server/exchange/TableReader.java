package outfell.server.exchange;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Component;
import outfell.server.exchange.Remark.Code;
import outfell.server.problem.Sentences;
import tools.jackson.core.JacksonException;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Bytes in, rows out: CSV with comma or semicolon, or JSON by its schema. It throws for no file. */
@Component
class TableReader {
    private static final char BYTE_ORDER_MARK = '\uFEFF';
    private static final int MOST_ROWS = 50_000;

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

    Table read(What what, byte[] bytes) {
        String text;
        try {
            text = StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException notUtf8) {
            return Table.broken(
                    firstBadLine(bytes),
                    Code.NOT_UTF8,
                    "The file is not written in UTF-8. Save it as UTF-8, in a spreadsheet often called \"CSV UTF-8\".");
        }
        if (!text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK) {
            text = text.substring(1);
        }
        if (text.isBlank()) {
            return Table.broken(0, Code.EMPTY_FILE, "The file is empty.");
        }
        char first = text.stripLeading().charAt(0);
        return first == '{' || first == '[' ? fromJson(what, text) : fromCsv(what, text);
    }

    private static int firstBadLine(byte[] bytes) {
        int line = 1;
        int start = 0;
        for (int i = 0; i <= bytes.length; i++) {
            if (i == bytes.length || bytes[i] == '\n') {
                try {
                    StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes, start, i - start));
                } catch (CharacterCodingException here) {
                    return line;
                }
                line++;
                start = i + 1;
            }
        }
        return 0;
    }

    // ---- CSV

    private static Table fromCsv(What what, String text) {
        String head = text.lines().filter(l -> !l.isBlank()).findFirst().orElse("");
        boolean semicolon = count(head, ';') > count(head, ',');
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(semicolon ? ';' : ',')
                .setIgnoreEmptyLines(true)
                .get();
        List<Remark> remarks = new ArrayList<>();
        List<Table.Cells> rows = new ArrayList<>();
        Lines lines = new Lines(text);
        int line = 1;
        int next = 1;
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            List<String> columns = List.of();
            for (CSVRecord r : parser) {
                line = lines.at(r.getCharacterPosition());
                next = (int) parser.getCurrentLineNumber() + 1;
                if (columns.isEmpty()) {
                    columns = columns(what, r, remarks);
                    if (remarks.stream().anyMatch(Remark::stops)) {
                        return new Table(List.of(), semicolon, remarks);
                    }
                } else if (rows.size() == MOST_ROWS) {
                    return tooMany();
                } else if (r.size() != columns.size()) {
                    remarks.add(new Remark(
                            line,
                            "",
                            Code.WRONG_CELL_COUNT,
                            "The line has %d cells; the first line names %d columns."
                                    .formatted(r.size(), columns.size())));
                } else {
                    Map<String, String> cells = new HashMap<>();
                    for (int i = 0; i < r.size(); i++) {
                        cells.put(columns.get(i), Cells.meant(r.get(i).strip()));
                    }
                    rows.add(new Table.Cells(line, cells));
                }
            }
        } catch (CSVException | UncheckedIOException broken) {
            remarks.add(
                    new Remark(
                            next,
                            "",
                            Code.BROKEN_CSV,
                            "From here on the file cannot be read as CSV: a quotation mark is opened and never closed, or stands inside a cell that has none around it."));
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        return new Table(rows, semicolon, remarks);
    }

    /** Counts lines up to a place in a text; places only grow. */
    private static final class Lines {
        private final String text;
        private int at;
        private int line = 1;

        Lines(String text) {
            this.text = text;
        }

        /** The line of the first thing that is not a line break, from the place on. */
        int at(long place) {
            while (at < text.length() && (at < place || text.charAt(at) == '\n' || text.charAt(at) == '\r')) {
                if (text.charAt(at) == '\n') {
                    line++;
                }
                at++;
            }
            return line;
        }
    }

    private static Table tooMany() {
        return Table.broken(
                0, Code.TOO_LARGE, "The file holds more than %d products; cut it in parts.".formatted(MOST_ROWS));
    }

    private static List<String> columns(What what, CSVRecord head, List<Remark> remarks) {
        List<String> columns = head.stream()
                .map(c -> c.strip().toLowerCase(Locale.ROOT).replace(' ', '_'))
                .toList();
        for (String c : columns) {
            if (!what.columns().contains(c)) {
                remarks.add(new Remark(
                        1,
                        c,
                        Code.UNKNOWN_COLUMN,
                        "Outfell knows no column \"%s\" here and leaves it out. It knows %s."
                                .formatted(c, String.join(", ", what.columns()))));
            }
        }
        if (!columns.contains("name")) {
            remarks.add(new Remark(
                    1,
                    "name",
                    Code.MISSING_COLUMN,
                    "The first line must name the columns; one called \"name\" is missing."));
        }
        columns.stream()
                .collect(Collectors.groupingBy(c -> c, LinkedHashMap::new, Collectors.counting()))
                .forEach((c, n) -> {
                    if (n > 1 && what.columns().contains(c)) {
                        remarks.add(new Remark(
                                1, c, Code.TWICE_IN_FILE, "Two columns are called \"%s\"; one is meant.".formatted(c)));
                    }
                });
        return columns;
    }

    private static long count(String text, char c) {
        return text.chars().filter(x -> x == c).count();
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
                    errors.stream().map(e -> shape(e, document)).toList());
        }
        JsonNode products = document.path("products");
        if (products.size() > MOST_ROWS) {
            return tooMany();
        }
        List<Table.Cells> rows = new ArrayList<>();
        for (int i = 0; i < products.size(); i++) {
            Map<String, String> cells = new HashMap<>();
            for (Map.Entry<String, JsonNode> e : products.get(i).properties()) {
                cells.put(e.getKey(), cell(e.getValue()));
            }
            rows.add(new Table.Cells(i + 1, cells));
        }
        return new Table(rows, false, List.of());
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

package outfell.server.exchange;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.server.exchange.Remark.Code;
import outfell.server.practice.FileHeadings;

/** A CSV file as rows: parted by comma, semicolon, tab or bar, its headings by ours, by common others, or by what the practice said. */
final class CsvTable {
    static final int MOST_ROWS = 50_000;
    private static final List<Character> DELIMITERS = List.of(',', ';', '\t', '|');
    /** A first line by which some spreadsheets say what parts the cells. */
    private static final Pattern SEP = Pattern.compile("(?i)^\\s*\"?sep=(.)\"?[ \\t]*\\r?(?=\\n)");

    private static final Pattern COMMA = Pattern.compile("\\D*\\d+,\\d{1,2}\\D*");
    private static final Pattern POINT = Pattern.compile("\\D*\\d+\\.\\d{1,2}\\D*");
    private static final int SAMPLE = 60;
    /** Headings of suppliers' lists, by the columns that they mean. */
    private static final Map<String, String> COMMON = common();

    private final What what;
    private final Map<String, String> known;
    private final String text;
    private final char delimiter;
    private final List<Remark> remarks = new ArrayList<>();
    private final List<Table.Cells> rows = new ArrayList<>();
    private List<String> printed = List.of();
    private List<String> columns = List.of();

    CsvTable(What what, String text, Map<String, String> known) {
        this.what = what;
        this.known = known;
        Matcher sep = SEP.matcher(text);
        boolean said = sep.find();
        this.text = said ? text.substring(sep.end()) : text;
        this.delimiter = said ? sep.group(1).charAt(0) : delimiter(text);
    }

    private static Map<String, String> common() {
        Map<String, String> map = new HashMap<>();
        for (Row row : KnowledgeFile.yaml("file-headings.yaml").rows("headings")) {
            String column = row.text("column");
            row.texts("names").forEach(n -> map.put(FileHeadings.key(n), column));
            row.done();
        }
        return Map.copyOf(map);
    }

    /** What stands most often in the first line, outside quotation marks. */
    private static char delimiter(String text) {
        String head =
                text.lines().filter(l -> !l.isBlank()).findFirst().orElse("").replaceAll("\"[^\"]*\"", "");
        char most = ',';
        for (char c : DELIMITERS) {
            most = count(head, c) > count(head, most) ? c : most;
        }
        return most;
    }

    private static long count(String text, char c) {
        return text.chars().filter(x -> x == c).count();
    }

    static Table tooMany() {
        return Table.broken(
                0, Code.TOO_LARGE, "The file holds more than %d products; cut it in parts.".formatted(MOST_ROWS));
    }

    Table read() {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter)
                .setIgnoreEmptyLines(true)
                .get();
        Lines lines = new Lines(text);
        int next = 1;
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            for (CSVRecord r : parser) {
                int line = lines.at(r.getCharacterPosition());
                next = (int) parser.getCurrentLineNumber() + 1;
                if (columns.isEmpty()) {
                    head(r, line);
                } else if (rows.size() == MOST_ROWS) {
                    return tooMany();
                } else {
                    row(r, line);
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
        boolean headless = remarks.stream()
                .anyMatch(r -> r.code() == Code.MISSING_COLUMN || (r.code() == Code.TWICE_IN_FILE && r.stops()));
        return new Table(headless ? List.of() : rows, decimalComma(), headings(), remarks);
    }

    /** A semicolon parts cells where the comma stands before decimals; a tab or a bar says nothing, so the cells do. */
    private boolean decimalComma() {
        if (delimiter == ';' || delimiter == ',') {
            return delimiter == ';';
        }
        return numbers(COMMA) && !numbers(POINT);
    }

    private boolean numbers(Pattern pattern) {
        return rows.stream()
                .anyMatch(r -> pattern.matcher(r.get("price")).matches()
                        || pattern.matcher(r.get("size")).matches());
    }

    private List<Table.Heading> headings() {
        List<Table.Heading> all = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            String key = columns.get(i);
            String sample = rows.stream()
                    .map(r -> r.get(key))
                    .filter(c -> !c.isBlank())
                    .findFirst()
                    .orElse("");
            all.add(new Table.Heading(
                    printed.get(i),
                    what.columns().contains(key) ? key : "",
                    sample.length() <= SAMPLE ? sample : sample.substring(0, SAMPLE) + "…"));
        }
        return all;
    }

    private void row(CSVRecord r, int line) {
        if (r.size() != columns.size()) {
            remarks.add(new Remark(
                    line,
                    "",
                    Code.WRONG_CELL_COUNT,
                    "The line has %d cells; the first line names %d columns.".formatted(r.size(), columns.size())));
            return;
        }
        Map<String, String> cells = new HashMap<>();
        for (int i = 0; i < r.size(); i++) {
            cells.put(columns.get(i), Cells.meant(r.get(i).strip()));
        }
        rows.add(new Table.Cells(line, cells));
    }

    /** What a heading means: what the practice said of it, ours, a common one; else its own key, which no column has. */
    private String column(String heading) {
        String key = FileHeadings.key(heading);
        String said = known.get(key);
        if (said != null && (said.isEmpty() || what.columns().contains(said))) {
            return said.isEmpty() ? "-" + key : said;
        }
        String common = COMMON.getOrDefault(key, "");
        return what.columns().contains(key) ? key : what.columns().contains(common) ? common : key;
    }

    private void head(CSVRecord head, int line) {
        printed = head.stream().map(String::strip).toList();
        columns = printed.stream().map(this::column).toList();
        for (int i = 0; i < columns.size(); i++) {
            String c = columns.get(i);
            if (!what.columns().contains(c) && !c.startsWith("-")) {
                remarks.add(new Remark(
                        line,
                        printed.get(i),
                        Code.UNKNOWN_COLUMN,
                        "Outfell knows no column \"%s\" here and leaves it out. Say what it is, or that it is left out."
                                .formatted(printed.get(i))));
            }
        }
        if (!columns.contains("name")) {
            remarks.add(
                    new Remark(
                            line,
                            "name",
                            Code.MISSING_COLUMN,
                            "The first line must name the columns; which of them holds the product's name is not known. Say which."));
        }
        columns.stream()
                .collect(Collectors.groupingBy(c -> c, LinkedHashMap::new, Collectors.counting()))
                .forEach((c, n) -> {
                    if (n > 1 && what.columns().contains(c)) {
                        remarks.add(new Remark(
                                line,
                                c,
                                Code.TWICE_IN_FILE,
                                "Two columns are taken for \"%s\"; one is meant. Say which.".formatted(c)));
                    }
                });
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
}

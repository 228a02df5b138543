package outfell.server.exchange;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import outfell.climate.MonthlyAir;
import outfell.server.problem.Problem;

/**
 * Twelve months of a place from a table as spreadsheets write it: warmth in °C, humidity in %, wind in m/s, UV index; a column of months
 * before them and a line of headings are allowed. Tab, semicolon or comma between the cells.
 */
public final class MonthTable {
    private static final int MONTHS = 12;
    private static final List<String> COLUMNS = List.of("celsius", "humidity", "wind", "uv-index");

    private MonthTable() {}

    /** @throws Problem with the line that cannot be read */
    public static List<MonthlyAir> read(String text) {
        char between = text.indexOf('\t') >= 0 ? '\t' : text.indexOf(';') >= 0 ? ';' : ',';
        boolean decimalComma = between != ',' && text.indexOf(',') >= 0;
        List<MonthlyAir> months = new ArrayList<>();
        for (CSVRecord line : lines(text, between)) {
            List<String> cells = line.stream().map(String::strip).toList();
            if (cells.stream().allMatch(String::isEmpty) || (months.isEmpty() && isHeading(cells, decimalComma))) {
                continue;
            }
            months.add(month(line.getRecordNumber(), cells, decimalComma));
        }
        if (months.size() != MONTHS) {
            throw fault(
                    "The table has %d lines with figures; a year has twelve, January first.".formatted(months.size()));
        }
        return List.copyOf(months);
    }

    private static List<CSVRecord> lines(String text, char between) {
        try {
            return CSVFormat.DEFAULT
                    .builder()
                    .setDelimiter(between)
                    .get()
                    .parse(new StringReader(text))
                    .getRecords();
        } catch (IOException | UncheckedIOException | IllegalArgumentException broken) {
            throw fault("The table cannot be read: a quotation mark may be left open.");
        }
    }

    private static boolean isHeading(List<String> cells, boolean decimalComma) {
        return cells.stream().noneMatch(c -> number(c, decimalComma).isPresent());
    }

    private static MonthlyAir month(long line, List<String> cells, boolean decimalComma) {
        List<String> figures = cells.size() > COLUMNS.size() ? cells.subList(1, cells.size()) : cells;
        if (figures.size() < COLUMNS.size()) {
            throw fault(
                    "Line %d has %d figures, expected four: °C, %%, m/s, UV index.".formatted(line, figures.size()));
        }
        double[] read = new double[COLUMNS.size()];
        for (int i = 0; i < read.length; i++) {
            int column = i;
            read[i] = number(figures.get(i), decimalComma)
                    .orElseThrow(() -> fault("Line %d: “%s” is no number for %s."
                            .formatted(
                                    line,
                                    figures.get(column),
                                    COLUMNS.get(column).toLowerCase(Locale.ROOT))));
        }
        try {
            return new MonthlyAir(read[0], read[1], read[2], read[3]);
        } catch (IllegalArgumentException outside) {
            throw fault("Line %d: %s".formatted(line, outside.getMessage()));
        }
    }

    private static Optional<Double> number(String cell, boolean decimalComma) {
        return cell.isEmpty()
                ? Optional.empty()
                : TypedNumber.read(cell.replace('−', '-'), decimalComma).value();
    }

    private static Problem fault(String sentence) {
        return Problem.field("/text", sentence);
    }
}

package outfell.server.exchange;

import java.util.List;
import java.util.Map;

/**
 * A file as rows of named cells, whatever its form.
 *
 * @param headings of a CSV file, in its order; none for JSON
 */
record Table(List<Cells> rows, boolean decimalComma, List<Heading> headings, List<Remark> remarks) {
    /**
     * A heading of a file.
     *
     * @param printed as the file has it
     * @param column what it was taken for; empty for nothing
     * @param sample the first cell under it that is not empty
     */
    record Heading(String printed, String column, String sample) {}

    /** One row; a cell that is not there is not in the map. */
    record Cells(int line, Map<String, String> byColumn) {
        String get(String column) {
            return byColumn.getOrDefault(column, "");
        }

        boolean has(String column) {
            return !get(column).isBlank();
        }
    }

    static Table broken(int line, Remark.Code code, String sentence) {
        return new Table(List.of(), false, List.of(), List.of(new Remark(line, "", code, sentence)));
    }
}

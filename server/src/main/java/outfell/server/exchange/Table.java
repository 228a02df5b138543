package outfell.server.exchange;

import java.util.List;
import java.util.Map;

/** A file as rows of named cells, whatever its form. */
record Table(List<Cells> rows, boolean decimalComma, List<Remark> remarks) {

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
        return new Table(List.of(), false, List.of(new Remark(line, "", code, sentence)));
    }
}

package outfell.server.exchange;

/**
 * Something about a file.
 *
 * @param line of a CSV file, counted from 1; in JSON the product, counted from 1; 0 for the whole file
 * @param column empty when it is about the whole line
 */
public record Remark(int line, String column, Code code, String sentence) {

    /** What it is about; those that stop keep the whole file out. */
    public enum Code {
        EMPTY_FILE(true),
        TOO_LARGE(true),
        NO_TEXT(true),
        CODE_PAGE(false),
        BROKEN_CSV(true),
        BROKEN_JSON(true),
        WRONG_SHAPE(true),
        MISSING_COLUMN(true),
        UNKNOWN_COLUMN(false),
        WRONG_CELL_COUNT(true),
        WRONG_NUMBER(true),
        WRONG_CURRENCY(true),
        WRONG_VALUE(true),
        TWICE_IN_FILE(true),
        NOT_OF_THE_HOUSE(true),
        UNKNOWN_NAMES(false),
        NO_INGREDIENTS(false),
        OURS_KEPT(false);

        private final boolean stops;

        Code(boolean stops) {
            this.stops = stops;
        }

        public boolean stops() {
            return stops;
        }
    }

    public boolean stops() {
        return code.stops();
    }
}

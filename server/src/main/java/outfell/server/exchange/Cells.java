package outfell.server.exchange;

import java.util.Set;

/**
 * Text cells that no spreadsheet takes for a formula. A cell that begins like one is written with an apostrophe before it,
 * and so is one that begins with an apostrophe before such a sign; reading takes just that one away again.
 */
final class Cells {
    private static final Set<Character> RUN = Set.of('=', '+', '-', '@', '\t', '\r');
    private static final char MARK = '\'';

    private Cells() {}

    /** As it is written. */
    static String safe(String text) {
        return runs(text) || isMarked(text) ? MARK + text : text;
    }

    /** As it was meant. */
    static String meant(String cell) {
        return isMarked(cell) ? cell.substring(1) : cell;
    }

    private static boolean runs(String text) {
        return !text.isEmpty() && RUN.contains(text.charAt(0));
    }

    /** One apostrophe or more before a sign that a spreadsheet would run. */
    private static boolean isMarked(String text) {
        int marks = 0;
        while (marks < text.length() && text.charAt(marks) == MARK) {
            marks++;
        }
        return marks > 0 && runs(text.substring(marks));
    }
}

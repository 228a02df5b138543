package outfell.product;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** What parts the names of a list. */
final class Separators {
    private Separators() {}

    /** Splits outside brackets at commas (not between digits), semicolons, bullets and spaced dashes. */
    static List<String> split(String text) {
        boolean hasCommas = SEPARATOR.matcher(text).find();
        String flat = hasCommas ? text.replaceAll("\\R", "\n") : text.replaceAll("\\R", " ; ");
        List<String> parts = new ArrayList<>();
        StringBuilder part = new StringBuilder();
        int depth = 0;
        for (int i = 0; i < flat.length(); i++) {
            char c = flat.charAt(i);
            depth = switch (c) {
                case '(', '[' -> depth + 1;
                case ')', ']' -> Math.max(0, depth - 1);
                default -> depth;
            };
            if (separates(flat, i) && (depth == 0 || unclosed(flat, i))) {
                parts.add(part.toString());
                part.setLength(0);
                depth = 0;
            } else {
                part.append(c);
            }
        }
        parts.add(part.toString());
        return together(parts);
    }

    /** A comma between digits belongs to a name: "1,2-Hexanediol". */
    private static final Pattern SEPARATOR = Pattern.compile("[;•·]|,(?!\\d)|(?<!\\d),");

    private static final Pattern ONLY_PERCENT =
            Pattern.compile("\\s*[\\[(]?\\s*\\d{1,3}(?:[.,]\\d+)?\\s*%\\s*[\\])]?\\s*");

    /** A share behind a dash belongs to the name before it; a comma within a known name is the name's. */
    private static List<String> together(List<String> parts) {
        List<String> all = new ArrayList<>();
        for (String part : parts) {
            String last = all.isEmpty() ? "" : all.getLast();
            boolean one = !last.isEmpty()
                    && (ONLY_PERCENT.matcher(part).matches()
                            || Ingredients.find(last.strip() + ", " + part.strip())
                                    .isPresent());
            if (one) {
                all.set(
                        all.size() - 1,
                        ONLY_PERCENT.matcher(part).matches() ? last + part : last.strip() + ", " + part.strip());
            } else {
                all.add(part);
            }
        }
        return all;
    }

    private static boolean separates(String text, int i) {
        return switch (text.charAt(i)) {
            case ';', '•', '·', '|' -> true;
            case ',' ->
                !(i > 0
                        && i + 1 < text.length()
                        && Character.isDigit(text.charAt(i - 1))
                        && Character.isDigit(text.charAt(i + 1)));
            case '-', '–' ->
                i > 0
                        && i + 1 < text.length()
                        && Character.isWhitespace(text.charAt(i - 1))
                        && Character.isWhitespace(text.charAt(i + 1));
            default -> false;
        };
    }

    /** A bracket that is never closed must not swallow the rest of the list. */
    private static boolean unclosed(String text, int from) {
        int close = Math.max(text.indexOf(')', from), text.indexOf(']', from));
        return close < 0;
    }
}

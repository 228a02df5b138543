package outfell.product;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.text.StringEscapeUtils;

/**
 * Reads an ingredient list as printed. Never throws on any text: what it cannot match stays by its printed name.
 *
 * <p>Rules of separation and matching: house rules on eu-1223-2009 and reg-us-701.
 */
public final class LabelReader {
    private static final String HEADINGS =
            "inactive\\s+ingredients|ingredients(?:\\s*/\\s*ingr[eé]dients)?|ingr[eé]dients|ingredi[eë]nten|ingredienti|ingredientes"
                    + "|ingredienser|zutaten|inhaltsstoffe(?:\\s*\\(inci\\))?|składniki|inci";
    private static final Pattern HEADING =
            Pattern.compile("(?ius)^.{0,200}?(?<!\\p{L})(?:" + HEADINGS + ")\\s*[:.]\\s*");
    private static final Pattern ACTIVE_PANEL = Pattern.compile(
            "(?ius)\\bactive\\s+ingredients?\\s*(?:[:.]|\\R)\\s*(.*?)(?:\\.\\s|\\R|;)\\s*(?=inactive|other|ingredients)(?:inactive\\s+ingredients?|other\\s+ingredients?|ingredients)\\s*(?:[:.]|\\R)\\s*");
    private static final Pattern MAY_CONTAIN = Pattern.compile(
            "(?iu)\\.?\\s*[\\[(]?\\s*(?:\\+\\s*/\\s*-|±|may\\s+contain|peut\\s+contenir|kann\\s+enthalten|può\\s+contenere|puede\\s+contener)\\s*:?\\s*");
    private static final Pattern PERCENT =
            Pattern.compile("(?u)[\\[(]?\\s*(\\d{1,3}(?:[.,]\\d+)?)\\s*%\\s*(?:w/w)?\\s*[\\])]?");
    private static final Pattern MARKS = Pattern.compile("[*†‡®™°¹²³⁴]+");
    private static final Pattern BRACKET = Pattern.compile("[\\[(]([^\\[\\]()]*)[\\])]?");
    /** "* organic" at the start of a line or after the last full stop explains a mark; it names no ingredient. */
    private static final Pattern FOOTNOTE =
            Pattern.compile("(?m)(?:^|(?<=\\.)|(?<=\\. ))\\s*[*†‡]+\\s*\\p{Ll}[^\\n]*$");

    private static final Pattern SPACES = Pattern.compile("\\s+");
    private static final Pattern LEADING = Pattern.compile("^[.:\\s]+");
    private static final Pattern CLOSING = Pattern.compile("[\\])]");
    private static final Pattern LIST_MARK = Pattern.compile("(?m)^\\s*(?:[-–*]|\\d{1,2}[.)])\\s+(?=\\p{L})");

    /** One name with what stood beside it. */
    record Token(String name, OptionalDouble declared, boolean mayContain, boolean activePanel, boolean ends) {}

    private LabelReader() {}

    public static Label read(String text) {
        return read(text, Map.of());
    }

    /** @param names what names were said to be by hand: key of the printed name to INCI, or to "" for no ingredient */
    static Label read(String text, Map<String, String> names) {
        return LabelRanges.infer(tokens(text).stream()
                .filter(t -> !"".equals(names.get(Ingredients.key(t.name()))))
                .map(t -> match(t, names))
                .toList());
    }

    /** A token with what it was matched to. */
    record Matched(Token token, Substances.Meant meant) {
        Optional<Ingredient> ingredient() {
            return meant.ingredient();
        }
    }

    private static Matched match(Token token, Map<String, String> names) {
        String said = names.get(Ingredients.key(token.name()));
        return new Matched(
                token,
                said == null
                        ? Substances.of(token.name())
                        : Ingredients.find(said).map(Substances.Meant::sure).orElse(Substances.Meant.UNKNOWN));
    }

    private static List<Token> tokens(String text) {
        List<Token> tokens = new ArrayList<>();
        String rest = joinHyphens(plain(text));
        Matcher panel = ACTIVE_PANEL.matcher(rest);
        if (panel.find()) {
            split(panel.group(1)).forEach(t -> token(t, false, true).ifPresent(tokens::add));
            rest = rest.substring(panel.end());
        } else {
            rest = withoutHeading(rest);
        }
        Matcher may = MAY_CONTAIN.matcher(rest);
        String certain = rest;
        String perhaps = "";
        if (may.find()) {
            certain = rest.substring(0, may.start());
            perhaps = rest.substring(may.end()).replaceAll("[\\])]\\s*\\.?\\s*$", "");
        }
        split(certain).stream()
                .flatMap(LabelReader::joined)
                .forEach(t -> token(t, false, false).ifPresent(tokens::add));
        split(perhaps).forEach(t -> token(t, true, false).ifPresent(tokens::add));
        return untrailed(tokens);
    }

    /** Without what copying left behind: entities, marks of a list, footnotes. */
    private static String plain(String text) {
        String unescaped = text.indexOf('&') >= 0 ? StringEscapeUtils.unescapeHtml4(text) : text;
        String noted = FOOTNOTE.matcher(unescaped.replace('\u00a0', ' ')).replaceAll("");
        String tabbed = noted.indexOf('\t') >= 0 && noted.indexOf(',') < 0 ? noted.replaceAll("\\t+", "\n") : noted;
        return LIST_MARK.matcher(tabbed).replaceAll("").strip();
    }

    /** What follows a full stop after the last known name is a claim or an address, however many commas it has. */
    private static List<Token> untrailed(List<Token> tokens) {
        for (int i = 0; i < tokens.size(); i++) {
            if (tokens.get(i).ends()) {
                List<Token> kept = new ArrayList<>(tokens.subList(0, i + 1));
                tokens.stream().skip(i + 1L).filter(Token::mayContain).forEach(kept::add);
                return kept;
            }
        }
        return tokens;
    }

    private static String withoutHeading(String text) {
        Matcher heading = HEADING.matcher(text);
        return heading.find() ? text.substring(heading.end()) : text;
    }

    /** A hyphen at a line's end joins a broken name; between a locant's digits and the next letter it stays. */
    private static String joinHyphens(String text) {
        return text.replaceAll("(?<=\\d)-\\s*\\R\\s*", "-").replaceAll("(?<=\\p{L})-\\s*\\R\\s*(?=\\p{Ll})", "");
    }

    /** Splits outside brackets at commas (not between digits), semicolons, bullets and spaced dashes. */
    private static List<String> split(String text) {
        boolean hasCommas =
                text.indexOf(',') >= 0 || text.indexOf(';') >= 0 || text.indexOf('•') >= 0 || text.indexOf('·') >= 0;
        String flat = hasCommas ? text.replaceAll("\\R", " ") : text.replaceAll("\\R", " ; ");
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
        return parts;
    }

    /** "A (and) B" and "A and B" are two; so are "A / B", for a slash with spaces names a mixture of two. */
    private static final Pattern AND =
            Pattern.compile("(?i)\\s*[\\[(]\\s*(?:and|&|et|und)\\s*[\\])]\\s*|\\s+(?:and|&)\\s+");

    private static final Pattern OVER = Pattern.compile("\\s*/\\s*");

    /** One name, or several that the maker printed as one, when each is known by itself and the whole is not. */
    private static Stream<String> joined(String part) {
        if (find(part.strip()).isPresent()) {
            return Stream.of(part);
        }
        for (Pattern joint : List.of(AND, OVER)) {
            String[] each = joint.split(part.strip());
            if (each.length > 1 && Stream.of(each).allMatch(LabelReader::known)) {
                return Stream.of(each);
            }
        }
        return Stream.of(part);
    }

    private static boolean known(String part) {
        String name = PERCENT.matcher(part).replaceAll("").strip().replaceAll("\\.$", "");
        return !name.isEmpty()
                && (find(name).isPresent() || Families.taken(name).isPresent());
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

    private static Optional<Token> token(String raw, boolean mayContain, boolean activePanel) {
        String text = MARKS.matcher(raw).replaceAll("").strip();
        OptionalDouble declared = OptionalDouble.empty();
        Matcher percent = PERCENT.matcher(text);
        if (percent.find()) {
            double value = Double.parseDouble(percent.group(1).replace(',', '.'));
            declared = value <= 100 ? OptionalDouble.of(value) : OptionalDouble.empty();
            text = (text.substring(0, percent.start()) + " " + text.substring(percent.end())).strip();
        }
        text = LEADING.matcher(SPACES.matcher(text).replaceAll(" "))
                .replaceAll("")
                .strip();
        if (text.endsWith(".") && find(text).isEmpty()) {
            text = text.substring(0, text.length() - 1).strip();
        }
        String without = withoutClaims(text);
        boolean ends = !without.equals(text);
        if (activePanel) {
            // what an active is for stands in brackets behind it on some panels
            without = without.replaceAll("\\s*\\([^)]*\\)\\s*$", "");
        }
        return without.isEmpty()
                ? Optional.empty()
                : Optional.of(new Token(without, declared, mayContain, activePanel, ends));
    }

    /** A sentence after the last ingredient is no ingredient: "Carbomer. Made in Skarrow". */
    private static String withoutClaims(String text) {
        int stop = text.indexOf(". ");
        if (stop > 0 && find(text).isEmpty() && find(text.substring(0, stop)).isPresent()) {
            return text.substring(0, stop);
        }
        return text;
    }

    /** By whole name; else without brackets; else by what the brackets hold; else as a doublet of languages. */
    static Optional<Ingredient> find(String name) {
        Optional<Ingredient> whole = Ingredients.find(name);
        if (whole.isPresent()) {
            return whole;
        }
        String bare = withoutBrackets(name);
        Optional<Ingredient> without = bare.isEmpty() || bare.equals(name) ? Optional.empty() : find(bare);
        if (without.isPresent()) {
            return without;
        }
        Matcher bracket = BRACKET.matcher(name);
        if (bracket.find() && !bracket.group(1).toLowerCase(Locale.ROOT).contains("nano")) {
            Optional<Ingredient> inside = Ingredients.find(bracket.group(1));
            if (inside.isPresent()) {
                return inside;
            }
        }
        return doublet(name);
    }

    /** Innermost brackets first, so that nested ones go whole. */
    private static String withoutBrackets(String name) {
        String bare = name;
        for (int depth = 0; depth < 4 && (bare.indexOf('(') >= 0 || bare.indexOf('[') >= 0); depth++) {
            bare = BRACKET.matcher(bare).replaceAll(" ");
        }
        return SPACES.matcher(CLOSING.matcher(bare).replaceAll(" "))
                .replaceAll(" ")
                .strip();
    }

    /** "Aqua/Water/Eau" is one substance when every part is known as the same; any other slash belongs to the name. */
    private static Optional<Ingredient> doublet(String name) {
        if (name.indexOf('/') < 0) {
            return Optional.empty();
        }
        String[] parts = name.split("/");
        Optional<Ingredient> first = parts.length < 2 ? Optional.empty() : Ingredients.find(parts[0]);
        for (String part : parts) {
            if (first.isEmpty() || !Ingredients.find(part).equals(first)) {
                return Optional.empty();
            }
        }
        return first;
    }
}

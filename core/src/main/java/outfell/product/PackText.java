package outfell.product;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.text.StringEscapeUtils;
import org.jspecify.annotations.Nullable;

/**
 * What is printed on a pack, taken apart. Nothing is dropped in silence: what is no ingredient is kept as it stood.
 *
 * @param panel of a drug's actives, a piece for each; none where there is no such panel
 * @param list the ingredients in order; separators are commas, semicolons, bullets or line breaks
 * @param perhaps what it may contain
 * @param grams that an amount in mg or g is of; 0 where none is said
 * @param left what is no ingredient: claims, headings, what the pack warns of
 */
record PackText(List<String> panel, String list, String perhaps, double grams, List<String> left) {
    /** Stands for a hyphen at a line's end, of which nobody knows yet whether it belongs to the name. */
    static final char BROKEN = '\u2010';

    static final char BULLET = '•';

    /** Headings of a whole list. */
    private static final String LIST = PackWords.REST + "|" + PackWords.LISTS;

    private static final Pattern HEADING =
            Pattern.compile("(?iu)(?<![\\p{L}-])(?:" + LIST + ")\\s*(?:[:.•·]|\\R|$)\\s*");
    private static final Pattern OPENS = Pattern.compile("(?iu)^\\s*(?:(\\d{1,3})\\s*(?:g|ml)\\s+)?(?:"
            + PackWords.OPENING + ")\\s*(?:[:.•]|\\R|(?=\\s\\p{L}))\\s*");
    /** "Key ingredients" name some; they head no list where another heading follows. */
    private static final Pattern PRAISED = Pattern.compile("(?iu)(?:" + PackWords.PRAISED + ")\\s+$");

    private static final Pattern EACH_GRAM = Pattern.compile("(?iu)^each\\s+g");

    private static final Pattern NON = Pattern.compile("(?iu)\\bnon[- ]?$");
    private static final Pattern PANEL = Pattern.compile(
            "(?iu)(?<![\\p{L}-])(?:" + PackWords.PANEL
                    + ")(?:\\s*\\(in\\s+each\\s+(\\d{0,3})\\s*g(?:ram)?\\)|\\s*\\(in[^)]*\\))?(?:[ \\t]+purposes?)?\\s*(?:[:.•]|\\R|(?=\\s\\p{L}))\\s*");
    private static final Pattern AFTER_PANEL =
            Pattern.compile("(?iu)(?<![\\p{L}])(?:" + LIST + ")\\s*(?:[:.•]|\\R|(?=\\s))\\s*");
    private static final Pattern MAY_CONTAIN = Pattern.compile("(?iu)\\.?\\s*[\\[(]?\\s*(?:" + PackWords.MAY_CONTAIN
            + ")(?:\\s*[\\[(]?\\s*(?:" + PackWords.MAY_CONTAIN + ")\\s*[\\])]?)?\\s*:?\\s*");
    /** "* organic" at the start of a line or after the last full stop explains a mark; it names no ingredient. */
    private static final Pattern FOOTNOTE =
            Pattern.compile("(?m)(?:^|(?<=\\.)|(?<=\\. ))\\s*[*†‡]+\\s*\\p{Ll}[^\\n]*$");

    private static final Pattern LIST_MARK = Pattern.compile("(?m)^\\s*(?:[-–*]|\\d{1,2}[.)])\\s+(?=\\p{L})");
    private static final Pattern NUMBERED_LINE =
            Pattern.compile("(?m)^\\s*\\(?(\\d{1,3})(?:[.)]\\s+(?=[\\p{L}\\d])|\\s+(?=\\p{L}))");
    private static final Pattern NUMBERED = Pattern.compile("(?<!\\S)\\(?(\\d{1,3})[.)](?:\\s*(?=\\p{L})|\\s+(?=\\d))");
    private static final Pattern SOME_BULLET = Pattern.compile("[\\p{So}&&[^©®™°]]|[∙‣⁃◦・･‧]");
    private static final Pattern SPACED_SLASH = Pattern.compile("\\s+/\\s+");
    private static final int FIRST_NUMBERS = 3;
    private static final int HEADING_WITHIN = 400;

    static PackText of(String text) {
        List<String> left = new ArrayList<>();
        String rest = tidy(text, left);
        List<String> panel = List.of();
        Optional<MatchResult> opened = panel(rest);
        Optional<MatchResult> after = opened.flatMap(p -> from(AFTER_PANEL, rest, p.end()));
        String list = rest;
        double grams = 0;
        if (opened.isPresent() && after.isPresent()) {
            left.add(rest.substring(0, opened.get().start()));
            grams = EACH_GRAM.matcher(opened.get().group()).find()
                    ? 1
                    : grams(opened.get().group(1));
            panel = pieces(rest.substring(opened.get().end(), after.get().start()), grams, left);
            list = rest.substring(after.get().end());
        } else {
            Optional<MatchResult> opens = from(OPENS, rest, 0);
            Optional<MatchResult> heading = opens.or(() -> heading(rest));
            if (heading.isPresent()) {
                left.add(rest.substring(0, heading.get().start()));
                list = rest.substring(heading.get().end());
            }
            grams = opens.map(o -> grams(o.group(1))).orElse(0.0);
        }
        Matcher may = MAY_CONTAIN.matcher(list);
        String perhaps = "";
        if (may.find()) {
            perhaps = list.substring(may.end()).replaceAll("[\\])]\\s*\\.?\\s*$", "");
            list = list.substring(0, may.start());
        }
        return new PackText(
                panel,
                slashes(list),
                perhaps,
                grams,
                left.stream().map(String::strip).filter(l -> !l.isEmpty()).toList());
    }

    /** "In each gram", "100 g contains". */
    private static double grams(@Nullable String number) {
        return number == null ? 0 : number.isEmpty() ? 1 : Double.parseDouble(number);
    }

    private static Optional<MatchResult> heading(String text) {
        List<MatchResult> all = HEADING.matcher(text)
                .results()
                .filter(m -> m.start() < HEADING_WITHIN)
                .toList();
        return all.stream()
                .filter(m -> !PRAISED.matcher(text.substring(0, m.start())).find())
                .findFirst()
                .or(() -> all.stream().findFirst());
    }

    private static Optional<MatchResult> from(Pattern pattern, String text, int from) {
        return pattern.matcher(text).results().filter(m -> m.start() >= from).findFirst();
    }

    private static Optional<MatchResult> panel(String text) {
        return PANEL.matcher(text)
                .results()
                .filter(m -> m.start() < HEADING_WITHIN)
                .filter(m -> !NON.matcher(text.substring(0, m.start())).find())
                .findFirst();
    }

    /** Without what copying and printing left behind: entities, soft hyphens, numbers and marks of a list, footnotes. */
    private static String tidy(String text, List<String> left) {
        String unescaped = text.indexOf('&') >= 0 ? StringEscapeUtils.unescapeHtml4(text) : text;
        String plain = unescaped
                .replace('\u00a0', ' ')
                .replace("\u00ad", "")
                .replace('，', ',')
                .replace('、', ',')
                .replace('；', ';')
                .replace('：', ':');
        FOOTNOTE.matcher(plain).results().map(MatchResult::group).forEach(left::add);
        String noted = FOOTNOTE.matcher(plain).replaceAll("");
        String tabbed = noted.indexOf('\t') >= 0 && noted.indexOf(',') < 0 ? noted.replaceAll("\\t+", "\n") : noted;
        String marked = SOME_BULLET.matcher(tabbed).replaceAll(String.valueOf(BULLET));
        String counted = uncounted(uncounted(marked, NUMBERED_LINE, "\n"), NUMBERED, " " + BULLET + " ");
        return joinHyphens(LIST_MARK.matcher(counted).replaceAll("")).strip();
    }

    /** Numbers that count one, two, three and on are marks of a list. */
    private static String uncounted(String text, Pattern number, String instead) {
        StringBuilder out = new StringBuilder();
        Matcher m = number.matcher(text);
        int next = 1;
        while (m.find()) {
            boolean counts = m.group(1).equals(Integer.toString(next));
            m.appendReplacement(out, counts ? instead : Matcher.quoteReplacement(m.group()));
            next += counts ? 1 : 0;
        }
        m.appendTail(out);
        return next > FIRST_NUMBERS ? out.toString() : text;
    }

    /** A hyphen at a line's end joins a broken name; between a locant's digits and the next letter it stays. */
    private static String joinHyphens(String text) {
        return text.replaceAll("(?<=\\d)-[ \\t]*\\R\\s*", "-")
                .replaceAll("(?<=\\p{L})-[ \\t]*\\R\\s*(?=\\p{L})", String.valueOf(BROKEN));
    }

    /** Slashes with spaces are the separator where there is no other. */
    private static String slashes(String list) {
        boolean other =
                Stream.of(",", ";", String.valueOf(BULLET), "·", "|", "\n").anyMatch(list::contains);
        return !other
                        && SPACED_SLASH.matcher(list).results().count() >= 2
                        && LabelReader.find(list).isEmpty()
                ? SPACED_SLASH.matcher(list).replaceAll(" " + BULLET + " ")
                : list;
    }

    private static final Pattern WITH_PERCENT =
            Pattern.compile("(?u)^(.*?[\\[(]?\\s*\\d{1,3}(?:[.,]\\d+)?\\s*%\\s*(?:w/w)?\\s*[\\])]?)(.*)$");

    /** Of a panel each active with its share; what it is for, and what the drug is for, is no ingredient. */
    private static List<String> pieces(String panel, double grams, List<String> left) {
        List<String> all = new ArrayList<>();
        for (String printed : panel.split("\\R|;|,(?!\\d)|•")) {
            String piece = LabelReader.percented(printed, grams);
            Matcher share = WITH_PERCENT.matcher(piece.strip());
            if (share.matches()) {
                String before = share.group(1).replaceAll("[\\[(]?\\s*\\d[\\d.,]*\\s*%.*$", "");
                all.add(before.isBlank() ? piece : share.group(1));
                left.add(before.isBlank() ? "" : share.group(2).replaceAll("^[ .·]+", ""));
            } else if (LabelReader.known(piece)) {
                all.add(piece);
            } else {
                left.add(piece);
            }
        }
        return all;
    }
}

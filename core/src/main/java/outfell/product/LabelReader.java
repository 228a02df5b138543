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

/**
 * Reads an ingredient list as printed. Never throws on any text: what it cannot match stays by its printed name.
 *
 * <p>Rules of separation and matching: house rules on eu-1223-2009 and reg-us-701.
 */
public final class LabelReader {
    private static final Pattern PERCENT =
            Pattern.compile("(?u)[\\[(]?\\s*(\\d{1,3}(?:[.,]\\d+)?)\\s*%\\s*(?:w/w)?\\s*[\\])]?");
    private static final Pattern MARKS = Pattern.compile("[*†‡®™°¹²³⁴]+");
    private static final Pattern BRACKET = Pattern.compile("[\\[(]([^\\[\\]()]*)[\\])]?");
    private static final Pattern SPACES = Pattern.compile("\\s+");
    private static final Pattern LEADING = Pattern.compile("^[.:\\s]+");
    private static final Pattern CLOSING = Pattern.compile("[\\])]");
    /** Words that no ingredient has: what follows them is a claim, a warning, a direction or an address. */
    private static final Pattern TALK = Pattern.compile("(?iu)\\b(?:" + PackWords.TALK + ")\\b");

    /** One name with what stood beside it. */
    record Token(String name, OptionalDouble declared, boolean mayContain, boolean activePanel) {}

    private LabelReader() {}

    public static Label read(String text) {
        return read(text, Map.of());
    }

    /** @param names what names were said to be by hand: key of the printed name to INCI, or to "" for no ingredient */
    static Label read(String text, Map<String, String> names) {
        return read(text, names, OwnIngredients.NONE);
    }

    /** @param own what the practice has said of ingredients */
    static Label read(String text, Map<String, String> names, OwnIngredients own) {
        Read read = tokens(text);
        return LabelRanges.infer(read.tokens().stream()
                        .filter(t -> !"".equals(names.get(Ingredients.key(t.name()))))
                        .map(t -> match(t, names, own))
                        .toList())
                .leaving(read.left());
    }

    /** A token with what it was matched to. */
    record Matched(Token token, Substances.Meant meant) {
        Optional<Ingredient> ingredient() {
            return meant.ingredient();
        }
    }

    private static Matched match(Token token, Map<String, String> names, OwnIngredients own) {
        String said = names.get(Ingredients.key(token.name()));
        Substances.Meant meant = said == null
                ? Substances.of(token.name())
                : Ingredients.find(said).map(Substances.Meant::sure).orElse(Substances.Meant.UNKNOWN);
        return new Matched(token, own.of(said == null ? token.name() : said, meant));
    }

    private record Read(List<Token> tokens, List<String> left) {}

    private static Read tokens(String text) {
        PackText pack = PackText.of(text);
        List<Token> tokens = new ArrayList<>();
        List<String> left = new ArrayList<>(pack.left());
        pack.panel().forEach(t -> token(t, false, true).ifPresent(tokens::add));
        int place = 0;
        boolean over = false;
        for (String part : Separators.split(pack.list())) {
            Cut cut = cut(part);
            for (String name : over ? List.<String>of() : cut.names()) {
                Optional<Token> token = token(percented(name, pack.grams()), false, false);
                place += token.isPresent() ? 1 : 0;
                int at = place;
                token.map(t -> possible(t, at)).ifPresent(tokens::add);
            }
            if (over) {
                left.set(left.size() - 1, left.getLast() + "," + part);
            } else {
                left.add(cut.left());
            }
            over |= !cut.left().isEmpty();
        }
        Separators.split(pack.perhaps()).forEach(t -> token(t, true, false).ifPresent(tokens::add));
        return new Read(
                tokens,
                left.stream().map(String::strip).filter(l -> !l.isEmpty()).toList());
    }

    /** Far down a descending list the k-th holds at most 100 / k percent; what says more is a grade of the raw material. */
    private static Token possible(Token t, int place) {
        return place > GRADE_AFTER && t.declared().isPresent() && t.declared().getAsDouble() > 100.0 / place
                ? new Token(t.name(), OptionalDouble.empty(), t.mayContain(), t.activePanel())
                : t;
    }

    /** So far up some makers print what they praise out of its order. */
    private static final int GRADE_AFTER = 3;

    private static final Pattern WEIGHED = Pattern.compile("(?iu)(\\d+(?:[.,]\\d+)?)\\s*(mg|g)\\b");

    /** "7.5 mg" in a gram is 0.75 %. */
    static String percented(String name, double grams) {
        Matcher weighed = WEIGHED.matcher(name);
        if (grams == 0 || !weighed.find()) {
            return name;
        }
        double amount = Double.parseDouble(weighed.group(1).replace(',', '.'));
        double share = 100 * amount / grams / (weighed.group(2).equalsIgnoreCase("mg") ? 1000 : 1);
        if (share > 100) {
            return name;
        }
        return weighed.replaceFirst(Matcher.quoteReplacement(LabelRanges.number(share) + " %"));
    }

    /**
     * What stands between two separators.
     *
     * @param names in it, mostly one
     * @param left what of it is a claim, an address or a warning; it and all that follows is no ingredient
     */
    private record Cut(List<String> names, String left) {}

    private static Cut cut(String part) {
        String whole = part.strip();
        String line = SPACES.matcher(whole).replaceAll(" ");
        if (listed(line)) {
            return new Cut(List.of(line), "");
        }
        Matcher end = END.matcher(whole);
        List<String> before = new ArrayList<>();
        int from = 0;
        while (end.find()) {
            String head = SPACES.matcher(whole.substring(from, end.start())).replaceAll(" ");
            String tail = whole.substring(end.end()).strip();
            boolean stop = end.group().startsWith(".");
            Matcher more = MORE.matcher(tail);
            if (known(head) && more.matches()) {
                // allergens that a pack names behind its list are in it like all the rest
                return new Cut(
                        Stream.of(before.stream(), joined(head), joined(more.group(1)))
                                .flatMap(s -> s)
                                .toList(),
                        "");
            }
            if (stop && known(head) && listed(tail.split("\\.\\s+")[0])) {
                // full stops between names only part them
                joined(head).forEach(before::add);
                from = end.end();
            } else if (talks(tail) || (stop && known(head))) {
                return new Cut(Stream.concat(before.stream(), joined(head)).toList(), tail);
            }
        }
        if (!before.isEmpty()) {
            return new Cut(
                    Stream.concat(before.stream(), joined(whole.substring(from)))
                            .toList(),
                    "");
        }
        String[] lines = whole.split("\\R");
        if (lines.length > 1 && Stream.of(lines).anyMatch(LabelReader::known)) {
            return new Cut(Stream.of(lines).flatMap(LabelReader::joined).toList(), "");
        }
        return new Cut(joined(line).toList(), "");
    }

    private static final Pattern MORE = Pattern.compile("(?ius)(?:" + PackWords.CONTAINS + ")\\s*:?\\s+(.+)");

    /** Where a sentence may begin behind a name. */
    private static final Pattern END = Pattern.compile("\\.\\s+|\\R");

    private static boolean talks(String text) {
        return TALK.matcher(text).find();
    }

    /** "A (and) B" and "A and B" are two; so are "A / B", for a slash with spaces names a mixture of two. */
    private static final Pattern AND =
            Pattern.compile("(?i)\\s*[\\[(]\\s*(?:and|&|et|und)\\s*[\\])]\\s*|\\s+(?:and|&)\\s+");

    private static final Pattern SPACED_OVER = Pattern.compile("\\s+/\\s+");
    private static final Pattern OVER = Pattern.compile("\\s*/\\s*");

    /** One name, or several that the maker printed as one, when each is known by itself and the whole is not. */
    private static Stream<String> joined(String part) {
        if (find(part.strip()).isPresent()) {
            return Stream.of(part);
        }
        for (Pattern joint : List.of(AND, SPACED_OVER, OVER)) {
            String[] each = joint.split(part.strip());
            if (each.length > 1 && Stream.of(each).allMatch(LabelReader::known)) {
                return Stream.of(each);
            }
        }
        return Stream.of(part);
    }

    static boolean known(String part) {
        String name = named(part);
        return !name.isEmpty()
                && (find(name).isPresent() || Families.taken(name).isPresent());
    }

    private static boolean listed(String part) {
        return find(named(part)).isPresent();
    }

    private static String named(String part) {
        return unbroken(PERCENT.matcher(MARKS.matcher(part).replaceAll("")).replaceAll(""))
                .strip()
                .replaceAll("[.:]$", "")
                .strip();
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
        text = unbroken(text);
        if ((text.endsWith(".") || text.endsWith(":")) && find(text).isEmpty()) {
            text = text.substring(0, text.length() - 1).strip();
        }
        if (activePanel) {
            // what an active is for stands in brackets behind it on some panels
            text = text.replaceAll("\\s*\\([^)]*\\)\\s*$", "");
        }
        return text.isEmpty() ? Optional.empty() : Optional.of(new Token(text, declared, mayContain, activePanel));
    }

    /** A name broken at a line's end, with or without its hyphen: as it is known; else as its letters have it. */
    private static String unbroken(String name) {
        if (name.indexOf(PackText.BROKEN) < 0) {
            return name;
        }
        String broken = String.valueOf(PackText.BROKEN);
        String joined = name.replace(broken, "");
        String kept = name.replace(broken, "-");
        if (find(joined.strip()).isPresent() || find(kept.strip()).isPresent()) {
            return find(joined.strip()).isPresent() ? joined : kept;
        }
        int at = name.indexOf(PackText.BROKEN);
        boolean newWord = at > 0
                && at + 1 < name.length()
                && Character.isUpperCase(name.charAt(at + 1))
                && Character.isLowerCase(name.charAt(at - 1));
        return newWord ? kept : joined;
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
        // "Sunflower (Helianthus Annuus) Seed Oil": the brackets hold the beginning of the name
        if (bracket.find() && bracket.end() < name.length()) {
            Optional<Ingredient> latin = Ingredients.find(bracket.group(1) + name.substring(bracket.end()));
            if (latin.isPresent()) {
                return latin;
            }
        }
        bracket.reset();
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

package outfell.product;

import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** The words by which a pack's text is taken apart, from label-markers.yaml, as parts of patterns. */
final class PackWords {
    private static final Row WORDS = KnowledgeFile.yaml("label-markers.yaml").row("words");

    static final String LISTS = any("lists");
    static final String REST = any("rest");
    static final String OPENING = any("opening");
    static final String PANEL = any("panel") + "|(?:" + any("panel-before-colon") + ")(?=\\s*:)";
    static final String PRAISED = any("praised");
    static final String MAY_CONTAIN = any("may-contain");
    static final String CONTAINS = any("contains");
    static final String TALK = any("talk");
    static final String TRACES = any("traces");
    private static final String FREE_BEFORE = any("free-before");
    private static final String FREE_BEHIND = any("free-behind");

    /** What a text says that a thing is without: "without lanolin", "perfume-free". */
    private static final Pattern FREE = Pattern.compile("(?iu)(?<!\\p{L})(?:" + FREE_BEFORE
            + ")\\s+(?:added\\s+)?\\p{L}+|\\p{L}+[\\s-]*(?:" + FREE_BEHIND + ")\\b(?!\\s+(?:from|of)\\b)");

    /** The same with all that a list behind it names: "free from lanolin, parabens and perfume." */
    private static final Pattern ALL_FREE = Pattern.compile("(?iu)(?<!\\p{L})(?:" + FREE_BEFORE
            + ")\\s.*?(?=[.;\\n]|$|(?<!\\p{L})(?:" + TRACES + "|" + MAY_CONTAIN + "|" + CONTAINS
            + "))|\\p{L}+[\\s-]*(?:" + FREE_BEHIND + ")\\b(?!\\s+(?:from|of)\\b)");

    private PackWords() {}

    /** A name without what it says it is free of. */
    static String claimed(String name) {
        return FREE.matcher(name).replaceAll(" ");
    }

    /** A sentence of a pack without what it says it is free of. */
    static String said(String text) {
        return ALL_FREE.matcher(text).replaceAll(" ");
    }

    private static String any(String key) {
        List<String> words = WORDS.texts(key);
        if (words.isEmpty()) {
            throw WORDS.fault("\"%s\" names no word".formatted(key));
        }
        return words.stream()
                .sorted(Comparator.comparingInt(String::length).reversed())
                .map(PackWords::part)
                .collect(Collectors.joining("|"));
    }

    private static String part(String word) {
        String stem = word.endsWith("*") ? word.substring(0, word.length() - 1) : word;
        String spaced = List.of(stem.split(" ")).stream().map(Pattern::quote).collect(Collectors.joining("\\s+"));
        return word.endsWith("*") ? spaced + "\\w*" : spaced;
    }
}

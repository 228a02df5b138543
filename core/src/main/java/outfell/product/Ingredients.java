package outfell.product;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;
import outfell.knowledge.KnowledgeFault;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Lexicon;
import outfell.knowledge.Row;
import outfell.knowledge.Sources;

/** The ingredient table with its synonyms, from ingredients.csv and synonyms.yaml. */
public final class Ingredients {
    private static final Pattern SLASH = Pattern.compile("\\s*/\\s*");
    private static final Pattern SPACES = Pattern.compile("[\\s\\u00a0]+");
    private static final String FILE = "ingredients.csv";
    private static final List<Ingredient> ALL = new ArrayList<>();
    private static final Map<String, Ingredient> BY_NAME = new HashMap<>();
    private static final Map<String, Ingredient> BY_COMMON = new HashMap<>();
    private static final Map<String, Ingredient> ROWS = new HashMap<>();
    /** By INCI name, as they are written. */
    private static final Map<String, List<String>> NAMES = new HashMap<>();

    static {
        for (CSVRecord row : KnowledgeFile.csv(FILE)) {
            add(row);
        }
        for (Row row : KnowledgeFile.yaml("synonyms.yaml").rows("synonyms")) {
            synonym(row);
        }
    }

    private Ingredients() {}

    /** INCI names of what a word means as a whole name, whatever slip of the pen is in it. */
    public static Set<String> meant(String word) {
        return called(word)
                .map(Ingredient::inci)
                .or(() -> Spelling.likeliest(word))
                .map(Set::of)
                .orElse(Set.of());
    }

    /** Words that clients reacted to, looked for in every name once; beyond so many the oldest is looked for again. */
    private static final int WORDS_KEPT = 1000;

    private static final Map<String, Set<String>> HOLDING =
            java.util.Collections.synchronizedMap(new java.util.LinkedHashMap<>() {
                private static final long serialVersionUID = 1L;

                @Override
                protected boolean removeEldestEntry(Map.Entry<String, Set<String>> eldest) {
                    return size() > WORDS_KEPT;
                }
            });

    /** INCI names of everything among whose names these words stand whole, one slip in a long word looked through. */
    public static Set<String> holding(String words) {
        Set<String> known = HOLDING.get(words);
        if (known == null) {
            known = found(words);
            HOLDING.put(words, known);
        }
        return known;
    }

    private static Set<String> found(String words) {
        Lexicon<String> wanted = new Lexicon<>(List.of(new Lexicon.Entry<>(words, List.of(words), List.of())), true);
        return ALL.stream()
                .filter(i -> Stream.of(i.inci(), i.common(), i.us())
                        .anyMatch(n -> wanted.of(n).stream()
                                .anyMatch(h -> h.certainty().binds())))
                .map(Ingredient::inci)
                .collect(Collectors.toUnmodifiableSet());
    }

    /** By what people call it: its names on labels first, then its common one. */
    static Optional<Ingredient> called(String words) {
        return find(words).or(() -> Optional.ofNullable(BY_COMMON.get(key(words))));
    }

    public static List<Ingredient> all() {
        return List.copyOf(ALL);
    }

    /** Whether it is a row of the table as it ships, and not what a stem or a practice makes of a name. */
    static boolean isOfTheTable(Ingredient ingredient) {
        return ROWS.get(ingredient.inci()) == ingredient;
    }

    /** Every name of an ingredient: INCI and common first, then the others as they are written. */
    public static List<String> namesOf(Ingredient ingredient) {
        return NAMES.getOrDefault(ingredient.inci(), List.of());
    }

    /** Every name with what it stands for, in no order. */
    static Map<String, Ingredient> names() {
        return java.util.Collections.unmodifiableMap(BY_NAME);
    }

    /** Matches a whole name, whatever its case and spacing; never a part of one. */
    public static Optional<Ingredient> find(String name) {
        return Optional.ofNullable(BY_NAME.get(key(name)));
    }

    /** @throws IllegalArgumentException when the table has no such name */
    public static Ingredient named(String name) {
        return find(name)
                .orElseThrow(() -> new IllegalArgumentException("No ingredient is named \"%s\".".formatted(name)));
    }

    /** Case, accents, repeated spaces and the spaces around slashes carry no meaning on a label. */
    static String key(String name) {
        String lower = Lexicon.plain(name);
        String slashed = lower.indexOf('/') < 0 ? lower : SLASH.matcher(lower).replaceAll("/");
        return SPACES.matcher(slashed).replaceAll(" ").strip();
    }

    private static void add(CSVRecord row) {
        int line = (int) row.getParser().getCurrentLineNumber();
        try {
            Ingredient ingredient = new Ingredient(
                    row.get("inci"),
                    row.get("common_name"),
                    tags(row.get("function_tags")),
                    Double.parseDouble(row.get("use_pct_min")),
                    Double.parseDouble(row.get("use_pct_max")),
                    Integer.parseInt(row.get("irritancy_0_4")),
                    row.get("comedogenic").equals("high"),
                    row.get("notes"),
                    row.get("us_name"),
                    Ingredient.Origin.valueOf(row.get("origin").toUpperCase(Locale.ROOT)),
                    row.get("solubility"),
                    number(row.get("ph_min")),
                    number(row.get("ph_max")),
                    row.get("legal_anchor"),
                    row.get("comedogenic"),
                    row.get("source"));
            if (!Sources.all().containsKey(row.get("source"))) {
                throw new IllegalArgumentException("%s names the source \"%s\", which is not in sources.yaml."
                        .formatted(row.get("inci"), row.get("source")));
            }
            ALL.add(ingredient);
            ROWS.put(ingredient.inci(), ingredient);
            BY_COMMON.putIfAbsent(key(ingredient.common()), ingredient);
            name(ingredient.inci(), ingredient, line);
            NAMES.computeIfAbsent(ingredient.inci(), _ -> new ArrayList<>()).add(ingredient.common());
            String us = row.get("us_name");
            if (!us.equals("-") && !key(us).equals(key(ingredient.inci())) && !us.equals("Iron Oxides")) {
                name(us, ingredient, line);
            }
        } catch (IllegalArgumentException wrong) {
            throw new KnowledgeFault(FILE, line, String.valueOf(wrong.getMessage()));
        }
    }

    private static OptionalDouble number(String text) {
        return text.isBlank() ? OptionalDouble.empty() : OptionalDouble.of(Double.parseDouble(text));
    }

    private static Set<Tag> tags(String text) {
        Set<Tag> tags = EnumSet.noneOf(Tag.class);
        for (String tag : text.split(";")) {
            tags.add(Tag.valueOf(tag.strip().toUpperCase(Locale.ROOT)));
        }
        return tags;
    }

    private static void synonym(Row row) {
        String inci = row.text("inci");
        Ingredient of = BY_NAME.get(key(inci));
        if (of == null) {
            throw row.fault("no ingredient is named \"%s\"".formatted(inci));
        }
        for (String said : List.of("names", "ko", "ja")) {
            row.texts(said).forEach(n -> name(n, of, 0));
        }
        row.done();
    }

    private static void name(String name, Ingredient ingredient, int line) {
        NAMES.computeIfAbsent(ingredient.inci(), _ -> new ArrayList<>()).add(name);
        Ingredient before = BY_NAME.put(key(name), ingredient);
        if (before != null && before != ingredient) {
            throw new KnowledgeFault(
                    FILE,
                    line,
                    "the name \"%s\" stands for %s and %s".formatted(name, before.inci(), ingredient.inci()));
        }
    }
}

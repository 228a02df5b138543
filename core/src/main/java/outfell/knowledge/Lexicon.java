package outfell.knowledge;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * Names and what they stand for: the one way in which labels, allergies, medicines and searches ask what a text means.
 *
 * <p>A name is one or more words that stand whole and side by side; a word with a star stands for every word that begins so
 * ({@code retin*}), ends so ({@code *mycin}) or holds it ({@code *cortison*}). Case, accents and every sign that is neither
 * letter nor digit carry no meaning.
 */
public final class Lexicon<T> {
    private static final Pattern ACCENTS = Pattern.compile("\\p{M}");
    private static final Pattern SIGNS = Pattern.compile("[^\\p{L}\\p{N}]+");
    /** Letters from which one slip, and from which two, leave a word recognisable; house rule. */
    private static final int ONE_SLIP = 6;

    private static final int TWO_SLIPS = 9;

    /**
     * An entry.
     *
     * @param names as above, at least one
     * @param but names that mean something else although they hold one of these
     */
    public record Entry<T>(T meaning, List<String> names, List<String> but) {
        public Entry {
            names = List.copyOf(names);
            but = List.copyOf(but);
        }
    }

    /**
     * What a text was taken for.
     *
     * @param by the name of the entry that was found in it
     */
    public record Hit<T>(T meaning, Certainty certainty, String by) {}

    /** A name with the number of the entry that it belongs to. */
    private record Listed(int entry, Name name) {}

    private final List<Entry<T>> entries;
    private final List<List<Name>> but;
    private final List<Listed> names = new ArrayList<>();
    private final boolean forgiving;
    /** Names by what their first word is, or begins with; a text asks for its words and for every beginning of them. */
    private final Map<String, List<Listed>> byWord = new HashMap<>();

    private final Map<String, List<Listed>> byBeginning = new HashMap<>();
    /** Names whose first word may begin with anything. */
    private final List<Listed> open = new ArrayList<>();

    /** @param forgiving whether a slip of the pen in a long word is looked through */
    public Lexicon(List<Entry<T>> entries, boolean forgiving) {
        this.entries = List.copyOf(entries);
        this.forgiving = forgiving;
        this.but = entries.stream()
                .map(e -> e.but().stream().map(Name::of).toList())
                .toList();
        for (int i = 0; i < entries.size(); i++) {
            for (String written : entries.get(i).names()) {
                list(new Listed(i, Name.of(written)));
            }
        }
    }

    private void list(Listed listed) {
        if (listed.name().words().isEmpty()) {
            throw new IllegalArgumentException(
                    "The name \"%s\" has no word.".formatted(listed.name().written()));
        }
        names.add(listed);
        Word first = listed.name().words().getFirst();
        if (first.ends()) {
            open.add(listed);
        } else {
            (first.begins() ? byBeginning : byWord)
                    .computeIfAbsent(first.letters(), _ -> new ArrayList<>())
                    .add(listed);
        }
    }

    /**
     * Everything that a text means, surest first, then in the order of the entries; each meaning once. A word that is written as a
     * name begins is no slip for another name.
     */
    public List<Hit<T>> of(String text) {
        List<String> words = words(text);
        Map<Integer, Hit<T>> hits = new TreeMap<>();
        BitSet asWritten = new BitSet();
        for (int at = 0; at < words.size(); at++) {
            for (Listed listed : maybeAt(words.get(at))) {
                Name name = listed.name();
                if (name.standsAt(words, at)) {
                    keep(hits, listed, name.certainty());
                    if (name.spelt()) {
                        asWritten.set(at, at + name.words().size());
                    }
                }
            }
        }
        if (forgiving) {
            names.forEach(listed -> listed.name().slipped(words, asWritten).ifPresent(c -> keep(hits, listed, c)));
        }
        hits.keySet().removeIf(i -> but.get(i).stream().anyMatch(n -> n.standsIn(words)));
        return hits.values().stream()
                .sorted(Comparator.comparing(Hit::certainty))
                .toList();
    }

    private List<Listed> maybeAt(String word) {
        List<Listed> all = new ArrayList<>(byWord.getOrDefault(word, List.of()));
        for (int length = 1; length <= word.length(); length++) {
            all.addAll(byBeginning.getOrDefault(word.substring(0, length), List.of()));
        }
        all.addAll(open);
        return all;
    }

    private void keep(Map<Integer, Hit<T>> hits, Listed listed, Certainty certainty) {
        Hit<T> hit = new Hit<>(
                entries.get(listed.entry()).meaning(), certainty, listed.name().written());
        hits.merge(listed.entry(), hit, (old, next) -> next.certainty().compareTo(old.certainty()) < 0 ? next : old);
    }

    /** The words of a text: lower case, without accents and signs. */
    public static List<String> words(String text) {
        return SIGNS.splitAsStream(plain(text)).filter(w -> !w.isEmpty()).toList();
    }

    /** Lower case and without accents. */
    public static String plain(String text) {
        boolean ascii = text.chars().allMatch(c -> c < ASCII);
        String bare = ascii
                ? text
                : ACCENTS.matcher(Normalizer.normalize(text, Normalizer.Form.NFKD))
                        .replaceAll("");
        return bare.toLowerCase(Locale.ROOT);
    }

    /** Letters below it have no accents to be taken off. */
    private static final int ASCII = 128;

    /** A name made ready once, to be looked for in many texts. */
    public static final class Phrase {
        private final Name name;

        private Phrase(Name name) {
            this.name = name;
        }

        /** @param text words of a text, as {@link Lexicon#words} has them */
        public boolean standsIn(List<String> text) {
            return name.standsIn(text);
        }
    }

    public static Phrase phrase(String wanted) {
        return new Phrase(Name.of(wanted));
    }

    /** Whether one text stands in another, word for word. */
    public static boolean standsIn(String wanted, String text) {
        return Name.of(wanted).standsIn(words(text));
    }

    /** Letters that differ between two words, or nothing when they are too far apart or too short to tell. */
    static Optional<Integer> slips(String wanted, String typed) {
        int most = wanted.length() >= TWO_SLIPS ? 2 : wanted.length() >= ONE_SLIP ? 1 : 0;
        int apart = new LevenshteinDistance(most).apply(wanted, typed);
        return apart < 0 || most == 0 ? Optional.empty() : Optional.of(apart);
    }

    /** @param written as in the table */
    private record Name(String written, List<Word> words) {
        static Name of(String written) {
            List<Word> words = new ArrayList<>();
            for (String each : written.strip().split("\\s+")) {
                boolean inside = each.startsWith("*");
                boolean stem = each.endsWith("*") && each.length() > 1;
                String bare = each.replace("*", "");
                List<String> parts = Lexicon.words(bare);
                for (int i = 0; i < parts.size(); i++) {
                    words.add(new Word(parts.get(i), inside && i == 0, stem && i == parts.size() - 1));
                }
            }
            return new Name(written, List.copyOf(words));
        }

        boolean standsIn(List<String> text) {
            return IntStream.rangeClosed(0, text.size() - words.size()).anyMatch(at -> standsAt(text, at));
        }

        boolean standsAt(List<String> text, int at) {
            for (int i = 0; i < words.size(); i++) {
                if (at + i >= text.size() || !words.get(i).is(text.get(at + i))) {
                    return false;
                }
            }
            return true;
        }

        /** Whether what stands here is this name and hardly another's slip: each word begins as the name's, which is long enough to tell. */
        boolean spelt() {
            return words.stream().noneMatch(w -> w.ends() || w.letters().length() < ONE_SLIP);
        }

        /** How sure a name is that stands in a text as it is written. */
        Certainty certainty() {
            return words.stream().anyMatch(Word::open) ? Certainty.LIKELY : Certainty.SURE;
        }

        /** How sure it is that it stands there with a slip of the pen; nothing when it does not. */
        Optional<Certainty> slipped(List<String> text, BitSet asWritten) {
            int least = IntStream.rangeClosed(0, text.size() - words.size())
                    .map(at -> IntStream.range(0, words.size())
                            .map(i -> words.get(i).slips(text.get(at + i), asWritten.get(at + i)))
                            .sum())
                    .min()
                    .orElse(Word.FAR);
            return least == 1
                    ? Optional.of(Certainty.LIKELY)
                    : least == 2 ? Optional.of(Certainty.GUESS) : Optional.empty();
        }
    }

    /**
     * @param ends whether any word that ends so is meant
     * @param begins whether any word that begins so is meant; with both, any that holds it
     */
    private record Word(String letters, boolean ends, boolean begins) {
        static final int FAR = 100;

        boolean open() {
            return begins || ends;
        }

        boolean is(String typed) {
            return begins && ends
                    ? typed.contains(letters)
                    : begins ? typed.startsWith(letters) : ends ? typed.endsWith(letters) : typed.equals(letters);
        }

        /** Letters that would have to change; of a stem, in the beginning of what was typed. What is another name as written has none. */
        int slips(String typed, boolean asWritten) {
            if (is(typed)) {
                return 0;
            }
            if (ends || asWritten) {
                return FAR;
            }
            return begins
                    ? IntStream.rangeClosed(letters.length() - 1, letters.length() + 1)
                            .filter(n -> n <= typed.length())
                            .map(n -> Lexicon.slips(letters, typed.substring(0, n))
                                    .orElse(FAR))
                            .min()
                            .orElse(FAR)
                    : Lexicon.slips(letters, typed).orElse(FAR);
        }
    }
}

package outfell.product;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.text.similarity.LevenshteinDistance;
import outfell.knowledge.Because;

/**
 * What an unknown name may have been meant for: the nearest names of the table, offered and never taken by itself. Letters
 * that a camera or a hurried eye confuses count as the same: l and I, 0 and O, rn and m, vv and w, 5 and S, 8 and B, e and c; and a space that
 * a broken line puts into a word.
 */
public final class Spelling {
    private static final int SHORTEST = 4;
    private static final int LONG = 8;
    private static final int MOST = 3;

    /**
     * A name that may have been meant.
     *
     * @param slips letters that would have to change, at least 0; 0 when only confusable letters differ
     */
    public record Guess(String inci, int slips, Because because) {}

    /** @param letters which letters there are, a bit each; one slip changes two of them at most */
    private record Named(String folded, int letters, Ingredient ingredient) {}

    private static final Map<Integer, List<Named>> BY_LENGTH = byLength();

    private Spelling() {}

    /** Nearest first, at most three; none when nothing is near enough or the name is too short to tell. */
    public static List<Guess> of(String name) {
        String wanted = fold(name);
        if (wanted.length() < SHORTEST || Ingredients.find(name).isPresent()) {
            return List.of();
        }
        int most = wanted.length() >= LONG ? 2 : 1;
        int letters = letters(wanted);
        LevenshteinDistance distance = new LevenshteinDistance(most);
        Map<Ingredient, Integer> nearest = new HashMap<>();
        for (int length = wanted.length() - most; length <= wanted.length() + most; length++) {
            for (Named named : BY_LENGTH.getOrDefault(length, List.of())) {
                int slips = Integer.bitCount(letters ^ named.letters()) > 2 * most
                        ? -1
                        : distance.apply(wanted, named.folded());
                if (slips >= 0) {
                    nearest.merge(named.ingredient(), slips, Math::min);
                }
            }
        }
        return nearest.entrySet().stream()
                .sorted(Comparator.comparing((Map.Entry<Ingredient, Integer> e) -> e.getValue())
                        .thenComparing(e -> e.getKey().inci()))
                .limit(MOST)
                .map(e -> guess(name, e.getKey(), e.getValue()))
                .toList();
    }

    private static Guess guess(String name, Ingredient ingredient, int slips) {
        String how = slips == 0
                ? "letters that look alike differ"
                : slips == 1 ? "one letter differs" : slips + " letters differ";
        return new Guess(
                ingredient.inci(),
                slips,
                Because.house("\"%s\" may be %s: %s. Look at the pack.".formatted(name, ingredient.inci(), how)));
    }

    private static int letters(String word) {
        return word.chars().reduce(0, (bits, c) -> bits | 1 << (c % Integer.SIZE));
    }

    static String fold(String name) {
        return Ingredients.key(name)
                .replace(" ", "")
                .replace("vv", "w")
                .replace("rn", "m")
                .replace('0', 'o')
                .replace('1', 'l')
                .replace('|', 'l')
                .replace('i', 'l')
                .replace('5', 's')
                .replace('8', 'b')
                .replace('e', 'c')
                .toLowerCase(Locale.ROOT);
    }

    private static Map<Integer, List<Named>> byLength() {
        Map<Integer, List<Named>> all = new HashMap<>();
        Ingredients.names().forEach((name, ingredient) -> {
            String folded = fold(name);
            all.computeIfAbsent(folded.length(), l -> new ArrayList<>())
                    .add(new Named(folded, letters(folded), ingredient));
        });
        return Map.copyOf(all);
    }

    /** The likeliest single name, when it stands alone at the least distance. */
    public static Optional<String> likeliest(String name) {
        return likeliest(name, 2);
    }

    /** The same, when no more than so many letters would have to change. */
    static Optional<String> likeliest(String name, int slips) {
        return alone(of(name), slips);
    }

    /** Of guesses, nearest first, the one that stands alone within so many slips. */
    static Optional<String> alone(List<Guess> all, int slips) {
        List<Guess> guesses = all.stream().filter(g -> g.slips() <= slips).toList();
        boolean alone = guesses.size() == 1
                || (guesses.size() > 1
                        && guesses.get(0).slips() < guesses.get(1).slips());
        return alone ? Optional.of(guesses.getFirst().inci()) : Optional.empty();
    }
}

package outfell.safety;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import outfell.knowledge.Certainty;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Lexicon;
import outfell.knowledge.Row;
import outfell.product.Ingredients;
import outfell.product.LabelLine;
import outfell.product.Product;
import outfell.product.Tag;

/** What a client means by the words for an allergy, from allergies.yaml and the ingredient table. */
final class Allergies {
    /**
     * @param asks the question that asks for it; empty where none does
     * @param tags what is out where no question has a row of its own
     * @param whole whether the words mean all of it, or one thing of it
     */
    private record Kind(String asks, String label, Set<Tag> tags, boolean whole) {}

    private record NotMeant(String word, List<String> not) {}

    /**
     * What a word was taken for.
     *
     * @param word as typed
     * @param asks questions to ask back
     * @param tags that are out
     * @param ingredients INCI names that are out
     * @param byText whether a label that holds the word itself is out, too
     * @param not names that it does not mean
     */
    record Meant(
            String word, List<String> asks, Set<Tag> tags, Set<String> ingredients, boolean byText, List<String> not) {
        boolean known() {
            return !asks.isEmpty() || !tags.isEmpty() || !ingredients.isEmpty();
        }

        /** What of a product is meant, as printed. */
        Optional<String> in(Product product) {
            return lines(product).stream()
                    .filter(this::is)
                    .map(LabelLine::printed)
                    .findFirst()
                    .or(() -> byText && Lexicon.standsIn(word, product.name()) && !excepted(product.name())
                            ? Optional.of(product.name())
                            : Optional.empty());
        }

        private boolean is(LabelLine line) {
            return line.is(tags)
                    || line.named(ingredients)
                    || (byText
                            && (Lexicon.standsIn(word, line.printed()) || Lexicon.standsIn(word, line.common()))
                            && !excepted(line.printed())
                            && !excepted(line.common()));
        }

        private boolean excepted(String text) {
            return not.stream().anyMatch(n -> Lexicon.standsIn(n, text));
        }

        private static List<LabelLine> lines(Product product) {
            List<LabelLine> all = new ArrayList<>(product.label().claimed());
            all.addAll(product.label().lines());
            return all;
        }
    }

    private static final Row FILE = KnowledgeFile.yaml("allergies.yaml");
    private static final Lexicon<String> GENERIC =
            new Lexicon<>(List.of(new Lexicon.Entry<>("generic", FILE.texts("generic"), List.of())), false);
    private static final List<NotMeant> NOT = FILE.rows("not").stream()
            .map(r -> new NotMeant(r.text("word"), r.texts("not")))
            .toList();
    private static final Lexicon<Kind> LEXICON = lexicon();

    private Allergies() {}

    static Meant of(String word) {
        Set<String> asks = new LinkedHashSet<>();
        Set<Tag> tags = EnumSet.noneOf(Tag.class);
        for (Lexicon.Hit<Kind> hit : LEXICON.of(word)) {
            if (hit.certainty() != Certainty.GUESS || !hit.meaning().whole()) {
                if (!hit.meaning().asks().isEmpty()) {
                    asks.add(hit.meaning().asks());
                }
                tags.addAll(hit.meaning().tags());
            }
        }
        boolean generic =
                Lexicon.words(word).stream().allMatch(w -> !GENERIC.of(w).isEmpty());
        return new Meant(
                word,
                List.copyOf(asks),
                Set.copyOf(tags),
                tags.isEmpty() ? ingredients(word, generic) : Set.of(),
                !generic,
                NOT.stream()
                        .filter(n -> Lexicon.standsIn(n.word(), word))
                        .flatMap(n -> n.not().stream())
                        .toList());
    }

    /** Whole names, else names that are one slip of the pen away, else what holds the word among its names. */
    private static Set<String> ingredients(String word, boolean generic) {
        Set<String> found = new LinkedHashSet<>(Ingredients.meant(word));
        if (!generic) {
            found.addAll(Ingredients.holding(word));
        }
        return found;
    }

    private static Lexicon<Kind> lexicon() {
        List<Lexicon.Entry<Kind>> entries = new ArrayList<>();
        for (Row row : FILE.rows("allergies")) {
            String asks = row.text("asks", "");
            Set<Tag> own = EnumSet.noneOf(Tag.class);
            own.addAll(row.several("tags", Tag.class));
            String label = row.text("label", asks);
            Set<Tag> tags = asks.isEmpty() ? own : Rule.of(asks, row).tags();
            entries.add(new Lexicon.Entry<>(new Kind(asks, label, tags, true), row.texts("words"), List.of()));
            if (!row.texts("members").isEmpty()) {
                entries.add(
                        new Lexicon.Entry<>(new Kind(asks, label, Set.of(), false), row.texts("members"), List.of()));
            }
            row.done();
        }
        return new Lexicon<>(entries, true);
    }
}

package outfell.safety;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Lexicon;
import outfell.knowledge.Row;
import outfell.product.AnnexGroups;
import outfell.product.Ingredients;
import outfell.product.LabelLine;
import outfell.product.Product;
import outfell.product.Tag;

/** What a client means by the words for an allergy, from allergies.yaml and the ingredient table. */
final class Allergies {
    /**
     * @param asks the question that asks for it; empty where none does
     * @param tags what is out
     */
    private record Kind(String asks, Set<Tag> tags) {}

    private record NotMeant(String word, List<String> not) {}

    /**
     * What a word was taken for.
     *
     * @param word as typed
     * @param asks questions to ask back
     * @param tags that are out
     * @param ingredients INCI names that are out
     * @param answered whether a row that it means has been answered
     * @param byText whether a label that holds the word itself is out, too
     * @param not names that it does not mean
     */
    record Meant(
            String word,
            List<String> asks,
            Set<Tag> tags,
            Set<String> ingredients,
            boolean answered,
            boolean byText,
            List<String> not) {
        boolean known() {
            return answered || !tags.isEmpty() || !ingredients.isEmpty();
        }

        /** What of a product is meant, as printed. */
        Optional<String> in(Product product) {
            return product.label()
                    .all()
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
    }

    private static final Row FILE = KnowledgeFile.yaml("allergies.yaml");
    private static final Lexicon<String> GENERIC =
            new Lexicon<>(List.of(new Lexicon.Entry<>("generic", FILE.texts("generic"), List.of())), false);
    private static final List<NotMeant> NOT = FILE.rows("not").stream()
            .map(r -> new NotMeant(r.text("word"), r.texts("not")))
            .toList();
    private static final Lexicon<Kind> LEXICON = lexicon();

    private Allergies() {}

    /** @param answers to the rows that a word may mean: once a row is answered, the word means no more than it says */
    static Meant of(String word, Answers answers) {
        Set<String> asks = new LinkedHashSet<>();
        Set<Tag> tags = EnumSet.noneOf(Tag.class);
        boolean answered = false;
        for (Lexicon.Hit<Kind> hit : LEXICON.of(word)) {
            Kind kind = hit.meaning();
            boolean open = kind.asks().isEmpty() || answers.to(kind.asks()).isEmpty();
            answered |= !open;
            if (open && hit.certainty().binds()) {
                tags.addAll(kind.tags());
                if (!kind.asks().isEmpty()) {
                    asks.add(kind.asks());
                }
            }
        }
        boolean generic =
                Lexicon.words(word).stream().allMatch(w -> !GENERIC.of(w).isEmpty());
        return new Meant(
                word,
                List.copyOf(asks),
                Set.copyOf(tags),
                ingredients(word, generic),
                answered,
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
        return AnnexGroups.with(found);
    }

    private static Lexicon<Kind> lexicon() {
        List<Lexicon.Entry<Kind>> entries = new ArrayList<>();
        for (Row row : FILE.rows("allergies")) {
            String asks = row.text("asks", "");
            Set<Tag> own = EnumSet.noneOf(Tag.class);
            own.addAll(row.several("tags", Tag.class));
            Set<Tag> tags = asks.isEmpty() ? own : Rule.of(asks, row).tags();
            entries.add(new Lexicon.Entry<>(new Kind(asks, tags), row.texts("words"), List.of()));
            row.done();
        }
        return new Lexicon<>(entries, true);
    }
}

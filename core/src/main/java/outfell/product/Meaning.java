package outfell.product;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import outfell.knowledge.Certainty;
import outfell.knowledge.Lexicon;

/** What a text that somebody types means in products: an ingredient by any of its names, or families by their stems. */
public final class Meaning {
    /** What a family's members may be and need not. */
    private static final Set<Tag> BESIDE = EnumSet.of(
            Tag.PREGNANCY_AVOID, Tag.MEDICINE, Tag.PRESCRIPTION, Tag.PRESERVATIVE, Tag.ANIMAL_ORIGIN, Tag.DEPIGMENTING);

    private final Set<String> ingredients;
    /** One set for each family: a line that has all of it is of that family. */
    private final List<Set<Tag>> families;

    private Meaning(Set<String> ingredients, List<Set<Tag>> families) {
        this.ingredients = ingredients;
        this.families = families;
    }

    /** Half a word typed for a search may be anything: a slip is looked through in longer ones only. */
    private static final int ENOUGH = 7;

    /** By whole names, in a longer text with a slip of the pen looked through; by families where it is no guess. */
    public static Meaning of(String text) {
        Optional<String> whole = Ingredients.called(text).map(Ingredient::inci);
        return new Meaning(
                whole.or(() -> text.strip().length() < ENOUGH ? Optional.empty() : Spelling.likeliest(text, 1))
                        .map(w -> AnnexGroups.with(Set.of(w)))
                        .orElse(Set.of()),
                Families.claimed(text).stream()
                        .filter(h -> h.certainty() != Certainty.GUESS && isAllOf(text, h.by()))
                        .map(h -> essence(h.meaning().tags()))
                        .filter(tags -> !tags.isEmpty())
                        .toList());
    }

    /** "Salicylic wash" is more than a salicylate: a name of as many words as the text is all of it. */
    private static boolean isAllOf(String text, String name) {
        return Lexicon.words(text).size() == Lexicon.words(name).size();
    }

    private static Set<Tag> essence(Set<Tag> tags) {
        Set<Tag> essence = EnumSet.copyOf(tags);
        essence.removeAll(BESIDE);
        return essence;
    }

    /** Whether it means anything beyond its letters. */
    public boolean known() {
        return !ingredients.isEmpty() || !families.isEmpty();
    }

    /** Whether an ingredient is what is meant. */
    public boolean means(Ingredient i) {
        return ingredients.contains(i.inci())
                || families.stream().anyMatch(f -> i.tags().containsAll(f));
    }
}

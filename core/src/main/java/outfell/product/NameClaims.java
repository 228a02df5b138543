package outfell.product;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import outfell.knowledge.Certainty;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Lexicon;
import outfell.knowledge.Row;

/**
 * What a product's own name says is in it: "Retinol serum 0.3 %" holds retinol 0.3 %, whether or not a list says so. What the
 * name says it is free of is not claimed.
 */
final class NameClaims {
    private static final Pattern PERCENT = Pattern.compile("(\\d{1,2}(?:[.,]\\d+)?)\\s*%");
    private static final Row FILE = KnowledgeFile.yaml("name-claims.yaml");
    /** What a name is believed in even against a list. */
    private static final List<Tag> STRONG = FILE.several("against-list", Tag.class);
    /** What else it is believed in when there is no list. */
    private static final List<Tag> UNREAD = FILE.several("unread", Tag.class);

    private NameClaims() {}

    /** Lines that no list holds, in the order of the name. */
    static List<LabelLine> of(String name, Label label) {
        String claimed = PackWords.claimed(name);
        OptionalDouble percent = percent(claimed);
        List<LabelLine> lines = new ArrayList<>();
        for (Claim claim : claims(claimed)) {
            boolean listed = label.lines().stream().anyMatch(l -> same(l, claim.ingredient()));
            boolean told = lines.stream().anyMatch(l -> same(l, claim.ingredient()));
            boolean strong = STRONG.stream().anyMatch(claim.ingredient()::is);
            if (!listed && !told && (label.unread() || strong)) {
                lines.add(LabelRanges.claimed(claim.ingredient(), claim.certainty(), percent));
            }
        }
        return List.copyOf(lines);
    }

    private record Claim(Ingredient ingredient, Certainty certainty) {}

    private static List<Claim> claims(String name) {
        List<Claim> claims = new ArrayList<>(named(name));
        Families.taken(name, Families.claimed(name))
                .filter(t -> claims.stream().noneMatch(c -> sharesStrong(c.ingredient(), t.ingredient())))
                .ifPresent(t -> claims.add(new Claim(t.ingredient(), t.certainty())));
        return claims;
    }

    /** Whole names of the table, longest first, each word used once. */
    private static List<Claim> named(String name) {
        String[] words = Lexicon.words(name).toArray(String[]::new);
        boolean[] used = new boolean[words.length];
        List<Claim> found = new ArrayList<>();
        for (int length = words.length; length > 0; length--) {
            for (int from = 0; from + length <= words.length; from++) {
                String part = String.join(" ", Arrays.copyOfRange(words, from, from + length));
                Optional<Ingredient> ingredient = anyUsed(used, from, length)
                        ? Optional.empty()
                        : Ingredients.called(part).filter(NameClaims::matters);
                if (ingredient.isPresent()) {
                    Arrays.fill(used, from, from + length, true);
                    found.add(new Claim(ingredient.get(), Certainty.SURE));
                }
            }
        }
        return found;
    }

    private static boolean anyUsed(boolean[] used, int from, int length) {
        for (int i = from; i < from + length; i++) {
            if (used[i]) {
                return true;
            }
        }
        return false;
    }

    private static boolean matters(Ingredient i) {
        return Actives.of(i).isPresent()
                || Stream.concat(STRONG.stream(), UNREAD.stream()).anyMatch(i::is);
    }

    /** One substance, or two of one strong kind: a name's "vitamin A" is the list's retinol. */
    private static boolean same(LabelLine line, Ingredient claimed) {
        return line.ingredient()
                .filter(i -> i.inci().equals(claimed.inci()) || sharesStrong(i, claimed))
                .isPresent();
    }

    private static boolean sharesStrong(Ingredient a, Ingredient b) {
        return STRONG.stream().anyMatch(t -> a.is(t) && b.is(t));
    }

    /** The percentage that stands in a name. */
    static OptionalDouble percent(String name) {
        Matcher percent = PERCENT.matcher(name);
        return percent.find()
                ? OptionalDouble.of(Double.parseDouble(percent.group(1).replace(',', '.')))
                : OptionalDouble.empty();
    }
}

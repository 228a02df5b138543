package outfell.product;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Pattern;
import outfell.knowledge.Because;
import outfell.knowledge.Certainty;
import outfell.knowledge.Evidence;
import outfell.knowledge.Lexicon;

/**
 * What a pack speaks of outside its list: a list that goes on behind a warning, "traces of nuts". Nobody can tell whether it is in
 * it; so it is reckoned as what it may hold, and who reacts to it is told.
 */
final class Beside {
    /** What somebody may react to; what a text only praises matters no further. */
    private static final Set<Tag> MATTER = EnumSet.of(
            Tag.ALLERGEN_BEE,
            Tag.ALLERGEN_LANOLIN,
            Tag.ALLERGEN_NUT,
            Tag.ALLERGEN_WHEAT,
            Tag.ALLERGEN_SOY,
            Tag.ALLERGEN_SESAME,
            Tag.ALLERGEN_SHELLFISH,
            Tag.ALLERGEN_ASTERACEAE,
            Tag.ALLERGEN_LATEX_CROSS,
            Tag.ALLERGEN_PARABEN,
            Tag.ALLERGEN_COLOPHONY,
            Tag.ALLERGEN_SALICYLATE,
            Tag.FRAGRANCE,
            Tag.FRAGRANCE_ALLERGEN,
            Tag.ESSENTIAL_OIL,
            Tag.STRONG_SENSITISER,
            Tag.FORMALDEHYDE_RELEASER);

    private static final Pattern SENTENCE = Pattern.compile("[.:!]\\s+|\\R");
    /** Longest quote of the pack in a reason, letters. */
    private static final int QUOTE = 80;

    private Beside() {}

    /** What is told of it at the product. */
    static Tag[] matter() {
        return MATTER.toArray(Tag[]::new);
    }

    static List<LabelLine> of(List<String> left) {
        List<LabelLine> lines = new ArrayList<>();
        for (String piece : left) {
            String said = PackWords.said(piece);
            for (String sentence : SENTENCE.split(said)) {
                for (String part : Separators.split(sentence)) {
                    named(part.strip(), piece, lines);
                }
            }
            spoken(said, piece, lines);
        }
        return List.copyOf(lines);
    }

    /** A name that stands by itself between two commas, as in a list. */
    private static void named(String part, String piece, List<LabelLine> lines) {
        String name = part.endsWith(".") ? part.substring(0, part.length() - 1) : part;
        if (!name.isEmpty()) {
            LabelReader.find(name).ifPresent(i -> add(i, name, Certainty.LIKELY, piece, lines));
        }
    }

    /** An allergen in a sentence: "may contain traces of nuts". */
    private static void spoken(String said, String piece, List<LabelLine> lines) {
        for (Lexicon.Hit<Families.Family> hit : Families.of(said)) {
            boolean matters = hit.meaning().tags().stream().anyMatch(MATTER::contains);
            if (matters && lines.stream().noneMatch(l -> l.is(hit.meaning().tags()))) {
                Families.taken(hit.by(), List.of(hit))
                        .ifPresent(t -> add(t.ingredient(), hit.by().replace("*", ""), t.certainty(), piece, lines));
            }
        }
    }

    private static void add(
            Ingredient ingredient, String printed, Certainty certainty, String piece, List<LabelLine> lines) {
        if (lines.stream()
                .anyMatch(l -> l.ingredient().filter(ingredient::equals).isPresent())) {
            return;
        }
        String quote = piece.length() > QUOTE ? piece.substring(0, QUOTE) + " …" : piece;
        lines.add(new LabelLine(
                0,
                printed,
                java.util.Optional.of(ingredient),
                certainty,
                List.of(),
                OptionalDouble.empty(),
                0,
                ingredient.usualHigh(),
                true,
                new Because(
                        "%s stands beside the list: \"%s\". Whether it is in it only the pack can tell."
                                .formatted(printed, quote),
                        Evidence.PROPOSED,
                        "label")));
    }
}

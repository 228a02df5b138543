package outfell.safety;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import outfell.knowledge.Because;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Label;
import outfell.product.LabelLine;
import outfell.product.Product;
import outfell.product.Tag;

/**
 * What must not touch this skin. Never traded against anything.
 *
 * @param name what leads to it, in words
 * @param tags ingredients that are out
 * @param actives families that are out when they stay on or exfoliate
 * @param word out when it stands on the label as text; empty for none
 * @param guess whether the match is by text only
 * @param allergy whether it comes from an allergy, of which a prescriber must hear
 */
public record Ban(
        String name,
        Set<Tag> tags,
        Set<ActiveKind> actives,
        String word,
        boolean guess,
        boolean allergy,
        Because because) {
    public Ban {
        tags = Set.copyOf(tags);
        actives = Set.copyOf(actives);
    }

    /** Why this product is out, or nothing when it may be used. A prescriber's product is the prescriber's to settle. */
    public Optional<Because> forbids(Product product) {
        return product.prescription() ? Optional.empty() : matches(product);
    }

    /** Why this product is what the ban speaks of, whoever owns it; or nothing. */
    Optional<Because> matches(Product product) {
        if (!word.isEmpty()) {
            return product.mentions(word)
                    ? Optional.of(because.withSentence(
                            "\"%s\" stands on the label of %s. A match by its text, so a guess: read the pack."
                                    .formatted(word, product.name())))
                    : Optional.empty();
        }
        return ingredient(product.label())
                .or(() -> family(product))
                .map(what ->
                        because.withSentence("%s holds %s. %s".formatted(product.name(), what, because.sentence())));
    }

    private Optional<String> ingredient(Label label) {
        List<LabelLine> lines = label.lines();
        return lines.stream()
                .filter(l -> l.ingredient().isPresent()
                        && l.ingredient().get().tags().stream().anyMatch(tags::contains))
                .map(LabelLine::printed)
                .findFirst();
    }

    private Optional<String> family(Product product) {
        return switch (product.kind()) {
            case WASH, FIRST_CLEANSE -> Optional.empty();
            default ->
                product.actives().stream()
                        .filter(a -> actives.contains(a.kind()))
                        .map(a -> Actives.of(a.kind()).label())
                        .findFirst();
        };
    }
}

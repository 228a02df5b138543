package outfell.safety;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import outfell.knowledge.Because;
import outfell.product.ActiveIn;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Kinds;
import outfell.product.LabelLine;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.product.Tag;

/**
 * What must not touch this skin. Never traded against anything.
 *
 * @param rule id of the row of safety.yaml; for an allergy in words, that word
 * @param name what leads to it, in words
 * @param tags ingredients that are out
 * @param actives families that are out when they stay on or exfoliate
 * @param kinds kinds of step that are out
 * @param over families that are out over a share in percent
 * @param word out when it stands on the label as text; empty for none
 * @param guess whether the match is by text only
 * @param allergy whether it comes from an allergy, of which a prescriber must hear
 * @param until the day from which it no longer holds, for one that runs out
 */
public record Ban(
        String rule,
        String name,
        Set<Tag> tags,
        Set<ActiveKind> actives,
        Set<StepKind> kinds,
        Map<ActiveKind, Double> over,
        String word,
        boolean guess,
        boolean allergy,
        Optional<LocalDate> until,
        Because because) {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.UK);

    public Ban {
        tags = Set.copyOf(tags);
        actives = Set.copyOf(actives);
        kinds = Set.copyOf(kinds);
        over = Map.copyOf(over);
    }

    static String day(LocalDate day) {
        return DAY.format(day);
    }

    static Ban of(Rule rule, Answers answers) {
        Optional<LocalDate> until = rule.until(answers);
        String end =
                until.map(d -> " From %s on again.".formatted(DAY.format(d))).orElse("");
        return new Ban(
                rule.id(),
                rule.label(),
                rule.tags(),
                rule.actives(),
                rule.kinds(),
                rule.over(),
                "",
                false,
                rule.allergy(),
                until,
                rule.because().withSentence(rule.because().sentence() + end));
    }

    static Ban allergy(String word) {
        return new Ban(
                word,
                "allergy: " + word,
                Set.of(),
                Set.of(),
                Set.of(),
                Map.of(),
                word,
                true,
                true,
                Optional.empty(),
                Because.house("Reacts to %s, which the table does not know: matched against labels as text, so a guess."
                        .formatted(word)));
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
        return ingredient(product)
                .or(() -> family(product))
                .map(what -> because.withSentence("%s holds %s%s %s"
                        .formatted(product.name(), what, what.endsWith(".") ? "" : ".", because.sentence())))
                .or(() -> kinds.contains(product.kind())
                        ? Optional.of(because.withSentence("%s is %s. %s"
                                .formatted(
                                        product.name(),
                                        article(Kinds.of(product.kind()).label()),
                                        because.sentence())))
                        : Optional.empty());
    }

    private static String article(String label) {
        return ("aeiou".indexOf(label.charAt(0)) >= 0 ? "an " : "a ") + label;
    }

    private Optional<String> ingredient(Product product) {
        return product.label().lines().stream()
                .filter(l -> l.ingredient().isPresent()
                        && l.ingredient().get().tags().stream().anyMatch(tags::contains))
                .map(LabelLine::printed)
                .findFirst();
    }

    private Optional<String> family(Product product) {
        return switch (product.kind()) {
            case WASH, FIRST_CLEANSE -> Optional.empty();
            case SCRUB,
                    ENZYME,
                    CLAY_MASK,
                    TONER,
                    ESSENCE,
                    TREATMENT,
                    SERUM,
                    EYE,
                    MOISTURISER,
                    OIL,
                    SEAL,
                    LIP,
                    SUNSCREEN ->
                product.actives().stream().filter(this::out).map(this::words).findFirst();
        };
    }

    private boolean out(ActiveIn active) {
        Double most = over.get(active.kind());
        return actives.contains(active.kind()) || (most != null && active.high() > most);
    }

    private String words(ActiveIn active) {
        String label = Actives.of(active.kind()).label();
        Double most = over.get(active.kind());
        return most == null || actives.contains(active.kind())
                ? label
                : "%s, %s, over %s %%"
                        .formatted(label, active.strength(), most == Math.rint(most) ? "%.0f".formatted(most) : most);
    }
}

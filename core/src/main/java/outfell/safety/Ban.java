package outfell.safety;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import outfell.knowledge.Because;
import outfell.knowledge.Certainty;
import outfell.knowledge.RuleId;
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
 * @param out what is out
 * @param said an allergy in the client's own words, by which it is out; absent for a row of the table
 * @param beside whether it is about what stands beside a prescription, and so says nothing of the prescription itself
 * @param allergy whether it comes from an allergy
 * @param until the day from which it no longer holds, for one that runs out
 */
public record Ban(
        RuleId rule,
        String name,
        Out out,
        Optional<Allergies.Meant> said,
        boolean beside,
        boolean allergy,
        Optional<LocalDate> until,
        Because because) {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.UK);
    private static final RuleId NOT_ASKED = new RuleId("not-asked");

    /**
     * What a row of the table puts out.
     *
     * @param tags ingredients that are out
     * @param leaveOn whether those may be in what is rinsed off
     * @param actives families that are out: all where the product stays on, in a wash those that work there
     * @param kinds kinds of step that are out
     * @param only kinds of step that alone are left; none for all
     * @param over families that are out over a share in percent
     * @param textureOver creams thicker than this are out, 1 to 8; 8 for none
     */
    record Out(
            Set<Tag> tags,
            boolean leaveOn,
            Set<ActiveKind> actives,
            Set<StepKind> kinds,
            Set<StepKind> only,
            Map<ActiveKind, Double> over,
            double textureOver) {
        static final int ANY_TEXTURE = 8;
        static final Out NOTHING = new Out(Set.of(), false, Set.of(), Set.of(), Set.of(), Map.of(), ANY_TEXTURE);

        Out {
            tags = Set.copyOf(tags);
            actives = Set.copyOf(actives);
            kinds = Set.copyOf(kinds);
            only = Set.copyOf(only);
            over = Map.copyOf(over);
        }

        boolean anything() {
            return readFrom() || !kinds.isEmpty() || !only.isEmpty() || textureOver < ANY_TEXTURE;
        }

        /** Whether only an ingredient list can tell what is out. */
        boolean readFrom() {
            return !tags.isEmpty() || !actives.isEmpty() || !over.isEmpty();
        }
    }

    /** Whether it stands only until everybody's questions are answered. */
    public boolean waitsForAsking() {
        return rule.equals(NOT_ASKED);
    }

    /** Whether it rests on a match by text, which somebody has to confirm. */
    public boolean guess() {
        return said.isPresent();
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
                rule.out(),
                Optional.empty(),
                rule.beside(),
                rule.allergy(),
                until,
                rule.because().withSentence(rule.because().sentence() + end));
    }

    /** @param what labels of the questions that have no answer of today */
    static Ban notAsked(List<String> what) {
        return new Ban(
                NOT_ASKED,
                "questions not asked today",
                Rule.NOT_ASKED.out(),
                Optional.empty(),
                true,
                false,
                Optional.empty(),
                Rule.NOT_ASKED
                        .because()
                        .withSentence("%s Not asked: %s."
                                .formatted(Rule.NOT_ASKED.because().sentence(), SafetyVerdict.firstFew(what))));
    }

    static Ban allergy(Allergies.Meant meant) {
        String sentence = meant.known()
                ? "Reacts to %s, in the client’s own words.".formatted(meant.word())
                : "Reacts to %s, which no table here has: matched against labels as text only, so read each pack for it."
                        .formatted(meant.word());
        return new Ban(
                new RuleId(meant.word()),
                "allergy: " + meant.word(),
                Out.NOTHING,
                Optional.of(meant),
                false,
                true,
                Optional.empty(),
                Because.house(sentence));
    }

    /** Why this product is out, or nothing when it may be used. A prescriber's product is the prescriber's to settle. */
    public Optional<Because> forbids(Product product) {
        return product.prescription() ? Optional.empty() : matches(product).or(() -> unread(product));
    }

    /** Whether only an ingredient list can tell what it keeps out. */
    boolean readFrom() {
        return said.isPresent() || out.readFrom();
    }

    /** Nobody has read what is in it, so nobody knows that it may be used. */
    private Optional<Because> unread(Product product) {
        return product.label().unread() && readFrom()
                ? Optional.of(because.withSentence("%s waits for its ingredient list: nobody has read it. %s"
                        .formatted(product.name(), because.sentence())))
                : Optional.empty();
    }

    /** Whether this product is out: asked for a whole catalogue, and says no reason. */
    public boolean keepsOut(Product product) {
        return !product.prescription() && (speaksOf(product) || (product.label().unread() && readFrom()));
    }

    /** Whether this product is what the ban speaks of, whoever owns it. */
    boolean speaksOf(Product product) {
        return said.map(meant -> meant.in(product).isPresent())
                .orElseGet(() -> ingredient(product).isPresent()
                        || family(product).isPresent()
                        || thick(product)
                        || otherKind(product));
    }

    /** Why this product is what the ban speaks of, whoever owns it; or nothing. */
    Optional<Because> matches(Product product) {
        if (said.isPresent()) {
            return said.get()
                    .in(product)
                    .map(what -> because.withSentence(
                            "%s holds %s; the client reacts to \"%s\". A match by text: read the pack."
                                    .formatted(product.name(), what, said.get().word())));
        }
        return ingredient(product)
                .map(Ban::printed)
                .or(() -> family(product).map(this::words))
                .map(what -> because.withSentence("%s holds %s%s %s"
                        .formatted(product.name(), what, what.endsWith(".") ? "" : ".", because.sentence())))
                .or(() -> kind(product));
    }

    private Optional<Because> kind(Product product) {
        if (thick(product)) {
            return Optional.of(
                    because.withSentence("%s is a rich cream. %s".formatted(product.name(), because.sentence())));
        }
        return otherKind(product)
                ? Optional.of(because.withSentence(
                        "%s is %s. %s".formatted(product.name(), Kinds.one(product.kind()), because.sentence())))
                : Optional.empty();
    }

    private boolean thick(Product product) {
        return product.kind() == StepKind.MOISTURISER && product.texture() > out.textureOver();
    }

    private boolean otherKind(Product product) {
        return out.kinds().contains(product.kind())
                || (!out.only().isEmpty() && !out.only().contains(product.kind()));
    }

    private Optional<LabelLine> ingredient(Product product) {
        if (!product.mayHold(out.tags()) || (out.leaveOn() && product.kind().comesOff())) {
            return Optional.empty();
        }
        return product.label().all().filter(l -> l.is(out.tags())).findFirst();
    }

    private static String printed(LabelLine line) {
        return line.maybe().isEmpty()
                ? line.certainty() == Certainty.SURE
                        ? line.printed()
                        : "%s, not in the table but known by its name".formatted(line.printed())
                : "%s, which may be a misprint of %s"
                        .formatted(line.printed(), line.maybe().getFirst().inci());
    }

    private Optional<ActiveIn> family(Product product) {
        if (out.actives().isEmpty() && out.over().isEmpty()) {
            return Optional.empty();
        }
        double left = Kinds.of(product.kind()).left();
        for (ActiveIn active : product.actives()) {
            if ((left == 1 || Actives.of(active.kind()).actsRinsed()) && isOut(active, left)) {
                return Optional.of(active);
            }
        }
        return Optional.empty();
    }

    /** @param left of its work after it is washed off, over 0 to 1 */
    private boolean isOut(ActiveIn active, double left) {
        Double most = out.over().get(active.kind());
        return out.actives().contains(active.kind()) || (most != null && left * active.high() > most);
    }

    private String words(ActiveIn active) {
        String label = Actives.of(active.kind()).label();
        Double most = out.over().get(active.kind());
        return most == null || out.actives().contains(active.kind())
                ? label
                : "%s, %s, over %s %%"
                        .formatted(label, active.strength(), most == Math.rint(most) ? "%.0f".formatted(most) : most);
    }
}

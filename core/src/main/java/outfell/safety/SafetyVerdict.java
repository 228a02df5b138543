package outfell.safety;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.knowledge.RuleId;
import outfell.product.Product;

/**
 * What the screen leads to.
 *
 * @param referrals settled or open; no plan is shown while one is open
 * @param questions what is asked of this client, grouped, with the answers there are
 * @param askAgain answers that have grown stale
 * @param meant rows that the client's own words for an allergy may mean, to be asked back
 * @param unasked questions that everybody is asked and that nobody has asked yet
 * @param sun what is asked of the sunscreen and of new acids, whatever the month
 */
public record SafetyVerdict(
        List<Ban> bans,
        List<Caution> cautions,
        List<Referral> referrals,
        List<Question> questions,
        List<Stale> askAgain,
        List<AskBack> meant,
        List<String> unasked,
        Sun sun) {
    /**
     * @param forTherapist said at the chair
     * @param forClient printed on the sheet
     */
    public record Caution(String name, String forTherapist, String forClient, Because because) {}

    /**
     * @param rule id of the row
     * @param whom whom to see
     * @param note plain words for the client to take along
     * @param settled who released it, once somebody has
     */
    public record Referral(
            RuleId rule, String name, String whom, String note, Optional<Answers.Settled> settled, Because because) {
        public boolean open() {
            return settled.isEmpty();
        }
    }

    /**
     * A question as asked.
     *
     * @param group heading it stands under
     * @param alone whether it is asked by itself, never with others by one tap
     * @param seldom whether it waits folded until somebody opens it: few have it, and whoever has it tells of it
     * @param dated whether the day is asked too
     * @param answer what was said, if anything
     * @param stale whether that was at an earlier visit and must be asked anew
     */
    public record Question(
            String id,
            String group,
            String text,
            boolean dated,
            boolean must,
            boolean alone,
            boolean seldom,
            Optional<Answers.Answer> answer,
            boolean stale) {}

    /** @param spf least on the pack */
    public record Protection(int spf, Because because) {}

    /**
     * @param least absent when nothing but the month asks
     * @param noNewAcid why no acid is begun; absent when one may be
     */
    public record Sun(Optional<Protection> least, Optional<Because> noNewAcid) {}

    /**
     * A row that a word for an allergy may mean.
     *
     * @param question id of the row that has not been answered
     * @param label of that row
     */
    public record AskBack(String word, String question, String label) {}

    /**
     * @param must whether everybody is asked it
     * @param asked when it was last asked
     */
    public record Stale(String id, String label, boolean must, LocalDate asked) {}

    /** Questions told by name before the rest is only counted. */
    private static final int NAMED = 5;

    public SafetyVerdict {
        bans = List.copyOf(bans);
        cautions = List.copyOf(cautions);
        referrals = List.copyOf(referrals);
        questions = List.copyOf(questions);
        askAgain = List.copyOf(askAgain);
        meant = List.copyOf(meant);
        unasked = List.copyOf(unasked);
    }

    /** What a plan is made without: questions that everybody is asked and nobody has answered today, the first few by name. */
    public Optional<String> madeWithout() {
        List<String> open = Stream.concat(
                        unasked.stream(), askAgain.stream().filter(Stale::must).map(Stale::label))
                .toList();
        return open.isEmpty() ? Optional.empty() : Optional.of(firstFew(open));
    }

    /** The first of many by name, the rest by their number. */
    static String firstFew(List<String> all) {
        String named = String.join(", ", all.subList(0, Math.min(NAMED, all.size())));
        return all.size() > NAMED ? "%s and %d more".formatted(named, all.size() - NAMED) : named;
    }

    /** Whether nothing is known against a product: it only waits until its list is read, or until everybody's questions are asked. */
    public boolean onlyWaits(Product product) {
        List<Ban> against = bans.stream().filter(b -> b.keepsOut(product)).toList();
        return !product.harmful()
                && !against.isEmpty()
                && against.stream().allMatch(b -> b.waitsForAsking() || !b.speaksOf(product));
    }

    public List<Referral> open() {
        return referrals.stream().filter(Referral::open).toList();
    }

    /** What keeps the product out: the harm that it does to anybody, or the first ban of the table. */
    public Optional<Because> forbids(Product product) {
        return against(product).findFirst();
    }

    /** Whether anything keeps the product out: asked for a whole catalogue, and says no reason. */
    public boolean keepsOut(Product product) {
        if (product.harmful()) {
            return true;
        }
        for (Ban ban : bans) {
            if (ban.keepsOut(product)) {
                return true;
            }
        }
        return false;
    }

    /** Everything that keeps the product out: harms first, then bans in the order of the table. */
    public List<Because> allAgainst(Product product) {
        return against(product).toList();
    }

    private Stream<Because> against(Product product) {
        return Stream.concat(
                product.harms().stream(),
                bans.stream().map(b -> b.forbids(product)).flatMap(Optional::stream));
    }

    /** What a prescriber must hear of a prescribed product: the ban that it would fall under, and the others by name. */
    public Optional<Because> tellPrescriber(Product product) {
        List<Ban> against = bans.stream()
                .filter(b -> product.prescription() && !b.beside())
                .filter(b -> b.speaksOf(product))
                .toList();
        String others = against.stream().skip(1).map(Ban::name).distinct().collect(Collectors.joining(", "));
        String also = others.isEmpty() ? "" : " Also against it: %s.".formatted(others);
        return against.stream()
                .findFirst()
                .flatMap(b -> b.matches(product))
                .map(b -> b.withSentence(b.sentence() + also + " Ask the prescriber before the next dose."));
    }

    /** What stays unknown of a product on a skin with an open ban: names that nobody here can read. */
    public Optional<Because> unknownIn(Product product) {
        List<String> names = product.label().unknown();
        List<String> open =
                bans.stream().filter(Ban::readFrom).map(Ban::name).distinct().toList();
        return names.isEmpty() || open.isEmpty() || product.prescription()
                ? Optional.empty()
                : Optional.of(Because.house("Not known in %s: %s. With %s, read the pack before it is used."
                        .formatted(product.name(), String.join(", ", names), String.join(", ", open))));
    }
}

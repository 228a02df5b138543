package outfell.safety;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.product.Product;

/**
 * What the screen leads to.
 *
 * @param referrals settled or open; no plan is shown while one is open
 * @param questions what is asked of this client, grouped, with the answers there are
 * @param askAgain answers that have grown stale
 * @param unasked questions that everybody is asked and that nobody has asked yet
 */
public record SafetyVerdict(
        List<Ban> bans,
        List<Caution> cautions,
        List<Referral> referrals,
        List<Question> questions,
        List<Stale> askAgain,
        List<String> unasked) {
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
            String rule, String name, String whom, String note, Optional<Answers.Settled> settled, Because because) {
        public boolean open() {
            return settled.isEmpty();
        }
    }

    /**
     * A question as asked.
     *
     * @param group heading it stands under
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
            Optional<Answers.Answer> answer,
            boolean stale) {}

    /** @param asked when it was last asked */
    public record Stale(String id, String label, LocalDate asked) {}

    public SafetyVerdict {
        bans = List.copyOf(bans);
        cautions = List.copyOf(cautions);
        referrals = List.copyOf(referrals);
        questions = List.copyOf(questions);
        askAgain = List.copyOf(askAgain);
        unasked = List.copyOf(unasked);
    }

    public List<Referral> open() {
        return referrals.stream().filter(Referral::open).toList();
    }

    /** What keeps the product out: the harm that a mixture made at home does to anybody, or the first ban of the table. */
    public Optional<Because> forbids(Product product) {
        return allAgainst(product).stream().findFirst();
    }

    /** Everything that keeps the product out: harms first, then bans in the order of the table. */
    public List<Because> allAgainst(Product product) {
        return Stream.concat(
                        product.harms().stream(),
                        bans.stream().map(b -> b.forbids(product)).flatMap(Optional::stream))
                .toList();
    }

    /** What a prescriber must hear of a prescribed product: that it holds what the client reacts to. */
    public Optional<Because> tellPrescriber(Product product) {
        return product.prescription()
                ? bans.stream()
                        .filter(Ban::allergy)
                        .map(b -> b.matches(product))
                        .flatMap(Optional::stream)
                        .map(b -> b.withSentence(b.sentence() + " Ask the prescriber before the next dose."))
                        .findFirst()
                : Optional.empty();
    }
}

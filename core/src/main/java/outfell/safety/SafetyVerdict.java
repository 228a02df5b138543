package outfell.safety;

import java.util.List;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.product.Product;

/**
 * What the screen leads to.
 *
 * @param referrals to be settled before any plan is shown
 */
public record SafetyVerdict(List<Ban> bans, List<Caution> cautions, List<Referral> referrals) {
    /**
     * @param forTherapist said at the chair
     * @param forClient printed on the sheet
     */
    public record Caution(String name, String forTherapist, String forClient, Because because) {}

    /** @param whom whom to see */
    public record Referral(String name, String whom, Because because) {}

    public SafetyVerdict {
        bans = List.copyOf(bans);
        cautions = List.copyOf(cautions);
        referrals = List.copyOf(referrals);
    }

    /** The first ban that keeps the product out, in the order of the table. */
    public Optional<Because> forbids(Product product) {
        return bans.stream()
                .map(b -> b.forbids(product))
                .flatMap(Optional::stream)
                .findFirst();
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

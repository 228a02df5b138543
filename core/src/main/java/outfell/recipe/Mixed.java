package outfell.recipe;

import java.util.List;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.product.Harms;
import outfell.product.Product;

/**
 * What a mixture is.
 *
 * @param facts as a product that is mixed at home, its id a stand-in
 * @param grams altogether
 * @param product as the tool would use it; its label is the mixture's
 * @param harms what it does harm, or what to mind
 * @param strengths actives of its products, thinned
 * @param dilutions essential oils, percent by weight
 * @param keeps for how long
 * @param sun what is lost of each sunscreen in it
 * @param because advice that no table of harms has
 */
public record Mixed(
        Product.Facts facts,
        double grams,
        List<Share> shares,
        Product product,
        List<Harms.Harm> harms,
        List<Strength> strengths,
        List<Dilution> dilutions,
        Keeps keeps,
        List<SunLoss> sun,
        List<Because> because) {

    /** @param words the amount as measured, "2 teaspoons" */
    public record Share(String name, String words, double grams, double percent) {}

    /** @param before as in the product, "5 %" or "likely 2 to 5 %"; after, in the mixture */
    public record Strength(String active, String in, String before, String after) {}

    /** @param percent by weight */
    public record Dilution(String oil, double percent) {}

    /** @param days 0: for this use only */
    public record Keeps(int days, Because because) {}

    /**
     * What is lost of a sunscreen, laid on as thick as SPF is tested.
     *
     * @param share of the mixture, percent
     * @param careful SPF left by the exponential law, rounded down
     * @param hopeful SPF left by the linear law, rounded down
     */
    public record SunLoss(String name, int spf, double share, int careful, int hopeful, Because because) {}

    /** The first harm for which it is refused. */
    public Optional<Harms.Harm> refused() {
        return harms.stream().filter(Harms.Harm::refused).findFirst();
    }
}

package outfell.regimen;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import outfell.product.Composition;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.skin.Concern;

/** What a step does for the client, in six words at most: by what it helps, else by what is in it, else by its kind. */
final class InSixWords {
    private static final int MOST = 6;
    /** Of what waters, softens and seals, the least share of them that is worth a word. */
    private static final double WORTH = 0.2;

    private InSixWords() {}

    /** @param helped concerns that it helps, heaviest first */
    static String of(Product product, List<Concern> helped) {
        if (product.prescription()) {
            return "as your prescriber said";
        }
        if (product.kind() == StepKind.SUNSCREEN) {
            return "holds off the sun, SPF %d".formatted(product.spf());
        }
        if (!helped.isEmpty()) {
            return helps(helped);
        }
        String kind = Kinds.of(product.kind()).does();
        return kind.isEmpty() ? made(product.composition()) : kind;
    }

    private static String helps(List<Concern> helped) {
        String first = "for " + helped.getFirst().words();
        String both = helped.size() < 2
                ? first
                : "%s and %s".formatted(first, helped.get(1).words());
        return words(both) <= MOST ? both : first;
    }

    /** "waters, softens and seals", by what there is of each. */
    private static String made(Composition made) {
        double all = made.humectant() + made.emollient() + made.occlusive();
        List<String> does = new ArrayList<>();
        add(does, "waters", made.humectant(), all);
        add(does, "softens", made.emollient(), all);
        add(does, "seals", made.occlusive(), all);
        return switch (does.size()) {
            case 0 -> "a thin layer of water";
            case 1 -> does.getFirst() + " the skin";
            case 2 -> "%s and %s".formatted(does.getFirst(), does.getLast());
            default -> "%s, %s and %s".formatted(does.get(0), does.get(1), does.get(2));
        };
    }

    private static void add(List<String> does, String word, double share, double all) {
        if (all > 0 && share >= WORTH * all) {
            does.add(word);
        }
    }

    static int words(String text) {
        return text.toLowerCase(Locale.ROOT).split(" ").length;
    }
}

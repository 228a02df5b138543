package outfell.routine;

import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.Product;
import outfell.product.StepKind;

/** Grams in the words that people use, from amounts.yaml. */
final class Measures {
    private static final Row FILE = KnowledgeFile.yaml("amounts.yaml");
    private static final double TEASPOON_GRAMS = FILE.number("teaspoon", 1, 10);
    private static final double DRIPS_UNDER = FILE.number("drips-under", 1, 8);

    /** What people measure with, and the grams of one. */
    private record Household(String id, String words, double grams) {
        static Household read(Row row) {
            row.because("grams");
            return new Household(row.text("id"), row.text("words"), row.number("grams", 0.001, 10));
        }
    }

    /** From here a share is told in teaspoons. */
    private static final double SPOONS_FROM = FILE.number("spoons-from", 0, 10);

    private static final Row FINGERS = FILE.row("finger-strips");
    private static final double STRIPS_A_FACE =
            FINGERS.number("strips", 1, 5) * FINGERS.number("face-share", 1, 10) / FINGERS.number("share", 1, 20);
    private static final Map<String, Household> MEASURES =
            Row.unique(FILE.rows("measures"), Household::read, Household::id).stream()
                    .collect(Collectors.toMap(Household::id, m -> m));

    private Measures() {}

    /** What is too thick to drip is measured in peas, what drips in drops. */
    private static String measure(Product product) {
        String measure = Amounts.of(product.kind()).measure();
        boolean peasOrDrops = measure.equals("drop") || measure.equals("pea");
        return peasOrDrops ? (product.texture() < DRIPS_UNDER ? "drop" : "pea") : measure;
    }

    /** By the pack's own pump where it is known, else by what people measure with. */
    static String words(Product product, double grams) {
        OptionalDouble dose = product.directions().dose();
        if (dose.isPresent()) {
            return strokes(grams / dose.getAsDouble());
        }
        return in(measure(product), grams);
    }

    private static String in(String measure, double grams) {
        return switch (measure) {
            case "splash" -> splashes(grams);
            case "teaspoon" -> teaspoons(grams);
            default -> {
                Household one = household(measure);
                yield counted(grams / one.grams(), one.words());
            }
        };
    }

    /** Halves are pressed halfway; more than three are counted whole. */
    private static String strokes(double count) {
        double halves = Math.max(0.5, Math.round(2 * count) / 2.0);
        double n = halves > 3 ? Math.round(count) : halves;
        boolean half = n != Math.rint(n);
        String whole = "%.0f".formatted(Math.floor(n));
        return half ? (n < 1 ? "½ stroke" : whole + "½ strokes") : n == 1 ? "1 stroke" : whole + " strokes";
    }

    /** What one place of several gets: less than half a pea is told in grains, a spoon in peas. */
    static String small(Product product, double grams) {
        if (product.directions().dose().isPresent()) {
            return words(product, grams);
        }
        String measure = measure(product);
        boolean peas = measure.equals("pea") || (measure.equals("teaspoon") && grams < SPOONS_FROM);
        if (!peas) {
            return in(measure, grams);
        }
        boolean grains = grams < household("pea").grams() / 2;
        return product.kind() == StepKind.SUNSCREEN && !grains ? peas(grams) : in(grains ? "grain" : "pea", grams);
    }

    /** Peas, rounded up: nobody takes too much of a sunscreen. */
    static String peas(double grams) {
        return counted(Math.ceil(grams / household("pea").grams() - 1e-9), "pea");
    }

    /** Strips along the fingers, to halves. */
    static String fingers(double faces) {
        double halves = Math.max(0.5, Math.round(2 * faces * STRIPS_A_FACE) / 2.0);
        String whole = halves < 1 ? "" : "%.0f".formatted(Math.floor(halves));
        String half = halves == Math.floor(halves) ? "" : "½";
        return "%s%s finger length%s".formatted(whole, half, halves > 1 ? "s" : "");
    }

    private static Household household(String measure) {
        Household one = MEASURES.get(measure);
        if (one == null) {
            throw new IllegalStateException("amounts.yaml has no measure " + measure);
        }
        return one;
    }

    private static String splashes(double grams) {
        long n = Math.max(1, Math.round(grams));
        return n == 1 ? "1 splash into the palm" : "%d splashes into the palm".formatted(n);
    }

    private static String counted(double count, String unit) {
        long n = Math.max(1, Math.round(count));
        return n == 1 ? "1 " + unit : "%d %ss".formatted(n, unit);
    }

    static String teaspoons(double grams) {
        double spoons = grams / TEASPOON_GRAMS;
        return spoons < 0.2
                ? "⅛ teaspoon"
                : spoons < 0.38
                        ? "¼ teaspoon"
                        : spoons < 0.75
                                ? "½ teaspoon"
                                : spoons < 1.5 ? "1 teaspoon" : String.format(Locale.ROOT, "%.0f teaspoons", spoons);
    }
}

package outfell.recipe;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.product.ActiveIn;
import outfell.product.Actives;
import outfell.product.HomeUse;
import outfell.product.Ingredients;
import outfell.product.LabelLine;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.sun.Film;

/** Reads a mixture: weighs its parts, writes its label, and says what it is, does and loses. */
public final class RecipeReader {
    /** An SPF in the name would be believed; a mixture has none. */
    private static final Pattern SPF = Pattern.compile("(?i)\\s*,?\\s*\\bspf\\s*\\d+\\+?");

    private static final double WHOLE = 100;
    private static final double TENTH = 0.1;
    /** Below this an ingredient is left off the label: 10 ppm. */
    private static final double LEAST = 0.001;

    private final Recipe recipe;
    private final double total;

    private RecipeReader(Recipe recipe) {
        this.recipe = recipe;
        this.total = recipe.parts().stream().mapToDouble(Recipe.Part::grams).sum();
    }

    public static Mixed read(Recipe recipe) {
        return new RecipeReader(recipe).mixed();
    }

    private Mixed mixed() {
        Product.Facts facts = facts();
        Product product = ProductReader.read(facts);
        return new Mixed(
                facts,
                total,
                recipe.parts().stream()
                        .map(p ->
                                new Mixed.Share(p.name(), Pantry.words(p.amount(), p.measure()), p.grams(), percent(p)))
                        .toList(),
                product,
                product.allHarms(),
                strengths(),
                dilutions(product),
                keeps(),
                sun(),
                advice());
    }

    private double percent(Recipe.Part part) {
        return WHOLE * part.grams() / total;
    }

    /**
     * The mixture as a product's own facts: weighed parts as declared shares, what a product brings in the order of its
     * likely shares.
     */
    private Product.Facts facts() {
        return new Product.Facts(new ProductId("mixed"), name(), "", 0, "g", 0, label(), kind(), texture(), false)
                .madeAtHome(recipe.use());
    }

    private String name() {
        String name = SPF.matcher(recipe.name()).replaceAll("").strip();
        return name.isEmpty() ? "Mixture" : name;
    }

    // ---- label

    private record Line(String name, double percent, boolean exact) {}

    private String label() {
        Map<String, Line> lines = new LinkedHashMap<>();
        for (Recipe.Part part : recipe.parts()) {
            part.item().ifPresent(i -> add(lines, new Line(i.inci(), percent(part), true)));
            part.product().ifPresent(p -> ofProduct(part, p).forEach(l -> add(lines, l)));
        }
        return lines.values().stream()
                .filter(l -> l.percent() >= LEAST)
                .sorted(Comparator.comparingDouble((Line l) -> -l.percent()).thenComparing(Line::name))
                .map(l -> l.exact() ? "%s (%s %%)".formatted(l.name(), number(l.percent())) : l.name())
                .collect(Collectors.joining(", "));
    }

    /** Likely shares of a whole label rarely come to a hundred; what is not declared is stretched or pressed to fit. */
    private List<Line> ofProduct(Recipe.Part part, Product p) {
        List<LabelLine> certain = p.label().certain();
        double declared =
                certain.stream().mapToDouble(l -> l.declared().orElse(0)).sum();
        double likely = certain.stream()
                .filter(l -> l.declared().isEmpty())
                .mapToDouble(LabelLine::likely)
                .sum();
        double fit = likely == 0 ? 1 : Math.max(0, WHOLE - declared) / likely;
        double share = percent(part) / WHOLE;
        return certain.stream()
                .map(l -> new Line(
                        l.ingredient().map(i -> i.inci()).orElse(l.printed()),
                        share * l.declared().orElse(l.likely() * fit),
                        l.declared().isPresent()))
                .toList();
    }

    private static void add(Map<String, Line> lines, Line line) {
        lines.merge(
                line.name().toLowerCase(Locale.ROOT),
                line,
                (a, b) -> new Line(a.name(), a.percent() + b.percent(), a.exact() && b.exact()));
    }

    /** A blend is the step of its greatest part; a mask and a wash are what they are used as; the label says the rest. */
    private Optional<StepKind> kind() {
        return switch (recipe.use()) {
            case WASH -> Optional.of(holds(Tag.EXFOLIATING_PARTICLE) ? StepKind.SCRUB : StepKind.WASH);
            case MASK ->
                Optional.of(
                        holds(Tag.EXFOLIATING_PARTICLE)
                                ? StepKind.SCRUB
                                : holds(Tag.CLAY) ? StepKind.CLAY_MASK : StepKind.RINSE_MASK);
            case BY_DAY, BY_NIGHT -> greatest().flatMap(Recipe.Part::product).map(RecipeReader::leftOn);
        };
    }

    /** A sunscreen that is mixed is one no longer. */
    private static StepKind leftOn(Product p) {
        return p.kind() == StepKind.SUNSCREEN ? StepKind.MOISTURISER : p.kind();
    }

    private OptionalDouble texture() {
        return recipe.use() == HomeUse.BY_DAY || recipe.use() == HomeUse.BY_NIGHT
                ? greatest()
                        .flatMap(Recipe.Part::product)
                        .map(p -> OptionalDouble.of(p.texture()))
                        .orElse(OptionalDouble.empty())
                : OptionalDouble.empty();
    }

    private Optional<Recipe.Part> greatest() {
        return recipe.parts().stream().max(Comparator.comparingDouble(Recipe.Part::grams));
    }

    private boolean holds(Tag tag) {
        return recipe.parts().stream()
                .anyMatch(p ->
                        p.item().map(i -> Ingredients.named(i.inci()).is(tag)).orElse(false)
                                || p.product().map(x -> x.tags().contains(tag)).orElse(false));
    }

    // ---- strength

    private List<Mixed.Strength> strengths() {
        List<Mixed.Strength> all = new ArrayList<>();
        for (Recipe.Part part : recipe.parts()) {
            double share = percent(part) / WHOLE;
            part.product()
                    .ifPresent(p -> p.actives()
                            .forEach(a -> all.add(new Mixed.Strength(
                                    Actives.of(a.kind()).label(),
                                    p.name(),
                                    a.strength(),
                                    new ActiveIn(
                                                    a.kind(),
                                                    a.ingredient(),
                                                    share * a.low(),
                                                    share * a.high(),
                                                    a.declared())
                                            .strength()))));
        }
        return all;
    }

    private static List<Mixed.Dilution> dilutions(Product product) {
        return product.label().certain().stream()
                .filter(l -> l.ingredient().map(i -> i.is(Tag.ESSENTIAL_OIL)).orElse(false))
                .map(l -> new Mixed.Dilution(l.ingredient().map(i -> i.common()).orElse(l.printed()), l.likely()))
                .toList();
    }

    // ---- how long it keeps

    private Mixed.Keeps keeps() {
        if (recipe.palm()) {
            return new Mixed.Keeps(
                    0, Because.house("Mixed in the palm for this once; what is left over is thrown away."));
        }
        List<Recipe.Part> wet = recipe.parts().stream()
                .filter(p -> p.item().map(Pantry.PantryItem::wet).orElse(false)
                        || p.product().map(x -> !x.waterFree()).orElse(false))
                .toList();
        Recipe.Part first = recipe.parts().stream()
                .min(Comparator.comparingInt(this::keeps))
                .orElseThrow();
        int days = keeps(first);
        if (wet.isEmpty()) {
            return new Mixed.Keeps(
                    days,
                    Because.house("No water in it, so germs hardly grow; %s turns first. Dry, dark and closed."
                            .formatted(first.name())));
        }
        return new Mixed.Keeps(
                days,
                recipe.preserved()
                        ? Because.house(
                                "Preserved, but mixed in a kitchen: %d days, and out at once when it smells or changes."
                                        .formatted(days))
                        : new Because(
                                "Water without a preservative: germs grow from the first day. In the cold, %s, and out at once when it smells or changes; %s goes first."
                                        .formatted(days == 1 ? "one day" : days + " days", first.name()),
                                Evidence.CONVENTION,
                                "custom"));
    }

    /** A bought product that is opened and stirred into counts as preserved water. */
    private int keeps(Recipe.Part part) {
        return part.item()
                .map(i -> i.wet() && recipe.preserved() ? Math.max(i.keeps(), Pantry.WITH_PRESERVATIVE) : i.keeps())
                .orElse(Pantry.WITH_PRESERVATIVE);
    }

    // ---- sun

    private List<Mixed.SunLoss> sun() {
        if (recipe.parts().size() < 2) {
            return List.of();
        }
        List<Mixed.SunLoss> all = new ArrayList<>();
        for (Recipe.Part part : recipe.parts()) {
            part.product().filter(p -> p.spf() > 0).ifPresent(p -> {
                double share = percent(part) / WHOLE;
                Film.KeptFilm kept = Film.kept(p.spf(), Film.TESTED * share);
                all.add(new Mixed.SunLoss(
                        p.name(),
                        p.spf(),
                        WHOLE * share,
                        (int) Math.floor(kept.careful()),
                        (int) Math.floor(kept.hopeful()),
                        kept.because()));
            });
        }
        return all;
    }

    // ---- what no table has

    private List<Because> advice() {
        List<Because> all = new ArrayList<>();
        boolean essential = part(Pantry.Form.ESSENTIAL_OIL);
        boolean carrier = part(Pantry.Form.OIL)
                || part(Pantry.Form.BUTTER)
                || part(Pantry.Form.SYRUP)
                || recipe.parts().stream().anyMatch(p -> p.product().isPresent());
        if (essential && !carrier) {
            all.add(
                    Because.house(
                            "Essential oils float on water and land undiluted on the skin: stir them into a carrier oil first."));
        }
        if (recipe.palm()
                && part(Pantry.Form.POWDER)
                && (recipe.use() == HomeUse.BY_DAY || recipe.use() == HomeUse.BY_NIGHT)) {
            all.add(Because.house("Stir a powder until nothing grates; grains that stay scratch."));
        }
        return all;
    }

    private boolean part(Pantry.Form form) {
        return recipe.parts().stream()
                .anyMatch(p -> p.item().map(i -> i.form() == form).orElse(false));
    }

    private static String number(double percent) {
        return percent >= WHOLE / 10
                ? "%.0f".formatted(percent)
                : String.format(Locale.ROOT, percent >= 1 ? "%.1f" : percent >= TENTH ? "%.2f" : "%.3f", percent);
    }
}

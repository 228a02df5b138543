package outfell.product;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** Builds products in tests from what they must hold. */
public final class Products {
    private static final Map<ActiveKind, String> CARRIERS = carriers();

    private Products() {}

    /** A serum of water and glycerin with these ingredients, each at so many percent. */
    public static Product serum(double percent, String... inci) {
        return of(StepKind.SERUM, OptionalDouble.empty(), percent, List.of(inci));
    }

    /** Water and one ingredient at so many percent, so that nothing else in it helps. */
    public static Product bare(StepKind kind, double percent, String inci) {
        return read(kind, OptionalDouble.empty(), "Aqua, %s %s %%".formatted(inci, plain(percent)));
    }

    private static String plain(double percent) {
        return BigDecimal.valueOf(percent).toPlainString();
    }

    /** @param inci each at so many percent, after water and glycerin */
    public static Product of(StepKind kind, OptionalDouble texture, double percent, List<String> inci) {
        StringBuilder label = new StringBuilder("Aqua, Glycerin");
        inci.forEach(i ->
                label.append(", ").append(i).append(' ').append(plain(percent)).append(" %"));
        return read(kind, texture, label.toString());
    }

    private static Product read(StepKind kind, OptionalDouble texture, String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId("made"), "Plain name", "Nobody", 30, "ml", 10, label, Optional.of(kind), texture, false));
    }

    /** An ingredient that makes a product hold an active. */
    public static String carrier(ActiveKind kind) {
        return Optional.ofNullable(CARRIERS.get(kind)).orElseThrow(() -> new IllegalArgumentException("" + kind));
    }

    /** An ingredient of a kind, with as few others as there are. */
    public static String tagged(Tag tag) {
        return Ingredients.all().stream()
                .filter(i -> i.is(tag))
                .min(java.util.Comparator.comparing((Ingredient i) -> i.tags().size())
                        .thenComparing(Ingredient::inci))
                .orElseThrow()
                .inci();
    }

    private static Map<ActiveKind, String> carriers() {
        Map<ActiveKind, String> all = new EnumMap<>(ActiveKind.class);
        List<ActiveKind> base = kinds(serum(5));
        base.forEach(k -> all.put(k, "Glycerin"));
        for (Ingredient i : Ingredients.all()) {
            List<ActiveKind> held = new ArrayList<>(kinds(serum(5, i.inci())));
            held.removeAll(base);
            if (held.size() == 1) {
                all.putIfAbsent(held.getFirst(), i.inci());
            }
        }
        return all;
    }

    private static List<ActiveKind> kinds(Product p) {
        return p.actives().stream().map(ActiveIn::kind).toList();
    }
}

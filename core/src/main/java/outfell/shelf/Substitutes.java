package outfell.shelf;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.Currency;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import outfell.consultation.Money;
import outfell.knowledge.Because;
import outfell.product.ActiveIn;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.Tag;
import outfell.week.Tolerance;

/** What else would do a product's job, and why nothing would where nothing does. */
public final class Substitutes {
    private static final int MOST = 6;
    /** Textures further apart than this are another step's; house rule. */
    private static final double ALIKE = 2;
    /** What a cheaper product must not bring in. */
    private static final Set<Tag> HARSH = EnumSet.of(
            Tag.SURFACTANT_STRONG,
            Tag.DRYING_ALCOHOL,
            Tag.FRAGRANCE,
            Tag.ESSENTIAL_OIL,
            Tag.FRAGRANCE_ALLERGEN,
            Tag.IRRITANT_SENSORY);

    /** In what way another should be better. */
    public enum Want {
        CHEAPER,
        GENTLER,
        UNSCENTED
    }

    /** @param because what it does as well, and in what it is better */
    public record Substitute(Product product, Because because) {}

    /**
     * @param found the best first, at most six
     * @param none why nothing does it; where something does, nothing
     */
    public record Instead(List<Substitute> found, Optional<Because> none) {}

    private final Product product;
    private final Want want;
    private final Currency currency;
    /** The actives by which it is known. */
    private final Set<ActiveKind> needed = EnumSet.noneOf(ActiveKind.class);

    private Substitutes(Product product, Want want, Currency currency) {
        this.product = product;
        this.want = want;
        this.currency = currency;
        product.leading().map(ActiveIn::kind).ifPresent(needed::add);
    }

    /** Products of the same kind that give at least the actives by which this one is known, better in the way wanted. */
    public static Instead of(Product p, List<Product> all, Want want, Currency currency) {
        Substitutes asked = new Substitutes(p, want, currency);
        List<Product> others = all.stream()
                .filter(o -> !o.id().equals(p.id()) && o.kind() == p.kind())
                .toList();
        List<Substitute> found = others.stream()
                .filter(o -> asked.against(o).isEmpty())
                .sorted(Comparator.comparingDouble(asked::measure).thenComparing(Product::id))
                .limit(MOST)
                .map(o -> new Substitute(o, asked.because(o)))
                .toList();
        return new Instead(found, found.isEmpty() ? Optional.of(asked.none(others)) : Optional.empty());
    }

    /** Actives that the one gives and the other does not, in words: what is lost by taking the other. */
    public static List<String> lost(Product p, Product instead) {
        return p.actives().stream()
                .filter(a -> !instead.has(a.kind()))
                .map(a -> Actives.of(a.kind()).label())
                .distinct()
                .toList();
    }

    /** What speaks against another: the first thing, in words that follow "one" and "three"; nothing where it would do. */
    private Optional<Against> against(Product o) {
        if (o.prescription()) {
            return Optional.of(Against.PRESCRIBED);
        }
        if (o.label().unread()) {
            return Optional.of(Against.UNREAD);
        }
        if (!needed.stream().allMatch(o::has)) {
            return Optional.of(Against.ACTIVE);
        }
        if (o.spf() < product.spf()) {
            return Optional.of(Against.SPF);
        }
        if (Math.abs(o.texture() - product.texture()) > ALIKE) {
            return Optional.of(Against.TEXTURE);
        }
        return switch (want) {
            case CHEAPER -> dearer(o) ? Optional.of(Against.PRICE) : harsher(o);
            case GENTLER ->
                o.irritancy() < product.irritancy() && Tolerance.points(o) <= Tolerance.points(product)
                        ? Optional.empty()
                        : Optional.of(Against.NO_GENTLER);
            case UNSCENTED ->
                !Finder.FreeOf.PERFUME.holds(product) && Finder.FreeOf.PERFUME.holds(o)
                        ? Optional.empty()
                        : Optional.of(Against.PERFUME);
        };
    }

    private enum Against {
        PRESCRIBED("is a prescriber's", "are a prescriber's"),
        UNREAD("has no list that was read", "have no list that was read"),
        ACTIVE("gives no %s", "give no %s"),
        SPF("protects less", "protect less"),
        TEXTURE("is much thinner or thicker", "are much thinner or thicker"),
        PRICE("costs no less a month, or has no price", "cost no less a month, or have no price"),
        HARSHER("is harsher", "are harsher"),
        NO_GENTLER("is no gentler", "are no gentler"),
        PERFUME("is perfumed, too", "are perfumed, too");

        private final String one;
        private final String many;

        Against(String one, String many) {
            this.one = one;
            this.many = many;
        }

        String words(long count, String active) {
            return "%d %s".formatted(count, (count == 1 ? one : many).formatted(active));
        }
    }

    private Because none(List<Product> others) {
        String kind = Kinds.of(product.kind()).label();
        if (want == Want.UNSCENTED && Finder.FreeOf.PERFUME.holds(product)) {
            return Because.house("%s holds no perfume itself.".formatted(product.name()));
        }
        if (want == Want.CHEAPER && Prices.perMonth(product).isEmpty()) {
            return Because.house("%s has no price and size to reckon with, so nothing can be called cheaper."
                    .formatted(product.name()));
        }
        if (others.isEmpty()) {
            return Because.house("The house shelf has no other %s.".formatted(kind));
        }
        Map<Against, Long> counts = others.stream()
                .flatMap(o -> against(o).stream())
                .collect(Collectors.groupingBy(x -> x, LinkedHashMap::new, Collectors.counting()));
        List<String> words = new ArrayList<>();
        for (Against each : Against.values()) {
            if (counts.containsKey(each)) {
                words.add(each.words(counts.getOrDefault(each, 0L), active()));
            }
        }
        return Because.house("Of %d other %s on the house shelf: %s."
                .formatted(
                        others.size(),
                        others.size() == 1 ? kind : Kinds.many(product.kind()),
                        String.join("; ", words)));
    }

    private String active() {
        return needed.stream().map(k -> Actives.of(k).label()).findFirst().orElse("");
    }

    private boolean dearer(Product o) {
        Optional<Double> own = Prices.perMonth(product);
        Optional<Double> other = Prices.perMonth(o);
        return own.isEmpty() || other.isEmpty() || other.get() >= own.get();
    }

    /** What saves money and costs skin saves nothing. */
    private Optional<Against> harsher(Product o) {
        boolean noHarsher = o.irritancy() <= product.irritancy()
                && o.tags().stream().filter(HARSH::contains).allMatch(product.tags()::contains);
        return noHarsher ? Optional.empty() : Optional.of(Against.HARSHER);
    }

    private double measure(Product o) {
        return want == Want.GENTLER ? o.irritancy() : Prices.perMonth(o).orElse(Double.MAX_VALUE);
    }

    private Because because(Product o) {
        String same = needed.isEmpty() ? "The same kind of step" : "It gives %s too".formatted(active());
        String better = switch (want) {
            case CHEAPER ->
                "%s a month in place of %s, and no harsher"
                        .formatted(
                                Money.words(Prices.perMonth(o).orElse(0.0), currency),
                                Money.words(Prices.perMonth(product).orElse(0.0), currency));
            case GENTLER -> "irritancy %d in place of %d".formatted(o.irritancy(), product.irritancy());
            case UNSCENTED -> "no perfume in it";
        };
        return Because.house("%s; %s.".formatted(same, better));
    }
}

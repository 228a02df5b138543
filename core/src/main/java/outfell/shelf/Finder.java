package outfell.shelf;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.Currency;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import outfell.aims.Benefits;
import outfell.consultation.Money;
import outfell.consultation.Yardstick;
import outfell.knowledge.Because;
import outfell.knowledge.Lexicon;
import outfell.product.ActiveIn;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Kinds;
import outfell.product.Meaning;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.routine.Amounts;
import outfell.routine.Part;
import outfell.skin.Band;
import outfell.skin.Concern;
import outfell.week.Tolerance;

/** Finds products, lays them side by side, and says what else would do a product's job. */
public final class Finder {
    private static final double DAYS_A_MONTH = 365.0 / 12;
    private static final double DAILY = 7;
    /** What a cheaper product must not bring in. */
    private static final Set<Tag> HARSH = EnumSet.of(
            Tag.SURFACTANT_STRONG,
            Tag.DRYING_ALCOHOL,
            Tag.FRAGRANCE,
            Tag.ESSENTIAL_OIL,
            Tag.FRAGRANCE_ALLERGEN,
            Tag.IRRITANT_SENSORY);

    /** What a product must not hold. */
    public enum FreeOf {
        PERFUME(Tag.FRAGRANCE, Tag.ESSENTIAL_OIL, Tag.FRAGRANCE_ALLERGEN),
        ALCOHOL(Tag.DRYING_ALCOHOL),
        ANIMAL(Tag.ANIMAL_ORIGIN),
        NUTS(Tag.ALLERGEN_NUT),
        LANOLIN(Tag.ALLERGEN_LANOLIN);

        private final Set<Tag> tags;

        FreeOf(Tag... tags) {
            this.tags = Set.of(tags);
        }

        public boolean holds(Product p) {
            return p.tags().stream().noneMatch(tags::contains);
        }
    }

    /**
     * What is looked for; every part must hold, and an empty one holds always.
     *
     * @param text words of name, maker, kind, ingredient or active, each of which must stand somewhere
     * @param mostPrice of the pack; products without a price are left out when it is set
     */
    public record Wanted(
            String text,
            Set<StepKind> kinds,
            Set<ActiveKind> actives,
            Set<Concern> concerns,
            Set<FreeOf> free,
            OptionalDouble leastTexture,
            OptionalDouble mostTexture,
            OptionalDouble mostPrice) {}

    private record Indexed(Product product, String name, Set<Concern> serves) {}

    /**
     * A shelf laid out once for many searches: in the order of names, with the products in which each word stands. Words are
     * found by any part of them, so a search looks through the few thousand different words and not through every label.
     */
    public static final class Index {
        private final List<Indexed> products;
        private final Map<String, BitSet> words = new HashMap<>();

        private Index(List<Product> all) {
            products = all.stream()
                    .sorted(Comparator.comparing(Product::name).thenComparing(Product::id))
                    .map(p -> new Indexed(p, String.join(" ", Lexicon.words(p.name())), serves(p)))
                    .toList();
            for (int i = 0; i < products.size(); i++) {
                for (String word : Lexicon.words(said(products.get(i).product()))) {
                    words.computeIfAbsent(word, _ -> new BitSet()).set(i);
                }
            }
        }

        /** By name. */
        public List<Product> all() {
            return products.stream().map(Indexed::product).toList();
        }

        /** Where every one of the words stands somewhere, or what it means does. */
        private BitSet with(List<String> wanted) {
            BitSet found = new BitSet();
            found.set(0, products.size());
            for (String word : wanted) {
                BitSet here = new BitSet();
                words.forEach((w, where) -> {
                    if (w.contains(word)) {
                        here.or(where);
                    }
                });
                here.or(meaning(Meaning.of(word)));
                found.and(here);
            }
            return found;
        }

        private BitSet meaning(Meaning meaning) {
            BitSet found = new BitSet();
            for (int i = 0; meaning.known() && i < products.size(); i++) {
                found.set(i, meaning.in(products.get(i).product()));
            }
            return found;
        }

        private static Set<Concern> serves(Product p) {
            Set<Concern> serves = EnumSet.noneOf(Concern.class);
            Benefits.of(p, DAILY, Yardstick.SHIPPED).forEach(h -> serves.add(h.concern()));
            return serves;
        }

        private static String said(Product p) {
            StringBuilder words = new StringBuilder();
            words.append(p.name())
                    .append(' ')
                    .append(p.maker())
                    .append(' ')
                    .append(Kinds.of(p.kind()).label());
            Stream.concat(p.label().claimed().stream(), p.label().lines().stream())
                    .forEach(l -> {
                        words.append(' ').append(l.printed());
                        l.ingredient()
                                .ifPresent(i -> words.append(' ')
                                        .append(i.inci())
                                        .append(' ')
                                        .append(i.common()));
                    });
            p.actives()
                    .forEach(a -> words.append(' ').append(Actives.of(a.kind()).label()));
            return words.toString();
        }
    }

    private Finder() {}

    public static Index index(List<Product> products) {
        return new Index(products);
    }

    /**
     * Names that begin with the first word come first, then names that hold it, then the rest; each by name. What the text means
     * counts like what it says: "vitamin A" finds a retinol, "wool fat" a lanolin, "niacinamde" a niacinamide.
     */
    public static List<Product> find(Index index, Wanted wanted) {
        List<String> words = Lexicon.words(wanted.text());
        List<List<Product>> byRank = List.of(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        BitSet found = index.with(words);
        index.meaning(Meaning.of(wanted.text())).stream().forEach(found::set);
        found.stream()
                .mapToObj(index.products::get)
                .filter(i -> fits(i, wanted))
                .forEach(i -> byRank.get(rank(i, words)).add(i.product()));
        return byRank.stream().flatMap(List::stream).toList();
    }

    private static boolean fits(Indexed i, Wanted w) {
        Product p = i.product();
        return (w.kinds().isEmpty() || w.kinds().contains(p.kind()))
                && (w.actives().isEmpty() || w.actives().stream().allMatch(p::has))
                && (w.concerns().isEmpty() || w.concerns().stream().allMatch(i.serves()::contains))
                && w.free().stream().allMatch(f -> f.holds(p))
                && p.texture() >= w.leastTexture().orElse(0)
                && p.texture() <= w.mostTexture().orElse(9)
                && (w.mostPrice().isEmpty()
                        || (p.price() > 0 && p.price() <= w.mostPrice().getAsDouble()));
    }

    private static int rank(Indexed i, List<String> words) {
        if (words.isEmpty()) {
            return 0;
        }
        return i.name().startsWith(words.getFirst()) ? 0 : i.name().contains(words.getFirst()) ? 1 : 2;
    }

    // ---- side by side

    /** One row of a comparison; a value for each product, in their order. */
    public record ComparisonRow(String label, List<String> values, boolean differs) {}

    /** @param currency in which the practice's prices are */
    public static List<ComparisonRow> compare(List<Product> products, Currency currency) {
        List<ComparisonRow> rows = new ArrayList<>();
        row(rows, "Kind", products, p -> Kinds.of(p.kind()).label());
        row(
                rows,
                "Texture",
                products,
                p -> "%s, %s".formatted(number(p.texture()), outfell.product.ProductReader.textureWords(p.texture())));
        row(rows, "Water-binding", products, p -> percent(p.composition().humectant()));
        row(rows, "Softening", products, p -> percent(p.composition().emollient()));
        row(rows, "Sealing", products, p -> percent(p.composition().occlusive()));
        row(rows, "Actives", products, Finder::actives);
        row(rows, "SPF", products, p -> p.spf() == 0 ? "none" : String.valueOf(p.spf()));
        row(rows, "To mind", products, Finder::hazards);
        row(rows, "Irritancy, summed", products, p -> String.valueOf(p.irritancy()));
        row(rows, "Load of one use", products, p -> number(Tolerance.points(p)));
        row(rows, "Price of the pack", products, p -> p.price() == 0 ? "not known" : Money.words(p.price(), currency));
        row(
                rows,
                "Price per 10 ml or g",
                products,
                p -> perTen(p).map(x -> Money.words(x, currency)).orElse("not known"));
        row(
                rows,
                "Price a month, used daily",
                products,
                p -> perMonth(p).map(x -> Money.words(x, currency)).orElse("not known"));
        return List.copyOf(rows);
    }

    private static void row(
            List<ComparisonRow> rows,
            String label,
            List<Product> products,
            java.util.function.Function<Product, String> value) {
        List<String> values = products.stream().map(value).toList();
        rows.add(new ComparisonRow(label, values, values.stream().distinct().count() > 1));
    }

    private static String actives(Product p) {
        List<String> all = p.actives().stream()
                .map(a -> "%s, %s".formatted(Actives.of(a.kind()).label(), a.strength()))
                .toList();
        return all.isEmpty() ? "none" : String.join("; ", all);
    }

    private static String hazards(Product p) {
        List<String> all = p.findings().stream()
                .filter(f -> f.about().equals("mind"))
                .map(f -> f.found())
                .toList();
        return all.isEmpty() ? "nothing known" : String.join("; ", all);
    }

    static Optional<Double> perTen(Product p) {
        return p.price() > 0 && p.size() > 0 ? Optional.of(10 * p.price() / p.size()) : Optional.empty();
    }

    /** Used once a day on a normal skin, by the amounts of the house; grams and millilitres taken as one. */
    public static Optional<Double> perMonth(Product p) {
        return p.price() > 0 && p.size() > 0
                ? Optional.of(p.price()
                        / p.size()
                        * Amounts.amount(p, Band.NORMAL, 1, Part.EVENING).grams()
                        * DAYS_A_MONTH)
                : Optional.empty();
    }

    // ---- what else would do

    /** In what way another should be better. */
    public enum Want {
        CHEAPER,
        GENTLER,
        UNSCENTED
    }

    /** @param because what it does as well, and in what it is better */
    public record Substitute(Product product, Because because) {}

    /**
     * Products of the same kind that give at least the actives by which this one is known, better in the way wanted; the
     * best first, at most six.
     */
    public static List<Substitute> substitutes(Product p, List<Product> all, Want want, Currency currency) {
        Set<ActiveKind> needed = EnumSet.noneOf(ActiveKind.class);
        p.leading().map(ActiveIn::kind).ifPresent(needed::add);
        return all.stream()
                .filter(o -> !o.id().equals(p.id())
                        && o.kind() == p.kind()
                        && !o.prescription()
                        && o.spf() >= p.spf()
                        && needed.stream().allMatch(o::has)
                        && Math.abs(o.texture() - p.texture()) <= 2
                        && better(p, o, want))
                .sorted(Comparator.comparingDouble((Product o) -> measure(o, want))
                        .thenComparing(Product::id))
                .limit(6)
                .map(o -> new Substitute(o, because(p, o, needed, want, currency)))
                .toList();
    }

    /** Actives that the one gives and the other does not, in words: what is lost by taking the other. */
    public static List<String> lost(Product p, Product instead) {
        return p.actives().stream()
                .filter(a -> !instead.has(a.kind()))
                .map(a -> Actives.of(a.kind()).label())
                .distinct()
                .toList();
    }

    private static boolean better(Product p, Product o, Want want) {
        return switch (want) {
            case CHEAPER ->
                perMonth(o).isPresent()
                        && perMonth(p).isPresent()
                        && perMonth(o).get() < perMonth(p).get()
                        && noHarsher(p, o);
            case GENTLER -> o.irritancy() < p.irritancy() && Tolerance.points(o) <= Tolerance.points(p);
            case UNSCENTED -> !FreeOf.PERFUME.holds(p) && FreeOf.PERFUME.holds(o);
        };
    }

    /** What saves money and costs skin saves nothing. */
    private static boolean noHarsher(Product p, Product o) {
        return o.irritancy() <= p.irritancy()
                && o.tags().stream().filter(HARSH::contains).allMatch(p.tags()::contains);
    }

    private static double measure(Product o, Want want) {
        return switch (want) {
            case CHEAPER -> perMonth(o).orElse(Double.MAX_VALUE);
            case GENTLER -> o.irritancy();
            case UNSCENTED -> perMonth(o).orElse(Double.MAX_VALUE);
        };
    }

    private static Because because(Product p, Product o, Set<ActiveKind> needed, Want want, Currency currency) {
        String same = needed.isEmpty()
                ? "The same kind of step"
                : "It gives %s too"
                        .formatted(needed.stream()
                                .map(k -> Actives.of(k).label())
                                .findFirst()
                                .orElse(""));
        String better = switch (want) {
            case CHEAPER ->
                "%s a month in place of %s, and no harsher"
                        .formatted(
                                Money.words(perMonth(o).orElse(0.0), currency),
                                Money.words(perMonth(p).orElse(0.0), currency));
            case GENTLER -> "irritancy %d in place of %d".formatted(o.irritancy(), p.irritancy());
            case UNSCENTED -> "no perfume in it";
        };
        return Because.house("%s; %s.".formatted(same, better));
    }

    private static String percent(double share) {
        return "%.0f %%".formatted(100 * share);
    }

    private static String number(double x) {
        return x == Math.rint(x) ? "%.0f".formatted(x) : String.format(Locale.ROOT, "%.1f", x);
    }
}

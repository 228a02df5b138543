package outfell.shelf;

import java.util.ArrayList;
import java.util.Currency;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.conflict.Conflicts;
import outfell.conflict.Interactions.Interaction;
import outfell.conflict.Meeting;
import outfell.consultation.Money;
import outfell.product.ActiveIn;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Ingredient;
import outfell.product.Kinds;
import outfell.product.LabelLine;
import outfell.product.Product;
import outfell.product.ProductReader;
import outfell.product.Tag;
import outfell.week.Tolerance;

/** Products side by side. */
public final class SideBySide {
    /** One row of a comparison; a value for each product, in their order. */
    public record ComparisonRow(String label, List<String> values, boolean differs) {}

    /** How two may not meet, the strictest first. */
    private static final List<Meeting> APART = List.of(Meeting.NEVER, Meeting.NIGHTS, Meeting.AM_PM);

    private static final String ALLERGEN = "ALLERGEN_";

    private final List<Product> products;
    private final List<ComparisonRow> rows = new ArrayList<>();

    private SideBySide(List<Product> products) {
        this.products = products;
    }

    /**
     * @param conflicts what may meet, as the practice has it
     * @param currency in which the practice's prices are
     */
    public static List<ComparisonRow> of(List<Product> products, Conflicts conflicts, Currency currency) {
        SideBySide table = new SideBySide(products);
        table.row("Kind", p -> Kinds.of(p.kind()).label());
        table.row("Texture", p -> "%s, %s".formatted(number(p.texture()), ProductReader.textureWords(p.texture())));
        table.row("Water-binding", p -> percent(p.composition().humectant()));
        table.row("Softening", p -> percent(p.composition().emollient()));
        table.row("Sealing", p -> percent(p.composition().occlusive()));
        table.row("Actives", SideBySide::actives);
        table.row("Must not meet", p -> apart(p, conflicts));
        table.row("SPF", p -> p.spf() == 0 ? "none" : String.valueOf(p.spf()));
        table.row("Perfume allergens that the law names", p -> printed(p, Tag.FRAGRANCE_ALLERGEN));
        table.row("Other allergens", SideBySide::allergens);
        table.row("To mind", SideBySide::hazards);
        table.row("Not known", SideBySide::unknown);
        table.row("Irritancy, summed", p -> String.valueOf(p.irritancy()));
        table.row("Load of one use", p -> number(Tolerance.points(p)));
        table.row("Price of the pack", p -> p.price() == 0 ? "not known" : Money.words(p.price(), currency));
        table.row(
                "Price per 10 ml or g",
                p -> Prices.perTen(p).map(x -> Money.words(x, currency)).orElse("not known"));
        table.row(
                "Price a month, used daily",
                p -> Prices.perMonth(p).map(x -> Money.words(x, currency)).orElse("not known"));
        return List.copyOf(table.rows);
    }

    private void row(String label, Function<Product, String> value) {
        List<String> values = products.stream().map(value).toList();
        rows.add(new ComparisonRow(label, values, values.stream().distinct().count() > 1));
    }

    private static String actives(Product p) {
        List<String> all = p.actives().stream()
                .map(a -> "%s, %s".formatted(Actives.of(a.kind()).label(), a.strength()))
                .toList();
        return all.isEmpty() ? noneOr(p, "none") : String.join("; ", all);
    }

    /** What its actives are kept apart from: how, and from what; an active that is kept apart in two ways by the stricter. */
    private static String apart(Product p, Conflicts conflicts) {
        Map<ActiveKind, Meeting> by = new EnumMap<>(ActiveKind.class);
        for (ActiveIn active : p.actives()) {
            for (Interaction i : conflicts.interactions().of(active.kind())) {
                ActiveKind other = i.a() == active.kind() ? i.b() : i.a();
                if (APART.contains(i.meeting())) {
                    by.merge(other, i.meeting(), (x, y) -> APART.indexOf(x) <= APART.indexOf(y) ? x : y);
                }
            }
        }
        String words = APART.stream()
                .filter(by::containsValue)
                .map(m -> m.words() + ": "
                        + by.entrySet().stream()
                                .filter(e -> e.getValue() == m)
                                .map(e -> Actives.of(e.getKey()).label())
                                .collect(Collectors.joining(", ")))
                .collect(Collectors.joining("; "));
        return words.isEmpty() ? noneOr(p, "nothing known") : words;
    }

    private static String printed(Product p, Tag tag) {
        Set<String> names = new LinkedHashSet<>();
        p.label().all().filter(l -> l.is(Set.of(tag))).forEach(l -> names.add(l.printed()));
        return names.isEmpty() ? noneOr(p, "none") : String.join(", ", names);
    }

    /** Allergens that are no perfume: what, and by which name on the list. */
    private static String allergens(Product p) {
        List<String> all = Stream.of(Tag.values())
                .filter(t -> t.name().startsWith(ALLERGEN))
                .flatMap(t -> p.label().all().filter(l -> l.is(Set.of(t))).map(l -> allergen(t, l)))
                .distinct()
                .toList();
        return all.isEmpty() ? noneOr(p, "none") : String.join(", ", all);
    }

    private static String allergen(Tag tag, LabelLine line) {
        return "%s (%s)"
                .formatted(
                        line.ingredient().map(Ingredient::common).orElse(line.printed()),
                        tag.words().replace(" allergen", ""));
    }

    private static String hazards(Product p) {
        List<String> all = p.findings().stream()
                .filter(f -> f.about().equals("mind"))
                .map(f -> f.found())
                .toList();
        return all.isEmpty() ? noneOr(p, "nothing known") : String.join("; ", all);
    }

    private static String unknown(Product p) {
        return p.label().unread()
                ? "no list was read"
                : p.label().unknown().isEmpty()
                        ? "every name is known"
                        : String.join(", ", p.label().unknown());
    }

    /** Of what nobody has read, nothing is said to be absent. */
    private static String noneOr(Product p, String none) {
        return p.label().unread() ? "not known: no list was read" : none;
    }

    private static String percent(double share) {
        return "%.0f %%".formatted(100 * share);
    }

    private static String number(double x) {
        return x == Math.rint(x) ? "%.0f".formatted(x) : String.format(Locale.ROOT, "%.1f", x);
    }
}

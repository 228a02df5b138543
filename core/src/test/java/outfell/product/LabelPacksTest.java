package outfell.product;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.yaml.snakeyaml.Yaml;

/**
 * Whole packs, written with what is to be read before the reader was changed for them; docs/reader.md tells the first figure
 * and the last.
 */
class LabelPacksTest {
    /** The allergens that EU law has named one by one, as far as the packs hold them; written here by themselves. */
    private static final Set<String> ANNEX = Set.of(
            "Alpha-Isomethyl Ionone",
            "Anethole",
            "Benzyl Alcohol",
            "Benzyl Benzoate",
            "Benzyl Salicylate",
            "Camphor",
            "Citral",
            "Citronellol",
            "Citrus Limon Peel Oil",
            "Coumarin",
            "Eucalyptus Globulus Leaf Oil",
            "Eugenol",
            "Farnesol",
            "Geraniol",
            "Hexyl Cinnamal",
            "Hydroxycitronellal",
            "Lavandula Angustifolia Oil",
            "Limonene",
            "Linalool",
            "Linalyl Acetate",
            "Menthol",
            "Pogostemon Cablin Oil",
            "Rosa Damascena Flower Oil",
            "Terpineol",
            "Vanillin");

    private static final Pattern MARK = Pattern.compile("\\{([^{}|]*)(?:\\|([^{}]*))?}");

    /** @param meant INCI names in order; one that no table has by its printed name after "?" */
    private record Pack(
            String id,
            String name,
            String kind,
            String text,
            List<String> meant,
            List<String> perhaps,
            List<Strong> strong) {}

    private record Strong(ActiveKind active, OptionalDouble percent) {}

    /** How much of something was read, and what was not. */
    private static final class Count {
        private int all;
        private int read;
        private final List<String> missed = new ArrayList<>();

        void of(Pack pack, String what, boolean found) {
            all++;
            read += found ? 1 : 0;
            if (!found) {
                missed.add(pack.id() + ": " + what);
            }
        }

        double share() {
            return (double) read / all;
        }

        @Override
        public String toString() {
            return "%d of %d".formatted(read, all);
        }
    }

    private final Count ingredients = new Count();
    private final Count strong = new Count();
    private final Count allergens = new Count();
    private final Count kinds = new Count();
    private final Count nothingElse = new Count();

    @SuppressWarnings("unchecked")
    private static List<Pack> packs() {
        Map<String, List<Map<String, Object>>> file = new Yaml()
                .load(new InputStreamReader(
                        Objects.requireNonNull(LabelPacksTest.class.getResourceAsStream("/labels/packs.yaml")),
                        StandardCharsets.UTF_8));
        return Objects.requireNonNull(file.get("packs")).stream()
                .map(row -> pack(
                        row,
                        ((List<Map<String, Object>>) row.getOrDefault("strong", List.of()))
                                .stream().map(LabelPacksTest::strong).toList()))
                .toList();
    }

    private static Strong strong(Map<String, Object> row) {
        Number percent = (Number) row.get("percent");
        return new Strong(
                ActiveKind.valueOf(((String) Objects.requireNonNull(row.get("active"))).toUpperCase(Locale.ROOT)),
                percent == null ? OptionalDouble.empty() : OptionalDouble.of(percent.doubleValue()));
    }

    @SuppressWarnings("unchecked")
    private static Pack pack(Map<String, Object> row, List<Strong> strong) {
        Matcher mark = MARK.matcher((String) Objects.requireNonNull(row.get("text")));
        StringBuilder printed = new StringBuilder();
        List<String> meant = new ArrayList<>();
        while (mark.find()) {
            meant.add(mark.group(1));
            String shown =
                    Optional.ofNullable(mark.group(2)).orElse(mark.group(1).replaceFirst("^\\?", ""));
            mark.appendReplacement(printed, Matcher.quoteReplacement(shown));
        }
        mark.appendTail(printed);
        return new Pack(
                (String) Objects.requireNonNull(row.get("id")),
                (String) Objects.requireNonNull(row.get("name")),
                (String) Objects.requireNonNull(row.get("kind")),
                printed.toString(),
                meant,
                (List<String>) row.getOrDefault("perhaps", List.of()),
                strong);
    }

    @Test
    void packs_are_read_as_they_were_meant() {
        packs().forEach(this::read);
        String told = "ingredients %s, strong actives %s, allergens %s, kinds %s, packs without a line too many %s"
                .formatted(ingredients, strong, allergens, kinds, nothingElse);
        if (Boolean.getBoolean("outfell.packs")) {
            System.out.println(told);
            for (Count each : List.of(ingredients, strong, allergens, kinds, nothingElse)) {
                each.missed.forEach(m -> System.out.println("  " + m));
            }
        }
        assertThat(ingredients.share()).as(told).isGreaterThanOrEqualTo(0.99);
        assertThat(strong.missed).as(told).isEmpty();
        assertThat(allergens.missed).as(told).isEmpty();
        assertThat(kinds.share()).as(told).isGreaterThanOrEqualTo(0.95);
        assertThat(nothingElse.share()).as(told).isGreaterThanOrEqualTo(0.95);
    }

    private static final Pattern WORD = Pattern.compile("\\p{L}{3,}");
    /** Words that only part the sections of a pack. */
    private static final Pattern PARTING = Pattern.compile(
            "(?iu)non|(?:in)?(?:active|medicinal|full|may|contains?|purposes?|also|each|gram|indhold|inci|ingr.*|zutaten|inhaltsstoffe|skład|innehåll|composition|bestandteile|전성분|全成分|and)");

    /** What is no ingredient is kept as it stood: no word of a pack is gone. */
    @Test
    void nothing_is_dropped_in_silence() {
        for (Pack pack : packs()) {
            Label label = LabelReader.read(pack.text());
            String kept = letters(label.lines().stream().map(LabelLine::printed).toList()) + letters(label.left());
            WORD.matcher(pack.text().replace("\u00ad", "").replace("&nbsp", ""))
                    .results()
                    .map(java.util.regex.MatchResult::group)
                    .filter(w -> !PARTING.matcher(w).matches())
                    .forEach(w -> assertThat(kept).as(pack.id()).contains(letters(List.of(w))));
        }
    }

    private static String letters(List<String> texts) {
        return String.join("", texts).replaceAll("[^\\p{L}]", "").toLowerCase(Locale.ROOT);
    }

    private void read(Pack pack) {
        Product product = ProductReader.read(new Product.Facts(
                new ProductId("pack"),
                pack.name(),
                "Nobody",
                50,
                "ml",
                10,
                pack.text(),
                Optional.empty(),
                OptionalDouble.empty(),
                false));
        List<String> found = new ArrayList<>(product.label().lines().stream()
                .filter(l -> !l.mayContain())
                .map(LabelPacksTest::told)
                .toList());
        for (String meant : pack.meant()) {
            ingredients.of(pack, meant, found.remove(meant));
        }
        nothingElse.of(pack, found.toString(), found.isEmpty());
        Set<String> perhaps = new TreeSet<>(product.label().lines().stream()
                .filter(LabelLine::mayContain)
                .map(LabelPacksTest::told)
                .toList());
        pack.perhaps().forEach(p -> ingredients.of(pack, "perhaps " + p, perhaps.contains(p)));
        for (Strong each : pack.strong()) {
            strong.of(
                    pack,
                    each.toString(),
                    product.actives().stream()
                            .anyMatch(a -> a.kind() == each.active()
                                    && (each.percent().isEmpty()
                                            || (a.declared()
                                                    && a.high()
                                                            == each.percent().getAsDouble()))));
        }
        pack.meant().stream()
                .filter(ANNEX::contains)
                .forEach(a -> allergens.of(
                        pack,
                        a,
                        product.label().lines().stream()
                                .anyMatch(l -> told(l).equals(a)
                                        && l.ingredient().orElseThrow().is(Tag.FRAGRANCE_ALLERGEN))));
        kinds.of(
                pack,
                pack.kind() + ", read as " + product.kind(),
                pack.kind().equals("none")
                        ? product.allHarms().stream().anyMatch(h -> h.harm().equals("not for a face"))
                        : product.kind().name().equalsIgnoreCase(pack.kind()));
    }

    private static String told(LabelLine line) {
        return line.ingredient().map(Ingredient::inci).orElse("?" + line.printed());
    }
}

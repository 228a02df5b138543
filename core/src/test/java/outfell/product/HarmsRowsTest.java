package outfell.product;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** Each row of what harms: a product made from the row that does, and products that miss it by one thing. */
class HarmsRowsTest {
    private static final double LITTLE = 0.5;

    static Stream<Row> rows() {
        return KnowledgeFile.yaml("harms.yaml").rows("harms").stream();
    }

    /** What of a row makes a list hold it: its tag, its name, its word. */
    private static String holding(Row row) {
        if (row.has("says")) {
            return row.texts("says").getFirst();
        }
        if (row.has("tags")) {
            Tag tag = row.several("tags", Tag.class).getFirst();
            return Ingredients.all().stream().anyMatch(i -> i.is(tag)) ? Products.tagged(tag) : familiar(tag);
        }
        return row.has("names")
                ? row.texts("names").getFirst()
                : row.texts("says").getFirst();
    }

    /** A name of a family, for what no row of the table is. */
    private static String familiar(Tag tag) {
        return KnowledgeFile.yaml("families.yaml").rows("families").stream()
                .filter(f -> f.several("tags", Tag.class).contains(tag))
                .flatMap(f -> f.texts("names").stream())
                .filter(n -> !n.contains("*"))
                .findFirst()
                .orElseThrow();
    }

    private static HomeUse use(Row row) {
        return row.several("uses", HomeUse.class).getFirst();
    }

    private static List<Harms.Harm> product(
            Row row, double percent, Optional<HomeUse> home, boolean prescription, String ph) {
        StepKind kind = use(row) == HomeUse.MASK || use(row) == HomeUse.WASH ? StepKind.WASH : StepKind.SERUM;
        Product.Facts bought = new Product.Facts(
                new ProductId("made"),
                "Plain name",
                "Nobody",
                30,
                "ml",
                10,
                "Aqua, Glycerin, %s %s %%, Panthenol 0.1 %% %s".formatted(holding(row), percent, ph),
                Optional.of(kind),
                OptionalDouble.empty(),
                prescription);
        return harms(home.map(bought::madeAtHome).orElse(bought));
    }

    private static List<Harms.Harm> harms(Product.Facts facts) {
        Product read = ProductReader.read(facts);
        return Harms.of(facts, read.kind(), read.label().lines());
    }

    private static Optional<Harms.Harm> found(Row row, List<Harms.Harm> harms) {
        return harms.stream()
                .filter(h -> h.harm().equals(row.text("harm"))
                        && h.because().sentence().startsWith(row.text("sentence")))
                .findFirst();
    }

    private static Optional<HomeUse> home(Row row) {
        return row.text("of").equals("mixture") ? Optional.of(use(row)) : Optional.empty();
    }

    private static String sharp(Row row, double by) {
        return row.has("ph-under") ? "pH %s".formatted(row.number("ph-under") - by) : "";
    }

    @ParameterizedTest
    @MethodSource("rows")
    void it_is_found_over_its_share_and_not_at_it(Row row) {
        double over = row.number("over");
        List<Harms.Harm> does = product(row, over + LITTLE, home(row), false, sharp(row, LITTLE));
        Harms.Harm harm = found(row, does).orElseThrow(() -> new AssertionError(row.text("harm") + ": " + does));
        assertThat(harm.refused()).isEqualTo(row.flag("refused"));
        if (over > 0) {
            assertThat(found(row, product(row, over, home(row), false, sharp(row, LITTLE))))
                    .as("at its share")
                    .isEmpty();
        }
        if (row.has("ph-under")) {
            assertThat(found(row, product(row, over + LITTLE, home(row), false, sharp(row, 0))))
                    .as("as sharp as its limit")
                    .isEmpty();
            assertThat(found(row, product(row, over + LITTLE, home(row), false, "")))
                    .as("no pH told")
                    .isEmpty();
        }
    }

    @ParameterizedTest
    @MethodSource("rows")
    void without_what_it_names_it_is_not_found(Row row) {
        assertThat(found(row, harms(named("Plain name")))).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("rows")
    void what_a_prescriber_gave_is_the_prescribers_unless_the_row_says_otherwise(Row row) {
        List<Harms.Harm> given = product(row, row.number("over") + LITTLE, home(row), true, sharp(row, LITTLE));
        assertThat(found(row, given).isPresent()).isEqualTo(row.flag("prescribed"));
    }

    @ParameterizedTest
    @MethodSource("rows")
    void it_holds_for_its_uses_and_for_mixtures_only_where_it_says_so(Row row) {
        double percent = row.number("over") + LITTLE;
        List<HomeUse> uses = row.several("uses", HomeUse.class);
        for (HomeUse use : HomeUse.values()) {
            Optional<Harms.Harm> harm = found(row, product(row, percent, Optional.of(use), false, sharp(row, LITTLE)));
            // the first that fits of one harm counts, so that a row may be passed by a worse one
            if (!uses.contains(use)) {
                assertThat(harm).as("%s", use).isEmpty();
            } else if (use == uses.getFirst()) {
                assertThat(product(row, percent, Optional.of(use), false, sharp(row, LITTLE)))
                        .as("%s", use)
                        .anyMatch(h -> h.harm().equals(row.text("harm")));
            }
        }
        if (row.text("of").equals("mixture")) {
            assertThat(found(row, product(row, percent, Optional.empty(), false, sharp(row, LITTLE))))
                    .as("bought")
                    .isEmpty();
        }
    }

    static Stream<String> said() {
        return rows().flatMap(r -> r.texts("says").stream());
    }

    @ParameterizedTest
    @MethodSource("said")
    void a_word_of_it_in_the_name_is_enough(String word) {
        assertThat(harms(named("Cream with " + word))).isNotEmpty();
    }

    private static Product.Facts named(String name) {
        return new Product.Facts(
                new ProductId("made"),
                name,
                "Nobody",
                30,
                "ml",
                10,
                "Aqua, Glycerin",
                Optional.of(StepKind.SERUM),
                OptionalDouble.empty(),
                false);
    }
}

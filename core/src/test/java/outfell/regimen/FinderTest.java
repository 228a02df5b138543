package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Currency;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.shelf.Finder;
import outfell.shelf.Finder.FreeOf;
import outfell.shelf.Finder.Wanted;
import outfell.skin.Concern;

class FinderTest {
    private static final Currency EURO = Currency.getInstance("EUR");
    private static final Finder.Index ALL = Finder.index(Consultations.CATALOGUE);
    private static final Wanted ANYTHING = text("");

    @Test
    void words_are_found_in_name_maker_kind_and_ingredients_whatever_their_case() {
        assertThat(names(text("NIACIN"))).anyMatch(n -> n.contains("Niacinamide"));
        assertThat(names(text("lanolin"))).contains("Deckhand's cream, lanolin");
        assertThat(Finder.find(ALL, text("sunscreen"))).isNotEmpty().allMatch(p -> p.kind() == StepKind.SUNSCREEN);
        assertThat(Finder.find(ALL, text("beeswax"))).allMatch(p -> p.tags().contains(Tag.ALLERGEN_BEE));
        assertThat(Finder.find(ALL, text("no such word at all"))).isEmpty();
        assertThat(Finder.find(ALL, ANYTHING)).hasSameSizeAs(ALL.all());
    }

    @Test
    void every_part_of_every_word_finds_what_plain_reading_finds() {
        for (String word : List.of("a", "io", "cream", "ic", "serum", "5", "slip", "zinc")) {
            assertThat(Finder.find(ALL, text(word)))
                    .as(word)
                    .containsExactlyInAnyOrderElementsOf(ALL.all().stream()
                            .filter(p -> everything(p).contains(word))
                            .toList());
        }
    }

    private static String everything(Product p) {
        String lines = p.label().lines().stream()
                .map(l -> l.printed() + " "
                        + l.ingredient().map(i -> i.inci() + " " + i.common()).orElse(""))
                .collect(java.util.stream.Collectors.joining(" "));
        String actives = p.actives().stream()
                .map(a -> outfell.product.Actives.of(a.kind()).label())
                .collect(java.util.stream.Collectors.joining(" "));
        return String.join(
                        " ",
                        p.name(),
                        p.maker(),
                        outfell.product.Kinds.of(p.kind()).label(),
                        lines,
                        actives)
                .toLowerCase(java.util.Locale.ROOT);
    }

    @Test
    void what_is_lost_by_another_is_what_it_does_not_give() {
        Product rich = Consultations.product("cream-lanolin");
        assertThat(Finder.lost(rich, rich)).isEmpty();
        Product retinol = Consultations.product("retinol-serum-02");
        assertThat(Finder.lost(retinol, rich)).contains("retinoid");
    }

    @ParameterizedTest
    @CsvSource({
        "vitamin A, retinol-serum-02",
        "BHA, salicylic-fluid-2",
        "Salicylsäure, salicylic-fluid-2",
        "fruit acid, lactic-serum-5",
        "niacinamde, serum-niacinamide-5",
        "BHA fluid, salicylic-fluid-2",
    })
    void what_a_text_means_counts_like_what_it_says(String text, String id) {
        assertThat(found(text)).contains(id);
        assertThat(found(text)).doesNotContain("ointment-plain");
    }

    private static List<String> found(String text) {
        return Finder.find(Finder.index(Consultations.CATALOGUE), text(text)).stream()
                .map(p -> p.id().value())
                .toList();
    }

    @Test
    void a_name_that_begins_with_the_word_comes_first() {
        assertThat(names(text("gel")).getFirst()).startsWithIgnoringCase("gel");
    }

    @Test
    void filters_are_combined() {
        Wanted wanted = new Wanted(
                "",
                EnumSet.of(StepKind.SERUM),
                EnumSet.of(ActiveKind.NIACINAMIDE),
                Set.of(Concern.OILINESS),
                EnumSet.of(FreeOf.PERFUME),
                OptionalDouble.empty(),
                OptionalDouble.of(3),
                OptionalDouble.of(100));
        assertThat(Finder.find(ALL, wanted)).isNotEmpty().allSatisfy(p -> {
            assertThat(p.kind()).isEqualTo(StepKind.SERUM);
            assertThat(p.has(ActiveKind.NIACINAMIDE)).isTrue();
            assertThat(p.texture()).isLessThanOrEqualTo(3);
            assertThat(p.tags()).doesNotContain(Tag.FRAGRANCE);
            assertThat(p.price()).isBetween(0.01, 100.0);
        });
    }

    @ParameterizedTest
    @EnumSource(FreeOf.class)
    void each_absence_leaves_out_what_holds_it_and_keeps_the_rest(FreeOf free) {
        Wanted wanted = new Wanted(
                "",
                Set.of(),
                Set.of(),
                Set.of(),
                EnumSet.of(free),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        List<Product> kept = Finder.find(ALL, wanted);
        assertThat(kept).isNotEmpty().allMatch(free::holds);
        assertThat(kept).hasSize((int)
                Consultations.CATALOGUE.stream().filter(free::holds).count());
    }

    @Test
    void side_by_side_says_where_they_part() {
        List<Finder.ComparisonRow> rows = Finder.compare(
                List.of(Consultations.product("day-fluid-30"), Consultations.product("sun-fluid-50")), EURO);
        assertThat(rows)
                .filteredOn(r -> r.label().equals("SPF"))
                .singleElement()
                .satisfies(r -> {
                    assertThat(r.values()).containsExactly("30", "50");
                    assertThat(r.differs()).isTrue();
                });
        assertThat(rows).filteredOn(r -> r.label().equals("Kind")).allMatch(r -> !r.differs());
    }

    @ParameterizedTest
    @EnumSource(Finder.Want.class)
    void a_substitute_does_the_same_job_and_is_better_as_wanted(Finder.Want want) {
        int found = 0;
        for (Product p : Consultations.CATALOGUE) {
            for (Finder.Substitute s : Finder.substitutes(p, Consultations.CATALOGUE, want, EURO)) {
                found++;
                assertThat(s.product().kind()).isEqualTo(p.kind());
                assertThat(s.product().spf()).isGreaterThanOrEqualTo(p.spf());
                p.leading().ifPresent(a -> assertThat(s.product().has(a.kind())).isTrue());
                assertThat(s.because().sentence()).isNotBlank();
                switch (want) {
                    case CHEAPER -> {
                        assertThat(Finder.perMonth(s.product()).orElseThrow())
                                .isLessThan(Finder.perMonth(p).orElseThrow());
                        assertThat(s.product().irritancy()).isLessThanOrEqualTo(p.irritancy());
                        if (!p.tags().contains(Tag.SURFACTANT_STRONG)) {
                            assertThat(s.product().tags()).doesNotContain(Tag.SURFACTANT_STRONG);
                        }
                    }
                    case GENTLER -> assertThat(s.product().irritancy()).isLessThan(p.irritancy());
                    case UNSCENTED ->
                        assertThat(FreeOf.PERFUME.holds(s.product())).isTrue();
                }
            }
        }
        assertThat(found).isPositive();
    }

    private static Wanted text(String text) {
        return new Wanted(
                text,
                Set.of(),
                Set.of(),
                Set.of(),
                Set.of(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    private static List<String> names(Wanted wanted) {
        return Finder.find(ALL, wanted).stream().map(Product::name).toList();
    }
}

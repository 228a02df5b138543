package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Currency;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import outfell.conflict.Conflicts;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.shelf.Finder;
import outfell.shelf.Finder.FreeOf;
import outfell.shelf.Finder.Wanted;
import outfell.shelf.Prices;
import outfell.shelf.SideBySide;
import outfell.shelf.Substitutes;
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
        assertThat(Substitutes.lost(rich, rich)).isEmpty();
        Product retinol = Consultations.product("retinol-serum-02");
        assertThat(Substitutes.lost(retinol, rich)).contains("retinoid");
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

    @ParameterizedTest
    @CsvSource({
        "moisturizer, gel-cream-water",
        "vit c, serum-vitamin-c-12",
        "acne, salicylic-fluid-2",
        "dark spots, serum-tranexamic-3",
        "hyaluronic serum, serum-humectant",
    })
    void what_people_call_a_thing_finds_it(String text, String id) {
        assertThat(found(text)).contains(id);
    }

    @ParameterizedTest
    @CsvSource({
        "niacinamid3, niacinamide",
        "crema, cream",
        "moisturiesr, moisturiser",
        "ceramdie, ceramide",
        "serun, serum"
    })
    void one_slip_of_the_finger_is_looked_through_and_told(String text, String meant) {
        Finder.Found found = Finder.search(ALL, text(text));
        assertThat(found.products())
                .isNotEmpty()
                .containsAll(Finder.find(ALL, text(meant)).stream().limit(1).toList());
        if (!text.equals("niacinamid3")) {
            assertThat(found.readAs().get(text)).contains(meant);
        }
    }

    @Test
    void names_come_before_actives_actives_before_kinds_and_those_before_the_rest() {
        List<Product> found = Finder.find(ALL, text("retinol"));
        int lastNamed = lastIndex(found, p -> p.name().toLowerCase(Locale.ROOT).contains("retinol"));
        assertThat(found.subList(0, lastNamed + 1))
                .allMatch(p -> p.name().toLowerCase(Locale.ROOT).contains("retinol"));
        List<Product> serums = Finder.find(ALL, text("serum"));
        int lastKind = lastIndex(
                serums,
                p -> p.kind() == StepKind.SERUM
                        || p.name().toLowerCase(Locale.ROOT).contains("serum"));
        assertThat(serums.subList(0, lastKind + 1))
                .allMatch(p -> p.kind() == StepKind.SERUM
                        || p.name().toLowerCase(Locale.ROOT).contains("serum"));
    }

    private static int lastIndex(List<Product> all, java.util.function.Predicate<Product> wanted) {
        return java.util.stream.IntStream.range(0, all.size())
                .filter(i -> wanted.test(all.get(i)))
                .max()
                .orElseThrow();
    }

    @ParameterizedTest
    @EnumSource(Substitutes.Want.class)
    void where_nothing_would_do_it_says_why(Substitutes.Want want) {
        int none = 0;
        for (Product p : Consultations.CATALOGUE) {
            Substitutes.Instead instead = Substitutes.of(p, Consultations.CATALOGUE, want, EURO);
            assertThat(instead.none().isPresent()).isEqualTo(instead.found().isEmpty());
            if (instead.none().isPresent()) {
                none++;
                assertThat(instead.none().orElseThrow().sentence()).isNotBlank().doesNotContain("%s");
            }
        }
        assertThat(none).isPositive();
    }

    @Test
    void why_nothing_would_counts_every_other_of_the_kind_once() {
        Product p = Consultations.product("retinol-serum-02");
        String why = Substitutes.of(p, Consultations.CATALOGUE, Substitutes.Want.CHEAPER, EURO)
                .none()
                .orElseThrow()
                .sentence();
        java.util.regex.Matcher counts =
                java.util.regex.Pattern.compile("(\\d+) [a-z]").matcher(why);
        List<Integer> found = new java.util.ArrayList<>();
        while (counts.find()) {
            found.add(Integer.parseInt(counts.group(1)));
        }
        assertThat(found.subList(1, found.size()).stream().mapToInt(i -> i).sum())
                .as(why)
                .isEqualTo(found.getFirst());
    }

    @Test
    void side_by_side_tells_allergens_and_what_an_active_must_not_meet() {
        List<SideBySide.ComparisonRow> rows = SideBySide.of(
                List.of(Consultations.product("retinol-serum-02"), Consultations.product("cream-lanolin")),
                Conflicts.SHIPPED,
                EURO);
        assertThat(rows)
                .filteredOn(r -> r.label().equals("Must not meet"))
                .singleElement()
                .satisfies(r -> {
                    assertThat(r.values().getFirst())
                            .contains("never together: ")
                            .contains("scrub particles")
                            .contains("not on one night: ");
                });
        assertThat(rows)
                .filteredOn(r -> r.label().equals("Other allergens"))
                .singleElement()
                .satisfies(r -> assertThat(r.values().getLast()).contains("(wool)"));
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
        List<SideBySide.ComparisonRow> rows = SideBySide.of(
                List.of(Consultations.product("day-fluid-30"), Consultations.product("sun-fluid-50")),
                Conflicts.SHIPPED,
                EURO);
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
    @EnumSource(Substitutes.Want.class)
    void a_substitute_does_the_same_job_and_is_better_as_wanted(Substitutes.Want want) {
        int found = 0;
        for (Product p : Consultations.CATALOGUE) {
            for (Substitutes.Substitute s :
                    Substitutes.of(p, Consultations.CATALOGUE, want, EURO).found()) {
                found++;
                assertThat(s.product().kind()).isEqualTo(p.kind());
                assertThat(s.product().spf()).isGreaterThanOrEqualTo(p.spf());
                p.leading().ifPresent(a -> assertThat(s.product().has(a.kind())).isTrue());
                assertThat(s.because().sentence()).isNotBlank();
                switch (want) {
                    case CHEAPER -> {
                        assertThat(Prices.perMonth(s.product()).orElseThrow())
                                .isLessThan(Prices.perMonth(p).orElseThrow());
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

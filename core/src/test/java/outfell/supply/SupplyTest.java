package outfell.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import outfell.knowledge.Because;
import outfell.method.Methods;
import outfell.product.Correction;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.routine.ByAir;
import outfell.routine.Layout;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.skin.Band;
import outfell.skin.FaceBands;

class SupplyTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);

    @ParameterizedTest
    @CsvSource({
        "SERUM, 30, 3.5, 57",
        "MOISTURISER, 50, 10.08, 31",
        "SUNSCREEN, 50, 10.5, 31",
        "SUNSCREEN, 50, 21, 15",
        "TREATMENT, 30, 0.9, 221",
        "WASH, 150, 21, 48"
    })
    void a_pack_lasts_as_long_as_the_worked_examples_say(StepKind kind, double size, double gramsAWeek, int days) {
        assertThat(Supply.daysToEmpty(Supply.net(product(kind, size, 0, "Aqua")), 1, gramsAWeek))
                .isEqualTo(days);
    }

    @Test
    void a_retinoid_used_sparingly_is_past_its_time_before_it_is_empty() {
        Product retinol = product(StepKind.TREATMENT, 30, 36, "Aqua, Squalane, Retinol (0.3 %)");
        Supply.Line line = one(new Supply.Used(retinol, 0.9, Optional.empty()));
        assertThat(line.end()).isEqualTo(Supply.End.PAST_ITS_TIME);
        assertThat(line.ends()).hasValue(LocalDate.of(2027, 5, 25));
        assertThat(line.days()).isEqualTo(181);
        assertThat(line.because().sentence()).contains("six months").contains("221 days");
        // what is thrown away is paid for: 36 for six months
        assertThat(line.month().orElseThrow()).isCloseTo(6, within(0.001));
    }

    @Test
    void two_parts_are_two_bottles_of_which_the_smaller_ends_first_and_both_are_bought_then() {
        Product sold = twoPart(Map.of("SECOND_SIZE", "15"));
        List<Supply.Line> lines = lines(new Supply.Used(sold, 7, Optional.empty()));
        assertThat(lines)
                .extracting(Supply.Line::name)
                .containsExactly("Two-part clay treatment", "Two-part clay treatment, part two");
        assertThat(lines).extracting(Supply.Line::second).containsExactly(false, true);
        // 1 g a day of each: 30 and 15 ml, less 8 % that never comes out
        assertThat(lines).extracting(Supply.Line::days).containsExactly(27, 13);
        assertThat(lines.get(1).because().sentence()).contains("Its price is in that of part one");
        // 20 for every 13.8 ml of part two
        assertThat(lines.getFirst().month().orElseThrow()).isCloseTo(20 * 365 / 12.0 / 13.8, within(0.001));
        assertThat(lines.get(1).month()).hasValue(0);
        assertThat(Supply.month(sold, 7).orElseThrow())
                .isCloseTo(Supply.monthByWeight(sold, 7), within(1e-9))
                .isCloseTo(lines.getFirst().month().orElseThrow(), within(1e-9));
    }

    @Test
    void a_second_part_that_is_sold_by_itself_has_its_own_price() {
        Product apart = twoPart(Map.of("SECOND_SIZE", "15", "SECOND_PRICE", "6"));
        List<Supply.Line> lines = lines(new Supply.Used(
                apart, 7, Optional.of(new Supply.Pack(Optional.of(LocalDate.of(2026, 11, 1)), 50))));
        assertThat(lines.getFirst().month().orElseThrow()).isCloseTo(20 * 365 / 12.0 / 27.6, within(0.001));
        assertThat(lines.get(1).month().orElseThrow()).isCloseTo(6 * 365 / 12.0 / 13.8, within(0.001));
        assertThat(lines).extracting(Supply.Line::days).containsExactly(13, 6);
        assertThat(lines.get(1).because().sentence())
                .doesNotContain("sold as one")
                .endsWith("How much of part two is left nobody has said: taken to be as full as part one.");
        assertThat(Supply.month(apart, 7).orElseThrow())
                .isCloseTo(lines.stream().mapToDouble(l -> l.month().orElse(0)).sum(), within(1e-9));
    }

    @Test
    void a_second_bottle_of_which_nobody_knows_the_size_is_said_to_be_unknown() {
        Supply.Line second =
                lines(new Supply.Used(twoPart(Map.of()), 7, Optional.empty())).get(1);
        assertThat(second.end()).isEqualTo(Supply.End.NOT_KNOWN);
        assertThat(second.ends()).isEmpty();
        assertThat(second.because().sentence()).startsWith("How much is in the bottle of part two is not known");
    }

    private static List<Supply.Line> lines(Supply.Used used) {
        return Supply.of(List.of(used), TODAY).lines();
    }

    private static Product twoPart(Map<String, String> said) {
        return ProductReader.read(new Product.Facts(
                new ProductId("two"),
                "Two-part clay treatment",
                "",
                30,
                "ml",
                20,
                "Aqua, Kaolin, Glycerin",
                Optional.of(StepKind.CLAY_MASK),
                OptionalDouble.empty(),
                false,
                said.entrySet().stream()
                        .map(e -> new Correction(Correction.About.DIRECTION, e.getKey(), e.getValue(), "Ada", TODAY))
                        .toList(),
                Optional.empty()));
    }

    @Test
    void a_pack_in_use_lasts_by_what_is_left_and_by_when_it_was_opened() {
        Product cream = product(StepKind.MOISTURISER, 50, 12, "Aqua, Glycerin");
        Supply.Line half = one(new Supply.Used(
                cream, 10.08, Optional.of(new Supply.Pack(Optional.of(LocalDate.of(2026, 10, 1)), 50))));
        assertThat(half.days()).isEqualTo(15);
        assertThat(half.soon()).isFalse();
        Supply.Line quarter = one(new Supply.Used(cream, 10.08, Optional.of(new Supply.Pack(Optional.empty(), 25))));
        assertThat(quarter.days()).isEqualTo(7);
        assertThat(quarter.soon()).isTrue();
        assertThat(quarter.because().sentence()).contains("When it was opened is not known");
        Supply.Line old = one(new Supply.Used(
                cream, 10.08, Optional.of(new Supply.Pack(Optional.of(LocalDate.of(2025, 6, 1)), 90))));
        assertThat(old.end()).isEqualTo(Supply.End.PAST_ITS_TIME);
        assertThat(old.days()).isZero();
        assertThat(old.ends()).hasValue(LocalDate.of(2026, 6, 1));
    }

    @Test
    void the_whole_says_what_it_could_not_reckon() {
        Supply.Whole whole = Supply.of(
                List.of(
                        new Supply.Used(product(StepKind.MOISTURISER, 46, 10, "Aqua"), 7, Optional.empty()),
                        new Supply.Used(product(StepKind.SERUM, 0, 10, "Aqua"), 7, Optional.empty()),
                        new Supply.Used(product(StepKind.TONER, 100, 0, "Aqua"), 7, Optional.empty())),
                TODAY);
        // 46 ml less 8 % at 1 a day last 42.32 days
        assertThat(whole.month()).isCloseTo(10 / 42.32 * 365 / 12, within(0.001));
        assertThat(whole.unpriced()).hasSize(2);
        assertThat(whole.lines().get(1).end()).isEqualTo(Supply.End.NOT_KNOWN);
        assertThat(whole.lines().get(2).days()).isEqualTo(97);
    }

    @Test
    void a_budget_is_overrun_by_the_rest_and_a_dearer_product_saves_nothing() {
        Supply.Used cream = new Supply.Used(product(StepKind.MOISTURISER, 46, 10, "Aqua"), 7, Optional.empty());
        Supply.Whole whole = Supply.of(List.of(cream), TODAY);
        assertThat(whole.over(5)).isCloseTo(whole.month() - 5, within(0.001));
        assertThat(whole.over(500)).isZero();
        assertThat(Supply.saves(cream, product(StepKind.MOISTURISER, 46, 6, "Aqua"))
                        .orElseThrow())
                .isCloseTo(whole.month() * 0.4, within(0.001));
        assertThat(Supply.saves(cream, product(StepKind.MOISTURISER, 46, 11, "Aqua")))
                .isEmpty();
        assertThat(Supply.saves(cream, product(StepKind.MOISTURISER, 46, 0, "Aqua")))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "SERUM, 'Aqua, Ascorbic Acid (15 %)', 3",
        "SERUM, 'Aqua, Glycerin', 12",
        "EYE, 'Aqua, Retinol (0.1 %)', 6",
        "OIL, 'Rosa Canina Fruit Oil', 6",
        "SUNSCREEN, Aqua, 12"
    })
    void the_shorter_of_kind_and_active_counts(StepKind kind, String label, int months) {
        assertThat(Supply.monthsOpen(product(kind, 30, 10, label))).isEqualTo(months);
    }

    @Test
    void the_reason_reckons_with_the_packs_own_figures() {
        Product cream = product(StepKind.MOISTURISER, 50, 12, "Aqua, Glycerin");
        assertThat(said(cream, new Supply.Pack(Optional.of(TODAY), 100)))
                .isEqualTo("50 g, less 8 % that never comes out, at 1.50 g a day.");
        assertThat(said(cream, new Supply.Pack(Optional.of(TODAY), 40)))
                .isEqualTo("50 g, 40 % left, less 8 % that never comes out, at 1.50 g a day.");
        assertThat(said(product(StepKind.LIP, 4.5, 12, "Petrolatum"), new Supply.Pack(Optional.of(TODAY), 100)))
                .startsWith("4.5 g, less 8 %");
    }

    @Test
    void what_keeps_shortest_of_two_actives_sets_the_end() {
        Product both = product(StepKind.SERUM, 30, 36, "Aqua, Ascorbic Acid (15 %), Retinol (0.3 %)");
        assertThat(Supply.monthsOpen(both)).isEqualTo(3);
        Product turned = product(StepKind.SERUM, 30, 36, "Aqua, Retinol (0.3 %), Ascorbic Acid (15 %)");
        assertThat(one(new Supply.Used(turned, 0.9, Optional.empty())).because().sentence())
                .startsWith("L-ascorbic acid is spent in about three months");
        // as long as any such pack keeps: the pack is the reason, not the active
        Product eye = product(StepKind.EYE, 30, 36, "Aqua, Retinol (0.1 %)");
        assertThat(one(new Supply.Used(eye, 0.2, Optional.empty())).because().sentence())
                .startsWith("Such a pack keeps about 6 months once opened.");
    }

    @Test
    void what_costs_the_same_saves_nothing() {
        Supply.Used cream = new Supply.Used(product(StepKind.MOISTURISER, 46, 10, "Aqua"), 7, Optional.empty());
        assertThat(Supply.saves(cream, cream.product())).isEmpty();
    }

    @Test
    void a_week_counts_each_step_on_its_nights_and_a_thing_twice_once() {
        Product serum = product(StepKind.SERUM, 30, 10, "Aqua, Glycerin");
        List<DayOfWeek> three = List.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY);
        Layout layout = new Layout(
                Methods.find("classic").orElseThrow(),
                FaceBands.even(Band.NORMAL),
                Set.of(),
                Map.of(serum.id(), new Layout.OnNights(three, Because.house("As it was wished."))),
                (_, _) -> new Layout.Said("", List.of(), List.of(), List.of()),
                Layout.Used::custom,
                Layout.ByHand.NOTHING,
                ByAir.AS_USUAL,
                false);
        List<Step> steps = Stream.of(Part.MORNING, Part.EVENING)
                .flatMap(part -> layout.lay(part, List.of(serum), 20).steps().stream())
                .toList();
        double expected = steps.stream()
                .mapToDouble(s -> s.amount().grams() * s.nights().size())
                .sum();
        assertThat(expected).isPositive();
        assertThat(Supply.gramsAWeek(steps))
                .containsOnlyKeys(serum.id())
                .hasEntrySatisfying(serum.id(), g -> assertThat(g).isCloseTo(expected, within(1e-9)));
    }

    private static String said(Product p, Supply.Pack pack) {
        return one(new Supply.Used(p, 10.5, Optional.of(pack))).because().sentence();
    }

    private static Supply.Line one(Supply.Used used) {
        return Supply.of(List.of(used), TODAY).lines().getFirst();
    }

    private static Product product(StepKind kind, double size, double price, String label) {
        return ProductReader.read(new Product.Facts(
                new ProductId("p"),
                "Pack",
                "",
                size,
                "g",
                price,
                label,
                Optional.of(kind),
                OptionalDouble.empty(),
                false));
    }
}

package outfell.routine;

import static org.assertj.core.api.Assertions.assertThat;
import static outfell.routine.StepOrderTest.answering;
import static outfell.routine.StepOrderTest.made;
import static outfell.routine.StepOrderTest.products;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import outfell.method.Method;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StepKind;
import outfell.skin.Band;
import outfell.skin.FaceBands;

/** How what is ordered is laid out: reasons, amounts, technique, waits and time. */
class LayoutTest {
    private static final Layout.Said SAID_NOTHING = new Layout.Said("", List.of(), List.of(), List.of());

    private static final Method CLASSIC = Methods.find("classic").orElseThrow();
    private static final Method LAYERED = Methods.find("layered").orElseThrow();

    @Test
    void what_is_done_in_a_wait_stands_behind_the_step_that_settles() {
        Method method = answering("eye-place=in_a_wait", "lip-place=in_a_wait", "waits=full");
        Product eyes = made("eyes", StepKind.EYE, 5, "Aqua, Glycerin");
        Product lips = made("lips", StepKind.LIP, 8, "Petrolatum");
        Product toner = made("toner", StepKind.TONER, 1, "Aqua, Glycerin");
        Product retinol = made("retinol", StepKind.TREATMENT, 3, "Aqua, Retinol 0.3 %");
        Product serum = made("serum", StepKind.SERUM, 3.5, "Aqua, Panthenol 5 %");
        Product cream = made("cream", StepKind.MOISTURISER, 6, "Aqua, Glycerin");
        Layout layout = new Layout(
                method,
                FaceBands.even(Band.NORMAL),
                Set.of(),
                Map.of(),
                (_, _) -> SAID_NOTHING,
                Layout.Used::custom,
                Layout.ByHand.NOTHING,
                ByAir.AS_USUAL,
                false);
        Routine evening = layout.lay(Part.EVENING, List.of(cream, lips, eyes, serum, retinol, toner), 20);
        assertThat(evening.steps())
                .extracting(s -> s.product().value())
                .containsExactly("toner", "retinol", "eyes", "lips", "serum", "cream");
        assertThat(evening.timeline().filled()).isEqualTo("3 and 4 while 2 settles");
        assertThat(evening.timeline().segments().stream()
                        .map(Routine.Segment::step)
                        .distinct())
                .as("the clock has the order of the list")
                .isSorted();
        assertThat(evening.steps().get(2).place().sentence()).contains("while another step settles");
        assertThat(evening.steps().get(3).next().sentence())
                .isEqualTo("Either way round would do: lips meet nothing else.");
    }

    @Test
    void lips_between_cream_and_sunscreen_do_not_take_the_creams_wait() {
        Layout layout = new Layout(
                CLASSIC,
                FaceBands.even(Band.NORMAL),
                Set.of(),
                Map.of(),
                (_, _) -> SAID_NOTHING,
                Layout.Used::custom,
                Layout.ByHand.NOTHING,
                ByAir.AS_USUAL,
                false);
        Routine morning = layout.lay(
                Part.MORNING,
                List.of(
                        made("cream", StepKind.MOISTURISER, 6, "Aqua, Glycerin"),
                        made("lips", StepKind.LIP, 8, "Petrolatum"),
                        made("sun", StepKind.SUNSCREEN, 4, "Aqua, Zinc Oxide 15 %")),
                8);
        assertThat(morning.steps()).extracting(Step::settle).containsExactly(120, 0, 0);
        assertThat(morning.timeline().filled()).isEqualTo("2 while 1 settles");
    }

    @Test
    void every_step_says_why_it_stands_where_it_does() {
        Layout layout = new Layout(
                CLASSIC,
                FaceBands.even(Band.NORMAL),
                Set.of(),
                Map.of(),
                (_, _) -> SAID_NOTHING,
                Layout.Used::custom,
                Layout.ByHand.NOTHING,
                ByAir.AS_USUAL,
                false);
        Routine morning = layout.lay(
                Part.MORNING,
                products("sun-fluid-50", "cream-ceramide-light", "serum-niacinamide-5", "gel-wash-low-foam"),
                8);
        assertThat(morning.steps())
                .extracting(s -> s.place().sentence())
                .containsExactly(
                        "Everything else needs clean skin, so it comes first.",
                        "Thinner than the moisturiser after it: texture 2 before texture 5.",
                        "Thicker than the serum before it: texture 5 after texture 2.",
                        "Sunscreen ends the morning, whatever its texture; nothing goes over it.");
        assertThat(morning.steps())
                .allSatisfy(s -> assertThat(s.place().source()).isNotBlank());
    }

    @Test
    void the_sunscreen_is_dosed_at_two_milligrams_on_each_square_centimetre_of_face_and_neck() {
        assertThat(Where.of(StepKind.SUNSCREEN).cm2()).isEqualTo(726);
        assertThat(Amounts.sunscreenGrams(565)).isEqualTo(1.13);
        assertThat(Amounts.sunscreenGrams(726)).isEqualTo(1.45);
        Amounts.Amount amount =
                Amounts.amount(products("sun-fluid-50").getFirst(), FaceBands.even(Band.NORMAL), 1, Part.EVENING);
        assertThat(amount.words()).isEqualTo("¼ teaspoon face, 2 peas neck");
        assertThat(amount.grams()).isEqualTo(1.45);
        assertThat(amount.places()).extracting(Amounts.AtPlace::words).containsExactly("¼ teaspoon", "2 peas");
    }

    @Test
    void dry_skin_gets_more_cream_than_oily() {
        Product cream = products("cream-ceramide-night").getFirst();
        assertThat(Amounts.amount(cream, FaceBands.even(Band.OILY), 1, Part.EVENING)
                        .grams())
                .isEqualTo(0.67);
        assertThat(Amounts.amount(cream, FaceBands.even(Band.NORMAL), 1, Part.EVENING)
                        .grams())
                .isEqualTo(0.9);
        assertThat(Amounts.amount(cream, FaceBands.even(Band.DRY), 1, Part.EVENING)
                        .grams())
                .isEqualTo(1.17);
    }

    @Test
    void the_time_is_that_of_the_longest_evening_and_the_last_wait_is_not_waited() {
        Map<ProductId, Layout.OnNights> nights = Map.of(
                new ProductId("retinal-cream-005"),
                new Layout.OnNights(List.of(DayOfWeek.TUESDAY), outfell.knowledge.Because.house("x")));
        Layout layout = new Layout(
                CLASSIC,
                FaceBands.even(Band.NORMAL),
                Set.of(),
                nights,
                (_, _) -> SAID_NOTHING,
                Layout.Used::custom,
                Layout.ByHand.NOTHING,
                ByAir.AS_USUAL,
                false);
        Routine evening = layout.lay(
                Part.EVENING, products("gel-wash-low-foam", "retinal-cream-005", "cream-ceramide-night"), 20);
        assertThat(evening.timeline().day()).isEqualTo(DayOfWeek.TUESDAY);
        // 60 s wash + 35 s and 600 s retinal + 40 s cream
        assertThat(evening.timeline().minutes()).isEqualTo(12.3);
        assertThat(evening.timeline().shortestMinutes()).isEqualTo(1.7);
        assertThat(evening.timeline().segments().stream()
                        .mapToInt(Routine.Segment::seconds)
                        .sum())
                .isEqualTo(735);
    }

    @Test
    void the_layered_method_puts_the_toner_on_in_three_layers() {
        Product toner = products("toner-water").getFirst();
        assertThat(ByAir.AS_USUAL.layers(LAYERED, toner)).isEqualTo(3);
        assertThat(new ByAir(1, 1, ByAir.AS_USUAL.because()).layers(LAYERED, toner))
                .isEqualTo(4);
        assertThat(new ByAir(-1, 1, ByAir.AS_USUAL.because()).layers(CLASSIC, toner))
                .as("one at least")
                .isEqualTo(1);
        assertThat(Amounts.amount(toner, FaceBands.even(Band.NORMAL), 3, Part.EVENING)
                        .words())
                .isEqualTo("1 splash into the palm, 3 layers");
        assertThat(toner.kind()).isEqualTo(StepKind.TONER);
    }

    @Test
    void the_air_makes_the_cream_of_the_evening_more_and_that_of_the_day_never() {
        ByAir dry = new ByAir(0, 1.25, outfell.knowledge.Because.house("The air is dry."));
        ByAir hot = new ByAir(0, 0.75, outfell.knowledge.Because.house("The air is hot."));
        assertThat(cream(dry, Part.EVENING).grams()).isEqualTo(1.13);
        assertThat(cream(dry, Part.EVENING).because().sentence())
                .isEqualTo("1.13 g for face and neck: the air is dry.");
        assertThat(cream(dry, Part.MORNING)).isEqualTo(cream(ByAir.AS_USUAL, Part.MORNING));
        assertThat(cream(hot, Part.EVENING).grams()).isEqualTo(0.68);
        assertThat(cream(hot, Part.MORNING).grams())
                .isEqualTo(Math.round(cream(ByAir.AS_USUAL, Part.MORNING).grams() * 75) / 100.0);
    }

    private static Amounts.Amount cream(ByAir byAir, Part part) {
        return new Layout(
                        CLASSIC,
                        FaceBands.even(Band.NORMAL),
                        Set.of(),
                        Map.of(),
                        (_, _) -> SAID_NOTHING,
                        Layout.Used::custom,
                        Layout.ByHand.NOTHING,
                        byAir,
                        false)
                .lay(part, products("cream-ceramide-night"), 20)
                .steps()
                .getFirst()
                .amount();
    }

    @Test
    void a_retinoid_on_reactive_skin_goes_between_two_thin_coats_of_cream() {
        Layout reactive = new Layout(
                CLASSIC,
                FaceBands.even(Band.NORMAL),
                Set.of(),
                Map.of(),
                (_, _) -> SAID_NOTHING,
                Layout.Used::custom,
                Layout.ByHand.NOTHING,
                ByAir.AS_USUAL,
                true);
        Layout calm = new Layout(
                CLASSIC,
                FaceBands.even(Band.NORMAL),
                Set.of(),
                Map.of(),
                (_, _) -> SAID_NOTHING,
                Layout.Used::custom,
                Layout.ByHand.NOTHING,
                ByAir.AS_USUAL,
                false);
        List<Product> steps = products("retinal-cream-005", "cream-ceramide-night");
        Step between = reactive.lay(Part.EVENING, steps, 20).steps().getFirst();
        Step under = calm.lay(Part.EVENING, steps, 20).steps().getFirst();
        assertThat(between.then()).singleElement().satisfies(a -> {
            assertThat(a.told()).isEqualTo("first half of 2");
            assertThat(a.before()).isTrue();
            assertThat(a.grams()).isZero();
            assertThat(a.seconds()).isEqualTo(40);
        });
        assertThat(under.then()).isEmpty();
        assertThat(reactive.minutes(Part.EVENING, steps)).isGreaterThan(calm.minutes(Part.EVENING, steps));
        assertThat(reactive.lay(Part.EVENING, steps.subList(0, 1), 20)
                        .steps()
                        .getFirst()
                        .then())
                .as("no cream, no half of it")
                .isEmpty();
        assertThat(between.place().sentence()).startsWith("Between two thin coats");
        assertThat(between.handsOn()).isEqualTo(under.handsOn());
        assertThat(under.technique()).isEqualTo("fully dry skin, dot, spread thin");
    }

    @Test
    void a_two_part_treatment_is_one_block_that_stays_on_for_both_parts() {
        Product one = products("clay-mask-kaolin").getFirst();
        Product two = ProductReader.read(new Product.Facts(
                new ProductId("two"),
                "Two-part clay treatment",
                "",
                50,
                "ml",
                10,
                "Aqua, Kaolin, Glycerin",
                Optional.of(StepKind.CLAY_MASK),
                OptionalDouble.empty(),
                false));
        Layout layout = new Layout(
                LAYERED,
                FaceBands.even(Band.NORMAL),
                Set.of(),
                Map.of(),
                (_, _) -> SAID_NOTHING,
                Layout.Used::custom,
                Layout.ByHand.NOTHING,
                ByAir.AS_USUAL,
                false);
        Step plain = layout.lay(Part.EVENING, List.of(one), 20).steps().getFirst();
        Step block = layout.lay(Part.EVENING, List.of(two), 20).steps().getFirst();
        assertThat(block.contact()).isEqualTo(2 * plain.contact());
        assertThat(block.handsOn()).isEqualTo(2 * plain.handsOn());
        assertThat(block.technique()).startsWith("part one, leave on; part two over it");
        Product timed = ProductReader.read(new Product.Facts(
                new ProductId("timed"),
                "Two-part clay mask",
                "",
                60,
                "ml",
                10,
                "Leave part one for 10 minutes, part two for 3 minutes. Aqua, Kaolin, Glycerin",
                Optional.of(StepKind.CLAY_MASK),
                OptionalDouble.empty(),
                false));
        Step own = layout.lay(Part.EVENING, List.of(timed), 20).steps().getFirst();
        assertThat(own.contact()).isEqualTo(13 * 60);
        assertThat(own.technique()).startsWith("part one, leave on for 10 min; part two over it, leave on for 3 min;");
        assertThat(Layout.seconds(LAYERED, ByAir.AS_USUAL, false, Part.EVENING, two, 1))
                .isEqualTo(block.handsOn() + block.contact());
    }

    @Test
    void toning_again_keeps_a_layer_for_before_each_treatment_of_the_evening() {
        Method retone = Methods.find("re-tone").orElseThrow();
        Map<ProductId, Layout.OnNights> nights = Map.of(
                new ProductId("enzyme-powder"),
                new Layout.OnNights(List.of(DayOfWeek.TUESDAY), outfell.knowledge.Because.house("x")));
        Layout layout = new Layout(
                retone,
                FaceBands.even(Band.NORMAL),
                Set.of(),
                nights,
                (_, _) -> SAID_NOTHING,
                Layout.Used::custom,
                Layout.ByHand.NOTHING,
                ByAir.AS_USUAL,
                false);
        List<Product> steps = products("gel-wash-low-foam", "enzyme-powder", "toner-water", "cream-ceramide-night");
        assertThat(layout.lay(Part.EVENING, steps, 20).steps().get(2).technique())
                .endsWith("; on exfoliation nights one layer before it, the others after it");
        assertThat(layout.lay(Part.EVENING, steps, 20).steps().get(1).then())
                .singleElement()
                .satisfies(a -> {
                    assertThat(a.told()).isEqualTo("first 3, one layer");
                    assertThat(a.nights()).containsExactly(DayOfWeek.TUESDAY);
                });
        Routine evening = layout.lay(Part.EVENING, steps, 20);
        assertThat(evening.timeline().day()).isEqualTo(DayOfWeek.TUESDAY);
        assertThat(evening.timeline().segments().stream()
                        .filter(s -> s.doing() == Routine.Doing.HANDS_ON)
                        .map(Routine.Segment::step))
                .as("the clock tells the order of the list, the toner twice")
                .containsExactly(1, 3, 2, 3, 4);
        assertThat(evening.timeline().segments().stream()
                        .filter(s -> s.step() == 3)
                        .mapToInt(Routine.Segment::seconds)
                        .sum())
                .as("in the same time")
                .isEqualTo(evening.steps().get(2).handsOn());
        assertThat(layout.minutes(Part.EVENING, steps))
                .isEqualTo(evening.timeline().minutes());
        assertThat(Routine.minutes(evening.steps()))
                .as("on the evening itself no layer is counted twice")
                .isEqualTo(evening.timeline().minutes());
        List<Product> plain = products("gel-wash-low-foam", "toner-water", "cream-ceramide-night");
        assertThat(layout.lay(Part.EVENING, plain, 20).steps().get(1).technique())
                .doesNotContain("nights");
    }
}

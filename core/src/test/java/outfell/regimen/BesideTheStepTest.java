package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.ByHand;
import outfell.consultation.Consultation.Choice;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.routine.Adjustment;
import outfell.routine.Alone;
import outfell.routine.Aside;
import outfell.routine.Condition;
import outfell.routine.Part;
import outfell.routine.Routine;
import outfell.routine.Step;
import outfell.routine.Then;
import outfell.skin.SkinVerdict.BarrierState;
import outfell.supply.Supply;

/** A step that comes again, and steps without a product: by hand they stand where she has put them, in the clock and in the bottle. */
class BesideTheStepTest {
    private static final ProductId TONER = new ProductId("toner-water");
    private static final ProductId SERUM = new ProductId("serum-humectant");
    private static final Alone RESIDUE = Alone.of("residue").orElseThrow();
    private static final Alone ROLLER = Alone.of("roller").orElseThrow();

    @Test
    void a_toner_comes_again_after_a_serum_and_takes_its_time_and_its_grams() {
        Regimen once = evening(List.of());
        Regimen twice = evening(List.of(Then.again(TONER)));
        Step serum = step(twice, SERUM);
        Step toner = step(twice, TONER);
        assertThat(outfell.routine.BareStep.of(serum).then())
                .as("by name: numbers change when another step leaves")
                .isEqualTo("then Water toner, no alcohol again");
        assertThat(serum.then()).singleElement().satisfies(a -> {
            assertThat(a.told()).isEqualTo("then %d again".formatted(toner.number()));
            assertThat(a.byHand()).isTrue();
            assertThat(a.nights()).hasSize(7);
        });
        Aside again = serum.then().getFirst();
        assertThat(twice.evening().timeline().minutes())
                .isCloseTo(once.evening().timeline().minutes() + again.seconds() / 60.0, within(0.11));
        assertThat(twice.evening().timeline().segments().stream()
                        .map(Routine.Segment::step)
                        .toList())
                .containsSubsequence(serum.number(), toner.number());
        assertThat(Supply.gramsAWeek(twice.evening().steps()).get(TONER))
                .isCloseTo(2.0 * Supply.gramsAWeek(once.evening().steps()).getOrDefault(TONER, 0.0), within(0.01));
    }

    @Test
    void a_step_without_a_product_has_its_seconds_and_needs_no_bottle() {
        Regimen with = evening(List.of(Then.alone(RESIDUE)));
        Step serum = step(with, SERUM);
        assertThat(serum.then()).extracting(Aside::told).containsExactly("then look for residue");
        assertThat(with.evening().timeline().segments()).anySatisfy(s -> {
            assertThat(s.doing()).isEqualTo(Routine.Doing.ALONE);
            assertThat(s.seconds()).isEqualTo(RESIDUE.seconds());
            assertThat(s.step()).isEqualTo(serum.number());
        });
        assertThat(Supply.gramsAWeek(with.evening().steps()))
                .isEqualTo(Supply.gramsAWeek(evening(List.of()).evening().steps()));
    }

    @Test
    void what_stands_beside_a_step_is_weighed_against_the_minutes() {
        List<Then> long_ = List.of("hands", "residue", "cold-spoon").stream()
                .map(id -> Then.alone(Alone.of(id).orElseThrow()))
                .toList();
        int tight = 0;
        for (int seed = 0; seed < 20; seed++) {
            Consultation c = Consultations.some("classic", seed);
            Regimen usual = plan(c);
            Step cream = usual.evening().steps().stream()
                    .filter(s -> s.kind() == StepKind.MOISTURISER)
                    .findFirst()
                    .orElseThrow();
            Regimen with = plan(c.by(new ByHand(
                    List.of(),
                    List.of(),
                    List.of(Adjustment.none(Part.EVENING, cream.product()).beside(long_, "")))));
            double limit = usual.evening().timeline().limitMinutes();
            if (usual.evening().timeline().minutes() > limit - 1
                    && usual.evening().timeline().minutes() <= limit) {
                assertThat(with.evening().timeline().minutes())
                        .as("seed %d", seed)
                        .isLessThanOrEqualTo(limit + 0.05);
                tight++;
            }
        }
        assertThat(tight).isPositive();
    }

    @Test
    void what_is_to_come_again_and_has_left_is_told() {
        Regimen with = evening(List.of(Then.again(new ProductId("cream-fisher"))));
        assertThat(step(with, SERUM).then()).isEmpty();
        assertThat(with.refusals())
                .anySatisfy(r -> assertThat(r.because().sentence())
                        .isEqualTo("What was to come again after Water-binding serum is not in the evening any more."));
    }

    @Test
    void nothing_of_the_care_comes_again_over_a_sunscreen_and_nothing_strong_comes_twice() {
        Consultation c = Consultations.some("classic", 3);
        Regimen plain = plan(c);
        Step sunscreen = plain.morning().steps().stream()
                .filter(s -> s.kind() == StepKind.SUNSCREEN)
                .findFirst()
                .orElseThrow();
        ProductId first = plain.morning().steps().getFirst().product();
        Regimen over = plan(c.by(new ByHand(
                List.of(),
                List.of(),
                List.of(Adjustment.none(Part.MORNING, sunscreen.product()).beside(List.of(Then.again(first)), "")))));
        assertThat(step(over.morning(), sunscreen.product()).then()).isEmpty();
        assertThat(over.refusals())
                .anySatisfy(r -> assertThat(r.because().sentence()).startsWith("Nothing goes over the sunscreen"));
        Regimen before = plan(c.by(new ByHand(
                List.of(),
                List.of(),
                List.of(Adjustment.none(Part.MORNING, first).beside(List.of(Then.again(sunscreen.product())), "")))));
        assertThat(before.refusals())
                .anySatisfy(r -> assertThat(r.because().sentence()).startsWith("The sunscreen's dose goes on"));
        ProductId strong = new ProductId("lactic-serum-5");
        Regimen twice = plan(c.by(new ByHand(
                List.of(new Choice(Part.EVENING, strong), new Choice(Part.EVENING, SERUM)),
                List.of(),
                List.of(Adjustment.none(Part.EVENING, SERUM).beside(List.of(Then.again(strong)), "")))));
        assertThat(twice.refusals())
                .anySatisfy(r -> assertThat(r.because().sentence()).contains("is a strong step: once in a routine"));
    }

    @Test
    void a_roller_waits_while_the_barrier_is_strained_unless_a_reason_says_otherwise() {
        Consultation strained = IntStream.range(0, 60)
                .mapToObj(seed -> Consultations.some("classic", seed))
                .filter(c -> skin(c).barrier().state() == BarrierState.STRAINED)
                .findFirst()
                .orElseThrow();
        Regimen not = plan(serum(strained, List.of(Then.alone(ROLLER)), ""));
        assertThat(step(not, SERUM).then()).isEmpty();
        assertThat(not.refusals()).anySatisfy(r -> {
            assertThat(r.because().sentence()).isEqualTo("No roller for now: the barrier is strained.");
            assertThat(r.overrulable()).isTrue();
        });
        Regimen all = plan(serum(strained, List.of(Then.alone(ROLLER)), "Only over the jaw, which is sound."));
        assertThat(step(all, SERUM).then()).extracting(Aside::told).containsExactly("then roller");
    }

    @Test
    void what_comes_again_beside_a_step_for_some_days_only_is_counted_for_those() {
        Consultation c = Consultations.some("classic", 3);
        Condition dry = new Condition(Condition.kind("dry").orElseThrow(), 2);
        ByHand some = new ByHand(
                List.of(new Choice(Part.EVENING, TONER), new Choice(Part.EVENING, SERUM)),
                List.of(),
                List.of(Adjustment.none(Part.EVENING, SERUM).when(dry).beside(List.of(Then.again(TONER)), "")));
        List<Step> steps = plan(c.by(some)).evening().steps();
        double each = steps.stream()
                .filter(s -> s.product().equals(TONER))
                .findFirst()
                .orElseThrow()
                .amount()
                .grams();
        assertThat(Supply.gramsAWeek(steps).get(TONER)).isCloseTo(each * (7 + 2), within(0.01));
    }

    @Test
    void where_the_repeated_step_is_left_out_for_an_evening_its_time_is_too() {
        Regimen twice = evening(List.of(Then.again(TONER)));
        List<Step> without = twice.evening().steps().stream()
                .filter(s -> !s.product().equals(TONER))
                .toList();
        Regimen once = evening(List.of());
        List<Step> plain = once.evening().steps().stream()
                .filter(s -> !s.product().equals(TONER))
                .toList();
        assertThat(Routine.minutes(without)).isEqualTo(Routine.minutes(plain));
    }

    @Test
    void a_step_has_a_few_things_beside_it_each_of_one_kind() {
        assertThatThrownBy(() -> new Then(Optional.empty(), Optional.empty()))
                .hasMessage("Beside a step stands another one again, or a step without a product.");
        List<Then> many = IntStream.range(0, 7)
                .mapToObj(i -> Then.again(new ProductId("p" + i)))
                .toList();
        Adjustment none = Adjustment.none(Part.EVENING, SERUM);
        assertThatThrownBy(() -> none.beside(many, "")).hasMessage("Beside a step 6 things may stand, not 7.");
        assertThat(Alone.all())
                .allSatisfy(
                        a -> assertThat(a.not().isEmpty()).isEqualTo(a.instead().isEmpty()));
    }

    private static Regimen evening(List<Then> beside) {
        return plan(serum(Consultations.some("classic", 3), beside, ""));
    }

    private static Consultation serum(Consultation c, List<Then> beside, String why) {
        return c.by(new ByHand(
                List.of(new Choice(Part.EVENING, TONER), new Choice(Part.EVENING, SERUM)),
                List.of(),
                List.of(Adjustment.none(Part.EVENING, SERUM).beside(beside, why))));
    }

    private static outfell.skin.SkinVerdict skin(Consultation c) {
        return outfell.skin.SkinReader.read(c.reading(), java.util.Set.of());
    }

    private static Regimen plan(Consultation c) {
        return ((Outcome.Planned) Planner.plan(c)).regimen();
    }

    private static Step step(Regimen r, ProductId product) {
        return step(r.evening(), product);
    }

    private static Step step(Routine r, ProductId product) {
        return r.steps().stream()
                .filter(s -> s.product().equals(product))
                .findFirst()
                .orElseThrow();
    }
}

package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.consultation.Life.Taste;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.regimen.Tonight.Version;
import outfell.regimen.Tonight.Why;
import outfell.routine.Adjustment;
import outfell.routine.Condition;
import outfell.routine.Part;
import outfell.routine.Step;

class TonightTest {
    private static final int EVENING = 12;

    @Test
    void a_short_evening_takes_half_the_time_and_keeps_what_is_needed() {
        Regimen regimen = regimen("layered", 3);
        Version shorter = version(regimen, Why.SHORT_OF_TIME);
        assertThat(shorter.minutes()).isLessThanOrEqualTo(EVENING / 2.0 + 0.05);
        assertThat(shorter.leave()).isNotEmpty();
        List<String> all = regimen.evening().steps().stream().map(Step::name).toList();
        assertThat(all).containsAll(shorter.keep()).containsAll(shorter.leave());
        assertThat(shorter.keep()).hasSize(all.size() - shorter.leave().size());
        assertThat(shorter.keep())
                .anyMatch(n -> product(n).kind() == outfell.product.StepKind.MOISTURISER)
                .anyMatch(n -> product(n).kind() == outfell.product.StepKind.WASH);
    }

    @Test
    void a_sore_evening_holds_nothing_strong_and_nothing_scented() {
        Version sore = IntStream.range(0, 20)
                .mapToObj(seed -> regimen("classic", seed))
                .filter(r -> r.evening().steps().stream().anyMatch(step -> !step.everyDay()))
                .map(r -> version(r, Why.SORE))
                .findFirst()
                .orElseThrow();
        assertThat(sore.leave()).anyMatch(n -> product(n).rationed());
        assertThat(sore.keep()).noneMatch(n -> product(n).rationed());
    }

    @Test
    void a_bare_faced_evening_cleanses_once_but_not_by_a_method_that_always_cleanses_twice() {
        int once = 0;
        for (int seed = 0; seed < 12; seed++) {
            for (Version v : regimen("classic", seed).tonight()) {
                once += v.why() == Why.BARE ? 1 : 0;
            }
            assertThat(regimen("layered", seed).tonight()).noneMatch(v -> v.why() == Why.BARE);
        }
        assertThat(once).isPositive();
    }

    /** The sentence and the evening say the same. */
    @Test
    void a_sore_evening_keeps_what_its_sentence_names_and_nothing_else() {
        Set<StepKind> bland = EnumSet.of(
                StepKind.WASH, StepKind.TONER, StepKind.ESSENCE, StepKind.MOISTURISER, StepKind.SEAL, StepKind.LIP);
        int seen = 0;
        for (String method : List.of("essentials", "classic", "layered", "re-tone", "barrier-first")) {
            for (int seed = 0; seed < 8; seed++) {
                for (Version v : regimen(method, seed).tonight()) {
                    if (v.why() == Why.SORE) {
                        List<StepKind> kept = v.keep().stream()
                                .map(n -> product(n).kind())
                                .distinct()
                                .sorted()
                                .toList();
                        assertThat(bland).containsAll(kept);
                        assertThat(v.because().sentence())
                                .isEqualTo("Until it no longer stings only these: %s."
                                        .formatted(kept.stream()
                                                .map(k -> Kinds.of(k).label())
                                                .collect(Collectors.joining(", "))));
                        seen++;
                    }
                }
            }
        }
        assertThat(seen).isGreaterThan(20);
    }

    @Test
    void evenings_of_other_kinds_leave_out_what_they_say_and_are_drawn_in_the_order_of_the_routine() {
        int bare = 0;
        int dry = 0;
        for (int seed = 0; seed < 12; seed++) {
            Regimen regimen = regimen("classic", seed);
            for (Version v : regimen.tonight()) {
                List<Step> steps = regimen.routine(v.part()).steps();
                assertThat(v.steps())
                        .isEqualTo(steps.stream()
                                .map(Step::product)
                                .filter(v.steps()::contains)
                                .toList());
                assertThat(v.keep()).hasSize(v.steps().size());
                assertThat(v.minutes()).isEqualTo(v.timeline().minutes());
                assertThat(v.label()).isNotBlank();
                bare += v.why() == Why.BARE ? 1 : 0;
                dry += v.why() == Why.DRY ? 1 : 0;
                if (v.why() == Why.BARE) {
                    assertThat(v.leave()).anyMatch(n -> product(n).kind() == StepKind.FIRST_CLEANSE);
                    assertThat(v.told()).startsWith("If bare-faced: without 1");
                    assertThat(regimen.morning().steps())
                            .noneMatch(s -> product(s.name()).waterFast());
                }
                if (v.why() == Why.DRY) {
                    assertThat(v.keep()).noneMatch(n -> product(n).rationed());
                }
            }
        }
        assertThat(bare).isPositive();
        assertThat(dry).isPositive();
    }

    @Test
    void a_step_that_waits_for_made_up_days_is_left_out_bare_faced_and_one_for_early_evenings_late() {
        Consultation c = consultation("layered", 3);
        Step toner = ((Outcome.Planned) Planner.plan(c))
                .regimen().evening().steps().stream()
                        .filter(s -> s.kind() == StepKind.TONER)
                        .findFirst()
                        .orElseThrow();
        for (String condition : List.of("made_up", "early", "calm")) {
            Regimen changed = ((Outcome.Planned) Planner.plan(c.by(c.byHand()
                            .with(Adjustment.none(Part.EVENING, toner.product())
                                    .when(new Condition(
                                            Condition.kind(condition).orElseThrow(), 3))))))
                    .regimen();
            Why why = switch (condition) {
                case "made_up" -> Why.BARE;
                case "early" -> Why.SHORT_OF_TIME;
                default -> Why.SORE;
            };
            assertThat(changed.tonight())
                    .filteredOn(v -> v.why() == why && v.part() == Part.EVENING)
                    .allSatisfy(v -> assertThat(v.leave()).contains(toner.name()));
        }
    }

    private static Version version(Regimen regimen, Why why) {
        return regimen.tonight().stream()
                .filter(v -> v.why() == why && v.part() == Part.EVENING)
                .findFirst()
                .orElseThrow();
    }

    private static Product product(String name) {
        return Consultations.CATALOGUE.stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static Regimen regimen(String method, int seed) {
        return ((Outcome.Planned) Planner.plan(consultation(method, seed))).regimen();
    }

    private static Consultation consultation(String method, int seed) {
        return Consultations.of(
                Consultations.face(RandomGeneratorFactory.of("L64X128MixRandom").create(seed)),
                method,
                Month.NOVEMBER,
                Consultations.CATALOGUE,
                List.of(),
                Consultations.NOTHING,
                new Life(
                        8,
                        EVENING,
                        9,
                        2,
                        2,
                        false,
                        3,
                        Set.of(),
                        Taste.ANY,
                        Taste.ANY,
                        Taste.ANY,
                        OptionalDouble.empty()));
    }
}

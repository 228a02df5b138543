package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Month;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.method.Methods;
import outfell.product.StepKind;
import outfell.routine.Part;
import outfell.routine.Step;

/** One cream for day and night is chosen for the night, and lies half as thick by day; two creams have the custom's amounts. */
class OneBottleTest {
    @Test
    void one_cream_for_both_is_half_as_much_by_day() {
        int one = 0;
        int two = 0;
        for (int seed = 0; seed < 80; seed++) {
            Consultation c = Consultations.of(
                    Consultations.face(
                            RandomGeneratorFactory.of("L64X128MixRandom").create(seed)),
                    Methods.all().get(seed % Methods.all().size()).id().value(),
                    Month.of(1 + seed % 12),
                    Consultations.CATALOGUE,
                    List.of(),
                    Consultations.NOTHING,
                    Life.USUAL);
            Regimen regimen = ((Outcome.Planned) Planner.plan(c)).regimen();
            Optional<Step> day = cream(regimen, Part.MORNING);
            Step night = cream(regimen, Part.EVENING).orElseThrow();
            if (day.isEmpty()) {
                continue;
            }
            boolean same = day.get().product().equals(night.product());
            one += same ? 1 : 0;
            two += same ? 0 : 1;
            String because = day.get().amount().because().sentence();
            if (same && night.zones().isEmpty()) {
                assertThat(day.get().amount().grams())
                        .as("seed %d", seed)
                        .isCloseTo(night.amount().grams() / 2, within(0.011));
                assertThat(because).contains("one bottle for day and night");
            } else if (!same) {
                assertThat(because).contains("less under a sunscreen");
            }
        }
        assertThat(one).isPositive();
        assertThat(two).isPositive();
    }

    private static Optional<Step> cream(Regimen regimen, Part part) {
        return regimen.routine(part).steps().stream()
                .filter(s -> s.kind() == StepKind.MOISTURISER)
                .findFirst();
    }
}

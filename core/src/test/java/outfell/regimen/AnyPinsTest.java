package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.consultation.Life;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.routine.Part;

/** Whatever is put in by hand, and however much of it: it stands in the plan, or is refused with a sentence. */
class AnyPinsTest {
    private static final int PLANS = 1000;
    private static final int PINS = 3;

    @Test
    void any_pins_stand_or_are_refused() {
        int stand = 0;
        int refused = 0;
        for (int seed = 0; seed < PLANS; seed++) {
            RandomGenerator random =
                    RandomGeneratorFactory.of("L64X128MixRandom").create(5000 + seed);
            Consultation c = Consultations.of(
                    Consultations.face(random),
                    Methods.all().get(random.nextInt(Methods.all().size())).id().value(),
                    Month.of(1 + random.nextInt(12)),
                    Consultations.CATALOGUE,
                    List.of(),
                    Consultations.NOTHING,
                    Life.USUAL);
            List<Choice> pins = new ArrayList<>();
            while (pins.size() < PINS) {
                Product p = Consultations.CATALOGUE.get(random.nextInt(Consultations.CATALOGUE.size()));
                Choice pin = new Choice(random.nextBoolean() ? Part.EVENING : Part.MORNING, p.id());
                if (!pins.contains(pin)) {
                    pins.add(pin);
                    c = c.with(pin);
                }
            }
            Regimen regimen = ((Outcome.Planned) Planner.plan(c)).regimen();
            Set<Choice> no = regimen.refusals().stream()
                    .map(r -> new Choice(r.part(), r.product()))
                    .collect(Collectors.toSet());
            for (Choice pin : pins) {
                boolean stands = regimen.choices().contains(pin);
                assertThat(stands).as("seed %d, %s", seed, pin).isNotEqualTo(no.contains(pin));
                stand += stands ? 1 : 0;
                refused += stands ? 0 : 1;
            }
            assertThat(regimen.refusals())
                    .allSatisfy(r -> assertThat(r.because().sentence()).isNotBlank());
        }
        assertThat(stand).isGreaterThan(PLANS / 2);
        assertThat(refused).isGreaterThan(PLANS / 2);
    }
}

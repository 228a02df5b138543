package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import outfell.causes.Cause;
import outfell.causes.ShelfAdvice;
import outfell.causes.ShelfAdvice.Fate;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Owned;
import outfell.consultation.Life;
import outfell.product.Product;

/** Why what is owned is not in the plan: the reason fits the thing, and its kind of cause. */
class SetAsideTest {
    @Test
    void a_reason_of_nights_is_told_of_what_has_nights_only() {
        List<Owned> everything = Consultations.CATALOGUE.stream()
                .map(p -> new Owned(p, 4, List.of()))
                .toList();
        int nights = 0;
        int behind = 0;
        for (int seed = 0; seed < 6; seed++) {
            RandomGenerator random =
                    RandomGeneratorFactory.of("L64X128MixRandom").create(300 + seed);
            Consultation c = Consultations.of(
                    Consultations.face(random),
                    seed % 2 == 0 ? "classic" : "layered",
                    Month.of(1 + 2 * seed),
                    Consultations.CATALOGUE,
                    everything,
                    Consultations.NOTHING,
                    Life.USUAL);
            Regimen regimen = ((Outcome.Planned) Planner.plan(c)).regimen();
            assertThat(regimen.shelf()).hasSameSizeAs(everything);
            for (ShelfAdvice advice : regimen.shelf()) {
                Product p = c.find(advice.product()).orElseThrow();
                String said = advice.because().sentence();
                if (advice.fate() == Fate.SET_ASIDE && said.contains(" skin bears none of it now")) {
                    assertThat(p.rationed()).as("%s: %s", p.name(), said).isTrue();
                    assertThat(advice.cause()).isEqualTo(Cause.NIGHTS);
                    nights++;
                }
                behind += said.startsWith("Held against ") ? 1 : 0;
            }
        }
        assertThat(nights).isPositive();
        assertThat(behind).isPositive();
    }
}

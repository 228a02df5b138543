package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import outfell.aims.Parting;
import outfell.aims.Uses;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.product.Product;
import outfell.safety.SafetyScreen;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;
import outfell.week.Tolerance;

/** What parts two products for the choice parts them with a reason, and the other way round. */
class PartingTest {
    @ParameterizedTest
    @ValueSource(strings = {"essentials", "classic", "layered", "re-tone", "barrier-first"})
    void bits_and_reasons_say_the_same(String method) {
        Consultation c = Consultations.of(
                Consultations.face(java.util.random.RandomGenerator.of("L64X128MixRandom")),
                method,
                Month.MARCH,
                Consultations.CATALOGUE,
                List.of(Consultations.owned("retinol-serum-02", 3)),
                Consultations.NOTHING,
                Life.USUAL);
        SkinVerdict skin = SkinReader.read(c.reading(), c.lifted());
        var safety = SafetyScreen.screen(c.answers(), c.reading(), skin, List.of());
        Parting parting = new Parting(c, new Uses(c, c.ask(skin, safety), Tolerance.of(skin)));
        int apart = 0;
        for (Product a : c.products()) {
            for (Product b : c.products()) {
                if (a.id().equals(b.id())) {
                    continue;
                }
                Parting.Bits mine = parting.of(a);
                Parting.Bits theirs = parting.of(b);
                boolean plan = (mine.notInPlan() & theirs.held()) != 0 || (theirs.notInPlan() & mine.held()) != 0;
                boolean routine = plan
                        || (mine.notInRoutine() & theirs.held()) != 0
                        || (theirs.notInRoutine() & mine.held()) != 0;
                assertThat(parting.why(a, b, false).isPresent())
                        .as("%s and %s in one plan", a.name(), b.name())
                        .isEqualTo(plan);
                assertThat(parting.why(a, b, true).isPresent())
                        .as("%s and %s in one routine", a.name(), b.name())
                        .isEqualTo(routine);
                apart += routine ? 1 : 0;
            }
        }
        assertThat(apart).isGreaterThan(20);
    }
}

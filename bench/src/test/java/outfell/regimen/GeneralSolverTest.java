package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import outfell.bench.Faces;

/** A solver that knows nothing of the product's search finds no better plan, and one as good. */
class GeneralSolverTest {
    @ParameterizedTest
    @CsvSource({
        "essentials, 14, 1",
        "essentials, 24, 2",
        "classic, 12, 3",
        "classic, 14, 4",
        "classic, 16, 5",
        "classic, 18, 6",
        "barrier-first, 16, 7",
        "barrier-first, 20, 8",
        "re-tone, 12, 9",
        "layered, 12, 10",
        "layered, 14, 11",
        "classic, 20, 12",
        "classic, 24, 13",
        "re-tone, 18, 14",
        "layered, 16, 15",
        "layered, 18, 16"
    })
    void both_find_the_same_optimum(String method, int products, long seed) {
        Choices choices = new Choices(Faces.consultation(method, products, seed));
        double own = choices.own();
        double general = choices.general().orElseThrow();
        assertThat(own).isGreaterThanOrEqualTo(general - 1e-9);
        assertThat(own).isCloseTo(general, within(GeneralSolver.TOLERANCE));
    }
}

package outfell.sun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FilmTest {
    @ParameterizedTest
    @CsvSource({
        "15, 2.0, 15, 15",
        "30, 2.0, 30, 30",
        "15, 1.5, 7.62, 11.5",
        "30, 1.5, 12.82, 22.75",
        "50, 1.5, 18.80, 37.75",
        "100, 1.5, 31.62, 75.25",
        "30, 1.0, 5.48, 15.5",
        "50, 1.0, 7.07, 25.5",
        "100, 1.0, 10.00, 50.5",
        "15, 0.75, 2.76, 6.25",
        "30, 0.75, 3.58, 11.88",
        "50, 0.5, 2.66, 13.25",
        "30, 0.25, 1.53, 4.63",
        "100, 0.25, 1.78, 13.38"
    })
    void both_laws_give_the_published_figures(int spf, double density, double careful, double hopeful) {
        Film.KeptFilm kept = Film.kept(spf, density);
        assertThat(kept.careful()).isCloseTo(careful, within(0.006));
        assertThat(kept.hopeful()).isCloseTo(hopeful, within(0.006));
    }

    @Test
    void no_film_protects_nothing_and_more_than_the_tested_film_is_no_more() {
        assertThat(Film.kept(50, 0).careful()).isEqualTo(1);
        assertThat(Film.kept(50, 0).hopeful()).isEqualTo(1);
        assertThat(Film.kept(50, 3).careful()).isEqualTo(50);
        assertThatIllegalArgumentException().isThrownBy(() -> Film.kept(0, 2));
        assertThatIllegalArgumentException().isThrownBy(() -> Film.kept(30, -0.1));
    }
}

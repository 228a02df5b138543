package outfell.sun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalTime;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The arithmetic of a day's sun, by the worked cases. */
class SunOfDayTest {
    private static SunOfDay of(double uv, double hours, int again, double med, int spf) {
        return SunOfDay.of(uv, hours, again, OptionalDouble.of(med), OptionalInt.of(spf), 1);
    }

    @ParameterizedTest
    @CsvSource({"200, 8, 16.7", "250, 8, 20.8", "350, 5, 46.7", "450, 11, 27.3", "200, 3, 44.4", "1000, 12, 55.6"})
    void minutes_until_unprotected_skin_reddens(double med, double uv, double minutes) {
        assertThat(of(uv, 1, 0, med, 30).minutesToRedden().orElseThrow()).isCloseTo(minutes, within(minutes * 0.01));
    }

    @Test
    void doses_of_an_hour_and_of_a_day() {
        assertThat(of(7, 1, 0, 250, 30).anHour()).isCloseTo(6.3, within(1e-9));
        assertThat(of(3, 2, 0, 250, 30).day()).isCloseTo(5.4, within(1e-9));
    }

    @Test
    void what_is_left_of_a_number_at_the_film_that_people_put_on() {
        SunOfDay day = of(8, 4, 2, 250, 30);
        assertThat(day.tested().getFirst().careful()).isEqualTo(30);
        assertThat(day.truly().getFirst().careful()).isCloseTo(3.58, within(0.01));
        assertThat(day.truly().getFirst().hopeful()).isCloseTo(11.88, within(0.01));
    }

    @ParameterizedTest
    @CsvSource({
        "0, the usual sunscreen",
        "2.4, the usual sunscreen",
        "2.5, 'cover up: hat, sleeves, sunscreen'",
        "5.5, 'cover up, and shade round midday'",
        "7.5, stay in the shade from eleven to three",
        "13, stay in the shade from eleven to three"
    })
    void one_word_at_the_chair(double uv, String word) {
        assertThat(of(uv, 1, 0, 250, 30).word().sentence()).isEqualTo(word);
    }

    @Test
    void coats_are_laid_through_the_hours_outdoors() {
        assertThat(of(6, 7, 2, 250, 50).coats())
                .containsExactly(LocalTime.of(9, 15), LocalTime.of(11, 30), LocalTime.of(13, 30), LocalTime.of(15, 30));
        assertThat(of(6, 7, 0, 250, 50).coats()).containsExactly(LocalTime.of(9, 15));
        assertThat(of(6, 2, 2, 250, 50).coats())
                .as("in again when it would be due")
                .hasSize(1);
        assertThat(of(6, 24, 2, 250, 50).coats().getFirst()).isEqualTo(LocalTime.of(0, 45));
    }

    @Test
    void what_is_not_known_is_not_told() {
        SunOfDay dark = SunOfDay.of(0, 2, 0, OptionalDouble.of(250), OptionalInt.empty(), 1);
        assertThat(dark.minutesToRedden()).isEmpty();
        assertThat(of(0.5, 7, 0, 200, 30).minutesToRedden())
                .as("a long time would be taken for leave")
                .isEmpty();
        assertThat(dark.truly()).isEmpty();
        assertThat(dark.coats()).isEmpty();
        assertThat(SunOfDay.of(5, 2, 0, OptionalDouble.empty(), OptionalInt.of(30), 1)
                        .minutesToRedden())
                .isEmpty();
    }

    @Test
    void half_of_a_film_that_is_cream_halves_what_is_laid() {
        SunOfDay mixed = SunOfDay.of(5, 2, 0, OptionalDouble.of(250), OptionalInt.of(30), 0.5);
        assertThat(mixed.tested().getFirst().careful()).isCloseTo(5.48, within(0.01));
        assertThat(mixed.tested().getFirst().hopeful()).isCloseTo(15.5, within(0.01));
        assertThat(mixed.truly().getFirst().density())
                .isEqualTo(of(5, 2, 0, 250, 30).truly().getFirst().density() / 2);
    }
}

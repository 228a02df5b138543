package outfell.climate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HumidityTest {
    @ParameterizedTest
    @CsvSource({
        "-10, 2.870",
        "0, 6.112",
        "10, 12.260",
        "20, 23.326",
        "21, 24.809",
        "22, 26.374",
        "25, 31.601",
        "30, 42.337",
        "35, 56.128"
    })
    void saturation_meets_the_check_values(double celsius, double hPa) {
        assertThat(Humidity.saturation(celsius)).isCloseTo(hPa, within(0.006));
    }

    @ParameterizedTest
    @CsvSource({"30, 75, 25.1", "20, 50, 9.3", "21, 40, 6.9", "35, 20, 8.7", "23, 12, -8.0", "-10, 80, -12.8"})
    void dew_points_meet_the_check_values(double celsius, double percent, double dewPoint) {
        assertThat(Humidity.dewPoint(celsius, percent)).isCloseTo(dewPoint, within(0.06));
    }

    @ParameterizedTest
    @CsvSource({"30, 75, 22.7", "20, 50, 8.6", "21, 40, 7.3", "35, 20, 7.9", "23, 12, 2.5", "-10, 80, 1.9"})
    void absolute_humidity_meets_the_check_values(double celsius, double percent, double grams) {
        assertThat(Humidity.absolute(celsius, percent)).isCloseTo(grams, within(0.06));
    }

    @ParameterizedTest
    @CsvSource({
        "-20, 75, 22, 3.6",
        "-10, 80, 21, 9.3",
        "-5, 85, 21, 14.5",
        "0, 90, 21, 22.2",
        "0, 90, 23, 19.6",
        "5, 85, 21, 29.9",
        "10, 80, 22, 37.2"
    })
    void heated_air_keeps_its_vapour_and_loses_its_humidity(double out, double percent, double room, double indoors) {
        assertThat(Humidity.indoors(out, percent, room)).isCloseTo(indoors, within(0.06));
    }

    @Test
    void a_fraction_is_taken_for_what_it_is_only_when_it_can_be() {
        assertThatThrownBy(() -> Humidity.vapour(20, 140)).hasMessageContaining("outside 0..100");
        assertThatThrownBy(() -> Humidity.vapour(20, Double.NaN)).hasMessageContaining("outside");
        assertThatThrownBy(() -> Humidity.saturation(80)).hasMessageContaining("−45..60");
    }
}

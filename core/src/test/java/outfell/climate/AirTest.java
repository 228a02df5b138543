package outfell.climate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Month;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AirTest {
    @ParameterizedTest
    @CsvSource({
        "-10, 80, 5, 9.26, 83.7",
        "-10, 80, 5, 17.26, 74.7",
        "10, 80, 4, 45, 8.4",
        "33, 70, 3, 42, 10.0",
        "30, 75, 3, 60, 0.0",
        "38, 12, 6, 20, 48.2",
        "5, 70, 3, 12, 59.8"
    })
    void dryness_meets_the_worked_cases(double t, double rh, double wind, double room, double dryness) {
        assertThat(Air.dryness(new MonthlyAir(t, rh, wind, 1), room)).isCloseTo(dryness, within(0.11));
    }

    @ParameterizedTest
    @CsvSource({
        "30, 75, 83.3, SWELTERING",
        "33, 80, 93.3, SWELTERING",
        "28, 60, 60.6, HOT",
        "26, 70, 56.1, HOT",
        "22, 50, 10.6, NONE",
        "15, 90, 12.0, NONE",
        "38, 12, 50.0, DRY_HEAT"
    })
    void heat_meets_the_worked_cases(double t, double rh, double heat, Air.HeatBand band) {
        MonthlyAir out = new MonthlyAir(t, rh, 3, 1);
        assertThat(Air.heat(out)).isCloseTo(heat, within(0.11));
        assertThat(Air.of(out).heatBand()).isEqualTo(band);
    }

    @Test
    void the_air_and_not_the_month_makes_a_winter() {
        Air january = air("skarrow-harbour", Month.JANUARY);
        Air tropics = air("port-lenz", Month.JANUARY);
        assertThat(january.dryness()).isGreaterThan(25);
        assertThat(tropics.dryness()).isLessThan(15);
        assertThat(tropics.heatBand()).isEqualTo(Air.HeatBand.SWELTERING);
    }

    @Test
    void high_cold_rooms_pull_hardest() {
        assertThat(air("upper-tarn", Month.JANUARY).dryBand()).isIn(Air.DryBand.HIGH, Air.DryBand.SEVERE);
        assertThat(air("upper-tarn", Month.JANUARY).roomHumidity()).isLessThan(25);
    }

    @ParameterizedTest
    @CsvSource({"2.4, LOW", "2.6, MODERATE", "5.4, MODERATE", "5.5, HIGH", "8, VERY_HIGH", "11, EXTREME"})
    void the_index_is_rounded_before_it_is_banded(double index, Air.UvBand band) {
        assertThat(Air.of(new MonthlyAir(15, 60, 3, index)).uvBand()).isEqualTo(band);
    }

    private static Air air(String site, Month month) {
        return Air.of(Sites.find(site).orElseThrow().in(month));
    }
}

package outfell.climate;

import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * Outdoor air of one month at one site.
 *
 * @param celsius mean temperature of the day, −45 to 60 °C
 * @param humidity relative humidity, above 0, to 100 %
 * @param wind metres per second at 10 m, 0 to 60
 * @param uvIndex clear-sky midday, 0 to 20
 */
public record MonthlyAir(double celsius, double humidity, double wind, double uvIndex) {
    static final double MOST_UV = 20;

    public MonthlyAir {
        if (!(wind >= 0 && wind <= 60)) {
            throw new IllegalArgumentException("Wind %s is outside 0..60 m/s. Was it typed in km/h?".formatted(wind));
        }
        if (!(uvIndex >= 0 && uvIndex <= MOST_UV)) {
            throw new IllegalArgumentException("UV index %s is outside 0..20.".formatted(uvIndex));
        }
        Humidity.vapour(celsius, humidity);
    }

    /** @param airs one at least */
    public static MonthlyAir mean(List<MonthlyAir> airs) {
        return new MonthlyAir(
                mean(airs, MonthlyAir::celsius),
                mean(airs, MonthlyAir::humidity),
                mean(airs, MonthlyAir::wind),
                mean(airs, MonthlyAir::uvIndex));
    }

    private static double mean(List<MonthlyAir> airs, ToDoubleFunction<MonthlyAir> of) {
        return airs.stream().mapToDouble(of).average().orElseThrow();
    }

    /** The same under so many times the sun. */
    public MonthlyAir brighter(double times) {
        return new MonthlyAir(celsius, humidity, wind, Math.min(MOST_UV, uvIndex * times));
    }

    /** The air at a share of the way from this to another, 0 to 1. */
    MonthlyAir towards(MonthlyAir other, double share) {
        return new MonthlyAir(
                between(celsius, other.celsius, share),
                between(humidity, other.humidity, share),
                between(wind, other.wind, share),
                between(uvIndex, other.uvIndex, share));
    }

    private static double between(double a, double b, double share) {
        return a + (b - a) * share;
    }
}

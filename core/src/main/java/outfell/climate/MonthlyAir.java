package outfell.climate;

/**
 * Outdoor air of one month at one site.
 *
 * @param celsius mean temperature of the day, −45 to 60 °C
 * @param humidity relative humidity, above 0, to 100 %
 * @param wind metres per second at 10 m, 0 to 60
 * @param uvIndex clear-sky midday, 0 to 20
 */
public record MonthlyAir(double celsius, double humidity, double wind, double uvIndex) {
    public MonthlyAir {
        if (!(wind >= 0 && wind <= 60)) {
            throw new IllegalArgumentException("Wind %s is outside 0..60 m/s. Was it typed in km/h?".formatted(wind));
        }
        if (!(uvIndex >= 0 && uvIndex <= 20)) {
            throw new IllegalArgumentException("UV index %s is outside 0..20.".formatted(uvIndex));
        }
        Humidity.vapour(celsius, humidity);
    }
}

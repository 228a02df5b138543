package outfell.climate;

/** The physics of humid air, over water. Source: Sonntag 1990, as in the WMO guide. */
public final class Humidity {
    private static final double E0_HPA = 6.112;
    private static final double A = 17.62;
    private static final double B_CELSIUS = 243.12;

    private Humidity() {}

    /**
     * Saturation vapour pressure.
     *
     * <p>e_s(T) = 6.112 · exp(17.62 · T / (243.12 + T)), in hPa, valid from −45 to 60 °C.
     *
     * @param celsius T
     * @return hPa
     */
    public static double saturation(double celsius) {
        if (!(celsius >= -45 && celsius <= 60)) {
            throw new IllegalArgumentException(
                    "Temperature %s is outside −45..60 °C, where the formula holds.".formatted(celsius));
        }
        return E0_HPA * Math.exp(A * celsius / (B_CELSIUS + celsius));
    }

    /**
     * Vapour pressure e = RH / 100 · e_s(T).
     *
     * @param celsius T
     * @param percent relative humidity, above 0, to 100
     * @return hPa
     */
    public static double vapour(double celsius, double percent) {
        return checked(percent) / 100 * saturation(celsius);
    }

    /**
     * Dew point: γ = ln(RH / 100) + 17.62 · T / (243.12 + T); T_d = 243.12 · γ / (17.62 − γ).
     *
     * @return °C
     */
    public static double dewPoint(double celsius, double percent) {
        double gamma = Math.log(checked(percent) / 100) + A * celsius / (B_CELSIUS + celsius);
        return B_CELSIUS * gamma / (A - gamma);
    }

    /**
     * Absolute humidity AH = 216.7 · e / (T + 273.15).
     *
     * @return g/m³
     */
    public static double absolute(double celsius, double percent) {
        return 216.7 * vapour(celsius, percent) / (celsius + 273.15);
    }

    /**
     * Relative humidity of outdoor air once it is warmed or cooled indoors, no moisture added: the vapour pressure stays,
     * RH_in = RH_out · e_s(T_out) / e_s(T_in), at most 100.
     *
     * @return percent
     */
    public static double indoors(double outdoorCelsius, double outdoorPercent, double roomCelsius) {
        return Math.min(100, checked(outdoorPercent) * saturation(outdoorCelsius) / saturation(roomCelsius));
    }

    private static double checked(double percent) {
        if (!(percent > 0 && percent <= 100)) {
            throw new IllegalArgumentException(
                    "Relative humidity %s is outside 0..100 %%. Was it typed as a fraction?".formatted(percent));
        }
        return percent;
    }
}

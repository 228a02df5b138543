package outfell.climate;

import outfell.knowledge.Because;
import outfell.knowledge.Evidence;

/**
 * What one month's air at one site does to skin: computed, never a season's name.
 *
 * @param outdoors the month
 * @param roomCelsius temperature of the rooms she is in
 * @param roomHumidity relative humidity there, percent
 * @param dewPoint outdoors, °C, to one decimal
 * @param dryness index D, 0 to 100, to one decimal
 * @param heat index H, 0 to 100, to one decimal
 * @param dryBand name of D
 * @param heatBand name of H
 * @param uvBand name of the UV index
 * @param rooms how the room's humidity came about
 * @param dryBecause how D came about
 * @param heatBecause how H came about
 */
public record Air(
        MonthlyAir outdoors,
        double roomCelsius,
        double roomHumidity,
        double dewPoint,
        double dryness,
        double heat,
        DryBand dryBand,
        HeatBand heatBand,
        UvBand uvBand,
        Because rooms,
        Because dryBecause,
        Because heatBecause) {

    /** Drying pull on skin. */
    public enum DryBand {
        LOW,
        MODERATE,
        HIGH,
        SEVERE
    }

    /** Heat with humidity; {@code DRY_HEAT} is hot air whose dew point stays under 10 °C. */
    public enum HeatBand {
        NONE,
        WARM,
        HOT,
        SWELTERING,
        DRY_HEAT
    }

    /** Bands of the World Health Organization's index. */
    public enum UvBand {
        LOW,
        MODERATE,
        HIGH,
        VERY_HIGH,
        EXTREME
    }

    private static final double HEATED_ROOM = 21;
    private static final double HEATING_BELOW = 18;
    private static final double COOLED_ROOM = 24;
    private static final double COOLING_ABOVE = 26;
    /** People, cooking and plants add 3 to 10 points; the size is debated. */
    private static final double POINTS_ADDED_BY_LIVING = 5;
    /** A cooler's coil takes moisture out down to about this dew point. */
    private static final double COIL_DEW_POINT = 12;

    /** The air of a month, with the rooms that such a month brings: heated, cooled, or with the windows open. */
    public static Air of(MonthlyAir out) {
        double t = out.celsius();
        if (t < HEATING_BELOW) {
            double humidity = Math.min(100, Humidity.indoors(t, out.humidity(), HEATED_ROOM) + POINTS_ADDED_BY_LIVING);
            return of(
                    out,
                    HEATED_ROOM,
                    humidity,
                    "Heated rooms at %.0f °C fall to %.0f %% humidity.".formatted(HEATED_ROOM, humidity));
        }
        if (t > COOLING_ABOVE) {
            double e = Math.min(Humidity.vapour(t, out.humidity()), Humidity.saturation(COIL_DEW_POINT));
            double humidity = 100 * e / Humidity.saturation(COOLED_ROOM);
            return of(
                    out,
                    COOLED_ROOM,
                    humidity,
                    "Cooled rooms at %.0f °C hold %.0f %% humidity.".formatted(COOLED_ROOM, humidity));
        }
        return of(
                out,
                t,
                out.humidity(),
                "With open windows the rooms hold what the air outside holds, %.0f %%.".formatted(out.humidity()));
    }

    private static Air of(MonthlyAir out, double roomCelsius, double roomHumidity, String rooms) {
        double room = round(roomHumidity);
        double dewPoint = round(Humidity.dewPoint(out.celsius(), out.humidity()));
        double d = dryness(out, roomHumidity);
        double h = heat(out);
        return new Air(
                out,
                roomCelsius,
                room,
                dewPoint,
                d,
                h,
                dryBand(d),
                heatBand(h, dewPoint),
                uvBand(out.uvIndex()),
                new Because(rooms, Evidence.DEBATED, "sonntag-1990"),
                Because.house("Rooms at %.0f %%, wind %.0f m/s and %.0f °C outside pull at %.0f of 100."
                        .formatted(room, out.wind(), out.celsius(), d)),
                Because.house("%.0f °C with a dew point of %.0f °C weighs %.0f of 100."
                        .formatted(out.celsius(), dewPoint, h)));
    }

    /**
     * Dryness stress, a house index.
     *
     * <p>D = 50 · clamp((50 − RH_in) / 40) + 25 · clamp((10 − e_out) / 9) + 15 · clamp((wind − 3) / 9) + 10 · clamp((8 −
     * T_out) / 20); clamp to 0..1; e in hPa, wind in m/s, T in °C.
     *
     * @return 0 to 100, to one decimal
     */
    public static double dryness(MonthlyAir out, double roomHumidity) {
        double e = Humidity.vapour(out.celsius(), out.humidity());
        return round(50 * clamp((50 - roomHumidity) / 40)
                + 25 * clamp((10 - e) / 9)
                + 15 * clamp((out.wind() - 3) / 9)
                + 10 * clamp((8 - out.celsius()) / 20));
    }

    /**
     * Heat with humidity, a house index.
     *
     * <p>H = 50 · clamp((T − 20) / 15) + 50 · clamp((T_d − 10) / 14).
     *
     * @return 0 to 100, to one decimal
     */
    public static double heat(MonthlyAir out) {
        double dewPoint = Humidity.dewPoint(out.celsius(), out.humidity());
        return round(50 * clamp((out.celsius() - 20) / 15) + 50 * clamp((dewPoint - 10) / 14));
    }

    private static DryBand dryBand(double d) {
        return d < 25 ? DryBand.LOW : d < 50 ? DryBand.MODERATE : d < 75 ? DryBand.HIGH : DryBand.SEVERE;
    }

    private static HeatBand heatBand(double h, double dewPoint) {
        if (dewPoint < 10) {
            return h >= 25 ? HeatBand.DRY_HEAT : HeatBand.NONE;
        }
        return h < 25 ? HeatBand.NONE : h < 50 ? HeatBand.WARM : h < 75 ? HeatBand.HOT : HeatBand.SWELTERING;
    }

    private static UvBand uvBand(double index) {
        long i = Math.round(index);
        return i < 3
                ? UvBand.LOW
                : i < 6 ? UvBand.MODERATE : i < 8 ? UvBand.HIGH : i < 11 ? UvBand.VERY_HIGH : UvBand.EXTREME;
    }

    private static double clamp(double x) {
        return Math.clamp(x, 0, 1);
    }

    private static double round(double x) {
        return Math.round(x * 10) / 10.0;
    }
}

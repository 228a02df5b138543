package outfell.climate;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

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

    private static final Row FILE = KnowledgeFile.yaml("air.yaml");
    private static final Row ROOMS = FILE.row("rooms");
    private static final double HEATED_ROOM = ROOMS.number("heated", 10, 30);
    private static final double HEATING_BELOW = ROOMS.number("heating-below", 0, 30);
    private static final double COOLED_ROOM = ROOMS.number("cooled", 10, 30);
    private static final double COOLING_ABOVE = ROOMS.number("cooling-above", 10, 40);
    private static final double POINTS_ADDED_BY_LIVING = ROOMS.number("living-adds", 0, 20);
    private static final double COIL_DEW_POINT = ROOMS.number("coil-dew-point", 0, 25);

    /** What one quantity adds to an index: its weight times how far it lies between two ends. */
    private record Pull(String id, double weight, double from, double to) {
        double of(double x) {
            return weight * Math.clamp((x - from) / (to - from), 0, 1);
        }
    }

    private static final Map<String, Pull> PULLS = Stream.of("dryness", "heat")
            .flatMap(index -> Row.unique(FILE.rows(index), Air::pull, Pull::id).stream())
            .collect(Collectors.toMap(Pull::id, p -> p));
    private static final Row DRY = FILE.row("dry-bands");
    private static final double DRY_MODERATE = DRY.number("moderate", 0, 100);
    private static final double DRY_HIGH = DRY.number("high", 0, 100);
    private static final double DRY_SEVERE = DRY.number("severe", 0, 100);
    private static final Row HEAT = FILE.row("heat-bands");
    private static final double WARM = HEAT.number("warm", 0, 100);
    private static final double HOT = HEAT.number("hot", 0, 100);
    private static final double SWELTERING = HEAT.number("sweltering", 0, 100);
    private static final double DRY_HEAT_BELOW = FILE.number("dry-heat-below", 0, 30);
    private static final Row UV = FILE.row("uv-bands");
    private static final int UV_MODERATE = UV.whole("moderate", 1, 20);
    private static final int UV_HIGH = UV.whole("high", 1, 20);
    private static final int UV_VERY_HIGH = UV.whole("very-high", 1, 20);
    private static final int UV_EXTREME = UV.whole("extreme", 1, 20);

    private static Pull pull(Row row) {
        Pull pull = new Pull(
                row.text("id"), row.number("weight", 0, 100), row.number("from", -50, 100), row.number("to", -50, 100));
        row.done();
        return pull;
    }

    private static double pull(String id, double x) {
        return Objects.requireNonNull(PULLS.get(id), id).of(x);
    }

    /** UV index from which it is minded. */
    public static int uvToMind() {
        return UV_MODERATE;
    }

    /** Dryness from which it is called high, 0 to 100. */
    public static double highDryness() {
        return DRY_HIGH;
    }

    /** Dryness from which it is called severe, 0 to 100. */
    public static double severeDryness() {
        return DRY_SEVERE;
    }

    /** Heat from which it is called hot, 0 to 100. */
    public static double hotFrom() {
        return HOT;
    }

    /** Whether the heat is of the upper half, humid or dry. */
    public boolean hot() {
        return heat >= HOT;
    }

    /** The air of a month, with the rooms that such a month brings: heated, cooled, or with the windows open. */
    public static Air of(MonthlyAir out) {
        return of(out, List.of());
    }

    /**
     * The same for somebody who spends hours of the day elsewhere: each hour pulls with the air that it is spent in.
     *
     * @param stays hours in other air than that of the rooms at home; together no more than she is awake count
     */
    public static Air of(MonthlyAir out, List<Stay> stays) {
        Air home = home(out);
        List<Stay.Felt> felt = stays.stream()
                .filter(s -> s.hours() > 0)
                .flatMap(s -> s.in(out).stream())
                .toList();
        return felt.isEmpty() ? home : home.mixed(felt);
    }

    private Air mixed(List<Stay.Felt> felt) {
        double away = felt.stream().mapToDouble(Stay.Felt::hours).sum();
        double day = Math.max(Stay.AWAKE, away);
        double d = (day - away) * dryness;
        double h = (day - away) * heat;
        // whether the heat is moist is told by the air that it comes from
        double moist = h * dewPoint;
        for (Stay.Felt f : felt) {
            d += f.hours() * dryness(outdoors, f.humidity());
            double there = heat(f.celsius(), f.humidity());
            double more = f.hours() * Math.max(heat, there);
            h += more;
            moist += more * (there > heat ? Humidity.dewPoint(f.celsius(), f.humidity()) : dewPoint);
        }
        double dry = round(d / day);
        double hot = round(h / day);
        String hours = felt.stream().map(Stay.Felt::words).collect(Collectors.joining(", "));
        return new Air(
                outdoors,
                roomCelsius,
                roomHumidity,
                dewPoint,
                dry,
                hot,
                dryBand(dry),
                heatBand(hot, h > 0 ? moist / h : dewPoint),
                uvBand,
                rooms.withSentence("%s Of the day %s.".formatted(rooms.sentence(), hours)),
                dryBecause.withSentence(
                        "%s With %s the day pulls at %.0f of 100.".formatted(dryBecause.sentence(), hours, dry)),
                heatBecause.withSentence(
                        "%s With %s the day weighs %.0f of 100.".formatted(heatBecause.sentence(), hours, hot)));
    }

    private static Air home(MonthlyAir out) {
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
                ROOMS.because(rooms),
                Because.house("Rooms at %.0f %%, wind %.0f m/s and %.0f °C outside pull at %.0f of 100."
                        .formatted(room, out.wind(), out.celsius(), d)),
                Because.house("%.0f °C with a dew point of %.0f °C weighs %.0f of 100."
                        .formatted(out.celsius(), dewPoint, h)));
    }

    /**
     * Dryness stress, a house index: rooms, vapour outdoors, wind and cold, each by its weight in air.yaml.
     *
     * @return 0 to 100, to one decimal
     */
    public static double dryness(MonthlyAir out, double roomHumidity) {
        return round(pull("rooms", roomHumidity)
                + pull("vapour", Humidity.vapour(out.celsius(), out.humidity()))
                + pull("wind", out.wind())
                + pull("cold", out.celsius()));
    }

    /**
     * Heat with humidity, a house index: warmth and dew point, each by its weight in air.yaml.
     *
     * @return 0 to 100, to one decimal
     */
    public static double heat(MonthlyAir out) {
        return heat(out.celsius(), out.humidity());
    }

    private static double heat(double celsius, double humidity) {
        return round(pull("warmth", celsius) + pull("dew-point", Humidity.dewPoint(celsius, humidity)));
    }

    /**
     * The same air with its indices moved, to ask how near it lies to a turn.
     *
     * @param dryness points, of 100; @param heat points, of 100; @param uv of the index
     */
    public Air moved(double dryness, double heat, double uv) {
        double d = Math.clamp(this.dryness + dryness, 0, 100);
        double h = Math.clamp(this.heat + heat, 0, 100);
        double index = Math.clamp(outdoors.uvIndex() + uv, 0, MonthlyAir.MOST_UV);
        return new Air(
                new MonthlyAir(outdoors.celsius(), outdoors.humidity(), outdoors.wind(), index),
                roomCelsius,
                roomHumidity,
                dewPoint,
                d,
                h,
                dryBand(d),
                heatBand(h, dewPoint),
                uvBand(index),
                rooms,
                dryBecause,
                heatBecause);
    }

    private static DryBand dryBand(double d) {
        return d < DRY_MODERATE
                ? DryBand.LOW
                : d < DRY_HIGH ? DryBand.MODERATE : d < DRY_SEVERE ? DryBand.HIGH : DryBand.SEVERE;
    }

    private static HeatBand heatBand(double h, double dewPoint) {
        if (dewPoint < DRY_HEAT_BELOW) {
            return h >= WARM ? HeatBand.DRY_HEAT : HeatBand.NONE;
        }
        return h < WARM ? HeatBand.NONE : h < HOT ? HeatBand.WARM : h < SWELTERING ? HeatBand.HOT : HeatBand.SWELTERING;
    }

    private static UvBand uvBand(double index) {
        long i = Math.round(index);
        return i < UV_MODERATE
                ? UvBand.LOW
                : i < UV_HIGH
                        ? UvBand.MODERATE
                        : i < UV_VERY_HIGH ? UvBand.HIGH : i < UV_EXTREME ? UvBand.VERY_HIGH : UvBand.EXTREME;
    }

    private static double round(double x) {
        return Math.round(x * 10) / 10.0;
    }
}

package outfell.climate;

import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/**
 * Hours of a day that are spent in other air than that of the rooms at home.
 *
 * @param hours a day, 0 to 24
 */
public record Stay(Where where, double hours) {
    /** What air it is. */
    public enum Where {
        /** Rooms that are heated more than those at home, while the heating is on. */
        HEATED,
        /** Rooms that are cooled, while it is warm outside. */
        COOLED,
        /** Kitchens, laundries, engine rooms: hot and moist, whatever the month. */
        STEAM,
        /** The cabin of a plane, whatever the month. */
        CABIN
    }

    /**
     * What such hours are like in one month.
     *
     * @param words "4 h in cabin air at 12 %"
     */
    record Felt(double hours, double celsius, double humidity, String words) {}

    private record Kind(Where id, String words, double celsius, double humidity, double usual) {}

    private static final Row FILE = KnowledgeFile.yaml("air.yaml");
    private static final Row ROOMS = FILE.row("rooms");
    private static final double HEATING_BELOW = ROOMS.number("heating-below", 0, 30);
    private static final double COOLED_FROM = FILE.number("cooled-from", 0, 40);
    /** Hours of a day over which what pulls at the skin is weighed. */
    static final double AWAKE = FILE.number("awake", 1, 24);

    private static final Map<Where, Kind> KINDS = Row.unique(FILE.rows("stays"), Stay::read, Kind::id).stream()
            .collect(Collectors.toMap(Kind::id, Function.identity()));

    public Stay {
        if (!(hours >= 0 && hours <= 24)) {
            throw new IllegalArgumentException("%s hours a day is outside 0 to 24.".formatted(hours));
        }
    }

    /** So many hours as somebody spends there who did not say how many. */
    public static Stay usual(Where where) {
        return new Stay(where, kind(where).usual());
    }

    /** Nothing where such rooms are not as they are called in that month: no heating in warmth, no cooling in cold. */
    Optional<Felt> in(MonthlyAir out) {
        Kind kind = kind(where);
        boolean so = switch (where) {
            case HEATED -> out.celsius() < HEATING_BELOW;
            case COOLED -> out.celsius() >= COOLED_FROM;
            case STEAM, CABIN -> true;
        };
        double humidity = switch (where) {
            case HEATED -> Math.clamp(Humidity.indoors(out.celsius(), out.humidity(), kind.celsius()), 1, 100);
            case COOLED, STEAM, CABIN -> kind.humidity();
        };
        return so
                ? Optional.of(new Felt(
                        hours,
                        kind.celsius(),
                        humidity,
                        "%s h in %s at %.0f %%".formatted(plain(hours), kind.words(), humidity)))
                : Optional.empty();
    }

    private static String plain(double hours) {
        return hours == Math.rint(hours) ? "%.0f".formatted(hours) : String.valueOf(hours);
    }

    private static Kind kind(Where where) {
        return Objects.requireNonNull(KINDS.get(where), where::name);
    }

    private static Kind read(Row row) {
        row.because(row.text("words"));
        return new Kind(
                row.one("id", Where.class),
                row.text("words"),
                row.number("celsius", 0, 60),
                row.has("humidity") ? row.number("humidity", 0, 100) : 0,
                row.number("hours", 0, 24));
    }
}

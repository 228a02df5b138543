package outfell.consultation;

import java.time.Month;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import outfell.climate.Stay;
import outfell.consultation.Life.Place;

/**
 * How long somebody is in which air.
 *
 * @param hours a day in a place, where they were asked; a place without them has the usual ones
 * @param outdoorsByMonth hours a day outdoors, January first; empty where every month is alike
 */
public record Surroundings(Map<Place, Double> hours, List<Double> outdoorsByMonth) {
    public static final Surroundings NOT_ASKED = new Surroundings(Map.of(), List.of());

    private static final Map<Place, Stay.Where> STAYS = Map.of(
            Place.HEATED_ROOMS, Stay.Where.HEATED,
            Place.COOLED_ROOMS, Stay.Where.COOLED,
            Place.HEAT, Stay.Where.STEAM,
            Place.PLANES, Stay.Where.CABIN);

    public Surroundings {
        hours = Map.copyOf(hours);
        outdoorsByMonth = List.copyOf(outdoorsByMonth);
        if (!outdoorsByMonth.isEmpty() && outdoorsByMonth.size() != 12) {
            throw new IllegalArgumentException(
                    "Hours outdoors are told for %d months, expected twelve.".formatted(outdoorsByMonth.size()));
        }
        Stream.concat(hours.values().stream(), outdoorsByMonth.stream())
                .filter(h -> !(h >= 0 && h <= 24))
                .findFirst()
                .ifPresent(h -> {
                    throw new IllegalArgumentException("%s hours a day is outside 0 to 24.".formatted(h));
                });
    }

    /** Hours outdoors in a month, where they differ by month. */
    OptionalDouble outdoors(Month month) {
        return outdoorsByMonth.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(outdoorsByMonth.get(month.getValue() - 1));
    }

    /** What other air the day is spent in, for so many hours. */
    List<Stay> stays(Set<Place> places) {
        return Stream.of(Place.values())
                .filter(places::contains)
                .flatMap(p ->
                        Optional.ofNullable(STAYS.get(p))
                                .map(where -> stay(where, Optional.ofNullable(hours.get(p))))
                                .stream())
                .toList();
    }

    private static Stay stay(Stay.Where where, Optional<Double> hours) {
        return hours.map(h -> new Stay(where, h)).orElseGet(() -> Stay.usual(where));
    }
}

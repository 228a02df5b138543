package outfell.skin;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * All that is known of a face at one visit.
 *
 * @param observations at most one for a sign in a zone
 * @param probe at most one for a quantity in a zone
 * @param flush how often the face reddens and heats, 0 never to 4 daily
 * @param reactions to products in the last twelve months, 0 or more
 * @param events what lately thinned the barrier
 */
public record SkinReading(
        List<Observation> observations,
        List<ProbeReading> probe,
        OptionalInt flush,
        OptionalInt reactions,
        List<RecentEvent> events) {
    public static final SkinReading NONE =
            new SkinReading(List.of(), List.of(), OptionalInt.empty(), OptionalInt.empty(), List.of());

    public SkinReading {
        observations = List.copyOf(observations);
        probe = List.copyOf(probe);
        events = List.copyOf(events);
        if (flush.isPresent() && (flush.getAsInt() < 0 || flush.getAsInt() > 4)) {
            throw new IllegalArgumentException("Flush %d is outside 0..4.".formatted(flush.getAsInt()));
        }
        if (reactions.isPresent() && reactions.getAsInt() < 0) {
            throw new IllegalArgumentException("Reactions cannot be %d.".formatted(reactions.getAsInt()));
        }
    }

    OptionalInt grade(Zone zone, Sign sign) {
        return observations.stream()
                .filter(o -> o.zone() == zone && o.sign() == sign)
                .mapToInt(Observation::grade)
                .findFirst();
    }

    OptionalDouble measured(Zone zone, ProbeReading.Quantity quantity) {
        return probe.stream()
                .filter(p -> p.zone() == zone && p.quantity() == quantity)
                .mapToDouble(ProbeReading::value)
                .findFirst();
    }

    /** Grades of one sign by zone, in zone order. */
    Map<Zone, Integer> grades(Sign sign) {
        Map<Zone, Integer> map = new EnumMap<>(Zone.class);
        observations.stream().filter(o -> o.sign() == sign).forEach(o -> map.put(o.zone(), o.grade()));
        return map;
    }

    /** The zone where a sign is worst, first in zone order when equal. */
    Optional<Map.Entry<Zone, Integer>> worst(Sign sign) {
        return grades(sign).entrySet().stream().reduce((a, b) -> b.getValue() > a.getValue() ? b : a);
    }
}

package outfell.server.standin;

import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import outfell.skin.ProbeReading.Quantity;
import outfell.skin.Zone;

/**
 * A face that the simulated probe is held to: standin/probe-faces.json.
 *
 * @param roomCelsius of the room it sits in
 * @param humidity of that room, %
 * @param truth for each quantity the value of each zone; a zone that is not named has that of "elsewhere"
 */
record ProbeFace(
        String id, String label, double roomCelsius, double humidity, Map<Quantity, Map<String, Double>> truth) {
    private static final String ELSEWHERE = "ELSEWHERE";

    ProbeFace {
        for (Quantity quantity : Quantity.values()) {
            Map<String, Double> zones = truth.get(quantity);
            if (zones == null || !zones.containsKey(ELSEWHERE)) {
                throw new IllegalArgumentException("The face %s has no %s elsewhere.".formatted(id, quantity));
            }
        }
    }

    double at(Quantity quantity, Zone zone) {
        Map<String, Double> zones = Objects.requireNonNull(truth.get(quantity));
        @Nullable Double here = zones.get(zone.name());
        return here == null ? Objects.requireNonNull(zones.get(ELSEWHERE)) : here;
    }
}

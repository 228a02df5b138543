package outfell.skin;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * All that is known of a face at one visit.
 *
 * @param observations at most one for a sign in a zone
 * @param probe at most one for a quantity in a zone
 * @param conditions in which the probe was read
 * @param history what the client says
 * @param events what lately thinned the barrier
 * @param settlements of contradictions, at most one for each
 * @param byHand verdicts set against the computed ones, at most one for each
 */
public record SkinReading(
        List<Observation> observations,
        List<ProbeReading> probe,
        ProbeConditions conditions,
        History history,
        List<RecentEvent> events,
        List<Settlement> settlements,
        List<ByHand> byHand) {
    public static final SkinReading NONE = new SkinReading(
            List.of(), List.of(), ProbeConditions.UNSTATED, History.NONE, List.of(), List.of(), List.of());

    public SkinReading {
        observations = List.copyOf(observations);
        probe = List.copyOf(probe);
        events = List.copyOf(events);
        settlements = List.copyOf(settlements);
        byHand = List.copyOf(byHand);
    }

    /** The same face with other observations. */
    SkinReading seeing(List<Observation> others) {
        return new SkinReading(others, probe, conditions, history, events, settlements, byHand);
    }

    OptionalInt grade(Zone zone, Sign sign) {
        return observations.stream()
                .filter(o -> o.zone() == zone && o.sign() == sign)
                .mapToInt(Observation::grade)
                .findFirst();
    }

    Optional<ProbeReading> measured(Zone zone, ProbeReading.Quantity quantity) {
        return probe.stream()
                .filter(p -> p.zone() == zone && p.quantity() == quantity)
                .findFirst();
    }

    /** What the reading counts beside the eye, 0 to 1. */
    double weight(ProbeReading reading) {
        return ProbeLimits.HOUSE.weight(
                reading, conditions.judge(reading.quantity()).standing());
    }

    Optional<Settlement> settled(String contradiction) {
        return settlements.stream()
                .filter(s -> s.contradiction().equals(contradiction))
                .findFirst();
    }

    Optional<ByHand> byHand(ByHand.Verdict verdict) {
        return byHand.stream().filter(b -> b.verdict() == verdict).findFirst();
    }

    /** Grades of one sign by zone of the regimen, in zone order. */
    Map<Zone, Integer> grades(Sign sign) {
        Map<Zone, Integer> map = new EnumMap<>(Zone.class);
        observations.stream()
                .filter(o -> o.sign() == sign && o.zone().inRegimen())
                .forEach(o -> map.put(o.zone(), o.grade()));
        return map;
    }

    /** The zone where a sign is worst, first in zone order when equal. */
    Optional<Map.Entry<Zone, Integer>> worst(Sign sign) {
        return grades(sign).entrySet().stream().reduce((a, b) -> b.getValue() > a.getValue() ? b : a);
    }

    /** The worst grade of a sign on any zone; absent when nobody looked for it. */
    public OptionalInt worstGrade(Sign sign) {
        return worst(sign).map(e -> OptionalInt.of(e.getValue())).orElse(OptionalInt.empty());
    }
}

package outfell.skin;

import static outfell.skin.SkinReader.n;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.skin.SkinVerdict.Barrier;
import outfell.skin.SkinVerdict.BarrierState;
import outfell.skin.SkinVerdict.RankedConcern;

/**
 * Weighs concerns: mean grade of the zones touched × √(share of the zones looked at that are touched) × what matters to
 * the client; scaled to 100. House judgement.
 */
final class ConcernRanker {
    private static final Row WEIGHING = KnowledgeFile.yaml("skin.yaml").row("concerns");
    private static final double LIFT = WEIGHING.number("matters-times", 1, 5);
    private static final double A_GRADE = WEIGHING.number("barrier-points-a-grade", 1, 100);

    private record Raw(Concern concern, double severity, int touched, int looked, String found) {
        double weight(boolean lifted) {
            return severity * Math.sqrt((double) touched / looked) * (lifted ? LIFT : 1);
        }
    }

    private ConcernRanker() {}

    static List<RankedConcern> rank(
            SkinReading reading, Map<Zone, Axis.Point> water, Barrier barrier, Set<Concern> lifted) {
        List<Raw> raw = new ArrayList<>();
        for (Signs.Scale scale : Signs.all()) {
            bySign(reading, scale).ifPresent(raw::add);
        }
        dehydration(water).ifPresent(raw::add);
        barrier(barrier).ifPresent(raw::add);
        double sum = raw.stream()
                .mapToDouble(r -> r.weight(lifted.contains(r.concern())))
                .sum();
        return raw.stream()
                .map(r -> ranked(r, lifted.contains(r.concern()), sum))
                .sorted(Comparator.comparingDouble(RankedConcern::weight)
                        .reversed()
                        .thenComparing(RankedConcern::concern))
                .toList();
    }

    private static RankedConcern ranked(Raw r, boolean lifted, double sum) {
        double weight = Axis.tenth(100 * r.weight(lifted) / sum);
        String lift = lifted ? " It matters to the client, so it counts %s times.".formatted(n(LIFT)) : "";
        return new RankedConcern(
                r.concern(),
                Axis.tenth(r.severity()),
                r.touched(),
                r.looked(),
                weight,
                WEIGHING.because(r.found() + lift));
    }

    private static Optional<Raw> bySign(SkinReading reading, Signs.Scale scale) {
        Map<Zone, Integer> grades = reading.grades(scale.sign());
        if (scale.concern().isEmpty() || grades.isEmpty()) {
            return Optional.empty();
        }
        int below = scale.countsFrom() - 1;
        List<Zone> touched = grades.keySet().stream()
                .filter(z -> grades.getOrDefault(z, 0) > below)
                .toList();
        Collection<Integer> counted =
                touched.stream().map(z -> grades.getOrDefault(z, 0) - below).toList();
        double mean = counted.stream().mapToInt(Integer::intValue).average().orElse(0);
        String found = "%s of grade %s on %d of %d zones: %s."
                .formatted(
                        scale.label(),
                        n(Axis.tenth(mean + below)),
                        touched.size(),
                        grades.size(),
                        SkinReader.zoneList(touched));
        return mean == 0
                ? Optional.empty()
                : Optional.of(new Raw(scale.concern().get(), mean, touched.size(), grades.size(), found));
    }

    /** A grade for each state of water that is passed: slightly dehydrated is one, very dehydrated three. */
    private static Optional<Raw> dehydration(Map<Zone, Axis.Point> water) {
        List<Zone> touched = water.entrySet().stream()
                .filter(e -> thirst(e.getValue()) > 0)
                .map(Map.Entry::getKey)
                .toList();
        double mean = water.values().stream()
                .mapToInt(ConcernRanker::thirst)
                .filter(t -> t > 0)
                .average()
                .orElse(0);
        return mean == 0
                ? Optional.empty()
                : Optional.of(new Raw(
                        Concern.DEHYDRATION,
                        mean,
                        touched.size(),
                        water.size(),
                        "Water is short on %d of %d zones: %s."
                                .formatted(touched.size(), water.size(), SkinReader.zoneList(touched))));
    }

    private static int thirst(Axis.Point point) {
        double w = Axis.tenth(point.value());
        return w >= WaterReader.HYDRATED ? 0 : w >= WaterReader.SLIGHTLY ? 1 : w >= WaterReader.DEHYDRATED ? 2 : 3;
    }

    /** A barrier below sound counts so many points a grade, over the whole face. */
    private static Optional<Raw> barrier(Barrier barrier) {
        boolean weak = barrier.state() == BarrierState.STRAINED || barrier.state() == BarrierState.BROKEN;
        if (!weak || barrier.index().isEmpty()) {
            return Optional.empty();
        }
        double index = barrier.index().get();
        return Optional.of(new Raw(
                Concern.BARRIER, (100 - index) / A_GRADE, 1, 1, "The barrier index is %s of 100.".formatted(n(index))));
    }
}

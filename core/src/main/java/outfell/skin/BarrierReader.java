package outfell.skin;

import static outfell.skin.SkinReader.n;
import static outfell.skin.SkinReader.worstGrade;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.skin.SkinVerdict.Barrier;
import outfell.skin.SkinVerdict.BarrierState;

/**
 * The barrier index B, a house judgement: the worst zone of each sign counts, so that no single grade raised can make it
 * look better.
 *
 * <p>With water loss: r = loss / reference of the spot; B = 100 − 30 · clamp((r − 1.2) / 1.3, 0, 1) − 4 · redness − 6 ·
 * sting − 3 · tightness − 3 · flaking − E. Without: B = 100 − 6 · redness − 9 · sting − 4.5 · tightness − 4.5 · flaking −
 * E. E is the largest cost of a recent event.
 */
final class BarrierReader {
    /** Reference water loss, g/(m²·h); house judgement on kottner-2013. */
    private static final Map<Zone, Double> REFERENCE = Map.of(
            Zone.FOREHEAD,
            13.0,
            Zone.CHEEK_R,
            12.0,
            Zone.CHEEK_L,
            12.0,
            Zone.NOSE,
            18.0,
            Zone.CHIN,
            18.0,
            Zone.NECK,
            10.0);

    private static final int NEEDED_SIGNS = 2;

    private BarrierReader() {}

    static Barrier read(SkinReading reading) {
        OptionalDouble ratio = ratio(reading);
        int signs = answered(reading);
        if (ratio.isEmpty() && signs < NEEDED_SIGNS && reading.events().isEmpty()) {
            return new Barrier(
                    BarrierState.NOT_YET,
                    -1,
                    false,
                    Confidence.LOW,
                    Because.house("Two of redness, sting, tightness and flaking, or a water loss, would tell."));
        }
        double index = index(reading, ratio);
        BarrierState state =
                index >= 75 ? BarrierState.SOUND : index >= 50 ? BarrierState.STRAINED : BarrierState.BROKEN;
        boolean calm = index < 50 || (index < 75 && grade(reading, Sign.STING) >= 2);
        Confidence sure = ratio.isPresent()
                ? (signs == 4 ? Confidence.HIGH : Confidence.MEDIUM)
                : signs == 4 ? Confidence.MEDIUM : Confidence.LOW;
        return new Barrier(state, index, calm, sure, because(reading, ratio, index, state, calm));
    }

    private static double index(SkinReading reading, OptionalDouble ratio) {
        int redness = grade(reading, Sign.REDNESS);
        int sting = grade(reading, Sign.STING);
        int tightness = grade(reading, Sign.TIGHTNESS);
        int flaking = grade(reading, Sign.FLAKING);
        double event =
                reading.events().stream().mapToDouble(RecentEvent::cost).max().orElse(0);
        double b = ratio.isPresent()
                ? 100
                        - 30 * Math.clamp((ratio.getAsDouble() - 1.2) / 1.3, 0, 1)
                        - 4 * redness
                        - 6 * sting
                        - 3 * tightness
                        - 3 * flaking
                        - event
                : 100 - 6 * redness - 9 * sting - 4.5 * tightness - 4.5 * flaking - event;
        if (redness >= 3 || sting >= 3 || flaking >= 3) {
            b = Math.min(b, 74);
        }
        if (sting == 4) {
            b = Math.min(b, 49);
        }
        return Axis.tenth(Math.max(0, b));
    }

    private static OptionalDouble ratio(SkinReading reading) {
        return reading.probe().stream()
                .filter(p -> p.quantity() == ProbeReading.Quantity.WATER_LOSS && REFERENCE.containsKey(p.zone()))
                .mapToDouble(p -> p.value() / REFERENCE.getOrDefault(p.zone(), 12.0))
                .max();
    }

    private static int answered(SkinReading reading) {
        return (int) List.of(Sign.REDNESS, Sign.STING, Sign.TIGHTNESS, Sign.FLAKING).stream()
                .filter(s -> !reading.grades(s).isEmpty())
                .count();
    }

    private static int grade(SkinReading reading, Sign sign) {
        return worstGrade(reading, sign).orElse(0);
    }

    private static Because because(
            SkinReading reading, OptionalDouble ratio, double index, BarrierState state, boolean calm) {
        List<String> facts = new ArrayList<>();
        ratio.ifPresent(r -> facts.add("water loss %s times usual".formatted(n(Axis.tenth(r)))));
        for (Sign sign : List.of(Sign.REDNESS, Sign.STING, Sign.TIGHTNESS, Sign.FLAKING)) {
            worstGrade(reading, sign)
                    .ifPresent(g -> facts.add(Signs.of(sign).label().toLowerCase(java.util.Locale.ROOT) + " " + g));
        }
        Optional<RecentEvent> event =
                reading.events().stream().filter(e -> e.cost() > 0).max((a, b) -> Double.compare(a.cost(), b.cost()));
        event.ifPresent(e -> facts.add("%s %d days ago".formatted(e.kind().words(), e.days())));
        String advice = calm ? " A calm reset comes first." : state == BarrierState.STRAINED ? " Go gently." : "";
        String by = ratio.isPresent() ? "" : " By eye only.";
        return new Because(
                "%s: %s of 100.%s%s".formatted(SkinReader.capital(String.join(", ", facts)), n(index), advice, by),
                Evidence.PROPOSED,
                "kottner-2013");
    }
}

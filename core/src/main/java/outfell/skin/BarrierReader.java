package outfell.skin;

import static outfell.skin.SkinReader.n;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.apache.commons.lang3.StringUtils;
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
 * E. E is the largest cost of a recent event. A water loss
 * that counts less than whole is mixed with the index without it, by what it counts; the practice's bands stand for 1.2
 * and 2.5.
 */
final class BarrierReader {
    private static final int NEEDED_SIGNS = 2;

    private BarrierReader() {}

    static Barrier read(SkinReading reading, ProbeBands bands) {
        List<Loss> losses = losses(reading);
        Optional<Loss> ratio = worst(reading, losses, bands);
        int signs = answered(reading);
        if (ratio.isEmpty() && signs < NEEDED_SIGNS && reading.events().isEmpty()) {
            return new Barrier(
                    BarrierState.NOT_YET,
                    -1,
                    false,
                    Confidence.LOW,
                    Because.house("Two of redness, sting, tightness and flaking, or a water loss, would tell."));
        }
        double index = index(reading, ratio, bands);
        BarrierState state =
                index >= 75 ? BarrierState.SOUND : index >= 50 ? BarrierState.STRAINED : BarrierState.BROKEN;
        boolean calm = index < 50 || (index < 75 && grade(reading, Sign.STING) >= 2);
        Confidence sure = ratio.isPresent()
                ? (signs == 4 && ratio.get().counts() == 1 ? Confidence.HIGH : Confidence.MEDIUM)
                : signs == 4 ? Confidence.MEDIUM : Confidence.LOW;
        return new Barrier(state, index, calm, sure, because(reading, ratio, index, state, calm));
    }

    /**
     * @param ratio to the usual of its spot
     * @param counts beside the eye, over 0 to 1
     */
    private record Loss(double ratio, double counts) {}

    private static double index(SkinReading reading, Optional<Loss> loss, ProbeBands bands) {
        int redness = grade(reading, Sign.REDNESS);
        int sting = grade(reading, Sign.STING);
        int tightness = grade(reading, Sign.TIGHTNESS);
        int flaking = grade(reading, Sign.FLAKING);
        double event =
                reading.events().stream().mapToDouble(RecentEvent::cost).max().orElse(0);
        ProbeBands.Bounds water = bands.of(ProbeBands.Band.WATER_LOSS);
        double byEye = 100 - 6 * redness - 9 * sting - 4.5 * tightness - 4.5 * flaking - event;
        double b = loss.map(l -> {
                    double lost = Math.clamp((l.ratio() - water.low()) / (water.high() - water.low()), 0, 1);
                    double byProbe = 100 - 30 * lost - 4 * redness - 6 * sting - 3 * tightness - 3 * flaking - event;
                    return l.counts() * byProbe + (1 - l.counts()) * byEye;
                })
                .orElse(byEye);
        if (redness >= 3 || sting >= 3 || flaking >= 3 || tightness >= 3) {
            b = Math.min(b, 74);
        }
        if (sting == 4) {
            b = Math.min(b, 49);
        }
        return Axis.tenth(Math.max(0, b));
    }

    private static List<Loss> losses(SkinReading reading) {
        return reading.probe().stream()
                .filter(p -> p.quantity() == ProbeReading.Quantity.WATER_LOSS
                        && ProbeBands.hasReference(p.zone())
                        && reading.weight(p) > 0)
                .map(p -> new Loss(p.median() / ProbeBands.reference(p.zone()), reading.weight(p)))
                .toList();
    }

    /** The reading whose result is worst, each with its own weight: so a higher loss at one spot never mends the index. */
    private static Optional<Loss> worst(SkinReading reading, List<Loss> losses, ProbeBands bands) {
        return losses.stream()
                .min(Comparator.comparingDouble((Loss l) -> index(reading, Optional.of(l), bands))
                        .thenComparing(Comparator.comparingDouble(Loss::ratio).reversed()));
    }

    /** What the therapist has set: more careful than computed, never less; where the computed one is weaker, it stands. */
    static Optional<Barrier> set(SkinReading reading, Barrier computed) {
        return reading.byHand(ByHand.Verdict.BARRIER).flatMap(b -> {
            BarrierState state = switch (b.value()) {
                case "BROKEN" -> BarrierState.BROKEN;
                case "STRAINED" -> BarrierState.STRAINED;
                default ->
                    throw new IllegalArgumentException(
                            "By hand a barrier can only be called STRAINED or BROKEN, not \"%s\": to call it sounder, grade again what makes it weak."
                                    .formatted(b.value()));
            };
            boolean broken = state == BarrierState.BROKEN;
            if (computed.calmReset() || (!broken && computed.state() == BarrierState.BROKEN)) {
                return Optional.empty();
            }
            double most = broken ? 49 : 74;
            return Optional.of(new Barrier(
                    state,
                    computed.index() < 0 ? most : Math.min(computed.index(), most),
                    broken,
                    Confidence.MEDIUM,
                    Because.custom(SkinReader.setBy(b.who(), b.why()))));
        });
    }

    private static int answered(SkinReading reading) {
        return (int) List.of(Sign.REDNESS, Sign.STING, Sign.TIGHTNESS, Sign.FLAKING).stream()
                .filter(s -> !reading.grades(s).isEmpty())
                .count();
    }

    private static int grade(SkinReading reading, Sign sign) {
        return reading.worstGrade(sign).orElse(0);
    }

    private static Because because(
            SkinReading reading, Optional<Loss> ratio, double index, BarrierState state, boolean calm) {
        List<String> facts = new ArrayList<>();
        ratio.ifPresent(r -> facts.add("water loss %s times usual".formatted(n(Axis.tenth(r.ratio())))));
        for (Sign sign : List.of(Sign.REDNESS, Sign.STING, Sign.TIGHTNESS, Sign.FLAKING)) {
            reading.worstGrade(sign)
                    .ifPresent(g -> facts.add(Signs.of(sign).label().toLowerCase(java.util.Locale.ROOT) + " " + g));
        }
        Optional<RecentEvent> event =
                reading.events().stream().filter(e -> e.cost() > 0).max((a, b) -> Double.compare(a.cost(), b.cost()));
        event.ifPresent(e -> facts.add("%s %d days ago".formatted(e.words(), e.days())));
        String advice = calm ? " A calm reset comes first." : state == BarrierState.STRAINED ? " Go gently." : "";
        String by = ratio.isPresent() ? "" : " By eye only.";
        return new Because(
                "%s: %s of 100.%s%s".formatted(StringUtils.capitalize(String.join(", ", facts)), n(index), advice, by),
                Evidence.PROPOSED,
                "kottner-2013");
    }
}

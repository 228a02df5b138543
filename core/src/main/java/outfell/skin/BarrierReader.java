package outfell.skin;

import static outfell.skin.SkinReader.n;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.apache.commons.lang3.StringUtils;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.skin.SkinVerdict.Barrier;
import outfell.skin.SkinVerdict.BarrierState;

/**
 * The barrier index B, a house judgement: the worst zone of each sign counts, so that no single grade raised can make it
 * look better.
 *
 * <p>With water loss: r = loss / reference of the spot; B = 100 − l · clamp((r − low) / (high − low), 0, 1) − what each
 * grade costs beside a loss − E. Without: B = 100 − what each grade costs by eye − E. E is the largest cost of a recent
 * event; low and high are the practice's bands. A water loss that counts less than whole is mixed with the index without
 * it, by what it counts.
 */
final class BarrierReader {
    private static final Row FILE = KnowledgeFile.yaml("skin.yaml");
    private static final Row INDEX = FILE.row("barrier");
    private static final double SOUND = INDEX.number("sound-from", 0, 100);
    private static final double STRAINED = INDEX.number("strained-from", 0, SOUND);
    private static final int STRAINED_AT_GRADE = INDEX.whole("strained-at-grade", 1, 4);
    private static final int BROKEN_AT_STING = INDEX.whole("broken-at-sting", 1, 4);
    private static final int RESET_AT_STING = INDEX.whole("reset-at-sting", 1, 4);
    private static final int NEEDED_SIGNS = INDEX.whole("signs", 1, 4);
    private static final Costs BY_EYE = costs(FILE.row("barrier-by-eye"));
    private static final Row BESIDE = FILE.row("barrier-by-loss");
    private static final Costs BESIDE_A_LOSS = costs(BESIDE);
    private static final double LOSS = BESIDE.number("loss", 0, 100);
    private static final List<Sign> TELLING = List.of(Sign.REDNESS, Sign.STING, Sign.TIGHTNESS, Sign.FLAKING);

    /** Points that a grade of each sign takes off. */
    private record Costs(double redness, double sting, double tightness, double flaking) {
        double of(SkinReading reading) {
            return redness * grade(reading, Sign.REDNESS)
                    + sting * grade(reading, Sign.STING)
                    + tightness * grade(reading, Sign.TIGHTNESS)
                    + flaking * grade(reading, Sign.FLAKING);
        }
    }

    private static Costs costs(Row row) {
        return new Costs(
                row.number("redness", 0, 25),
                row.number("sting", 0, 25),
                row.number("tightness", 0, 25),
                row.number("flaking", 0, 25));
    }

    private BarrierReader() {}

    static Barrier read(SkinReading reading, ProbeBands bands) {
        List<Loss> losses = losses(reading);
        Optional<Loss> ratio = worst(reading, losses, bands);
        int signs = answered(reading);
        if (ratio.isEmpty() && signs < NEEDED_SIGNS && reading.events().isEmpty()) {
            return new Barrier(
                    BarrierState.NOT_YET,
                    Optional.empty(),
                    false,
                    Confidence.LOW,
                    Because.house("Two of redness, sting, tightness and flaking, or a water loss, would tell."));
        }
        double index = index(reading, ratio, bands);
        BarrierState state =
                index >= SOUND ? BarrierState.SOUND : index >= STRAINED ? BarrierState.STRAINED : BarrierState.BROKEN;
        boolean calm = index < STRAINED || (index < SOUND && grade(reading, Sign.STING) >= RESET_AT_STING);
        Confidence sure = ratio.isPresent()
                ? (signs == TELLING.size() && ratio.get().counts() == 1 ? Confidence.HIGH : Confidence.MEDIUM)
                : signs == TELLING.size() ? Confidence.MEDIUM : Confidence.LOW;
        return new Barrier(state, Optional.of(index), calm, sure, because(reading, ratio, index, state, calm));
    }

    /**
     * @param ratio to the usual of its spot
     * @param counts beside the eye, over 0 to 1
     */
    private record Loss(double ratio, double counts) {}

    private static double index(SkinReading reading, Optional<Loss> loss, ProbeBands bands) {
        double event =
                reading.events().stream().mapToDouble(RecentEvent::cost).max().orElse(0);
        ProbeBands.Bounds water = bands.of(ProbeBands.Band.WATER_LOSS);
        double byEye = 100 - BY_EYE.of(reading) - event;
        double b = loss.map(l -> {
                    double lost = Math.clamp((l.ratio() - water.low()) / (water.high() - water.low()), 0, 1);
                    double byProbe = 100 - LOSS * lost - BESIDE_A_LOSS.of(reading) - event;
                    return l.counts() * byProbe + (1 - l.counts()) * byEye;
                })
                .orElse(byEye);
        if (TELLING.stream().anyMatch(s -> grade(reading, s) >= STRAINED_AT_GRADE)) {
            b = Math.min(b, SOUND - 1);
        }
        if (grade(reading, Sign.STING) >= BROKEN_AT_STING) {
            b = Math.min(b, STRAINED - 1);
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
            double most = (broken ? STRAINED : SOUND) - 1;
            return Optional.of(new Barrier(
                    state,
                    Optional.of(Math.min(computed.index().orElse(most), most)),
                    broken,
                    Confidence.MEDIUM,
                    Because.custom(SkinReader.setBy(b.who(), b.why()))));
        });
    }

    /** A barrier after a calm reset that has ended, and that nobody has read anew: just sound, since only that ends one. */
    static Barrier calmed() {
        return new Barrier(
                BarrierState.SOUND,
                Optional.of(SOUND),
                false,
                Confidence.LOW,
                Because.custom("Calm again by the check-ins, and not read anew yet."));
    }

    private static int answered(SkinReading reading) {
        return (int) TELLING.stream().filter(s -> !reading.grades(s).isEmpty()).count();
    }

    private static int grade(SkinReading reading, Sign sign) {
        return reading.worstGrade(sign).orElse(0);
    }

    private static Because because(
            SkinReading reading, Optional<Loss> ratio, double index, BarrierState state, boolean calm) {
        List<String> facts = new ArrayList<>();
        ratio.ifPresent(r -> facts.add("water loss %s times usual".formatted(n(Axis.tenth(r.ratio())))));
        List<String> graded = new ArrayList<>();
        for (Sign sign : TELLING) {
            reading.worstGrade(sign)
                    .ifPresent(g -> graded.add(Signs.of(sign).label().toLowerCase(java.util.Locale.ROOT) + " " + g));
        }
        if (!graded.isEmpty()) {
            facts.add(SkinReader.ofFour(graded));
        }
        Optional<RecentEvent> event =
                reading.events().stream().filter(e -> e.cost() > 0).max((a, b) -> Double.compare(a.cost(), b.cost()));
        event.ifPresent(e -> facts.add("%s %d days ago".formatted(e.words(), e.days())));
        String advice = calm ? " A calm reset comes first." : state == BarrierState.STRAINED ? " Go gently." : "";
        String by = ratio.isPresent() ? "" : " By eye only.";
        return INDEX.because(
                "%s: %s of 100.%s%s".formatted(StringUtils.capitalize(String.join(", ", facts)), n(index), advice, by));
    }
}

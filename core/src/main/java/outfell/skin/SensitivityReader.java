package outfell.skin;

import static outfell.skin.SkinReader.n;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.apache.commons.lang3.StringUtils;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.skin.SkinVerdict.Sensitivity;
import outfell.skin.SkinVerdict.SensitivityBand;

/** Sensitivity, apart from type. */
final class SensitivityReader {
    private SensitivityReader() {}

    /**
     * S = 100 · (10 · sting + 5 · redness + 5 · flush + 5 · min(reactions, 4)) / most that the answered items allow (40,
     * 20, 20, 20); needs 60 answered.
     */
    static Sensitivity read(SkinReading reading) {
        OptionalInt sting = reading.worstGrade(Sign.STING);
        OptionalInt redness = reading.worstGrade(Sign.REDNESS);
        int answered = (sting.isPresent() ? 40 : 0)
                + (redness.isPresent() ? 20 : 0)
                + (reading.history().flush().isPresent() ? 20 : 0)
                + (reading.history().reactions().isPresent() ? 20 : 0);
        boolean override = sting.orElse(0) >= 2 || redness.orElse(0) >= 3;
        if (answered < 60) {
            return new Sensitivity(
                    SensitivityBand.NOT_YET, -1, override, Confidence.LOW, sensitivityBecause(reading, -1, override));
        }
        double score = Axis.tenth(100.0
                * (10 * sting.orElse(0)
                        + 5 * redness.orElse(0)
                        + 5 * reading.history().flush().orElse(0)
                        + 5 * Math.min(4, reading.history().reactions().orElse(0)))
                / answered);
        SensitivityBand band = score < 25
                ? SensitivityBand.TOLERANT
                : score < 45 ? SensitivityBand.REACTIVE_TENDENCY : SensitivityBand.SENSITIVE;
        boolean treat = override || band == SensitivityBand.SENSITIVE;
        return new Sensitivity(
                band,
                score,
                treat,
                answered == 100 ? Confidence.HIGH : Confidence.MEDIUM,
                sensitivityBecause(reading, score, override));
    }

    private static Because sensitivityBecause(SkinReading reading, double score, boolean override) {
        List<String> facts = new ArrayList<>();
        reading.worstGrade(Sign.STING).ifPresent(g -> facts.add("sting " + g));
        reading.worstGrade(Sign.REDNESS).ifPresent(g -> facts.add("redness " + g));
        reading.history().flush().ifPresent(f -> facts.add("flushing " + f));
        reading.history()
                .reactions()
                .ifPresent(r -> facts.add(r == 1 ? "1 reaction this year" : r + " reactions this year"));
        String found = facts.isEmpty() ? "Nothing asked yet" : StringUtils.capitalize(String.join(", ", facts));
        String end = score < 0 ? "too little to score" : "score %s, sensitive from 45".formatted(n(score));
        String treat = override ? " A sting of 2 or redness of 3 is treated as sensitive until shown otherwise." : "";
        return new Because("%s: %s.%s".formatted(found, end, treat), Evidence.PROPOSED, "misery-2017");
    }

    /** What the therapist has set: more careful than computed, never less. */
    static Optional<Sensitivity> set(SkinReading reading, Sensitivity computed) {
        return reading.byHand(ByHand.Verdict.SENSITIVITY).map(b -> {
            if (!b.value().equals(SensitivityBand.SENSITIVE.name())) {
                throw new IllegalArgumentException(
                        "By hand a skin can only be called sensitive, not \"%s\": to call it less so, grade again what makes it so."
                                .formatted(b.value()));
            }
            return new Sensitivity(
                    SensitivityBand.SENSITIVE,
                    computed.score(),
                    true,
                    Confidence.MEDIUM,
                    Because.custom(SkinReader.setBy(b.who(), b.why())));
        });
    }
}

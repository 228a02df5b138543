package outfell.skin;

import static outfell.skin.SkinReader.n;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.apache.commons.lang3.StringUtils;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.skin.SkinVerdict.Sensitivity;
import outfell.skin.SkinVerdict.SensitivityBand;

/** Sensitivity, apart from type. */
final class SensitivityReader {
    private static final Row FILE = KnowledgeFile.yaml("skin.yaml");
    private static final Row POINTS = FILE.row("sensitivity");
    private static final int A_STING = POINTS.whole("sting", 0, 25);
    private static final int A_REDNESS = POINTS.whole("redness", 0, 25);
    private static final int A_FLUSH = POINTS.whole("flush", 0, 25);
    private static final int A_REACTION = POINTS.whole("reactions", 0, 25);
    private static final int MOST_REACTIONS = POINTS.whole("most-reactions", 1, 20);
    private static final int ASKED_FOR = POINTS.whole("asked-for", 0, 100);
    private static final double TENDENCY = POINTS.number("tendency-from", 0, 100);
    private static final double SENSITIVE = POINTS.number("sensitive-from", TENDENCY, 100);
    private static final Row TREATED = FILE.row("treated-as-sensitive");
    private static final int LASTING_STING = TREATED.whole("sting", 1, 4);
    private static final int STRONG_REDNESS = TREATED.whole("redness", 1, 4);
    private static final int MOST_GRADE = 4;

    private SensitivityReader() {}

    /** 100 · the points of what was asked / the most that it could have been; told when enough was asked for. */
    static Sensitivity read(SkinReading reading) {
        OptionalInt sting = reading.worstGrade(Sign.STING);
        OptionalInt redness = reading.worstGrade(Sign.REDNESS);
        OptionalInt flush = reading.history().flush();
        OptionalInt reactions = reading.history().reactions();
        int all = MOST_GRADE * (A_STING + A_REDNESS + A_FLUSH) + MOST_REACTIONS * A_REACTION;
        int asked = (sting.isPresent() ? MOST_GRADE * A_STING : 0)
                + (redness.isPresent() ? MOST_GRADE * A_REDNESS : 0)
                + (flush.isPresent() ? MOST_GRADE * A_FLUSH : 0)
                + (reactions.isPresent() ? MOST_REACTIONS * A_REACTION : 0);
        boolean override = sting.orElse(0) >= LASTING_STING || redness.orElse(0) >= STRONG_REDNESS;
        if (asked < ASKED_FOR) {
            return new Sensitivity(
                    SensitivityBand.NOT_YET,
                    Optional.empty(),
                    override,
                    Confidence.LOW,
                    because(reading, "too little to score", override));
        }
        double score = Axis.tenth(100.0
                * (A_STING * sting.orElse(0)
                        + A_REDNESS * redness.orElse(0)
                        + A_FLUSH * flush.orElse(0)
                        + A_REACTION * Math.min(MOST_REACTIONS, reactions.orElse(0)))
                / asked);
        SensitivityBand band = score < TENDENCY
                ? SensitivityBand.TOLERANT
                : score < SENSITIVE ? SensitivityBand.REACTIVE_TENDENCY : SensitivityBand.SENSITIVE;
        return new Sensitivity(
                band,
                Optional.of(score),
                override || band == SensitivityBand.SENSITIVE,
                asked == all ? Confidence.HIGH : Confidence.MEDIUM,
                because(reading, "score %s of 100, sensitive from %s".formatted(n(score), n(SENSITIVE)), override));
    }

    private static Because because(SkinReading reading, String end, boolean override) {
        List<String> facts = new ArrayList<>();
        List<String> graded = new ArrayList<>();
        reading.worstGrade(Sign.STING).ifPresent(g -> graded.add("sting " + g));
        reading.worstGrade(Sign.REDNESS).ifPresent(g -> graded.add("redness " + g));
        reading.history().flush().ifPresent(f -> graded.add("flushing " + f));
        if (!graded.isEmpty()) {
            facts.add(SkinReader.ofFour(graded));
        }
        reading.history()
                .reactions()
                .ifPresent(r -> facts.add(r == 1 ? "1 reaction this year" : r + " reactions this year"));
        String found = facts.isEmpty() ? "Nothing asked yet" : StringUtils.capitalize(String.join(", ", facts));
        String treat = " A sting of %d or redness of %d, of 4, is treated as sensitive until shown otherwise."
                .formatted(LASTING_STING, STRONG_REDNESS);
        return (override ? TREATED : POINTS).because("%s: %s.%s".formatted(found, end, override ? treat : ""));
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

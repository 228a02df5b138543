package outfell.skin;

import static outfell.skin.SkinReader.n;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.lang3.StringUtils;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.skin.SkinVerdict.OilyOrThirsty;
import outfell.skin.SkinVerdict.OilyOrThirsty.Answer;
import outfell.skin.SkinVerdict.Water;
import outfell.skin.SkinVerdict.WaterState;

/** Dehydration apart from type, and the question "oily or only thirsty?". */
final class WaterReader {
    private static final Row FILE = KnowledgeFile.yaml("skin.yaml");
    private static final Row WATER = FILE.row("water");
    static final double HYDRATED = WATER.number("hydrated-from", 0, 100);
    static final double SLIGHTLY = WATER.number("slightly-from", 0, HYDRATED);
    static final double DEHYDRATED = WATER.number("dehydrated-from", 0, SLIGHTLY);
    /** Shine that lets one ask the question. */
    private static final int SHINY = FILE.row("oily-or-thirsty").whole("shine", 1, 4);

    private WaterReader() {}

    static Water read(SkinReading reading, Map<Zone, Axis.Point> water) {
        OptionalDouble t = Axis.t(water);
        OptionalDouble u = Axis.u(water);
        if (t.isEmpty() && u.isEmpty()) {
            return new Water(
                    WaterState.NOT_YET,
                    Optional.empty(),
                    Confidence.LOW,
                    Because.house("Tightness after washing, or flaking, would tell whether water is short."));
        }
        double drier = Math.min(t.orElse(100), u.orElse(100));
        WaterState state = waterState(drier);
        return new Water(state, Optional.of(drier), confidence(t, u, water), waterBecause(reading, drier, state));
    }

    private static WaterState waterState(double w) {
        if (w >= HYDRATED) {
            return WaterState.HYDRATED;
        }
        return w >= SLIGHTLY
                ? WaterState.SLIGHTLY_DEHYDRATED
                : w >= DEHYDRATED ? WaterState.DEHYDRATED : WaterState.VERY_DEHYDRATED;
    }

    private static Because waterBecause(SkinReading reading, double w, WaterState state) {
        List<String> facts = new ArrayList<>();
        for (Sign sign : List.of(Sign.TIGHTNESS, Sign.FLAKING, Sign.DEHYDRATION_LINES)) {
            reading.worst(sign)
                    .filter(e -> e.getValue() > 0)
                    .ifPresent(e -> facts.add("%s %d of 4 on the %s"
                            .formatted(
                                    Signs.of(sign).label().toLowerCase(Locale.ROOT),
                                    e.getValue(),
                                    e.getKey().words())));
        }
        reading.probe().stream()
                .filter(p -> p.quantity() == ProbeReading.Quantity.HYDRATION)
                .filter(p -> reading.weight(p) > 0)
                .min((a, b) -> Double.compare(a.median(), b.median()))
                .ifPresent(p -> facts.add("hydration %s on the %s"
                        .formatted(n(p.median()), p.zone().words())));
        String condition = state != WaterState.HYDRATED ? " A condition, not a type: it can pass." : "";
        String found =
                facts.isEmpty() ? "No tightness and no flaking" : StringUtils.capitalize(String.join(", ", facts));
        return WATER.because("%s: water %s of 100.%s".formatted(found, n(w), condition));
    }

    private static Confidence confidence(OptionalDouble t, OptionalDouble u, Map<Zone, Axis.Point> water) {
        return t.isEmpty() || u.isEmpty() ? Confidence.LOW : Axis.confidence(water);
    }

    /** What the therapist has set. */
    static Optional<Water> set(SkinReading reading, Water computed) {
        return reading.byHand(ByHand.Verdict.WATER).map(b -> {
            WaterState state;
            try {
                state = WaterState.valueOf(b.value());
            } catch (IllegalArgumentException unknown) {
                throw new IllegalArgumentException(
                        "Water cannot be \"%s\"; it is HYDRATED, SLIGHTLY_DEHYDRATED, DEHYDRATED or VERY_DEHYDRATED."
                                .formatted(b.value()),
                        unknown);
            }
            return new Water(
                    state, computed.water(), Confidence.MEDIUM, Because.custom(SkinReader.setBy(b.who(), b.why())));
        });
    }

    /**
     * Shine and tightness can both come from missing water: skin that is short of it may shine. Asked when the face shines
     * or the client calls it oily; answered by both axes.
     */
    static OilyOrThirsty oilyOrThirsty(SkinReading reading, TypeVerdict type, Water water) {
        boolean callsItOily =
                reading.history().says().filter(s -> s == History.Says.OILY).isPresent();
        boolean shines = reading.worstGrade(Sign.SHINE).orElse(0) >= SHINY;
        if (!callsItOily && !shines) {
            return new OilyOrThirsty(
                    Answer.NOT_ASKED, Because.house("No shine to speak of, and nobody calls the skin oily."));
        }
        String asked = callsItOily ? "The client calls it oily. " : "";
        boolean typed = !(type instanceof TypeVerdict.NotYet);
        if (!typed || water.state() == WaterState.NOT_YET) {
            String needs = typed
                    ? "Ask for tightness an hour after washing, or read hydration."
                    : "Grade shine on forehead and cheek, or read sebum.";
            return new OilyOrThirsty(Answer.CANNOT_TELL, Because.house(asked + "Not to be told yet. " + needs));
        }
        boolean oily = type.bandT() == Band.OILY || type.bandU() == Band.OILY;
        boolean thirsty = water.dehydrated();
        Answer answer = oily ? (thirsty ? Answer.BOTH : Answer.OILY) : thirsty ? Answer.THIRSTY : Answer.NEITHER;
        String sentence = switch (answer) {
            case BOTH -> "Oily and thirsty at once: the shine is oil, the tightness is missing water.";
            case OILY -> "Oily: there is oil, and water enough.";
            case THIRSTY ->
                "Only thirsty: oil is not high, water is short. Skin that misses water can shine; washing harder makes it worse.";
            case NEITHER -> "Neither: oil is not high and water is enough.";
            case NOT_ASKED, CANNOT_TELL -> throw new IllegalStateException("told above");
        };
        return new OilyOrThirsty(
                answer,
                Because.house("%s%s Type %s, water %s."
                        .formatted(
                                asked,
                                sentence,
                                type.words(),
                                water.water().map(w -> n(w) + " of 100").orElse("as set by hand"))));
    }
}

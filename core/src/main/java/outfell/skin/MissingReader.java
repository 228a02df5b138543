package outfell.skin;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.skin.SkinVerdict.Missing;
import outfell.skin.SkinVerdict.Missing.Where;

/** What is not known yet and would settle a verdict, cheapest first. */
final class MissingReader {
    private static final Row SECONDS = KnowledgeFile.yaml("skin.yaml").row("missing");
    private static final int QUESTION_SECONDS = SECONDS.whole("question", 1, 600);
    private static final int PROBE_SECONDS = SECONDS.whole("probe", 1, 600);

    private MissingReader() {}

    /** @param setAside whether redness was set aside because sight alone does not tell it on dark skin */
    static List<Missing> find(
            SkinReading reading, Map<Zone, Axis.Point> oil, Map<Zone, Axis.Point> water, boolean setAside) {
        List<Ranked> all = new ArrayList<>();
        if (Axis.oilT(oil).isEmpty()) {
            all.add(sign(Rank.TYPE, "Shine on the forehead", Sign.SHINE, "tells the T-zone, and with it the type"));
        }
        if (Axis.u(oil).isEmpty()) {
            all.add(sign(Rank.TYPE, "Shine on a cheek", Sign.SHINE, "tells the cheeks, and with them the type"));
        }
        if (setAside) {
            all.add(
                    sign(
                            Rank.VERDICT,
                            "Redness by warmth and touch",
                            Sign.REDNESS,
                            "settles redness: none to the eye is no finding on dark skin; feel for heat, look for a violet or grey-brown tint"));
        }
        for (Sign sign : Sign.values()) {
            String settles = settles(sign);
            if (reading.grades(sign).isEmpty() && !settles.isEmpty() && !(setAside && sign == Sign.REDNESS)) {
                all.add(sign(
                        mayBeAConcern(sign) ? Rank.CONCERN : Rank.VERDICT,
                        Signs.of(sign).label(),
                        sign,
                        settles));
            }
        }
        History h = reading.history();
        ask(all, h.flush().isEmpty(), "How often the face flushes", "counts for sensitivity");
        ask(all, h.reactions().isEmpty(), "Reactions this year", "counts for sensitivity");
        ask(all, h.burns().isEmpty(), "What the sun does", "tells the phototype");
        repeat(all, oil, "Sebum again", "settles the type where eye and probe part");
        repeat(all, water, "Hydration again", "settles water where signs and probe part");
        return all.stream()
                .sorted(Comparator.comparing(Ranked::rank)
                        .thenComparingInt(r -> r.missing().seconds()))
                .map(Ranked::missing)
                .toList();
    }

    /** What tells the type comes before what tells another verdict, and that before what may only be a concern. */
    private enum Rank {
        TYPE,
        VERDICT,
        CONCERN
    }

    private record Ranked(Rank rank, Missing missing) {}

    private static Ranked sign(Rank rank, String what, Sign sign, String settles) {
        return new Ranked(
                rank,
                new Missing(what, Where.SIGN, Optional.of(sign), Signs.of(sign).seconds(), settles));
    }

    private static void ask(List<Ranked> all, boolean open, String what, String settles) {
        if (open) {
            all.add(new Ranked(
                    Rank.VERDICT, new Missing(what, Where.TALK, Optional.empty(), QUESTION_SECONDS, settles)));
        }
    }

    private static void repeat(List<Ranked> all, Map<Zone, Axis.Point> points, String what, String settles) {
        if (points.values().stream().anyMatch(Axis.Point::open)) {
            all.add(new Ranked(Rank.VERDICT, new Missing(what, Where.PROBE, Optional.empty(), PROBE_SECONDS, settles)));
        }
    }

    private static boolean mayBeAConcern(Sign sign) {
        return switch (sign) {
            case CONGESTION, SPOTS, PIGMENT, LINES -> true;
            default -> false;
        };
    }

    private static String settles(Sign sign) {
        return switch (sign) {
            case TIGHTNESS -> "tells thirst from oil, and how the barrier fares";
            case STING -> "tells a sensitive skin and a strained barrier";
            case REDNESS -> "counts for the barrier and for sensitivity";
            case FLAKING -> "counts for the barrier and for water";
            case CONGESTION, SPOTS, PIGMENT, LINES -> "may be a concern to work on";
            case SHINE,
                    DEHYDRATION_LINES,
                    PORES,
                    ROUGHNESS,
                    DARKNESS,
                    PUFFINESS,
                    MILIA,
                    CHAPPING,
                    DULLNESS,
                    AFTER_MARKS,
                    SHAVING_BUMPS -> "";
        };
    }
}

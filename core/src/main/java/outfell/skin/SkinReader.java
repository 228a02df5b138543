package outfell.skin;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.skin.SkinVerdict.Missing;
import outfell.skin.SkinVerdict.Sensitivity;
import outfell.skin.SkinVerdict.SensitivityBand;
import outfell.skin.SkinVerdict.Water;
import outfell.skin.SkinVerdict.WaterState;
import outfell.skin.SkinVerdict.ZoneType;

/** Turns a reading into verdicts. Pure; the same reading gives the same verdict. */
public final class SkinReader {
    /** T-zone and cheeks part into a combination from this many points of oil; house judgement. */
    private static final double PARTED = 20;

    private SkinReader() {}

    /**
     * @param lifted concerns that matter to the client, each weighed one and a half times
     */
    public static SkinVerdict read(SkinReading reading, Set<Concern> lifted) {
        Map<Zone, Axis.Point> oil = Axis.oil(reading);
        Map<Zone, Axis.Point> water = Axis.water(reading);
        TypeVerdict type = type(oil);
        Water waterVerdict = water(reading, oil, water);
        SkinVerdict.Barrier barrier = BarrierReader.read(reading);
        return new SkinVerdict(
                type,
                zones(reading, oil),
                waterVerdict,
                sensitivity(reading),
                barrier,
                ConcernRanker.rank(reading, water, barrier, lifted),
                contradictions(reading, oil, water),
                missing(reading, oil));
    }

    private static TypeVerdict type(Map<Zone, Axis.Point> oil) {
        OptionalDouble t = Axis.oilT(oil);
        OptionalDouble u = Axis.u(oil);
        if (t.isPresent() && u.isPresent()) {
            return told(t.getAsDouble(), u.getAsDouble(), oil);
        }
        if (t.isPresent()) {
            return provisional(t.getAsDouble(), "Only the T-zone is read; shine on a cheek would settle it.");
        }
        if (u.isPresent()) {
            return provisional(u.getAsDouble(), "Only the cheeks are read; shine on the forehead would settle it.");
        }
        return new TypeVerdict.NotYet(
                Because.house("Too little is read: shine on the forehead and on one cheek tells the type."));
    }

    private static TypeVerdict provisional(double value, String sentence) {
        return new TypeVerdict.Provisional(Band.of(value), value, Because.house(sentence));
    }

    private static TypeVerdict told(double t, double u, Map<Zone, Axis.Point> oil) {
        double apart = Axis.tenth(t - u);
        Band bandT = Band.of(t);
        Band bandU = Band.of(u);
        boolean combination = apart >= PARTED && bandT != bandU;
        Band overall = Band.of(Axis.tenth((t + u) / 2));
        String sentence = combination
                ? "T-zone oil %s against %s on the cheeks: %s apart, and 20 make two bands."
                        .formatted(n(t), n(u), n(apart))
                : "Oil %s on the T-zone and %s on the cheeks: under 35 is dry, over 65 oily.".formatted(n(t), n(u));
        return new TypeVerdict.Told(
                bandT,
                bandU,
                overall,
                combination,
                t,
                u,
                flags(apart, oil),
                confidence(oil),
                new Because(sentence, Evidence.PROPOSED, "youn-2005"));
    }

    private static List<String> flags(double apart, Map<Zone, Axis.Point> oil) {
        List<String> flags = new ArrayList<>();
        if (apart <= -PARTED) {
            flags.add("The cheeks are oilier than the T-zone: a reversed pattern, look again.");
        }
        if (over(oil, Zone.NOSE) && under(oil, Zone.FOREHEAD) && under(oil, Zone.CHIN)) {
            flags.add("Only the nose is oily; the type stays.");
        }
        return List.copyOf(flags);
    }

    private static boolean over(Map<Zone, Axis.Point> oil, Zone zone) {
        return oil.containsKey(zone) && oil.get(zone).value() > 65;
    }

    private static boolean under(Map<Zone, Axis.Point> oil, Zone zone) {
        return oil.containsKey(zone) && oil.get(zone).value() < 35;
    }

    private static Confidence confidence(Map<Zone, Axis.Point> oil) {
        if (oil.values().stream().anyMatch(Axis.Point::conflict)) {
            return Confidence.LOW;
        }
        long both = oil.values().stream().filter(p -> p.sources() == 2).count();
        return both >= 3 ? Confidence.HIGH : Confidence.MEDIUM;
    }

    private static List<ZoneType> zones(SkinReading reading, Map<Zone, Axis.Point> oil) {
        return oil.entrySet().stream()
                .map(e -> new ZoneType(
                        e.getKey(),
                        Band.of(Axis.tenth(e.getValue().value())),
                        Axis.tenth(e.getValue().value()),
                        Because.house(zoneSentence(reading, e.getKey(), e.getValue()))))
                .toList();
    }

    private static String zoneSentence(SkinReading reading, Zone zone, Axis.Point point) {
        List<String> facts = new ArrayList<>();
        reading.grade(zone, Sign.SHINE).ifPresent(g -> facts.add("shine " + g));
        reading.measured(zone, ProbeReading.Quantity.SEBUM)
                .ifPresent(s -> facts.add("sebum %s µg/cm²".formatted(n(s))));
        return "%s on the %s puts oil at %s."
                .formatted(capital(String.join(" and ", facts)), zone.words(), n(Axis.tenth(point.value())));
    }

    private static Water water(SkinReading reading, Map<Zone, Axis.Point> oil, Map<Zone, Axis.Point> water) {
        OptionalDouble t = Axis.t(water);
        OptionalDouble u = Axis.u(water);
        if (t.isEmpty() && u.isEmpty()) {
            return new Water(
                    WaterState.NOT_YET,
                    -1,
                    Because.house("Tightness after washing, or flaking, would tell whether water is short."));
        }
        double drier = Math.min(t.orElse(100), u.orElse(100));
        WaterState state = waterState(drier);
        return new Water(state, drier, waterBecause(reading, oil, drier, state));
    }

    private static WaterState waterState(double w) {
        if (w >= 60) {
            return WaterState.HYDRATED;
        }
        return w >= 45 ? WaterState.SLIGHTLY_DEHYDRATED : w >= 30 ? WaterState.DEHYDRATED : WaterState.VERY_DEHYDRATED;
    }

    private static Because waterBecause(SkinReading reading, Map<Zone, Axis.Point> oil, double w, WaterState state) {
        List<String> facts = new ArrayList<>();
        for (Sign sign : List.of(Sign.TIGHTNESS, Sign.FLAKING, Sign.DEHYDRATION_LINES)) {
            reading.worst(sign)
                    .filter(e -> e.getValue() > 0)
                    .ifPresent(e -> facts.add("%s %d on the %s"
                            .formatted(
                                    Signs.of(sign).label().toLowerCase(Locale.ROOT),
                                    e.getValue(),
                                    e.getKey().words())));
        }
        reading.probe().stream()
                .filter(p -> p.quantity() == ProbeReading.Quantity.HYDRATION)
                .min((a, b) -> Double.compare(a.value(), b.value()))
                .ifPresent(p -> facts.add("hydration %s on the %s"
                        .formatted(n(p.value()), p.zone().words())));
        boolean oily = oil.values().stream().filter(p -> p.value() > 65).count() >= 2;
        String oilyOrThirsty = oily && state != WaterState.HYDRATED
                ? " Oily and thirsty at once: the shine is oil, the tightness is missing water."
                : state != WaterState.HYDRATED ? " A condition, not a type: it can pass." : "";
        String found = facts.isEmpty() ? "No tightness and no flaking" : capital(String.join(", ", facts));
        return new Because(
                "%s: water %s of 100.%s".formatted(found, n(w), oilyOrThirsty), Evidence.PROPOSED, "heinrich-2003");
    }

    /**
     * S = 100 · (10 · sting + 5 · redness + 5 · flush + 5 · min(reactions, 4)) / most that the answered items allow (40,
     * 20, 20, 20); needs 60 answered.
     */
    private static Sensitivity sensitivity(SkinReading reading) {
        OptionalInt sting = worstGrade(reading, Sign.STING);
        OptionalInt redness = worstGrade(reading, Sign.REDNESS);
        int answered = (sting.isPresent() ? 40 : 0)
                + (redness.isPresent() ? 20 : 0)
                + (reading.flush().isPresent() ? 20 : 0)
                + (reading.reactions().isPresent() ? 20 : 0);
        boolean override = sting.orElse(0) >= 2 || redness.orElse(0) >= 3;
        if (answered < 60) {
            return new Sensitivity(SensitivityBand.NOT_YET, -1, override, sensitivityBecause(reading, -1, override));
        }
        double score = Axis.tenth(100.0
                * (10 * sting.orElse(0)
                        + 5 * redness.orElse(0)
                        + 5 * reading.flush().orElse(0)
                        + 5 * Math.min(4, reading.reactions().orElse(0)))
                / answered);
        SensitivityBand band = score < 25
                ? SensitivityBand.TOLERANT
                : score < 45 ? SensitivityBand.REACTIVE_TENDENCY : SensitivityBand.SENSITIVE;
        boolean treat = override || band == SensitivityBand.SENSITIVE;
        return new Sensitivity(band, score, treat, sensitivityBecause(reading, score, override));
    }

    private static Because sensitivityBecause(SkinReading reading, double score, boolean override) {
        List<String> facts = new ArrayList<>();
        worstGrade(reading, Sign.STING).ifPresent(g -> facts.add("sting " + g));
        worstGrade(reading, Sign.REDNESS).ifPresent(g -> facts.add("redness " + g));
        reading.flush().ifPresent(f -> facts.add("flushing " + f));
        reading.reactions().ifPresent(r -> facts.add(r == 1 ? "1 reaction this year" : r + " reactions this year"));
        String found = facts.isEmpty() ? "Nothing asked yet" : capital(String.join(", ", facts));
        String end = score < 0 ? "too little to score" : "score %s, sensitive from 45".formatted(n(score));
        String treat = override ? " A sting of 2 or redness of 3 is treated as sensitive until shown otherwise." : "";
        return new Because("%s: %s.%s".formatted(found, end, treat), Evidence.PROPOSED, "misery-2017");
    }

    private static List<Because> contradictions(
            SkinReading reading, Map<Zone, Axis.Point> oil, Map<Zone, Axis.Point> water) {
        List<Because> all = new ArrayList<>();
        oil.forEach((zone, p) -> {
            if (p.conflict()) {
                all.add(Because.house(
                        "Eye and probe part on the %s: shine %d says oil %s, sebum says %s. Read again three hours after washing."
                                .formatted(
                                        zone.words(),
                                        reading.grade(zone, Sign.SHINE).orElse(0),
                                        n(p.eye()),
                                        n(p.probe()))));
            }
        });
        water.forEach((zone, p) -> {
            if (p.conflict()) {
                all.add(Because.house(
                        "Eye and probe part on the %s: the signs say water %s, the probe says %s. Read again."
                                .formatted(zone.words(), n(p.eye()), n(p.probe()))));
            }
        });
        return List.copyOf(all);
    }

    private static List<Missing> missing(SkinReading reading, Map<Zone, Axis.Point> oil) {
        List<Missing> all = new ArrayList<>();
        if (Axis.oilT(oil).isEmpty()) {
            all.add(new Missing("Shine on the forehead", Sign.SHINE, "tells the T-zone, and with it the type"));
        }
        if (Axis.u(oil).isEmpty()) {
            all.add(new Missing("Shine on a cheek", Sign.SHINE, "tells the cheeks, and with them the type"));
        }
        for (Sign sign : Sign.values()) {
            String settles = settles(sign);
            if (reading.grades(sign).isEmpty() && !settles.isEmpty()) {
                all.add(new Missing(Signs.of(sign).label(), sign, settles));
            }
        }
        return List.copyOf(all);
    }

    private static String settles(Sign sign) {
        return switch (sign) {
            case TIGHTNESS -> "tells thirst from oil, and how the barrier fares";
            case STING -> "tells a sensitive skin and a strained barrier";
            case REDNESS -> "counts for the barrier and for sensitivity";
            case FLAKING -> "counts for the barrier and for water";
            case CONGESTION, SPOTS, PIGMENT, LINES -> "may be a concern to work on";
            case SHINE, DEHYDRATION_LINES, PORES, ROUGHNESS, DARKNESS, PUFFINESS, CHAPPING -> "";
        };
    }

    static OptionalInt worstGrade(SkinReading reading, Sign sign) {
        return reading.worst(sign).map(e -> OptionalInt.of(e.getValue())).orElse(OptionalInt.empty());
    }

    /** A figure as a therapist writes it: no needless decimals. */
    static String n(double x) {
        return x == Math.rint(x) ? "%.0f".formatted(x) : String.format(Locale.ROOT, "%.1f", x);
    }

    static String capital(String text) {
        return text.isEmpty() ? text : Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }

    static String zoneList(Iterable<Zone> zones) {
        Set<String> words = new LinkedHashSet<>();
        zones.forEach(z -> words.add(z.words()));
        return words.stream().collect(Collectors.joining(", "));
    }
}

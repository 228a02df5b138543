package outfell.skin;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import outfell.knowledge.Because;
import outfell.skin.SkinVerdict.Phototype;
import outfell.skin.SkinVerdict.SetByHand;
import outfell.skin.SkinVerdict.Water;

/** Turns a reading into verdicts. Pure; the same reading gives the same verdict. */
public final class SkinReader {
    /** Grades by which left and right part. */
    private static final int LOPSIDED = 2;

    private SkinReader() {}

    /** By the bands that ship. */
    public static SkinVerdict read(SkinReading reading, Set<Concern> lifted) {
        return read(reading, lifted, ProbeBands.SHIPPED);
    }

    /**
     * @param lifted concerns that matter to the client, each weighed one and a half times
     * @param bands of the practice's probe
     */
    public static SkinVerdict read(SkinReading whole, Set<Concern> lifted, ProbeBands bands) {
        Phototype phototype = PhototypeReader.set(whole).orElseGet(() -> PhototypeReader.read(whole.history()));
        SkinReading reading = phototype.dark() ? withoutPaleRedness(whole) : whole;
        Map<Zone, Axis.Point> oil = Axis.oil(reading, bands);
        Map<Zone, Axis.Point> water = Axis.water(reading, bands);
        TypeVerdict computedType = TypeReader.read(oil);
        TypeVerdict type = TypeReader.set(reading, computedType).orElse(computedType);
        Water computedWater = WaterReader.read(reading, water);
        Water waterVerdict = WaterReader.set(reading, computedWater).orElse(computedWater);
        SkinVerdict.Barrier computedBarrier = BarrierReader.read(reading, bands);
        SkinVerdict.Barrier barrier =
                BarrierReader.set(reading, computedBarrier).orElse(computedBarrier);
        SkinVerdict.Sensitivity computedSensitivity = SensitivityReader.read(reading);
        SkinVerdict.Sensitivity sensitivity =
                SensitivityReader.set(reading, computedSensitivity).orElse(computedSensitivity);
        List<SetByHand> byHand = byHand(
                reading,
                Map.of(
                        ByHand.Verdict.TYPE, List.of(computedType.words(), type.words()),
                        ByHand.Verdict.WATER,
                                List.of(
                                        computedWater.state().words(),
                                        waterVerdict.state().words()),
                        ByHand.Verdict.BARRIER,
                                List.of(
                                        computedBarrier.state().words(),
                                        barrier.state().words()),
                        ByHand.Verdict.SENSITIVITY,
                                List.of(
                                        computedSensitivity.band().words(),
                                        sensitivity.band().words()),
                        ByHand.Verdict.PHOTOTYPE,
                                List.of(numeral(PhototypeReader.read(whole.history())), numeral(phototype))));
        return new SkinVerdict(
                type,
                TypeReader.zones(reading, oil),
                waterVerdict,
                sensitivity,
                barrier,
                ConcernRanker.rank(reading, water, barrier, lifted),
                phototype,
                WaterReader.oilyOrThirsty(reading, type, waterVerdict),
                swing(reading),
                Contradictions.find(reading, oil, water, computedType),
                asymmetries(reading),
                ProbeReader.lines(reading, bands),
                elsewhere(reading),
                byHand,
                MissingReader.find(reading, oil, water, reading != whole));
    }

    /** On dark skin redness is under-seen: none by sight alone is no finding, so it is set aside and asked for again. */
    private static SkinReading withoutPaleRedness(SkinReading reading) {
        List<Observation> kept = reading.observations().stream()
                .filter(o -> !(o.sign() == Sign.REDNESS && o.grade() == 0 && o.how() == How.SEEN))
                .toList();
        return kept.size() == reading.observations().size() ? reading : reading.seeing(kept);
    }

    private static List<SetByHand> byHand(SkinReading reading, Map<ByHand.Verdict, List<String>> words) {
        return reading.byHand().stream()
                .map(b -> new SetByHand(
                        b.verdict(),
                        words.getOrDefault(b.verdict(), List.of("", "")).get(0),
                        words.getOrDefault(b.verdict(), List.of("", "")).get(1),
                        b.who(),
                        b.why()))
                .toList();
    }

    private static String numeral(Phototype phototype) {
        return phototype.known() ? phototype.numeral() : "not known yet";
    }

    private static Optional<Because> swing(SkinReading reading) {
        return reading.history().swings()
                ? Optional.of(new Because(
                        "Oily in summer, dry in winter, the client says; the season plan reckons with it.",
                        outfell.knowledge.Evidence.SMALL,
                        "youn-2005"))
                : Optional.empty();
    }

    /** Left and right that part by two grades or more. */
    private static List<Because> asymmetries(SkinReading reading) {
        List<Because> all = new ArrayList<>();
        for (Sign sign : Sign.values()) {
            Map<Zone, Integer> grades = reading.grades(sign);
            Map<Zone, Integer> sides = new EnumMap<>(Zone.class);
            sides.putAll(grades);
            for (Zone right : List.of(Zone.CHEEK_R, Zone.EYE_R)) {
                Optional<Zone> left = right.otherSide().filter(sides::containsKey);
                if (left.isPresent() && sides.containsKey(right)) {
                    int r = sides.getOrDefault(right, 0);
                    int l = sides.getOrDefault(left.get(), 0);
                    if (Math.abs(r - l) >= LOPSIDED) {
                        all.add(Because.custom(
                                "Left and right part: %s is %d on the %s and %d on the %s. Ask for the side that is slept on, the telephone, the window or the wind at work."
                                        .formatted(
                                                Signs.of(sign).label().toLowerCase(Locale.ROOT),
                                                r,
                                                right.words(),
                                                l,
                                                left.get().words())));
                    }
                }
            }
        }
        return List.copyOf(all);
    }

    /** Scalp and hands: said, and left out of the face's verdicts. */
    private static List<Because> elsewhere(SkinReading reading) {
        return reading.observations().stream()
                .filter(o -> !o.zone().inRegimen() && o.grade() >= 2)
                .map(o -> Because.custom("%s %d on the %s: cared for apart, it does not count for the face."
                        .formatted(
                                Signs.of(o.sign()).label(), o.grade(), o.zone().words())))
                .toList();
    }

    static String setBy(String who, String why) {
        return "Set by %s: %s".formatted(who, why);
    }

    /** A figure as a therapist writes it: no needless decimals. */
    static String n(double x) {
        return x == Math.rint(x) ? "%.0f".formatted(x) : String.format(Locale.ROOT, "%.1f", x);
    }

    /** Grades with what they are of: "sting 2", "sting 2, redness 1, each", of 4. */
    static String ofFour(List<String> grades) {
        return String.join(", ", grades) + (grades.size() == 1 ? " of 4" : ", each of 4");
    }

    static String zoneList(Iterable<Zone> zones) {
        Set<String> words = new LinkedHashSet<>();
        zones.forEach(z -> words.add(z.words()));
        return words.stream().collect(Collectors.joining(", "));
    }
}

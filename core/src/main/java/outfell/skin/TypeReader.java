package outfell.skin;

import static outfell.skin.SkinReader.n;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.lang3.StringUtils;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.skin.SkinVerdict.ZoneType;

/** Type per zone and overall, from the oil axis alone. */
final class TypeReader {
    /** T-zone and cheeks part into a combination from this many points of oil. */
    private static final double PARTED = Band.TYPE.number("parted-from", 0, 100);

    private TypeReader() {}

    static TypeVerdict read(Map<Zone, Axis.Point> oil) {
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
                ? "T-zone oil %s of 100 against %s on the cheeks: %s apart, and %s make two bands."
                        .formatted(n(t), n(u), n(apart), n(PARTED))
                : "Oil %s of 100 on the T-zone and %s on the cheeks: under %s is dry, over %s oily."
                        .formatted(n(t), n(u), n(Band.DRY_UNDER), n(Band.OILY_OVER));
        return new TypeVerdict.Told(
                bandT,
                bandU,
                overall,
                combination,
                t,
                u,
                flags(apart, oil),
                Axis.confidence(oil),
                Band.TYPE.because(sentence));
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
        return oil.containsKey(zone) && oil.get(zone).value() > Band.OILY_OVER;
    }

    private static boolean under(Map<Zone, Axis.Point> oil, Zone zone) {
        return oil.containsKey(zone) && oil.get(zone).value() < Band.DRY_UNDER;
    }

    /** What the therapist has set, by hand or by keeping the client's word. */
    static Optional<TypeVerdict> set(SkinReading reading, TypeVerdict computed) {
        Optional<TypeVerdict> byHand = reading.byHand(ByHand.Verdict.TYPE).map(b -> set(b.value(), b.who(), b.why()));
        return byHand.or(() -> reading.settled(Contradictions.WORD)
                .filter(s -> s.keeps() == Settlement.Side.WORD)
                .flatMap(s -> reading.history().says().map(says -> set(word(says, computed), s.who(), s.why()))));
    }

    private static String word(History.Says says, TypeVerdict computed) {
        return says == History.Says.COMBINATION ? "OILY-" + notOily(computed.bandU()) : says.name();
    }

    private static Band notOily(Band band) {
        return band == Band.OILY ? Band.NORMAL : band;
    }

    private static TypeVerdict set(String value, String who, String why) {
        String[] bands = value.split("-", 2);
        try {
            Band t = Band.valueOf(bands[0]);
            Band u = bands.length == 2 ? Band.valueOf(bands[1]) : t;
            return new TypeVerdict.SetByTherapist(
                    t, u, new Because(SkinReader.setBy(who, why), Evidence.CONVENTION, "custom"));
        } catch (IllegalArgumentException unknown) {
            throw new IllegalArgumentException(
                    "A type cannot be \"%s\"; it is DRY, NORMAL or OILY, or two of them as OILY-DRY.".formatted(value),
                    unknown);
        }
    }

    static List<ZoneType> zones(SkinReading reading, Map<Zone, Axis.Point> oil) {
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
        reading.grade(zone, Sign.SHINE).ifPresent(g -> facts.add("shine " + g + " of 4"));
        reading.measured(zone, ProbeReading.Quantity.SEBUM)
                .filter(p -> reading.weight(p) > 0)
                .ifPresent(p -> facts.add("sebum %s µg/cm²".formatted(n(p.median()))));
        return "%s on the %s puts oil at %s of 100."
                .formatted(
                        StringUtils.capitalize(String.join(" and ", facts)),
                        zone.words(),
                        n(Axis.tenth(point.value())));
    }
}

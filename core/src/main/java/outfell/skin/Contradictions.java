package outfell.skin;

import static outfell.skin.SkinReader.n;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.skin.Contradiction.Saying;
import outfell.skin.Settlement.Side;

/** Where eye, probe and the client's word part. */
final class Contradictions {
    /** The client's word against the reading. */
    static final String WORD = "TYPE:WORD";

    private static final String SUN = "PHOTOTYPE:WORD";
    private static final Row PHOTOTYPE = KnowledgeFile.yaml("skin.yaml").row("phototype");
    private static final int PARTED_BY = PHOTOTYPE.whole("parted-by", 1, 5);

    private Contradictions() {}

    static List<Contradiction> find(
            SkinReading reading, Map<Zone, Axis.Point> oil, Map<Zone, Axis.Point> water, TypeVerdict computed) {
        List<Contradiction> all = new ArrayList<>();
        oil.forEach((zone, p) -> {
            if (p.conflict()) {
                all.add(apart(
                        reading,
                        Axis.Of.OIL.id(zone),
                        "shine %d says oil %s"
                                .formatted(reading.grade(zone, Sign.SHINE).orElse(0), n(Axis.tenth(p.eye()))),
                        "sebum says oil %s".formatted(n(Axis.tenth(p.probe()))),
                        "Eye and probe part on the %s. Read again three hours after washing, or keep one."
                                .formatted(zone.words())));
            }
        });
        water.forEach((zone, p) -> {
            if (p.conflict()) {
                all.add(apart(
                        reading,
                        Axis.Of.WATER.id(zone),
                        "tightness and flaking say water %s".formatted(n(Axis.tenth(p.eye()))),
                        "hydration says water %s".formatted(n(Axis.tenth(p.probe()))),
                        "Signs and probe part on the %s. Read again, or keep one.".formatted(zone.words())));
            }
        });
        word(reading, computed).ifPresent(all::add);
        sun(reading).ifPresent(all::add);
        return List.copyOf(all);
    }

    private static Contradiction apart(SkinReading reading, String id, String eye, String probe, String sentence) {
        return new Contradiction(
                id,
                List.of(new Saying(Side.EYE, eye), new Saying(Side.PROBE, probe)),
                Because.house(sentence),
                reading.settled(id));
    }

    private static Optional<Contradiction> word(SkinReading reading, TypeVerdict computed) {
        if (reading.history().says().isEmpty() || computed instanceof TypeVerdict.NotYet) {
            return Optional.empty();
        }
        History.Says says = reading.history().says().get();
        boolean agrees = switch (says) {
            case DRY -> computed.bandU() == Band.DRY;
            case NORMAL -> computed.bandT() == Band.NORMAL && computed.bandU() == Band.NORMAL;
            case OILY -> computed.bandT() == Band.OILY;
            case COMBINATION -> computed.combination();
        };
        return agrees
                ? Optional.empty()
                : Optional.of(new Contradiction(
                        WORD,
                        List.of(
                                new Saying(
                                        Side.WORD,
                                        "the client says " + says.name().toLowerCase()),
                                new Saying(Side.READING, "the reading says " + computed.words())),
                        new Because(
                                "The client's word and the reading part. People often misjudge their type.",
                                outfell.knowledge.Evidence.SMALL,
                                "youn-2005"),
                        reading.settled(WORD)));
    }

    private static Optional<Contradiction> sun(SkinReading reading) {
        History h = reading.history();
        if (h.burns().isEmpty()
                || h.tans().isEmpty()
                || Math.abs(h.burns().getAsInt() - h.tans().getAsInt()) < PARTED_BY) {
            return Optional.empty();
        }
        List<PhototypeReader.SunClass> classes = PhototypeReader.classes();
        return Optional.of(new Contradiction(
                SUN,
                List.of(
                        new Saying(
                                Side.WORD,
                                "of burning: "
                                        + classes.get(h.burns().getAsInt() - 1).burns()),
                        new Saying(
                                Side.READING,
                                "of tanning: "
                                        + classes.get(h.tans().getAsInt() - 1).tans())),
                PHOTOTYPE.because("Burning and tanning part. Ask again, in the words of a first sunny day."),
                reading.settled(SUN)));
    }
}

package outfell.skin;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.apache.commons.lang3.StringUtils;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.skin.SkinVerdict.Phototype;

/** The phototype from what the client says of burning and tanning; the classes stand in phototypes.yaml. */
public final class PhototypeReader {
    /**
     * One class.
     *
     * @param burns in words, for the first half hour of midday summer sun
     * @param tans in words
     * @param medLow least dose that reddens, J/m² erythemal, low end of the range
     * @param medHigh high end
     * @param med a middle figure, never a personal dose
     */
    public record SunClass(
            int type,
            String numeral,
            String burns,
            String tans,
            double medLow,
            double medHigh,
            double med,
            Because because) {}

    private static final List<SunClass> CLASSES =
            Row.unique(KnowledgeFile.yaml("phototypes.yaml").rows("phototypes"), PhototypeReader::row, SunClass::type);

    private PhototypeReader() {}

    /** I to VI. */
    public static List<SunClass> classes() {
        return CLASSES;
    }

    /** Burning and tanning agree: that class. They part: the one that burns sooner. */
    static Phototype read(History history) {
        OptionalInt burns = history.burns();
        OptionalInt tans = history.tans();
        if (burns.isEmpty() && tans.isEmpty()) {
            return new Phototype(
                    0,
                    "",
                    Confidence.LOW,
                    Because.house(
                            "Ask what the first half hour of midday summer sun does: does it burn, does it tan?"));
        }
        int type = Math.min(burns.orElse(6), tans.orElse(6));
        SunClass c = CLASSES.get(type - 1);
        Confidence sure = burns.isEmpty() || tans.isEmpty()
                ? Confidence.LOW
                : Math.abs(burns.getAsInt() - tans.getAsInt()) <= 1 ? Confidence.MEDIUM : Confidence.LOW;
        String said = "%s, %s"
                .formatted(
                        burns.isPresent() ? CLASSES.get(burns.getAsInt() - 1).burns() : "burning not asked",
                        tans.isPresent() ? CLASSES.get(tans.getAsInt() - 1).tans() : "tanning not asked");
        String careful = burns.isPresent() && tans.isPresent() && burns.getAsInt() != tans.getAsInt()
                ? " The two answers part, so the one that burns sooner stands."
                : "";
        return new Phototype(
                type,
                c.numeral(),
                sure,
                c.because()
                        .withSentence("%s.%s Sunscreen every morning, whatever the phototype."
                                .formatted(StringUtils.capitalize(said), careful)));
    }

    /** What the therapist has set. */
    static Optional<Phototype> set(SkinReading reading) {
        return reading.byHand(ByHand.Verdict.PHOTOTYPE).map(b -> {
            if (!b.value().matches("[1-6]")) {
                throw new IllegalArgumentException("A phototype is 1 to 6, not \"%s\".".formatted(b.value()));
            }
            SunClass c = CLASSES.get(Integer.parseInt(b.value()) - 1);
            return new Phototype(
                    c.type(), c.numeral(), Confidence.MEDIUM, Because.custom(SkinReader.setBy(b.who(), b.why())));
        });
    }

    private static SunClass row(Row row) {
        return new SunClass(
                row.whole("id", 1, 6),
                row.text("numeral"),
                row.text("burns"),
                row.text("tans"),
                row.number("med-low", 50, 5000),
                row.number("med-high", 50, 5000),
                row.number("med", 50, 5000),
                row.because(row.text("numeral")));
    }
}

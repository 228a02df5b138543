package outfell.routine;

import java.util.EnumMap;
import java.util.Map;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** A place of the body that a step may go on; its size is in amounts.yaml. */
public enum Coverage {
    FACE,
    T_ZONE,
    CHEEKS,
    CHIN_AND_JAW,
    DRY_PLACES,
    MARKS,
    SPOTS,
    EYE_AREA,
    LIPS,
    BEARD,
    EARS,
    NECK,
    NECK_BACK,
    CHEST,
    PARTING,
    HANDS,
    BODY;

    /**
     * What is known of one.
     *
     * @param words among others, "chest"
     * @param alone where nothing else is covered, "neck only"
     * @param cm2 of an adult whose height and weight are not known
     * @param seconds that it takes more, where it is not covered by custom
     */
    private record Known(Coverage id, String words, String alone, double cm2, int seconds) {
        static Known read(Row row) {
            row.because("cm2");
            String words = row.text("words");
            return new Known(
                    row.one("id", Coverage.class),
                    words,
                    row.text("alone", words),
                    row.number("cm2", 1, 20_000),
                    row.whole("seconds", 0, 60));
        }
    }

    private static final Map<Coverage, Known> KNOWN = new EnumMap<>(Coverage.class);

    static {
        Row.unique(KnowledgeFile.yaml("amounts.yaml").rows("coverages"), Known::read, Known::id)
                .forEach(k -> KNOWN.put(k.id(), k));
    }

    private Known known() {
        Known known = KNOWN.get(this);
        if (known == null) {
            throw new IllegalStateException("amounts.yaml has no coverage " + this);
        }
        return known;
    }

    /** "T-zone", "chest". */
    public String words() {
        return known().words();
    }

    /** The same where nothing else is covered: "marks only". */
    public String alone() {
        return known().alone();
    }

    /** Of an adult whose height and weight are not known. */
    public double cm2() {
        return known().cm2();
    }

    /** Seconds more, where it is not covered by custom. */
    public int seconds() {
        return known().seconds();
    }

    /** Whether it is a part of the face. */
    public boolean onTheFace() {
        return compareTo(EYE_AREA) <= 0;
    }
}

package outfell.skin;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** The signs with their zones and descriptors, from signs.yaml. */
public final class Signs {
    /**
     * @param label as shown
     * @param how how it is usually known
     * @param zones where it is read
     * @param grades five descriptors, grade 0 first
     * @param concern what it counts towards, if anything
     * @param countsFrom lowest grade that counts towards the concern
     * @param because evidence and source of the scale
     */
    public record Scale(
            Sign sign,
            String label,
            How how,
            List<Zone> zones,
            List<String> grades,
            Optional<Concern> concern,
            int countsFrom,
            Because because) {
        String zoneWords() {
            return zones.stream().map(Zone::words).collect(Collectors.joining(", "));
        }
    }

    private static final List<Scale> ALL =
            Row.unique(KnowledgeFile.yaml("signs.yaml").rows("signs"), Signs::read, Scale::sign);
    private static final Map<Sign, Scale> BY_SIGN = bySign();

    private Signs() {}

    /** In the order in which they are read. */
    public static List<Scale> all() {
        return ALL;
    }

    public static Scale of(Sign sign) {
        return Objects.requireNonNull(BY_SIGN.get(sign));
    }

    private static Map<Sign, Scale> bySign() {
        Map<Sign, Scale> map = new EnumMap<>(Sign.class);
        ALL.forEach(s -> map.put(s.sign(), s));
        for (Sign sign : Sign.values()) {
            if (!map.containsKey(sign)) {
                throw new IllegalStateException("signs.yaml has no row for " + sign);
            }
        }
        return map;
    }

    private static Scale read(Row row) {
        List<String> grades = row.texts("grades");
        if (grades.size() != 5) {
            throw row.fault("a sign has five descriptors, this one has " + grades.size());
        }
        Optional<Concern> concern =
                row.has("concern") ? Optional.of(row.one("concern", Concern.class)) : Optional.empty();
        return new Scale(
                row.one("id", Sign.class),
                row.text("label"),
                row.one("how", How.class),
                row.several("zones", Zone.class),
                grades,
                concern,
                (int) row.number("counts-from", 1),
                row.because(row.text("label") + " is graded by descriptor."));
    }
}

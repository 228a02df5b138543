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
     * @param seconds that it takes to grade
     * @param looks how to look at some people
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
            int seconds,
            List<Look> looks,
            Because because) {
        String zoneWords() {
            return zones.stream().map(Zone::words).collect(Collectors.joining(", "));
        }
    }

    /** Whose skin is looked at in its own way. */
    public enum Who {
        DARK,
        MATURE,
        ADOLESCENT,
        BEARD;

        private static final Row LOOKS = KnowledgeFile.yaml("skin.yaml").row("looks");
        private static final int MATURE_FROM = LOOKS.whole("mature-from", 1, 120);
        private static final int ADOLESCENT_UNDER = LOOKS.whole("adolescent-under", 1, 120);

        boolean fits(SkinVerdict.Phototype phototype, History history) {
            return switch (this) {
                case DARK -> phototype.dark();
                case MATURE -> history.age().orElse(0) >= MATURE_FROM;
                case ADOLESCENT -> history.age().isPresent() && history.age().getAsInt() < ADOLESCENT_UNDER;
                case BEARD -> history.beard();
            };
        }
    }

    /** How to look at a sign on such a person. */
    public record Look(Who who, String text) {}

    /** How to look at this person's signs. */
    public record Hint(Sign sign, String text) {}

    /** The hints that fit, in the order of the signs. */
    public static List<Hint> hints(SkinVerdict.Phototype phototype, History history) {
        return ALL.stream()
                .flatMap(s -> s.looks().stream()
                        .filter(l -> l.who().fits(phototype, history))
                        .map(l -> new Hint(s.sign(), l.text())))
                .toList();
    }

    private static Look look(Row row) {
        Look look = new Look(row.one("who", Who.class), row.text("text"));
        row.done();
        return look;
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
                row.whole("seconds", 1, 300),
                row.rows("look").stream().map(Signs::look).toList(),
                row.because(row.text("label") + " is graded by descriptor."));
    }
}

package outfell.regimen;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.method.Method;
import outfell.skin.Concern;

/** How long a plan is held before something is changed in it, from hold.yaml. */
final class Holding {
    private static final Row FILE = KnowledgeFile.yaml("hold.yaml");
    private static final Map<Concern, Integer> WEEKS = weeksByConcern();
    private static final int CUSTOM = FILE.whole("weeks", 1, 52);

    private record OfConcern(Concern concern, int weeks) {}

    private Holding() {}

    /** Words for the sheet. */
    static String words(Method method, Optional<Concern> first) {
        boolean verdict = method.hold() == Method.Hold.VERDICT_DUE && first.isPresent();
        return verdict
                ? "change nothing for %d weeks: sooner, what it does for %s cannot be judged."
                        .formatted(weeks(first.get()), first.get().words())
                : "change nothing for %d weeks; then we look again together.".formatted(CUSTOM);
    }

    /** Weeks after which what is done for a concern can first be judged. */
    static int weeks(Concern concern) {
        return Objects.requireNonNull(WEEKS.get(concern), () -> "hold.yaml has no row for " + concern);
    }

    private static Map<Concern, Integer> weeksByConcern() {
        Map<Concern, Integer> weeks = new EnumMap<>(Concern.class);
        Row.unique(FILE.rows("concerns"), Holding::read, OfConcern::concern)
                .forEach(o -> weeks.put(o.concern(), o.weeks()));
        return weeks;
    }

    private static OfConcern read(Row row) {
        row.because("hold");
        return new OfConcern(row.one("concern", Concern.class), row.whole("weeks", 1, 52));
    }
}

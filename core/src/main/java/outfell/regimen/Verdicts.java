package outfell.regimen;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.skin.Concern;

/** When a plan may be judged by what it does for a concern, and by what, from verdicts.yaml. */
public final class Verdicts {
    /**
     * @param first weeks to the earliest sign
     * @param fair weeks until a verdict is fair
     * @param look what to look at
     */
    private record Time(Concern concern, int first, int fair, String look, Because because) {}

    /**
     * When to look at a concern again.
     *
     * @param first earliest day of a sign
     * @param fair from here a verdict is fair
     */
    public record JudgedFrom(Concern concern, LocalDate first, LocalDate fair, String look, Because because) {}

    private static final List<Time> ALL =
            Row.unique(KnowledgeFile.yaml("verdicts.yaml").rows("verdicts"), Verdicts::read, Time::concern);

    private Verdicts() {}

    /** @param begun the day on which the plan began */
    static Optional<JudgedFrom> of(Concern concern, LocalDate begun) {
        return ALL.stream()
                .filter(t -> t.concern() == concern)
                .map(t -> new JudgedFrom(
                        concern, begun.plusWeeks(t.first()), begun.plusWeeks(t.fair()), t.look(), t.because()))
                .findFirst();
    }

    private static Time read(Row row) {
        Concern concern = row.one("concern", Concern.class);
        int first = row.whole("first", 0, 52);
        int fair = row.whole("fair", first, 104);
        return new Time(
                concern,
                first,
                fair,
                row.text("look"),
                row.because("Too early to judge %s before week %d.".formatted(concern.words(), fair)));
    }
}

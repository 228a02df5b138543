package outfell.regimen;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import outfell.knowledge.Because;
import outfell.regimen.Consultation.Life;
import outfell.regimen.Regimen.Served;
import outfell.routine.Part;
import outfell.routine.Step;

/**
 * One limit let out by as little as serves one concern more, and what that buys.
 *
 * @param by in minutes, steps or the practice's currency a month
 * @param concerns that nothing served before, heaviest first
 * @param brings names of the products that come in
 */
public record Loosened(Limit limit, double by, List<String> concerns, List<String> brings, Because because) {
    /** What holds a plan back. */
    public enum Limit {
        MORNING_MINUTES,
        EVENING_MINUTES,
        STEPS,
        BUDGET
    }

    private static final List<Double> MORE_MINUTES = List.of(2.0, 5.0, 10.0);
    private static final List<Double> MORE_STEPS = List.of(1.0, 2.0);
    private static final List<Double> MORE_MONEY = List.of(5.0, 10.0, 20.0, 40.0);

    /** Each limit let out by itself; only those that buy something, in the order of their kinds. */
    static List<Loosened> of(Consultation c, Regimen now) {
        List<Loosened> all = new ArrayList<>();
        Life life = c.life();
        tried(c, now, Limit.MORNING_MINUTES, MORE_MINUTES, by -> minutes(life, Part.MORNING, by))
                .ifPresent(all::add);
        tried(c, now, Limit.EVENING_MINUTES, MORE_MINUTES, by -> minutes(life, Part.EVENING, by))
                .ifPresent(all::add);
        tried(c, now, Limit.STEPS, MORE_STEPS, by -> steps(c, by)).ifPresent(all::add);
        tried(c, now, Limit.BUDGET, MORE_MONEY, by -> money(life, by)).ifPresent(all::add);
        return List.copyOf(all);
    }

    private interface LetOut {
        Optional<Life> by(double more);
    }

    private static Optional<Life> minutes(Life life, Part part, double by) {
        int minutes = (int) (by + (part == Part.MORNING ? life.morningMinutes() : life.eveningMinutes()));
        return minutes <= 120 ? Optional.of(life.withMinutes(part, minutes)) : Optional.empty();
    }

    /** Where the method is the narrower limit, more steps of hers change nothing. */
    private static Optional<Life> steps(Consultation c, double by) {
        int steps = (int) (c.life().mostSteps() + by);
        return steps <= Math.min(12, c.method().mostSteps())
                ? Optional.of(c.life().withSteps(steps))
                : Optional.empty();
    }

    private static Optional<Life> money(Life life, double by) {
        return life.budget().isPresent()
                ? Optional.of(life.withBudget(life.budget().getAsDouble() + by))
                : Optional.empty();
    }

    private static Optional<Loosened> tried(
            Consultation c, Regimen now, Limit limit, List<Double> steps, LetOut letOut) {
        for (double by : steps) {
            Optional<Life> life = letOut.by(by);
            if (life.isPresent() && Planner.plan(c.living(life.get())) instanceof Outcome.Planned planned) {
                List<String> more = served(now, planned.regimen());
                if (!more.isEmpty()) {
                    return Optional.of(of(limit, by, more, now, planned.regimen()));
                }
            }
        }
        return Optional.empty();
    }

    /** Concerns that the other plan serves and this one does not. */
    private static List<String> served(Regimen now, Regimen other) {
        Map<String, Boolean> before = now.served().stream()
                .collect(Collectors.toMap(Served::concern, s -> !s.by().isEmpty(), (a, b) -> a, TreeMap::new));
        boolean loses =
                other.served().stream().anyMatch(s -> s.by().isEmpty() && before.getOrDefault(s.concern(), false));
        return loses
                ? List.of()
                : other.served().stream()
                        .filter(s -> !s.by().isEmpty() && !before.getOrDefault(s.concern(), false))
                        .map(Served::concern)
                        .toList();
    }

    private static Loosened of(Limit limit, double by, List<String> concerns, Regimen now, Regimen other) {
        List<String> brings = other.steps()
                .filter(s -> !now.products().contains(s.product()))
                .map(Step::name)
                .distinct()
                .toList();
        String more = switch (limit) {
            case MORNING_MINUTES -> "%.0f more minutes in the morning".formatted(by);
            case EVENING_MINUTES -> "%.0f more minutes in the evening".formatted(by);
            case STEPS -> by == 1 ? "One more step" : "%.0f more steps".formatted(by);
            case BUDGET -> "%.0f more a month".formatted(by);
        };
        return new Loosened(
                limit,
                by,
                concerns,
                brings,
                Because.house("%s would let in %s, for %s."
                        .formatted(more, String.join(", ", brings), String.join(", ", concerns))));
    }
}

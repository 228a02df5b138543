package outfell.choice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import outfell.choice.Worth.Aim;

/** The choice is the one that trying everything finds, whatever the shape of the problem. */
class ChoiceTest {
    private static final int PROBLEMS = 300;
    private static final int WITNESSED = 10;

    @Test
    void it_equals_trying_every_plan() {
        int letOut = 0;
        for (int seed = 0; seed < PROBLEMS; seed++) {
            Problem problem = Problems.random(random(seed), 4, 3);
            Choice.Found found = Choice.of(problem, () -> {});
            assertThat(found.proven()).as("seed %d", seed).isTrue();
            assertThat(Choice.worth(found.within(), found.chosen()))
                    .as("seed %d", seed)
                    .hasValue(found.worth());
            assertThat(found.worth()).as("seed %d", seed).isEqualByComparingTo(Problems.best(found.within()));
            letOut += found.within().equals(problem) ? 0 : 1;
        }
        assertThat(letOut).as("limits are let out in some of them").isBetween(1, PROBLEMS - 1);
    }

    /** What more of a goal would leave of those before is asked at the first node, not only where a search is long. */
    @Test
    void it_equals_trying_every_plan_where_it_is_asked_what_is_left_of_the_goals_before() {
        for (int seed = 0; seed < PROBLEMS; seed++) {
            Problem problem = Problems.random(random(seed), 4, 3);
            Choice.Found found = Choice.of(problem, new Walk(() -> {}, Long.MAX_VALUE, 0));
            assertThat(found.proven()).as("seed %d", seed).isTrue();
            assertThat(found.worth()).as("seed %d", seed).isEqualByComparingTo(Problems.best(found.within()));
        }
    }

    /** Six kinds of up to seven things, in rows, pairs and alone: too many plans to try each. */
    @Test
    void a_general_solver_finds_the_same() {
        for (int seed = 0; seed < WITNESSED; seed++) {
            Problem problem = Problems.random(random(seed), 6, 7);
            Choice.Found found = Choice.of(problem, () -> {});
            assertThat(found.proven()).as("seed %d", seed).isTrue();
            assertThat(found.worth())
                    .as("seed %d", seed)
                    .isEqualByComparingTo(new GeneralSolver(found.within()).best());
        }
    }

    /** A search that comes to the end of its work says in which aim a better plan may be, and by how much at most. */
    @Test
    void what_was_not_proven_is_told_with_its_gap() {
        int unproven = 0;
        for (int seed = 0; seed < PROBLEMS; seed++) {
            Problem problem = Problems.random(random(seed), 4, 3);
            Choice.Found whole = Choice.of(problem, () -> {});
            Choice.Found cut = Choice.of(problem, whole.visited() / 2, () -> {});
            if (cut.unproven().isEmpty() || !cut.within().equals(whole.within())) {
                continue;
            }
            unproven++;
            Aim aim = cut.unproven().get().aim();
            for (Aim before : EnumSet.range(Aim.WANTS, aim)) {
                double missed = whole.worth().of(before) - cut.worth().of(before);
                double points = before == Aim.REFINEMENT ? missed * problem.alike() : missed;
                double gap = before == aim ? cut.unproven().get().gap() : 0;
                assertThat(before == Aim.WANTS && aim == Aim.WANTS ? 0 : points)
                        .as("seed %d, %s", seed, before)
                        .isLessThanOrEqualTo(gap + (before == Aim.REFINEMENT ? problem.alike() : 0) + 1e-6);
            }
        }
        assertThat(unproven).isGreaterThan(10);
    }

    /** Asked first what is left of the goals before, a general solver finds the same. */
    @Test
    void a_general_solver_finds_the_same_where_it_is_asked_what_is_left() {
        for (int seed = WITNESSED; seed < 2 * WITNESSED; seed++) {
            Problem problem = Problems.random(random(seed), 6, 7);
            Choice.Found found = Choice.of(problem, new Walk(() -> {}, Long.MAX_VALUE, 0));
            assertThat(found.worth())
                    .as("seed %d", seed)
                    .isEqualByComparingTo(new GeneralSolver(found.within()).best());
        }
    }

    /** Where the needed places can be filled within the limits, no limit is let out. */
    @Test
    void limits_stand_where_what_is_needed_fits() {
        for (int seed = 0; seed < PROBLEMS; seed++) {
            Problem problem = Problems.random(random(seed), 4, 3);
            boolean fits = Double.isFinite(Problems.best(problem).of(Aim.NAME));
            Problem within = Choice.of(problem, () -> {}).within();
            boolean allNeeded = needed(within).equals(needed(problem));
            assertThat(allNeeded && within.limits().equals(problem.limits()))
                    .as("seed %d", seed)
                    .isEqualTo(fits);
        }
    }

    /** Taking away what was not chosen changes nothing, and one option more never makes it worth less. */
    @Test
    void what_is_not_chosen_does_not_matter() {
        for (int seed = 0; seed < PROBLEMS; seed++) {
            RandomGenerator random = random(seed);
            Problem problem = Problems.random(random, 4, 4);
            Choice.Found found = Choice.of(problem, () -> {});
            Set<Integer> left = new HashSet<>();
            found.chosen().forEach(o -> o.ifPresent(x -> left.add(x.thing())));
            IntStream.range(0, problem.things())
                    .filter(_ -> random.nextBoolean())
                    .forEach(left::add);
            List<Place> fewer = problem.places().stream()
                    .map(p -> p.with(p.options().stream()
                            .filter(o -> left.contains(o.thing()))
                            .toList()))
                    .toList();
            if (found.within().limits().equals(problem.limits())
                    && needed(found.within()).equals(needed(problem))) {
                assertThat(Choice.of(problem.over(fewer), () -> {}).worth())
                        .as("seed %d", seed)
                        .isEqualByComparingTo(found.worth());
            }
        }
    }

    private static List<Boolean> needed(Problem problem) {
        return problem.places().stream().map(Place::needed).toList();
    }

    private static RandomGenerator random(long seed) {
        return RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
    }
}

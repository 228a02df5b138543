package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import outfell.causes.Ladder;
import outfell.causes.Ladder.Rung;
import outfell.causes.Ladder.Where;
import outfell.consultation.Consultation;
import outfell.consultation.Life;
import outfell.consultation.Life.Taste;
import outfell.routine.Part;

/** Each rung is the plan that its limit gives; they rise, and the standing plan is one of them. */
class LadderTest {
    @Test
    void each_rung_is_the_plan_that_its_limit_gives() {
        int rungs = 0;
        for (int seed = 0; seed < 6; seed++) {
            Consultation c = consultation(seed, OptionalDouble.of(45));
            for (Ladder ladder : Planner.ladders(c)) {
                assertRising(ladder, seed);
                for (int r = 1; r < ladder.rungs().size(); r++) {
                    Rung rung = ladder.rungs().get(r);
                    Set<String> names = names(c.living(with(c.life(), ladder.limit(), rung.at())));
                    assertThat(names)
                            .as("seed %d, %s at %s", seed, ladder.limit(), rung.at())
                            .containsAll(rung.brings())
                            .noneMatch(rung.leaves()::contains);
                    rungs++;
                }
            }
        }
        assertThat(rungs).isGreaterThan(20);
    }

    private static void assertRising(Ladder ladder, int seed) {
        List<Double> at = ladder.rungs().stream().map(Rung::at).toList();
        assertThat(at).as("seed %d, %s", seed, ladder.limit()).isSorted().doesNotHaveDuplicates();
        List<Where> where = ladder.rungs().stream().map(Rung::where).toList();
        assertThat(where).as("seed %d, %s", seed, ladder.limit()).isSorted().containsOnlyOnce(Where.STANDS);
        double hers = ladder.hers().orElseThrow();
        assertThat(ladder.rungs())
                .allSatisfy(r -> assertThat(r.at() > hers)
                        .as("what lies over the limit asks for more than it")
                        .isEqualTo(r.where() == Where.ABOVE));
    }

    @Test
    void where_money_is_no_matter_the_standing_plan_is_the_top() {
        Ladder money = Planner.ladders(consultation(2, OptionalDouble.empty())).getFirst();
        assertThat(money.limit()).isEqualTo(Ladder.Limit.MONEY);
        assertThat(money.hers()).isEmpty();
        assertThat(money.rungs().getLast().where()).isEqualTo(Where.STANDS);
        assertThat(money.rungs().getFirst().because().sentence()).startsWith("What is needed");
    }

    private static Life with(Life life, Ladder.Limit limit, double at) {
        return switch (limit) {
            case MONEY -> life.withBudget(at);
            case MORNING_MINUTES -> life.withMinutes(Part.MORNING, (int) at);
            case EVENING_MINUTES -> life.withMinutes(Part.EVENING, (int) at);
            case STEPS -> life.withSteps((int) at);
        };
    }

    private static Set<String> names(Consultation c) {
        Regimen r = ((Outcome.Planned) Planner.plan(c)).regimen();
        return List.of(r.morning(), r.evening()).stream()
                .flatMap(routine -> routine.steps().stream()
                        .map(s -> "%s, %s".formatted(s.name(), routine.part().words())))
                .collect(Collectors.toSet());
    }

    private static Consultation consultation(int seed, OptionalDouble budget) {
        return Consultations.of(
                Consultations.face(RandomGeneratorFactory.of("L64X128MixRandom").create(seed)),
                "classic",
                Month.NOVEMBER,
                Consultations.CATALOGUE,
                List.of(),
                Consultations.NOTHING,
                new Life(8, 12, 5, 2, 2, false, 3, Set.of(), Taste.ANY, Taste.ANY, Taste.ANY, budget));
    }
}

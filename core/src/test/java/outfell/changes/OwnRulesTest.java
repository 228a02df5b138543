package outfell.changes;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import outfell.conflict.Conflicts;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.House;
import outfell.consultation.Life;
import outfell.consultation.OwnRule;
import outfell.consultation.Yardstick;
import outfell.method.Methods;
import outfell.regimen.Bare;
import outfell.regimen.Consultations;
import outfell.regimen.Outcome;
import outfell.regimen.Planner;
import outfell.skin.ProbeBands;

/** A rule that a practice has its own way is named where it worked, and nowhere else. */
class OwnRulesTest {
    private static final House OWN = new House(
            ProbeBands.SHIPPED.with(ProbeBands.Band.SEBUM_U, new ProbeBands.Bounds(60, 120)),
            Yardstick.with(Map.of("newcomers", 1.0, "evidence-b", 0.2)),
            Conflicts.following(Set.of(Conflicts.debated().getFirst().id())),
            House.SHIPPED.currency());

    private static Consultation of(int seed, House house) {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
        return Consultations.of(
                        Consultations.face(random),
                        Methods.all().get(seed % 5).id().value(),
                        Month.of(1 + seed % 12),
                        Consultations.CATALOGUE,
                        List.of(),
                        Consultations.NOTHING,
                        Life.USUAL.withBudget(20 + 5 * (seed % 6)))
                .parts()
                .house(house)
                .together();
    }

    @Test
    void each_rule_that_differs_stands_by_itself_and_can_be_taken_back() {
        List<OwnRule> own = OwnRule.between(House.SHIPPED, OWN);
        assertThat(own)
                .extracting(r -> r.because().rule().orElseThrow())
                .hasSize(4)
                .doesNotHaveDuplicates();
        House back = OWN;
        for (OwnRule rule : own) {
            House before = back;
            back = rule.back().apply(back);
            assertThat(OwnRule.between(before, back))
                    .as(rule.because().sentence())
                    .hasSize(1);
        }
        assertThat(back).isEqualTo(House.SHIPPED);
        assertThat(OwnRule.between(OWN, OWN)).isEmpty();
        assertThat(own.getFirst().because().sentence())
                .isEqualTo("Sebum, cheeks turns at 60 and 120 µg/cm², in place of 70 and 180.");
    }

    @Test
    void a_practice_without_rules_of_its_own_is_told_of_none() {
        assertThat(Changes.ofThePractice(of(3, House.SHIPPED))).isEmpty();
    }

    @Test
    void a_rule_that_is_named_undoes_what_it_did_when_it_is_taken_back() {
        int told = 0;
        for (int seed = 0; seed < 16; seed++) {
            Consultation with = of(seed, OWN);
            Consultation shipped = of(seed, House.SHIPPED);
            if (Planner.plan(shipped) instanceof Outcome.Planned was
                    && Planner.plan(with) instanceof Outcome.Planned is) {
                for (Changes.Traced traced :
                        Changes.traced(shipped, was, with, Planner.read(with), is, Airs.OF_MONTHS)) {
                    List<OwnRule> named = OwnRule.between(House.SHIPPED, OWN).stream()
                            .filter(r -> traced.because().stream()
                                    .anyMatch(f -> f.because().equals(r.because())))
                            .toList();
                    assertThat(named).as("%d: %s", seed, traced.effect()).hasSameSizeAs(traced.because());
                    House back = OWN;
                    for (OwnRule rule : named) {
                        back = rule.back().apply(back);
                    }
                    assertThat(Planner.plan(with.parts().house(back).together()))
                            .as("%d: %s", seed, traced.effect())
                            .isInstanceOfSatisfying(
                                    Outcome.Planned.class,
                                    p -> assertThat(traced.effect().undone().test(Bare.of(p.regimen())))
                                            .isTrue());
                    told++;
                }
            }
        }
        assertThat(told).isPositive();
    }
}

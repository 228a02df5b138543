package outfell.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import outfell.climate.MonthlyAir;
import outfell.consultation.Consultation;
import outfell.consultation.Life.Matter;
import outfell.product.StepKind;
import outfell.regimen.Outcome;
import outfell.regimen.Planner;
import outfell.regimen.Regimen;
import outfell.routine.Step;
import outfell.season.Lever;

/** The plan in an air that is only thought of; and what the air makes of amounts, which comes last. */
class WhatIfTest {
    private static final MonthlyAir BITTER = new MonthlyAir(-10, 70, 6, 1);

    @Test
    void the_air_of_the_month_thought_of_is_the_plan_of_the_month() {
        Consultation c = Client.calm();
        WhatIf same =
                WhatIf.of(c, c.site().in(c.month()), c.life().outdoorHours()).orElseThrow();
        assertThat(same.moved()).isEmpty();
        assertThat(same.plan()).isEqualTo(((Outcome.Planned) Planner.plan(c)).regimen());
    }

    @Test
    void bitter_air_moves_what_it_should_and_says_why() {
        WhatIf bitter = WhatIf.of(Client.calm(), BITTER, 2).orElseThrow();
        assertThat(bitter.moved().stream().map(WhatIf.MovedByAir::lever))
                .contains(Lever.SEAL, Lever.AMOUNT, Lever.WASH, Lever.EXFOLIATION);
        assertThat(bitter.moved())
                .allSatisfy(m -> assertThat(m.because().sentence()).isNotBlank());
        assertThat(kinds(bitter.plan())).contains(StepKind.SEAL);
    }

    @Test
    void hours_outdoors_are_thought_of_too() {
        MonthlyAir spring = new MonthlyAir(12, 70, 4, 3);
        assertThat(WhatIf.of(Client.calm(), spring, 8)
                        .orElseThrow()
                        .plan()
                        .asked()
                        .spf()
                        .value())
                .isEqualTo(50);
        assertThat(WhatIf.of(Client.calm(), spring, 0)
                        .orElseThrow()
                        .plan()
                        .asked()
                        .spf()
                        .value())
                .isEqualTo(30);
    }

    @Test
    void more_cream_for_the_air_gives_way_to_money_and_nothing_else_does() {
        Regimen free = WhatIf.of(Client.calm(), BITTER, 2).orElseThrow().plan();
        double usual = cream(((Outcome.Planned) Planner.plan(Client.calm())).regimen());
        assertThat(cream(free)).isGreaterThan(usual);
        for (double budget = 25; budget <= 60; budget += 0.5) {
            Consultation tight = Client.calm()
                    .living(Client.calm().life().as(Client.calm().life().withBudget(budget), Matter.MONEY));
            Regimen plan = WhatIf.of(tight, BITTER, 2).orElseThrow().plan();
            Regimen without = ((Outcome.Planned) Planner.plan(
                            tight,
                            (c, skin, safety) -> free.asked()
                                    .with(Lever.AMOUNT, c.ask(skin, safety))
                                    .with(Lever.TONER, c.ask(skin, safety))))
                    .regimen();
            assertThat(plan.products()).as("with %s", budget).isEqualTo(without.products());
        }
    }

    private static List<StepKind> kinds(Regimen plan) {
        return plan.evening().steps().stream().map(Step::kind).toList();
    }

    private static double cream(Regimen plan) {
        return plan.evening().steps().stream()
                .filter(s -> s.kind() == StepKind.MOISTURISER)
                .mapToDouble(s -> s.amount().grams())
                .sum();
    }
}

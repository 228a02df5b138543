package outfell.year;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import outfell.climate.MonthlyAir;
import outfell.consultation.Consultation;
import outfell.consultation.Consultation.Choice;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.regimen.Consultations;
import outfell.routine.Part;
import outfell.routine.Step;
import outfell.skin.Faces;
import outfell.skin.Sign;

/** Where a face oil lies as the air moves it: by the cream, and by no other school's reason. */
class OilPlaceTest {
    private static final MonthlyAir BITTER = new MonthlyAir(-10, 70, 6, 1);
    private static final MonthlyAir MILD = new MonthlyAir(16, 60, 2, 2);
    private static final MonthlyAir WARM = new MonthlyAir(25, 68, 1, 2);

    private static Consultation client(String oilPlace) {
        Consultation dry = Consultations.of(Faces.face()
                .with(Sign.SHINE, 0, 0, 0, 0, 0)
                .with(Sign.FLAKING, 2, 1, 2, 2, 2)
                .with(Sign.TIGHTNESS, 3, 2, 3, 3, 3)
                .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .person(50, false, false)
                .history(0, 0));
        Product oil = dry.catalogue().stream()
                .filter(p -> p.kind() == StepKind.OIL)
                .findFirst()
                .orElseThrow();
        return dry.by(Methods.answering(dry.method(), "oil-place", oilPlace)).with(new Choice(Part.EVENING, oil.id()));
    }

    @ParameterizedTest
    @CsvSource({
        // the method's place; before the cream in bitter, mild and warm air; moved by the air in each
        "after_cream,   false, false, true,  false, false, true",
        "drop_in_cream, false, true,  true,  true,  false, false",
        "before_cream,  true,  true,  true,  false, false, false",
        "after_toner,   true,  true,  true,  false, false, false",
        "drop_in_serum, true,  true,  true,  false, false, false",
    })
    void it_lies_over_the_cream_in_dry_air_and_in_it_in_warm_air_where_its_method_has_it_there(
            String method,
            boolean bitter,
            boolean mild,
            boolean warm,
            boolean movedInBitter,
            boolean movedInMild,
            boolean movedInWarm) {
        check(method, BITTER, bitter, movedInBitter, "from 50 on the oil lies over the cream");
        check(method, MILD, mild, movedInMild, "");
        check(method, WARM, warm, movedInWarm, "a drop in the cream sits lighter");
    }

    private static void check(String method, MonthlyAir air, boolean before, boolean moved, String why) {
        List<Step> steps =
                WhatIf.of(client(method), air, 2).orElseThrow().plan().evening().steps();
        Step oil =
                steps.stream().filter(s -> s.kind() == StepKind.OIL).findFirst().orElseThrow();
        Step cream = steps.stream()
                .filter(s -> s.kind() == StepKind.MOISTURISER)
                .findFirst()
                .orElseThrow();
        assertThat(oil.number() < cream.number()).as("%s in %s", method, air).isEqualTo(before);
        String reasons = oil.place().sentence()
                + cream.place().sentence()
                + steps.get(Math.min(oil.number(), cream.number()) - 1).next().sentence();
        if (moved) {
            assertThat(oil.place().sentence()).contains(why);
            assertThat(reasons)
                    .as("no school is named for what the air has done")
                    .doesNotContain("the method puts", "method has it so");
        } else {
            assertThat(reasons).doesNotContain("of 100");
        }
    }
}

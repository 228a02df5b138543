package outfell.method;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import outfell.knowledge.KnowledgeFile;

class MethodsTest {
    private static final String CLASSIC = """
            id: x
            name: X
            note: n
            second-cleanse: once
            cleanse-order: oil_first
            morning-wash: water
            toner-layers: %s
            essence: %s
            acid-place: %s
            exfoliations-a-week: 2
            retinoid-and-acid: alternate_nights
            serums-morning: 1
            serums-evening: 1
            strong-actives: 1
            masks: no
            retinoid-place: before_cream
            eye-place: after_serums
            oil-place: after_cream
            between-layers: damp
            waits: full
            vitamin-c-apart-from-niacinamide: no
            sunscreen-and-cream: two_layers
            cloth: fresh
            hold: six_weeks
            most-steps: %s
            because: b
            evidence: D
            source: custom
            """;

    @Test
    void the_presets_differ_in_what_their_schools_differ_in() {
        Method classic = Methods.find("classic").orElseThrow();
        Method layered = Methods.find("layered").orElseThrow();
        assertThat(classic.tonerLayers()).isEqualTo(1);
        assertThat(layered.tonerLayers()).isEqualTo(3);
        assertThat(layered.strongActives()).isGreaterThan(classic.strongActives());
        assertThat(Methods.find("none")).isEmpty();
    }

    @Test
    void a_setting_out_of_range_or_against_another_is_refused_with_its_line() {
        assertThat(Methods.read(KnowledgeFile.yamlText("x.yaml", method(0, "no")))
                        .tonerLayers())
                .isZero();
        assertThatThrownBy(() -> Methods.read(KnowledgeFile.yamlText("x.yaml", method(9, "no"))))
                .hasMessageContaining("Toner? \"9\" is no answer; there are 0, 1, 2, 3, 4, 5, 6, 7.");
        assertThatThrownBy(() -> Methods.read(KnowledgeFile.yamlText("x.yaml", method(0, "yes"))))
                .hasMessageContaining("essence without a toner: ");
        assertThatThrownBy(() -> Methods.read(KnowledgeFile.yamlText("x.yaml", method(1, "maybe"))))
                .hasMessageContaining("Essence over the toner? \"maybe\" is no answer; there are no, yes.");
    }

    @Test
    void five_presets_ship_and_each_answers_every_question_with_what_the_others_say() {
        assertThat(Methods.all())
                .extracting(Method::name)
                .containsExactly("Essentials", "Classic", "Layered", "Re-tone", "Barrier-first");
        for (Method method : Methods.all()) {
            assertThat(Schools.of(method)).as(method.name()).hasSize(22).allSatisfy(a -> {
                assertThat(a.answer()).isNotBlank();
                assertThat(a.others()).isNotEmpty().doesNotContain(a.answer());
            });
            assertThat(Methods.contradiction(method)).isEmpty();
        }
    }

    @Test
    void settings_that_speak_against_each_other_are_refused_with_a_sentence() {
        assertThatThrownBy(() -> Methods.read(KnowledgeFile.yamlText("x.yaml", method(1, "no", "between_toners", 6))))
                .hasMessageContaining("needs two of them; there are 1");
        assertThat(Methods.read(KnowledgeFile.yamlText("x.yaml", method(2, "no", "between_toners", 6)))
                        .tonerLayers())
                .isEqualTo(2);
        assertThat(Methods.read(KnowledgeFile.yamlText("x.yaml", method(1, "no", "before_toner", 3)))
                        .mostSteps())
                .isEqualTo(3);
        Method few = Methods.find("classic").orElseThrow();
        assertThat(few.mostSteps()).isGreaterThan(3);
    }

    private static String method(Object layers, Object essence) {
        return method(layers, essence, "before_toner", 6);
    }

    private static String method(Object layers, Object essence, String acid, int steps) {
        return CLASSIC.formatted(layers, essence, acid, steps);
    }
}

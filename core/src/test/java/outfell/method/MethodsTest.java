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
            morning-wash: water
            toner-layers: %s
            essence: %s
            acid-place: before_toner
            serums-morning: 1
            serums-evening: 1
            strong-actives: 1
            masks: no
            eye-place: after_serums
            oil-place: after_cream
            vitamin-c-apart-from-niacinamide: no
            most-steps: 6
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
        assertThat(Methods.read(KnowledgeFile.yamlText("x.yaml", CLASSIC.formatted(0, "no")))
                        .tonerLayers())
                .isZero();
        assertThatThrownBy(() -> Methods.read(KnowledgeFile.yamlText("x.yaml", CLASSIC.formatted(9, "no"))))
                .hasMessageContaining("allowed is 0.0 to 7.0");
        assertThatThrownBy(() -> Methods.read(KnowledgeFile.yamlText("x.yaml", CLASSIC.formatted(0, "yes"))))
                .hasMessageContaining("essence without a toner");
        assertThatThrownBy(() -> Methods.read(KnowledgeFile.yamlText("x.yaml", CLASSIC.formatted(1, "maybe"))))
                .hasMessageContaining("yes or no");
    }
}

package outfell.method;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import outfell.knowledge.KnowledgeFile;
import outfell.product.StepKind;

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
            assertThat(Schools.of(method)).as(method.name()).hasSize(30).allSatisfy(a -> {
                assertThat(a.answer()).isNotBlank();
                assertThat(a.others()).isNotEmpty().doesNotContain(a.answer());
            });
            assertThat(Methods.contradiction(method)).isEmpty();
        }
    }

    /** What is changed in Classic; the last of the changes is the one that turns what can be followed into what cannot. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "toner-layers=0 essence=yes | An essence without a toner: the essence is a toner's last layer.",
                "essence=yes toner-layers=0 | An essence without a toner: the essence is a toner's last layer.",
                "toner-layers=1 acid-place=between_toners | An acid between two layers of toner needs two of them; there are 1.",
                "toner-layers=0 acid-place=between_toners | An acid between two layers of toner needs two of them; there are 0.",
                "waits=none eye-place=in_a_wait | Eyes inside a wait, but there are no waits.",
                "eye-place=in_a_wait waits=none | Eyes inside a wait, but there are no waits.",
                "waits=none lip-place=in_a_wait | Lips inside a wait, but there are no waits.",
                "lip-place=in_a_wait waits=none | Lips inside a wait, but there are no waits.",
                "waits=short sunscreen-and-cream=mixed_in_palm between-layers=dry waits=full | Full waits on dry skin before the sunscreen, but the sunscreen is mixed into the cream: nothing is left to wait for.",
                "waits=full sunscreen-and-cream=mixed_in_palm between-layers=dry | Full waits on dry skin before the sunscreen, but the sunscreen is mixed into the cream: nothing is left to wait for.",
                "waits=full between-layers=dry sunscreen-and-cream=mixed_in_palm | Full waits on dry skin before the sunscreen, but the sunscreen is mixed into the cream: nothing is left to wait for.",
                "most-steps=3 second-cleanse=always | 3 steps do not hold its cleansing, its one active and a moisturiser: that is 4.",
                "most-steps=3 second-cleanse=after_make_up_or_sunscreen | 3 steps do not hold its cleansing, its one active and a moisturiser: that is 4.",
                "serums-evening=0 strong-actives=0 most-steps=3 second-cleanse=always serums-evening=1 | 3 steps do not hold its cleansing, its one active and a moisturiser: that is 4.",
                "serums-evening=0 strong-actives=0 most-steps=3 second-cleanse=always strong-actives=1 | 3 steps do not hold its cleansing, its one active and a moisturiser: that is 4."
            })
    void what_speaks_against_itself_is_told_and_what_misses_it_by_one_answer_can_be_followed(
            String answers, String told) {
        Method method = followed();
        String[] changes = answers.split(" ");
        for (int i = 0; i < changes.length; i++) {
            String[] change = changes[i].split("=");
            method = Methods.answering(method, change[0], change[1]);
            assertThat(method.settings()).containsEntry(change[0], change[1]);
            if (i == changes.length - 1) {
                assertThat(Methods.contradiction(method)).contains(told);
                Method refused = method;
                assertThatThrownBy(() -> Methods.of(
                                refused.id(), refused.name(), refused.note(), refused.settings(), refused.because()))
                        .isInstanceOf(IllegalArgumentException.class)
                        .hasMessage(told);
            } else {
                assertThat(Methods.contradiction(method)).as(change[0]).isEmpty();
            }
        }
    }

    @Test
    void a_method_is_read_from_its_answers_and_kept_with_all_of_them() {
        Method classic = followed();
        assertThat(Methods.of(classic.id(), classic.name(), classic.note(), classic.settings(), classic.because()))
                .isEqualTo(classic);
        assertThat(Methods.answering(classic, "essence", " YES ")).satisfies(m -> {
            assertThat(m.essence()).isTrue();
            assertThat(m.settings()).containsEntry("essence", "yes");
            assertThat(m.name()).isEqualTo(classic.name());
        });
        Map<String, String> incomplete = new LinkedHashMap<>(classic.settings());
        incomplete.remove("cloth");
        assertThatThrownBy(
                        () -> Methods.of(classic.id(), classic.name(), classic.note(), incomplete, classic.because()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageEndingWith("\"\" is no answer; there are fresh, one_a_day.");
        assertThatThrownBy(() -> new MethodId(" ")).hasMessageContaining("needs an id");
        assertThat(new MethodId("mine")).hasToString("mine");
    }

    /** What two answers have alike in the order they tell apart by technique, amount, clock, or by what stands there at all. */
    private static final Map<String, Set<Set<String>>> ALIKE = Map.of(
            "acid-place",
            Set.of(
                    Set.of("after_toner", "between_toners"),
                    Set.of("after_toner", "as_toner"),
                    Set.of("between_toners", "as_toner")),
            "essence-place",
            Set.of(Set.of("before_toner", "as_toner")),
            "oil-place",
            Set.of(Set.of("before_cream", "drop_in_cream")),
            "eye-place",
            Set.of(Set.of("after_serums", "in_a_wait")));

    @Test
    void each_answer_about_a_place_gives_an_order_of_its_own() {
        assertThat(Places.questions())
                .contains("cleanse-order", "acid-place", "eye-place", "oil-place", "lip-place", "layering");
        for (String question : Places.questions()) {
            List<String> answers = Schools.questions().stream()
                    .filter(q -> q.id().equals(question))
                    .flatMap(q -> q.schools().stream())
                    .map(Schools.School::value)
                    .toList();
            assertThat(answers).as(question).hasSizeGreaterThan(1);
            for (String one : answers) {
                for (String other : answers) {
                    List<Place> order = Methods.answering(followed(), question, one)
                            .places()
                            .order();
                    assertThat(order)
                            .as(
                                    "the list of %s",
                                    Methods.answering(followed(), question, one).places())
                            .doesNotHaveDuplicates()
                            .endsWith(Place.SUNSCREEN, Place.BASE, Place.BEARD);
                    boolean alike = one.equals(other)
                            || ALIKE.getOrDefault(question, Set.of()).contains(Set.of(one, other));
                    assertThat(order.equals(Methods.answering(followed(), question, other)
                                    .places()
                                    .order()))
                            .as("%s: %s and %s", question, one, other)
                            .isEqualTo(alike);
                }
            }
        }
    }

    @Test
    void a_method_made_before_a_question_was_asked_is_read_with_what_it_did() {
        Method classic = followed();
        Map<String, String> early = new LinkedHashMap<>(classic.settings());
        early.keySet().removeAll(List.of("essence-place", "layering", "prescription-place", "lip-place"));
        assertThat(Methods.of(classic.id(), classic.name(), classic.note(), early, classic.because()))
                .isEqualTo(classic);
    }

    @Test
    void each_question_names_the_kinds_of_step_that_its_answer_decides_about() {
        assertThat(Schools.on(StepKind.EYE)).contains("eye-place").doesNotContain("oil-place", "cloth");
        assertThat(Schools.on(StepKind.OIL)).contains("oil-place").doesNotContain("eye-place");
        assertThat(Schools.questions())
                .allSatisfy(q -> assertThat(q.schools()).as(q.id()).hasSizeGreaterThan(1))
                .allSatisfy(q ->
                        q.bearsOn().forEach(kind -> assertThat(Schools.on(kind)).contains(q.id())));
    }

    /** One that can be followed, with room for every change. */
    private static Method followed() {
        return Methods.read(KnowledgeFile.yamlText("x.yaml", method(2, "no", "before_toner", 9)));
    }

    private static String method(Object layers, Object essence) {
        return method(layers, essence, "before_toner", 6);
    }

    private static String method(Object layers, Object essence, String acid, int steps) {
        return CLASSIC.formatted(layers, essence, acid, steps);
    }
}

package outfell.knowledge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import outfell.knowledge.Rules.KnowledgeRule;
import outfell.knowledge.Rules.RulePart;

/** Every reason that a row gives leads back to the row, in words that a therapist can read. */
class RulesReadTest {
    @Test
    void every_row_with_an_evidence_is_found_at_its_place_and_stands_there_alone() {
        List<String> places = Rules.places();
        assertThat(places).hasSizeGreaterThan(300).doesNotHaveDuplicates();
        for (String place : places) {
            KnowledgeRule rule = Rules.find(place).orElseThrow(() -> new AssertionError(place));
            assertThat(rule.ref()).isEqualTo(place);
            assertThat(rule.title()).isNotBlank();
            assertThat(rule.evidence()).isPresent();
            assertThat(rule.source().filter(Sources.KNOWN::contains)).as(place).isPresent();
            assertThat(rule.parts()).as(place).isNotEmpty();
        }
    }

    @Test
    void a_rule_says_its_figures_its_notes_and_who_may_change_it() {
        KnowledgeRule sun = Rules.find("season.yaml/sun").orElseThrow();
        assertThat(sun.title()).isEqualTo("What a month's air asks");
        assertThat(sun.changes()).isEqualTo(Rules.Changes.NOBODY);
        assertThat(sun.parts()).contains(new RulePart("high spf", "50"), new RulePart("high from uv", "5.5"));
        assertThat(sun.notes().getFirst()).startsWith("SPF on the pack");
        KnowledgeRule pregnant = Rules.find("safety.yaml/rules/pregnant").orElseThrow();
        assertThat(pregnant.parts()).contains(new RulePart("ban over", "active bha, over 2, active aha, over 10"));
        assertThat(Rules.find("interactions.yaml/interactions/" + "retinoid-aha")
                        .map(KnowledgeRule::changes))
                .hasValueSatisfying(c -> assertThat(c).isEqualTo(Rules.Changes.SCHOOLS));
    }

    @Test
    void what_is_no_place_leads_nowhere() {
        assertThat(List.of(
                        "",
                        "season.yaml/nothing",
                        "nobody.yaml/x",
                        "../secrets.yaml",
                        "methods/nobody.yaml",
                        "sun",
                        "methods/../a.yaml"))
                .allSatisfy(ref -> assertThat(Rules.find(ref)).isEmpty());
    }
}

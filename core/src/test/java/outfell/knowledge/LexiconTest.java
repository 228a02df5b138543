package outfell.knowledge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import outfell.knowledge.Lexicon.Entry;
import outfell.knowledge.Lexicon.Hit;

class LexiconTest {
    private static final Lexicon<String> LEXICON = lexicon(true);

    private static Lexicon<String> lexicon(boolean forgiving) {
        return new Lexicon<>(
                List.of(
                        new Entry<>("retinoid", List.of("retin*", "vitamin a"), List.of("retinol free")),
                        new Entry<>("antibiotic", List.of("*mycin", "*floxacin*"), List.of()),
                        new Entry<>("blood thinner", List.of("warfarin", "blood thinner*"), List.of()),
                        new Entry<>("wheat", List.of("blé"), List.of())),
                forgiving);
    }

    private static List<String> meant(String text) {
        return LEXICON.of(text).stream().map(Hit::meaning).toList();
    }

    @Test
    void whole_words_stand_side_by_side_whatever_their_case_accents_and_signs() {
        assertThat(meant("VITAMIN-A, cream")).containsExactly("retinoid");
        assertThat(meant("vitamin C, A-grade")).isEmpty();
        assertThat(meant("Germe de BLE")).containsExactly("wheat");
        assertThat(meant("blend")).isEmpty();
    }

    @Test
    void stems_are_beginnings_endings_or_what_a_word_holds() {
        assertThat(meant("Rétinyl palmitate")).containsExactly("retinoid");
        assertThat(meant("tretinoin")).isEmpty();
        assertThat(meant("Clindamycin 1 %")).containsExactly("antibiotic");
        assertThat(meant("levofloxacine")).containsExactly("antibiotic");
    }

    @Test
    void what_only_looks_alike_is_left_out() {
        assertThat(meant("retinol-free cream")).isEmpty();
    }

    @Test
    void a_whole_name_is_sure_a_stem_or_one_slip_likely_two_slips_a_guess() {
        assertThat(LEXICON.of("warfarin").getFirst().certainty()).isEqualTo(Certainty.SURE);
        assertThat(LEXICON.of("retinal").getFirst().certainty()).isEqualTo(Certainty.LIKELY);
        assertThat(LEXICON.of("warfarine").getFirst().certainty()).isEqualTo(Certainty.LIKELY);
        assertThat(LEXICON.of("waffarine")).isEmpty();
        assertThat(LEXICON.of("blood thiner").getFirst().certainty()).isEqualTo(Certainty.LIKELY);
        assertThat(lexicon(false).of("warfarine")).isEmpty();
    }

    /** Alitretinoin is over after a month; as a slip for acitretin it counted for three years. */
    @Test
    void what_is_written_as_a_name_is_no_slip_for_another() {
        Lexicon<String> near = new Lexicon<>(
                List.of(
                        new Entry<>("a month", List.of("alitretinoin*"), List.of()),
                        new Entry<>("three years", List.of("acitretin*"), List.of())),
                true);
        assertThat(near.of("Alitretinoin, stopped"))
                .extracting(Lexicon.Hit::meaning)
                .containsExactly("a month");
        assertThat(near.of("acitretine")).extracting(Lexicon.Hit::meaning).containsExactly("three years");
        // not written as any name: the nearest is thought of
        assertThat(near.of("alitretin")).extracting(Lexicon.Hit::meaning).containsExactly("three years");
    }

    @Test
    void short_words_bear_no_slip() {
        assertThat(meant("vitamin b")).isEmpty();
        assertThat(meant("bla")).isEmpty();
    }

    @Test
    void several_meanings_come_surest_first_and_each_once() {
        assertThat(meant("retinol with clindamycin and warfarin"))
                .containsExactly("blood thinner", "retinoid", "antibiotic");
        assertThat(meant("")).isEmpty();
    }

    @Test
    void a_name_without_a_word_is_refused() {
        assertThatThrownBy(() -> new Lexicon<>(List.of(new Entry<>("x", List.of("*"), List.of())), false))
                .hasMessageContaining("has no word");
    }
}

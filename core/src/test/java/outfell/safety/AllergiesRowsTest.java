package outfell.safety;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.Tag;

/** Each row of the allergies: the words that mean it, an answer that takes it back, and the words that do not. */
class AllergiesRowsTest {
    private static final Row FILE = KnowledgeFile.yaml("allergies.yaml");
    private static final Answers UNASKED = Answers.none(LocalDate.of(2026, 11, 25));

    static Stream<Row> rows() {
        return FILE.rows("allergies").stream();
    }

    private static String plain(String word) {
        return word.startsWith("*") ? "zyx" + word.substring(1) : word.replace("*", "");
    }

    @ParameterizedTest
    @MethodSource("rows")
    void each_of_its_words_keeps_its_kinds_out_and_asks_its_question_back(Row row) {
        for (String word : row.texts("words")) {
            Allergies.Meant meant = Allergies.of(plain(word), UNASKED);
            assertThat(meant.tags()).as(word).containsAll(tags(row)).isNotEmpty();
            if (row.has("asks")) {
                assertThat(meant.asks()).as(word).contains(row.text("asks"));
            }
        }
    }

    private static Set<Tag> tags(Row row) {
        return row.has("asks") ? Rule.of(row.text("asks"), row).tags() : Set.copyOf(row.several("tags", Tag.class));
    }

    @ParameterizedTest
    @MethodSource("rows")
    void once_its_question_is_answered_the_word_means_no_more_than_it_says(Row row) {
        if (row.has("asks")) {
            Answers asked =
                    UNASKED.with(new Answers.Answer(row.text("asks"), false, Optional.empty(), UNASKED.today()));
            for (String word : row.texts("words")) {
                Allergies.Meant meant = Allergies.of(plain(word), asked);
                assertThat(meant.asks()).as(word).doesNotContain(row.text("asks"));
                assertThat(meant.answered()).as(word).isTrue();
            }
        }
    }

    @ParameterizedTest
    @MethodSource("rows")
    void a_word_of_which_only_the_letters_are_the_same_is_another(Row row) {
        for (String word : row.texts("words")) {
            String within = "qx" + plain(word).replace(" ", "") + "qx";
            boolean any = word.startsWith("*") || word.endsWith("*");
            assertThat(any || Allergies.of(within, UNASKED).tags().isEmpty())
                    .as(within)
                    .isTrue();
        }
    }

    static Stream<Row> exceptions() {
        return FILE.rows("not").stream();
    }

    @ParameterizedTest
    @MethodSource("exceptions")
    void what_a_word_does_not_mean_is_told_with_it(Row row) {
        List<String> not = row.texts("not");
        assertThat(Allergies.of(row.text("word"), UNASKED).not()).containsAll(not);
        assertThat(Allergies.of("zyx" + row.text("word"), UNASKED).not()).doesNotContainAnyElementsOf(not);
    }
}

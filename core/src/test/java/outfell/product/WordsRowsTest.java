package outfell.product;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** Each row of words by which a pack is understood: where it points, and that a piece of another word points nowhere. */
class WordsRowsTest {
    private static final Row KINDS = KnowledgeFile.yaml("kinds.yaml");
    private static final Row MARKERS = KnowledgeFile.yaml("label-markers.yaml");

    static Stream<Row> kindWords() {
        return KINDS.rows("kind-words").stream();
    }

    static Stream<Row> textureWords() {
        return KINDS.rows("texture-words").stream();
    }

    static Stream<Row> synonyms() {
        return KnowledgeFile.yaml("synonyms.yaml").rows("synonyms").stream();
    }

    static Stream<String> markers() {
        return MARKERS.texts("reliable").stream();
    }

    private static Product named(String name, String label, Optional<StepKind> kind) {
        return ProductReader.read(new Product.Facts(
                new ProductId("made"), name, "Nobody", 30, "ml", 10, label, kind, OptionalDouble.empty(), false));
    }

    /** The row that stands first in the file of those that hold a word which stands in another of theirs. */
    private static boolean first(List<Row> rows, Row row, String word) {
        return rows.stream()
                .filter(r -> r.texts("words").stream().anyMatch(w -> (" " + word + " ").contains(" " + w + " ")))
                .findFirst()
                .map(r -> r.texts("words").equals(row.texts("words")))
                .orElse(false);
    }

    @ParameterizedTest
    @MethodSource("kindWords")
    void a_name_with_one_of_its_words_is_of_its_kind_and_one_with_a_piece_of_it_is_not(Row row) {
        StepKind kind = row.one("kind", StepKind.class);
        for (String word : row.texts("words")) {
            if (first(KINDS.rows("kind-words"), row, word)) {
                assertThat(named("Plain " + word, "", Optional.empty()).kind())
                        .as(word)
                        .isEqualTo(kind);
            }
            String within = "Plainzyx" + word.replace(" ", "") + "zyx";
            assertThat(named(within, "", Optional.empty()).kind())
                    .as(within)
                    .isEqualTo(named("Plain", "", Optional.empty()).kind());
        }
    }

    @ParameterizedTest
    @MethodSource("textureWords")
    void a_name_with_one_of_its_words_has_its_texture(Row row) {
        double grade = row.number("grade", 1, 8);
        for (String word : row.texts("words")) {
            if (first(KINDS.rows("texture-words"), row, word)) {
                assertThat(named("Plain " + word, "", Optional.of(StepKind.SERUM))
                                .texture())
                        .as(word)
                        .isEqualTo(grade);
            }
        }
    }

    @ParameterizedTest
    @MethodSource("synonyms")
    void each_other_name_is_read_as_its_ingredient_and_a_longer_word_is_not(Row row) {
        for (String name : row.texts("names")) {
            assertThat(inci("Squalane, " + name)).as(name).contains(row.text("inci"));
            String longer = "Zyx" + name.replaceAll("[^A-Za-z0-9]", "") + "zyx";
            assertThat(inci("Squalane, " + longer)).as(longer).doesNotContain(row.text("inci"));
        }
    }

    private static List<String> inci(String label) {
        return named("Plain", label, Optional.of(StepKind.SERUM)).label().lines().stream()
                .flatMap(l -> l.ingredient().stream())
                .map(Ingredient::inci)
                .toList();
    }

    @ParameterizedTest
    @MethodSource("markers")
    void a_marker_shows_where_one_percent_lies_and_another_thing_in_its_place_does_not(String marker) {
        assertThat(at("Aqua, Glycerin, Panthenol, %s, Squalane".formatted(marker)))
                .isEqualTo(4);
        assertThat(at("Aqua, Glycerin, Panthenol, Niacinamide, Squalane")).isZero();
    }

    private static int at(String label) {
        return named("Plain", label, Optional.of(StepKind.SERUM)).label().onePercentLine();
    }
}

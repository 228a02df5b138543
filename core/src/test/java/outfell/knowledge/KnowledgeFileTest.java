package outfell.knowledge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;

class KnowledgeFileTest {
    @Test
    void a_fault_names_file_line_and_what_is_allowed() {
        assertThatThrownBy(() -> rows("a: 1\nrows:\n  - {id: x, grade: nine}\n")
                        .getFirst()
                        .number("grade"))
                .isInstanceOf(KnowledgeFault.class)
                .hasMessage("try.yaml, line 3: \"grade\" is \"nine\", expected a number");
        assertThatThrownBy(
                        () -> rows("rows:\n  - {id: x, grade: 9}\n").getFirst().number("grade", 0, 4))
                .hasMessageContaining("line 2")
                .hasMessageContaining("allowed is 0.0 to 4.0");
    }

    @Test
    void a_mistyped_key_is_not_passed_over() {
        Row row = rows("rows:\n  - {id: x, sourse: house}\n").getFirst();
        row.text("id");
        assertThatThrownBy(row::done).hasMessageContaining("sourse").hasMessageContaining("mistyped");
    }

    @Test
    void an_id_that_stands_twice_is_refused() {
        List<Row> rows = rows("rows:\n  - {id: x}\n  - {id: x}\n");
        assertThatThrownBy(() -> Row.unique(rows, r -> r.text("id"), id -> id))
                .hasMessageContaining("line 3")
                .hasMessageContaining("twice");
    }

    @Test
    void a_reason_without_a_known_source_is_refused() {
        Row row = rows("rows:\n  - {evidence: A, source: nobody-2030}\n").getFirst();
        assertThatThrownBy(() -> row.because("x"))
                .hasMessageContaining("nobody-2030")
                .hasMessageContaining("sources.yaml");
        Row custom = rows("rows:\n  - {evidence: B, source: custom}\n").getFirst();
        assertThatThrownBy(() -> custom.because("x")).hasMessageContaining("behind custom");
        Row table = rows("rows:\n  - {evidence: A, source: ingredient-table}\n").getFirst();
        assertThatThrownBy(() -> table.because("x")).hasMessageContaining("behind ingredient-table");
        Row letter = rows("rows:\n  - {evidence: Q, source: house}\n").getFirst();
        assertThatThrownBy(() -> letter.because("x")).hasMessageContaining("A, B, C, D, debated, house");
    }

    @Test
    void broken_yaml_and_missing_files_are_said_plainly() {
        assertThatThrownBy(() -> KnowledgeFile.yamlText("try.yaml", "a: [1, 2"))
                .hasMessageContaining("not readable YAML");
        assertThatThrownBy(() -> KnowledgeFile.yaml("none.yaml")).hasMessageContaining("missing");
    }

    @Test
    void a_reason_needs_a_sentence_and_a_source() {
        assertThatThrownBy(() -> new Because(" ", Evidence.SMALL, "house")).hasMessageContaining("explains nothing");
        assertThatThrownBy(() -> new Because("x", Evidence.SMALL, " ")).hasMessageContaining("no source");
        assertThat(Because.house("x").evidence()).isEqualTo(Evidence.PROPOSED);
    }

    private static List<Row> rows(String text) {
        return KnowledgeFile.yamlText("try.yaml", text).rows("rows");
    }
}

package outfell.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CellsTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "=HYPERLINK(\"x\")",
                "+1",
                "-1",
                "@sum",
                "\t=1",
                "'=quoted",
                "''=twice",
                "'tis",
                "",
                "plain, text",
                "a=b",
                "'"
            })
    void a_cell_is_never_run_and_reads_back_the_same(String text) {
        String written = Cells.safe(text);
        assertThat(written)
                .doesNotStartWith("=")
                .doesNotStartWith("+")
                .doesNotStartWith("-")
                .doesNotStartWith("@");
        assertThat(Cells.meant(written)).isEqualTo(text);
    }

    @ParameterizedTest
    @ValueSource(strings = {"Aqua", "'tis the sea", "1.5"})
    void what_is_no_formula_is_written_as_it_is(String text) {
        assertThat(Cells.safe(text)).isEqualTo(text);
    }
}

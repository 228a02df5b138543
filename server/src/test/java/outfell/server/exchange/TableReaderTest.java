package outfell.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import outfell.server.exchange.Remark.Code;
import tools.jackson.databind.json.JsonMapper;

class TableReaderTest {
    private static final TableReader READER = new TableReader(new JsonMapper());
    private static final String GOOD_CSV =
            "id,name,maker,size,unit,price,kind,texture,prescription,ingredients,retired\r\n"
                    + "a,\"Cream, \"\"plain\"\"\",Cold Bell,50,ml,12.5,,,no,\"Aqua,\nGlycerin\",\r\n"
                    + "b,Toner,,100,ml,,toner,1,no,Aqua,2026-01-02\r\n";
    private static final String GOOD_JSON =
            "{\"outfell\": \"catalogue\", \"version\": 1, \"products\": [{\"name\": \"Cream\", \"size\": 50}, {\"name\": \"Toner\"}]}";

    @Test
    void quotes_commas_and_line_breaks_inside_cells_are_kept() {
        Table table = read(GOOD_CSV);
        assertThat(table.remarks()).isEmpty();
        assertThat(table.rows()).hasSize(2);
        assertThat(table.rows().getFirst().get("name")).isEqualTo("Cream, \"plain\"");
        assertThat(table.rows().getFirst().get("ingredients")).isEqualTo("Aqua,\nGlycerin");
        assertThat(table.rows().getFirst().line()).isEqualTo(2);
        // the cell before took two lines
        assertThat(table.rows().getLast().line()).isEqualTo(4);
        assertThat(table.decimalComma()).isFalse();
    }

    @Test
    void a_first_line_with_semicolons_makes_the_comma_decimal() {
        Table table = read("name;price;ingredients\nCream;12,5;Aqua, Glycerin\n");
        assertThat(table.decimalComma()).isTrue();
        assertThat(table.rows().getFirst().get("ingredients")).isEqualTo("Aqua, Glycerin");
    }

    @ParameterizedTest
    @CsvSource({"windows-1252", "ISO-8859-15", "UTF-16LE", "UTF-16BE", "UTF-8"})
    void every_common_code_page_is_read_and_said(String page) throws Exception {
        String text = "name;maker;ingredients\nCrème légère à l'huile;Bouée & Fils;Eau, Glycérine, Huile végétale\n";
        byte[] marked = (page.startsWith("UTF") ? "\uFEFF" + text : text).getBytes(page);
        Table table = READER.read(What.CATALOGUE, marked, Map.of());
        assertThat(table.rows().getFirst().get("name")).isEqualTo("Crème légère à l'huile");
        assertThat(table.rows().getFirst().get("ingredients")).isEqualTo("Eau, Glycérine, Huile végétale");
        assertThat(table.remarks())
                .extracting(Remark::code)
                .isEqualTo(page.equals("UTF-8") ? List.of() : List.of(Code.CODE_PAGE));
    }

    @Test
    void korean_and_cyrillic_code_pages_are_told_apart() throws Exception {
        String korean = "name,ingredients\n바다 크림,\"정제수, 글리세린, 부틸렌글라이콜, 나이아신아마이드, 판테놀\"\n";
        assertThat(READER.read(What.CATALOGUE, korean.getBytes("EUC-KR"), Map.of())
                        .rows()
                        .getFirst()
                        .get("name"))
                .isEqualTo("바다 크림");
    }

    @Test
    void a_spreadsheets_own_file_and_other_bytes_are_no_text() {
        byte[] zip = {'P', 'K', 3, 4, 20, 0, 0, 0};
        assertThat(READER.read(What.CATALOGUE, zip, Map.of()).remarks())
                .extracting(Remark::code)
                .containsExactly(Code.NO_TEXT);
        assertThat(READER.read(What.CATALOGUE, new byte[] {1, 0, 2, 0, 3, 0, (byte) 0xff}, Map.of())
                        .remarks())
                .extracting(Remark::code)
                .contains(Code.NO_TEXT);
    }

    @ParameterizedTest
    @CsvSource({"'\t', false", "'|', false", "';', true", "',', false"})
    void cells_are_parted_by_what_the_first_line_has_most(String mark, boolean comma) {
        Table table = read("name,price,maker".replace(",", mark) + "\nCream" + mark + "3" + mark + "Bell\n");
        assertThat(table.rows().getFirst().get("maker")).isEqualTo("Bell");
        assertThat(table.decimalComma()).isEqualTo(comma);
    }

    @Test
    void a_line_that_says_what_parts_the_cells_is_followed_and_counted() {
        Table table = read("sep=;\r\nname;price;ingredients\r\nCream;3,5;Aqua, Glycerin\r\n");
        assertThat(table.rows().getFirst().get("ingredients")).isEqualTo("Aqua, Glycerin");
        assertThat(table.rows().getFirst().line()).isEqualTo(3);
        assertThat(table.decimalComma()).isTrue();
    }

    @Test
    void between_tabs_the_cells_tell_which_mark_stands_before_decimals() {
        assertThat(read("name\tprice\nA\t3,50\nB\t12\n").decimalComma()).isTrue();
        assertThat(read("name\tprice\nA\t3.50\nB\t12\n").decimalComma()).isFalse();
    }

    @Test
    void headings_of_price_lists_are_known_and_others_are_what_the_practice_said() {
        Table table = read("Bezeichnung;Hersteller;Inhalt;VK;INCI\nCreme;Glocke;50 ml;12,5;Aqua\n");
        assertThat(table.rows().getFirst().get("name")).isEqualTo("Creme");
        assertThat(table.rows().getFirst().get("ingredients")).isEqualTo("Aqua");
        assertThat(table.headings().get(2)).isEqualTo(new Table.Heading("Inhalt", "size", "50 ml"));
        byte[] strange = "Ware,Bin\nCream,4\n".getBytes(StandardCharsets.UTF_8);
        Table unknown = READER.read(What.CATALOGUE, strange, Map.of());
        assertThat(unknown.remarks())
                .extracting(Remark::code)
                .containsExactly(Code.UNKNOWN_COLUMN, Code.UNKNOWN_COLUMN, Code.MISSING_COLUMN);
        assertThat(unknown.headings()).hasSize(2);
        Table said = READER.read(What.CATALOGUE, strange, Map.of("ware", "name", "bin", ""));
        assertThat(said.remarks()).isEmpty();
        assertThat(said.rows().getFirst().get("name")).isEqualTo("Cream");
    }

    @ParameterizedTest
    @CsvSource({"Name", "NAME", "' name '", "\"name\""})
    void column_names_are_read_in_any_dress(String name) {
        assertThat(read(name + ",price\nCream,3\n").rows().getFirst().get("name"))
                .isEqualTo("Cream");
    }

    @Test
    void a_column_named_twice_stops_and_an_unknown_one_does_not() {
        assertThat(read("name,name\nA,B\n").remarks()).extracting(Remark::code).containsExactly(Code.TWICE_IN_FILE);
        Table colour = read("name,colour\nA,blue\n");
        assertThat(colour.remarks()).extracting(Remark::code).containsExactly(Code.UNKNOWN_COLUMN);
        assertThat(colour.rows()).hasSize(1);
    }

    @Test
    void json_is_read_to_the_same_rows_and_faults_stand_at_their_product() {
        Table table = read(GOOD_JSON);
        assertThat(table.remarks()).isEmpty();
        assertThat(table.rows()).extracting(r -> r.get("name")).containsExactly("Cream", "Toner");
        assertThat(table.rows().getFirst().get("size")).isEqualTo("50");
        assertThat(table.rows().getLast().byColumn()).doesNotContainKey("size");
        Table wrong = read(GOOD_JSON.replace("\"Toner\"", "7"));
        assertThat(wrong.rows()).isEmpty();
        assertThat(wrong.remarks()).singleElement().satisfies(r -> {
            assertThat(r.line()).isEqualTo(2);
            assertThat(r.column()).isEqualTo("name");
            assertThat(r.code()).isEqualTo(Code.WRONG_SHAPE);
        });
    }

    @Test
    void no_file_however_broken_makes_it_throw() {
        Random random = new Random(5);
        List<byte[]> seeds = List.of(
                GOOD_CSV.getBytes(StandardCharsets.UTF_8),
                GOOD_JSON.getBytes(StandardCharsets.UTF_8),
                "name;price\nA;1\n".getBytes(StandardCharsets.UTF_8));
        byte[] marks = "\"\\,;{}[]\n\r\uFEFF\0x9é:".getBytes(StandardCharsets.UTF_8);
        for (int i = 0; i < 20_000; i++) {
            byte[] seed = seeds.get(random.nextInt(seeds.size())).clone();
            for (int k = random.nextInt(6); k >= 0; k--) {
                seed[random.nextInt(seed.length)] = marks[random.nextInt(marks.length)];
            }
            byte[] bytes = Arrays.copyOf(seed, random.nextInt(seed.length + 1));
            Table table = READER.read(random.nextBoolean() ? What.CATALOGUE : What.SHELF, bytes, Map.of());
            assertThat(table.remarks())
                    .allSatisfy(r -> assertThat(r.sentence()).isNotBlank())
                    .allSatisfy(r -> assertThat(r.line()).isNotNegative());
            // a file that gives no row says why
            assertThat(table.rows().isEmpty() && table.remarks().isEmpty() && bytes.length > 200)
                    .isFalse();
        }
    }

    private static Table read(String text) {
        return READER.read(What.CATALOGUE, text.getBytes(StandardCharsets.UTF_8), Map.of());
    }
}

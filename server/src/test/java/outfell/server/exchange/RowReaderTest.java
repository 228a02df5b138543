package outfell.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.validation.Validation;
import jakarta.validation.Validator;
import jakarta.validation.ValidatorFactory;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import outfell.product.StepKind;
import outfell.server.exchange.Remark.Code;

class RowReaderTest {
    private static final ValidatorFactory FACTORY = Validation.buildDefaultValidatorFactory();
    private static final Validator VALIDATOR = FACTORY.getValidator();
    private static final RowReader READER = new RowReader(VALIDATOR);

    @AfterAll
    static void close() {
        FACTORY.close();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12.5 | false | 12.5", "12,5 | false | 12.5", "12,50 | false | 12.5", "12,5 | true | 12.5",
                "1.234,5 | true | 1234.5", "12.5 | true | 12.5", "1 200 | false | 1200", "0 | false | 0"
            })
    void numbers_are_read_as_they_are_written(String typed, boolean decimalComma, double value) {
        RowReader.Reading reading = read(decimalComma, Map.of("name", "A", "price", typed));
        assertThat(reading.remarks()).isEmpty();
        assertThat(reading.rows().getFirst().form().price()).isEqualTo(value);
    }

    @ParameterizedTest
    @ValueSource(strings = {"1,234", "1.2.3", "1,23,456", "abc", "1e9", "--1", "NaN"})
    void what_could_be_two_numbers_or_none_is_refused(String typed) {
        RowReader.Reading reading = read(false, Map.of("name", "A", "price", typed));
        assertThat(reading.rows()).isEmpty();
        assertThat(reading.remarks()).singleElement().satisfies(r -> {
            assertThat(r.code()).isEqualTo(Code.WRONG_NUMBER);
            assertThat(r.column()).isEqualTo("price");
            assertThat(r.sentence()).contains(typed);
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12.50|12.5",
                "€ 12.50|12.5",
                "12,50 €|12.5",
                "EUR 12.50|12.5",
                "12.50 eur|12.5",
                "1,234.50|1234.5",
                "1.234,50|1234.5",
                "1'234.50|1234.5",
                "1 234,50|1234.5",
                "0,125|0.13"
            })
    void prices_are_read_with_signs_codes_and_marks_for_thousands(String typed, double value) {
        RowReader.Reading reading = read(false, Map.of("name", "A", "price", typed));
        assertThat(reading.remarks()).isEmpty();
        assertThat(reading.rows().getFirst().form().price()).isEqualTo(value);
    }

    @ParameterizedTest
    @ValueSource(strings = {"$12", "12 GBP", "£12.50", "CHF 12"})
    void a_price_in_another_currency_is_another_price(String typed) {
        assertThat(read(false, Map.of("name", "A", "price", typed)).remarks())
                .extracting(Remark::code)
                .containsExactly(Code.WRONG_CURRENCY);
    }

    @ParameterizedTest
    @CsvSource({
        "50 ml, '', 50, ml",
        "50ml, ml, 50, ml",
        "'0,5 l', '', 500, ml",
        "'1.7 fl. oz.', '', 50.3, ml",
        "0.2, kg, 200, g",
        "5 cl, '', 50, ml",
        "30 g, '', 30, g"
    })
    void sizes_are_read_with_their_unit_in_one_cell_or_two(String size, String unit, double amount, String kept) {
        RowReader.Reading reading = read(false, Map.of("name", "A", "size", size, "unit", unit));
        assertThat(reading.remarks()).isEmpty();
        outfell.product.Product.Facts facts =
                reading.rows().getFirst().form().facts(new outfell.product.ProductId("a"));
        assertThat(facts.size()).isEqualTo(amount);
        assertThat(facts.unit()).isEqualTo(kept);
    }

    @Test
    void two_units_of_one_size_are_refused() {
        assertThat(read(false, Map.of("name", "A", "size", "50 ml", "unit", "g"))
                        .rows())
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "first-cleanse, FIRST_CLEANSE",
        "First Cleanse, FIRST_CLEANSE",
        "CLAY_MASK, CLAY_MASK",
        "toner, TONER",
        "moisturiser, MOISTURISER"
    })
    void kinds_are_known_by_code_and_by_word(String typed, StepKind kind) {
        assertThat(read(false, Map.of("name", "A", "kind", typed))
                        .rows()
                        .getFirst()
                        .form()
                        .kind())
                .isEqualTo(kind);
    }

    @Test
    void a_row_of_a_shelf_says_how_the_thing_is_used() {
        Map<String, String> cells = new HashMap<>(Map.of("name", "A", "weeks", "6", "morning", "no", "evening", "yes"));
        cells.putAll(Map.of("days_a_week", "3", "opened", "2026-01-02", "left", "40"));
        Row row = read(What.SHELF, false, cells).rows().getFirst();
        assertThat(row.use().weeks()).isEqualTo(6);
        assertThat(row.use().morning()).isFalse();
        assertThat(row.use().daysAWeek()).isEqualTo(3);
        assertThat(row.use().opened()).isEqualTo(LocalDate.of(2026, 1, 2));
        assertThat(row.use().left()).isEqualTo(40);
        Map<String, String> prescribed = Map.of("name", "A", "prescription", "yes", "nights", "Mon, wed FRIDAY");
        assertThat(read(What.SHELF, false, prescribed).rows().getFirst().nights())
                .containsExactly(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY);
    }

    @ParameterizedTest
    @CsvSource({
        "left, 101", "left, -1", "days_a_week, 8", "weeks, 2001", "weeks, 1.5", "opened, 2099-01-01",
                "opened, 1.2.2026",
        "morning, sometimes", "nights, Moonday", "prescription, yes", "texture, 9", "size, 5001", "unit, pints",
                "id, Not An Id",
        "id, files"
    })
    void what_is_out_of_bounds_is_said_at_its_column(String column, String typed) {
        RowReader.Reading reading = read(What.SHELF, false, Map.of("name", "A", column, typed));
        assertThat(reading.rows()).isEmpty();
        assertThat(reading.remarks()).anySatisfy(r -> {
            assertThat(r.column()).isEqualTo(column.equals("prescription") ? "nights" : column);
            assertThat(r.stops()).isTrue();
            assertThat(r.line()).isEqualTo(2);
        });
    }

    private static RowReader.Reading read(boolean decimalComma, Map<String, String> cells) {
        return read(What.CATALOGUE, decimalComma, cells);
    }

    private static RowReader.Reading read(What what, boolean decimalComma, Map<String, String> cells) {
        return READER.read(
                what,
                new Table(List.of(new Table.Cells(2, cells)), decimalComma, List.of(), List.of()),
                Currency.getInstance("EUR"));
    }
}

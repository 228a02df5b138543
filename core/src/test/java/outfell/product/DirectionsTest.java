package outfell.product;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DirectionsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Clay mask | Apply to clean dry skin, avoiding the eye area. Leave on for 10-15 minutes, then rinse. Once or twice a week. | SKIN dry, EYES no, LEAVES rinse, MINUTES 10, TIMES 2",
                "Reinigungsmilch, cleansing milk | Auf die feuchte Haut geben, abspülen. 12 M | SKIN damp, LEAVES rinse, MONTHS 12",
                "Cleansing milk | Massage in, wipe off with cotton. No need to rinse. | LEAVES wipe",
                "Night cream | Smooth on every other night. Suitable for the eye area. 0.8 ml per pump. | EYES yes, TIMES 4, DOSE 0.8",
                "Sheet mask | Leave 20 minutes. 2 to 3 times per week. | MINUTES 20, TIMES 3",
                "Cream for dry skin types | For dry skin. Avoid contact with eyes. | ",
                "Sunscreen SPF 50 | Apply 15 minutes before sun. Renew every 80 minutes. Use within 12 months. | MONTHS 12",
                "Serum | Apply on damp skin. Dropper = 0.7 ml | SKIN damp, DOSE 0.7",
                "Peeling serum | Wait 5 minutes after washing. | ",
                "Body lotion 50 ml | 24M | MONTHS 24",
                "Wash | Keep 500 months after opening. | ",
                "Two-part clay mask | Leave part one for 10 minutes, then part two for 3 minutes. Part 1: 50 ml. Part 2: 30 ml. | MINUTES 10, SECOND_MINUTES 3, SECOND_SIZE 30",
                "Clay mask | Leave part one for 10 minutes, then part two for 3 minutes. Part 2: 30 ml. | MINUTES 10",
            })
    void a_pack_is_taken_at_its_words_and_where_it_is_silent_nothing_is_known(String name, String text, String told) {
        Directions read = product(name, text, List.of()).directions();
        List<String> all = java.util.stream.Stream.of(Direction.values())
                .filter(d -> read.told().containsKey(d))
                .map(d -> d + " "
                        + java.util.Objects.requireNonNull(read.told().get(d)).value())
                .toList();
        assertThat(String.join(", ", all)).isEqualTo(told == null ? "" : told);
    }

    @Test
    void the_words_of_the_pack_are_quoted() {
        Directions read = product(
                        "Clay mask", "Rich in minerals. Leave on for 10 minutes and rinse. Cruelty free.", List.of())
                .directions();
        assertThat(read.because())
                .extracting(outfell.knowledge.Because::sentence)
                .contains("Leave on for 10 minutes. The pack says: \"Leave on for 10 minutes and rinse\".");
    }

    @Test
    void what_somebody_says_stands_over_the_pack_and_can_say_that_it_is_silent() {
        String text = "Leave on for 10 minutes. Twice a week.";
        Directions read = product(
                        "Clay mask", text, List.of(said("MINUTES", "7"), said("TIMES", ""), said("SKIN", "damp")))
                .directions();
        assertThat(read.contact()).hasValue(420);
        assertThat(read.times()).isEmpty();
        assertThat(read.dry()).hasValue(false);
        assertThat(read.because()).anySatisfy(b -> assertThat(b.sentence()).contains("Said by Ada on 2 May 2026"));
    }

    @Test
    void what_no_pack_can_say_is_refused() {
        assertThatThrownBy(() -> said("MINUTES", "0")).hasMessageContaining("a number from 1 to 60");
        assertThatThrownBy(() -> said("MINUTES", "2.5")).hasMessageContaining("a number from 1 to 60");
        assertThatThrownBy(() -> said("SKIN", "oily")).hasMessageContaining("one of on dry skin, on damp skin");
        assertThatThrownBy(() -> said("COLOUR", "red")).hasMessageContaining("No pack directs");
    }

    @Test
    void what_is_asked_of_a_kind_concerns_it() {
        assertThat(Directions.all())
                .allSatisfy(a -> assertThat(a.kinds()).as(a.question()).containsAll(a.asks()))
                .anySatisfy(a -> assertThat(a.asks()).isNotEmpty());
    }

    @Test
    void it_is_asked_until_somebody_has_said_it_or_that_the_pack_is_silent() {
        Directions.Asked minutes = Directions.asked(Direction.MINUTES);
        assertThat(Directions.toAsk(product("Clay mask", "Rinse.", List.of()), minutes))
                .isTrue();
        assertThat(Directions.toAsk(product("Clay mask", "Leave on for 10 minutes.", List.of()), minutes))
                .isFalse();
        assertThat(Directions.toAsk(product("Clay mask", "Rinse.", List.of(said("MINUTES", ""))), minutes))
                .isFalse();
        assertThat(Directions.toAsk(product("Water toner", "", List.of()), minutes))
                .isFalse();
    }

    @Test
    void what_does_not_concern_a_kind_is_not_asked_of_it() {
        assertThat(product("Water toner", "Leave on for 10 minutes", List.of())
                        .directions()
                        .told())
                .isEmpty();
    }

    private static Correction said(String of, String to) {
        return new Correction(Correction.About.DIRECTION, of, to, "Ada", LocalDate.of(2026, 5, 2));
    }

    private static Product product(String name, String text, List<Correction> corrections) {
        return ProductReader.read(new Product.Facts(
                        new ProductId("pack"),
                        name,
                        "Nobody",
                        50,
                        "ml",
                        10,
                        text,
                        Optional.empty(),
                        OptionalDouble.empty(),
                        false)
                .corrected(corrections));
    }
}

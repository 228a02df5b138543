package outfell.safety;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import outfell.safety.PatchTest.Kind;
import outfell.safety.PatchTest.Reading;
import outfell.safety.PatchTest.Standing;

class PatchTestTest {
    private static final LocalDateTime START = LocalDateTime.of(2026, 11, 20, 10, 0);

    @ParameterizedTest
    @CsvSource({
        "'', OPEN",
        "'24:0 48:0', OPEN",
        "'24:0 48:0 72:0 96:0 168:0', MAY_USE",
        "'24:1 48:0 168:0', MAY_USE",
        "'24:1 48:1 72:1', OPEN",
        "'24:1 72.5:1', REPEAT_WEAKER",
        "'24:1 48:0 96:1', OPEN",
        "'24:2', DO_NOT_USE",
        "'24:0 48:3', REFER",
        "'0.5:4', URGENT",
        "'2:4', REFER"
    })
    void the_readings_of_a_use_test_come_to_a_verdict(String readings, Standing standing) {
        assertThat(test(Kind.USE_TEST, readings).verdict().standing()).isEqualTo(standing);
    }

    @Test
    void a_short_screen_is_done_after_two_days() {
        assertThat(test(Kind.SHORT_SCREEN, "24:0").verdict().standing()).isEqualTo(Standing.OPEN);
        assertThat(test(Kind.SHORT_SCREEN, "24:0 48:0").verdict().standing()).isEqualTo(Standing.MAY_USE);
    }

    @Test
    void the_next_reading_is_due_at_the_next_hour_of_the_table() {
        assertThat(test(Kind.USE_TEST, "").verdict().due()).hasValue(START);
        assertThat(test(Kind.USE_TEST, "0.25:0").verdict().due()).hasValue(START.plusHours(24));
        assertThat(test(Kind.USE_TEST, "0.25:0 47.5:0").verdict().due()).hasValue(START.plusHours(72));
        assertThat(test(Kind.USE_TEST, "24:2").verdict().due()).isEmpty();
    }

    @Test
    void a_grade_or_an_hour_that_cannot_be_is_refused() {
        assertThatThrownBy(() -> new Reading(24, 5)).hasMessageContaining("0..4");
        assertThatThrownBy(() -> new Reading(-1, 0)).hasMessageContaining("before it starts");
    }

    private static PatchTest test(Kind kind, String readings) {
        List<Reading> all = new ArrayList<>();
        for (String each : readings.isEmpty() ? new String[0] : readings.split(" ")) {
            String[] parts = each.split(":");
            all.add(new Reading(Double.parseDouble(parts[0]), Integer.parseInt(parts[1])));
        }
        return new PatchTest(kind, PatchTest.Site.FOREARM, START, all);
    }
}

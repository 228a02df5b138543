package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Month;
import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import outfell.causes.Months;

class MonthsTest {
    @Test
    void runs_of_months_go_over_the_end_of_the_year() {
        assertThat(Months.words(EnumSet.of(Month.NOVEMBER, Month.DECEMBER, Month.JANUARY)))
                .isEqualTo("November to January");
        assertThat(Months.words(EnumSet.of(Month.JUNE))).isEqualTo("June");
        assertThat(Months.words(EnumSet.of(Month.MARCH, Month.JUNE, Month.JULY)))
                .isEqualTo("March and June to July");
        assertThat(Months.words(EnumSet.allOf(Month.class))).isEqualTo("the whole year");
        assertThat(Months.words(Set.of())).isEmpty();
    }
}

package outfell.product;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import org.junit.jupiter.api.Test;

class NetSizeTest {
    @Test
    void millilitres_and_grams_stay_as_typed() {
        assertThat(NetSize.of(47.25, "ml")).isEqualTo(new NetSize(47.25, "ml"));
        assertThat(NetSize.of(0, "g")).isEqualTo(new NetSize(0, "g"));
    }

    @Test
    void ounces_become_millilitres_or_grams() {
        assertThat(NetSize.of(1, "fl oz")).isEqualTo(new NetSize(29.6, "ml"));
        assertThat(NetSize.of(1.7, "fl oz")).isEqualTo(new NetSize(50.3, "ml"));
        assertThat(NetSize.of(0.5, "oz")).isEqualTo(new NetSize(14.2, "g"));
    }

    @Test
    void any_other_unit_is_refused() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> NetSize.of(1, "pint"))
                .withMessageContaining("pint");
    }
}

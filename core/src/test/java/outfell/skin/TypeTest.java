package outfell.skin;

import static org.assertj.core.api.Assertions.assertThat;
import static outfell.skin.Faces.face;
import static outfell.skin.ProbeReading.Quantity.HYDRATION;
import static outfell.skin.ProbeReading.Quantity.SEBUM;
import static outfell.skin.Sign.DEHYDRATION_LINES;
import static outfell.skin.Sign.FLAKING;
import static outfell.skin.Sign.SHINE;
import static outfell.skin.Sign.TIGHTNESS;

import org.junit.jupiter.api.Test;
import outfell.skin.SkinVerdict.WaterState;

/** The worked examples of the type rule, with their hand-worked numbers. */
class TypeTest {
    @Test
    void all_normal_is_normal_and_hydrated() {
        SkinVerdict v = face().with(SHINE, 1, 2, 1, 1, 1)
                .measured(SEBUM, 150, 180, 140, 110, 115)
                .measured(HYDRATION, 55, 52, 50, 56, 57)
                .calm()
                .verdict();
        told(v, Band.NORMAL, false, 48.4, 46.0);
        water(v, WaterState.HYDRATED, 81.5);
        assertThat(((TypeVerdict.Told) v.type()).confidence()).isEqualTo(Confidence.HIGH);
    }

    @Test
    void oily_skin_that_is_tight_is_oily_and_dehydrated_at_once() {
        SkinVerdict v = face().with(SHINE, 3, 4, 3, 3, 3)
                .measured(SEBUM, 260, 300, 240, 220, 215)
                .with(TIGHTNESS, 2, 1, 2, 2, 2)
                .with(FLAKING, 1, 1, 1, 1, 1)
                .with(DEHYDRATION_LINES, 2, -1, -1, 2, 2)
                .measured(HYDRATION, 34, 36, 33, 31, 31)
                .verdict();
        told(v, Band.OILY, false, 80.1, 79.9);
        water(v, WaterState.DEHYDRATED, 40.6);
        assertThat(v.oilyOrThirsty().answer()).isEqualTo(SkinVerdict.OilyOrThirsty.Answer.BOTH);
    }

    @Test
    void a_nose_alone_does_not_make_dry_skin_oily() {
        SkinVerdict v = face().with(SHINE, 0, 3, 0, 0, 0)
                .with(TIGHTNESS, 2, 0, 1, 3, 3)
                .with(FLAKING, 1, 0, 1, 2, 2)
                .verdict();
        told(v, Band.DRY, false, 34.5, 15.0);
        water(v, WaterState.DEHYDRATED, 43.0);
        assertThat(((TypeVerdict.Told) v.type()).flags()).containsExactly("Only the nose is oily; the type stays.");
    }

    @Test
    void a_probe_that_contradicts_the_eye_is_said_and_lowers_confidence() {
        SkinVerdict v = face().with(SHINE, 3, 3, 3, 1, 1)
                .measured(SEBUM, 60, 70, 55, 90, 95)
                .measured(HYDRATION, 50, 50, 50, 50, 50)
                .calm()
                .verdict();
        told(v, Band.NORMAL, false, 50.8, 42.7);
        water(v, WaterState.HYDRATED, 79.5);
        assertThat(((TypeVerdict.Told) v.type()).confidence()).isEqualTo(Confidence.LOW);
        assertThat(v.contradictions()).hasSize(3);
    }

    @Test
    void cheeks_alone_are_provisional() {
        SkinVerdict v = face().with(SHINE, -1, -1, -1, 2, 2)
                .with(TIGHTNESS, -1, -1, -1, 0, 0)
                .with(FLAKING, -1, -1, -1, 0, 0)
                .verdict();
        assertThat(v.type()).isInstanceOfSatisfying(TypeVerdict.Provisional.class, p -> {
            assertThat(p.band()).isEqualTo(Band.OILY);
            assertThat(p.oil()).isEqualTo(68.0);
        });
        water(v, WaterState.HYDRATED, 90.0);
    }

    @Test
    void a_nose_alone_tells_nothing() {
        assertThat(face().with(SHINE, -1, 3).verdict().type()).isInstanceOf(TypeVerdict.NotYet.class);
    }

    @Test
    void classic_combination() {
        SkinVerdict v = face().with(SHINE, 3, 3, 2, 1, 1)
                .with(TIGHTNESS, 0, 0, 0, 1, 1)
                .with(FLAKING, 0, 0, 0, 0, 0)
                .verdict();
        told(v, Band.NORMAL, true, 74.0, 45.0);
        assertThat(v.type().words()).isEqualTo("combination, oily T-zone with normal cheeks");
        water(v, WaterState.HYDRATED, 79.0);
    }

    @Test
    void combination_with_dry_cheeks() {
        SkinVerdict v = face().with(SHINE, 2, 2, 1, 0, 0)
                .with(TIGHTNESS, 0, 0, 0, 2, 2)
                .with(FLAKING, 0, 0, 0, 2, 2)
                .verdict();
        told(v, Band.DRY, true, 54.6, 15.0);
        assertThat(v.type().words()).isEqualTo("combination, normal T-zone with dry cheeks");
        water(v, WaterState.SLIGHTLY_DEHYDRATED, 54.0);
    }

    @Test
    void matt_but_comfortable_is_not_dry() {
        SkinVerdict v = face().with(SHINE, 0, 0, 0, 0, 0).calm().verdict();
        told(v, Band.NORMAL, false, 35.0, 35.0);
        water(v, WaterState.HYDRATED, 90.0);
    }

    @Test
    void a_probe_without_an_eye_is_enough_for_a_type() {
        SkinVerdict v = face().measured(SEBUM, 250, -1, -1, 200).verdict();
        told(v, Band.OILY, false, 73.0, 71.5);
        assertThat(v.water().state()).isEqualTo(WaterState.NOT_YET);
    }

    @Test
    void twenty_one_apart_in_two_bands_is_a_combination() {
        SkinVerdict v = face().with(SHINE, 2, 3, 2, 1, 1).calm().verdict();
        told(v, Band.NORMAL, true, 66.0, 45.0);
    }

    @Test
    void a_reversed_pattern_is_flagged_and_not_called_a_combination() {
        SkinVerdict v = face().with(SHINE, 1, 1, 1, 2, 3).calm().verdict();
        told(v, Band.NORMAL, false, 42.0, 76.0);
        assertThat(((TypeVerdict.Told) v.type()).flags()).anyMatch(f -> f.contains("reversed pattern"));
    }

    @Test
    void dry_and_very_dehydrated() {
        SkinVerdict v = face().with(SHINE, 0, 0, 0, 0, 0)
                .measured(SEBUM, 40, 40, 40, 40, 40)
                .with(TIGHTNESS, 3, 3, 3, 3, 3)
                .with(FLAKING, 2, 2, 2, 2, 2)
                .with(DEHYDRATION_LINES, 2, 2, 2, 2, 2)
                .measured(HYDRATION, 26, 26, 26, 26, 26)
                .verdict();
        told(v, Band.DRY, false, 14.4, 18.0);
        water(v, WaterState.VERY_DEHYDRATED, 24.4);
    }

    @Test
    void nothing_read_says_what_would_settle_most() {
        SkinVerdict v = SkinReader.read(SkinReading.NONE, java.util.Set.of());
        assertThat(v.type()).isInstanceOf(TypeVerdict.NotYet.class);
        assertThat(v.barrier().state()).isEqualTo(SkinVerdict.BarrierState.NOT_YET);
        assertThat(v.concerns()).isEmpty();
        assertThat(v.missing().getFirst().what()).isEqualTo("Shine on the forehead");
    }

    private static void told(SkinVerdict v, Band overall, boolean combination, double t, double u) {
        assertThat(v.type()).isInstanceOfSatisfying(TypeVerdict.Told.class, told -> {
            assertThat(told.oilT()).isEqualTo(t);
            assertThat(told.oilU()).isEqualTo(u);
            assertThat(told.combination()).isEqualTo(combination);
            assertThat(told.overall()).isEqualTo(overall);
        });
    }

    private static void water(SkinVerdict v, WaterState state, double w) {
        assertThat(v.water().water()).hasValue(w);
        assertThat(v.water().state()).isEqualTo(state);
    }
}

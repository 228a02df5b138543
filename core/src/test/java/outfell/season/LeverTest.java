package outfell.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import outfell.climate.Air;
import outfell.climate.MonthlyAir;
import outfell.season.Asked.Carrier;
import outfell.season.Asked.Oil;
import outfell.season.Asked.Washing;
import outfell.season.Asked.Wearer;
import outfell.skin.Band;
import outfell.skin.Faces;
import outfell.skin.ProbeBands;
import outfell.skin.Sign;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;

/** What the air moves, each thing at the figures where it turns, and each with its switch. */
class LeverTest {
    private static final SkinVerdict OILY = skin(3, 0);
    private static final SkinVerdict NORMAL = skin(1, 0);
    private static final SkinVerdict SENSITIVE = skin(1, 3);
    private static final Air MILD = Air.of(new MonthlyAir(18, 60, 3, 2));
    private static final Air BITTER = Air.of(new MonthlyAir(-15, 65, 8, 7));
    private static final Air SWELTERING = Air.of(new MonthlyAir(31, 82, 3, 11));

    private static SkinVerdict skin(int shine, int sting) {
        return SkinReader.read(
                Faces.face()
                        .with(Sign.SHINE, shine, shine, shine, shine, shine)
                        .calm()
                        .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                        .with(Sign.STING, sting, sting, sting, sting, sting)
                        .history(sting, sting)
                        .reading(),
                Set.of(),
                ProbeBands.SHIPPED);
    }

    private static Wearer wearer(SkinVerdict skin, double outdoors) {
        return new Wearer(skin, false, outdoors, true, Optional.empty(), Optional.empty(), List.of());
    }

    private static Asked ask(SkinVerdict skin, Air air) {
        return Season.ask(air, wearer(skin, 2));
    }

    /** Mild air with its indices put where they are wanted. */
    private static Air at(double dryness, double heat, double uv) {
        return MILD.moved(
                dryness - MILD.dryness(),
                heat - MILD.heat(),
                uv - MILD.outdoors().uvIndex());
    }

    @ParameterizedTest
    @CsvSource({
        // dryness, heat: share of cream, layers of toner, wash, carrier, lips, mist, hands
        "0,    0,    1,    0, USUAL,    EITHER, false, false, false",
        "34.9, 0,    1,    0, USUAL,    EITHER, false, false, false",
        "35,   0,    1.25, 1, GENTLE,   EITHER, true,  false, true",
        "49.9, 0,    1.25, 1, GENTLE,   EITHER, true,  false, true",
        "50,   0,    1.25, 1, GENTLE,   OIL,    true,  true,  true",
        "0,    49.9, 1,    0, USUAL,    EITHER, false, false, false",
        "0,    50,   0.75, 0, THOROUGH, WATER,  false, false, false",
        "0,    75,   0.75, -1, THOROUGH, WATER, false, false, false",
    })
    void each_turns_at_its_figure(
            double dryness,
            double heat,
            double cream,
            int toner,
            Washing wash,
            Carrier carrier,
            boolean lips,
            boolean mist,
            boolean hands) {
        Asked asked = ask(NORMAL, at(dryness, heat, 2));
        assertThat(asked.creamAmount().share()).isEqualTo(cream);
        assertThat(asked.tonerLayers().value()).isEqualTo(toner);
        assertThat(asked.wash().washing()).isEqualTo(wash);
        assertThat(asked.carrier().by()).isEqualTo(carrier);
        assertThat(asked.lips().yes()).isEqualTo(lips);
        assertThat(asked.mist().yes()).isEqualTo(mist);
        assertThat(asked.hands().yes()).isEqualTo(hands);
    }

    @ParameterizedTest
    @CsvSource({
        // dryness: on a skin that is tolerant, on a sensitive one
        "49.9, false, false",
        "50,   false, true",
        "74.9, false, true",
        "75,   true,  true",
    })
    void a_retinoid_that_is_long_borne_has_a_night_fewer_in_dry_air_sooner_on_a_sensitive_skin(
            double dryness, boolean tolerant, boolean sensitive) {
        assertThat(ask(NORMAL, at(dryness, 0, 2)).retinoidFewer().yes()).isEqualTo(tolerant);
        assertThat(ask(SENSITIVE, at(dryness, 0, 2)).retinoidFewer().yes()).isEqualTo(sensitive);
    }

    @ParameterizedTest
    @CsvSource({
        "true,  2.4, 8, false",
        "true,  2.5, 1, true",
        "true,  2.5, 0.9, false",
        "true,  11, 12, true",
        "false, 11, 12, false"
    })
    void who_is_on_water_under_a_sun_that_counts_wears_what_stays_on_there(
            boolean inWater, double uv, double hours, boolean yes) {
        Wearer wearer = new Wearer(NORMAL, false, hours, inWater, Optional.empty(), Optional.empty(), List.of());
        Asked asked = Season.ask(at(0, 0, uv), wearer);
        assertThat(asked.waterFast().yes()).isEqualTo(yes);
        assertThat(asked.waterFast().because().sentence()).isNotBlank();
    }

    @ParameterizedTest
    @CsvSource({"2.4, 8, 0", "2.5, 1, 2", "2.5, 0.9, 0", "11, 0, 0", "11, 12, 2"})
    void the_sunscreen_is_put_on_again_under_a_sun_that_counts_by_who_is_out(double uv, double hours, int every) {
        Asked asked = Season.ask(at(0, 0, uv), wearer(NORMAL, hours));
        assertThat(asked.sunAgain().value()).isEqualTo(every);
        assertThat(asked.sunAgain().because().sentence()).contains(every == 0 ? "once a day" : "every 2 hours");
    }

    @ParameterizedTest
    @CsvSource({
        "49.9, 0, BY_METHOD",
        "50, 0, OVER_CREAM",
        "50, 40, OVER_CREAM",
        "0, 24.9, BY_METHOD",
        "0, 25, IN_CREAM",
    })
    void where_an_oil_is_asked_for_dry_air_lays_it_over_the_cream_and_warm_air_into_it(
            double dryness, double heat, Oil lies) {
        SkinVerdict dry = dry();
        assertThat(dry.type().bandU()).isEqualTo(Band.DRY);
        assertThat(ask(dry, at(dryness, heat, 2)).oilPlace().oil()).isEqualTo(lies);
        assertThat(ask(NORMAL, at(dryness, heat, 2)).oilPlace().oil()).isEqualTo(Oil.BY_METHOD);
    }

    @Test
    void an_oily_skin_gets_no_oil_for_a_carrier() {
        assertThat(ask(OILY, at(60, 0, 2)).carrier().by()).isEqualTo(Carrier.EITHER);
    }

    @ParameterizedTest
    @EnumSource(Lever.class)
    void what_is_switched_off_is_asked_as_in_mild_air_and_nothing_else_is(Lever lever) {
        if (lever == Lever.AIR) {
            return;
        }
        for (Air air : List.of(BITTER, SWELTERING)) {
            for (SkinVerdict skin : List.of(OILY, NORMAL, SENSITIVE)) {
                Asked asked = ask(skin, air);
                Asked still = Season.ask(air, wearer(skin, 2), Set.of(lever));
                assertThat(lever.differs(still, ask(skin, MILD))).isFalse();
                EnumSet.complementOf(EnumSet.of(lever))
                        .forEach(other -> assertThat(other.differs(still, asked))
                                .as(other.name())
                                .isFalse());
            }
        }
    }

    @ParameterizedTest
    @EnumSource(Lever.class)
    void some_air_moves_it_for_some_skin_and_taking_it_back_undoes_it_alone(Lever lever) {
        boolean moved = false;
        for (Air air : List.of(BITTER, SWELTERING)) {
            for (SkinVerdict skin : List.of(OILY, NORMAL, SENSITIVE, dry())) {
                Asked asked = ask(skin, air);
                Asked mild = ask(skin, MILD);
                moved |= lever.differs(asked, mild);
                Asked back = asked.with(lever, mild);
                assertThat(lever.differs(back, mild)).isFalse();
                EnumSet.complementOf(EnumSet.of(lever))
                        .forEach(other -> assertThat(other.differs(back, asked))
                                .as(other.name())
                                .isFalse());
            }
        }
        assertThat(moved).isTrue();
        assertThat(lever.words()).isNotBlank();
    }

    private static SkinVerdict dry() {
        return SkinReader.read(
                Faces.face()
                        .with(Sign.SHINE, 0, 0, 0, 0, 0)
                        .with(Sign.TIGHTNESS, 1, 0, 1, 2, 2)
                        .with(Sign.FLAKING, 0, 0, 0, 1, 1)
                        .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                        .with(Sign.STING, 0, 0, 0, 0, 0)
                        .history(0, 0)
                        .reading(),
                Set.of(),
                ProbeBands.SHIPPED);
    }
}

package outfell.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import outfell.climate.Air;
import outfell.climate.Air.DryBand;
import outfell.climate.Air.HeatBand;
import outfell.climate.Air.UvBand;
import outfell.climate.MonthlyAir;
import outfell.knowledge.Because;
import outfell.season.Asked.Least;
import outfell.season.Asked.Wearer;
import outfell.skin.Band;
import outfell.skin.Concern;
import outfell.skin.Faces;
import outfell.skin.ProbeBands;
import outfell.skin.Sign;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;

/** What a month's air asks of each skin, at the figures where it turns. */
class SeasonTest {
    private static final SkinVerdict OILY = calm(3, 3);
    private static final SkinVerdict NORMAL = calm(1, 1);
    private static final SkinVerdict DRY = read(Faces.face()
            .with(Sign.SHINE, 0, 0, 0, 0, 0)
            .with(Sign.TIGHTNESS, 1, 0, 1, 2, 2)
            .with(Sign.FLAKING, 0, 0, 0, 1, 1)
            .with(Sign.REDNESS, 0, 0, 0, 0, 0)
            .with(Sign.STING, 0, 0, 0, 0, 0)
            .history(0, 0));
    private static final SkinVerdict COMBINATION = calm(3, 0);
    private static final SkinVerdict STRAINED = tight(2, 1, 1);
    private static final SkinVerdict BROKEN = tight(4, 4, 4);

    private static SkinVerdict calm(int t, int u) {
        return read(Faces.face()
                .with(Sign.SHINE, t, t, t, u, u)
                .calm()
                .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .history(0, 0));
    }

    private static SkinVerdict tight(int tight, int flakes, int stings) {
        return read(Faces.face()
                .with(Sign.SHINE, 1, 1, 1, 1, 1)
                .with(Sign.TIGHTNESS, tight, tight, tight, tight, tight)
                .with(Sign.FLAKING, flakes, flakes, flakes, flakes, flakes)
                .with(Sign.REDNESS, 1, 1, 1, 1, 1)
                .with(Sign.STING, stings, stings, stings, stings, stings)
                .history(0, 0));
    }

    private static SkinVerdict read(Faces face) {
        return SkinReader.read(face.reading(), Set.of(), ProbeBands.SHIPPED);
    }

    private static Air air(double dryness, double heat, double uv) {
        return air(dryness, heat, uv, false);
    }

    private static Air air(double dryness, double heat, double uv, boolean dryHeat) {
        return new Air(
                new MonthlyAir(15, 60, 4, uv),
                20,
                45,
                8,
                dryness,
                heat,
                dryness < 25
                        ? DryBand.LOW
                        : dryness < 50 ? DryBand.MODERATE : dryness < 75 ? DryBand.HIGH : DryBand.SEVERE,
                dryHeat
                        ? HeatBand.DRY_HEAT
                        : heat < 25
                                ? HeatBand.NONE
                                : heat < 50 ? HeatBand.WARM : heat < 75 ? HeatBand.HOT : HeatBand.SWELTERING,
                UvBand.LOW,
                Because.house("rooms"),
                Because.house("dry"),
                Because.house("heat"));
    }

    private static Asked ask(SkinVerdict skin, Air air) {
        return ask(skin, air, false, 2, List.of());
    }

    private static Asked ask(SkinVerdict skin, Air air, boolean swings, double outdoors, List<Concern> concerns) {
        return Season.ask(air, new Wearer(skin, swings, outdoors, false, Optional.empty(), Optional.empty(), concerns));
    }

    @Test
    void the_skins_are_those_that_are_meant() {
        assertThat(STRAINED.barrier().state()).isEqualTo(SkinVerdict.BarrierState.STRAINED);
        assertThat(BROKEN.barrier().state()).isEqualTo(SkinVerdict.BarrierState.BROKEN);
        assertThat(COMBINATION.type().combination()).isTrue();
        assertThat(DRY.type().bandU()).isEqualTo(Band.DRY);
        assertThat(DRY.barrier().state()).isEqualTo(SkinVerdict.BarrierState.SOUND);
    }

    @ParameterizedTest
    @CsvSource({
        // dryness, heat: oily, normal, dry, combination by night; the same by day
        "34.9, 0,   4.5, 5.5, 6.5, 5,   4.5, 5.5, 6.5, 5",
        "35,   0,   5.5, 6.5, 7.5, 6,   4.5, 5.5, 6.5, 5",
        "0,    24.9, 4.5, 5.5, 6.5, 5,  4.5, 5.5, 6.5, 5",
        "0,    25,  3.5, 5.5, 6.5, 4,   3.5, 5.5, 6.5, 4",
        "0,    50,  3.5, 4.5, 6.5, 4,   3.5, 4.5, 6.5, 4",
        "0,    75,  3,   4.5, 5.5, 3,   3,   4.5, 5.5, 3",
        // dry and warm: richer by night, lighter by day; dry and hot: the dry rooms rule by night
        "35,   25,  4.5, 6.5, 7.5, 5,   3.5, 5.5, 6.5, 4",
        "35,   50,  5.5, 6.5, 7.5, 6,   3.5, 4.5, 6.5, 4",
    })
    void the_cream_follows_dryness_and_heat(
            double dryness,
            double heat,
            double oily,
            double normal,
            double dry,
            double combination,
            double oilyByDay,
            double normalByDay,
            double dryByDay,
            double combinationByDay) {
        Air air = air(dryness, heat, 2);
        assertThat(ask(OILY, air).moisturiser().grade()).as("oily").isEqualTo(oily);
        assertThat(ask(NORMAL, air).moisturiser().grade()).as("normal").isEqualTo(normal);
        assertThat(ask(DRY, air).moisturiser().grade()).as("dry").isEqualTo(dry);
        assertThat(ask(COMBINATION, air).moisturiser().grade())
                .as("combination")
                .isEqualTo(combination);
        assertThat(ask(OILY, air).moisturiserByDay().grade()).as("oily by day").isEqualTo(oilyByDay);
        assertThat(ask(NORMAL, air).moisturiserByDay().grade())
                .as("normal by day")
                .isEqualTo(normalByDay);
        assertThat(ask(DRY, air).moisturiserByDay().grade()).as("dry by day").isEqualTo(dryByDay);
        assertThat(ask(COMBINATION, air).moisturiserByDay().grade())
                .as("combination by day")
                .isEqualTo(combinationByDay);
    }

    @Test
    void a_skin_that_swings_turns_sooner() {
        assertThat(ask(NORMAL, air(24.9, 0, 2), true, 2, List.of())
                        .moisturiser()
                        .grade())
                .isEqualTo(5.5);
        assertThat(ask(NORMAL, air(25, 0, 2), true, 2, List.of()).moisturiser().grade())
                .isEqualTo(6.5);
        assertThat(ask(NORMAL, air(25, 0, 2), true, 2, List.of())
                        .moisturiser()
                        .because()
                        .sentence())
                .contains("swings");
        assertThat(ask(NORMAL, air(0, 25, 2), true, 2, List.of()).moisturiser().grade())
                .as("warm counts as hot")
                .isEqualTo(4.5);
    }

    @Test
    void a_strained_barrier_makes_the_night_richer_and_dry_rooms_once_more() {
        assertThat(ask(STRAINED, air(0, 0, 2)).moisturiser().grade()).isEqualTo(6.5);
        assertThat(ask(STRAINED, air(35, 0, 2)).moisturiser().grade()).isEqualTo(7.5);
        assertThat(ask(STRAINED, air(0, 0, 2)).moisturiserByDay().grade()).isEqualTo(5.5);
        assertThat(ask(BROKEN, air(0, 80, 2)).moisturiser().grade()).isEqualTo(7);
    }

    @ParameterizedTest
    @CsvSource({
        // dryness, heat: seal on oily, normal, strained
        "49.9, 0, false, false, true",
        "50, 0, false, true, true",
        "75, 0, true, true, true",
        "0, 49.9, false, false, true",
        "0, 50, false, false, false",
    })
    void a_seal_is_asked_for_by_dry_air_and_by_a_strained_barrier_that_is_not_hot(
            double dryness, double heat, boolean oily, boolean normal, boolean strained) {
        Air air = air(dryness, heat, 2);
        assertThat(ask(OILY, air).seal().yes()).isEqualTo(oily);
        assertThat(ask(NORMAL, air).seal().yes()).isEqualTo(normal);
        assertThat(ask(STRAINED, air).seal().yes()).isEqualTo(strained);
        assertThat(ask(BROKEN, air).seal().yes()).isTrue();
    }

    @Test
    void an_oil_is_for_dry_skin_in_cool_air() {
        assertThat(ask(DRY, air(0, 49.9, 2)).oil().yes()).isTrue();
        assertThat(ask(DRY, air(0, 50, 2)).oil().yes()).isFalse();
        assertThat(ask(DRY, air(0, 50, 2)).oil().because().sentence())
                .isEqualTo("Heat 50 of 100: from 50 on no oil is asked for.");
        assertThat(ask(NORMAL, air(0, 0, 2)).oil().yes()).isFalse();
        assertThat(ask(NORMAL, air(0, 0, 2)).oil().because().sentence()).contains("enough of its own");
    }

    @Test
    void only_an_oily_calm_skin_in_sweltering_heat_goes_without_a_cream_by_day() {
        assertThat(ask(OILY, air(0, 74.9, 2)).moisturiserNeeded().yes()).isTrue();
        assertThat(ask(OILY, air(0, 75, 2)).moisturiserNeeded().yes())
                .isEqualTo(OILY.water().dehydrated());
        assertThat(ask(NORMAL, air(0, 75, 2)).moisturiserNeeded().yes()).isTrue();
        assertThat(ask(OILY, air(0, 80, 2, true)).moisturiserNeeded().yes())
                .as("dry heat")
                .isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "5.4, 2, 30",
        "5.5, 2, 50",
        "2.4, 3, 30",
        "2.5, 3, 50",
        "2.5, 2.9, 30",
        "0, 12, 30",
    })
    void the_sunscreen_follows_the_sun_and_the_hours_outdoors(double uv, double hours, int spf) {
        Asked asked = ask(NORMAL, air(0, 0, uv), false, hours, List.of());
        assertThat(asked.spf().value()).isEqualTo(spf);
        assertThat(asked.spf().because().sentence()).contains("SPF " + spf);
    }

    @Test
    void marks_among_the_first_three_and_what_health_asks_raise_it_all_year() {
        List<Concern> third = List.of(Concern.REDNESS, Concern.LINES, Concern.PIGMENT);
        List<Concern> fourth = List.of(Concern.REDNESS, Concern.LINES, Concern.PORES, Concern.PIGMENT);
        assertThat(ask(NORMAL, air(0, 0, 0), false, 0, third).spf().value()).isEqualTo(50);
        assertThat(ask(NORMAL, air(0, 0, 0), false, 0, fourth).spf().value()).isEqualTo(30);
        Least least = new Least(40, Because.house("a medicine"));
        Wearer wearer = new Wearer(NORMAL, false, 0, false, Optional.of(least), Optional.empty(), List.of());
        assertThat(Season.ask(air(0, 0, 9), wearer).spf()).isEqualTo(least);
    }

    @Test
    void strong_things_begin_and_exfoliation_goes_on_by_sun_and_dryness() {
        assertThat(ask(NORMAL, air(0, 0, 5.9)).newRetinoid().yes()).isTrue();
        assertThat(ask(NORMAL, air(0, 0, 6)).newRetinoid().yes()).isFalse();
        assertThat(ask(NORMAL, air(0, 0, 5.9)).newAcid().yes()).isTrue();
        assertThat(ask(NORMAL, air(0, 0, 6)).newAcid().yes()).isFalse();
        assertThat(ask(NORMAL, air(74.9, 0, 2)).newRetinoid().yes()).isTrue();
        assertThat(ask(NORMAL, air(75, 0, 2)).newRetinoid().yes()).isFalse();
        assertThat(ask(NORMAL, air(75, 0, 2)).newAcid().yes())
                .as("an acid minds the sun only")
                .isTrue();
        assertThat(ask(NORMAL, air(49.9, 0, 2)).exfoliantsHalved().yes()).isFalse();
        assertThat(ask(NORMAL, air(50, 0, 2)).exfoliantsHalved().yes()).isTrue();
        Because no = Because.house("an illness");
        Wearer wearer = new Wearer(NORMAL, false, 0, false, Optional.empty(), Optional.of(no), List.of());
        assertThat(Season.ask(air(0, 0, 0), wearer).newAcid().yes()).isFalse();
        assertThat(Season.ask(air(0, 0, 0), wearer).newAcid().because()).isEqualTo(no);
    }

    @Test
    void the_cream_says_what_made_it_so() {
        assertThat(sentence(NORMAL, air(0, 0, 2)))
                .isEqualTo("The skin asks for texture 5.5; rooms at 45 % and heat 0 of 100 leave it there.");
        assertThat(sentence(NORMAL, air(35, 0, 2)))
                .isEqualTo(
                        "The skin asks for texture 5.5; rooms at 45 % and dryness 35 of 100 make it one richer: 6.5.");
        assertThat(sentence(NORMAL, air(0, 50, 2)))
                .isEqualTo("The skin asks for texture 5.5; heat 50 of 100 makes it one lighter: 4.5.");
        assertThat(sentence(OILY, air(0, 75, 2)))
                .isEqualTo("The skin asks for texture 4.5; heat 75 of 100 makes it two lighter: 3.");
        assertThat(sentence(STRAINED, air(0, 0, 2)))
                .isEqualTo("The skin asks for texture 5.5; a strained barrier makes it one richer: 6.5.");
        assertThat(sentence(STRAINED, air(35, 0, 2)))
                .isEqualTo(
                        "The skin asks for texture 5.5; rooms at 45 % and dryness 35 of 100 make it one richer, a strained barrier makes it one richer: 7.5.");
        assertThat(ask(NORMAL, air(0, 25, 2), true, 2, List.of())
                        .moisturiser()
                        .because()
                        .sentence())
                .isEqualTo(
                        "The skin asks for texture 5.5; heat 25 of 100 makes it one lighter: 4.5, sooner since it swings with the season.");
        assertThat(ask(NORMAL, air(0, 0, 2)).moisturiserByDay().because().sentence())
                .isEqualTo("Under the sunscreen texture 5.5 is enough.");
        assertThat(ask(NORMAL, air(0, 50, 2)).moisturiserByDay().because().sentence())
                .isEqualTo("Under the sunscreen texture 4.5 is enough, lighter for heat 50 of 100.");
        assertThat(ask(BROKEN, air(0, 0, 2)).moisturiserByDay().grade())
                .isEqualTo(BROKEN.barrier().calmReset() ? 7 : 5.5);
    }

    private static String sentence(SkinVerdict skin, Air air) {
        return ask(skin, air).moisturiser().because().sentence();
    }

    @Test
    void what_may_be_begun_says_the_sun_of_the_month() {
        assertThat(ask(NORMAL, air(0, 0, 5.9)).newAcid().because().sentence())
                .isEqualTo("UV 5.9: an acid may be begun.");
        assertThat(ask(NORMAL, air(0, 0, 0.7)).newAcid().because().sentence()).isEqualTo("UV 1: an acid may be begun.");
        assertThat(ask(NORMAL, air(0, 0, 7)).newRetinoid().because().sentence())
                .isEqualTo("UV 7: from 6 on a retinoid is not begun, only kept.");
        assertThat(ask(NORMAL, air(0, 0, 7)).newAcid().because().rule()).contains("season.yaml/begin");
    }
}

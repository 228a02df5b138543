package outfell.season;

import outfell.climate.Air;
import outfell.climate.Air.DryBand;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.knowledge.Row;
import outfell.season.Asked.Carried;
import outfell.season.Asked.Carrier;
import outfell.season.Asked.Least;
import outfell.season.Asked.Lying;
import outfell.season.Asked.Oil;
import outfell.season.Asked.Wash;
import outfell.season.Asked.Washing;
import outfell.season.Asked.Wearer;
import outfell.season.Asked.Whether;
import outfell.skin.Band;
import outfell.skin.SkinVerdict.BarrierState;

/** What else of a routine answers the air: wash, toner, carrier of a serum, seal, oil, lips; mist and hands beside it. */
final class Layers {
    private static final Row WASH = Season.FILE.row("wash");
    private static final double GENTLE_FROM = WASH.number("gentle-from-dryness", 0, 100);
    private static final Row TONER = Season.FILE.row("toner");
    private static final double MORE_FROM = TONER.number("more-from-dryness", 0, 100);
    private static final int MORE = TONER.whole("more", 1, 3);
    private static final int FEWER = TONER.whole("fewer", 1, 3);
    private static final Row CARRIER = Season.FILE.row("carrier");
    private static final double OIL_FROM = CARRIER.number("oil-from-dryness", 0, 100);
    private static final Row OIL_PLACE = Season.FILE.row("oil-place");
    private static final double OVER_FROM = OIL_PLACE.number("over-from-dryness", 0, 100);
    private static final double INTO_FROM = OIL_PLACE.number("into-from-heat", 0, 100);
    private static final Row LIPS = Season.FILE.row("lips");
    private static final double LIPS_FROM = LIPS.number("from-dryness", 0, 100);
    private static final Row MIST = Season.FILE.row("mist");
    private static final double MIST_FROM = MIST.number("from-dryness", 0, 100);
    private static final Row HANDS = Season.FILE.row("hands");
    private static final double HANDS_FROM = HANDS.number("from-dryness", 0, 100);

    private Layers() {}

    static Wash wash(Air air, Band band) {
        if (air.dryness() >= GENTLE_FROM) {
            return new Wash(
                    Washing.GENTLE,
                    WASH.because(
                            "Dryness %.0f of 100: from %.0f on the wash is as mild as can be, mornings with water where the skin lets them."
                                    .formatted(air.dryness(), GENTLE_FROM)));
        }
        if (air.hot() && band != Band.DRY) {
            return new Wash(
                    Washing.THOROUGH,
                    WASH.because("Heat %.0f of 100: from %.0f on sweat and oil are washed off in the morning, too."
                            .formatted(air.heat(), Air.hotFrom())));
        }
        return new Wash(
                Washing.USUAL,
                WASH.because("Dryness %.0f and heat %.0f, both of 100: the usual wash."
                        .formatted(air.dryness(), air.heat())));
    }

    static Least toner(Air air) {
        if (air.dryness() >= MORE_FROM) {
            return new Least(
                    MORE,
                    TONER.because("Dryness %.0f of 100: from %.0f on the toner gets a layer more."
                            .formatted(air.dryness(), MORE_FROM)));
        }
        if (air.heatBand() == Air.HeatBand.SWELTERING) {
            return new Least(
                    -FEWER,
                    TONER.because("Heat %.0f of 100: in wet heat water does not dry off, the toner gets a layer less."
                            .formatted(air.heat())));
        }
        return new Least(
                0,
                TONER.because("Dryness %.0f and heat %.0f, both of 100: the method’s layers of toner."
                        .formatted(air.dryness(), air.heat())));
    }

    static Carried carrier(Air air, Band band) {
        if (air.hot()) {
            return new Carried(
                    Carrier.WATER,
                    CARRIER.because("Heat %.0f of 100: a serum in water sits lighter.".formatted(air.heat())));
        }
        if (air.dryness() >= OIL_FROM && band != Band.OILY) {
            return new Carried(
                    Carrier.OIL,
                    CARRIER.because("Dryness %.0f of 100: from %.0f on a serum in oil is the kinder one."
                            .formatted(air.dryness(), OIL_FROM)));
        }
        return new Carried(
                Carrier.EITHER,
                CARRIER.because("Dryness %.0f and heat %.0f, both of 100: water or oil, as the active likes it."
                        .formatted(air.dryness(), air.heat())));
    }

    static Whether lips(Air air) {
        boolean yes = air.dryness() >= LIPS_FROM;
        return new Whether(
                yes,
                LIPS.because("Dryness %.0f of 100: from %.0f on lips are kept under a balm."
                        .formatted(air.dryness(), LIPS_FROM)));
    }

    static Whether mist(Air air) {
        return new Whether(
                air.dryness() >= MIST_FROM,
                MIST.because("Dryness %.0f of 100: from %.0f on the skin is given something through the day."
                        .formatted(air.dryness(), MIST_FROM)));
    }

    static Whether hands(Air air) {
        return new Whether(
                air.dryness() >= HANDS_FROM,
                HANDS.because("Dryness %.0f of 100: from %.0f on neck and hands feel it, too."
                        .formatted(air.dryness(), HANDS_FROM)));
    }

    static Whether seal(Air air, Wearer wearer, Band band) {
        BarrierState barrier = wearer.skin().barrier().state();
        if (barrier == BarrierState.BROKEN || wearer.skin().barrier().calmReset()) {
            return new Whether(
                    true,
                    new Because("A broken barrier is sealed every evening.", Evidence.CONTROLLED, "ghadially-1992"));
        }
        if (air.dryBand() == DryBand.SEVERE || (air.dryBand() == DryBand.HIGH && band != Band.OILY)) {
            return new Whether(
                    true,
                    new Because(
                            "Rooms fall to %.0f %% (dryness %.0f of 100): water needs keeping in."
                                    .formatted(air.roomHumidity(), air.dryness()),
                            Evidence.DEBATED,
                            "egawa-2002"));
        }
        if (barrier == BarrierState.STRAINED && !air.hot()) {
            return new Whether(true, Because.house("A strained barrier holds better under a thin seal."));
        }
        return new Whether(
                false,
                Because.house("Dryness %.0f and heat %.0f, both of 100: no seal is asked for."
                        .formatted(air.dryness(), air.heat())));
    }

    static Whether oil(Air air, Wearer wearer, Band band) {
        if (band != Band.DRY) {
            return new Whether(false, Because.custom("No oil is asked for: the skin makes enough of its own."));
        }
        if (wearer.skin().barrier().calmReset()) {
            return new Whether(false, Because.custom("No oil until the barrier is calm."));
        }
        return !air.hot()
                ? new Whether(true, Because.custom("Dry skin in cool air welcomes a few drops."))
                : new Whether(
                        false,
                        Because.house("Heat %.0f of 100: from %.0f on no oil is asked for."
                                .formatted(air.heat(), Air.hotFrom())));
    }

    /** Over the cream an oil keeps water in; in warm air it is the layer that is felt. */
    static Lying oilPlace(Air air, Band band) {
        if (band != Band.DRY) {
            return new Lying(Oil.BY_METHOD, OIL_PLACE.because("No oil is asked for, so none is moved."));
        }
        if (air.dryness() >= OVER_FROM) {
            return new Lying(
                    Oil.OVER_CREAM,
                    OIL_PLACE.because(
                            "Dryness %.0f of 100: from %.0f on the oil lies over the cream, where it keeps water in."
                                    .formatted(air.dryness(), OVER_FROM)));
        }
        if (air.heat() >= INTO_FROM) {
            return new Lying(
                    Oil.IN_CREAM,
                    OIL_PLACE.because(
                            "Heat %.0f of 100: from %.0f on a drop in the cream sits lighter than a layer over it."
                                    .formatted(air.heat(), INTO_FROM)));
        }
        return new Lying(
                Oil.BY_METHOD,
                OIL_PLACE.because("Dryness %.0f and heat %.0f, both of 100: the oil lies where the method has it."
                        .formatted(air.dryness(), air.heat())));
    }
}

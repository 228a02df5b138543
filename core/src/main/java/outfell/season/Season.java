package outfell.season;

import outfell.climate.Air;
import outfell.climate.Air.DryBand;
import outfell.climate.Air.HeatBand;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.season.Asked.Graded;
import outfell.season.Asked.Least;
import outfell.season.Asked.Wearer;
import outfell.season.Asked.Whether;
import outfell.skin.Band;
import outfell.skin.Concern;
import outfell.skin.SkinVerdict;
import outfell.skin.SkinVerdict.BarrierState;

/** From a month's air and a skin to what is asked of the plan. House judgement on sections 11 to 14 of its rules. */
public final class Season {
    /** Grade of moisturiser by band, before the air has its say. */
    private static final double OILY = 4.5;

    private static final double NORMAL = 5.5;
    private static final double COMBINATION = 5;
    private static final double DRY = 6.5;
    private static final double BROKEN = 7;
    /** Dryness from which the evening's cream is a grade richer; for a skin that swings. */
    private static final double DRYNESS = 35;

    private static final double SWINGING_DRYNESS = 25;
    /** Outdoors from this many hours a day the sun is part of the work. */
    private static final double OUTDOOR_WORK = 3;

    private Season() {}

    public static Asked ask(Air air, Wearer wearer) {
        SkinVerdict skin = wearer.skin();
        boolean combination = skin.type().combination();
        Band band = combination ? Band.NORMAL : skin.type().bandU();
        Graded evening = moisturiser(air, wearer, band, combination);
        return new Asked(
                air,
                evening,
                byDay(air, wearer, band, combination, evening),
                moisturiserNeeded(air, wearer, band),
                seal(air, wearer, band),
                oil(air, wearer, band),
                spf(air, wearer),
                new Whether(
                        air.dryness() >= 50,
                        Because.house("Dryness %.0f: from 50 on exfoliation is halved.".formatted(air.dryness()))),
                newRetinoid(air),
                wearer.noNewAcid()
                        .map(why -> new Whether(false, why))
                        .orElseGet(() -> new Whether(air.outdoors().uvIndex() < 6, newInSun(air, "an acid"))));
    }

    private static Graded moisturiser(Air air, Wearer wearer, Band band, boolean combination) {
        if (wearer.skin().barrier().state() == BarrierState.BROKEN
                || wearer.skin().barrier().calmReset()) {
            return new Graded(BROKEN, Because.house("A broken barrier wants grade 7, whatever the air."));
        }
        double base = base(band, combination);
        boolean strained = wearer.skin().barrier().state() == BarrierState.STRAINED;
        // where the T-zone is oily, a seal on the dry places does the rest
        int most = combination || band == Band.OILY ? 1 : 2;
        int up = Math.min(most, (richer(air, wearer) ? 1 : 0) + (strained ? 1 : 0));
        int down = up > 0 && air.heat() >= 50 ? 0 : lighter(air, wearer, band, combination);
        double grade = Math.clamp(base + up - down, 3, 8);
        return new Graded(grade, Because.house(moisturiserSentence(air, wearer, base, up, down, grade)));
    }

    /** Under a sunscreen the air's dryness is left to the evening; heat makes it lighter as it does there. */
    private static Graded byDay(Air air, Wearer wearer, Band band, boolean combination, Graded evening) {
        if (evening.grade() == BROKEN && wearer.skin().barrier().calmReset()) {
            return evening;
        }
        int down = lighter(air, wearer, band, combination);
        double grade = Math.clamp(base(band, combination) - down, 3, evening.grade());
        return new Graded(
                grade,
                Because.house("Under the sunscreen grade %s is enough%s."
                        .formatted(n(grade), down > 0 ? ", lighter for heat %.0f".formatted(air.heat()) : "")));
    }

    private static double base(Band band, boolean combination) {
        return combination
                ? COMBINATION
                : switch (band) {
                    case DRY -> DRY;
                    case NORMAL -> NORMAL;
                    case OILY -> OILY;
                };
    }

    /** Dry rooms make the evening richer, for a skin that swings sooner. */
    private static boolean richer(Air air, Wearer wearer) {
        return air.dryness() >= (wearer.swings() ? SWINGING_DRYNESS : DRYNESS);
    }

    /** Grades lighter for heat: none under 25, by band above; a swinging skin moves one band sooner. */
    private static int lighter(Air air, Wearer wearer, Band band, boolean combination) {
        boolean oily = band == Band.OILY || combination;
        HeatBand heat = wearer.swings() && air.heatBand() == HeatBand.WARM ? HeatBand.HOT : air.heatBand();
        return switch (heat) {
            case NONE -> 0;
            case WARM -> oily ? 1 : 0;
            case HOT -> band == Band.DRY && !combination ? 0 : 1;
            case SWELTERING -> oily ? 2 : 1;
            case DRY_HEAT -> 1;
        };
    }

    private static String moisturiserSentence(Air air, Wearer wearer, double base, int up, int down, double grade) {
        String skin = "The skin asks for grade %s".formatted(n(base));
        String swing = wearer.swings() && (up > 0 || down > 0) ? ", sooner since it swings with the season" : "";
        if (up > down) {
            String dry = richer(air, wearer)
                    ? "rooms at %.0f %% and dryness %.0f make it one richer"
                            .formatted(air.roomHumidity(), air.dryness())
                    : "";
            String strained = up > (dry.isEmpty() ? 0 : 1) ? "a strained barrier makes it one richer" : "";
            return "%s; %s: %s%s."
                    .formatted(
                            skin,
                            dry.isEmpty() || strained.isEmpty() ? dry + strained : dry + ", " + strained,
                            n(grade),
                            swing);
        }
        if (down > up) {
            return "%s; heat %.0f makes it %s lighter: %s%s."
                    .formatted(skin, air.heat(), down - up == 1 ? "one" : "two", n(grade), swing);
        }
        return "%s; rooms at %.0f %% and heat %.0f leave it there.".formatted(skin, air.roomHumidity(), air.heat());
    }

    private static Whether moisturiserNeeded(Air air, Wearer wearer, Band band) {
        boolean without = band == Band.OILY
                && air.heatBand() == HeatBand.SWELTERING
                && !wearer.skin().water().dehydrated()
                && wearer.skin().barrier().state() != BarrierState.STRAINED;
        return without
                ? new Whether(
                        false,
                        Because.house("Heat %.0f on oily skin: the sunscreen moistens enough.".formatted(air.heat())))
                : new Whether(true, Because.custom("Every routine ends in moisture before the sunscreen."));
    }

    private static Whether seal(Air air, Wearer wearer, Band band) {
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
                            "Rooms fall to %.0f %% (dryness %.0f): water needs keeping in."
                                    .formatted(air.roomHumidity(), air.dryness()),
                            Evidence.DEBATED,
                            "egawa-2002"));
        }
        if (barrier == BarrierState.STRAINED && air.heat() < 50) {
            return new Whether(true, Because.house("A strained barrier holds better under a thin seal."));
        }
        return new Whether(
                false,
                Because.house(
                        "Dryness %.0f and heat %.0f: no seal is asked for.".formatted(air.dryness(), air.heat())));
    }

    private static Whether oil(Air air, Wearer wearer, Band band) {
        if (band != Band.DRY) {
            return new Whether(false, Because.custom("No oil is asked for: the skin makes enough of its own."));
        }
        if (wearer.skin().barrier().calmReset()) {
            return new Whether(false, Because.custom("No oil until the barrier is calm."));
        }
        return air.heat() < 50
                ? new Whether(true, Because.custom("Dry skin in cool air welcomes a few drops."))
                : new Whether(false, Because.house("Heat %.0f: from 50 on no oil is asked for.".formatted(air.heat())));
    }

    private static Least spf(Air air, Wearer wearer) {
        double uv = air.outdoors().uvIndex();
        if (wearer.least().isPresent()) {
            return wearer.least().get();
        }
        if (uv >= 5.5) {
            return fifty("UV %.0f asks for SPF 50.".formatted(uv), "who-2002");
        }
        if (uv >= 2.5 && wearer.outdoorHours() >= OUTDOOR_WORK) {
            return fifty(
                    "UV %.0f and %.0f hours outdoors ask for SPF 50.".formatted(uv, wearer.outdoorHours()), "who-2002");
        }
        if (wearer.concerns().stream().limit(3).anyMatch(c -> c == Concern.PIGMENT)) {
            return fifty("Pigment marks ask for SPF 50 all year; UVA is there in winter and under cloud.", "who-2002");
        }
        return new Least(
                30, new Because("UV %.0f: SPF 30 at least, all year.".formatted(uv), Evidence.CONVENTION, "who-2002"));
    }

    private static Least fifty(String sentence, String source) {
        return new Least(50, new Because(sentence, Evidence.CONVENTION, source));
    }

    private static Whether newRetinoid(Air air) {
        if (air.dryness() >= 75) {
            return new Whether(
                    false, Because.house("Dryness %.0f: from 75 on no retinoid is begun.".formatted(air.dryness())));
        }
        return new Whether(air.outdoors().uvIndex() < 6, newInSun(air, "a retinoid"));
    }

    private static Because newInSun(Air air, String what) {
        double uv = air.outdoors().uvIndex();
        return new Because(
                uv < 6
                        ? "UV %.0f: %s may be begun.".formatted(uv, what)
                        : "UV %.0f: from 6 on %s is not begun, only kept.".formatted(uv, what),
                Evidence.PROPOSED,
                "kaidbey-2003");
    }

    private static String n(double x) {
        return x == Math.rint(x) ? "%.0f".formatted(x) : String.format(java.util.Locale.ROOT, "%.1f", x);
    }
}

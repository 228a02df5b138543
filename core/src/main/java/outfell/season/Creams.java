package outfell.season;

import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import outfell.climate.Air;
import outfell.climate.Air.HeatBand;
import outfell.knowledge.Because;
import outfell.knowledge.Row;
import outfell.season.Asked.Graded;
import outfell.season.Asked.Portion;
import outfell.season.Asked.Wearer;
import outfell.season.Asked.Whether;
import outfell.skin.Band;
import outfell.skin.SkinVerdict.BarrierState;

/** How thick the creams are, how much of them, and whether one by day. */
final class Creams {
    private static final Row CREAM = Season.FILE.row("cream");
    private static final double OILY = grade("oily");
    private static final double NORMAL = grade("normal");
    private static final double COMBINATION = grade("combination");
    private static final double DRY = grade("dry");
    private static final double BROKEN = grade("broken");
    private static final double LEAST = grade("least");
    private static final double MOST = grade("most");
    private static final Row RICHER = Season.FILE.row("richer");
    private static final double DRYNESS = RICHER.number("from-dryness", 0, 100);
    private static final double SWINGING_DRYNESS = RICHER.number("swinging-from", 0, 100);
    private static final int MOST_RICHER_OILY = RICHER.whole("most-grades-oily", 0, 2);
    private static final Row AMOUNT = Season.FILE.row("amount");
    private static final double MORE_FROM = AMOUNT.number("more-from-dryness", 0, 100);
    private static final double MORE = AMOUNT.number("more", 1, 3);
    private static final double LESS = AMOUNT.number("less", 0.1, 1);

    /** Grades lighter in a heat, by the band of the skin. */
    private record Lighter(HeatBand heat, Map<Band, Integer> grades) {}

    private static final Map<HeatBand, Lighter> LIGHTER =
            Row.unique(Season.FILE.rows("lighter"), Creams::lighterRow, Lighter::heat).stream()
                    .collect(Collectors.toMap(Lighter::heat, l -> l));

    private Creams() {}

    private static double grade(String key) {
        return CREAM.number(key, 1, 8);
    }

    private static Lighter lighterRow(Row row) {
        Lighter lighter = new Lighter(
                row.one("id", HeatBand.class),
                Map.of(
                        Band.OILY, row.whole("oily", 0, (int) Math.ceil(Math.max(OILY, COMBINATION) - LEAST)),
                        Band.NORMAL, row.whole("normal", 0, (int) Math.ceil(NORMAL - LEAST)),
                        Band.DRY, row.whole("dry", 0, (int) Math.ceil(DRY - LEAST))));
        row.done();
        return lighter;
    }

    static Graded evening(Air air, Wearer wearer, Band band, boolean combination) {
        if (wearer.skin().barrier().state() == BarrierState.BROKEN
                || wearer.skin().barrier().calmReset()) {
            return new Graded(BROKEN, CREAM.because("A broken barrier wants grade 7, whatever the air."));
        }
        double base = base(band, combination);
        boolean strained = wearer.skin().barrier().state() == BarrierState.STRAINED;
        int asked = (richer(air, wearer) ? 1 : 0) + (strained ? 1 : 0);
        // where the T-zone is oily, a seal on the dry places does the rest
        int up = combination || band == Band.OILY ? Math.min(MOST_RICHER_OILY, asked) : asked;
        int down = up > 0 && (strained || air.hot()) ? 0 : lighter(air, wearer, band, combination);
        double grade = Math.clamp(base + up - down, LEAST, MOST);
        return new Graded(
                grade, (up > 0 ? RICHER : CREAM).because(moisturiserSentence(air, wearer, base, up, down, grade)));
    }

    /** Under a sunscreen the air's dryness is left to the evening; heat makes it lighter as it does there. */
    static Graded byDay(Air air, Wearer wearer, Band band, boolean combination, Graded evening) {
        if (evening.grade() == BROKEN && wearer.skin().barrier().calmReset()) {
            return evening;
        }
        int down = lighter(air, wearer, band, combination);
        double grade = Math.clamp(base(band, combination) - down, LEAST, evening.grade());
        return new Graded(
                grade,
                CREAM.because("Under the sunscreen texture %s is enough%s."
                        .formatted(
                                Season.n(grade),
                                down > 0 ? ", lighter for heat %.0f of 100".formatted(air.heat()) : "")));
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
        Band by = oily ? Band.OILY : band;
        return Objects.requireNonNull(
                Objects.requireNonNull(LIGHTER.get(heat), heat::name).grades().get(by));
    }

    private static String moisturiserSentence(Air air, Wearer wearer, double base, int up, int down, double grade) {
        String skin = "The skin asks for texture %s".formatted(Season.n(base));
        String swing = wearer.swings() && (up > 0 || down > 0) ? ", sooner since it swings with the season" : "";
        if (up > down) {
            String dry = richer(air, wearer)
                    ? "rooms at %.0f %% and dryness %.0f of 100 make it one richer"
                            .formatted(air.roomHumidity(), air.dryness())
                    : "";
            String strained = up > (dry.isEmpty() ? 0 : 1) ? "a strained barrier makes it one richer" : "";
            return "%s; %s: %s%s."
                    .formatted(
                            skin,
                            dry.isEmpty() || strained.isEmpty() ? dry + strained : dry + ", " + strained,
                            Season.n(grade),
                            swing);
        }
        if (down > up) {
            return "%s; heat %.0f of 100 makes it %s lighter: %s%s."
                    .formatted(skin, air.heat(), down - up == 1 ? "one" : "two", Season.n(grade), swing);
        }
        return "%s; rooms at %.0f %% and heat %.0f of 100 leave it there."
                .formatted(skin, air.roomHumidity(), air.heat());
    }

    static Whether neededByDay(Air air, Wearer wearer, Band band) {
        boolean without = band == Band.OILY
                && air.heatBand() == HeatBand.SWELTERING
                && !wearer.skin().water().dehydrated()
                && wearer.skin().barrier().state() != BarrierState.STRAINED;
        return without
                ? new Whether(
                        false,
                        Because.house(
                                "Heat %.0f of 100 on oily skin: the sunscreen moistens enough.".formatted(air.heat())))
                : new Whether(true, Because.custom("Every routine ends in moisture before the sunscreen."));
    }

    /** More of the evening's cream in dry air, less of any in heat; a broken barrier gets its whole amount. */
    static Portion amount(Air air, Wearer wearer) {
        boolean broken = wearer.skin().barrier().state() == BarrierState.BROKEN
                || wearer.skin().barrier().calmReset();
        if (broken) {
            return new Portion(1, AMOUNT.because("A broken barrier gets the whole amount, whatever the air."));
        }
        if (air.dryness() >= MORE_FROM) {
            return new Portion(
                    MORE,
                    AMOUNT.because("The evening’s cream is laid on thicker from dryness %.0f of 100 on; it is %.0f."
                            .formatted(MORE_FROM, air.dryness())));
        }
        if (air.hot()) {
            return new Portion(
                    LESS,
                    AMOUNT.because("A thinner film of cream is enough from heat %.0f of 100 on; it is %.0f."
                            .formatted(Air.hotFrom(), air.heat())));
        }
        return new Portion(
                1,
                AMOUNT.because("Dryness %.0f and heat %.0f, both of 100: the usual amount of cream."
                        .formatted(air.dryness(), air.heat())));
    }
}

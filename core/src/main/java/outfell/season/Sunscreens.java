package outfell.season;

import outfell.climate.Air;
import outfell.knowledge.Row;
import outfell.season.Asked.Least;
import outfell.season.Asked.Wearer;
import outfell.season.Asked.Whether;
import outfell.skin.Concern;

/** What is asked of the sunscreen: its number, and how soon again. */
final class Sunscreens {
    private static final Row SUN = Season.FILE.row("sun");
    static final int USUAL_SPF = SUN.whole("usual-spf", 15, 50);
    static final int HIGH_SPF = SUN.whole("high-spf", 15, 50);
    private static final double HIGH_FROM = SUN.number("high-from-uv", 0, 20);
    private static final double OUTDOORS_FROM = SUN.number("outdoors-from-uv", 0, 20);
    static final double OUTDOOR_HOURS = SUN.number("hours-outdoors", 0, 24);
    private static final int MARKS_AMONG = SUN.whole("marks-among-first", 0, 20);
    private static final Row AGAIN = Season.FILE.row("again");
    private static final double AGAIN_FROM = AGAIN.number("from-uv", 0, 20);
    private static final double AGAIN_HOURS = AGAIN.number("hours-outdoors", 0, 24);
    private static final Row BARE = Season.FILE.row("bare");
    private static final double BARE_FROM = BARE.number("from-uv", 0, 20);
    private static final double NAPE_HOURS = BARE.number("nape-from-hours", 0, 24);
    private static final double CHEST_HOURS = BARE.number("chest-from-hours", NAPE_HOURS, 24);
    /** So many places beside face and front of the neck, in the order of amounts.yaml. */
    private static final int EARS = 1;

    private static final int NAPE = 2;
    private static final int CHEST = 3;
    private static final Row WATER = Season.FILE.row("water-fast");
    private static final double WATER_FROM = WATER.number("from-uv", 0, 20);
    private static final double WATER_HOURS = WATER.number("hours-outdoors", 0, 24);
    private static final int EVERY = AGAIN.whole("every-hours", 1, 12);

    private Sunscreens() {}

    static Least spf(Air air, Wearer wearer) {
        double uv = air.outdoors().uvIndex();
        if (wearer.least().isPresent()) {
            return wearer.least().get();
        }
        if (uv >= HIGH_FROM) {
            return high("UV %.0f asks for SPF %d.".formatted(uv, HIGH_SPF));
        }
        if (uv >= OUTDOORS_FROM && wearer.outdoorHours() >= OUTDOOR_HOURS) {
            return high(
                    "UV %.0f and %.0f hours outdoors ask for SPF %d.".formatted(uv, wearer.outdoorHours(), HIGH_SPF));
        }
        if (wearer.concerns().stream().limit(MARKS_AMONG).anyMatch(c -> c == Concern.PIGMENT)) {
            return high("Pigment marks ask for SPF %d all year; UVA is there in winter and under cloud."
                    .formatted(HIGH_SPF));
        }
        return new Least(USUAL_SPF, SUN.because("UV %.0f: SPF %d at least, all year.".formatted(uv, USUAL_SPF)));
    }

    private static Least high(String sentence) {
        return new Least(HIGH_SPF, SUN.because(sentence));
    }

    /** Again outdoors while the sun is up to something; once a day is enough for who is hardly out, or under a low sun. */
    static Least again(Air air, Wearer wearer) {
        double uv = air.outdoors().uvIndex();
        boolean out = wearer.outdoorHours() >= AGAIN_HOURS;
        if (out && uv >= AGAIN_FROM) {
            return new Least(
                    EVERY,
                    AGAIN.because(
                            "UV %.0f and %s outdoors: again every %d hours.".formatted(uv, hours(wearer), EVERY)));
        }
        return new Least(
                0,
                AGAIN.because(
                        out
                                ? "UV %s lies under %s: once a day is enough."
                                        .formatted(Season.n(uv), Season.n(AGAIN_FROM))
                                : "%s hours outdoors: once a day is enough."
                                        .formatted(Season.n(wearer.outdoorHours()))));
    }

    /** Beside face and front of the neck: the ears always, nape and chest as far as sun and hours outdoors reach them. */
    static Least bare(Air air, Wearer wearer) {
        double uv = air.outdoors().uvIndex();
        if (uv < BARE_FROM) {
            return new Least(
                    EARS,
                    BARE.because("UV %s lies under %s: what the collar covers needs no sunscreen; the ears do."
                            .formatted(Season.n(uv), Season.n(BARE_FROM))));
        }
        boolean nape = wearer.outdoorHours() >= NAPE_HOURS;
        boolean chest = wearer.outdoorHours() >= CHEST_HOURS;
        String what = chest ? "ears, nape and chest get sun" : nape ? "ears and nape get sun" : "the ears get sun";
        return new Least(
                chest ? CHEST : nape ? NAPE : EARS,
                BARE.because("UV %.0f and %s outdoors: %s.".formatted(uv, hours(wearer), what)));
    }

    /** Who is on or in water loses another film with the first wave. */
    static Whether waterFast(Air air, Wearer wearer) {
        double uv = air.outdoors().uvIndex();
        boolean out = wearer.outdoorHours() >= WATER_HOURS;
        return wearer.inWater() && out && uv >= WATER_FROM
                ? new Whether(
                        true,
                        WATER.because(
                                "On or in water %s a day under UV %.0f: a water-fast sunscreen, for another is washed off."
                                        .formatted(hours(wearer), uv)))
                : new Whether(
                        false,
                        WATER.because(
                                wearer.inWater()
                                        ? "Under UV %s, or hardly out, any sunscreen lasts the day on water."
                                                .formatted(Season.n(WATER_FROM))
                                        : "The day is not spent on or in water."));
    }

    private static String hours(Wearer wearer) {
        double hours = wearer.outdoorHours();
        return "%s hour%s".formatted(Season.n(hours), hours == 1 ? "" : "s");
    }
}

package outfell.season;

import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import outfell.climate.Air;
import outfell.climate.Air.DryBand;
import outfell.climate.Air.HeatBand;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
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
    private static final Row FILE = KnowledgeFile.yaml("season.yaml");
    private static final Row CREAM = FILE.row("cream");
    private static final double OILY = grade("oily");
    private static final double NORMAL = grade("normal");
    private static final double COMBINATION = grade("combination");
    private static final double DRY = grade("dry");
    private static final double BROKEN = grade("broken");
    private static final double LEAST = grade("least");
    private static final double MOST = grade("most");
    private static final Row RICHER = FILE.row("richer");
    private static final double DRYNESS = RICHER.number("from-dryness", 0, 100);
    private static final double SWINGING_DRYNESS = RICHER.number("swinging-from", 0, 100);
    private static final int MOST_RICHER_OILY = RICHER.whole("most-grades-oily", 0, 2);
    private static final Row SUN = FILE.row("sun");
    /** The least that a sunscreen has, all year. */
    public static final int USUAL_SPF = SUN.whole("usual-spf", 15, 50);
    /** What strong sun, marks and what light meets ask of it. */
    public static final int HIGH_SPF = SUN.whole("high-spf", 15, 50);

    private static final double HIGH_FROM = SUN.number("high-from-uv", 0, 20);
    private static final double OUTDOORS_FROM = SUN.number("outdoors-from-uv", 0, 20);
    /** Hours a day from which somebody lives outdoors. */
    public static final double OUTDOOR_HOURS = SUN.number("hours-outdoors", 0, 24);

    private static final int MARKS_AMONG = SUN.whole("marks-among-first", 0, 20);
    private static final Row BEGIN = FILE.row("begin");
    private static final double BEGIN_BELOW = BEGIN.number("below-uv", 0, 20);

    /** Grades lighter in a heat, by the band of the skin. */
    private record Lighter(HeatBand heat, Map<Band, Integer> grades) {}

    private static final Map<HeatBand, Lighter> LIGHTER =
            Row.unique(FILE.rows("lighter"), Season::lighterRow, Lighter::heat).stream()
                    .collect(Collectors.toMap(Lighter::heat, l -> l));

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
                        air.dryness() >= Air.highDryness(),
                        Because.house("Dryness %.0f of 100: from %.0f on exfoliation is halved."
                                .formatted(air.dryness(), Air.highDryness()))),
                newRetinoid(air),
                wearer.noNewAcid()
                        .map(why -> new Whether(false, why))
                        .orElseGet(
                                () -> new Whether(air.outdoors().uvIndex() < BEGIN_BELOW, newInSun(air, "an acid"))));
    }

    private static Graded moisturiser(Air air, Wearer wearer, Band band, boolean combination) {
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
    private static Graded byDay(Air air, Wearer wearer, Band band, boolean combination, Graded evening) {
        if (evening.grade() == BROKEN && wearer.skin().barrier().calmReset()) {
            return evening;
        }
        int down = lighter(air, wearer, band, combination);
        double grade = Math.clamp(base(band, combination) - down, LEAST, evening.grade());
        return new Graded(
                grade,
                CREAM.because("Under the sunscreen texture %s is enough%s."
                        .formatted(n(grade), down > 0 ? ", lighter for heat %.0f of 100".formatted(air.heat()) : "")));
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
        String skin = "The skin asks for texture %s".formatted(n(base));
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
                            n(grade),
                            swing);
        }
        if (down > up) {
            return "%s; heat %.0f of 100 makes it %s lighter: %s%s."
                    .formatted(skin, air.heat(), down - up == 1 ? "one" : "two", n(grade), swing);
        }
        return "%s; rooms at %.0f %% and heat %.0f of 100 leave it there."
                .formatted(skin, air.roomHumidity(), air.heat());
    }

    private static Whether moisturiserNeeded(Air air, Wearer wearer, Band band) {
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

    private static Whether oil(Air air, Wearer wearer, Band band) {
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

    private static Least spf(Air air, Wearer wearer) {
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

    private static Whether newRetinoid(Air air) {
        if (air.dryness() >= Air.severeDryness()) {
            return new Whether(
                    false,
                    Because.house("Dryness %.0f of 100: from %.0f on no retinoid is begun."
                            .formatted(air.dryness(), Air.severeDryness())));
        }
        return new Whether(air.outdoors().uvIndex() < BEGIN_BELOW, newInSun(air, "a retinoid"));
    }

    private static Because newInSun(Air air, String what) {
        double uv = air.outdoors().uvIndex();
        return BEGIN.because(
                uv < BEGIN_BELOW
                        ? "UV %s: %s may be begun.".formatted(below(uv), what)
                        : "UV %.0f: from %.0f on %s is not begun, only kept.".formatted(uv, BEGIN_BELOW, what));
    }

    /** As the index is told, in whole numbers, but where that would be the limit that it lies under. */
    private static String below(double uv) {
        return Math.round(uv) < BEGIN_BELOW ? "%.0f".formatted(uv) : n(uv);
    }

    private static String n(double x) {
        return x == Math.rint(x) ? "%.0f".formatted(x) : String.format(java.util.Locale.ROOT, "%.1f", x);
    }
}

package outfell.season;

import java.util.Locale;
import java.util.Set;
import outfell.climate.Air;
import outfell.climate.MonthlyAir;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.season.Asked.Graded;
import outfell.season.Asked.Wearer;
import outfell.skin.Band;
import outfell.skin.SkinVerdict;

/** From an air and a skin to what is asked of the plan. House judgement on sections 11 to 14 of its rules. */
public final class Season {
    static final Row FILE = KnowledgeFile.yaml("season.yaml");
    /** The least that a sunscreen has, all year. */
    public static final int USUAL_SPF = Sunscreens.USUAL_SPF;
    /** What strong sun, marks and what light meets ask of it. */
    public static final int HIGH_SPF = Sunscreens.HIGH_SPF;
    /** Hours a day from which somebody lives outdoors. */
    public static final double OUTDOOR_HOURS = Sunscreens.OUTDOOR_HOURS;

    /** Air that asks nothing: neither dry nor hot, under a low sun. */
    private static final Air MILD = mild(FILE.row("mild"));

    private Season() {}

    public static Asked ask(Air air, Wearer wearer) {
        SkinVerdict skin = wearer.skin();
        boolean combination = skin.type().combination();
        Band band = combination ? Band.NORMAL : skin.type().bandU();
        Graded evening = Creams.evening(air, wearer, band, combination);
        return new Asked(
                air,
                evening,
                Creams.byDay(air, wearer, band, combination, evening),
                Creams.neededByDay(air, wearer, band),
                Creams.amount(air, wearer),
                Layers.seal(air, wearer, band),
                Layers.oil(air, wearer, band),
                Layers.oilPlace(air, band),
                Layers.wash(air, band),
                Layers.toner(air),
                Layers.carrier(air, band),
                Layers.lips(air),
                Sunscreens.spf(air, wearer),
                Sunscreens.again(air, wearer),
                Sunscreens.bare(air, wearer),
                Sunscreens.waterFast(air, wearer),
                StrongWork.halved(air),
                StrongWork.retinoidFewer(air, wearer),
                StrongWork.newRetinoid(air),
                StrongWork.newAcid(air, wearer),
                Layers.mist(air),
                Layers.hands(air));
    }

    /** @param still what the practice does not let the air move: it is asked as in mild air */
    public static Asked ask(Air air, Wearer wearer, Set<Lever> still) {
        Asked asked = ask(air, wearer);
        if (!still.isEmpty()) {
            Asked mild = ask(MILD, wearer);
            for (Lever lever : still) {
                asked = asked.with(lever, mild);
            }
        }
        return asked;
    }

    private static Air mild(Row row) {
        return Air.of(new MonthlyAir(
                row.number("celsius", -45, 60),
                row.number("humidity", 1, 100),
                row.number("wind", 0, 60),
                row.number("uv-index", 0, 20)));
    }

    static String n(double x) {
        return x == Math.rint(x) ? "%.0f".formatted(x) : String.format(Locale.ROOT, "%.1f", x);
    }
}

package outfell.season;

import outfell.climate.Air;
import outfell.knowledge.Because;
import outfell.knowledge.Row;
import outfell.season.Asked.Wearer;
import outfell.season.Asked.Whether;
import outfell.skin.SkinVerdict.BarrierState;

/** What strong actives may do in an air: how often, and whether one is begun. */
final class StrongWork {
    private static final Row BEGIN = Season.FILE.row("begin");
    private static final double BEGIN_BELOW = BEGIN.number("below-uv", 0, 20);
    private static final Row RETINOID = Season.FILE.row("retinoid");
    private static final double FEWER_FROM = RETINOID.number("fewer-from-dryness", 0, 100);
    private static final double SENSITIVE_FROM = RETINOID.number("sensitive-from", 0, 100);

    private StrongWork() {}

    static Whether halved(Air air) {
        return new Whether(
                air.dryness() >= Air.highDryness(),
                Because.house("Dryness %.0f of 100: from %.0f on exfoliation is halved."
                        .formatted(air.dryness(), Air.highDryness())));
    }

    /** A retinoid dries by itself; in dry cold the two add up. */
    static Whether retinoidFewer(Air air, Wearer wearer) {
        boolean sooner = wearer.skin().sensitivity().treatAsSensitive()
                || wearer.skin().barrier().state() == BarrierState.STRAINED;
        double from = sooner ? SENSITIVE_FROM : FEWER_FROM;
        boolean fewer = air.dryness() >= from;
        return new Whether(
                fewer,
                RETINOID.because(
                        "Dryness %.0f of 100: from %.0f on%s a retinoid that is long borne has a night fewer, for both dry."
                                .formatted(air.dryness(), from, sooner ? ", on a skin like this," : "")));
    }

    static Whether newAcid(Air air, Wearer wearer) {
        return wearer.noNewAcid()
                .map(why -> new Whether(false, why))
                .orElseGet(() -> new Whether(air.outdoors().uvIndex() < BEGIN_BELOW, newInSun(air, "an acid")));
    }

    static Whether newRetinoid(Air air) {
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
        return Math.round(uv) < BEGIN_BELOW ? "%.0f".formatted(uv) : Season.n(uv);
    }
}

package outfell.server.plan;

import java.util.List;
import outfell.knowledge.Because;
import outfell.safety.Ban;
import outfell.safety.SafetyVerdict;
import outfell.skin.Confidence;
import outfell.skin.SkinVerdict;
import outfell.skin.TypeVerdict;

/**
 * The verdict as the screens print it.
 *
 * @param type in words
 * @param typeKnown whether the type is told, only provisional, or not yet
 */
public record VerdictView(
        String type,
        Known typeKnown,
        Confidence confidence,
        Because typeBecause,
        List<String> flags,
        List<SkinVerdict.ZoneType> zones,
        String water,
        boolean dehydrated,
        Because waterBecause,
        SkinVerdict.Sensitivity sensitivity,
        SkinVerdict.Barrier barrier,
        List<ConcernView> concerns,
        List<Because> contradictions,
        List<SkinVerdict.Missing> missing,
        SafetyView safety) {

    /** How far the type is known. */
    public enum Known {
        TOLD,
        PROVISIONAL,
        NOT_YET
    }

    /** A ranked concern with its name in words. */
    public record ConcernView(String name, SkinVerdict.RankedConcern ranked) {}

    /** What the safety screen leads to. */
    public record SafetyView(
            List<BanView> bans, List<SafetyVerdict.Caution> cautions, List<SafetyVerdict.Referral> referrals) {}

    /** A ban in words. */
    public record BanView(String name, boolean guess, Because because) {}

    public static VerdictView of(SkinVerdict skin, SafetyVerdict safety) {
        TypeVerdict type = skin.type();
        return new VerdictView(
                type.words(),
                switch (type) {
                    case TypeVerdict.Told _ -> Known.TOLD;
                    case TypeVerdict.Provisional _ -> Known.PROVISIONAL;
                    case TypeVerdict.NotYet _ -> Known.NOT_YET;
                },
                type instanceof TypeVerdict.Told told ? told.confidence() : Confidence.LOW,
                type.because(),
                type instanceof TypeVerdict.Told told ? told.flags() : List.of(),
                skin.zones(),
                skin.water().state().words(),
                skin.water().dehydrated(),
                skin.water().because(),
                skin.sensitivity(),
                skin.barrier(),
                skin.concerns().stream()
                        .map(c -> new ConcernView(c.concern().words(), c))
                        .toList(),
                skin.contradictions(),
                skin.missing(),
                new SafetyView(
                        safety.bans().stream().map(VerdictView::ban).toList(), safety.cautions(), safety.referrals()));
    }

    private static BanView ban(Ban ban) {
        return new BanView(ban.name(), ban.guess(), ban.because());
    }
}

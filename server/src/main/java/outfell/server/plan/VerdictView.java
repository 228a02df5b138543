package outfell.server.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.knowledge.RuleId;
import outfell.safety.Answers;
import outfell.safety.Ban;
import outfell.safety.SafetyVerdict;
import outfell.skin.Confidence;
import outfell.skin.Contradiction;
import outfell.skin.Signs;
import outfell.skin.SkinReading;
import outfell.skin.SkinVerdict;
import outfell.skin.TypeVerdict;

/**
 * The verdict as the screens print it.
 *
 * @param type in words
 * @param typeKnown how far it is known
 * @param hints how to look at this person's signs
 * @param age the years that are certain; absent when not known
 */
public record VerdictView(
        String type,
        Known typeKnown,
        Confidence confidence,
        Because typeBecause,
        List<String> flags,
        List<SkinVerdict.ZoneType> zones,
        String water,
        SkinVerdict.WaterState waterState,
        boolean dehydrated,
        Confidence waterConfidence,
        Because waterBecause,
        SkinVerdict.OilyOrThirsty oilyOrThirsty,
        SkinVerdict.Sensitivity sensitivity,
        SkinVerdict.Barrier barrier,
        SkinVerdict.Phototype phototype,
        Optional<Because> swing,
        List<ConcernView> concerns,
        List<Contradiction> contradictions,
        List<Because> asymmetries,
        List<SkinVerdict.ProbeLine> probe,
        List<Because> elsewhere,
        List<SkinVerdict.SetByHand> byHand,
        List<SkinVerdict.Missing> missing,
        List<Signs.Hint> hints,
        Optional<Integer> age,
        SafetyView safety) {

    /** How far the type is known. */
    public enum Known {
        TOLD,
        BY_HAND,
        PROVISIONAL,
        NOT_YET
    }

    /** A ranked concern with its name in words. */
    public record ConcernView(String name, SkinVerdict.RankedConcern ranked) {}

    /** What the safety screen leads to. */
    public record SafetyView(
            List<BanView> bans,
            List<SafetyVerdict.Caution> cautions,
            List<SafetyVerdict.Referral> referrals,
            List<SafetyVerdict.Question> questions,
            List<SafetyVerdict.Stale> askAgain,
            List<SafetyVerdict.AskBack> meant,
            List<String> unasked,
            Optional<String> madeWithout) {}

    /**
     * A ban in words.
     *
     * @param until the day from which it no longer holds, for one that runs out
     */
    public record BanView(RuleId rule, String name, boolean guess, Optional<LocalDate> until, Because because) {}

    public static VerdictView of(Answers answers, SkinReading face, SkinVerdict skin, SafetyVerdict safety) {
        TypeVerdict type = skin.type();
        return new VerdictView(
                type.words(),
                switch (type) {
                    case TypeVerdict.Told _ -> Known.TOLD;
                    case TypeVerdict.SetByTherapist _ -> Known.BY_HAND;
                    case TypeVerdict.Provisional _ -> Known.PROVISIONAL;
                    case TypeVerdict.NotYet _ -> Known.NOT_YET;
                },
                switch (type) {
                    case TypeVerdict.Told told -> told.confidence();
                    case TypeVerdict.SetByTherapist _ -> Confidence.MEDIUM;
                    case TypeVerdict.Provisional _, TypeVerdict.NotYet _ -> Confidence.LOW;
                },
                type.because(),
                type instanceof TypeVerdict.Told told ? told.flags() : List.of(),
                skin.zones(),
                skin.water().state().words(),
                skin.water().state(),
                skin.water().dehydrated(),
                skin.water().confidence(),
                skin.water().because(),
                skin.oilyOrThirsty(),
                skin.sensitivity(),
                skin.barrier(),
                skin.phototype(),
                skin.swing(),
                skin.concerns().stream()
                        .map(c -> new ConcernView(c.concern().words(), c))
                        .toList(),
                skin.contradictions(),
                skin.asymmetries(),
                skin.probe(),
                skin.elsewhere(),
                skin.byHand(),
                skin.missing(),
                Signs.hints(skin.phototype(), face.history()),
                answers.age().stream().boxed().findFirst(),
                new SafetyView(
                        // what waits because nobody asked is no fact about the client: it is told as what is still to
                        // be asked
                        safety.bans().stream()
                                .filter(b -> !b.waitsForAsking())
                                .map(VerdictView::ban)
                                .toList(),
                        safety.cautions(),
                        safety.referrals(),
                        safety.questions(),
                        safety.askAgain(),
                        safety.meant(),
                        safety.unasked(),
                        safety.madeWithout()));
    }

    private static BanView ban(Ban ban) {
        return new BanView(ban.rule(), ban.name(), ban.guess(), ban.until(), ban.because());
    }
}

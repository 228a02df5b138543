package outfell.regimen;

import java.util.List;
import outfell.safety.SafetyVerdict;
import outfell.safety.SafetyVerdict.Referral;
import outfell.skin.SkinVerdict;

/** What a consultation leads to. */
public sealed interface Outcome {
    SkinVerdict skin();

    SafetyVerdict safety();

    /** A plan. */
    record Planned(SkinVerdict skin, SafetyVerdict safety, Regimen regimen) implements Outcome {}

    /** No plan until the referrals are settled. */
    record ReferFirst(SkinVerdict skin, SafetyVerdict safety, List<Referral> referrals) implements Outcome {}
}

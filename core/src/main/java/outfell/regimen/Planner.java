package outfell.regimen;

import java.util.List;
import java.util.Optional;
import outfell.causes.Ladder;
import outfell.consultation.Consultation;
import outfell.hand.Refusal;
import outfell.knowledge.Because;
import outfell.safety.SafetyScreen;
import outfell.safety.SafetyVerdict;
import outfell.season.Asked;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;

/** The front door of the core: a consultation in, a regimen or a referral out. Pure and deterministic. */
public final class Planner {
    private Planner() {}

    /** What the air asks, of the client's skin and safety. */
    @FunctionalInterface
    public interface Airing {
        Asked ask(Consultation consultation, SkinVerdict skin, SafetyVerdict safety);
    }

    public static Outcome plan(Consultation consultation) {
        return plan(consultation, Consultation::ask);
    }

    /** The same in air that asks otherwise, to find out what the air has done. */
    public static Outcome plan(Consultation consultation, Airing airing) {
        SkinVerdict skin = SkinReader.read(
                consultation.reading(),
                consultation.lifted(),
                consultation.house().bands());
        SafetyVerdict safety = SafetyScreen.screen(
                consultation.answers(),
                consultation.reading(),
                skin,
                consultation.shelf().stream().map(Consultation.Owned::product).toList());
        if (!safety.open().isEmpty()) {
            return new Outcome.ReferFirst(skin, safety, safety.open());
        }
        return new Outcome.Planned(
                skin, safety, new Draft(consultation, skin, safety, airing.ask(consultation, skin, safety)).regimen());
    }

    /** The ladders of the consultation's plan; none where there is no plan. */
    public static List<Ladder> ladders(Consultation consultation) {
        return plan(consultation) instanceof Outcome.Planned planned
                ? new Draft(
                                consultation,
                                planned.skin(),
                                planned.safety(),
                                consultation.ask(planned.skin(), planned.safety()))
                        .ladders()
                : List.of();
    }

    /** What the steps of the consultation's plan do to one another, gravest first, each with what mends it. */
    public static List<Findings.Met> findings(Consultation consultation) {
        return Findings.of(consultation);
    }

    /** Why a product may not be put into this plan by hand, or nothing when it may. */
    public static Optional<Because> refusal(Consultation consultation, Consultation.Choice pin) {
        if (!(plan(consultation.with(pin)) instanceof Outcome.Planned planned)) {
            return Optional.of(Because.house("No plan is made until the referral is settled."));
        }
        return planned.regimen().refusals().stream()
                .filter(r -> r.part() == pin.part() && r.product().equals(pin.product()))
                .map(Refusal::because)
                .findFirst();
    }
}

package outfell.regimen;

import java.time.Month;
import java.util.List;
import java.util.Optional;
import outfell.causes.Ladder;
import outfell.consultation.Consultation;
import outfell.hand.Refusal;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.safety.SafetyScreen;
import outfell.safety.SafetyVerdict;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;

/** The front door of the core: a consultation in, a regimen or a referral out. Pure and deterministic. */
public final class Planner {
    private Planner() {}

    public static Outcome plan(Consultation consultation) {
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
                skin, safety, new Draft(consultation, skin, safety, consultation.ask(skin, safety)).regimen());
    }

    /**
     * The plan of another month, kept as near to the one that stands as that month's air allows, with what changes.
     *
     * @return nothing when the consultation leads to no plan
     */
    public static Optional<Turned> turn(Consultation consultation, Month other) {
        if (!(plan(consultation) instanceof Outcome.Planned base)) {
            return Optional.empty();
        }
        if (other == consultation.month()) {
            return Optional.of(new Turned(base, List.of()));
        }
        int months = Math.floorMod(other.getValue() - consultation.month().getValue(), 12);
        Consultation.Standing standing =
                new Consultation.Standing(base.regimen().choices(), months * 52 / 12);
        Outcome turned = plan(consultation.in(other).keeping(standing));
        return turned instanceof Outcome.Planned planned
                ? Optional.of(new Turned(planned, Change.between(base.regimen(), planned.regimen())))
                : Optional.empty();
    }

    /** The consultation's plan, and what changes in it from the plan of another method. */
    public static Optional<Turned> instead(Consultation consultation, Method from) {
        return plan(consultation) instanceof Outcome.Planned now
                        && plan(consultation.by(from)) instanceof Outcome.Planned before
                ? Optional.of(
                        new Turned(now, Change.between(from, before.regimen(), consultation.method(), now.regimen())))
                : Optional.empty();
    }

    /** A plan, and what changes from the one that it is held against. */
    public record Turned(Outcome.Planned planned, List<Change> changes) {}

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

    /** The consultation's plan against the same without anything by hand; nothing when there is no plan. */
    public static Optional<Compared> withComputed(Consultation consultation) {
        return plan(consultation) instanceof Outcome.Planned hers
                        && plan(consultation.by(Consultation.ByHand.NOTHING)) instanceof Outcome.Planned computed
                ? Optional.of(Compared.withComputed(consultation, computed.regimen(), hers.regimen()))
                : Optional.empty();
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

package outfell.regimen;

import java.util.List;
import java.util.Optional;
import outfell.safety.SafetyScreen;
import outfell.safety.SafetyVerdict;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;

/** One choice, made by the product's own search and by a general-purpose solver. */
public final class Choices {
    private final Draft draft;
    private final Consultation consultation;
    private final List<Slot> slots;

    public Choices(Consultation consultation) {
        this.consultation = consultation;
        SkinVerdict skin = SkinReader.read(
                consultation.reading(),
                consultation.lifted(),
                consultation.house().bands());
        SafetyVerdict safety = SafetyScreen.screen(
                consultation.answers(),
                consultation.reading(),
                skin,
                consultation.shelf().stream().map(Consultation.Owned::product).toList());
        this.draft = new Draft(consultation, skin, safety, Planner.ask(consultation, skin, safety));
        this.slots = draft.openSlots();
    }

    /** The score of the plan that the product's own search finds. */
    public double own() {
        return draft.searchOf(slots).run().orElseThrow().score();
    }

    /** The score of the plan that the general-purpose solver finds, weighed as the product weighs it. */
    public Optional<Double> general() {
        return new GeneralSolver(
                        slots, draft.limitsOf(slots), consultation.house().yardstick(), draft.concerns())
                .solve()
                .flatMap(draft.searchOf(slots)::weigh);
    }
}

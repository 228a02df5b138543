package outfell.server.visit;

import outfell.server.plan.PlanAnswer;
import outfell.server.plan.VerdictView;
import outfell.server.problem.Problem;

/** What makes a plan more than a draft: everybody's questions asked today, and a face that was read. */
final class Keepable {
    private Keepable() {}

    /** @throws Problem when the plan is made without asking or without a reading */
    static void demand(PlanAnswer answer) {
        VerdictView verdict = answer.verdict();
        verdict.safety().madeWithout().ifPresent(what -> {
            throw Problem.refused(
                    "not-asked",
                    "Not kept: this plan is made without asking today: %s. Until then it is a draft.".formatted(what));
        });
        if (verdict.typeKnown() == VerdictView.Known.NOT_YET) {
            throw Problem.refused(
                    "not-read",
                    "Not kept: this plan is made without reading the skin. Until the face is read it is a draft.");
        }
    }
}

package outfell.server.visit;

import java.util.List;
import java.util.stream.Stream;
import outfell.safety.SafetyVerdict;
import outfell.server.plan.PlanAnswer;
import outfell.server.plan.VerdictView;
import outfell.server.problem.Problem;

/** What makes a plan more than a draft: everybody's questions asked today, and a face that was read. */
final class Keepable {
    private Keepable() {}

    /** @throws Problem when the plan is made without asking or without a reading */
    static void demand(PlanAnswer answer) {
        VerdictView verdict = answer.verdict();
        List<String> open = Stream.concat(
                        verdict.safety().unasked().stream(),
                        verdict.safety().askAgain().stream()
                                .filter(SafetyVerdict.Stale::must)
                                .map(SafetyVerdict.Stale::label))
                .toList();
        if (!open.isEmpty()) {
            throw Problem.refused(
                    "not-asked",
                    "This plan is made without asking today: %s. Until that is asked it is a draft, and is not kept."
                            .formatted(String.join(", ", open)));
        }
        if (verdict.typeKnown() == VerdictView.Known.NOT_YET) {
            throw Problem.refused(
                    "not-read",
                    "This plan is made without reading the skin. Until the face is read it is a draft, and is not kept.");
        }
    }
}

package outfell.server.plan;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import outfell.consultation.Consultation;
import outfell.regimen.Change;
import outfell.regimen.Outcome;
import outfell.regimen.Planner;
import outfell.regimen.Regimen;

/**
 * A plan, or what has to be settled before there is one: docs/formats/regimen.schema.json.
 *
 * @param regimen absent when something must be referred first
 * @param changes from the visit's own month, when another month is shown
 */
public record PlanAnswer(
        Status status,
        VerdictView verdict,
        @Schema(types = {"object", "null"}) @Nullable Regimen regimen,
        List<Change> changes) {

    /** Whether there is a plan. */
    public enum Status {
        PLANNED,
        REFER_FIRST
    }

    static PlanAnswer of(Consultation c, Outcome outcome) {
        VerdictView verdict = VerdictView.of(c.answers(), c.reading(), outcome.skin(), outcome.safety());
        return switch (outcome) {
            case Outcome.Planned planned -> new PlanAnswer(Status.PLANNED, verdict, planned.regimen(), List.of());
            case Outcome.ReferFirst _ -> new PlanAnswer(Status.REFER_FIRST, verdict, null, List.of());
        };
    }

    static PlanAnswer of(Consultation c, Planner.Turned turned) {
        PlanAnswer answer = of(c, turned.planned());
        return new PlanAnswer(answer.status(), answer.verdict(), answer.regimen(), turned.changes());
    }
}

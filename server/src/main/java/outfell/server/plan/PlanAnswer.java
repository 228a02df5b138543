package outfell.server.plan;

import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;
import outfell.consultation.Consultation;
import outfell.regimen.Outcome;
import outfell.regimen.Regimen;

/**
 * A plan, or what has to be settled before there is one: docs/formats/regimen.schema.json.
 *
 * @param regimen absent when something must be referred first
 */
public record PlanAnswer(
        Status status,
        VerdictView verdict,
        @Schema(types = {"object", "null"}) @Nullable Regimen regimen) {

    /** Whether there is a plan. */
    public enum Status {
        PLANNED,
        REFER_FIRST
    }

    static PlanAnswer of(Consultation c, Outcome outcome) {
        VerdictView verdict = VerdictView.of(c.answers(), c.reading(), outcome.skin(), outcome.safety());
        return switch (outcome) {
            case Outcome.Planned planned -> new PlanAnswer(Status.PLANNED, verdict, planned.regimen());
            case Outcome.ReferFirst _ -> new PlanAnswer(Status.REFER_FIRST, verdict, null);
        };
    }
}

package outfell.server.visit;

import java.time.Month;
import java.util.List;
import org.jspecify.annotations.Nullable;
import outfell.server.plan.CaseDocument;

/**
 * A visit to be kept: docs/formats/visit.schema.json.
 *
 * @param week how nights come round; as it stands when absent
 */
public record VisitDocument(
        int version,
        CaseDocument.Intake intake,
        CaseDocument.Reading reading,
        String method,
        Month month,
        List<CaseDocument.Choice> pins,
        List<CaseDocument.Choice> takenOut,
        List<CaseDocument.StepByHand> steps,
        CaseDocument.@Nullable Week week) {}

package outfell.server.visit;

import java.time.LocalDate;
import java.time.Month;
import java.util.List;
import java.util.UUID;
import outfell.server.plan.CaseDocument;
import outfell.server.visit.VisitStore.Visit;

/** A visit as shown. */
public record VisitView(
        UUID id,
        UUID client,
        LocalDate date,
        int version,
        CaseDocument.Intake intake,
        CaseDocument.Reading reading,
        String method,
        Month month,
        List<CaseDocument.Choice> pins,
        List<CaseDocument.Choice> takenOut) {

    static VisitView of(Visit v) {
        return new VisitView(
                v.id(),
                v.client(),
                v.date(),
                v.version(),
                v.intake(),
                v.reading(),
                v.method(),
                v.month(),
                v.pins(),
                v.takenOut());
    }
}

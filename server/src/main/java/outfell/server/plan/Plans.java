package outfell.server.plan;

import java.time.Month;
import org.springframework.stereotype.Service;
import outfell.regimen.Consultation;
import outfell.regimen.Outcome;
import outfell.regimen.Planner;
import outfell.safety.SafetyScreen;
import outfell.skin.SkinReader;
import outfell.skin.SkinReading;
import outfell.skin.SkinVerdict;

/** Asks the core. */
@Service
public class Plans {
    /** The plan of the consultation, as the air of the shown month turns it. */
    public PlanAnswer plan(Consultation consultation, Month shown) {
        Outcome outcome = Planner.plan(consultation);
        return shown == consultation.month() || outcome instanceof Outcome.ReferFirst
                ? PlanAnswer.of(outcome)
                : Planner.turn(consultation, shown).map(PlanAnswer::of).orElseGet(() -> PlanAnswer.of(outcome));
    }

    public VerdictView verdict(CaseDocument.Intake intake, CaseDocument.Reading reading, boolean prescribedOnShelf) {
        SkinReading face = Cases.reading(intake, reading);
        SkinVerdict skin = SkinReader.read(face, Cases.concerns(intake));
        return VerdictView.of(skin, SafetyScreen.screen(Cases.answers(intake, prescribedOnShelf), face, skin));
    }
}

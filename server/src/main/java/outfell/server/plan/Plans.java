package outfell.server.plan;

import java.time.Month;
import org.springframework.stereotype.Service;
import outfell.regimen.Consultation;
import outfell.regimen.Outcome;
import outfell.regimen.Planner;
import outfell.safety.SafetyScreen;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;

/** Asks the core. */
@Service
public class Plans {
    /** The plan of the consultation, as the air of the shown month turns it. */
    public PlanAnswer plan(Consultation consultation, Month shown) {
        Outcome outcome = Planner.plan(consultation);
        return shown == consultation.month() || outcome instanceof Outcome.ReferFirst
                ? PlanAnswer.of(consultation, outcome)
                : Planner.turn(consultation, shown)
                        .map(t -> PlanAnswer.of(consultation, t))
                        .orElseGet(() -> PlanAnswer.of(consultation, outcome));
    }

    public VerdictView verdict(Consultation c) {
        SkinVerdict skin = SkinReader.read(c.reading(), c.lifted(), c.bands());
        return VerdictView.of(c.answers(), c.reading(), skin, SafetyScreen.screen(c.answers(), c.reading(), skin));
    }
}

package outfell.server.plan;

import java.time.Month;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import outfell.causes.Ladder;
import outfell.changes.Change;
import outfell.changes.Changes;
import outfell.conflict.Conflicts;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.Product;
import outfell.regimen.Planner;
import outfell.safety.SafetyScreen;
import outfell.safety.SafetyVerdict;
import outfell.shelf.PresentRoutine;
import outfell.skin.Concern;
import outfell.skin.ProbeBands;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;

/** Asks the core. */
@Service
public class Plans {
    /** The plan of the consultation, as the air of the shown month turns it. */
    public PlanAnswer plan(Consultation consultation, Month shown) {
        Consultation then = Changes.in(consultation, shown).orElse(consultation);
        return PlanAnswer.of(consultation, Planner.plan(then));
    }

    /** Each difference between two plans, with the fact that did it; none where one of them is no plan. */
    public List<Change> changes(Consultation from, Consultation to) {
        return changes(Changes.between(from, to));
    }

    /** What the air of another month changes in the consultation's plan. */
    public List<Change> turned(Consultation consultation, Month shown) {
        return changes(Changes.turned(consultation, shown));
    }

    /** What the consultation's method changes in the plan of another. */
    public List<Change> instead(Consultation consultation, Method from) {
        return changes(Changes.instead(consultation, from));
    }

    /** What the practice's own rules change in the consultation's plan. */
    public List<Change> byOwnRules(Consultation consultation) {
        return changes(Changes.ofThePractice(consultation));
    }

    private static List<Change> changes(Optional<Changes.Held> held) {
        return held.map(Changes.Held::changes).orElseGet(List::of);
    }

    /** For each of the client's limits, what less would take and what more would buy. */
    public List<Ladder> ladders(Consultation consultation) {
        return Planner.ladders(consultation);
    }

    /** Why a product must not touch this client's skin; nothing when it may. */
    public List<Because> against(Cases.Asked asked, Set<Concern> lifted, ProbeBands bands, Product product) {
        SkinVerdict skin = SkinReader.read(asked.face(), lifted, bands);
        return screen(asked, skin).allAgainst(product);
    }

    public PresentRoutine.Present present(
            Cases.Asked asked,
            Set<Concern> lifted,
            ProbeBands bands,
            List<PresentRoutine.Used> shelf,
            Method method,
            Conflicts conflicts) {
        SkinVerdict skin = SkinReader.read(asked.face(), lifted, bands);
        return PresentRoutine.read(shelf, skin, screen(asked, skin), method, conflicts);
    }

    public VerdictView verdict(Cases.Asked asked, Set<Concern> lifted, ProbeBands bands) {
        SkinVerdict skin = SkinReader.read(asked.face(), lifted, bands);
        return VerdictView.of(asked.answers(), asked.face(), skin, screen(asked, skin));
    }

    private static SafetyVerdict screen(Cases.Asked asked, SkinVerdict skin) {
        return SafetyScreen.screen(asked.answers(), asked.face(), skin, asked.shelf());
    }
}

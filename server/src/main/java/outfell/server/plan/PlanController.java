package outfell.server.plan;

import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import outfell.causes.Ladder;
import outfell.changes.Change;
import outfell.changes.Changes;
import outfell.consultation.Consultation;
import outfell.server.problem.MatchesSchema;

/** Plans without a database: a case document in, the whole regimen out. */
@RestController
@RequestMapping("/api/plan")
class PlanController {
    private final Plans plans;

    PlanController(Plans plans) {
        this.plans = plans;
    }

    @PostMapping
    PlanAnswer plan(@RequestBody @MatchesSchema("case") CaseDocument document) {
        return plans.plan(Cases.consultation(document), document.month());
    }

    /**
     * Two cases.
     *
     * @param from as it was, or would have been
     * @param to as it is
     */
    record TwoCases(CaseDocument from, CaseDocument to) {}

    /** Each difference between the plans of two cases, with the fact whose taking back takes it back. */
    @PostMapping("/changes")
    List<Change> changes(@RequestBody @MatchesSchema("changes") TwoCases two) {
        return plans.changes(shown(two.from()), shown(two.to()));
    }

    /** A case in the air that it is to be shown in. */
    private static Consultation shown(CaseDocument document) {
        Consultation consultation = Cases.consultation(document);
        return Changes.in(consultation, document.month()).orElse(consultation);
    }

    /** For each of the client's limits, what less would take and what more would buy; none where there is no plan. */
    @PostMapping("/ladders")
    List<Ladder> ladders(@RequestBody @MatchesSchema("case") CaseDocument document) {
        return plans.ladders(Cases.consultation(document));
    }
}

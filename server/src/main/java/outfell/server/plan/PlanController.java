package outfell.server.plan;

import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import outfell.causes.Ladder;
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

    /** For each of the client's limits, what less would take and what more would buy; none where there is no plan. */
    @PostMapping("/ladders")
    List<Ladder> ladders(@RequestBody @MatchesSchema("case") CaseDocument document) {
        return plans.ladders(Cases.consultation(document));
    }
}

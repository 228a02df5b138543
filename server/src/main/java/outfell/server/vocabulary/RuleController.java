package outfell.server.vocabulary;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import outfell.knowledge.Rules;
import outfell.server.problem.Problem;

/** The rules behind the reasons, to be read. */
@RestController
class RuleController {
    /** @param at the place that a reason names */
    @GetMapping("/api/rules")
    Rules.KnowledgeRule rule(@RequestParam String at) {
        return Rules.find(at).orElseThrow(() -> Problem.notFound("rule", at));
    }
}

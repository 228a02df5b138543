package outfell.server.visit;

import java.time.Clock;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.regimen.AroundOne;
import outfell.server.catalogue.Catalogue;
import outfell.server.problem.Problem;

/** What can be built round one thing that somebody has brought. */
@RestController
@RequestMapping("/api/products")
class AroundController {
    private final Catalogue catalogue;
    private final VisitStore visits;
    private final VisitCases cases;
    private final Clock clock;

    AroundController(Catalogue catalogue, VisitStore visits, VisitCases cases, Clock clock) {
        this.catalogue = catalogue;
        this.visits = visits;
        this.cases = cases;
        this.clock = clock;
    }

    /** @param visit whose face and answers it is built on; on a plain skin when absent */
    @GetMapping("/{id}/around")
    AroundOne.Rounds around(@PathVariable String id, @RequestParam(required = false) @Nullable UUID visit) {
        Product thing = catalogue.find(new ProductId(id)).orElseThrow(() -> Problem.notFound("product", id));
        return AroundOne.of(
                visit == null
                        ? cases.plain(LocalDate.now(clock))
                        : cases.of(visits.find(visit).orElseThrow(() -> Problem.notFound("visit", visit))),
                thing);
    }
}

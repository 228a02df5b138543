package outfell.server.visit;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.regimen.AroundOne;
import outfell.server.catalogue.Catalogue;
import outfell.server.client.Clients;
import outfell.server.problem.Problem;

/** What can be built round one thing that somebody has brought. */
@RestController
@RequestMapping("/api/products")
class AroundController {
    private final Catalogue catalogue;
    private final VisitStore visits;
    private final VisitCases cases;
    private final Clients clients;
    private final Clock clock;

    AroundController(Catalogue catalogue, VisitStore visits, VisitCases cases, Clients clients, Clock clock) {
        this.catalogue = catalogue;
        this.visits = visits;
        this.cases = cases;
        this.clients = clients;
        this.clock = clock;
    }

    /**
     * @param client on whose skin; empty for a plain one
     * @param refused why it goes into none of them; absent when it does
     */
    record AroundView(String client, Optional<Because> refused, List<AroundOne.OneRound> rounds) {}

    /** @param visit whose face and answers it is built on; on a plain skin when absent */
    @GetMapping("/{id}/around")
    AroundView around(@PathVariable String id, @RequestParam(required = false) @Nullable UUID visit) {
        Product thing = catalogue.find(new ProductId(id)).orElseThrow(() -> Problem.notFound("product", id));
        return visit == null
                ? view("", AroundOne.of(cases.plain(LocalDate.now(clock)), thing))
                : onClient(visits.find(visit).orElseThrow(() -> Problem.notFound("visit", visit)), thing);
    }

    private AroundView onClient(VisitStore.Visit visit, Product thing) {
        return view(clients.get(visit.client()).name(), AroundOne.of(cases.of(visit), thing));
    }

    private static AroundView view(String client, AroundOne.Rounds rounds) {
        return new AroundView(client, rounds.refused(), rounds.rounds());
    }
}

package outfell.server.sheet;

import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import outfell.regimen.Regimen;
import outfell.server.client.Clients;
import outfell.server.plan.PlanAnswer;
import outfell.server.practice.House;
import outfell.server.problem.Problem;
import outfell.server.visit.VisitStore.Visit;
import outfell.server.visit.VisitWeeks;
import outfell.server.visit.VisitYear;
import outfell.server.visit.Visits;

/** The client's sheet as a PDF. */
@RestController
@RequestMapping("/api/visits/{id}/sheet.pdf")
class SheetController {
    private final Visits visits;
    private final VisitWeeks weeks;
    private final VisitYear year;
    private final Clients clients;
    private final House house;
    private final SheetPdf pdf;

    SheetController(Visits visits, VisitWeeks weeks, VisitYear year, Clients clients, House house, SheetPdf pdf) {
        this.visits = visits;
        this.weeks = weeks;
        this.year = year;
        this.clients = clients;
        this.house = house;
        this.pdf = pdf;
    }

    @GetMapping
    ResponseEntity<byte[]> sheet(@PathVariable UUID id) {
        Visit visit = visits.find(id);
        PlanAnswer answer = visits.plan(id, visit.month());
        Regimen regimen = answer.regimen();
        if (regimen == null) {
            throw Problem.refused("refer-first", "There is no sheet until the referral is settled.");
        }
        Sheet sheet = Sheet.of(new Sheet.Facts(
                visit,
                clients.get(visit.client()),
                house.view().details(),
                regimen,
                weeks.weeks(id),
                answer.verdict(),
                visits.keptAs(id, answer).orElse(null),
                year.year(id, null).sheet()));
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename("sheet-%s.pdf".formatted(visit.date()))
                                .build()
                                .toString())
                .body(pdf.set(sheet));
    }
}

package outfell.server.visit;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One client's page, the plans kept, and the whole record. */
@RestController
@RequestMapping("/api")
class ClientPageController {
    record Erase(
            int version,

            @NotBlank(message = "Say who erases it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String who) {}

    private final ClientPage page;
    private final KeptPlans kept;
    private final ClientRecords records;
    private final OpenEnds ends;

    ClientPageController(ClientPage page, KeptPlans kept, ClientRecords records, OpenEnds ends) {
        this.page = page;
        this.kept = kept;
        this.records = records;
        this.ends = ends;
    }

    @GetMapping("/clients/{id}/page")
    ClientPage.Page page(@PathVariable UUID id) {
        return page.of(id);
    }

    /** A plan as it was handed over. */
    @GetMapping("/plans/{id}")
    KeptPlans.KeptPlanView plan(@PathVariable UUID id) {
        return kept.find(id);
    }

    /** Where two kept plans part. */
    @GetMapping("/plans/{id}/against/{other}")
    List<KeptPlans.PlanDifference> against(@PathVariable UUID id, @PathVariable UUID other) {
        return kept.between(id, other);
    }

    /** Where a kept plan and what is planned now part. */
    @GetMapping("/plans/{id}/against-now")
    List<KeptPlans.PlanDifference> againstNow(@PathVariable UUID id) {
        return kept.againstNow(id);
    }

    /** What is still open before the visit is finished. */
    @GetMapping("/visits/{id}/open-ends")
    List<OpenEnds.OpenEnd> openEnds(@PathVariable UUID id) {
        return ends.of(id);
    }

    /** Everything that is kept of a client, as a document to take along. */
    @GetMapping("/clients/{id}/record")
    ResponseEntity<ClientRecords.ClientRecord> record(@PathVariable UUID id) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("outfell-client-record.json")
                                .build()
                                .toString())
                .body(records.of(id));
    }

    /** What erasing the record would take out, and what it would leave and why. */
    @GetMapping("/clients/{id}/erasure")
    ClientRecords.Erasure erasure(@PathVariable UUID id) {
        return records.erasure(id);
    }

    /** Erases the record; one that is gone already stays gone. */
    @PostMapping("/clients/{id}/erasure")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void erase(@PathVariable UUID id, @RequestBody @Valid Erase form) {
        records.erase(id, form.version(), form.who().strip());
    }
}

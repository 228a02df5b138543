package outfell.server.week;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import outfell.server.plan.CaseDocument;

/** Check-ins and pauses. */
@RestController
@RequestMapping("/api")
class CheckInController {
    /** What nobody asked is absent. */
    record Said(
            @NotNull(message = "Say the day.") LocalDate on,
            @NotNull(message = "Say how it was asked.") CheckInStore.How how,

            @Schema(types = {"integer", "null"})
            @Min(value = 0, message = "Grades run from 0.")
            @Max(value = 4, message = "Grades run to 4.")
            @Nullable
            Integer sting,

            @Schema(types = {"integer", "null"})
            @Min(value = 0, message = "Grades run from 0.")
            @Max(value = 4, message = "Grades run to 4.")
            @Nullable
            Integer redness,

            @Schema(types = {"integer", "null"})
            @Min(value = 0, message = "Grades run from 0.")
            @Max(value = 4, message = "Grades run to 4.")
            @Nullable
            Integer flaking,

            boolean swelling,

            @Schema(types = {"integer", "null"})
            @Min(value = 0, message = "It is 0 nights or more.")
            @Max(value = 60, message = "That is more nights than there were; allowed is 60.")
            @Nullable
            Integer skipped,

            @NotNull @Size(max = 1000, message = "The remark is too long; allowed is 1000 characters.")
            String remark) {}

    record SeenBy(
            @NotNull(message = "Say the day.") LocalDate on,

            @NotBlank(message = "Say who looked at it.")
            @Size(max = 200, message = "The name is too long; allowed is 200 characters.")
            String by,

            @NotBlank(message = "Say what they said.")
            @Size(max = 1000, message = "That is too long; allowed is 1000 characters.")
            String said) {}

    record Pausing(
            @NotBlank(message = "Say what for.") String kind,
            @NotNull(message = "Say the first day.") LocalDate from,
            @NotNull(message = "Say the last day.") LocalDate until,

            @Schema(types = {"number", "null"}) @Nullable Double figure,

            @NotNull @Size(max = 1000, message = "The remark is too long; allowed is 1000 characters.")
            String remark) {}

    private final CheckIns checkIns;

    CheckInController(CheckIns checkIns) {
        this.checkIns = checkIns;
    }

    @GetMapping("/clients/{client}/diary")
    CheckIns.Diary diary(@PathVariable UUID client) {
        return checkIns.view(client);
    }

    @PostMapping("/clients/{client}/check-ins")
    CheckIns.Diary say(@PathVariable UUID client, @RequestBody @Valid Said form) {
        return checkIns.say(
                client,
                new CaseDocument.SaidOfSkin(
                        form.on(), form.sting(), form.redness(), form.flaking(), form.swelling(), form.skipped(), null),
                form.how(),
                form.remark().strip());
    }

    @DeleteMapping("/check-ins/{id}")
    CheckIns.Diary takeBack(@PathVariable UUID id) {
        return checkIns.takeBack(id);
    }

    @PutMapping("/check-ins/{id}/seen")
    CheckIns.Diary seen(@PathVariable UUID id, @RequestBody @Valid SeenBy form) {
        return checkIns.seen(
                id,
                new CaseDocument.Seen(form.on(), form.by().strip(), form.said().strip()));
    }

    @DeleteMapping("/check-ins/{id}/seen")
    CheckIns.Diary unseen(@PathVariable UUID id) {
        return checkIns.unseen(id);
    }

    @PostMapping("/clients/{client}/pauses")
    CheckIns.Diary pause(@PathVariable UUID client, @RequestBody @Valid Pausing form) {
        return checkIns.pause(
                client,
                new CaseDocument.PauseOf(form.kind(), form.from(), form.until(), form.figure()),
                form.remark().strip());
    }

    @DeleteMapping("/pauses/{id}")
    CheckIns.Diary goOn(@PathVariable UUID id) {
        return checkIns.goOn(id);
    }
}

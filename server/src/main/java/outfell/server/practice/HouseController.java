package outfell.server.practice;

import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.time.DayOfWeek;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import outfell.server.practice.HouseStore.MarkKept;
import outfell.server.problem.Problem;

/** The practice's own page. */
@RestController
@RequestMapping("/api/practice/house")
class HouseController {
    record FormatsForm(
            @NotNull @Pattern(regexp = "[a-z]{2}(-[A-Za-z]{2,8})?", message = "A language is written as en or de.")
            String language,

            @NotNull(message = "Say how a day is written.") House.Dates dates,
            boolean clock24,

            @NotNull(message = "Say on which day the week begins.")
            DayOfWeek firstDay,

            @NotNull(message = "Say in what amounts are told.")
            House.Volume volume,

            @NotNull(message = "Say in what warmth is told.")
            House.Temperature temperature) {}

    record HouseForm(
            int version,

            @NotNull @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String name,

            @NotNull @Size(max = 300, message = "The address is too long; allowed is 300 characters.")
            String address,

            @NotNull @Size(max = 60, message = "The telephone is too long; allowed is 60 characters.")
            String telephone,

            @NotNull @Size(max = 200, message = "The hours are too long; allowed is 200 characters.")
            String hours,

            @Valid @NotNull(message = "Say how things are written.")
            FormatsForm formats,

            @NotBlank(message = "Say who changes it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String by) {
        House.Details details() {
            return new House.Details(
                    name.strip(),
                    address.strip(),
                    telephone.strip(),
                    hours.strip(),
                    new House.Formats(
                            formats.language(),
                            formats.dates(),
                            formats.clock24(),
                            formats.firstDay(),
                            formats.volume(),
                            formats.temperature()));
        }
    }

    record WorkerForm(
            @NotBlank(message = "Say the name.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String name) {}

    private static final int MOST_READ = 1024 * 1024;

    private final House house;

    HouseController(House house) {
        this.house = house;
    }

    @GetMapping
    House.HouseView house() {
        return house.view();
    }

    @PutMapping
    House.HouseView set(@RequestBody @Valid HouseForm form) {
        return house.set(form.details(), form.by(), form.version());
    }

    @PostMapping("/workers")
    House.HouseView join(@RequestBody @Valid WorkerForm form) {
        return house.join(form.name());
    }

    @DeleteMapping("/workers/{id}")
    House.HouseView leave(@PathVariable UUID id) {
        return house.leave(id);
    }

    /** The mark as a picture. */
    @GetMapping("/mark")
    ResponseEntity<byte[]> mark() {
        MarkKept mark = house.mark().orElseThrow(() -> Problem.notFound("mark of the", "practice"));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(mark.mediaType()))
                // a drawing is looked at and does nothing, also when it is opened by itself
                .header("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'; sandbox")
                .body(mark.picture());
    }

    @PutMapping(path = "/mark", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_OCTET_STREAM_VALUE,
                            schema = @Schema(type = "string", format = "binary")))
    House.HouseView setMark(@RequestParam String by, @Parameter(hidden = true) HttpServletRequest request)
            throws IOException {
        return house.setMark(request.getInputStream().readNBytes(MOST_READ), by.strip());
    }

    @DeleteMapping("/mark")
    House.HouseView dropMark() {
        return house.dropMark();
    }
}

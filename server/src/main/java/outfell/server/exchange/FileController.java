package outfell.server.exchange;

import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import outfell.server.problem.Problem;

/** The catalogue and shelves as files, out and in. */
@RestController
@RequestMapping("/api/files")
class FileController {
    private static final int MOST_BYTES = 64 * 1024 * 1024;

    record Signed(
            @NotBlank(message = "Say who does it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String who) {}

    /** @param headings column by heading as printed; an empty column leaves it out */
    record Matched(
            @NotNull @Size(max = 200) Map<String, String> headings,

            @NotBlank(message = "Say who does it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String who) {}

    private final Imports imports;
    private final Files files;

    FileController(Imports imports, Files files) {
        this.imports = imports;
        this.files = files;
    }

    /** A file to be read; it is only looked at. */
    @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.ACCEPTED)
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_OCTET_STREAM_VALUE,
                            schema = @Schema(type = "string", format = "binary")))
    Imports.FileView choose(
            @RequestParam What what,
            @RequestParam(required = false) @Nullable UUID client,
            @RequestParam String name,
            @Parameter(hidden = true) HttpServletRequest request)
            throws IOException {
        byte[] bytes = request.getInputStream().readNBytes(MOST_BYTES + 1);
        if (bytes.length > MOST_BYTES) {
            throw Problem.refused("too-large", "The file is larger than 64 MB; cut it in parts.");
        }
        return imports.choose(what, client, name.length() <= 200 ? name : name.substring(0, 200), bytes);
    }

    @GetMapping("/{id}")
    Imports.FileView chosen(@PathVariable UUID id) {
        return imports.view(id);
    }

    /** All of it, or nothing. */
    @PostMapping("/{id}/taken")
    Imports.FileView take(@PathVariable UUID id, @RequestBody @Valid Signed form) {
        return imports.take(id, form.who().strip());
    }

    /** What headings of the file mean; it is kept for the next file, and this one is read anew. */
    @PutMapping("/{id}/headings")
    Imports.FileView match(@PathVariable UUID id, @RequestBody @Valid Matched form) {
        return imports.match(id, form.headings(), form.who().strip());
    }

    /** Stops the reading or the taking in; nothing of it is stored. */
    @PostMapping("/{id}/stopped")
    Imports.FileView stop(@PathVariable UUID id) {
        return imports.stop(id);
    }

    /** Takes a file back. */
    @PostMapping("/{id}/undone")
    List<FileStore.TakenFile> undo(@PathVariable UUID id, @RequestBody @Valid Signed form) {
        return imports.undo(id, form.who().strip());
    }

    /** What was taken in, newest first. */
    @GetMapping
    List<FileStore.TakenFile> taken(@RequestParam What what, @RequestParam(required = false) @Nullable UUID client) {
        return imports.taken(what, client);
    }

    /** The house catalogue, or a client's shelf, as a file. */
    @GetMapping("/export")
    ResponseEntity<byte[]> export(
            @RequestParam What what,
            @RequestParam(required = false) @Nullable UUID client,
            @RequestParam Files.Form form) {
        if (what == What.SHELF && client == null) {
            throw Problem.field("/client", "Say whose shelf.");
        }
        String text = what == What.SHELF ? files.shelf(Objects.requireNonNull(client), form) : files.catalogue(form);
        boolean json = form == Files.Form.JSON;
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(json ? "application/json" : "text/csv;charset=UTF-8"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("outfell-%s.%s".formatted(what.word(), json ? "json" : "csv"))
                                .build()
                                .toString())
                .body(text.getBytes(StandardCharsets.UTF_8));
    }
}

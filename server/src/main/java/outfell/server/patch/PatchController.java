package outfell.server.patch;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import outfell.product.ProductId;
import outfell.safety.PatchTest;
import outfell.server.client.ClientStore;
import outfell.server.patch.Patches.PatchView;
import outfell.server.problem.Problem;

/** Patch tests. */
@RestController
@RequestMapping("/api")
class PatchController {
    record Start(
            @NotBlank(message = "Say which product.") String product,
            @NotNull(message = "Say how it is tested.") PatchTest.Kind kind,
            @NotNull(message = "Say where it is tested.") PatchTest.Site site) {}

    /** @param at when it was read; now when absent */
    record Read(
            @Min(value = 0, message = "Grades run from 0.") @Max(value = 4, message = "Grades run to 4.")
            int grade,

            @Schema(types = {"string", "null"}) @Nullable LocalDateTime at,

            @NotNull @Size(max = 500, message = "The remark is too long; allowed is 500 characters.")
            String remark) {}

    record Waive(
            @NotBlank(message = "Say which product.") String product,

            @NotBlank(message = "Say who decides it.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String who,

            @NotBlank(message = "Say why no patch test is needed.")
            @Size(max = 500, message = "The reason is too long; allowed is 500 characters.")
            String why) {}

    private final Patches patches;
    private final ClientStore clients;
    private final Clock clock;

    PatchController(Patches patches, ClientStore clients, Clock clock) {
        this.patches = patches;
        this.clients = clients;
        this.clock = clock;
    }

    @GetMapping("/clients/{client}/patch-tests")
    PatchView all(@PathVariable UUID client) {
        return patches.view(known(client));
    }

    @PostMapping("/clients/{client}/patch-tests")
    PatchView start(@PathVariable UUID client, @RequestBody @Valid Start form) {
        return patches.start(
                known(client), new ProductId(form.product()), form.kind(), form.site(), LocalDateTime.now(clock));
    }

    @DeleteMapping("/patch-tests/{test}")
    PatchView drop(@PathVariable UUID test) {
        return patches.drop(test);
    }

    @PostMapping("/patch-tests/{test}/readings")
    PatchView read(@PathVariable UUID test, @RequestBody @Valid Read form) {
        LocalDateTime at = form.at();
        return patches.read(test, form.grade(), at == null ? LocalDateTime.now(clock) : at, form.remark());
    }

    @DeleteMapping("/patch-tests/{test}/readings/{reading}")
    PatchView takeBack(@PathVariable UUID test, @PathVariable UUID reading) {
        return patches.takeBack(test, reading);
    }

    @PostMapping("/clients/{client}/patch-waivers")
    PatchView waive(@PathVariable UUID client, @RequestBody @Valid Waive form) {
        return patches.waive(
                known(client),
                new ProductId(form.product()),
                form.who().strip(),
                form.why().strip());
    }

    @DeleteMapping("/clients/{client}/patch-waivers/{product}")
    PatchView unwaive(@PathVariable UUID client, @PathVariable String product) {
        return patches.unwaive(known(client), new ProductId(product));
    }

    private UUID known(UUID client) {
        return clients.find(client).map(ClientStore.Client::id).orElseThrow(() -> Problem.notFound("client", client));
    }
}

package outfell.server.client;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import outfell.product.ProductId;
import outfell.server.catalogue.ProductForm;
import outfell.server.catalogue.ProductView;
import outfell.server.problem.Problem;

/** Clients and their shelves. */
@RestController
@RequestMapping("/api/clients")
class ClientController {
    /** A client as shown. */
    record ClientView(
            UUID id,
            String name,
            String trade,
            @Schema(types = {"string", "null"}) @Nullable LocalDateTime nextVisit) {}

    record NewClient(
            @NotBlank(message = "Say her name, or what you call her.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String name,

            @NotNull @Size(max = 120, message = "The trade is too long; allowed is 120 characters.")
            String trade,

            @Schema(types = {"string", "null"}) @Nullable LocalDateTime nextVisit) {}

    record Labelled(
            @Valid ProductForm product,

            @Min(value = 0, message = "Weeks run from 0.") @Max(value = 2000, message = "Weeks run to 2000.")
            int weeks,

            List<DayOfWeek> nights) {}

    record Known(
            @NotBlank(message = "Say which product.") String product,

            @Min(value = 0, message = "Weeks run from 0.") @Max(value = 2000, message = "Weeks run to 2000.")
            int weeks) {}

    private final ClientStore clients;
    private final Shelf shelf;
    private final Clock clock;

    ClientController(ClientStore clients, Shelf shelf, Clock clock) {
        this.clients = clients;
        this.shelf = shelf;
        this.clock = clock;
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    ClientView add(@RequestBody @Valid NewClient form) {
        ClientStore.Client client = new ClientStore.Client(
                UUID.randomUUID(), form.name().strip(), form.trade().strip(), form.nextVisit());
        clients.add(client, LocalDateTime.now(clock));
        return view(client);
    }

    @GetMapping("/{id}")
    ClientView client(@PathVariable UUID id) {
        return view(find(id));
    }

    @GetMapping("/{id}/shelf")
    List<Shelf.Item> shelf(@PathVariable UUID id) {
        return shelf.items(find(id).id());
    }

    @PostMapping("/{id}/shelf/labels")
    List<Shelf.Item> addLabel(@PathVariable UUID id, @RequestBody @Valid Labelled form) {
        return shelf.addLabel(find(id).id(), form.product(), ClientStore.Use.NEW.after(form.weeks()), form.nights());
    }

    @PostMapping("/{id}/shelf/products")
    List<Shelf.Item> addKnown(@PathVariable UUID id, @RequestBody @Valid Known form) {
        return shelf.addKnown(find(id).id(), new ProductId(form.product()), ClientStore.Use.NEW.after(form.weeks()));
    }

    @GetMapping("/{id}/shelf/others")
    List<ProductView> ownedByOthers(@PathVariable UUID id) {
        return shelf.ownedByOthers(find(id).id());
    }

    @PutMapping("/{id}/shelf/{item}")
    List<Shelf.Item> change(@PathVariable UUID id, @PathVariable UUID item, @RequestBody @Valid UseForm form) {
        return shelf.change(find(id).id(), item, form.use());
    }

    @DeleteMapping("/{id}/shelf/{item}")
    List<Shelf.Item> takeOff(@PathVariable UUID id, @PathVariable UUID item) {
        return shelf.takeOff(find(id).id(), item);
    }

    private ClientStore.Client find(UUID id) {
        return clients.find(id).orElseThrow(() -> Problem.notFound("client", id));
    }

    private static ClientView view(ClientStore.Client c) {
        return new ClientView(c.id(), c.name(), c.trade(), c.nextVisit());
    }
}

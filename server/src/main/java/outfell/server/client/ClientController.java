package outfell.server.client;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
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

/** Clients and their shelves. */
@RestController
@RequestMapping("/api/clients")
class ClientController {
    /** @param id that the client is to have, so that one sent twice is added once; absent for any */
    record NewClient(
            @Schema(types = {"string", "null"}) @Nullable UUID id,

            @NotBlank(message = "Say the name, or what you call them.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String name,

            @NotNull @Size(max = 120, message = "The trade is too long; allowed is 120 characters.")
            String trade,

            @Schema(types = {"string", "null"}) @Nullable LocalDateTime nextVisit) {}

    record ClientDetails(
            int version,

            @NotBlank(message = "Say the name, or what you call them.")
            @Size(max = 120, message = "The name is too long; allowed is 120 characters.")
            String name,

            @NotNull @Size(max = 120, message = "The trade is too long; allowed is 120 characters.")
            String trade,

            @NotNull @Size(max = 200, message = "The contact is too long; allowed is 200 characters.")
            String contact,

            @NotNull @Size(max = 2000, message = "The note is too long; allowed is 2000 characters.")
            String note,

            @Schema(types = {"string", "null"}) @Nullable LocalDateTime nextVisit,
            boolean archived) {}

    /** @param id that the thing on the shelf is to have, so that one sent twice is put once; absent for any */
    record Labelled(
            @Schema(types = {"string", "null"}) @Nullable UUID id,

            @Valid @NotNull(message = "Say what it is.") ProductForm product,

            @Min(value = 0, message = "Weeks run from 0.") @Max(value = 2000, message = "Weeks run to 2000.")
            int weeks,

            @NotNull(message = "Say on which nights, or none.")
            List<@NotNull(message = "A night is a day of the week.") DayOfWeek> nights) {}

    record Known(
            @NotBlank(message = "Say which product.") String product,

            @Min(value = 0, message = "Weeks run from 0.") @Max(value = 2000, message = "Weeks run to 2000.")
            int weeks,

            @NotNull(message = "Say on which nights, or none.")
            List<@NotNull(message = "A night is a day of the week.") DayOfWeek> nights) {}

    private final Clients clients;
    private final Shelf shelf;

    ClientController(Clients clients, Shelf shelf) {
        this.clients = clients;
        this.shelf = shelf;
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    ClientStore.Client add(@RequestBody @Valid NewClient form) {
        return clients.add(form.id(), form.name(), form.trade(), form.nextVisit());
    }

    @GetMapping("/{id}")
    ClientStore.Client client(@PathVariable UUID id) {
        return clients.get(id);
    }

    /** Name, trade, contact, note, next visit, and whether they still come. */
    @PutMapping("/{id}")
    ClientStore.Client change(@PathVariable UUID id, @RequestBody @Valid ClientDetails form) {
        return clients.change(
                id,
                new Clients.Details(
                        form.name(), form.trade(), form.contact(), form.note(), form.nextVisit(), form.archived()),
                form.version());
    }

    @GetMapping("/{id}/shelf")
    List<Shelf.Item> shelf(@PathVariable UUID id) {
        return shelf.items(clients.get(id).id());
    }

    @PostMapping("/{id}/shelf/labels")
    List<Shelf.Item> addLabel(@PathVariable UUID id, @RequestBody @Valid Labelled form) {
        return shelf.addLabel(
                clients.get(id).id(),
                form.id(),
                form.product(),
                ClientStore.Use.NEW.after(form.weeks()),
                form.nights());
    }

    @PostMapping("/{id}/shelf/products")
    List<Shelf.Item> addKnown(@PathVariable UUID id, @RequestBody @Valid Known form) {
        return shelf.addKnown(
                clients.get(id).id(),
                new ProductId(form.product()),
                ClientStore.Use.NEW.after(form.weeks()),
                form.nights());
    }

    @GetMapping("/{id}/shelf/others")
    List<ProductView> ownedByOthers(@PathVariable UUID id) {
        return shelf.ownedByOthers(clients.get(id).id());
    }

    @PutMapping("/{id}/shelf/{item}")
    List<Shelf.Item> change(@PathVariable UUID id, @PathVariable UUID item, @RequestBody @Valid UseForm form) {
        return shelf.change(clients.get(id).id(), item, form.use(), form.nights(), form.version());
    }

    @DeleteMapping("/{id}/shelf/{item}")
    List<Shelf.Item> takeOff(@PathVariable UUID id, @PathVariable UUID item) {
        return shelf.takeOff(clients.get(id).id(), item);
    }
}

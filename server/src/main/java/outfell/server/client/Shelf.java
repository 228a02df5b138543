package outfell.server.client;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.regimen.Consultation.Owned;
import outfell.regimen.PresentRoutine;
import outfell.server.catalogue.Catalogue;
import outfell.server.catalogue.ProductForm;
import outfell.server.catalogue.ProductView;
import outfell.server.problem.Problem;

/** What a client owns, understood. */
@Service
public class Shelf {
    /** One thing on her shelf as shown. */
    public record Item(UUID id, ProductView product, ClientStore.Use use, List<DayOfWeek> nights) {}

    private final ClientStore clients;
    private final Catalogue catalogue;

    Shelf(ClientStore clients, Catalogue catalogue) {
        this.clients = clients;
        this.catalogue = catalogue;
    }

    public List<Owned> owned(UUID client) {
        return clients.shelf(client).stream()
                .map(i -> new Owned(product(i.product()), i.use().weeks(), i.nights()))
                .toList();
    }

    /** What is used now, and how. */
    public List<PresentRoutine.Used> used(UUID client) {
        return clients.shelf(client).stream()
                .map(i -> new PresentRoutine.Used(
                        product(i.product()),
                        i.use().weeks(),
                        i.use().morning() && i.nights().isEmpty(),
                        i.use().evening(),
                        i.nights().isEmpty() ? i.use().daysAWeek() : i.nights().size()))
                .toList();
    }

    public List<Item> items(UUID client) {
        return clients.shelf(client).stream()
                .map(i -> new Item(i.id(), ProductView.of(product(i.product())), i.use(), i.nights()))
                .toList();
    }

    @Transactional
    public List<Item> addLabel(UUID client, ProductForm form, ClientStore.Use use, List<DayOfWeek> nights) {
        List<DayOfWeek> kept = new ArrayList<>(nights);
        if (form.prescription() && kept.isEmpty()) {
            throw Problem.field("/nights", "A prescribed product needs its nights: ask for the prescriber's.");
        }
        Product product = catalogue.add(form, false);
        clients.put(client, product.id(), use, form.prescription() ? kept : List.of());
        return items(client);
    }

    @Transactional
    public List<Item> addKnown(UUID client, ProductId id, ClientStore.Use use) {
        Product product = product(id);
        if (clients.shelf(client).stream().noneMatch(i -> i.product().equals(product.id()))) {
            clients.put(client, product.id(), use, List.of());
        }
        return items(client);
    }

    @Transactional
    public List<Item> change(UUID client, UUID item, ClientStore.Use use) {
        if (!clients.change(client, item, use)) {
            throw Problem.notFound("thing on this shelf with the id", item);
        }
        return items(client);
    }

    /** What other clients own and the house does not sell. */
    public List<ProductView> ownedByOthers(UUID client) {
        return clients.ownedByOthers(client).stream()
                .map(id -> ProductView.of(product(id)))
                .toList();
    }

    @Transactional
    public List<Item> takeOff(UUID client, UUID item) {
        if (!clients.takeOff(client, item)) {
            throw Problem.notFound("thing on this shelf with the id", item);
        }
        return items(client);
    }

    private Product product(ProductId id) {
        return catalogue.find(id).orElseThrow(() -> Problem.notFound("product", id));
    }
}

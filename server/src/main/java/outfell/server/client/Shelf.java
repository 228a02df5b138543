package outfell.server.client;

import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import outfell.consultation.Consultation.Habit;
import outfell.consultation.Consultation.Owned;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.server.catalogue.Catalogue;
import outfell.server.catalogue.ProductForm;
import outfell.server.catalogue.ProductView;
import outfell.server.client.ClientStore.ShelfItem;
import outfell.server.problem.Clash;
import outfell.server.problem.Problem;
import outfell.shelf.PresentRoutine;

/** What a client owns, understood. */
@Service
public class Shelf {
    /**
     * One thing on a shelf as shown.
     *
     * @param missing what has to be asked before it counts as what it is; empty when nothing
     */
    public record Item(
            UUID id, ProductView product, ClientStore.Use use, List<DayOfWeek> nights, int version, String missing) {}

    private static final String NIGHTS_NEEDED = "A prescribed product needs its nights: ask for the prescriber's.";
    private static final List<DayOfWeek> EVERY_NIGHT = Arrays.asList(DayOfWeek.values());

    private final ClientStore clients;
    private final Catalogue catalogue;
    private final ApplicationEventPublisher events;

    Shelf(ClientStore clients, Catalogue catalogue, ApplicationEventPublisher events) {
        this.clients = clients;
        this.catalogue = catalogue;
        this.events = events;
    }

    /** Nights that nobody has said are every night: then nothing is planned that must not meet it. */
    public List<Owned> owned(UUID client) {
        List<ShelfItem> shelf = clients.shelf(client);
        Map<ProductId, Product> known = known(shelf);
        return shelf.stream()
                .map(i -> {
                    Product product = product(known, i);
                    return new Owned(
                            product,
                            i.use().weeks(),
                            lacksNights(product, i) ? EVERY_NIGHT : i.nights(),
                            Optional.ofNullable(i.use().opened()),
                            Optional.of(new Habit(
                                    i.use().morning(),
                                    i.use().evening(),
                                    i.use().daysAWeek())));
                })
                .toList();
    }

    /** What is not known of this shelf and has to be asked, a sentence each. */
    public List<String> missing(UUID client) {
        return items(client).stream()
                .filter(i -> !i.missing().isEmpty())
                .map(i -> "%s: %s".formatted(i.product().name(), i.missing()))
                .toList();
    }

    private static boolean lacksNights(Product product, ShelfItem item) {
        return product.prescription() && item.nights().isEmpty();
    }

    /** What is used now, and how. */
    public List<PresentRoutine.Used> used(UUID client) {
        List<ShelfItem> shelf = clients.shelf(client);
        Map<ProductId, Product> known = known(shelf);
        return shelf.stream()
                .map(i -> new PresentRoutine.Used(
                        product(known, i),
                        i.use().weeks(),
                        i.use().morning() && i.nights().isEmpty(),
                        i.use().evening(),
                        i.nights().isEmpty() ? i.use().daysAWeek() : i.nights().size(),
                        Optional.ofNullable(i.use().leavesTight())))
                .toList();
    }

    public List<Item> items(UUID client) {
        List<ShelfItem> shelf = clients.shelf(client);
        Map<ProductId, Product> known = known(shelf);
        return shelf.stream()
                .map(i -> {
                    Product product = product(known, i);
                    return new Item(
                            i.id(),
                            ProductView.of(product),
                            i.use(),
                            i.nights(),
                            i.version(),
                            lacksNights(product, i)
                                    ? "its nights are not known; until the prescriber's are said it counts as every night."
                                    : "");
                })
                .toList();
    }

    /** @param item the id that the thing is to have, so that a label sent twice is put once; absent for any */
    @Transactional
    public List<Item> addLabel(
            UUID client, @Nullable UUID item, ProductForm form, ClientStore.Use use, List<DayOfWeek> nights) {
        if (form.prescription() && nights.isEmpty()) {
            throw Problem.field("/nights", NIGHTS_NEEDED);
        }
        clients.hold(client);
        if (item == null || find(client, item).isEmpty()) {
            Product product = catalogue.add(form, false);
            put(client, item, product, use, form.prescription() ? nights : List.of());
        }
        return items(client);
    }

    /** A thing that stands there already stays as it is. */
    @Transactional
    public List<Item> addKnown(UUID client, ProductId id, ClientStore.Use use, List<DayOfWeek> nights) {
        Product product = product(id);
        if (product.prescription() && nights.isEmpty()) {
            throw Problem.field("/nights", NIGHTS_NEEDED);
        }
        clients.hold(client);
        if (clients.shelf(client).stream().noneMatch(i -> i.product().equals(product.id()))) {
            put(client, null, product, use, product.prescription() ? nights : List.of());
        }
        return items(client);
    }

    private void put(UUID client, @Nullable UUID item, Product product, ClientStore.Use use, List<DayOfWeek> nights) {
        clients.put(
                client,
                new ShelfItem(
                        item == null ? UUID.randomUUID() : item,
                        product.id(),
                        use,
                        nights.stream().distinct().sorted().toList()));
        events.publishEvent(new ClientChanged(client));
    }

    /**
     * Says anew how a thing is used.
     *
     * @param nights the prescriber's; absent to leave them
     * @throws Clash when it was changed since this version was read
     */
    @Transactional
    public List<Item> change(UUID client, UUID id, ClientStore.Use use, @Nullable List<DayOfWeek> nights, int version) {
        ShelfItem before = find(client, id).orElseThrow(() -> Problem.notFound("thing on this shelf with the id", id));
        List<DayOfWeek> next = nights == null
                ? before.nights()
                : nights.stream().distinct().sorted().toList();
        if (nights != null && next.isEmpty() && product(before.product()).prescription()) {
            throw Problem.field("/nights", NIGHTS_NEEDED);
        }
        boolean same = before.use().equals(use) && before.nights().equals(next);
        if (!same && !clients.change(client, new ShelfItem(id, before.product(), use, next, version))) {
            throw new Clash("This thing on the shelf", items(client));
        }
        events.publishEvent(new ClientChanged(client));
        return items(client);
    }

    private Optional<ShelfItem> find(UUID client, UUID item) {
        return clients.shelf(client).stream().filter(i -> i.id().equals(item)).findFirst();
    }

    /** What other clients own and the house does not sell. */
    public List<ProductView> ownedByOthers(UUID client) {
        return clients.ownedByOthers(client).stream()
                .map(id -> ProductView.of(product(id)))
                .toList();
    }

    /** What is gone already stays gone. */
    @Transactional
    public List<Item> takeOff(UUID client, UUID item) {
        clients.takeOff(client, item);
        events.publishEvent(new ClientChanged(client));
        return items(client);
    }

    private Map<ProductId, Product> known(List<ShelfItem> shelf) {
        return catalogue.find(shelf.stream().map(ShelfItem::product).toList());
    }

    private static Product product(Map<ProductId, Product> known, ShelfItem item) {
        return Optional.ofNullable(known.get(item.product()))
                .orElseThrow(() -> Problem.notFound("product", item.product()));
    }

    private Product product(ProductId id) {
        return catalogue.find(id).orElseThrow(() -> Problem.notFound("product", id));
    }
}

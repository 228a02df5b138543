package outfell.server.exchange;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.server.catalogue.ProductStore;
import outfell.server.client.ClientStore;
import tools.jackson.databind.json.JsonMapper;

/** Products and shelves as text, to be compared with later and put back. */
@Component
class Snapshots {
    private record Flat(
            String id,
            String name,
            String maker,
            double size,
            String unit,
            double price,
            String label,
            @Nullable StepKind kind,
            @Nullable Double texture,
            boolean prescription,
            int formula,
            @Nullable LocalDate retired,
            boolean house) {}

    private record FlatItem(UUID id, String product, ClientStore.Use use, List<DayOfWeek> nights) {}

    private final JsonMapper json;

    Snapshots(JsonMapper json) {
        this.json = json;
    }

    String of(ProductStore.Stored s) {
        Product.Facts f = s.facts();
        return json.writeValueAsString(new Flat(
                f.id().value(),
                f.name(),
                f.maker(),
                f.size(),
                f.unit(),
                f.price(),
                f.label(),
                f.kind().orElse(null),
                f.texture().isPresent() ? f.texture().getAsDouble() : null,
                f.prescription(),
                s.formula(),
                s.retiredOn(),
                s.house()));
    }

    ProductStore.Stored product(String text) {
        Flat f = json.readValue(text, Flat.class);
        return new ProductStore.Stored(
                new Product.Facts(
                        new ProductId(f.id()),
                        f.name(),
                        f.maker(),
                        f.size(),
                        f.unit(),
                        f.price(),
                        f.label(),
                        Optional.ofNullable(f.kind()),
                        f.texture() == null ? OptionalDouble.empty() : OptionalDouble.of(f.texture()),
                        f.prescription()),
                f.formula(),
                f.retired(),
                f.house());
    }

    String of(List<ClientStore.ShelfItem> shelf) {
        return json.writeValueAsString(shelf.stream()
                .map(i -> new FlatItem(i.id(), i.product().value(), i.use(), i.nights()))
                .toList());
    }

    List<ClientStore.ShelfItem> shelf(String text) {
        return List.of(json.readValue(text, FlatItem[].class)).stream()
                .map(i -> new ClientStore.ShelfItem(i.id(), new ProductId(i.product()), i.use(), i.nights()))
                .toList();
    }
}

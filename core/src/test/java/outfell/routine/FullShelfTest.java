package outfell.routine;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.method.Method;
import outfell.method.MethodId;
import outfell.method.Methods;
import outfell.method.Schools;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StarterCatalogue;

/**
 * One full shelf in the order of each method, with the reason of each step, as a practitioner of that school would defend it.
 * -Doutfell.update=true writes the orders anew, to be read as a diff.
 */
class FullShelfTest {
    private static final Path FOLDER = Path.of("src/test/resources/routines");

    private static final List<String> MORNING = List.of(
            "gel-wash-low-foam",
            "toner-water",
            "serum-vitamin-c-12",
            "serum-humectant",
            "eye-gel-caffeine",
            "lotion-light",
            "lip-balm-plain",
            "sun-gel-50",
            "base-tinted-15",
            "beard-oil-plain");
    private static final List<String> EVENING = List.of(
            "oil-cleanse-clear",
            "gel-wash-low-foam",
            "clay-mask-kaolin",
            "toner-soothe",
            "lactic-serum-5",
            "essence-ferment",
            "serum-humectant",
            "retinol-serum-02",
            "eye-cream-plain",
            "cream-ceramide-night",
            "oil-squalane",
            "ointment-plain",
            "lip-balm-plain",
            "hand-cream-urea");

    @ParameterizedTest
    @MethodSource("methods")
    void each_method_orders_the_full_shelf_as_its_people_would_defend(MethodId id) throws IOException {
        Method method = Methods.find(id.value()).orElseThrow();
        String said = "%s: %s\n%s\nMorning\n%s\nEvening\n%s"
                .formatted(method.name(), method.note(), school(method), told(method, MORNING), told(method, EVENING));
        Path file = FOLDER.resolve("full-shelf-%s.txt".formatted(method.id().value()));
        if (Boolean.getBoolean("outfell.update")) {
            Files.writeString(file, said);
        }
        assertThat(said.lines().toList())
                .isEqualTo(Files.readString(file).lines().toList());
    }

    @Test
    void no_two_methods_order_it_alike() {
        List<String> orders = Methods.all().stream()
                .map(m -> sorted(m, EVENING).stream().map(p -> p.id().value()).collect(Collectors.joining(" ")))
                .toList();
        assertThat(orders).doesNotHaveDuplicates();
    }

    static Stream<MethodId> methods() {
        return Methods.all().stream().map(Method::id);
    }

    /** What it answers on order, in words. */
    private static String school(Method method) {
        return Schools.of(method).stream()
                .filter(a -> a.id().endsWith("-place") || a.id().equals("cleanse-order") || a.id().equals("layering"))
                .map(a -> "%s %s.".formatted(a.question(), a.answer()))
                .collect(Collectors.joining("\n"));
    }

    private static String told(Method method, List<String> shelf) {
        StepOrder order = new StepOrder(method);
        List<Product> sorted = sorted(method, shelf);
        StringBuilder told = new StringBuilder();
        for (int i = 0; i < sorted.size(); i++) {
            Product p = sorted.get(i);
            told.append("%2d %s (%s). %s\n"
                    .formatted(
                            i + 1,
                            p.name(),
                            Kinds.of(p.kind()).label(),
                            order.place(p, sorted.subList(0, i), sorted.subList(i + 1, sorted.size()))
                                    .sentence()));
        }
        return told.toString();
    }

    private static List<Product> sorted(Method method, List<String> shelf) {
        return new StepOrder(method)
                .sort(StarterCatalogue.products().stream()
                        .filter(p -> shelf.contains(p.id().value()))
                        .toList());
    }

    @Test
    void the_shelf_is_in_the_catalogue() {
        List<ProductId> known =
                StarterCatalogue.products().stream().map(Product::id).toList();
        Stream.concat(MORNING.stream(), EVENING.stream())
                .forEach(id -> assertThat(known).contains(new ProductId(id)));
    }
}

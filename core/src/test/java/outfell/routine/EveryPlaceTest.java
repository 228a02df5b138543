package outfell.routine;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import outfell.method.Method;
import outfell.method.Methods;
import outfell.method.Place;
import outfell.method.Schools;
import outfell.product.Product;
import outfell.product.StarterCatalogue;
import outfell.regimen.Consultations;

/** No place of a list is one at which nothing can stand. */
class EveryPlaceTest {
    private static final List<Product> SHELF = Stream.concat(
                    StarterCatalogue.products().stream(), Stream.of(Consultations.PRESCRIBED))
            .toList();
    private static final List<String> ORDERS = List.of(
            "cleanse-order",
            "acid-place",
            "essence-place",
            "layering",
            "lip-place",
            "eye-place",
            "prescription-place",
            "oil-place");

    @Test
    void something_stands_at_every_place_of_every_list() {
        Set<Place> seen = EnumSet.noneOf(Place.class);
        for (Method method : answered()) {
            StepOrder order = new StepOrder(method);
            Set<Place> taken = SHELF.stream().map(order::place).collect(Collectors.toSet());
            Set<Place> empty = EnumSet.copyOf(method.places().order());
            empty.removeAll(taken);
            // where what only waters and what works have places of their own, nothing is left for the common one
            empty.remove(Place.LIGHT);
            assertThat(empty).as(method.settings().toString()).isEmpty();
            seen.addAll(taken);
        }
        assertThat(seen).isEqualTo(EnumSet.allOf(Place.class));
    }

    private static Stream<String> answers(String question) {
        return Schools.questions().stream()
                .filter(q -> q.id().equals(question))
                .flatMap(q -> q.schools().stream())
                .map(Schools.School::value);
    }

    private static List<Method> answered() {
        List<Method> all = new ArrayList<>(Methods.all());
        for (Method preset : Methods.all()) {
            ORDERS.forEach(q -> answers(q).forEach(a -> all.add(Methods.answering(preset, q, a))));
        }
        return all;
    }
}

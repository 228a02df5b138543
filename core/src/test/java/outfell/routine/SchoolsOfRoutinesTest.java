package outfell.routine;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.yaml.snakeyaml.Yaml;
import outfell.method.Method;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StarterCatalogue;

/**
 * Routines of many schools, each in the order in which its people do it: by its method, with three answers otherwise at most, the same
 * order comes out, whatever order they are put in.
 */
class SchoolsOfRoutinesTest {
    record Routine(String id, String method, List<String> answers, List<String> steps) {
        Method by() {
            Method method = Methods.find(this.method).orElseThrow();
            for (String answer : answers) {
                String[] said = answer.split(" ");
                method = Methods.answering(method, said[0], said[1]);
            }
            return method;
        }

        @Override
        public String toString() {
            return id;
        }
    }

    private static final Map<String, Object> FILE = file();

    @ParameterizedTest
    @MethodSource("routines")
    void a_routine_comes_out_as_its_people_do_it(Routine routine) {
        assertThat(routine.answers()).hasSizeLessThanOrEqualTo(3);
        List<Product> mixed = new ArrayList<>(
                routine.steps().stream().map(SchoolsOfRoutinesTest::product).toList());
        Collections.shuffle(mixed, new Random(7));
        assertThat(new StepOrder(routine.by())
                        .sort(mixed).stream().map(p -> p.id().value()).toList())
                .isEqualTo(routine.steps());
    }

    @Test
    void they_are_of_every_method_and_of_three_to_fourteen_steps() {
        List<Routine> all = routines().toList();
        assertThat(all).hasSizeGreaterThanOrEqualTo(20);
        assertThat(new TreeSet<>(all.stream().map(Routine::method).toList()))
                .isEqualTo(new TreeSet<>(
                        Methods.all().stream().map(m -> m.id().value()).toList()));
        assertThat(all.stream().mapToInt(r -> r.steps().size()).min()).hasValue(3);
        assertThat(all.stream().mapToInt(r -> r.steps().size()).max()).hasValue(14);
    }

    static Stream<Routine> routines() {
        return rows("routines")
                .map(r -> new Routine(
                        text(r, "id"),
                        text(r, "method"),
                        r.containsKey("answers") ? texts(r, "answers") : List.of(),
                        texts(r, "steps")));
    }

    private static Product product(String id) {
        return StarterCatalogue.products().stream()
                .filter(p -> p.id().value().equals(id))
                .findFirst()
                .orElseGet(() -> pack(id));
    }

    private static Product pack(String id) {
        Map<String, Object> row =
                rows("packs").filter(r -> text(r, "id").equals(id)).findFirst().orElseThrow();
        return ProductReader.read(new Product.Facts(
                new ProductId(id),
                text(row, "name"),
                "Nobody",
                30,
                "g",
                10,
                text(row, "label"),
                Optional.empty(),
                OptionalDouble.empty(),
                Boolean.TRUE.equals(row.get("prescription"))));
    }

    private static String text(Map<String, Object> row, String key) {
        return String.valueOf(Objects.requireNonNull(row.get(key), key));
    }

    @SuppressWarnings("unchecked")
    private static List<String> texts(Map<String, Object> row, String key) {
        return (List<String>) Objects.requireNonNull(row.get(key), key);
    }

    @SuppressWarnings("unchecked")
    private static Stream<Map<String, Object>> rows(String key) {
        return ((List<Map<String, Object>>) Objects.requireNonNull(FILE.get(key), key)).stream();
    }

    private static Map<String, Object> file() {
        try (InputStream in =
                Objects.requireNonNull(SchoolsOfRoutinesTest.class.getResourceAsStream("/routines/schools.yaml"))) {
            return new Yaml().load(in);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}

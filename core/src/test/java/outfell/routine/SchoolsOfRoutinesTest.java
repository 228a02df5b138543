package outfell.routine;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.yaml.snakeyaml.Yaml;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.method.Methods;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.ProductReader;
import outfell.product.StarterCatalogue;
import outfell.product.StepKind;
import outfell.skin.Band;
import outfell.skin.FaceBands;

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
    private static final Layout.OnNights ONE_NIGHT =
            new Layout.OnNights(List.of(DayOfWeek.TUESDAY), Because.house("Its night."));

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

    /**
     * With what is done twice and what needs no bottle: "(id)" is a step again, "[id]" one without a product.
     *
     * @param beside what she has put there by hand, "step again" or "step [alone]"
     */
    record Done(Routine routine, List<String> beside) {
        List<Adjustment> byHand(Part part) {
            Map<ProductId, List<Then>> then = new LinkedHashMap<>();
            for (String said : beside) {
                String[] words = said.split(" ");
                then.computeIfAbsent(new ProductId(words[0]), _ -> new ArrayList<>())
                        .add(
                                words[1].startsWith("[")
                                        ? Then.alone(Alone.of(words[1].substring(1, words[1].length() - 1))
                                                .orElseThrow())
                                        : Then.again(new ProductId(words[1])));
            }
            return then.entrySet().stream()
                    .map(e -> Adjustment.none(part, e.getKey()).beside(e.getValue(), ""))
                    .toList();
        }

        @Override
        public String toString() {
            return routine.id();
        }
    }

    @ParameterizedTest
    @MethodSource("done")
    void what_is_done_twice_or_without_a_bottle_stands_where_its_people_do_it(Done done) {
        assertThat(done.routine().answers()).hasSizeLessThanOrEqualTo(3);
        List<Product> mixed = new ArrayList<>(done.routine().steps().stream()
                .filter(s -> !s.startsWith("(") && !s.startsWith("["))
                .map(SchoolsOfRoutinesTest::product)
                .toList());
        Collections.shuffle(mixed, new Random(7));
        Part part = mixed.stream().anyMatch(p -> p.kind() == StepKind.SUNSCREEN) ? Part.MORNING : Part.EVENING;
        Layout layout = new Layout(
                done.routine().by(),
                FaceBands.even(Band.NORMAL),
                Set.of(),
                mixed.stream().filter(Product::rationed).collect(Collectors.toMap(Product::id, _ -> ONE_NIGHT)),
                (_, _) -> new Layout.Said("", List.of(), List.of(), List.of()),
                Layout.Used::custom,
                new Layout.ByHand(Map.of(), done.byHand(part), _ -> Optional.empty()),
                ByAir.AS_USUAL,
                false);
        List<String> told = new ArrayList<>();
        for (Step s : layout.lay(part, mixed, 60).steps()) {
            s.then().stream()
                    .filter(Aside::before)
                    .map(SchoolsOfRoutinesTest::token)
                    .forEach(told::add);
            told.add(s.product().value());
            s.then().stream()
                    .filter(a -> !a.before())
                    .map(SchoolsOfRoutinesTest::token)
                    .forEach(told::add);
        }
        assertThat(told).isEqualTo(done.routine().steps());
    }

    private static String token(Aside aside) {
        return aside.again()
                .map(p -> "(%s)".formatted(p.value()))
                .orElseGet(() -> "[%s]"
                        .formatted(Alone.all().stream()
                                .filter(a -> aside.told().endsWith(a.told()))
                                .map(Alone::id)
                                .findFirst()
                                .orElseThrow()));
    }

    static Stream<Done> done() {
        return rows("done").map(r -> new Done(routine(r), r.containsKey("beside") ? texts(r, "beside") : List.of()));
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
        return rows("routines").map(SchoolsOfRoutinesTest::routine);
    }

    private static Routine routine(Map<String, Object> row) {
        return new Routine(
                text(row, "id"),
                text(row, "method"),
                row.containsKey("answers") ? texts(row, "answers") : List.of(),
                texts(row, "steps"));
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

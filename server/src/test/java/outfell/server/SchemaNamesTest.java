package outfell.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import io.swagger.v3.oas.annotations.media.Schema;
import java.lang.reflect.Method;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.lang.reflect.WildcardType;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Two records of one simple name would silently become one schema of the API, with the fields of either. */
class SchemaNamesTest {
    private static final JavaClasses SERVER = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("outfell.server");

    @Test
    void no_two_records_that_the_screens_see_have_one_name() {
        Map<String, Set<String>> byName = seen().stream()
                .collect(Collectors.groupingBy(
                        SchemaNamesTest::name, TreeMap::new, Collectors.mapping(Class::getName, Collectors.toSet())));
        assertThat(byName.values().stream().filter(names -> names.size() > 1)).isEmpty();
        assertThat(byName).containsKeys("YearView", "AirTodayView", "LastYearView", "Because");
    }

    private static String name(Class<?> c) {
        Schema told = c.getAnnotation(Schema.class);
        return told == null || told.name().isEmpty() ? c.getSimpleName() : told.name();
    }

    private static Set<Class<?>> seen() {
        Set<Class<?>> seen = new HashSet<>();
        SERVER.stream()
                .filter(c -> c.isAnnotatedWith(RestController.class))
                .map(c -> c.reflect())
                .flatMap(c -> Arrays.stream(c.getDeclaredMethods()))
                .filter(m -> AnnotatedElementUtils.hasAnnotation(m, RequestMapping.class))
                .flatMap(m -> types(m).stream())
                .forEach(t -> look(t, seen));
        return seen;
    }

    private static List<Type> types(Method m) {
        List<Type> all = new java.util.ArrayList<>(List.of(m.getGenericParameterTypes()));
        all.add(m.getGenericReturnType());
        return all;
    }

    private static void look(Type type, Set<Class<?>> seen) {
        switch (type) {
            case ParameterizedType p -> {
                look(p.getRawType(), seen);
                Arrays.stream(p.getActualTypeArguments()).forEach(t -> look(t, seen));
            }
            case WildcardType w -> Arrays.stream(w.getUpperBounds()).forEach(t -> look(t, seen));
            case Class<?> c when c.isArray() -> look(c.getComponentType(), seen);
            case Class<?> c
            when c.getName().startsWith("outfell.") && c.isRecord() && seen.add(c) ->
                Arrays.stream(c.getRecordComponents())
                        .map(RecordComponent::getGenericType)
                        .forEach(t -> look(t, seen));
            default -> {
                // an enum, a text, a number: no schema of its own
            }
        }
    }
}

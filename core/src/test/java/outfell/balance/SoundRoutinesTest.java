package outfell.balance;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.yaml.snakeyaml.Yaml;
import outfell.balance.Balance.Gauge;
import outfell.balance.Balance.Lies;
import outfell.product.Product;
import outfell.product.ProductReader;
import outfell.product.StarterCatalogue;
import outfell.product.StepKind;
import outfell.routine.Amounts;
import outfell.routine.Part;
import outfell.skin.Band;
import outfell.skin.FaceBands;

/** The bands hold routines that practitioners of every school hold up as balanced, and not those that they would mend. */
class SoundRoutinesTest {
    private static final List<Product> PRODUCTS =
            StarterCatalogue.facts().stream().map(ProductReader::read).toList();

    record Routine(
            String name,
            Band t,
            Band u,
            List<String> shifts,
            double room,
            Part part,
            int layers,
            List<String> steps,
            List<String> lacks,
            List<String> tooMuch) {
        @Override
        public String toString() {
            return name;
        }

        Gauge gauge() {
            Target evening = Target.evening(t, u, shifts);
            return Balance.gauge(
                    steps.stream().map(this::layer).toList(),
                    part == Part.EVENING ? evening : evening.morning(),
                    room,
                    part == Part.EVENING ? "by night" : "by day");
        }

        private Balance.Layer layer(String name) {
            Product p = PRODUCTS.stream()
                    .filter(x -> x.name().equals(name))
                    .findFirst()
                    .orElseThrow(() -> new IllegalArgumentException(name));
            int many = p.kind() == StepKind.TONER ? layers : 1;
            return new Balance.Layer(
                    p.id(),
                    p.name(),
                    Balance.points(p.composition(), Amounts.density(p, new FaceBands(t, u), many, part)),
                    Amounts.grams(p, new FaceBands(t, u), many, part),
                    p.kind() == StepKind.SUNSCREEN,
                    false,
                    true);
        }
    }

    static Stream<Routine> sound() {
        return read("sound");
    }

    static Stream<Routine> mended() {
        return read("mended");
    }

    @ParameterizedTest
    @MethodSource("sound")
    void a_sound_routine_lies_inside(Routine routine) {
        Gauge gauge = routine.gauge();
        assertThat(gauge.lines())
                .allSatisfy(l -> assertThat(l.lies())
                        .as("%s %.0f in %s", l.need(), l.points(), l.range())
                        .isNotIn(Lies.LOW, Lies.HIGH));
        assertThat(gauge.stays()).isTrue();
        assertThat(gauge.change()).isEmpty();
        assertThat(gauge.verdict().sentence()).startsWith("Balanced");
    }

    @ParameterizedTest
    @MethodSource("mended")
    void a_routine_that_would_be_mended_lies_outside_where_it_is_wrong(Routine routine) {
        Gauge gauge = routine.gauge();
        assertThat(gauge.lines().stream()
                        .filter(l -> l.lies() == Lies.LOW)
                        .map(l -> l.need().name()))
                .as("lacks, of %s", gauge.lines())
                .containsExactlyElementsOf(routine.lacks());
        assertThat(gauge.lines().stream()
                        .filter(l -> l.lies() == Lies.HIGH)
                        .map(l -> l.need().name()))
                .as("too much, of %s", gauge.lines())
                .containsExactlyElementsOf(routine.tooMuch());
    }

    @Test
    void every_school_and_skin_is_among_the_sound_ones() {
        List<Routine> all = sound().toList();
        assertThat(all).hasSizeGreaterThanOrEqualTo(20);
        assertThat(mended()).hasSizeGreaterThanOrEqualTo(10);
        assertThat(all.stream().map(r -> r.name().split(",", 2)[0]).distinct())
                .containsExactlyInAnyOrder("essentials", "classic", "layered", "barrier first", "re-tone");
        assertThat(all.stream().map(Routine::u)).contains(Band.values());
        assertThat(all.stream().filter(r -> r.t() != r.u())).isNotEmpty();
    }

    @SuppressWarnings("unchecked")
    private static <T> T of(Map<String, Object> row, String key) {
        return (T) Objects.requireNonNull(row.get(key), key);
    }

    @SuppressWarnings("unchecked")
    private static Stream<Routine> read(String which) {
        try (InputStream in =
                Objects.requireNonNull(SoundRoutinesTest.class.getResourceAsStream("/balance/routines.yaml"))) {
            Map<String, List<Map<String, Object>>> all = new Yaml().load(in);
            return Objects.requireNonNull(all.get(which)).stream()
                    .map(r -> new Routine(
                            of(r, "name"),
                            Band.valueOf(of(r, "t")),
                            Band.valueOf(of(r, "u")),
                            of(r, "shifts"),
                            SoundRoutinesTest.<Number>of(r, "room").doubleValue(),
                            Part.valueOf(of(r, "part")),
                            SoundRoutinesTest.<Number>of(r, "layers").intValue(),
                            of(r, "steps"),
                            (List<String>) r.getOrDefault("lacks", List.of()),
                            (List<String>) r.getOrDefault("too-much", List.of())));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}

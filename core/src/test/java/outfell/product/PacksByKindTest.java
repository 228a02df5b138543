package outfell.product;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Packs of every kind, each written with its kind before it was read: right at the first guess, or at the second. */
class PacksByKindTest {
    private record Pack(String name, String label, StepKind kind) {
        List<StepKind> read() {
            Product product = ProductReader.read(new Product.Facts(
                    new ProductId("pack"),
                    name,
                    "Nobody",
                    50,
                    "ml",
                    10,
                    label,
                    Optional.empty(),
                    OptionalDouble.empty(),
                    false));
            return product.kindsRead().stream().map(KindRead::kind).toList();
        }
    }

    private static final List<Pack> PACKS = packs();

    private static List<Pack> packs() {
        try (BufferedReader file = new BufferedReader(new InputStreamReader(
                Objects.requireNonNull(PacksByKindTest.class.getResourceAsStream("/packs/kinds.csv")),
                StandardCharsets.UTF_8))) {
            return file.lines()
                    .skip(1)
                    .map(line -> line.split(";"))
                    .map(cells -> new Pack(cells[0], cells[1], StepKind.valueOf(cells[2])))
                    .toList();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @Test
    void there_are_packs_of_every_kind() {
        Set<StepKind> kinds =
                PACKS.stream().map(Pack::kind).collect(Collectors.toCollection(() -> EnumSet.noneOf(StepKind.class)));
        assertThat(kinds).containsExactly(StepKind.values());
        assertThat(PACKS).hasSizeGreaterThanOrEqualTo(60);
    }

    @Test
    void nineteen_of_twenty_kinds_are_read_at_once_and_the_rest_at_the_second_guess() {
        List<String> missed = PACKS.stream()
                .filter(p -> p.read().getFirst() != p.kind())
                .map(p -> "%s: %s, not %s".formatted(p.name(), p.read(), p.kind()))
                .toList();
        assertThat(missed).hasSizeLessThanOrEqualTo(PACKS.size() / 20);
        assertThat(PACKS)
                .allSatisfy(
                        p -> assertThat(p.read().stream().limit(2)).as(p.name()).contains(p.kind()));
    }
}

package outfell.aims;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.consultation.Life;
import outfell.consultation.Life.Taste;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.Product;
import outfell.product.Products;
import outfell.product.StepKind;
import outfell.product.Tag;

/** Each row of what a client may not want: what is meant by it, and what is not. */
class TastesRowsTest {
    private static final Product BLAND = Products.serum(1, "Panthenol");

    static Stream<Row> rows() {
        return KnowledgeFile.yaml("tastes.yaml").rows("tastes").stream();
    }

    private static Life wishing(String of, Taste taste) {
        Life l = Life.USUAL;
        return new Life(
                l.morningMinutes(),
                l.eveningMinutes(),
                l.mostSteps(),
                l.outdoorHours(),
                l.makeUpDays(),
                l.fullMakeUp(),
                l.sunscreenDays(),
                Set.of(),
                of.equals("scent") ? taste : Taste.ANY,
                of.equals("animal") ? taste : Taste.ANY,
                of.equals("oils") ? taste : Taste.ANY,
                OptionalDouble.empty());
    }

    private static List<Product> meant(Row row) {
        return Stream.of(
                        row.several("tags", Tag.class).stream().map(t -> Products.serum(1, Products.tagged(t))),
                        row.texts("ingredients").stream().map(i -> Products.serum(1, i)),
                        row.several("kinds", StepKind.class).stream()
                                .map(k -> Products.of(k, OptionalDouble.empty(), 1, List.of("Panthenol"))))
                .flatMap(s -> s)
                .toList();
    }

    @ParameterizedTest
    @MethodSource("rows")
    void what_is_meant_is_disliked_as_much_as_was_said_and_nothing_else_is(Row row) {
        String id = row.text("id");
        List<Taste> disliking = List.of(Taste.RATHER_NOT, Taste.NEVER);
        for (Product p : meant(row)) {
            for (Taste said : disliking) {
                for (Taste asked : disliking) {
                    assertThat(Tastes.against(wishing(id, said), p, asked).stream()
                                    .anyMatch(d -> d.label().equals(row.text("label"))))
                            .as("%s said %s, asked for %s", id, said, asked)
                            .isEqualTo(said == asked);
                }
            }
        }
        for (Taste said : disliking) {
            assertThat(Tastes.against(wishing(id, said), BLAND, said)).isEmpty();
        }
    }
}

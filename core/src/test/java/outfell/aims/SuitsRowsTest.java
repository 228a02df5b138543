package outfell.aims;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.consultation.Consultation;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.Product;
import outfell.product.Products;
import outfell.product.StepKind;
import outfell.product.Tag;
import outfell.regimen.Consultations;
import outfell.routine.Part;
import outfell.safety.SafetyScreen;
import outfell.skin.Faces;
import outfell.skin.Sign;
import outfell.skin.SkinReader;
import outfell.skin.SkinVerdict;

/** Each row of what does not suit: the skin, step and product that it speaks against, and those it does not. */
class SuitsRowsTest {
    static Stream<Row> rows() {
        return KnowledgeFile.yaml("suits.yaml").rows("rules").stream();
    }

    private static Faces calm(int shine) {
        return Faces.face()
                .calm()
                .with(Sign.REDNESS, 0, 0, 0, 0, 0)
                .with(Sign.STING, 0, 0, 0, 0, 0)
                .with(Sign.SHINE, shine, shine, shine, shine, shine)
                .history(0, 0);
    }

    private static Suits suits(Faces face, boolean tight) {
        Consultation c = Consultations.of(face);
        SkinVerdict skin = SkinReader.read(face.reading(), java.util.Set.of());
        return new Suits(
                skin,
                c.ask(skin, SafetyScreen.screen(c.answers(), face.reading(), skin, List.of())),
                tight,
                java.util.Set.of());
    }

    /** Oily, calm, sound, with water enough: only what suits no skin is against it. */
    private static Suits bearing() {
        return suits(calm(3), false);
    }

    private static Suits against(Row row) {
        return switch (row.text("skin")) {
            case "sensitive" ->
                suits(
                        Faces.face()
                                .calm()
                                .with(Sign.SHINE, 3, 3, 3, 3, 3)
                                .with(Sign.REDNESS, 1, 1, 1, 1, 1)
                                .with(Sign.STING, 2, 2, 2, 2, 2)
                                .history(3, 3),
                        false);
            case "not_oily_and_tolerant" -> suits(calm(3), true);
            default -> bearing();
        };
    }

    private static Product product(Row row, Tag tag, Optional<StepKind> other) {
        List<StepKind> kinds = row.several("kinds", StepKind.class);
        // of what stays on another row may speak first
        StepKind any = row.flag("left-on") ? StepKind.SERUM : StepKind.WASH;
        StepKind kind = other.orElse(kinds.isEmpty() ? any : kinds.getFirst());
        return Products.of(kind, OptionalDouble.empty(), 5, List.of(Products.tagged(tag)));
    }

    private static Part part(Row row) {
        return row.has("part") ? row.one("part", Part.class) : Part.EVENING;
    }

    private static boolean says(Row row, Optional<Because> because) {
        return because.filter(b -> b.sentence().endsWith(row.text("sentence"))).isPresent();
    }

    @ParameterizedTest
    @MethodSource("rows")
    void it_speaks_against_what_it_names_on_the_skin_that_it_names(Row row) {
        for (Tag tag : row.several("tags", Tag.class)) {
            Product p = product(row, tag, Optional.empty());
            assertThat(against(row).against(p, part(row))).as("%s", tag).isPresent();
            // another row may speak first of the same thing
            if (tag == row.several("tags", Tag.class).getFirst()) {
                assertThat(says(row, against(row).against(p, part(row))))
                        .as("%s", tag)
                        .isTrue();
            }
        }
    }

    @ParameterizedTest
    @MethodSource("rows")
    void without_one_thing_of_it_it_does_not(Row row) {
        Tag tag = row.several("tags", Tag.class).getFirst();
        Product p = product(row, tag, Optional.empty());
        if (!row.text("skin").equals("any")) {
            assertThat(says(row, bearing().against(p, part(row))))
                    .as("another skin")
                    .isFalse();
        }
        if (row.has("part")) {
            Part other = part(row) == Part.MORNING ? Part.EVENING : Part.MORNING;
            assertThat(says(row, against(row).against(p, other)))
                    .as("the other routine")
                    .isFalse();
        }
        if (!row.several("kinds", StepKind.class).isEmpty()) {
            Product serum = product(row, tag, Optional.of(StepKind.SERUM));
            assertThat(says(row, against(row).against(serum, part(row))))
                    .as("another step")
                    .isFalse();
        }
        if (row.flag("left-on")) {
            Product wash = product(row, tag, Optional.of(StepKind.WASH));
            assertThat(says(row, against(row).against(wash, part(row))))
                    .as("rinsed off")
                    .isFalse();
        }
        assertThat(against(row).against(Products.serum(1, "Panthenol"), part(row)))
                .as("nothing of the kind in it")
                .isEmpty();
        assertThat(says(row, against(row).against(p, part(row), true)))
                .as("what is owned and borne, when money is short")
                .isEqualTo(!row.flag("borne"));
    }
}

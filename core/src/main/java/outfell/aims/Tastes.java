package outfell.aims;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import outfell.consultation.Life;
import outfell.consultation.Life.Taste;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.Ingredients;
import outfell.product.Product;
import outfell.product.StepKind;
import outfell.product.Tag;

/** What a client may not want, from tastes.yaml. */
public final class Tastes {
    private enum Of {
        SCENT,
        ANIMAL,
        OILS
    }

    /**
     * @param label what the product then is
     * @param wish why it is out
     * @param point what it costs points for
     */
    record Dislike(
            Of of,
            String label,
            String wish,
            String point,
            Set<Tag> tags,
            List<String> ingredients,
            Set<StepKind> kinds,
            Because because) {
        boolean in(Product p) {
            return kinds.contains(p.kind())
                    || p.tags().stream().anyMatch(tags::contains)
                    || p.label().lines().stream()
                            .flatMap(l -> l.ingredient().stream())
                            .anyMatch(i -> ingredients.contains(i.inci()));
        }

        Because forbids(Product p) {
            return because.withSentence("%s is %s, and %s.".formatted(p.name(), label, wish));
        }
    }

    private static final List<Dislike> ALL =
            Row.unique(KnowledgeFile.yaml("tastes.yaml").rows("tastes"), Tastes::read, Dislike::of);

    private Tastes() {}

    /** What of a product is disliked that much. */
    public static List<Dislike> against(Life life, Product p, Taste taste) {
        return ALL.stream().filter(d -> taste(life, d.of()) == taste && d.in(p)).toList();
    }

    private static Taste taste(Life life, Of of) {
        return switch (of) {
            case SCENT -> life.scent();
            case ANIMAL -> life.animal();
            case OILS -> life.oils();
        };
    }

    private static Dislike read(Row row) {
        Set<Tag> tags = EnumSet.noneOf(Tag.class);
        tags.addAll(row.several("tags", Tag.class));
        Set<StepKind> kinds = EnumSet.noneOf(StepKind.class);
        kinds.addAll(row.several("kinds", StepKind.class));
        row.texts("ingredients").forEach(i -> {
            if (Ingredients.find(i).isEmpty()) {
                throw row.fault("no ingredient is named \"%s\"".formatted(i));
            }
        });
        String label = row.text("label");
        return new Dislike(
                row.one("id", Of.class),
                label,
                row.text("wish"),
                row.text("point"),
                tags,
                row.texts("ingredients"),
                kinds,
                row.because(label.toLowerCase(Locale.ROOT)));
    }
}

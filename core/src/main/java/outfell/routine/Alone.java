package outfell.routine;

import java.util.List;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/**
 * A step without a product, from alone.yaml.
 *
 * @param label as it is chosen
 * @param told short, beside the step that it goes with
 * @param how it is done
 * @param seconds that it takes
 * @param before whether it comes before that step, not after it
 * @param not when it is not done for now
 * @param instead what is told then, with {why} for the reason; empty where nothing speaks against it
 */
public record Alone(
        String id,
        String label,
        String told,
        String how,
        int seconds,
        boolean before,
        List<NotWhile> not,
        String instead,
        Because because) {
    /** The look for what a cleanse has left, which a method may make a step of every evening. */
    public static final String RESIDUE = "residue";

    private static final int LONGEST = 1200;
    private static final List<Alone> ALL =
            Row.unique(KnowledgeFile.yaml("alone.yaml").rows("alone"), Alone::read, Alone::id);

    public static List<Alone> all() {
        return ALL;
    }

    public static Optional<Alone> of(String id) {
        return ALL.stream().filter(a -> a.id().equals(id)).findFirst();
    }

    private static Alone read(Row row) {
        return new Alone(
                row.text("id"),
                row.text("label"),
                row.text("told"),
                row.text("how"),
                row.whole("seconds", 5, LONGEST),
                row.flag("before"),
                row.several("not", NotWhile.class),
                row.text("instead", ""),
                row.because(row.text("because")));
    }
}

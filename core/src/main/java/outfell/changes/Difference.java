package outfell.changes;

import java.util.List;
import outfell.product.ProductId;
import outfell.product.StepKind;
import outfell.regimen.Regimen;
import outfell.routine.Part;

/**
 * One step in which two plans differ, without the reason.
 *
 * @param from what stands in the first; empty when it is not there
 * @param to what stands in the second; empty when it is not there
 * @param products what it is about, as in the first and as in the second
 */
public record Difference(Part part, StepKind kind, Change.What what, String from, String to, List<ProductId> products) {
    public Difference {
        products = List.copyOf(products);
    }

    /** Routine after routine, in the order of work. */
    public static List<Difference> between(Regimen first, Regimen second) {
        return Effect.between(first, second).stream()
                .map(e -> new Difference(e.part(), e.kind(), e.what(), e.from(), e.to(), e.products()))
                .toList();
    }
}

package outfell.aims;

import java.util.List;
import outfell.product.StepKind;
import outfell.routine.Part;

/**
 * A place in a routine that one product may fill.
 *
 * @param index of several alike: the second serum is 1
 * @param required whether a plan without it is no plan
 * @param pinned whether what stands here was put in by hand, or prescribed
 * @param candidates that may stand here
 */
public record Slot(Part part, StepKind kind, int index, boolean required, boolean pinned, List<Candidate> candidates) {
    public Slot {
        candidates = List.copyOf(candidates);
    }

    /** Whether two slots are interchangeable. */
    public boolean alike(Slot other) {
        return part == other.part && kind == other.kind && !pinned && !other.pinned;
    }
}

package outfell.regimen;

import java.util.List;
import outfell.product.StepKind;
import outfell.routine.Part;

/**
 * A place in a routine that one product may fill.
 *
 * @param index of several alike: the second serum is 1
 * @param required whether a plan without it is no plan
 * @param candidates best first by what each could bring alone
 */
record Slot(Part part, StepKind kind, int index, boolean required, List<Candidate> candidates) {
    Slot {
        candidates = List.copyOf(candidates);
    }

    /** Whether two slots are interchangeable, so that only one order of filling them needs to be tried. */
    @SuppressWarnings("ReferenceEquality") // the very same list, not an equal one: pins make lists that look alike
    boolean alike(Slot other) {
        return part == other.part && kind == other.kind && candidates == other.candidates;
    }
}

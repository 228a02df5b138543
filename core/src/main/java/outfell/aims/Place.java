package outfell.aims;

import outfell.aims.Weigher.Asking;
import outfell.product.StepKind;
import outfell.routine.Part;

/** A kind of slot that method, skin and season open; several alike when {@code many} is over one. */
public record Place(Part part, StepKind kind, int many, Asking asking) {
    public boolean needed() {
        return asking == Asking.NEEDED;
    }
}

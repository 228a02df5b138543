package outfell.aims;

import outfell.knowledge.Because;
import outfell.product.ProductId;

/** Whether a strong new step may begin. */
public record PatchCall(ProductId product, String name, PatchState state, Because because) {
    /** Where the patch test of a step stands. */
    public enum PatchState {
        MISSING,
        RUNNING,
        PASSED,
        WAIVED
    }

    /** Whether it is left out on the sheet until the test is read. */
    public boolean waits() {
        return state == PatchState.MISSING || state == PatchState.RUNNING;
    }
}

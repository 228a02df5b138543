package outfell.consultation;

import java.util.concurrent.Callable;
import java.util.function.BooleanSupplier;

/**
 * How long a planning call may go on. The core asks no clock: whoever calls says what ends its patience, and the search
 * asks that at every node.
 */
public final class Patience {
    private static final ScopedValue<BooleanSupplier> OVER = ScopedValue.newInstance();

    private Patience() {}

    /** A planning call was given up. */
    public static final class Over extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Over() {
            super("The plan took longer than the patience that was given to it.");
        }
    }

    /**
     * Does something that may plan, until it is done or patience is over.
     *
     * @throws Over when it is over first
     */
    public static <T> T until(BooleanSupplier over, Callable<T> planning) throws Exception {
        return ScopedValue.where(OVER, over).call(planning::call);
    }

    /** @throws Over when whoever waits waits no longer */
    public static void ask() {
        if (OVER.isBound() && OVER.get().getAsBoolean()) {
            throw new Over();
        }
    }
}

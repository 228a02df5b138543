package outfell.server.safekeeping;

import java.util.function.LongSupplier;
import outfell.server.problem.Problem;

/** Whether there is room on the disk to write at all: a database that runs into the end of the disk has to be opened anew. */
final class DiskRoom {
    /** Enough for the largest save, a catalogue of twenty thousand products taken in; a judgement of this house. */
    static final long LEAST_BYTES = 32L * 1024 * 1024;

    private final LongSupplier usable;

    DiskRoom(LongSupplier usable) {
        this.usable = usable;
    }

    /** @throws Problem when the disk is as good as full */
    void demand() {
        long left = usable.getAsLong();
        if (left < LEAST_BYTES) {
            throw Problem.disk(
                    "The disk is full: %d MB are left where Outfell keeps its data, and it needs %d MB. Nothing was saved; what you typed is kept in this window. Make room, and it is saved by itself."
                            .formatted(left / (1024 * 1024), LEAST_BYTES / (1024 * 1024)));
        }
    }

    /** What could not be written is as if it had never been asked; the screens send it again. */
    static RuntimeException notWritten(Exception cause) {
        Problem problem = Problem.disk(
                "Outfell could not write this to the disk, so it is not saved. What you typed is kept in this window and sent again.");
        problem.initCause(cause);
        return problem;
    }
}

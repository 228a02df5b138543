package outfell.server.safekeeping;

import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The folder that this process holds from before the application starts until the process ends. */
public final class Opened {
    private static volatile @Nullable PracticeFolder folder;

    private Opened() {}

    /** @throws CannotOpen with one sentence to show */
    public static void open(Path path, Clock clock) throws CannotOpen {
        folder = PracticeFolder.open(path, clock);
    }

    /** Lets the folder go, so that another may hold it. */
    static void close() {
        folder().ifPresent(PracticeFolder::close);
        folder = null;
    }

    static Optional<PracticeFolder> folder() {
        return Optional.ofNullable(folder);
    }
}

package outfell.server.safekeeping;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.SQLException;
import java.time.Clock;
import org.flywaydb.core.api.MigrationVersion;
import org.jspecify.annotations.Nullable;

/**
 * The folder of a practice, held by this process alone while it is open. Its data file is whole and at the newest step of
 * the schema when {@link #open} returns; killed at any moment before that, the next opening finds the file as it was.
 */
public final class PracticeFolder implements AutoCloseable {
    static final String NAME = "outfell";
    private static final String NEW = "outfell-new";
    private static final String LOCK = "outfell.lock";

    private final Path folder;
    private final FileChannel channel;
    private final FileLock lock;

    private PracticeFolder(Path folder, FileChannel channel, FileLock lock) {
        this.folder = folder;
        this.channel = channel;
        this.lock = lock;
    }

    /**
     * Holds the folder and makes its data file ready.
     *
     * @throws CannotOpen when it is in use, cannot be written, or its file is damaged or of a newer program; nothing is
     *     changed then
     */
    public static PracticeFolder open(Path folder, Clock clock) throws CannotOpen {
        PracticeFolder held = hold(folder);
        try {
            held.makeReady(clock);
            return held;
        } catch (CannotOpen refused) {
            held.close();
            throw refused;
        }
    }

    /** Holds the folder and leaves its file as it is. */
    static PracticeFolder hold(Path folder) throws CannotOpen {
        try {
            Files.createDirectories(folder);
        } catch (IOException refused) {
            throw new CannotOpen("The folder %s cannot be made: %s.".formatted(folder, why(refused)), refused);
        }
        if (!Files.isWritable(folder)) {
            throw new CannotOpen(
                    "The folder %s cannot be written to by you. Choose another with --data, or let its owner give you the right."
                            .formatted(folder));
        }
        FileChannel channel = null;
        try {
            channel = FileChannel.open(folder.resolve(LOCK), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            FileLock lock = channel.tryLock();
            if (lock != null) {
                return new PracticeFolder(folder, channel, lock);
            }
            channel.close();
        } catch (OverlappingFileLockException held) {
            closeQuietly(channel);
        } catch (IOException refused) {
            closeQuietly(channel);
            throw new CannotOpen("The folder %s cannot be held: %s.".formatted(folder, why(refused)), refused);
        }
        throw new CannotOpen(
                "The data in %s is in use by another Outfell. Use that one, or stop it first.".formatted(folder));
    }

    public Path folder() {
        return folder;
    }

    Path backups() {
        return folder.resolve("backups");
    }

    /** The data file's path without its ending. */
    Path base() {
        return folder.resolve(NAME);
    }

    /** Every commit goes to the file at once; {@link DurableTransactions} then waits for the device. */
    public String url() {
        return DataFile.url(base()) + ";WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE";
    }

    private void makeReady(Clock clock) throws CannotOpen {
        try {
            Disk.ownAll(folder);
            throwAwayHalves();
            if (!Files.exists(DataFile.file(base()))) {
                make();
                return;
            }
        } catch (IOException | SQLException refused) {
            throw new CannotOpen(
                    "The data file in %s cannot be laid out: %s.".formatted(folder, why(refused)), refused);
        }
        MigrationVersion step = step();
        MigrationVersion newest = DataFile.newest();
        if (step.compareTo(newest) > 0) {
            throw new CannotOpen(
                    "The data in %s was written by a newer Outfell (step %s; this one knows %s). Start the newer one; nothing was changed."
                            .formatted(folder, step, newest));
        }
        if (step.compareTo(newest) < 0) {
            migrate(step, clock);
        }
    }

    private MigrationVersion step() throws CannotOpen {
        try {
            return DataFile.step(base());
        } catch (IOException | SQLException damaged) {
            String backup = Backups.newestWhole(backups())
                    .map(b -> " The newest backup that can be read is %s: ./outfell restore %s"
                            .formatted(b.getFileName(), b))
                    .orElse(" There is no backup beside it that can be read.");
            throw new CannotOpen(
                    "The data file %s is damaged, only half there, or not Outfell's. Nothing was changed.%s"
                            .formatted(DataFile.file(base()), backup),
                    damaged);
        }
    }

    private void make() throws IOException, SQLException {
        Path fresh = folder.resolve(NEW);
        DataFile.migrate(fresh);
        Disk.own(DataFile.file(fresh));
        Disk.takePlace(DataFile.file(fresh), DataFile.file(base()));
    }

    /** The copy is migrated, not the file; the file as it was stays as a backup. */
    private void migrate(MigrationVersion step, Clock clock) throws CannotOpen {
        try {
            new Backups(this, clock).makeFromFile(Backups.Kind.BEFORE_MIGRATION);
            Path fresh = folder.resolve(NEW);
            Disk.copy(DataFile.file(base()), DataFile.file(fresh));
            DataFile.migrate(fresh);
            Disk.takePlace(DataFile.file(fresh), DataFile.file(base()));
        } catch (IOException | SQLException | RuntimeException failed) {
            throw new CannotOpen(
                    "The data in %s is at step %s and could not be brought up to this Outfell's: %s. It is as it was."
                            .formatted(folder, step, why(failed)),
                    failed);
        }
    }

    /** What a start that was cut off has left; none of it was in use yet. */
    private void throwAwayHalves() throws IOException {
        Disk.deleteAll(folder, Disk.HALF);
        Files.deleteIfExists(DataFile.file(folder.resolve(NEW)));
        // of an Outfell that still let the database write one
        Files.deleteIfExists(folder.resolve(NEW + ".trace.db"));
        if (Files.isDirectory(backups())) {
            Disk.deleteAll(backups(), Disk.HALF);
        }
    }

    private static String why(Throwable t) {
        String text = String.valueOf(t.getMessage());
        int end = text.indexOf('\n');
        return end < 0 ? text : text.substring(0, end);
    }

    private static void closeQuietly(@Nullable FileChannel channel) {
        try {
            if (channel != null) {
                channel.close();
            }
        } catch (IOException stays) {
            // the process ends soon; the lock goes with it
        }
    }

    @Override
    public void close() {
        try {
            lock.release();
        } catch (IOException gone) {
            // released with the channel
        }
        closeQuietly(channel);
    }
}

package outfell.server.safekeeping;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.util.zip.ZipException;
import org.flywaydb.core.api.MigrationVersion;

/** Puts a backup in the place of a practice's data. */
final class Restore {
    private Restore() {}

    /**
     * Opens and reads the backup first; what stands there now becomes a backup itself.
     *
     * @return what to tell
     * @throws CannotOpen when the backup cannot be read, is of a newer program, or the folder is in use
     */
    static String from(Path zip, Path into, Clock clock) throws CannotOpen {
        if (!Files.isRegularFile(zip)) {
            throw new CannotOpen("There is no file %s.".formatted(zip));
        }
        MigrationVersion step = step(zip);
        MigrationVersion newest = DataFile.newest();
        if (step.compareTo(newest) > 0) {
            throw new CannotOpen("%s was written by a newer Outfell (step %s; this one knows %s). Nothing was changed."
                    .formatted(zip, step, newest));
        }
        try (PracticeFolder folder = PracticeFolder.hold(into)) {
            Path file = DataFile.file(folder.base());
            String before = Files.exists(file) ? keepAside(folder, file, clock) : "";
            Path half = file.resolveSibling(file.getFileName() + Disk.HALF);
            Files.deleteIfExists(half);
            Backups.unzip(zip, half);
            Disk.own(half);
            Disk.flush(half);
            Disk.takePlace(half, file);
            return "%s now stands in %s.%s".formatted(zip.getFileName(), into, before);
        } catch (IOException failed) {
            throw new CannotOpen("%s could not be put back: %s.".formatted(zip, failed.getMessage()), failed);
        }
    }

    private static MigrationVersion step(Path zip) throws CannotOpen {
        try {
            return Backups.check(zip);
        } catch (ZipException none) {
            throw new CannotOpen("%s is not a backup of Outfell, or only half of one.".formatted(zip), none);
        } catch (IOException | SQLException damaged) {
            throw new CannotOpen(
                    "%s cannot be read as a backup: it is damaged or not Outfell's. Nothing was changed."
                            .formatted(zip),
                    damaged);
        }
    }

    /** A file that can no longer be read is kept as it is: somebody may yet mend it. */
    private static String keepAside(PracticeFolder folder, Path file, Clock clock) throws IOException {
        try {
            Backups.Backup kept = new Backups(folder, clock).makeFromFile(Backups.Kind.BEFORE_RESTORE);
            return " What stood there before is kept as backups/%s.".formatted(kept.name());
        } catch (SQLException damaged) {
            Path aside = file.resolveSibling(
                    "outfell-damaged-%s%s".formatted(java.time.LocalDate.now(clock), DataFile.ENDING));
            Disk.copy(file, aside);
            return " What stood there before could not be read; it is kept as %s.".formatted(aside.getFileName());
        }
    }
}

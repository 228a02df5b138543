package outfell.server.safekeeping;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.flywaydb.core.api.MigrationVersion;

/**
 * Copies of the data file, each a zip in the folder "backups" that was opened and read through before it got its name.
 * The thirty newest are kept.
 */
final class Backups {
    static final int KEPT = 30;
    private static final String ENTRY = PracticeFolder.NAME + DataFile.ENDING;
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");
    private static final Pattern NAMED = Pattern.compile("outfell-(\\d{4}-\\d\\d-\\d\\d-\\d{6})-([a-z-]+)\\.zip");

    /** Why a backup was made. */
    enum Kind {
        DAILY,
        BY_HAND,
        BEFORE_MIGRATION,
        BEFORE_RESTORE;

        private String word() {
            return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
        }

        private static Optional<Kind> of(String word) {
            return Stream.of(values()).filter(k -> k.word().equals(word)).findFirst();
        }
    }

    /** @param bytes its size as it lies on the disk */
    record Backup(String name, Kind kind, LocalDateTime made, long bytes) {}

    /** Writes the data into a zip at this path. */
    interface Writer {
        void to(Path zip) throws IOException, SQLException;
    }

    private final PracticeFolder folder;
    private final Clock clock;

    Backups(PracticeFolder folder, Clock clock) {
        this.folder = folder;
        this.clock = clock;
    }

    /** Newest first. */
    List<Backup> all() throws IOException {
        return in(folder.backups());
    }

    boolean hasOneOf(LocalDate date) throws IOException {
        return all().stream()
                .anyMatch(b -> b.kind() == Kind.DAILY && b.made().toLocalDate().equals(date));
    }

    /** From a file that nobody writes to now. */
    Backup makeFromFile(Kind kind) throws IOException, SQLException {
        return make(kind, zip -> zip(DataFile.file(folder.base()), zip));
    }

    /**
     * Writes, opens, reads through, and only then names it.
     *
     * @throws SQLException when what was written cannot be read
     */
    Backup make(Kind kind, Writer writer) throws IOException, SQLException {
        Path backups = folder.backups();
        Files.createDirectories(backups);
        Disk.own(backups);
        LocalDateTime now = LocalDateTime.now(clock).truncatedTo(ChronoUnit.SECONDS);
        while (taken(backups, now)) {
            now = now.plusSeconds(1);
        }
        Path named = backups.resolve("outfell-%s-%s.zip".formatted(STAMP.format(now), kind.word()));
        Path half = backups.resolve(named.getFileName() + Disk.HALF);
        try {
            writer.to(half);
            Disk.own(half);
            Disk.flush(half);
            check(half);
            Disk.takePlace(half, named);
        } finally {
            Files.deleteIfExists(half);
        }
        prune();
        return new Backup(named.getFileName().toString(), kind, now, Files.size(named));
    }

    private static boolean taken(Path backups, LocalDateTime second) throws IOException {
        return in(backups).stream().anyMatch(b -> b.made().equals(second));
    }

    private void prune() throws IOException {
        for (Backup old : all().stream().skip(KEPT).toList()) {
            Files.deleteIfExists(folder.backups().resolve(old.name()));
        }
    }

    private static List<Backup> in(Path backups) throws IOException {
        if (!Files.isDirectory(backups)) {
            return List.of();
        }
        List<Backup> all = new ArrayList<>();
        try (DirectoryStream<Path> files = Files.newDirectoryStream(backups)) {
            for (Path file : files) {
                Matcher named = NAMED.matcher(file.getFileName().toString());
                Optional<Kind> kind = named.matches() ? Kind.of(named.group(2)) : Optional.empty();
                if (kind.isPresent()) {
                    all.add(new Backup(
                            file.getFileName().toString(),
                            kind.get(),
                            LocalDateTime.parse(named.group(1), STAMP),
                            Files.size(file)));
                }
            }
        }
        all.sort(Comparator.comparing(Backup::made).reversed().thenComparing(Backup::name));
        return all;
    }

    /** The newest backup that opens; a damaged one is passed over. */
    static Optional<Path> newestWhole(Path backups) {
        try {
            for (Backup backup : in(backups)) {
                Path file = backups.resolve(backup.name());
                if (isWhole(file)) {
                    return Optional.of(file);
                }
            }
            return Optional.empty();
        } catch (IOException unreadable) {
            return Optional.empty();
        }
    }

    private static boolean isWhole(Path zip) {
        try {
            check(zip);
            return true;
        } catch (IOException | SQLException damaged) {
            return false;
        }
    }

    /**
     * Opens a backup in a folder of its own and reads it through.
     *
     * @return the step of its schema
     */
    static MigrationVersion check(Path zip) throws IOException, SQLException {
        Path apart = Files.createTempDirectory("outfell-check");
        try {
            Disk.own(apart);
            Path base = apart.resolve(PracticeFolder.NAME);
            unzip(zip, DataFile.file(base));
            DataFile.readThrough(base);
            return DataFile.step(base);
        } finally {
            Disk.deleteAll(apart, "");
            Files.delete(apart);
        }
    }

    static void unzip(Path zip, Path to) throws IOException {
        try (ZipFile file = new ZipFile(zip.toFile())) {
            ZipEntry entry = file.getEntry(ENTRY);
            if (entry == null) {
                throw new IOException("there is no %s in it".formatted(ENTRY));
            }
            try (InputStream in = file.getInputStream(entry)) {
                Files.copy(in, to);
            }
        }
    }

    private static void zip(Path file, Path to) throws IOException {
        try (OutputStream out = Files.newOutputStream(to);
                ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry(ENTRY));
            Files.copy(file, zip);
            zip.closeEntry();
        }
    }
}

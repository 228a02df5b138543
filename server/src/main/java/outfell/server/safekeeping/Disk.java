package outfell.server.safekeeping;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;

/** Files that are on the disk when a call returns, and that nobody but their owner can read. */
final class Disk {
    private static final Set<PosixFilePermission> OWNERS_FOLDER = PosixFilePermissions.fromString("rwx------");
    private static final Set<PosixFilePermission> OWNERS_FILE = PosixFilePermissions.fromString("rw-------");

    private Disk() {}

    /** Forces a file's bytes to the device. */
    static void flush(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }

    /** Takes the place of another file at one moment: whoever looks sees the old one whole or the new one whole. */
    static void takePlace(Path made, Path of) throws IOException {
        Files.move(made, of, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        flushFolder(Objects.requireNonNull(of.toAbsolutePath().getParent(), "a file lies in a folder"));
    }

    /** A copy that has its final name only once it is whole and on the disk. */
    static void copy(Path from, Path to) throws IOException {
        Path half = to.resolveSibling(to.getFileName() + HALF);
        Files.copy(from, half, StandardCopyOption.REPLACE_EXISTING);
        own(half);
        flush(half);
        takePlace(half, to);
    }

    /** The ending of what is not whole yet; such a file is left by a start that was cut off, and is thrown away. */
    static final String HALF = ".half";

    /** Folders cannot be flushed on every system; where they cannot, the rename is ordered by the file system itself. */
    private static void flushFolder(Path folder) {
        try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
            channel.force(true);
        } catch (IOException notHere) {
            // nothing more can be done than the rename that was done
        }
    }

    /** For its owner's eyes only, where the file system knows owners. */
    static void own(Path path) throws IOException {
        try {
            Files.setPosixFilePermissions(path, Files.isDirectory(path) ? OWNERS_FOLDER : OWNERS_FILE);
        } catch (UnsupportedOperationException noOwners) {
            // a file system without owners has nothing to set
        }
    }

    /** A folder and all files right in it. */
    static void ownAll(Path folder) throws IOException {
        own(folder);
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                own(file);
            }
        }
    }

    static void deleteAll(Path folder, String ending) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            files.filter(f -> f.getFileName().toString().endsWith(ending)).forEach(f -> {
                try {
                    Files.deleteIfExists(f);
                } catch (IOException stays) {
                    throw new UncheckedIOException(stays);
                }
            });
        }
    }
}

package outfell.server.safekeeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A folder opens whole or says in one sentence why not, whatever was left in it. */
class PracticeFolderTest {
    private static final Clock NOW = Clock.fixed(Instant.parse("2026-11-26T09:00:00Z"), ZoneOffset.UTC);

    @TempDir
    Path folder;

    @Test
    void a_new_folder_is_laid_out_for_its_owner_alone_and_opens_again() throws Exception {
        open();
        assertThat(DataFile.step(base())).isEqualTo(DataFile.newest());
        assertThat(Files.getPosixFilePermissions(folder)).isEqualTo(PosixFilePermissions.fromString("rwx------"));
        assertThat(Files.getPosixFilePermissions(file())).isEqualTo(PosixFilePermissions.fromString("rw-------"));
        open();
        assertThat(names()).contains("outfell.mv.db").noneMatch(n -> n.contains("new") || n.endsWith(".half"));
    }

    @Test
    void an_older_file_is_brought_up_on_a_copy_and_stays_as_a_dated_backup() throws Exception {
        older("5");
        open();
        assertThat(DataFile.step(base())).isEqualTo(DataFile.newest());
        assertThat(count(base())).isEqualTo(1);
        List<String> backups = names(folder.resolve("backups"));
        assertThat(backups).containsExactly("outfell-2026-11-26-090000-before-migration.zip");
        assertThat(Backups.check(folder.resolve("backups").resolve(backups.getFirst()))
                        .getVersion())
                .isEqualTo("5");
    }

    /** What a process leaves that is killed at each moment of the way: the next opening finds all that was there. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "a half copy of the backup",
                "a half copy of the file",
                "a copy that is half migrated",
                "a migrated copy that has not taken its place",
                "a first file that is half laid out"
            })
    void a_start_that_was_cut_off_is_followed_by_one_that_works(String moment) throws Exception {
        boolean first = moment.startsWith("a first");
        if (!first) {
            older("5");
        }
        Path half = folder.resolve("outfell-new.mv.db");
        switch (moment) {
            case "a half copy of the backup" -> {
                Files.createDirectories(folder.resolve("backups"));
                Files.write(
                        folder.resolve("backups").resolve("outfell-2026-11-25-090000-daily.zip.half"), new byte[99]);
            }
            case "a half copy of the file" -> Files.write(folder.resolve("outfell-new.mv.db.half"), new byte[5000]);
            case "a copy that is half migrated" -> {
                Files.copy(file(), half);
                cutOff(half);
            }
            case "a migrated copy that has not taken its place" -> {
                Files.copy(file(), half);
                DataFile.migrate(folder.resolve("outfell-new"));
            }
            default -> Files.write(half, "H:2,block:1".getBytes());
        }
        open();
        assertThat(DataFile.step(base())).isEqualTo(DataFile.newest());
        assertThat(count(base())).isEqualTo(first ? 0 : 1);
        assertThat(names()).noneMatch(n -> n.contains("new") || n.endsWith(".half"));
    }

    @Test
    void a_file_of_a_newer_program_is_left_alone() throws Exception {
        open();
        try (Connection db = DriverManager.getConnection(DataFile.url(base()), "sa", "");
                Statement sql = db.createStatement()) {
            sql.execute(
                    "insert into \"flyway_schema_history\" select 99, '99', 'later', \"type\", \"script\", 0, "
                            + "\"installed_by\", \"installed_on\", 1, true from \"flyway_schema_history\" where \"version\" = '6'");
            sql.execute("shutdown");
        }
        byte[] before = Files.readAllBytes(file());
        refuses("written by a newer Outfell (step 99");
        assertThat(Files.readAllBytes(file())).isEqualTo(before);
    }

    @ParameterizedTest
    @ValueSource(strings = {"empty", "text", "half", "overwritten"})
    void a_damaged_file_is_left_alone_and_the_backup_to_put_back_is_named(String damage) throws Exception {
        open();
        try (PracticeFolder held = PracticeFolder.hold(folder)) {
            new Backups(held, NOW).makeFromFile(Backups.Kind.DAILY);
        }
        byte[] whole = Files.readAllBytes(file());
        byte[] damaged = switch (damage) {
            case "empty" -> new byte[0];
            case "text" -> "not a database".getBytes();
            case "half" -> java.util.Arrays.copyOf(whole, 3000);
            default -> {
                java.util.Arrays.fill(whole, 100, whole.length, (byte) 7);
                yield whole;
            }
        };
        Files.write(file(), damaged);
        refuses("is damaged, only half there, or not Outfell's", "restore", "2026-11-26-090000-daily.zip");
        assertThat(Files.readAllBytes(file())).isEqualTo(damaged);
        assertThat(Restore.from(folder.resolve("backups").resolve("outfell-2026-11-26-090000-daily.zip"), folder, NOW))
                .contains("now stands in");
        open();
    }

    @Test
    void a_folder_in_use_and_one_that_cannot_be_a_folder_say_so() throws Exception {
        try (PracticeFolder held = PracticeFolder.open(folder, NOW)) {
            assertThat(held.folder()).isEqualTo(folder);
            refuses("is in use by another Outfell");
        }
        Path file = Files.writeString(folder.resolve("a-file"), "x");
        assertThatThrownBy(() -> PracticeFolder.open(file.resolve("below"), NOW))
                .isInstanceOf(CannotOpen.class)
                .hasMessageContaining("cannot be made");
    }

    @Test
    void thirty_backups_are_kept_each_of_them_whole_and_none_twice_in_a_second() throws Exception {
        open();
        try (PracticeFolder held = PracticeFolder.hold(folder)) {
            for (int i = 0; i < 33; i++) {
                Clock later = Clock.offset(NOW, Duration.ofDays(i / 2));
                new Backups(held, later).makeFromFile(Backups.Kind.BY_HAND);
            }
            List<Backups.Backup> all = new Backups(held, NOW).all();
            assertThat(all).hasSize(30).doesNotHaveDuplicates();
            assertThat(all.getFirst().made()).isAfter(all.getLast().made());
            assertThat(all.getFirst().bytes()).isPositive();
        }
    }

    @Test
    void what_is_put_back_is_read_first_and_what_stood_there_becomes_a_backup() throws Exception {
        older("5");
        Path zip;
        try (PracticeFolder held = PracticeFolder.hold(folder)) {
            zip = folder.resolve("backups")
                    .resolve(new Backups(held, NOW)
                            .makeFromFile(Backups.Kind.BY_HAND)
                            .name());
        }
        open();
        Path elsewhere = Files.move(zip, folder.resolve("mine.zip"), StandardCopyOption.REPLACE_EXISTING);
        assertThat(Restore.from(elsewhere, folder, NOW)).contains("before-restore");
        assertThat(DataFile.step(base()).getVersion()).isEqualTo("5");
        open();
        assertThat(count(base())).isEqualTo(1);
        Path torn =
                Files.write(folder.resolve("torn.zip"), java.util.Arrays.copyOf(Files.readAllBytes(elsewhere), 500));
        assertThatThrownBy(() -> Restore.from(torn, folder, NOW))
                .isInstanceOf(CannotOpen.class)
                .hasMessageContaining("not a backup of Outfell, or only half of one");
        assertThat(count(base())).isEqualTo(1);
    }

    // ---- helpers

    private void open() throws CannotOpen {
        PracticeFolder.open(folder, NOW).close();
    }

    private void refuses(String... words) {
        assertThatThrownBy(() -> PracticeFolder.open(folder, NOW))
                .isInstanceOf(CannotOpen.class)
                .satisfies(e -> assertThat(e.getMessage()).contains(words));
    }

    /** A practice of an earlier Outfell with one client. */
    private void older(String step) throws SQLException {
        String url = DataFile.url(base());
        Flyway.configure().dataSource(url, "sa", "").target(step).load().migrate();
        try (Connection db = DriverManager.getConnection(url, "sa", "");
                Statement sql = db.createStatement()) {
            sql.execute(
                    "insert into client (id, name, trade, added_at) values (random_uuid(), 'Una Fleet', 'rigger', now())");
            sql.execute("shutdown");
        }
    }

    /** A schema in the middle of a step. */
    private static void cutOff(Path file) throws SQLException {
        String base = file.toString().replace(".mv.db", "");
        try (Connection db = DriverManager.getConnection("jdbc:h2:file:" + base, "sa", "");
                Statement sql = db.createStatement()) {
            sql.execute("alter table product add column version int default 0 not null");
            sql.execute("shutdown");
        }
    }

    private static long count(Path base) throws SQLException {
        try (Connection db = DriverManager.getConnection(DataFile.url(base) + ";ACCESS_MODE_DATA=r", "sa", "");
                Statement sql = db.createStatement();
                ResultSet found = sql.executeQuery("select count(*) from client")) {
            found.next();
            return found.getLong(1);
        }
    }

    private Path base() {
        return folder.resolve("outfell");
    }

    private Path file() {
        return folder.resolve("outfell.mv.db");
    }

    private List<String> names() throws Exception {
        return names(folder);
    }

    private static List<String> names(Path of) throws Exception {
        try (Stream<Path> files = Files.list(of)) {
            return files.map(f -> f.getFileName().toString()).sorted().toList();
        }
    }
}

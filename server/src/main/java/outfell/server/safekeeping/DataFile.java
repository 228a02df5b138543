package outfell.server.safekeeping;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationVersion;

/** One database file: what step of the schema it is at, whether it can be read from end to end, how it is migrated. */
final class DataFile {
    static final String ENDING = ".mv.db";
    private static final String USER = "sa";
    /** More statements than a save and its plan ask: each is read once by the database, not once a call. */
    static final String STATEMENTS = ";QUERY_CACHE_SIZE=256";

    private static final byte[] FIRST_BYTES = "H:2,".getBytes(StandardCharsets.US_ASCII);

    private DataFile() {}

    /**
     * No trace beside the data: the database would write statements into it, and with them what a client has told.
     *
     * @param base the path without its ending
     */
    static String url(Path base) {
        return "jdbc:h2:file:" + base.toAbsolutePath() + ";TRACE_LEVEL_FILE=0" + STATEMENTS;
    }

    static Path file(Path base) {
        return base.resolveSibling(base.getFileName() + ENDING);
    }

    /**
     * The step that the schema of a file is at, read without writing to it.
     *
     * @return a version such as "6"
     * @throws SQLException when the file is damaged, or none of ours
     */
    static MigrationVersion step(Path base) throws SQLException, IOException {
        firstBytes(file(base));
        return reading(base, db -> {
            List<MigrationVersion> steps = new ArrayList<>();
            try (Statement sql = db.createStatement();
                    ResultSet found =
                            sql.executeQuery("select \"version\" from \"flyway_schema_history\" where \"success\"")) {
                while (found.next()) {
                    steps.add(MigrationVersion.fromVersion(found.getString(1)));
                }
            }
            return steps.stream().max(MigrationVersion::compareTo).orElse(MigrationVersion.EMPTY);
        });
    }

    /** The newest step that this program knows. */
    static MigrationVersion newest() {
        MigrationVersion newest = MigrationVersion.EMPTY;
        for (MigrationInfo info : flyway("jdbc:h2:mem:").info().all()) {
            if (info.getVersion().compareTo(newest) > 0) {
                newest = info.getVersion();
            }
        }
        return newest;
    }

    /** Reads every row of every table, so that a file that opens and is torn further in does not pass for whole. */
    static long readThrough(Path base) throws SQLException, IOException {
        firstBytes(file(base));
        return reading(base, db -> {
            long rows = 0;
            for (String table : tables(db)) {
                rows += rows(db, table);
            }
            return rows;
        });
    }

    private static long rows(Connection db, String table) throws SQLException {
        try (Statement sql = db.createStatement();
                ResultSet found = sql.executeQuery("select * from \"%s\"".formatted(table))) {
            int columns = found.getMetaData().getColumnCount();
            long rows = 0;
            while (found.next()) {
                for (int i = 1; i <= columns; i++) {
                    found.getString(i);
                }
                rows++;
            }
            return rows;
        }
    }

    private static List<String> tables(Connection db) throws SQLException {
        try (Statement sql = db.createStatement();
                ResultSet found = sql.executeQuery(
                        "select table_name from information_schema.tables where table_schema = 'PUBLIC' order by 1")) {
            List<String> all = new ArrayList<>();
            while (found.next()) {
                all.add(found.getString(1));
            }
            return all;
        }
    }

    /**
     * Brings a database up to the newest step on a connection of its own, and closes it: H2 keeps the session that made a
     * table in some of its checks, and a session of the pool ends one day.
     */
    static void migrate(Path base) throws SQLException, IOException {
        String url = url(base);
        try (Connection open = DriverManager.getConnection(url, USER, "");
                Statement sql = open.createStatement()) {
            flyway(url).migrate();
            sql.execute("shutdown");
        }
        Disk.flush(file(base));
    }

    /** Brings a database in memory up to the newest step. */
    static void migrateInMemory(String url) {
        flyway(url).migrate();
    }

    private static Flyway flyway(String url) {
        return Flyway.configure().dataSource(url, USER, "").load();
    }

    private interface Reading<T> {
        T of(Connection db) throws SQLException;
    }

    /** Reads a file and closes it for good: one left open for reading would be the one that the pool then finds. */
    private static <T> T reading(Path base, Reading<T> reading) throws SQLException {
        try (Connection db = DriverManager.getConnection(url(base) + ";ACCESS_MODE_DATA=r;IFEXISTS=TRUE", USER, "");
                Statement end = db.createStatement()) {
            try {
                return reading.of(db);
            } finally {
                end.execute("shutdown immediately");
            }
        }
    }

    /** H2 takes a file of nought bytes for a new database, and would write into it. */
    private static void firstBytes(Path file) throws SQLException, IOException {
        byte[] first = new byte[FIRST_BYTES.length];
        try (var in = Files.newInputStream(file)) {
            int read = in.readNBytes(first, 0, first.length);
            if (read < first.length || !java.util.Arrays.equals(first, FIRST_BYTES)) {
                throw new SQLException("not a data file");
            }
        }
    }
}

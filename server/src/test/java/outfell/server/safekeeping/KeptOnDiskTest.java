package outfell.server.safekeeping;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import outfell.server.Outfell;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The whole server over a real folder: what it says is saved can be read again, whatever happens to the disk and the pool. */
class KeptOnDiskTest {
    private static final JsonMapper JSON = new JsonMapper();

    @TempDir
    Path folder;

    private final HttpClient http = HttpClient.newHttpClient();
    private ConfigurableApplicationContext server;

    private record Answer(int status, JsonNode body) {}

    @BeforeEach
    void start() throws CannotOpen {
        Opened.open(folder, Clock.systemDefaultZone());
        server = new SpringApplicationBuilder(Outfell.class)
                // as arguments: the file of the server's own properties goes before its defaults
                .run("--server.port=0", "--outfell.demo=true", "--springdoc.api-docs.enabled=false");
    }

    @AfterEach
    void stop() {
        FullDisk.full = false;
        server.close();
        Opened.close();
    }

    /** H2 kept in a check with a list the session that made the table; a pool's session ends one day, and every write failed. */
    @Test
    void a_folder_just_laid_out_takes_writes_after_every_connection_of_the_pool_has_ended() throws Exception {
        HikariDataSource pool = server.getBean(HikariDataSource.class);
        for (int life = 0; life < 5; life++) {
            assertThat(product("Harbour soap " + life).status()).isEqualTo(201);
            assertThat(client("Una " + life).status()).isEqualTo(201);
            pool.getHikariPoolMXBean().softEvictConnections();
        }
    }

    @Test
    void what_was_answered_is_in_the_file_that_a_process_killed_now_would_leave() throws Exception {
        List<String> told = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            told.add(client("Una " + i).body().at("/id").asString());
            Path left = folder.resolve("left-" + i);
            Files.createDirectories(left);
            Files.copy(
                    folder.resolve("outfell.mv.db"),
                    left.resolve("outfell.mv.db"),
                    java.nio.file.StandardCopyOption.REPLACE_EXISTING);
            assertThat(ids(left.resolve("outfell"))).containsAll(told);
        }
    }

    @Test
    void a_full_disk_is_said_in_one_sentence_and_moves_no_version() throws Exception {
        FullDisk.mount();
        Path small = folder.resolve("small");
        Files.createDirectories(small);
        DataFile.migrate(small.resolve("outfell"));
        try (HikariDataSource pool = new HikariDataSource()) {
            pool.setJdbcUrl("jdbc:h2:full:%s;WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE".formatted(small.resolve("outfell")));
            pool.setUsername("sa");
            pool.setPassword("");
            DurableTransactions transactions = new DurableTransactions(pool, new DiskRoom(() -> Long.MAX_VALUE));
            var template = new org.springframework.transaction.support.TransactionTemplate(transactions);
            var jdbc = new org.springframework.jdbc.core.JdbcTemplate(pool);
            template.executeWithoutResult(
                    s -> jdbc.execute("insert into worker (id, name) values (random_uuid(), 'Runa')"));
            FullDisk.full = true;
            org.assertj.core.api.Assertions.assertThatThrownBy(() -> template.executeWithoutResult(
                            s -> jdbc.execute("insert into worker (id, name) values (random_uuid(), 'Signe')")))
                    .hasMessageContaining("could not write this to the disk");
            FullDisk.full = false;
            // the database that ran into the end of the disk is opened anew by the next connection
            assertThat(jdbc.queryForList("select name from worker", String.class))
                    .containsExactly("Runa");
            template.executeWithoutResult(
                    s -> jdbc.execute("insert into worker (id, name) values (random_uuid(), 'Ashby')"));
            assertThat(jdbc.queryForList("select name from worker order by name", String.class))
                    .containsExactly("Ashby", "Runa");
        }
    }

    @Test
    void without_room_nothing_is_begun() {
        DiskRoom none = new DiskRoom(() -> 1024L);
        org.assertj.core.api.Assertions.assertThatThrownBy(none::demand)
                .hasMessageContaining("The disk is full")
                .hasMessageContaining("Nothing was saved");
    }

    @Test
    void a_backup_is_made_while_others_write_and_holds_what_was_answered_before() throws Exception {
        String id = client("Una Fleet").body().at("/id").asString();
        Thread writing = Thread.ofVirtual().start(() -> {
            for (int i = 0; i < 30; i++) {
                try {
                    client("Beside " + i);
                } catch (Exception stopped) {
                    return;
                }
            }
        });
        Answer made = post("/api/practice/backups", "");
        writing.join();
        assertThat(made.status()).isEqualTo(201);
        Path apart = folder.resolve("apart");
        Files.createDirectories(apart);
        Backups.unzip(
                folder.resolve("backups").resolve(made.body().at("/name").asString()), apart.resolve("outfell.mv.db"));
        assertThat(ids(apart.resolve("outfell"))).contains(id);
        assertThat(get("/api/practice/backups").body().at("/0/name").asString())
                .isEqualTo(made.body().at("/name").asString());
        String told = Command.run(new String[] {
            "backup", folder.toString(), folder.resolve("mine.zip").toString()
        });
        assertThat(told).contains("mine.zip");
        assertThat(Backups.check(folder.resolve("mine.zip"))).isEqualTo(DataFile.newest());
    }

    @Test
    void the_next_start_finds_everything_and_can_be_written_to() throws Exception {
        String id = client("Una Fleet").body().at("/id").asString();
        stop();
        start();
        assertThat(get("/api/clients/" + id).body().at("/name").asString()).isEqualTo("Una Fleet");
        assertThat(client("Another").status()).isEqualTo(201);
    }

    @Test
    void todays_backup_is_made_once() throws Exception {
        SafeKeeping keeping = server.getBean(SafeKeeping.class);
        keeping.daily();
        keeping.daily();
        assertThat(get("/api/practice/backups").body()).hasSize(1);
        assertThat(get("/api/practice/backups").body().at("/0/kind").asString()).isEqualTo("DAILY");
    }

    private Answer client(String name) throws Exception {
        return post("/api/clients", "{\"name\": \"%s\", \"trade\": \"rigger\", \"nextVisit\": null}".formatted(name));
    }

    private Answer product(String name) throws Exception {
        return post("/api/products", """
                {"name": "%s", "maker": "", "size": 50, "unit": "ml", "price": 3, "label": "Aqua", "kind": null,
                 "texture": null, "prescription": false}""".formatted(name));
    }

    private static List<String> ids(Path base) throws Exception {
        try (var db = java.sql.DriverManager.getConnection(DataFile.url(base) + ";ACCESS_MODE_DATA=r", "sa", "");
                var sql = db.createStatement();
                var found = sql.executeQuery("select id from client")) {
            List<String> all = new ArrayList<>();
            while (found.next()) {
                all.add(found.getString(1));
            }
            return all;
        }
    }

    private Answer post(String path, String body) throws Exception {
        return send(HttpRequest.newBuilder(address(path))
                .header("content-type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    private Answer get(String path) throws Exception {
        return send(HttpRequest.newBuilder(address(path)).GET());
    }

    private URI address(String path) {
        int port = java.util.Objects.requireNonNull(((WebServerApplicationContext) server).getWebServer())
                .getPort();
        return URI.create("http://localhost:" + port + path);
    }

    private Answer send(HttpRequest.Builder request) throws Exception {
        HttpResponse<String> answer = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        return new Answer(answer.statusCode(), JSON.readTree(answer.body().isEmpty() ? "{}" : answer.body()));
    }
}

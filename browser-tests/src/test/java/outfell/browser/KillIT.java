package outfell.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.Random;
import java.util.concurrent.ConcurrentLinkedQueue;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The packaged server, killed without warning while it writes: everything that it had answered is there when it starts
 * again, and it does start. A few times in every test run; -Doutfell.kills=200 for the long one (docs/reliability.md).
 */
class KillIT {
    private static final int KILLS = Integer.getInteger("outfell.kills", 3);
    private static final long SEED = Long.getLong("outfell.seed", 20261126L);
    private static final int WRITERS = 4;
    private static final int LONGEST_LIFE_MS = 1500;

    private final HttpClient http = HttpClient.newHttpClient();

    @Test
    void nothing_that_was_answered_is_lost_by_a_kill_and_every_start_after_it_works(@TempDir Path data)
            throws Exception {
        Random random = new Random(SEED);
        Queue<String> answered = new ConcurrentLinkedQueue<>();
        int looked = 0;
        Server server = new Server(data);
        try {
            for (int kill = 0; kill < KILLS; kill++) {
                List<Thread> writers = write(server.address(), answered);
                Thread.sleep(random.nextInt(LONGEST_LIFE_MS));
                server.kill();
                for (Thread writer : writers) {
                    writer.join();
                }
                server.start();
                for (String id : answered) {
                    assertThat(status(server.address() + "/api/clients/" + id))
                            .as("kill %d of %d: a client that was answered", kill + 1, KILLS)
                            .isEqualTo(200);
                    looked++;
                }
                tell(kill + 1, answered.size());
                // what survived one kill need not be asked for after each of the next
                if (answered.size() > 400) {
                    answered.clear();
                }
            }
            assertThat(looked).as("writes that were answered and looked for").isPositive();
        } finally {
            server.stop();
        }
    }

    /** How far a long run is, for whoever waits for it. */
    private static void tell(int kills, int answered) throws IOException {
        java.nio.file.Files.writeString(
                Path.of("target", "kills.txt"),
                "%d kills, seed %d, %d answered since the last look%n".formatted(kills, SEED, answered));
    }

    /** A first start that is cut off anywhere is followed by one that works. */
    @Test
    void a_first_start_that_is_killed_is_followed_by_one_that_works(@TempDir Path data) throws Exception {
        Random random = new Random(SEED);
        for (int kill = 0; kill < KILLS; kill++) {
            Path folder = data.resolve("start-" + kill);
            java.nio.file.Files.createDirectories(folder);
            Server server = Server.startingIn(folder);
            Thread.sleep(random.nextInt(4000));
            server.kill();
            server.start();
            assertThat(status(server.address() + "/api/desk")).isEqualTo(200);
            server.stop();
        }
    }

    private List<Thread> write(String address, Queue<String> answered) {
        List<Thread> writers = new ArrayList<>();
        for (int i = 0; i < WRITERS; i++) {
            writers.add(Thread.ofVirtual().start(() -> {
                try {
                    while (true) {
                        answered.add(begin(address));
                    }
                } catch (IOException killed) {
                    // as it should be
                } catch (InterruptedException stopped) {
                    Thread.currentThread().interrupt();
                }
            }));
        }
        return writers;
    }

    private String begin(String address) throws IOException, InterruptedException {
        HttpResponse<String> answer = http.send(
                HttpRequest.newBuilder(URI.create(address + "/api/clients"))
                        .timeout(Duration.ofSeconds(30))
                        .header("content-type", "application/json")
                        .POST(HttpRequest.BodyPublishers.ofString(
                                "{\"name\": \"Killed Once\", \"trade\": \"\", \"nextVisit\": null}"))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() != 201) {
            throw new IOException("answered " + answer.statusCode());
        }
        return answer.body().replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
    }

    private int status(String address) throws IOException, InterruptedException {
        return http.send(
                        HttpRequest.newBuilder(URI.create(address)).GET().build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }
}

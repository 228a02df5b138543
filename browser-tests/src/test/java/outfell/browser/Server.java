package outfell.browser;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.HttpURLConnection;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/** The packaged server with the demo practice in a folder of its own; it can be stopped and started again. */
final class Server {
    private static final Path JAR = Path.of("../server/target/server-0.1.0-SNAPSHOT-app.jar");
    private static final Duration PATIENCE = Duration.ofSeconds(120);

    private final Path data;
    private final int port = freePort();
    private Process process;

    Server(Path data) {
        this(data, true);
    }

    /** @param await whether it is waited for until it answers */
    private Server(Path data, boolean await) {
        this.data = data;
        this.process = spawn();
        if (await) {
            await(process);
        }
    }

    /** One that is still on its way. */
    static Server startingIn(Path data) {
        return new Server(data, false);
    }

    String address() {
        return "http://127.0.0.1:" + port;
    }

    void restart() {
        stop();
        start();
    }

    void start() {
        process = spawn();
        await(process);
    }

    /** Without a warning, as a power cut would. */
    void kill() {
        try {
            process.destroyForcibly().waitFor();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    void stop() {
        process.destroy();
        try {
            if (!process.waitFor(20, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private Process spawn() {
        try {
            ProcessBuilder builder = new ProcessBuilder(
                    Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                    "-XX:TieredStopAtLevel=1",
                    "-XX:+UseSerialGC",
                    "-jar",
                    JAR.toString());
            builder.environment()
                    .putAll(Map.of(
                            "OUTFELL_DEMO",
                            "true",
                            "OUTFELL_PORT",
                            String.valueOf(port),
                            "OUTFELL_DATA",
                            data.toString()));
            return builder.redirectErrorStream(true)
                    .redirectOutput(data.resolve("server.log").toFile())
                    .start();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    private void await(Process started) {
        Instant end = Instant.now().plus(PATIENCE);
        while (!answers()) {
            if (!started.isAlive() || Instant.now().isAfter(end)) {
                throw new IllegalStateException("The server did not start; see " + data.resolve("server.log"));
            }
            sleep();
        }
    }

    private boolean answers() {
        try {
            HttpURLConnection connection = (HttpURLConnection)
                    URI.create(address() + "/api/desk").toURL().openConnection();
            return connection.getResponseCode() == 200;
        } catch (IOException notYet) {
            return false;
        }
    }

    private static void sleep() {
        try {
            Thread.sleep(100);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }
}

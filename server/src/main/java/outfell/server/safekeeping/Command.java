package outfell.server.safekeeping;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/** The launcher's backup and restore commands; while a server holds the folder, it is the server that is asked. */
public final class Command {
    private static final int REFUSED = 3;

    private Command() {}

    /** @param args backup FOLDER [FILE], or restore FOLDER FILE */
    public static void main(String[] args) {
        try {
            System.out.println(run(args));
        } catch (CannotOpen refused) {
            System.err.println(refused.sentence());
            System.exit(REFUSED);
        }
    }

    static String run(String[] args) throws CannotOpen {
        Path folder = Path.of(args[1]);
        return switch (args[0]) {
            case "backup" -> backup(folder, args.length > 2 ? Path.of(args[2]) : null);
            case "restore" -> Restore.from(Path.of(args[2]), folder, Clock.systemDefaultZone());
            default -> throw new CannotOpen("There is no command %s.".formatted(args[0]));
        };
    }

    private static String backup(Path folder, @Nullable Path file) throws CannotOpen {
        Path base = folder.resolve(PracticeFolder.NAME);
        if (!Files.exists(DataFile.file(base))) {
            throw new CannotOpen("There is no data of Outfell in %s.".formatted(folder));
        }
        Path made = folder.resolve("backups").resolve(isServed(folder) ? ask(folder) : makeAlone(folder));
        if (file == null) {
            return "The backup is %s.".formatted(made);
        }
        try {
            Disk.copy(made, file);
            return "The backup is %s, and %s in the practice's folder.".formatted(file, made);
        } catch (IOException failed) {
            throw new CannotOpen(
                    "The backup is %s; it could not be copied to %s: %s.".formatted(made, file, failed.getMessage()),
                    failed);
        }
    }

    private static boolean isServed(Path folder) {
        try {
            PracticeFolder.hold(folder).close();
            return false;
        } catch (CannotOpen inUse) {
            return Files.exists(folder.resolve(SafeKeeping.PORT));
        }
    }

    private static String makeAlone(Path folder) throws CannotOpen {
        try (PracticeFolder held = PracticeFolder.hold(folder)) {
            return new Backups(held, Clock.systemDefaultZone())
                    .makeFromFile(Backups.Kind.BY_HAND)
                    .name();
        } catch (IOException | SQLException failed) {
            throw new CannotOpen(
                    "The data in %s could not be backed up: it cannot be read from end to end, or the disk is full."
                            .formatted(folder),
                    failed);
        }
    }

    private static String ask(Path folder) throws CannotOpen {
        try (HttpClient http = HttpClient.newHttpClient()) {
            String port = Files.readString(folder.resolve(SafeKeeping.PORT)).strip();
            HttpResponse<String> answer = http.send(
                    HttpRequest.newBuilder(URI.create("http://127.0.0.1:%s/api/practice/backups".formatted(port)))
                            .POST(HttpRequest.BodyPublishers.noBody())
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            String wanted = answer.statusCode() == 201 ? "/name" : "/detail";
            String text = new JsonMapper().readTree(answer.body()).at(wanted).asString();
            if (answer.statusCode() != 201) {
                throw new CannotOpen(text);
            }
            return text;
        } catch (IOException | RuntimeException silent) {
            throw new CannotOpen("The Outfell that uses %s does not answer.".formatted(folder), silent);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new CannotOpen("Stopped before the backup was made.", stopped);
        }
    }
}

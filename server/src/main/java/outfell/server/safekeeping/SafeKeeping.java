package outfell.server.safekeeping;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import outfell.server.problem.Problem;

/** Backups of the running practice: one a day by itself, more by hand. */
public class SafeKeeping {
    private static final Logger LOG = LoggerFactory.getLogger(SafeKeeping.class);
    /** Backups that are kept, and so days for which one holds what has been taken out since: one is made a day. */
    public static final int BACKUPS_KEPT = Backups.KEPT;
    /** Where the running server can be asked, for the launcher's backup command. */
    static final String PORT = "outfell.port";

    private final Optional<PracticeFolder> folder;
    private final DataSource data;
    private final Clock clock;

    SafeKeeping(Optional<PracticeFolder> folder, DataSource data, Clock clock) {
        this.folder = folder;
        this.data = data;
        this.clock = clock;
    }

    @EventListener
    void serves(WebServerInitializedEvent event) {
        folder.ifPresent(f -> {
            try {
                Path file = f.folder().resolve(PORT);
                Files.writeString(file, String.valueOf(event.getWebServer().getPort()));
                Disk.own(file);
            } catch (IOException unwritten) {
                LOG.warn("The port cannot be noted; ./outfell backup then works only while Outfell is stopped.");
            }
        });
    }

    @EventListener
    void ends(ContextClosedEvent event) throws IOException {
        if (folder.isPresent()) {
            Files.deleteIfExists(folder.get().folder().resolve(PORT));
        }
    }

    /** Soon after the start and then every hour: a laptop is seldom open at midnight. */
    @Scheduled(initialDelayString = "PT20S", fixedDelayString = "PT1H")
    void daily() {
        if (folder.isEmpty()) {
            return;
        }
        try {
            Backups backups = new Backups(folder.get(), clock);
            if (!backups.hasOneOf(LocalDate.now(clock))) {
                backups.make(Backups.Kind.DAILY, this::online);
            }
        } catch (IOException | SQLException failed) {
            LOG.error("Today's backup could not be made: {}", failed.getClass().getName());
        }
    }

    /** Newest first; none without a folder. */
    List<Backups.Backup> all() {
        try {
            return folder.isEmpty() ? List.of() : new Backups(folder.get(), clock).all();
        } catch (IOException unreadable) {
            throw Problem.refused("backups-unreadable", "The folder of the backups cannot be read.");
        }
    }

    /** A backup now. */
    synchronized Backups.Backup make() {
        PracticeFolder kept = folder.orElseThrow(() ->
                Problem.refused("nothing-kept", "This Outfell keeps nothing on disk, so there is nothing to back up."));
        try {
            return new Backups(kept, clock).make(Backups.Kind.BY_HAND, this::online);
        } catch (IOException | SQLException failed) {
            throw Problem.disk("The backup could not be written, or not be read again: nothing was kept of it.");
        }
    }

    /** While others write: the database copies a state that was whole at one moment. */
    private void online(Path zip) throws SQLException {
        try (Connection connection = data.getConnection();
                Statement sql = connection.createStatement()) {
            sql.execute("backup to '%s'".formatted(zip.toString().replace("'", "''")));
        }
    }
}

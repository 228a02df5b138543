package outfell.server;

import java.nio.file.Path;
import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;
import outfell.server.safekeeping.CannotOpen;
import outfell.server.safekeeping.Opened;

/** Starts the application. */
@SpringBootApplication
@EnableScheduling
public class Outfell {
    private static final int CANNOT_OPEN = 3;

    public static void main(String[] args) {
        String folder = System.getenv("OUTFELL_DATA");
        if (folder != null && !folder.isBlank()) {
            try {
                Opened.open(Path.of(folder), Clock.systemDefaultZone());
            } catch (CannotOpen refused) {
                System.err.println(refused.sentence());
                System.exit(CANNOT_OPEN);
            }
        }
        SpringApplication.run(Outfell.class, args);
    }

    @Bean
    Clock clock() {
        return Clock.systemDefaultZone();
    }
}

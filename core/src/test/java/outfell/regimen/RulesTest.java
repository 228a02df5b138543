package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;

/**
 * What the rules say, as it was read and agreed: a figure that is changed shows here what it moves. -Doutfell.update=true writes it
 * anew, to be read as a diff.
 */
class RulesTest {
    private static final Path FOLDER = Path.of("src/test/resources/rules");

    @Test
    void the_rules_say_what_they_said() throws IOException {
        for (Map.Entry<String, Supplier<String>> each : RulesSeen.all().entrySet()) {
            String said = each.getValue().get();
            Path file = FOLDER.resolve(each.getKey() + ".txt");
            if (Boolean.getBoolean("outfell.update")) {
                Files.createDirectories(FOLDER);
                Files.writeString(file, said);
            }
            assertThat(said.lines().toList())
                    .as(each.getKey())
                    .isEqualTo(Files.readString(file).lines().toList());
        }
    }
}

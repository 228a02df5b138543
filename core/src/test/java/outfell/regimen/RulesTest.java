package outfell.regimen;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * What the rules say, as it was read and agreed: a figure that is changed shows here what it moves. -Doutfell.update=true writes it
 * anew, to be read as a diff.
 */
class RulesTest {
    private static final Path FOLDER = Path.of("src/test/resources/rules");

    static Set<String> rules() {
        return RulesSeen.all().keySet();
    }

    @ParameterizedTest
    @MethodSource("rules")
    void the_rules_say_what_they_said(String rule) throws IOException {
        String said = Objects.requireNonNull(RulesSeen.all().get(rule)).get();
        Path file = FOLDER.resolve(rule + ".txt");
        if (Boolean.getBoolean("outfell.update")) {
            Files.createDirectories(FOLDER);
            Files.writeString(file, said);
        }
        assertThat(said.lines().toList())
                .isEqualTo(Files.readString(file).lines().toList());
    }
}

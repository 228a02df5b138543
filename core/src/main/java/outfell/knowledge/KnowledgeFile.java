package outfell.knowledge;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;
import org.yaml.snakeyaml.error.MarkedYAMLException;
import org.yaml.snakeyaml.nodes.Node;

/** Opens the knowledge files that ship with the core, or a text laid over them. */
public final class KnowledgeFile {
    private static final CSVFormat CSV = CSVFormat.RFC4180
            .builder()
            .setCommentMarker('#')
            .setHeader()
            .setSkipHeaderRecord(true)
            .setIgnoreEmptyLines(true)
            .get();

    private KnowledgeFile() {}

    /**
     * @param name path below knowledge/, such as "signs.yaml"
     * @throws KnowledgeFault when the file is missing or is not YAML
     */
    public static Row yaml(String name) {
        try (Reader reader = open(name)) {
            return yaml(name, reader);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** The same for a text that is not a file: what a practice has typed, or a test. */
    public static Row yamlText(String name, String text) {
        return yaml(name, new StringReader(text));
    }

    /** @throws KnowledgeFault when the file is missing */
    public static List<CSVRecord> csv(String name) {
        try (Reader reader = open(name)) {
            return CSV.parse(reader).getRecords();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /**
     * A row, and what is written over it.
     *
     * @param notes lines of comment over it or over the list that it stands in, without their mark
     */
    record Placed(Row row, List<String> notes) {}

    /**
     * The row at a place, such as "season.yaml/sun" or "safety.yaml/rules/pregnant"; nothing when there is none.
     *
     * @throws KnowledgeFault when the file is missing or is not YAML
     */
    static Optional<Placed> place(String name, String place) {
        List<String> lines;
        try (BufferedReader reader = new BufferedReader(open(name))) {
            lines = reader.lines().toList();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        return yaml(name)
                .all()
                .filter(r -> r.place().equals(place))
                .findFirst()
                .map(r -> new Placed(r, notes(lines, r.line() - 1)));
    }

    /** The nearest lines of comment over a line: over the row itself, or over the list that it stands in. */
    private static List<String> notes(List<String> lines, int from) {
        int at = from - 1;
        while (at >= 0 && !lines.get(at).startsWith("#")) {
            at--;
        }
        List<String> notes = new ArrayList<>();
        for (; at >= 0 && lines.get(at).startsWith("#"); at--) {
            notes.addFirst(lines.get(at).substring(1).strip());
        }
        return notes;
    }

    private static Row yaml(String name, Reader reader) {
        try {
            Node root = new Yaml(new SafeConstructor(new LoaderOptions())).compose(reader);
            if (root == null) {
                throw new KnowledgeFault(name, 1, "the file is empty");
            }
            return Row.of(name, root);
        } catch (MarkedYAMLException broken) {
            int line = broken.getProblemMark() == null
                    ? 1
                    : broken.getProblemMark().getLine() + 1;
            throw new KnowledgeFault(name, line, "is not readable YAML: " + broken.getProblem());
        }
    }

    private static Reader open(String name) {
        InputStream in = KnowledgeFile.class.getResourceAsStream("/knowledge/" + name);
        if (in == null) {
            throw new KnowledgeFault(name, 0, "the file is missing from knowledge/");
        }
        return new InputStreamReader(in, StandardCharsets.UTF_8);
    }
}

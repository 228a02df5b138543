package outfell.safety;

import java.util.List;
import java.util.Locale;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** Medicines that matter to the skin, from medicines.yaml. */
final class Medicines {
    /**
     * @param kind the class that safety rows speak of
     * @param names in which clients tell of it
     */
    private record Medicine(String kind, String label, List<String> names, Because because) {}

    /**
     * A word of the client's that the table knows.
     *
     * @param kind its class
     * @param sentence what it was taken for
     */
    record Match(String kind, String sentence) {}

    private static final List<Medicine> ALL = Row.unique(
            KnowledgeFile.yaml("medicines.yaml").rows("medicines"), Medicines::read, m -> m.kind() + " " + m.label());

    private Medicines() {}

    static List<Match> of(String typed) {
        String padded = plain(typed);
        return ALL.stream()
                .filter(m -> m.names().stream().anyMatch(n -> padded.contains(plain(n))))
                .map(m -> new Match(m.kind(), "\"%s\" is taken for a %s, by its name.".formatted(typed, m.label())))
                .toList();
    }

    static boolean known(String kind) {
        return ALL.stream().anyMatch(m -> m.kind().equals(kind));
    }

    private static String plain(String text) {
        return " "
                + text.toLowerCase(Locale.ROOT)
                        .replaceAll("[^\\p{L}\\p{N}]+", " ")
                        .strip() + " ";
    }

    private static Medicine read(Row row) {
        return new Medicine(row.text("class"), row.text("label"), row.texts("names"), row.because(row.text("label")));
    }
}

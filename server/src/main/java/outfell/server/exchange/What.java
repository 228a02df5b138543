package outfell.server.exchange;

import java.util.ArrayList;
import java.util.List;

/** What a file holds; docs/formats/files.md says what each column means. */
public enum What {
    CATALOGUE("catalogue", List.of("retired")),
    SHELF("shelf", List.of("weeks", "morning", "evening", "days_a_week", "opened", "left", "leaves_tight", "nights"));

    private final String word;
    private final List<String> columns;

    What(String word, List<String> more) {
        this.word = word;
        List<String> all = new ArrayList<>(ofAProduct());
        all.addAll(more);
        this.columns = List.copyOf(all);
    }

    /** As the "outfell" field of a JSON file says it. */
    String word() {
        return word;
    }

    /** In the order in which they are written; any order is read. */
    List<String> columns() {
        return columns;
    }

    private static List<String> ofAProduct() {
        return List.of(
                "id", "name", "maker", "size", "unit", "price", "kind", "texture", "prescription", "ingredients");
    }
}

package outfell.knowledge;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;

/** Where figures and rules come from, by the id that rows and reasons carry. */
public final class Sources {
    private static final Map<String, String> CITATIONS = load();

    /** Every id that a row may name. */
    static final Set<String> KNOWN = CITATIONS.keySet();

    /** Words of practice and of this house: nobody has measured there. */
    static final Set<String> MEASURED_NOTHING = Set.of("custom", "house", "client", "ingredient-table");

    private Sources() {}

    /** Citation by id, in file order. */
    public static Map<String, String> all() {
        return CITATIONS;
    }

    private static Map<String, String> load() {
        Row row = KnowledgeFile.yaml("sources.yaml");
        Map<String, String> citations = new LinkedHashMap<>();
        row.keys().forEach(id -> citations.put(id, row.text(id)));
        return java.util.Collections.unmodifiableMap(citations);
    }
}

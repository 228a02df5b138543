package outfell.product;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.knowledge.Sources;

/** What an ingredient may be said to be, in words, and whose claim each is, from tags.yaml. */
public final class Claims {
    /**
     * @param words as a therapist says it
     * @param source id of a row in sources.yaml
     */
    public record Claim(Tag tag, String words, String source) {}

    private static final Map<Tag, Claim> ALL = read();

    private Claims() {}

    public static Claim of(Tag tag) {
        return Objects.requireNonNull(ALL.get(tag));
    }

    private static Map<Tag, Claim> read() {
        Map<Tag, Claim> all = new EnumMap<>(Tag.class);
        for (Row row : KnowledgeFile.yaml("tags.yaml").rows("tags")) {
            Claim claim = new Claim(row.one("id", Tag.class), row.text("words"), row.text("source"));
            if (!Sources.all().containsKey(claim.source())) {
                throw row.fault("source \"%s\" is not in sources.yaml".formatted(claim.source()));
            }
            row.done();
            all.put(claim.tag(), claim);
        }
        for (Tag tag : Tag.values()) {
            if (!all.containsKey(tag)) {
                throw new IllegalStateException("tags.yaml has no row for " + tag);
            }
        }
        return all;
    }
}

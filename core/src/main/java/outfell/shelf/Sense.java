package outfell.shelf;

import java.util.List;
import java.util.Optional;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Lexicon;
import outfell.knowledge.Row;
import outfell.product.ActiveKind;
import outfell.product.StepKind;
import outfell.skin.Concern;

/**
 * What words of a search stand for beside their letters, from search.yaml; one of the three is there.
 *
 * @param words each one or more words, as {@link Lexicon#words} has them
 */
record Sense(
        Optional<StepKind> kind, Optional<ActiveKind> active, Optional<Concern> concern, List<List<String>> words) {
    private static final List<Sense> ALL = KnowledgeFile.yaml("search.yaml").rows("words").stream()
            .map(Sense::read)
            .toList();

    static List<Sense> all() {
        return ALL;
    }

    /** What a search speaks of: its words stand side by side in it. */
    static List<Spoken> in(List<String> text) {
        return ALL.stream()
                .flatMap(s -> s.words().stream()
                        .filter(w -> java.util.Collections.indexOfSubList(text, w) >= 0)
                        .map(w -> new Spoken(s, w)))
                .toList();
    }

    /** @param by the words of the search that speak of it */
    record Spoken(Sense sense, List<String> by) {}

    private static Sense read(Row row) {
        row.text("id");
        Sense sense = new Sense(
                row.has("kind") ? Optional.of(row.one("kind", StepKind.class)) : Optional.empty(),
                row.has("active") ? Optional.of(row.one("active", ActiveKind.class)) : Optional.empty(),
                row.has("concern") ? Optional.of(row.one("concern", Concern.class)) : Optional.empty(),
                row.texts("words").stream().map(Lexicon::words).toList());
        if (sense.kind().isEmpty()
                && sense.active().isEmpty()
                && sense.concern().isEmpty()) {
            throw row.fault("names no kind, active or concern");
        }
        row.done();
        return sense;
    }
}

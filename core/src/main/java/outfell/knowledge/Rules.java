package outfell.knowledge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The rows of the knowledge files, to be read by people. */
public final class Rules {
    /** Who may change a rule. */
    public enum Changes {
        NOBODY,
        /** A method of the house answers it another way. */
        METHOD,
        /** The practice's page of schools. */
        SCHOOLS,
        /** The practice's bands of its probe. */
        BANDS,
        /** The practice's yardstick. */
        YARDSTICK
    }

    /** What one file decides. */
    private record RuleFile(String id, String title, Changes changes) {}

    /** One thing that a row says, as it stands. */
    public record RulePart(String name, String value) {}

    /**
     * @param ref as {@link Because#rule()} has it
     * @param title what its file decides
     * @param notes what stands over it in its file: units, and how it is meant
     * @param parts all that it says, but its evidence and source
     * @param evidence absent where the row carries none of its own
     * @param source id of a row in sources.yaml; absent where there is none
     */
    public record KnowledgeRule(
            String ref,
            String title,
            Changes changes,
            List<String> notes,
            List<RulePart> parts,
            Optional<Evidence> evidence,
            Optional<String> source) {}

    private static final List<RuleFile> FILES = Row.unique(
            KnowledgeFile.yaml("rules.yaml").rows("files"),
            r -> new RuleFile(r.text("id"), r.text("title"), r.one("changes", Changes.class)),
            RuleFile::id);

    private Rules() {}

    /** The rule at a place, such as "season.yaml/sun"; nothing when there is none. */
    public static Optional<KnowledgeRule> find(String ref) {
        return FILES.stream()
                .filter(f -> ref.equals(f.id()) || ref.startsWith(f.id() + "/"))
                .findFirst()
                .flatMap(f -> KnowledgeFile.place(f.id(), ref).map(placed -> rule(f, ref, placed)));
    }

    /** Every place that a reason may name: rows with an evidence of their own. */
    static List<String> places() {
        return FILES.stream()
                .flatMap(f -> KnowledgeFile.yaml(f.id()).all())
                .filter(row -> row.has("evidence"))
                .map(Row::place)
                .toList();
    }

    private static KnowledgeRule rule(RuleFile file, String ref, KnowledgeFile.Placed placed) {
        Row row = placed.row();
        List<RulePart> parts = new ArrayList<>();
        for (String key : row.keys()) {
            if (!key.equals("evidence") && !key.equals("source") && !key.equals("id")) {
                parts.add(new RulePart(key.replace('-', ' '), row.printed(key)));
            }
        }
        return new KnowledgeRule(
                ref,
                file.title(),
                file.changes(),
                placed.notes(),
                parts,
                row.has("evidence") ? Optional.of(Evidence.ofLetter(row.text("evidence"))) : Optional.empty(),
                row.has("source") ? Optional.of(row.text("source")) : Optional.empty());
    }
}

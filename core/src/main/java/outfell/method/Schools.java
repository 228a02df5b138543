package outfell.method;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.StepKind;

/** What a method's settings mean, and what the other schools say, from method-questions.yaml. */
public final class Schools {
    /**
     * One question as a method answers it.
     *
     * @param value of the answer, as a method's settings hold it
     * @param answer in words
     * @param others what other schools say
     */
    public record SchoolAnswer(String id, String question, String value, String answer, List<String> others) {}

    /** One way of answering. */
    public record School(String value, String words) {}

    /**
     * A question on which practitioners differ.
     *
     * @param otherwise the answer of a method that was made before the question was asked; empty where every method has one
     * @param bearsOn kinds of step that the answer decides about
     */
    public record SchoolQuestion(
            String id, String question, List<School> schools, String otherwise, List<StepKind> bearsOn) {
        /**
         * The answer as it is kept.
         *
         * @throws IllegalArgumentException when it is missing or no school's
         */
        String checked(@Nullable String value) {
            String given = value == null ? otherwise : value.strip().toLowerCase(Locale.ROOT);
            if (schools.stream().noneMatch(s -> s.value().equals(given))) {
                throw new IllegalArgumentException("%s \"%s\" is no answer; there are %s."
                        .formatted(
                                question,
                                given,
                                schools.stream().map(School::value).collect(Collectors.joining(", "))));
            }
            return given;
        }
    }

    private static final List<SchoolQuestion> ALL = Row.unique(
            KnowledgeFile.yaml("method-questions.yaml").rows("questions"), Schools::read, SchoolQuestion::id);

    private Schools() {}

    /** Every question in the order of work. */
    public static List<SchoolQuestion> questions() {
        return ALL;
    }

    /** Ids of the questions that decide about a kind of step. */
    public static List<String> on(StepKind kind) {
        return ALL.stream()
                .filter(q -> q.bearsOn().contains(kind))
                .map(SchoolQuestion::id)
                .toList();
    }

    /** Every question, as this method answers it. */
    public static List<SchoolAnswer> of(Method method) {
        return ALL.stream().map(q -> answer(method, q)).toList();
    }

    private static SchoolAnswer answer(Method method, SchoolQuestion q) {
        String value =
                Objects.requireNonNull(method.settings().get(q.id()), () -> method.name() + " leaves open " + q.id());
        return new SchoolAnswer(
                q.id(),
                q.question(),
                value,
                q.schools().stream()
                        .filter(s -> s.value().equals(value))
                        .map(School::words)
                        .findFirst()
                        .orElseThrow(),
                q.schools().stream()
                        .filter(s -> !s.value().equals(value))
                        .map(School::words)
                        .toList());
    }

    private static SchoolQuestion read(Row row) {
        Map<String, School> schools = new LinkedHashMap<>();
        for (String school : row.texts("schools")) {
            String[] parts = school.split(": ", 2);
            if (parts.length != 2 || schools.put(parts[0], new School(parts[0], parts[1])) != null) {
                throw row.fault("\"%s\" is not a value of its own and its words".formatted(school));
            }
        }
        String otherwise = row.text("otherwise", "");
        if (!otherwise.isEmpty() && !schools.containsKey(otherwise)) {
            throw row.fault("\"%s\" is no answer".formatted(otherwise));
        }
        return new SchoolQuestion(
                row.text("id"),
                row.text("question"),
                List.copyOf(schools.values()),
                otherwise,
                row.several("bears-on", StepKind.class));
    }
}

package outfell.method;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** What a method's settings mean, and what the other schools say, from method-questions.yaml. */
public final class Schools {
    /**
     * One question as a method answers it.
     *
     * @param answer in words
     * @param others what other schools say
     */
    public record SchoolAnswer(String id, String question, String answer, List<String> others) {}

    private record Question(String id, String question, Map<String, String> schools) {}

    private static final List<Question> ALL =
            Row.unique(KnowledgeFile.yaml("method-questions.yaml").rows("questions"), Schools::read, Question::id);

    private Schools() {}

    /** Every question in the order of work, as this method answers it. */
    public static List<SchoolAnswer> of(Method method) {
        return ALL.stream()
                .map(q -> {
                    String value = value(method, q.id());
                    String answer = Objects.requireNonNull(
                            q.schools().get(value), () -> "%s has no school %s.".formatted(q.id(), value));
                    return new SchoolAnswer(
                            q.id(),
                            q.question(),
                            answer,
                            q.schools().values().stream()
                                    .filter(words -> !words.equals(answer))
                                    .toList());
                })
                .toList();
    }

    private static String value(Method m, String question) {
        return switch (question) {
            case "second-cleanse" -> lower(m.secondCleanse());
            case "cleanse-order" -> lower(m.cleanseOrder());
            case "morning-wash" -> lower(m.morningWash());
            case "toner-layers" -> String.valueOf(m.tonerLayers());
            case "acid-place" -> lower(m.acidPlace());
            case "exfoliations-a-week" -> String.valueOf(m.exfoliationsAWeek());
            case "strong-actives" -> String.valueOf(m.strongActives());
            case "retinoid-and-acid" -> lower(m.retinoidAndAcid());
            case "vitamin-c-apart-from-niacinamide" -> m.vitaminCApartFromNiacinamide() ? "yes" : "no";
            case "eye-place" -> lower(m.eyePlace());
            case "oil-place" -> lower(m.oilPlace());
            case "between-layers" -> lower(m.betweenLayers());
            case "waits" -> lower(m.waits());
            case "most-steps" -> String.valueOf(m.mostSteps());
            default -> throw new IllegalArgumentException("No setting is asked for by %s.".formatted(question));
        };
    }

    private static String lower(Enum<?> value) {
        return value.name().toLowerCase(java.util.Locale.ROOT);
    }

    private static Question read(Row row) {
        Map<String, String> schools = new LinkedHashMap<>();
        for (String school : row.texts("schools")) {
            String[] parts = school.split(": ", 2);
            if (parts.length != 2) {
                throw row.fault("\"%s\" is not a value and its words".formatted(school));
            }
            schools.put(parts[0], parts[1]);
        }
        return new Question(row.text("id"), row.text("question"), schools);
    }
}

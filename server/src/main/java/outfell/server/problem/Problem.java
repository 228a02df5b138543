package outfell.server.problem;

import java.util.List;
import org.springframework.http.HttpStatus;

/** A request that is refused, with what to say. */
public final class Problem extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /**
     * One field that is wrong.
     *
     * @param pointer JSON pointer of the field
     * @param sentence what came and what is allowed
     * @param allowed the range or the choices; empty when the sentence says it all
     */
    public record Field(String pointer, String sentence, String allowed) {}

    private final HttpStatus status;
    private final String code;
    private final transient List<Field> fields;

    private Problem(HttpStatus status, String code, String sentence, List<Field> fields) {
        super(sentence);
        this.status = status;
        this.code = code;
        this.fields = List.copyOf(fields);
    }

    public static Problem notFound(String what, Object id) {
        return new Problem(HttpStatus.NOT_FOUND, "not-found", "There is no %s %s.".formatted(what, id), List.of());
    }

    public static Problem refused(String code, String sentence) {
        return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, code, sentence, List.of());
    }

    /** More than can be read. */
    public static Problem tooLarge(String sentence) {
        return new Problem(HttpStatus.CONTENT_TOO_LARGE, "too-large", sentence, List.of());
    }

    /** What would take longer than anybody waits. */
    public static Problem tooLong(String sentence) {
        return new Problem(HttpStatus.SERVICE_UNAVAILABLE, "too-long", sentence, List.of());
    }

    /** What the disk did not take. */
    public static Problem disk(String sentence) {
        return new Problem(HttpStatus.INSUFFICIENT_STORAGE, "disk", sentence, List.of());
    }

    public static Problem fields(List<Field> fields) {
        String sentence = fields.size() == 1
                ? fields.getFirst().sentence()
                : "%d fields are not right. The first: %s"
                        .formatted(fields.size(), fields.getFirst().sentence());
        return new Problem(HttpStatus.BAD_REQUEST, "wrong-field", sentence, fields);
    }

    public static Problem field(String pointer, String sentence) {
        return fields(List.of(new Field(pointer, sentence, "")));
    }

    HttpStatus status() {
        return status;
    }

    String code() {
        return code;
    }

    List<Field> fields() {
        return fields;
    }
}

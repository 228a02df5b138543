package outfell.server.problem;

import jakarta.validation.ConstraintViolationException;
import java.net.URI;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Turns every refusal into a problem document (RFC 9457). Logs no client data. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    @ExceptionHandler
    ProblemDetail refused(Problem problem) {
        return document(problem.status(), problem.code(), text(problem), problem.fields());
    }

    @ExceptionHandler
    ProblemDetail clash(Clash clash) {
        ProblemDetail document = document(HttpStatus.CONFLICT, "clash", text(clash), List.of());
        document.setProperty("theirs", clash.theirs());
        return document;
    }

    @ExceptionHandler
    ProblemDetail outOfRange(IllegalArgumentException wrong) {
        return document(HttpStatus.BAD_REQUEST, "wrong-value", text(wrong), List.of());
    }

    @ExceptionHandler
    ProblemDetail invalid(ConstraintViolationException wrong) {
        List<Problem.Field> fields = wrong.getConstraintViolations().stream()
                .map(v -> new Problem.Field(pointer(v.getPropertyPath().toString()), v.getMessage(), ""))
                .toList();
        return document(HttpStatus.BAD_REQUEST, "wrong-field", fields.getFirst().sentence(), fields);
    }

    @ExceptionHandler
    ProblemDetail wrongAddress(MethodArgumentTypeMismatchException wrong) {
        return document(
                HttpStatus.BAD_REQUEST,
                "wrong-address",
                "\"%s\" is not a %s.".formatted(wrong.getValue(), wrong.getName()),
                List.of());
    }

    /** What nobody foresaw: said plainly, logged by kind only, so that no client's words reach the log. */
    @ExceptionHandler
    ProblemDetail unforeseen(RuntimeException fault) {
        LOG.error(
                "Unforeseen {} at {}",
                fault.getClass().getName(),
                fault.getStackTrace().length > 0 ? fault.getStackTrace()[0] : "?");
        return document(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "fault",
                "Something in Outfell failed. What you typed is kept on this machine; try again.",
                List.of());
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException wrong, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        Throwable cause = wrong.getMostSpecificCause();
        if (cause instanceof Problem problem) {
            return respond(refused(problem));
        }
        if (cause instanceof tools.jackson.databind.DatabindException databind) {
            String pointer = databind.getPath().stream()
                    .map(r -> r.getPropertyName() == null ? String.valueOf(r.getIndex()) : r.getPropertyName())
                    .reduce("", (a, b) -> a + "/" + b);
            String sentence = "%s is not known or has the wrong kind of value."
                    .formatted(pointer.isEmpty() ? "The document" : pointer);
            return respond(document(
                    HttpStatus.BAD_REQUEST,
                    "wrong-field",
                    sentence,
                    List.of(new Problem.Field(pointer, sentence, ""))));
        }
        return respond(document(HttpStatus.BAD_REQUEST, "not-json", "The document is not readable JSON.", List.of()));
    }

    @Override
    protected @Nullable ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException wrong, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        List<Problem.Field> fields = wrong.getBindingResult().getFieldErrors().stream()
                .map(e -> new Problem.Field(pointer(e.getField()), String.valueOf(e.getDefaultMessage()), ""))
                .toList();
        return respond(refused(Problem.fields(fields)));
    }

    private static ResponseEntity<Object> respond(ProblemDetail document) {
        return ResponseEntity.status(document.getStatus()).body(document);
    }

    private static String pointer(String path) {
        return "/" + path.replaceAll("\\[(\\d+)]", "/$1").replace('.', '/');
    }

    private static String text(Throwable t) {
        return String.valueOf(t.getMessage());
    }

    private static ProblemDetail document(HttpStatus status, String code, String sentence, List<Problem.Field> fields) {
        ProblemDetail document = ProblemDetail.forStatusAndDetail(status, sentence);
        document.setType(URI.create("urn:outfell:problem:" + code));
        document.setTitle(status.getReasonPhrase());
        document.setProperty("code", code);
        document.setProperty("errors", fields);
        return document;
    }
}

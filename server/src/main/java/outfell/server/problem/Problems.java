package outfell.server.problem;

import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.ConstraintViolationException;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.http.converter.json.ProblemDetailJacksonMixin;
import org.springframework.web.HttpMediaTypeException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.NoHandlerFoundException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import org.springframework.web.util.DisconnectedClientHelper;
import outfell.consultation.Patience;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Turns every refusal into a problem document (RFC 9457). Logs no client data. */
@RestControllerAdvice
public class Problems extends ResponseEntityExceptionHandler {
    private static final int SHOWN = 60;
    private static final JsonMapper JSON = JsonMapper.builder()
            .addMixIn(ProblemDetail.class, ProblemDetailJacksonMixin.class)
            .build();
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    @ExceptionHandler
    ProblemDetail refused(Problem problem) {
        return document(problem.status(), problem.code(), text(problem), problem.fields());
    }

    @ExceptionHandler
    ProblemDetail tooLong(Patience.Over over) {
        return refused(
                Problem.tooLong(
                        "This plan takes longer than anybody waits for it, so it was given up. Fewer steps, minutes or products make it quicker."));
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
                "\"%s\" is not a %s.".formatted(shortly(wrong.getValue()), wrong.getName()),
                List.of());
    }

    /** What the web server could not take apart: a broken escape in an address, a field without a name. */
    @ExceptionHandler
    ProblemDetail brokenAddress(InvalidParameterException broken) {
        return document(HttpStatus.BAD_REQUEST, "not-understood", "This address cannot be understood.", List.of());
    }

    @ExceptionHandler
    ProblemDetail brokenText(JacksonException broken) {
        return document(HttpStatus.BAD_REQUEST, "not-json", "The document is not readable JSON.", List.of());
    }

    /** What the database holds against a write: a name taken, a text too long, a thing that somebody else still uses. */
    @ExceptionHandler
    ProblemDetail againstTheRecord(DataIntegrityViolationException wrong) {
        LOG.warn("Refused by the database: {}", wrong.getClass().getSimpleName());
        return document(
                HttpStatus.CONFLICT,
                "against-the-record",
                "This does not fit what is kept already, or was changed by somebody at the same moment. Nothing was saved; try again.",
                List.of());
    }

    /** What the framework refuses: said in one shape with everything else, and without its inner names. */
    @Override
    protected @Nullable ResponseEntity<Object> handleExceptionInternal(
            Exception fault, @Nullable Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ProblemDetail document = document(
                HttpStatus.valueOf(status.value()),
                status.is5xxServerError() ? "fault" : "not-understood",
                sentence(fault, status),
                List.of());
        return ResponseEntity.status(status).headers(headers).body(document);
    }

    private static String sentence(Exception fault, HttpStatusCode status) {
        return switch (fault) {
            case MissingServletRequestParameterException missing ->
                "%s is missing.".formatted(missing.getParameterName());
            case NoResourceFoundException _, NoHandlerFoundException _ -> "There is nothing at this address.";
            case HttpRequestMethodNotSupportedException method ->
                "%s is not done at this address.".formatted(shortly(method.getMethod()));
            case HttpMediaTypeException _ -> "What was sent is not of a kind that is read here; JSON is.";
            default ->
                status.is5xxServerError()
                        ? "Something in Outfell failed. What you typed is kept on this machine; try again."
                        : "This address or request cannot be understood.";
        };
    }

    private static String shortly(@Nullable Object came) {
        String text = came instanceof Object[] several ? Arrays.toString(several) : String.valueOf(came);
        return text.length() <= SHOWN ? text : text.substring(0, SHOWN) + "…";
    }

    /** Writes a refusal where no controller is asked. */
    public static void write(HttpServletResponse response, int status, String code, String sentence)
            throws IOException {
        byte[] body = text(status, code, sentence).getBytes(StandardCharsets.UTF_8);
        response.setStatus(status);
        response.setContentType("application/problem+json");
        response.setContentLength(body.length);
        response.getOutputStream().write(body);
    }

    /** A problem document as text. */
    public static String text(int status, String code, String sentence) {
        return JSON.writeValueAsString(document(HttpStatus.valueOf(status), code, sentence, List.of()));
    }

    /** What nobody foresaw: said plainly, logged by kind only, so that no client's words reach the log. */
    @ExceptionHandler
    @Nullable
    ProblemDetail unforeseen(Exception fault) {
        if (DisconnectedClientHelper.isClientDisconnectedException(fault)) {
            // who closed the page while it was sent needs no answer, and nothing failed
            return null;
        }
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

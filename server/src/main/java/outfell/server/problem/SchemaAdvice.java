package outfell.server.problem;

import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaLocation;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.Type;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Checks bodies against the published schemas, so that the schema and the server cannot part. */
@RestControllerAdvice
class SchemaAdvice extends RequestBodyAdviceAdapter {
    private static final String BASE = "urn:outfell:format:";
    private static final int MOST_ERRORS = 20;

    private final Map<String, Schema> schemas = new ConcurrentHashMap<>();
    private final SchemaRegistry registry = SchemaRegistry.withDefaultDialect(
            SpecificationVersion.DRAFT_2020_12,
            builder -> builder.schemas(Map.of(
                    BASE + "case", text("case"), BASE + "visit", text("visit"), BASE + "changes", text("changes"))));
    private final JsonMapper mapper = new JsonMapper();

    @Override
    public boolean supports(MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
        return parameter.hasParameterAnnotation(MatchesSchema.class);
    }

    @Override
    public HttpInputMessage beforeBodyRead(
            HttpInputMessage message,
            MethodParameter parameter,
            Type type,
            Class<? extends HttpMessageConverter<?>> converter)
            throws IOException {
        byte[] body = message.getBody().readAllBytes();
        MatchesSchema wanted = Objects.requireNonNull(parameter.getParameterAnnotation(MatchesSchema.class));
        check(wanted.value(), body, message);
        return new Buffered(message.getHeaders(), body);
    }

    private void check(String name, byte[] body, HttpInputMessage message) {
        JsonNode node;
        try {
            node = mapper.readTree(body);
        } catch (JacksonException broken) {
            throw new HttpMessageNotReadableException("not JSON", broken, message);
        }
        Schema schema = schemas.computeIfAbsent(name, n -> registry.getSchema(SchemaLocation.of(BASE + n)));
        List<Error> errors = schema.validate(node);
        if (!errors.isEmpty()) {
            throw Problem.fields(errors.stream()
                    .limit(MOST_ERRORS)
                    .map(e -> Sentences.field(e, node))
                    .distinct()
                    .toList());
        }
    }

    private static String text(String name) {
        try (InputStream in = SchemaAdvice.class.getResourceAsStream("/formats/" + name + ".schema.json")) {
            return new String(Objects.requireNonNull(in, name).readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException broken) {
            throw new IllegalStateException("The schema %s cannot be read.".formatted(name), broken);
        }
    }

    private record Buffered(HttpHeaders headers, byte[] body) implements HttpInputMessage {
        @Override
        public InputStream getBody() {
            return new ByteArrayInputStream(body);
        }

        @Override
        public HttpHeaders getHeaders() {
            return headers;
        }
    }
}

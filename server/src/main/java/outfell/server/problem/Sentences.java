package outfell.server.problem;

import com.networknt.schema.Error;
import tools.jackson.databind.JsonNode;

/** Says in a sentence what a schema found wrong. */
public final class Sentences {
    private static final int SHOWN = 40;

    private Sentences() {}

    public static Problem.Field field(Error error, JsonNode document) {
        String pointer = error.getInstanceLocation().toString();
        if ("required".equals(error.getKeyword()) || "additionalProperties".equals(error.getKeyword())) {
            pointer = pointer + "/" + error.getProperty();
        }
        String allowed = allowed(error);
        return new Problem.Field(pointer, sentence(error, pointer, came(document, pointer), allowed), allowed);
    }

    private static String sentence(Error error, String pointer, String came, String allowed) {
        String name = pointer.isEmpty() ? "The document" : pointer.substring(pointer.lastIndexOf('/') + 1);
        return switch (String.valueOf(error.getKeyword())) {
            case "required" -> "%s is missing.".formatted(name);
            case "additionalProperties", "unevaluatedProperties" ->
                "%s is not a field that is known here.".formatted(name);
            case "type" -> "%s is %s; expected %s.".formatted(name, came, allowed);
            case "enum" -> "%s is %s; allowed is one of %s.".formatted(name, came, allowed);
            case "minimum", "exclusiveMinimum", "maximum", "exclusiveMaximum" ->
                "%s is %s; allowed is %s.".formatted(name, came, allowed);
            case "minLength" -> "%s cannot be empty.".formatted(name);
            case "maxLength" -> "%s is too long; allowed is %s.".formatted(name, allowed);
            case "pattern" -> "%s is %s; a date is written %s.".formatted(name, came, allowed);
            case "maxItems" -> "%s holds too many; allowed is %s.".formatted(name, allowed);
            default -> "%s: %s.".formatted(name, error.getMessage());
        };
    }

    private static String allowed(Error error) {
        JsonNode schema = error.getSchemaNode();
        JsonNode parent = error.getSchemaNode();
        String keyword = String.valueOf(error.getKeyword());
        String value = schema == null
                ? ""
                : schema.isString()
                        ? schema.asString()
                        : schema.toString()
                                .replace("\"", "")
                                .replace(",", ", ")
                                .replace("[", "")
                                .replace("]", "");
        return switch (keyword) {
            case "minimum" -> "%s or more".formatted(value);
            case "maximum" -> "%s or less".formatted(value);
            case "maxLength" -> "%s characters".formatted(value);
            case "maxItems" -> "%s entries".formatted(value);
            case "enum", "type" -> value;
            // the one pattern of the formats is that of a date
            case "pattern" -> "2026-11-25";
            default -> parent == null ? "" : "";
        };
    }

    private static String came(JsonNode document, String pointer) {
        JsonNode node = document.at(pointer);
        String text = node.isMissingNode() ? "missing" : node.toString();
        return text.length() > SHOWN ? text.substring(0, SHOWN) + "…" : text;
    }
}

package outfell.knowledge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.yaml.snakeyaml.nodes.MappingNode;
import org.yaml.snakeyaml.nodes.Node;
import org.yaml.snakeyaml.nodes.NodeTuple;
import org.yaml.snakeyaml.nodes.ScalarNode;
import org.yaml.snakeyaml.nodes.SequenceNode;

/**
 * One row of a knowledge file. Every access states what it expects; anything else is a {@link KnowledgeFault} with file
 * and line. A key that nobody asked for is a fault too, see {@link #done()}.
 */
public final class Row {
    private final String file;
    /** Where it stands: its file, and from there by key and id. */
    private final String place;

    private final int line;
    private final Map<String, Node> values;
    private final Set<String> asked = new HashSet<>();
    /** The first that it was asked for: asked again it has another sentence, and the same evidence and source. */
    private @Nullable Because reason;

    private Row(String file, String place, int line, Map<String, Node> values) {
        this.file = file;
        this.place = place;
        this.line = line;
        this.values = values;
    }

    static Row of(String file, Node node) {
        return of(file, file, node);
    }

    private static Row of(String file, String place, Node node) {
        if (!(node instanceof MappingNode mapping)) {
            throw new KnowledgeFault(file, lineOf(node), "expected keys and values, found something else");
        }
        Map<String, Node> values = new LinkedHashMap<>();
        for (NodeTuple tuple : mapping.getValue()) {
            String key = scalar(file, tuple.getKeyNode());
            if (values.put(key, tuple.getValueNode()) != null) {
                throw new KnowledgeFault(
                        file, lineOf(tuple.getKeyNode()), "the key \"%s\" stands twice".formatted(key));
            }
        }
        return new Row(file, place, lineOf(node), values);
    }

    public String text(String key) {
        return scalar(file, node(key));
    }

    public String text(String key, String otherwise) {
        return has(key) ? text(key) : otherwise;
    }

    public double number(String key) {
        String text = text(key);
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException notANumber) {
            throw fault("\"%s\" is \"%s\", expected a number".formatted(key, text));
        }
    }

    public double number(String key, double otherwise) {
        return has(key) ? number(key) : otherwise;
    }

    /** @throws KnowledgeFault when the value is not a number within the bounds, both inclusive */
    public double number(String key, double least, double most) {
        double value = number(key);
        if (!(value >= least && value <= most)) {
            throw fault("\"%s\" is %s, allowed is %s to %s".formatted(key, value, least, most));
        }
        return value;
    }

    public int whole(String key, int least, int most) {
        double value = number(key, least, most);
        if (value != Math.rint(value)) {
            throw fault("\"%s\" is %s, expected a whole number".formatted(key, value));
        }
        return (int) value;
    }

    public boolean flag(String key) {
        return has(key)
                && switch (text(key)) {
                    case "yes", "true" -> true;
                    case "no", "false" -> false;
                    default -> throw fault("\"%s\" is \"%s\", expected yes or no".formatted(key, text(key)));
                };
    }

    public <E extends Enum<E>> E one(String key, Class<E> kind) {
        return member(text(key), kind);
    }

    public <E extends Enum<E>> List<E> several(String key, Class<E> kind) {
        return texts(key).stream().map(t -> member(t, kind)).toList();
    }

    /** The texts of a list; none when the key is absent. */
    public List<String> texts(String key) {
        return items(key).stream().map(n -> scalar(file, n)).toList();
    }

    /** The numbers of a list; none when the key is absent. */
    public List<Double> numbers(String key) {
        return texts(key).stream()
                .map(t -> {
                    try {
                        return Double.parseDouble(t);
                    } catch (NumberFormatException notANumber) {
                        throw fault("\"%s\" holds \"%s\", expected numbers".formatted(key, t));
                    }
                })
                .toList();
    }

    public List<Row> rows(String key) {
        return inList(key, items(key));
    }

    public Row row(String key) {
        return Row.of(file, place + "/" + key, node(key));
    }

    /** This row and all rows within it. */
    Stream<Row> all() {
        return Stream.concat(
                Stream.of(this), values.entrySet().stream().flatMap(e -> within(e.getKey(), e.getValue())));
    }

    private Stream<Row> within(String key, Node node) {
        return switch (node) {
            case MappingNode map -> Row.of(file, place + "/" + key, map).all();
            case SequenceNode list ->
                inList(
                                key,
                                list.getValue().stream()
                                        .filter(MappingNode.class::isInstance)
                                        .toList())
                        .stream()
                        .flatMap(Row::all);
            default -> Stream.empty();
        };
    }

    /** Where it stands, as a reason names it. */
    String place() {
        return place;
    }

    int line() {
        return line;
    }

    /** A value as it is written, whatever its kind: a list in one line, a table as its keys and values. */
    public String printed(String key) {
        return printed(node(key));
    }

    private String printed(Node node) {
        return switch (node) {
            case ScalarNode scalar -> scalar.getValue();
            case SequenceNode list ->
                list.getValue().stream().map(this::printed).collect(Collectors.joining(", "));
            case MappingNode map ->
                map.getValue().stream()
                        .map(t -> printed(t.getKeyNode()) + " " + printed(t.getValueNode()))
                        .collect(Collectors.joining(", "));
            default -> throw fault("\"%s\" is nothing to be printed".formatted(node));
        };
    }

    /** The rows of a list, each by its name; the second of a name by its number, too. */
    private List<Row> inList(String key, List<Node> nodes) {
        Map<String, Integer> before = new HashMap<>();
        List<Row> rows = new ArrayList<>();
        for (Node node : nodes) {
            String name = name(node);
            int nth = before.merge(name, 1, Integer::sum);
            rows.add(Row.of(file, place + "/" + key + "/" + (nth == 1 ? name : name + "-" + nth), node));
        }
        return rows;
    }

    /** A row of a list by its id; where it has none, by the first two of its values. */
    private String name(Node node) {
        if (!(node instanceof MappingNode map)) {
            return "";
        }
        return map.getValue().stream()
                .filter(t -> printed(t.getKeyNode()).equals("id"))
                .findFirst()
                .map(t -> printed(t.getValueNode()))
                .orElseGet(() -> map.getValue().stream()
                        .limit(2)
                        .map(t -> printed(t.getValueNode()).replace(", ", "+").replace(' ', '-'))
                        .collect(Collectors.joining("-")));
    }

    /** The keys in file order, for a row that is itself a table of named things. */
    public List<String> keys() {
        return List.copyOf(values.keySet());
    }

    public boolean has(String key) {
        asked.add(key);
        return values.containsKey(key);
    }

    /** The reason that this row itself carries: its evidence, its source and the given sentence. */
    public Because because(String sentence) {
        Because known = reason;
        if (known == null) {
            known = read(sentence);
            reason = known;
        }
        return known.withSentence(sentence);
    }

    private Because read(String sentence) {
        Evidence evidence;
        try {
            evidence = Evidence.ofLetter(text("evidence"));
        } catch (IllegalArgumentException unknown) {
            throw fault(Optional.ofNullable(unknown.getMessage()).orElse("unknown evidence"));
        }
        String source = text("source");
        if (!Sources.KNOWN.contains(source)) {
            throw fault("source \"%s\" is not in sources.yaml".formatted(source));
        }
        if (Sources.MEASURED_NOTHING.contains(source) && evidence.isMeasured()) {
            throw fault("evidence %s stands behind %s; a study has a source of its own"
                    .formatted(evidence.letter(), source));
        }
        return new Because(sentence, evidence, source, Optional.of(place));
    }

    /** Ends the reading of this row. A key that was never asked for is a typing slip, and named. */
    public void done() {
        for (String key : values.keySet()) {
            if (!asked.contains(key)) {
                throw fault("nothing reads the key \"%s\"; was it mistyped?".formatted(key));
            }
        }
    }

    public KnowledgeFault fault(String reason) {
        return new KnowledgeFault(file, line, reason);
    }

    /** Reads rows, ends each, and refuses an id that stands twice. */
    public static <T> List<T> unique(List<Row> rows, Function<Row, T> read, Function<T, Object> id) {
        Map<Object, T> found = new HashMap<>();
        List<T> all = new ArrayList<>();
        for (Row row : rows) {
            T value = read.apply(row);
            row.done();
            if (found.put(id.apply(value), value) != null) {
                throw row.fault("the id \"%s\" stands twice".formatted(id.apply(value)));
            }
            all.add(value);
        }
        return List.copyOf(all);
    }

    private <E extends Enum<E>> E member(String text, Class<E> kind) {
        for (E e : kind.getEnumConstants()) {
            if (e.name().equalsIgnoreCase(text.replace(' ', '_').replace('-', '_'))) {
                return e;
            }
        }
        throw fault("\"%s\" is not one of %s".formatted(text, Arrays.toString(kind.getEnumConstants())));
    }

    private Node node(String key) {
        asked.add(key);
        Node node = values.get(key);
        if (node == null) {
            throw fault("the key \"%s\" is missing; this row has %s".formatted(key, values.keySet()));
        }
        return node;
    }

    private List<Node> items(String key) {
        if (!has(key)) {
            return List.of();
        }
        if (!(node(key) instanceof SequenceNode sequence)) {
            throw fault("\"%s\" should be a list".formatted(key));
        }
        return sequence.getValue();
    }

    private static String scalar(String file, Node node) {
        if (node instanceof ScalarNode scalar) {
            return scalar.getValue();
        }
        throw new KnowledgeFault(file, lineOf(node), "expected one value, found a list or a table");
    }

    private static int lineOf(Node node) {
        return node.getStartMark().getLine() + 1;
    }
}

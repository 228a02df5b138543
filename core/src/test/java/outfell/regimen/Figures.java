package outfell.regimen;

import java.io.IOException;
import java.io.StringReader;
import java.lang.reflect.InvocationTargetException;
import java.net.MalformedURLException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;
import org.yaml.snakeyaml.nodes.MappingNode;
import org.yaml.snakeyaml.nodes.Node;
import org.yaml.snakeyaml.nodes.ScalarNode;
import org.yaml.snakeyaml.nodes.SequenceNode;
import org.yaml.snakeyaml.nodes.Tag;

/**
 * Changes every figure of the knowledge files by one step, each by itself in a world of its own, and tells those that
 * {@link RulesTest} would not notice: ./outfell mutate.
 */
final class Figures {
    private static final Path KNOWLEDGE = Path.of("core/src/main/resources/knowledge");
    /** Which rules are looked at when a file changes, beside all that a choice weighs; all of them where none are named. */
    private static final Map<String, List<String>> FIRST = Map.ofEntries(
            Map.entry("actives.yaml", List.of("actives")),
            Map.entry("air.yaml", List.of("air", "stays")),
            Map.entry("climate/sites.yaml", List.of("air")),
            Map.entry("season.yaml", List.of("season", "corner-season", "levers")),
            Map.entry("signs.yaml", List.of("skin", "edges")),
            Map.entry("safety.yaml", List.of("safety", "ages", "signs", "happened")),
            Map.entry("patch.yaml", List.of("patch")),
            Map.entry("load.yaml", List.of("load", "weeks", "edges")),
            Map.entry("checkin.yaml", List.of("weeks")),
            Map.entry("pauses.yaml", List.of("weeks", "spells")),
            Map.entry("climate/questions.yaml", List.of("stays")),
            Map.entry("spells.yaml", List.of("spells")),
            Map.entry("year.yaml", List.of("year")),
            Map.entry("weather.yaml", List.of("weather")),
            Map.entry("sun-day.yaml", List.of("sun-of-day")),
            Map.entry("courses.yaml", List.of("weeks")),
            Map.entry("verdicts.yaml", List.of("weeks")),
            Map.entry("amounts.yaml", List.of("amounts", "weighing", "corner-amounts")),
            Map.entry("balance.yaml", List.of("balance", "corner-balance")),
            Map.entry("skin.yaml", List.of("skin", "sun", "skin-states", "skin-said", "edges", "corner-skin")),
            Map.entry("probe.yaml", List.of("probe", "skin", "settings")),
            Map.entry("phototypes.yaml", List.of("sun")),
            Map.entry("benefits.yaml", List.of("benefits", "weighing")),
            Map.entry("harms.yaml", List.of("harms")),
            Map.entry("suits.yaml", List.of("suits", "weighing", "ages", "corner-aims")),
            Map.entry("supply.yaml", List.of("supply")),
            Map.entry("hold.yaml", List.of("supply")),
            Map.entry("families.yaml", List.of("names")),
            Map.entry("kinds.yaml", List.of("kinds", "shares", "amounts", "corner-kinds")),
            Map.entry("shares.yaml", List.of("shares", "kinds", "names", "weighing", "corner-shares")),
            Map.entry("film.yaml", List.of("amounts")),
            Map.entry("pantry.yaml", List.of("pantry")),
            Map.entry("medicines.yaml", List.of("medicines")),
            Map.entry("yardstick.yaml", List.of("settings", "weighing")),
            Map.entry("meetings.yaml", List.of("corner-meetings")),
            Map.entry("tonight.yaml", List.of("weighing")));
    /** Texts, names and goods rather than rules. */
    private static final List<String> NO_RULES =
            List.of("starter-catalogue.yaml", "sources.yaml", "synonyms.yaml", "label-markers.yaml");

    private record Figure(String file, int line, int from, int to, String was, String is) {}

    private Figures() {}

    public static void main(String[] which) throws IOException {
        Map<String, String> as = new LinkedHashMap<>();
        String unchanged = noticed(Map.of(), List.of(), as, true);
        if (!unchanged.isEmpty()) {
            throw new IllegalStateException("Nothing was changed, and still: " + unchanged);
        }
        int all = 0;
        int noticed = 0;
        Map<String, int[]> byFile = new LinkedHashMap<>();
        for (Path file : files()) {
            String name = KNOWLEDGE.relativize(file).toString();
            if (which.length > 0 && !Arrays.asList(which).contains(name)) {
                continue;
            }
            String text = Files.readString(file);
            for (Figure figure : figures(name, text)) {
                String changed = text.substring(0, figure.from()) + figure.is() + text.substring(figure.to());
                String by = noticed(Map.of(name, changed), FIRST.getOrDefault(name, List.of()), as, false);
                all++;
                noticed += by.isEmpty() ? 0 : 1;
                int[] sums = byFile.computeIfAbsent(name, _ -> new int[2]);
                sums[0] += by.isEmpty() ? 0 : 1;
                sums[1]++;
                if (by.isEmpty()) {
                    System.out.printf(
                            "%s:%d %s -> %s is noticed by nothing%n", name, figure.line(), figure.was(), figure.is());
                }
            }
        }
        byFile.forEach((name, sums) -> System.out.printf("%s: %d of %d%n", name, sums[0], sums[1]));
        System.out.printf("%d of %d figures are noticed when they change by one step.%n", noticed, all);
    }

    private static List<Path> files() throws IOException {
        try (Stream<Path> walk = Files.walk(KNOWLEDGE)) {
            return walk.filter(p -> p.toString().endsWith(".yaml"))
                    .filter(p -> !NO_RULES.contains(p.getFileName().toString()))
                    .sorted()
                    .toList();
        }
    }

    private static List<Figure> figures(String file, String text) {
        List<Figure> all = new ArrayList<>();
        find(file, text, new Yaml(new SafeConstructor(new LoaderOptions())).compose(new StringReader(text)), all);
        return all;
    }

    private static void find(String file, String text, Node node, List<Figure> all) {
        switch (node) {
            case MappingNode map -> map.getValue().forEach(t -> find(file, text, t.getValueNode(), all));
            case SequenceNode list -> list.getValue().forEach(n -> find(file, text, n, all));
            case ScalarNode scalar -> {
                if (scalar.getTag().equals(Tag.INT) || scalar.getTag().equals(Tag.FLOAT)) {
                    int from = text.offsetByCodePoints(0, scalar.getStartMark().getIndex());
                    int to = text.offsetByCodePoints(0, scalar.getEndMark().getIndex());
                    String was = text.substring(from, to);
                    all.add(new Figure(file, scalar.getStartMark().getLine() + 1, from, to, was, step(was)));
                }
            }
            default -> {}
        }
    }

    /** One more of the last digit. */
    private static String step(String was) {
        int point = was.indexOf('.');
        return point < 0
                ? Long.toString(Long.parseLong(was) + 1)
                : new java.math.BigDecimal(was)
                        .add(java.math.BigDecimal.ONE.movePointLeft(was.length() - point - 1))
                        .toPlainString();
    }

    /** @return which rules say something else in a world with that text; empty where none do */
    private static String noticed(
            Map<String, String> changed, List<String> first, Map<String, String> as, boolean keep) {
        try (World world = new World(changed)) {
            Map<String, Supplier<String>> rules = world.rules();
            List<String> order = new ArrayList<>(first);
            rules.keySet().stream()
                    .filter(r -> first.isEmpty() || keep || r.equals("weighing"))
                    .filter(r -> !order.contains(r))
                    .forEach(order::add);
            for (String rule : order) {
                String said = Objects.requireNonNull(rules.get(rule), rule).get();
                if (keep) {
                    as.put(rule, said);
                } else if (!said.equals(as.get(rule))) {
                    return rule;
                }
            }
            return "";
        } catch (IOException broken) {
            throw new java.io.UncheckedIOException(broken);
        } catch (ReflectiveOperationException | LinkageError | RuntimeException refused) {
            // a file that is refused is noticed
            return "refused";
        }
    }

    /** Every class anew, over a knowledge in which some files have another text. */
    private static final class World extends URLClassLoader {
        private final Map<String, String> changed;

        World(Map<String, String> changed) throws MalformedURLException {
            super(urls(), ClassLoader.getPlatformClassLoader());
            this.changed = changed;
        }

        private static URL[] urls() throws MalformedURLException {
            List<URL> all = new ArrayList<>();
            for (String entry : System.getProperty("java.class.path").split(java.io.File.pathSeparator)) {
                all.add(Path.of(entry).toUri().toURL());
            }
            return all.toArray(URL[]::new);
        }

        @Override
        public java.io.InputStream getResourceAsStream(String name) {
            String text = name.startsWith("knowledge/") ? changed.get(name.substring("knowledge/".length())) : null;
            return text == null
                    ? super.getResourceAsStream(name)
                    : new java.io.ByteArrayInputStream(text.getBytes(java.nio.charset.StandardCharsets.UTF_8));
        }

        @SuppressWarnings("unchecked")
        Map<String, Supplier<String>> rules() throws ReflectiveOperationException {
            Class<?> seen = loadClass("outfell.regimen.RulesSeen");
            try {
                return (Map<String, Supplier<String>>) seen.getMethod("all").invoke(null);
            } catch (InvocationTargetException thrown) {
                throw new ReflectiveOperationException(thrown);
            }
        }
    }
}

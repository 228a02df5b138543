package outfell.product;

import java.time.format.DateTimeFormatter;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/**
 * What a pack directs, read from its text where it says so, put right by hand where somebody knows better. What neither says is not known.
 *
 * @param told what is known, each with the words of the pack or who said it
 * @param silent of what somebody has said that the pack says nothing
 */
public record Directions(Map<Direction, Told> told, Set<Direction> silent) {
    /**
     * One direction.
     *
     * @param value one of its values, or a number: minutes, days a week, months, ml
     * @param words as in "leave on for 10 minutes"
     */
    public record Told(String value, String words, Because because) {}

    /**
     * What can be directed, from directions.yaml.
     *
     * @param question as it is asked
     * @param kinds the kinds of step for which it matters
     * @param asks the kinds of which it is to be asked at the chair where nobody knows: there it changes what is done
     * @param twoPart whether only of what goes on in two parts
     * @param values what may be answered, each with its words; none where a number is
     * @param least of a number
     */
    public record Asked(
            Direction direction,
            String question,
            List<StepKind> kinds,
            List<StepKind> asks,
            boolean twoPart,
            List<Value> values,
            String unit,
            double least,
            double most) {
        private boolean isAskedOf(StepKind kind, String name) {
            return kinds.contains(kind) && (!twoPart || Product.twoPart(kind, name));
        }

        String words(String value) {
            return values.stream()
                    .filter(v -> v.value().equals(value))
                    .findFirst()
                    .map(Value::words)
                    .orElseGet(() -> unit.formatted(value, value.equals("1") ? "" : "s"));
        }

        void check(String to) {
            boolean fine = values.isEmpty()
                    ? to.matches("\\d{1,3}(\\.\\d{1,2})?")
                            && Double.parseDouble(to) >= least
                            && Double.parseDouble(to) <= most
                            && (!direction.whole() || to.matches("\\d+"))
                    : values.stream().anyMatch(v -> v.value().equals(to));
            if (!fine) {
                throw new IllegalArgumentException(
                        values.isEmpty()
                                ? "\"%s\" is no answer; it is a number from %s to %s."
                                        .formatted(to, number(least), number(most))
                                : "\"%s\" is no answer; it is one of %s."
                                        .formatted(
                                                to,
                                                values.stream()
                                                        .map(Value::words)
                                                        .collect(Collectors.joining(", "))));
            }
        }
    }

    /** One answer. */
    public record Value(String value, String words) {}

    /** Words of packs that say one thing, or a number. */
    private record Phrase(Direction of, String says, boolean most, Pattern words) {
        static Phrase read(Row row) {
            boolean most = row.text("takes", "least").equals("most");
            String all = row.texts("words").stream().map(Phrase::pattern).collect(Collectors.joining("|"));
            String unless = row.texts("unless").stream().map(Phrase::pattern).collect(Collectors.joining("|"));
            return new Phrase(
                    row.one("of", Direction.class),
                    row.text("says"),
                    most,
                    Pattern.compile("(?iu)(?<![\\p{L}\\d])(?:" + all + ")(?![\\p{L}])"
                            + (unless.isEmpty() ? "" : "(?!\\s*(?:" + unless + "))")));
        }

        /** A star stands for what may follow in the word, {n} for a number or a span of two. */
        private static String pattern(String words) {
            return Stream.of(words.split(" "))
                    .map(w -> w.equals("{n}")
                            ? "(" + NUMBERS + ")"
                            : w.endsWith("*")
                                    ? Pattern.quote(w.substring(0, w.length() - 1)) + "\\p{L}*"
                                    : Pattern.quote(w))
                    .collect(Collectors.joining("[\\s-]*"));
        }

        Optional<Told> in(String text) {
            Matcher m = words.matcher(text);
            if (!m.find()) {
                return Optional.empty();
            }
            String value = says.equals("n") ? number(m) : says;
            return Optional.of(new Told(
                    value, asked(of).words(value), new Because(quoted(text, m.start()), Evidence.CONVENTION, "label")));
        }

        private String number(Matcher m) {
            // a number that belongs to the words, as in "part 2", is none of its
            String said = IntStream.rangeClosed(1, m.groupCount())
                    .mapToObj(m::group)
                    .filter(Objects::nonNull)
                    .findFirst()
                    .orElse(m.group());
            double[] all = NUMBER.matcher(said)
                    .results()
                    .mapToDouble(r -> Double.parseDouble(r.group().replace(',', '.')))
                    .toArray();
            double taken = most ? all[all.length - 1] : all[0];
            return Directions.number(taken);
        }
    }

    /** As in "2 December 2026". */
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.UK);

    private static final String NUMBERS = "\\d{1,3}(?:[.,]\\d{1,2})?(?:\\s*(?:-|–|to|or|bis|oder|à|ou)\\s*\\d{1,2})?";
    private static final Pattern NUMBER = Pattern.compile("\\d{1,3}(?:[.,]\\d{1,2})?");
    private static final Pattern SENTENCE = Pattern.compile("[.!?]\\s+|[\\n;•]");
    /** Longest quote of the pack in a reason, letters. */
    private static final int QUOTE = 90;

    private static final Row FILE = KnowledgeFile.yaml("directions.yaml");
    private static final Map<Direction, Asked> ASKED = asked();
    private static final List<Phrase> PHRASES =
            FILE.rows("phrases").stream().map(Phrase::read).toList();

    public Directions {
        told = Map.copyOf(told);
        silent = Set.copyOf(silent);
    }

    /** All that can be directed. */
    public static List<Asked> all() {
        return Stream.of(Direction.values()).map(Directions::asked).toList();
    }

    /** All that can be directed of a kind of step with such a name. */
    public static List<Asked> of(StepKind kind, String name) {
        return all().stream().filter(a -> a.isAskedOf(kind, name)).toList();
    }

    static Asked asked(Direction direction) {
        return Objects.requireNonNull(ASKED.get(direction));
    }

    /** @throws IllegalArgumentException for what cannot be directed */
    static void check(String of, String to) {
        Asked asked = asked(direction(of));
        if (!to.isEmpty()) {
            asked.check(to);
        }
    }

    private static Direction direction(String of) {
        return Stream.of(Direction.values())
                .filter(d -> d.name().equals(of))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No pack directs \"%s\".".formatted(of)));
    }

    static Directions read(Product.Facts facts, StepKind kind) {
        Map<Direction, Told> told = new EnumMap<>(Direction.class);
        Set<Direction> silent = EnumSet.noneOf(Direction.class);
        String text = facts.name() + "\n" + facts.label();
        for (Asked asked : of(kind, facts.name())) {
            Optional<Optional<Told>> said = byHand(facts, asked);
            said.orElseGet(() -> byPack(text, asked.direction())).ifPresent(t -> told.put(asked.direction(), t));
            if (said.isPresent() && said.get().isEmpty()) {
                silent.add(asked.direction());
            }
        }
        return new Directions(told, silent);
    }

    private static Optional<Told> byPack(String text, Direction direction) {
        return PHRASES.stream()
                .filter(p -> p.of() == direction)
                .flatMap(p -> p.in(text).stream())
                .findFirst()
                .filter(t -> allowed(asked(direction), t.value()));
    }

    /** A number that nothing can mean is none. */
    private static boolean allowed(Asked asked, String value) {
        try {
            asked.check(value);
            return true;
        } catch (IllegalArgumentException notMeant) {
            return false;
        }
    }

    /** What somebody has put right; that the pack says nothing of it, too. */
    private static Optional<Optional<Told>> byHand(Product.Facts facts, Asked asked) {
        return facts.corrections().stream()
                .filter(c -> c.about() == Correction.About.DIRECTION
                        && c.of().equals(asked.direction().name()))
                .findFirst()
                .map(c -> c.to().isEmpty()
                        ? Optional.empty()
                        : Optional.of(new Told(
                                c.to(),
                                asked.words(c.to()),
                                Because.house("Said by %s on %s.".formatted(c.who(), DAY.format(c.on()))))));
    }

    private static String quoted(String text, int at) {
        int from = 0;
        int to = text.length();
        for (Matcher m = SENTENCE.matcher(text); m.find(); ) {
            if (m.end() <= at) {
                from = m.end();
            } else if (m.start() > at) {
                to = m.start();
                break;
            }
        }
        String said = text.substring(from, to).strip().replaceAll("[.!?]+$", "");
        return "The pack says: \"%s\".".formatted(said.length() > QUOTE ? said.substring(0, QUOTE) + " …" : said);
    }

    /** Whether it is to be asked at the chair: it changes what is done, and nobody has said it, nor that the pack is silent. */
    public static boolean toAsk(Product p, Asked asked) {
        return asked.asks().contains(p.kind())
                && !p.directions().told().containsKey(asked.direction())
                && !p.directions().silent().contains(asked.direction())
                && !p.prescription()
                && !p.madeAtHome();
    }

    private Optional<String> value(Direction direction) {
        return Optional.ofNullable(told.get(direction)).map(Told::value);
    }

    /** Whether it goes on dry skin, where somebody says so; false for damp skin. */
    public Optional<Boolean> dry() {
        return value(Direction.SKIN).map("dry"::equals);
    }

    public Optional<Boolean> roundTheEyes() {
        return value(Direction.EYES).map("yes"::equals);
    }

    /** Whether it is wiped off, which leaves a film; false where it is rinsed or left on. */
    public boolean wiped() {
        return value(Direction.LEAVES).filter("wipe"::equals).isPresent();
    }

    public boolean rinsed() {
        return value(Direction.LEAVES).filter("rinse"::equals).isPresent();
    }

    /** Seconds that it stays before the next thing is done. */
    public OptionalInt contact() {
        return whole(Direction.MINUTES).isPresent()
                ? OptionalInt.of(60 * whole(Direction.MINUTES).getAsInt())
                : OptionalInt.empty();
    }

    /** Days a week at most. */
    public OptionalInt times() {
        return whole(Direction.TIMES);
    }

    /** Months that it keeps once opened. */
    public OptionalInt monthsOpen() {
        return whole(Direction.MONTHS);
    }

    /** Millilitres of a stroke of its pump or of its dropper. */
    public OptionalDouble dose() {
        return number(Direction.DOSE);
    }

    /** Seconds that the second part of two stays. */
    public OptionalInt secondContact() {
        OptionalInt minutes = whole(Direction.SECOND_MINUTES);
        return minutes.isPresent() ? OptionalInt.of(60 * minutes.getAsInt()) : OptionalInt.empty();
    }

    /** What is in the bottle of the second part, in the unit of the first. */
    public OptionalDouble secondSize() {
        return number(Direction.SECOND_SIZE);
    }

    /** What that bottle costs by itself; absent where both are sold as one. */
    public OptionalDouble secondPrice() {
        return number(Direction.SECOND_PRICE);
    }

    private OptionalDouble number(Direction direction) {
        return value(direction).stream().mapToDouble(Double::parseDouble).findFirst();
    }

    private OptionalInt whole(Direction direction) {
        return value(direction).stream().mapToInt(Integer::parseInt).findFirst();
    }

    /** What is directed, in the order of {@link Direction}, each in a sentence. */
    public List<Because> because() {
        return Stream.of(Direction.values())
                .flatMap(d -> Optional.ofNullable(told.get(d)).stream())
                .map(t -> t.because()
                        .withSentence("%s. %s"
                                .formatted(capital(t.words()), t.because().sentence())))
                .toList();
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    private static String number(double x) {
        return x == Math.rint(x) ? "%.0f".formatted(x) : String.valueOf(x);
    }

    private static Map<Direction, Asked> asked() {
        Map<Direction, Asked> map = new EnumMap<>(Direction.class);
        Row.unique(FILE.rows("directions"), Directions::readAsked, Asked::direction)
                .forEach(a -> map.put(a.direction(), a));
        for (Direction direction : Direction.values()) {
            if (!map.containsKey(direction)) {
                throw FILE.fault("%s is missing".formatted(direction));
            }
        }
        return map;
    }

    private static Asked readAsked(Row row) {
        List<StepKind> not = row.several("not", StepKind.class);
        List<StepKind> only = row.several("kinds", StepKind.class);
        List<Value> values = row.texts("values").stream()
                .map(v -> new Value(v.substring(0, v.indexOf(':')), v.substring(v.indexOf(':') + 2)))
                .toList();
        return new Asked(
                row.one("id", Direction.class),
                row.text("question"),
                only.isEmpty()
                        ? Stream.of(StepKind.values())
                                .filter(k -> !not.contains(k))
                                .toList()
                        : only,
                row.several("asks", StepKind.class),
                row.flag("two-part"),
                values,
                values.isEmpty() ? row.text("unit") : "",
                values.isEmpty() ? row.number("least", 0, 500) : 0,
                values.isEmpty() ? row.number("most", 0, 500) : 0);
    }
}

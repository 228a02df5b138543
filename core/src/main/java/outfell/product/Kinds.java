package outfell.product;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Lexicon;
import outfell.knowledge.Row;

/** What a kind of step is called and how a label's words point to it, from kinds.yaml. */
public final class Kinds {
    /**
     * @param label as shown
     * @param texture grade when nothing else tells, 1 to 8
     * @param left share of its actives' work that is left after it comes off, over 0 to 1; 1 for what stays minutes or for good
     * @param solids of a watery product, the most that is not water; a mass fraction over 0 to 1
     * @param purpose what such a step is for, when no concern names it
     * @param does the same for the client, in six words at most; empty where its composition tells
     * @param because evidence and source of the row
     */
    public record KindOfStep(
            StepKind kind,
            String label,
            double texture,
            double left,
            double solids,
            String purpose,
            String does,
            Because because) {}

    /** A word on the pack that points to a kind or to a texture grade. */
    private record Cue<T>(String word, T to) {}

    private static final Row FILE = KnowledgeFile.yaml("kinds.yaml");
    private static final List<KindOfStep> ALL = Row.unique(FILE.rows("kinds"), Kinds::read, KindOfStep::kind);
    private static final Map<StepKind, KindOfStep> BY_KIND = byKind();
    private static final List<Cue<StepKind>> KIND_WORDS = FILE.rows("kind-words").stream()
            .flatMap(r -> {
                StepKind kind = r.one("kind", StepKind.class);
                return r.texts("words").stream().map(w -> new Cue<>(w, kind));
            })
            .toList();
    private static final List<Cue<Double>> TEXTURE_WORDS = FILE.rows("texture-words").stream()
            .flatMap(r -> {
                double grade = r.number("grade", 1, 8);
                return r.texts("words").stream().map(w -> new Cue<>(w, grade));
            })
            .toList();

    /** Texture from which a layer stands among the creams. */
    public static final double CREAMS_FROM = FILE.number("creams-from", 1, 8);
    /** Percent of UV filters below which nothing is a sunscreen. */
    static final double LEAST_FILTER = FILE.number("least-filter", 0, 100);

    private static final List<String> STAYS_ON = FILE.texts("stays-on");
    private static final List<String> RINSED = FILE.texts("rinsed-words");
    private static final Set<String> OIL_RINSERS = Set.copyOf(FILE.texts("oil-rinsers"));
    private static final List<String> SUN = FILE.texts("sun-words");
    private static final Set<String> SOLUBILISERS = Set.copyOf(FILE.texts("solubilisers"));

    private static final Set<String> SPOTS = Set.copyOf(FILE.texts("spot-words"));
    private static final Set<String> MARKS = Set.copyOf(FILE.texts("not-spots-after"));

    private static final Row WEIGHS = FILE.row("weighs");
    private static final Map<Sign, Integer> WEIGHTS = weights();
    private static final Set<String> BUFFERS = Set.copyOf(FILE.texts("buffers"));
    static final int SURFACTANT_FIRST = FILE.whole("surfactant-first-within", 1, 20);

    /** Whether a name says that spots are meant, and not marks. */
    static boolean saysSpots(String name) {
        String[] words = name.toLowerCase(Locale.ROOT).split("[^\\p{L}]+");
        for (int i = 0; i < words.length; i++) {
            if (SPOTS.contains(words[i]) && (i == 0 || !MARKS.contains(words[i - 1]))) {
                return true;
            }
        }
        return false;
    }

    /** A sign by which a pack's kind is read. */
    enum Sign {
        /** Another place than the face's skin, or colour on it. */
        ELSEWHERE,
        FILTERS,
        COMES_OFF,
        NAME,
        EYE,
        OTHER_WORD,
        RINSES_OIL,
        SURFACTANT_STRONG,
        SURFACTANT_FIRST,
        SURFACTANT,
        SOLUBILISER,
        RATIONED,
        BUFFER,
        SOLIDS,
        MAKE_UP,
        /** Not a sign: the difference up to which the first is no surer than the second. */
        CLOSE
    }

    private Kinds() {}

    /** Several of a kind: "washes", "serums". */
    public static String many(StepKind kind) {
        String label = of(kind).label();
        return label.endsWith("sh") ? label + "es" : label + "s";
    }

    static int weighs(Sign sign) {
        return Objects.requireNonNull(WEIGHTS.get(sign));
    }

    /** Whether a line is what sets the pH of an acid, or its own salt. */
    static boolean buffers(LabelLine line) {
        return line.named(BUFFERS);
    }

    private static Map<Sign, Integer> weights() {
        Map<Sign, Integer> map = new EnumMap<>(Sign.class);
        for (Sign sign : Sign.values()) {
            map.put(sign, WEIGHS.whole(sign.name().toLowerCase(Locale.ROOT).replace('_', '-'), 0, 100));
        }
        WEIGHS.done();
        return map;
    }

    /** Whether a name says of itself that the thing stays on. */
    static boolean saysThatItStaysOn(String name) {
        return STAYS_ON.stream().anyMatch(w -> Lexicon.standsIn(w, name));
    }

    /** Whether a name says of itself that the thing is rinsed off. */
    static boolean saysThatItIsRinsed(String name) {
        return RINSED.stream().anyMatch(w -> Lexicon.standsIn(w, name));
    }

    /** Whether a line is an emulsifier by which an oil rinses off. */
    static boolean rinsesOil(LabelLine line) {
        return line.named(OIL_RINSERS);
    }

    /** Whether a name speaks of the sun, and not only of a factor. */
    static boolean saysSun(String name) {
        return SUN.stream().anyMatch(w -> Lexicon.standsIn(w, name));
    }

    /** Whether a line is a surfactant that mostly dissolves perfume or oil. */
    static boolean dissolves(LabelLine line) {
        return line.named(SOLUBILISERS);
    }

    public static List<KindOfStep> all() {
        return ALL;
    }

    public static KindOfStep of(StepKind kind) {
        return Objects.requireNonNull(BY_KIND.get(kind));
    }

    /** The kind as one of many: "a wash", "an essence". */
    public static String one(StepKind kind) {
        String label = of(kind).label();
        return ("aeiou".indexOf(label.charAt(0)) >= 0 ? "an " : "a ") + label;
    }

    /** Every kind that a word of the name speaks of, in file order. */
    static List<StepKind> byName(String name) {
        return all(KIND_WORDS, name)
                // "dark spot treatment" is for marks
                .map(k -> k == StepKind.SPOT && !saysSpots(name) ? StepKind.TREATMENT : k)
                .distinct()
                .toList();
    }

    static Optional<Double> textureByName(String name) {
        return all(TEXTURE_WORDS, name).findFirst();
    }

    /** What the cues tell whose words stand whole in the name, in file order. */
    private static <T> Stream<T> all(List<Cue<T>> cues, String name) {
        String padded = " " + name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}-]+", " ") + " ";
        return cues.stream().filter(c -> padded.contains(" " + c.word() + " ")).map(Cue::to);
    }

    private static Map<StepKind, KindOfStep> byKind() {
        Map<StepKind, KindOfStep> map = new EnumMap<>(StepKind.class);
        ALL.forEach(k -> map.put(k.kind(), k));
        for (StepKind kind : StepKind.values()) {
            if (!map.containsKey(kind)) {
                throw new IllegalStateException("kinds.yaml has no row for " + kind);
            }
        }
        return map;
    }

    private static KindOfStep read(Row row) {
        return new KindOfStep(
                row.one("id", StepKind.class),
                row.text("label"),
                row.number("texture", 1, 8),
                row.has("left") ? row.number("left", 0.01, 1) : 1,
                row.has("solids") ? row.number("solids", 0.01, 1) : 1,
                row.text("purpose"),
                row.text("does", ""),
                row.because(row.text("label")));
    }
}

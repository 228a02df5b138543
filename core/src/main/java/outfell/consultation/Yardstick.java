package outfell.consultation;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.season.Lever;

/**
 * How a choice is weighed, in points. Each component is a setting of yardstick.yaml, explained there.
 *
 * @param own what the practice has set, by the id of its setting
 */
public record Yardstick(
        double evidenceA,
        double evidenceB,
        double evidenceC,
        double evidenceD,
        double belowUseful,
        double strengthUnknown,
        double secondOfAnotherKind,
        double secondOfSameKind,
        double textureOff,
        double sunscreenTextureOff,
        double owned,
        double duplicate,
        double standing,
        double methodWants,
        double wantedStep,
        double optionalStep,
        double harshWash,
        double fragranceSensitive,
        double disliked,
        double clogging,
        double cloggingElsewhere,
        double harshLeaveOn,
        double mineralSensitive,
        double creamyWash,
        double carrier,
        double hairsBreadth,
        double lips,
        double vitaminCByDay,
        double leastHelp,
        double alike,
        double servesWell,
        double servesSome,
        int firstConcerns,
        int mostConcerns,
        int newcomers,
        Map<String, Double> own) {
    /**
     * One setting in words.
     *
     * @param group heading that it stands under
     * @param shipped value when the practice has not changed it
     * @param least that it may be
     * @param most that it may be
     * @param onOff whether it is a switch, 1 for on
     */
    public record Setting(
            String id,
            String group,
            String words,
            double shipped,
            double least,
            double most,
            boolean onOff,
            Because because) {}

    private static final List<Setting> SETTINGS = settings(KnowledgeFile.yaml("yardstick.yaml"));

    public static final Yardstick SHIPPED = with(Map.of());

    public double of(Evidence evidence) {
        return switch (evidence) {
            case CONTROLLED -> evidenceA;
            case SMALL -> evidenceB;
            case MECHANISM, DEBATED -> evidenceC;
            case CONVENTION, PROPOSED -> evidenceD;
        };
    }

    /** Every setting, in the order in which they are shown. */
    public static List<Setting> settings() {
        return SETTINGS;
    }

    /**
     * The shipped yardstick with a practice's own values.
     *
     * @throws IllegalArgumentException when there is no such setting, or a value lies outside its range
     */
    public static Yardstick with(Map<String, Double> own) {
        own.forEach(Yardstick::check);
        Values v = id -> own.getOrDefault(id, setting(id).shipped());
        return new Yardstick(
                v.of("evidence-a"),
                v.of("evidence-b"),
                v.of("evidence-c"),
                v.of("evidence-d"),
                v.of("below-useful"),
                v.of("strength-unknown"),
                v.of("second-of-another-kind"),
                v.of("second-of-same-kind"),
                v.of("texture-off"),
                v.of("sunscreen-texture-off"),
                v.of("owned"),
                v.of("duplicate"),
                v.of("standing"),
                v.of("method-wants"),
                v.of("wanted-step"),
                v.of("optional-step"),
                v.of("harsh-wash"),
                v.of("fragrance-sensitive"),
                v.of("disliked"),
                v.of("clogging"),
                v.of("clogging-elsewhere"),
                v.of("harsh-leave-on"),
                v.of("mineral-sensitive"),
                v.of("creamy-wash"),
                v.of("carrier"),
                v.of("hairs-breadth"),
                v.of("lips"),
                v.of("vitamin-c-by-day"),
                v.of("least-help"),
                v.of("alike"),
                v.of("serves-well"),
                v.of("serves-some"),
                (int) v.of("first-concerns"),
                (int) v.of("most-concerns"),
                (int) v.of("newcomers"),
                own.entrySet().stream()
                        .filter(e -> e.getValue() != setting(e.getKey()).shipped())
                        .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, Map.Entry::getValue)));
    }

    /** What the practice does not let the air move. */
    public Set<Lever> still() {
        return own.isEmpty()
                ? Set.of()
                : SWITCHES.entrySet().stream()
                        .filter(s -> own.getOrDefault(s.getValue(), 1.0) == 0)
                        .map(Map.Entry::getKey)
                        .collect(Collectors.toUnmodifiableSet());
    }

    /** The setting of each lever; asked for every day of a year. */
    private static final Map<Lever, String> SWITCHES =
            Lever.switched().stream().collect(Collectors.toUnmodifiableMap(l -> l, Yardstick::switchOf));

    private static String switchOf(Lever lever) {
        return "air-" + lever.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** What a setting stands at. */
    double value(Setting setting) {
        return own.getOrDefault(setting.id(), setting.shipped());
    }

    /** The same with another weight for what stands in a plan already. */
    public Yardstick withStanding(double points) {
        return with(setting("standing"), points);
    }

    /** This yardstick with one setting at another value. */
    Yardstick with(Setting setting, double value) {
        Map<String, Double> all = new HashMap<>(own);
        if (value == setting.shipped()) {
            all.remove(setting.id());
        } else {
            all.put(setting.id(), value);
        }
        return with(all);
    }

    private interface Values {
        public double of(String id);
    }

    private static void check(String id, double value) {
        Setting setting = find(id).orElseThrow(
                        () -> new IllegalArgumentException("There is no setting %s in the yardstick.".formatted(id)));
        if (!(value >= setting.least() && value <= setting.most())) {
            throw new IllegalArgumentException("%s: %s lies outside %s to %s."
                    .formatted(setting.words(), plain(value), plain(setting.least()), plain(setting.most())));
        }
    }

    static String plain(double value) {
        return value == Math.rint(value) ? "%.0f".formatted(value) : String.valueOf(value);
    }

    private static Optional<Setting> find(String id) {
        return SETTINGS.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    private static Setting setting(String id) {
        return find(id).orElseThrow(() -> new IllegalStateException("yardstick.yaml has no setting " + id));
    }

    /** The weights, and a switch for each thing that the air moves. */
    private static List<Setting> settings(Row file) {
        Row switches = file.row("air");
        return Stream.concat(
                        Row.unique(file.rows("settings"), Yardstick::read, Setting::id).stream(),
                        Lever.switched().stream().map(l -> onOff(switches, l)))
                .toList();
    }

    private static Setting onOff(Row row, Lever lever) {
        String words = row.text("words").formatted(lever.words());
        return new Setting(switchOf(lever), row.text("group"), words, 1, 0, 1, true, row.because(words));
    }

    private static Setting read(Row row) {
        double least = row.number("least", 0, 100);
        double most = row.number("most", least, 100);
        return new Setting(
                row.text("id"),
                row.text("group"),
                row.text("words"),
                row.number("value", least, most),
                least,
                most,
                false,
                row.because(row.text("words")));
    }
}

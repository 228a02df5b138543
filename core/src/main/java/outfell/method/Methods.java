package outfell.method;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import outfell.knowledge.Because;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;

/** The presets that ship, each a file in methods/. */
public final class Methods {
    private static final List<Method> ALL = Stream.of("essentials", "classic", "layered", "re-tone", "barrier-first")
            .map(Methods::load)
            .toList();

    private Methods() {}

    public static List<Method> all() {
        return ALL;
    }

    public static Optional<Method> find(String id) {
        return ALL.stream().filter(m -> m.id().value().equals(id)).findFirst();
    }

    private static Method load(String id) {
        return read(KnowledgeFile.yaml("methods/" + id + ".yaml"));
    }

    /** @throws outfell.knowledge.KnowledgeFault when a setting is missing, unknown or speaks against another */
    static Method read(Row row) {
        Map<String, String> settings = new LinkedHashMap<>();
        Schools.questions().forEach(q -> settings.put(q.id(), row.text(q.id(), q.otherwise())));
        MethodId id = new MethodId(row.text("id"));
        String name = row.text("name");
        String note = row.text("note");
        Because because = row.because(row.text("because"));
        row.done();
        try {
            return of(id, name, note, settings, because);
        } catch (IllegalArgumentException refused) {
            throw row.fault(Optional.ofNullable(refused.getMessage()).orElse("a setting is wrong"));
        }
    }

    /**
     * A method from its answers.
     *
     * @param settings an answer to every question, by its id
     * @param because why a therapist would choose it
     * @throws IllegalArgumentException with a sentence when an answer is missing, unknown or speaks against another
     */
    public static Method of(MethodId id, String name, String note, Map<String, String> settings, Because because) {
        Method method = answered(id, name, note, settings, because);
        contradiction(method).ifPresent(sentence -> {
            throw new IllegalArgumentException(sentence);
        });
        return method;
    }

    /** The same method with one question answered otherwise; whether that speaks against another is {@link #contradiction}'s to say. */
    public static Method answering(Method method, String question, String value) {
        Map<String, String> settings = new LinkedHashMap<>(method.settings());
        settings.put(question, value);
        return answered(method.id(), method.name(), method.note(), settings, method.because());
    }

    private static Method answered(
            MethodId id, String name, String note, Map<String, String> settings, Because because) {
        Map<String, String> all = new LinkedHashMap<>();
        Schools.questions().forEach(q -> all.put(q.id(), q.checked(settings.get(q.id()))));
        return new Method(
                id,
                name,
                note,
                one(all, "second-cleanse", Method.SecondCleanse.class),
                one(all, "cleanse-order", Method.CleanseOrder.class),
                one(all, "morning-wash", Method.MorningWash.class),
                whole(all, "toner-layers"),
                yes(all, "essence"),
                one(all, "essence-place", Method.EssencePlace.class),
                one(all, "acid-place", Method.AcidPlace.class),
                whole(all, "exfoliations-a-week"),
                one(all, "retinoid-and-acid", Method.RetinoidAndAcid.class),
                whole(all, "serums-morning"),
                whole(all, "serums-evening"),
                whole(all, "strong-actives"),
                yes(all, "masks"),
                yes(all, "mask-after-scrub"),
                one(all, "night-rhythm", Method.NightRhythm.class),
                one(all, "retinoid-place", Method.RetinoidPlace.class),
                one(all, "eye-place", Method.EyePlace.class),
                one(all, "oil-place", Method.OilPlace.class),
                one(all, "lip-place", Method.LipPlace.class),
                one(all, "between-layers", Method.BetweenLayers.class),
                one(all, "waits", Method.Waits.class),
                yes(all, "vitamin-c-apart-from-niacinamide"),
                one(all, "sunscreen-and-cream", Method.SunscreenAndCream.class),
                one(all, "cloth", Method.Cloth.class),
                one(all, "residue-check", Method.ResidueCheck.class),
                one(all, "hold", Method.Hold.class),
                whole(all, "most-steps"),
                Places.of(all),
                all,
                because);
    }

    private static <E extends Enum<E>> E one(Map<String, String> settings, String id, Class<E> kind) {
        return Enum.valueOf(kind, text(settings, id).toUpperCase(Locale.ROOT));
    }

    private static int whole(Map<String, String> settings, String id) {
        return Integer.parseInt(text(settings, id));
    }

    private static boolean yes(Map<String, String> settings, String id) {
        return text(settings, id).equals("yes");
    }

    private static String text(Map<String, String> settings, String id) {
        return Objects.requireNonNull(settings.get(id), () -> "method-questions.yaml has no question " + id);
    }

    /** What in a method speaks against itself, in a sentence; nothing when it can be followed. */
    public static Optional<String> contradiction(Method method) {
        boolean asToner = method.essencePlace() == Method.EssencePlace.AS_TONER;
        if (asToner && !method.essence()) {
            return Optional.of("An essence in the place of the toner, but no essence.");
        }
        if (asToner && method.tonerLayers() > 0) {
            return Optional.of("An essence in the place of the toner, and a toner: one of them is skipped.");
        }
        if (method.tonerLayers() == 0 && method.essence() && !asToner) {
            return Optional.of("An essence without a toner: the essence is a toner's last layer.");
        }
        if (method.acidPlace() == Method.AcidPlace.BETWEEN_TONERS && method.tonerLayers() < 2) {
            return Optional.of("An acid between two layers of toner needs two of them; there are %d."
                    .formatted(method.tonerLayers()));
        }
        if (method.eyePlace() == Method.EyePlace.IN_A_WAIT && method.waits() == Method.Waits.NONE) {
            return Optional.of("Eyes inside a wait, but there are no waits.");
        }
        if (method.lipPlace() == Method.LipPlace.IN_A_WAIT && method.waits() == Method.Waits.NONE) {
            return Optional.of("Lips inside a wait, but there are no waits.");
        }
        if (method.sunscreenAndCream() == Method.SunscreenAndCream.MIXED_IN_PALM
                && method.betweenLayers() == Method.BetweenLayers.DRY
                && method.waits() == Method.Waits.FULL) {
            return Optional.of(
                    "Full waits on dry skin before the sunscreen, but the sunscreen is mixed into the cream: nothing is left to wait for.");
        }
        int needed = 2
                + (method.secondCleanse() == Method.SecondCleanse.ONCE ? 0 : 1)
                + (method.serumsEvening() + method.strongActives() > 0 ? 1 : 0);
        if (method.mostSteps() < needed) {
            return Optional.of("%d steps do not hold its cleansing, its one active and a moisturiser: that is %d."
                    .formatted(method.mostSteps(), needed));
        }
        return Optional.empty();
    }
}

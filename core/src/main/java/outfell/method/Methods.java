package outfell.method;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
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
        return ALL.stream().filter(m -> m.id().equals(id)).findFirst();
    }

    private static Method load(String id) {
        return read(KnowledgeFile.yaml("methods/" + id + ".yaml"));
    }

    /** @throws outfell.knowledge.KnowledgeFault when a setting is missing, unknown or out of range */
    static Method read(Row row) {
        Method method = new Method(
                row.text("id"),
                row.text("name"),
                row.text("note"),
                row.one("second-cleanse", Method.SecondCleanse.class),
                row.one("cleanse-order", Method.CleanseOrder.class),
                row.one("morning-wash", Method.MorningWash.class),
                row.whole("toner-layers", 0, 7),
                row.flag("essence"),
                row.one("acid-place", Method.AcidPlace.class),
                row.whole("exfoliations-a-week", 1, 3),
                row.one("retinoid-and-acid", Method.RetinoidAndAcid.class),
                row.whole("serums-morning", 0, 3),
                row.whole("serums-evening", 0, 3),
                row.whole("strong-actives", 0, 3),
                row.flag("masks"),
                row.one("eye-place", Method.EyePlace.class),
                row.one("oil-place", Method.OilPlace.class),
                row.one("between-layers", Method.BetweenLayers.class),
                row.one("waits", Method.Waits.class),
                row.flag("vitamin-c-apart-from-niacinamide"),
                row.whole("most-steps", 3, 12),
                row.because(row.text("because")));
        row.done();
        contradiction(method).ifPresent(sentence -> {
            throw row.fault(sentence);
        });
        return method;
    }

    /** What in a method speaks against itself, in a sentence; nothing when it can be followed. */
    public static Optional<String> contradiction(Method method) {
        if (method.tonerLayers() == 0 && method.essence()) {
            return Optional.of("an essence without a toner: the essence is a toner's last layer");
        }
        if (method.acidPlace() == Method.AcidPlace.BETWEEN_TONERS && method.tonerLayers() < 2) {
            return Optional.of("an acid between two layers of toner needs two of them; there are %d"
                    .formatted(method.tonerLayers()));
        }
        int needed = 2
                + (method.secondCleanse() == Method.SecondCleanse.ONCE ? 0 : 1)
                + (method.serumsEvening() + method.strongActives() > 0 ? 1 : 0);
        if (method.mostSteps() < needed) {
            return Optional.of("%d steps do not hold its cleansing, its one active and a moisturiser: that is %d"
                    .formatted(method.mostSteps(), needed));
        }
        return Optional.empty();
    }
}

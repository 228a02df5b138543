package outfell.recipe;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Collectors;
import outfell.knowledge.KnowledgeFile;
import outfell.knowledge.Row;
import outfell.product.Ingredients;

/** What a kitchen and an oil cupboard hold, and how it is measured, from pantry.yaml. */
public final class Pantry {
    /** What a thing is like. */
    public enum Form {
        OIL,
        ESSENTIAL_OIL,
        WATER,
        SYRUP,
        BUTTER,
        POWDER
    }

    /**
     * A thing to mix with.
     *
     * @param inci as the ingredient table has it
     * @param density g/ml, of powders as they lie in a spoon
     * @param wet whether germs grow in it
     * @param drops whether it can be counted in drops
     * @param keeps days in a mixture without preservative
     */
    public record PantryItem(
            String id, String name, String inci, Form form, double density, boolean wet, boolean drops, int keeps) {}

    /** @param label plural, as shown after a number */
    public record MeasureWords(Measure measure, String label) {}

    private record Spoon(Measure measure, String label, double ml, double oilMl, double grams) {}

    /** @param density g/ml; absent where each thing of the form has its own */
    private record FormRow(Form form, OptionalDouble density, boolean wet, boolean drops) {}

    private static final Row FILE = KnowledgeFile.yaml("pantry.yaml");
    private static final Map<Measure, Spoon> SPOONS = table(
            Row.unique(
                    FILE.rows("measures"),
                    r -> new Spoon(
                            r.one("measure", Measure.class),
                            r.text("label"),
                            r.number("ml", 0.0),
                            r.number("oil-ml", 0.0),
                            r.number("grams", 0.0)),
                    Spoon::measure),
            Spoon::measure,
            Measure.class);
    private static final Map<Form, FormRow> FORMS = table(
            Row.unique(
                    FILE.rows("forms"),
                    r -> new FormRow(r.one("form", Form.class), density(r), r.flag("wet"), r.flag("drops")),
                    FormRow::form),
            FormRow::form,
            Form.class);
    private static final List<PantryItem> ITEMS = Row.unique(FILE.rows("parts"), Pantry::read, PantryItem::id);
    /** Days that a wet mixture keeps with a preservative in it. */
    static final int WITH_PRESERVATIVE = FILE.whole("with-preservative", 1, 1000);

    private Pantry() {}

    public static List<PantryItem> items() {
        return ITEMS;
    }

    public static List<MeasureWords> measures() {
        return SPOONS.values().stream()
                .map(s -> new MeasureWords(s.measure(), s.label()))
                .toList();
    }

    static Optional<PantryItem> find(String id) {
        return ITEMS.stream().filter(i -> i.id().equals(id)).findFirst();
    }

    /**
     * @param density g/ml
     * @param oily whether its drops are those of an oil
     */
    static double grams(double amount, Measure measure, double density, boolean oily) {
        Spoon s = Objects.requireNonNull(SPOONS.get(measure));
        if (s.grams() > 0) {
            return amount * s.grams();
        }
        return amount * density * (oily && s.oilMl() > 0 ? s.oilMl() : s.ml());
    }

    static String words(double amount, Measure measure) {
        String number = amount == Math.rint(amount) ? "%.0f".formatted(amount) : String.valueOf(amount);
        String label = Objects.requireNonNull(SPOONS.get(measure)).label();
        return number + " " + (amount == 1 && label.endsWith("s") ? label.substring(0, label.length() - 1) : label);
    }

    private static OptionalDouble density(Row r) {
        return r.has("density") ? OptionalDouble.of(r.number("density", 0.1, 3)) : OptionalDouble.empty();
    }

    private static PantryItem read(Row r) {
        FormRow form = Objects.requireNonNull(FORMS.get(r.one("form", Form.class)));
        return new PantryItem(
                r.text("id"),
                r.text("name"),
                Ingredients.find(r.text("inci"))
                        .orElseThrow(() -> r.fault("there is no ingredient " + r.text("inci")))
                        .inci(),
                form.form(),
                density(r).isPresent()
                        ? density(r).getAsDouble()
                        : form.density()
                                .orElseThrow(() -> r.fault("nothing tells its density, neither it nor its form")),
                form.wet(),
                form.drops(),
                r.whole("keeps", 0, 3650));
    }

    private static <K extends Enum<K>, V> Map<K, V> table(List<V> rows, Function<V, K> key, Class<K> kind) {
        for (K k : kind.getEnumConstants()) {
            if (rows.stream().noneMatch(v -> key.apply(v) == k)) {
                throw FILE.fault("there is no row for " + k);
            }
        }
        return rows.stream().collect(Collectors.toMap(key, v -> v, (a, _) -> a, () -> new EnumMap<>(kind)));
    }
}

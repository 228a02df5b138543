package outfell.routine;

import java.util.Comparator;
import java.util.List;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.StepKind;

/**
 * The place of a step: comes-off before stays-on; acids early on clean skin; thinnest to thickest; water-based before
 * water-free; sunscreen ends the morning. Total and stable: two different products never share a place, and adding a
 * third never turns two round.
 */
public final class StepOrder {
    /** Groups of places, first to last. */
    private enum Seat {
        FIRST_CLEANSE,
        WASH,
        EXFOLIATION,
        MASK,
        ACID_ON_CLEAN_SKIN,
        EYE_EARLY,
        LIGHT_LAYERS,
        EYE_MIDDLE,
        PRESCRIBED,
        OIL_UNDER_CREAM,
        CREAMS,
        EYE_LATE,
        WATER_FREE,
        LIPS,
        SUNSCREEN
    }

    private final Method method;
    private final Comparator<Product> comparator;

    public StepOrder(Method method) {
        this.method = method;
        this.comparator = Comparator.comparing(this::seat)
                .thenComparing(this::tonerBeforeAcid)
                .thenComparing(p -> p.waterFree() && seat(p) != Seat.OIL_UNDER_CREAM ? 1 : 0)
                .thenComparingDouble(Product::texture)
                .thenComparingDouble(p -> -p.composition().shares(p.waterFree()).water())
                .thenComparing(Product::kind)
                .thenComparing(Product::id);
    }

    public List<Product> sort(List<Product> products) {
        return products.stream().sorted(comparator).toList();
    }

    public int compare(Product a, Product b) {
        return comparator.compare(a, b);
    }

    private Seat seat(Product p) {
        return switch (p.kind()) {
            case FIRST_CLEANSE -> Seat.FIRST_CLEANSE;
            case WASH -> Seat.WASH;
            case SCRUB, ENZYME -> Seat.EXFOLIATION;
            case CLAY_MASK -> Seat.MASK;
            case SUNSCREEN -> Seat.SUNSCREEN;
            case LIP -> Seat.LIPS;
            case EYE -> switch (method.eyePlace()) {
                case BEFORE_SERUMS -> Seat.EYE_EARLY;
                case AFTER_SERUMS -> Seat.EYE_MIDDLE;
                case AFTER_MOISTURISER -> Seat.EYE_LATE;
            };
            case OIL -> method.oilPlace() == Method.OilPlace.BEFORE_CREAM ? Seat.OIL_UNDER_CREAM : Seat.WATER_FREE;
            case SEAL -> Seat.WATER_FREE;
            case MOISTURISER -> p.waterFree() ? Seat.WATER_FREE : Seat.CREAMS;
            case TONER, ESSENCE, SERUM, TREATMENT -> layer(p);
        };
    }

    private Seat layer(Product p) {
        if (p.prescription()) {
            return Seat.PRESCRIBED;
        }
        if (p.waterFree() && p.kind() == StepKind.SERUM) {
            return Seat.WATER_FREE;
        }
        boolean acid = lowPh(p);
        if (acid && method.acidPlace() == Method.AcidPlace.BEFORE_TONER) {
            return Seat.ACID_ON_CLEAN_SKIN;
        }
        return p.texture() >= 5 ? Seat.CREAMS : Seat.LIGHT_LAYERS;
    }

    private int tonerBeforeAcid(Product p) {
        return seat(p) == Seat.LIGHT_LAYERS ? (p.kind() == StepKind.TONER ? 0 : lowPh(p) ? 1 : 2) : 0;
    }

    private static boolean lowPh(Product p) {
        return (p.kind() == StepKind.TREATMENT || p.kind() == StepKind.SERUM)
                && p.texture() < 5
                && p.hasAny(List.of(ActiveKind.AHA, ActiveKind.BHA, ActiveKind.PHA, ActiveKind.VITAMIN_C_ACID));
    }

    /** Why {@code step} stands after {@code before} and before {@code after}; either may be missing at the ends. */
    Because place(Product step, List<Product> before, List<Product> after) {
        if (before.isEmpty() && after.isEmpty()) {
            return Because.custom("It is the only step.");
        }
        return switch (seat(step)) {
            case FIRST_CLEANSE -> Because.custom("Oil lifts sunscreen and make-up first, so it comes before the wash.");
            case WASH -> Because.custom(
                    before.isEmpty()
                            ? "Everything else needs clean skin, so it comes first."
                            : "Water-based after the oil cleanse: it takes off what the oil has loosened.");
            case EXFOLIATION -> Because.custom("On clean skin and off again, before anything stays on.");
            case MASK -> Because.custom("On clean skin and off again; moisture follows.");
            case ACID_ON_CLEAN_SKIN -> Because.custom("A low-pH step works on clean, dry skin, so it goes on before the light layers.");
            case EYE_EARLY, EYE_MIDDLE, EYE_LATE -> Because.custom("Eyes come %s: the %s method has it so; others place them elsewhere."
                    .formatted(eyeWords(), method.name()));
            case PRESCRIBED -> new Because(
                    "Prescribed: on dry skin after the light layers and before the cream, unless the prescriber said otherwise.",
                    outfell.knowledge.Evidence.CONVENTION,
                    "label");
            case OIL_UNDER_CREAM -> Because.custom("Oil under the cream on damp skin: the %s method has it so.".formatted(method.name()));
            case SUNSCREEN -> new Because(
                    "Sunscreen ends the morning, whatever its texture; nothing goes over it.",
                    outfell.knowledge.Evidence.CONVENTION,
                    "custom");
            case LIPS -> Because.custom("Lips last: nothing else meets them.");
            case WATER_FREE -> Because.custom("No water in it, so it follows every water-based layer: grade %s after %s."
                    .formatted(grade(step), gradeOfLast(before)));
            case LIGHT_LAYERS, CREAMS -> Because.custom(texture(step, before, after));
        };
    }

    private String eyeWords() {
        return switch (method.eyePlace()) {
            case BEFORE_SERUMS -> "before the serums";
            case AFTER_SERUMS -> "after the serums";
            case AFTER_MOISTURISER -> "after the moisturiser";
        };
    }

    private static String texture(Product step, List<Product> before, List<Product> after) {
        StringBuilder sentence = new StringBuilder();
        List<Product> layersBefore = before.stream().filter(p -> !p.kind().comesOff()).toList();
        if (!layersBefore.isEmpty()) {
            Product last = layersBefore.getLast();
            sentence.append(
                    last.texture() == step.texture()
                            ? "As thin as the %s before it, with no more water in it".formatted(short_(last))
                            : last.texture() < step.texture()
                            ? "Thicker than the %s before it: %s after %s".formatted(short_(last), grade(step), grade(last))
                            : "After the %s, which needs bare skin".formatted(short_(last)));
        }
        if (!after.isEmpty() && after.getFirst().kind() != StepKind.SUNSCREEN) {
            Product next = after.getFirst();
            sentence.append(sentence.isEmpty() ? "T" : "; t").append(next.texture() == step.texture()
                    ? "he %s after it is as thin, with no more water".formatted(short_(next))
                    : next.texture() > step.texture()
                    ? "hinner than the %s after it: %s before %s".formatted(short_(next), grade(step), grade(next))
                    : "he %s follows by its own rule".formatted(short_(next)));
        }
        if (sentence.isEmpty()) {
            sentence.append(after.isEmpty() ? "The last layer" : "Under the sunscreen, on clean skin");
        }
        return sentence.append('.').toString();
    }

    private static String gradeOfLast(List<Product> before) {
        return before.isEmpty() ? "nothing" : grade(before.getLast());
    }

    private static String short_(Product p) {
        return outfell.product.Kinds.of(p.kind()).label();
    }

    private static String grade(Product p) {
        double t = p.texture();
        return t == Math.rint(t) ? "%.0f".formatted(t) : String.format(java.util.Locale.ROOT, "%.1f", t);
    }
}

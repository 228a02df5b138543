package outfell.routine;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.apache.commons.lang3.StringUtils;
import outfell.knowledge.Because;
import outfell.method.Method;
import outfell.product.ActiveKind;
import outfell.product.Kinds;
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
        SECOND_CLEANSE,
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
            case FIRST_CLEANSE -> waterFirst() ? Seat.SECOND_CLEANSE : Seat.FIRST_CLEANSE;
            case WASH -> Seat.WASH;
            case SCRUB, ENZYME -> Seat.EXFOLIATION;
            case CLAY_MASK -> Seat.MASK;
            case SUNSCREEN -> Seat.SUNSCREEN;
            case LIP -> Seat.LIPS;
            case EYE ->
                switch (method.eyePlace()) {
                    case BEFORE_SERUMS -> Seat.EYE_EARLY;
                    case AFTER_SERUMS, IN_A_WAIT -> Seat.EYE_MIDDLE;
                    case AFTER_MOISTURISER -> Seat.EYE_LATE;
                };
            case OIL -> method.oilPlace() == Method.OilPlace.AFTER_CREAM ? Seat.WATER_FREE : Seat.OIL_UNDER_CREAM;
            case SEAL -> Seat.WATER_FREE;
            case MOISTURISER -> p.waterFree() ? Seat.WATER_FREE : Seat.CREAMS;
            case TONER, ESSENCE, SERUM, TREATMENT -> layer(p);
        };
    }

    private boolean waterFirst() {
        return method.cleanseOrder() == Method.CleanseOrder.WATER_FIRST;
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
        return p.texture() >= Kinds.CREAMS_FROM ? Seat.CREAMS : Seat.LIGHT_LAYERS;
    }

    private int tonerBeforeAcid(Product p) {
        return seat(p) == Seat.LIGHT_LAYERS ? (p.kind() == StepKind.TONER ? 0 : lowPh(p) ? 1 : 2) : 0;
    }

    /** Whether it works on clean skin at a low pH. */
    static boolean lowPh(Product p) {
        return (p.kind() == StepKind.TREATMENT || p.kind() == StepKind.SERUM)
                && p.texture() < Kinds.CREAMS_FROM
                && p.hasAny(List.of(ActiveKind.AHA, ActiveKind.BHA, ActiveKind.PHA, ActiveKind.VITAMIN_C_ACID));
    }

    /**
     * The rule by which {@code first} stands before {@code then}; nothing when custom alone decides, so that either way round is
     * within the rules.
     */
    public Optional<Because> rule(Product first, Product then) {
        Seat a = seat(first);
        Seat b = seat(then);
        if (comparator.compare(first, then) > 0 || bothElsewhere(a, b)) {
            return Optional.empty();
        }
        return a == b ? within(first, then) : Optional.of(across(first, a, then, b));
    }

    /** Why two neighbours stand as they do: a rule, the therapist's own reason, or neither way round being better. */
    public Because between(Product first, Product then, String byHand) {
        if (bothElsewhere(seat(first), seat(then))) {
            return Because.custom("Either way round would do: lips meet nothing else.");
        }
        return rule(first, then)
                .orElseGet(() -> rule(then, first).isPresent()
                        ? Because.custom("By hand: %s".formatted(byHand))
                        : Because.custom(
                                "Either way round would do: neither is thinner, and they ask nothing of each other."));
    }

    /** Lips meet nothing else, so it does not matter when they are done once the face is clean. */
    private static boolean bothElsewhere(Seat a, Seat b) {
        return (a == Seat.LIPS && b.compareTo(Seat.MASK) > 0) || (b == Seat.LIPS && a.compareTo(Seat.MASK) > 0);
    }

    private Optional<Because> within(Product first, Product then) {
        if (tonerBeforeAcid(first) != tonerBeforeAcid(then)) {
            return Optional.of(Because.custom(
                    first.kind() == StepKind.TONER
                            ? "The toner comes first on clean skin."
                            : "A low-pH step goes on early, before the other light layers."));
        }
        if (first.waterFree() != then.waterFree() && seat(first) != Seat.OIL_UNDER_CREAM) {
            return Optional.of(Because.custom("The %s has no water in it, so it follows the water-based %s."
                    .formatted(label(then), label(first))));
        }
        return first.texture() == then.texture()
                ? Optional.empty()
                : Optional.of(Because.custom("Thinner first: %s before %s.".formatted(grade(first), grade(then))));
    }

    private Because across(Product first, Seat a, Product then, Seat b) {
        if (first.kind().comesOff() && !then.kind().comesOff()) {
            return Because.custom(
                    "The %s comes off again; what stays on goes over clean skin.".formatted(label(first)));
        }
        if (first.kind().comesOff()) {
            return Because.custom(
                    switch (b) {
                        case WASH ->
                            "The first cleanse lifts sunscreen and make-up; the wash takes off what it has loosened.";
                        case SECOND_CLEANSE -> "Oil after the wash: the %s method has it so.".formatted(method.name());
                        case EXFOLIATION -> "Exfoliate on clean skin only.";
                        default -> "A mask lies on clean, bare skin.";
                    });
        }
        if (b == Seat.SUNSCREEN) {
            return place(then, List.of(first), List.of());
        }
        if (isEye(a) || isEye(b)) {
            return Because.custom("Eyes come %s: the %s method has it so.".formatted(eyeWords(), method.name()));
        }
        if (a == Seat.PRESCRIBED || b == Seat.PRESCRIBED) {
            return place(a == Seat.PRESCRIBED ? first : then, List.of(), List.of(first));
        }
        if (a == Seat.ACID_ON_CLEAN_SKIN || a == Seat.OIL_UNDER_CREAM) {
            return place(first, List.of(), List.of(then));
        }
        if (b == Seat.WATER_FREE) {
            return Because.custom(
                    "The %s has no water in it, so it follows every water-based layer.".formatted(label(then)));
        }
        return b == Seat.OIL_UNDER_CREAM
                ? place(then, List.of(first), List.of())
                : Because.custom("Thinner first: %s before %s.".formatted(grade(first), grade(then)));
    }

    private static boolean isEye(Seat seat) {
        return seat == Seat.EYE_EARLY || seat == Seat.EYE_MIDDLE || seat == Seat.EYE_LATE;
    }

    /** Why a step stands between those before and after it. */
    public Because place(Product step, List<Product> before, List<Product> after) {
        if (before.isEmpty() && after.isEmpty()) {
            return Because.custom("It is the only step.");
        }
        return switch (seat(step)) {
            case FIRST_CLEANSE -> Because.custom("It lifts sunscreen and make-up first, so it comes before the wash.");
            case WASH ->
                Because.custom(
                        before.isEmpty()
                                ? "Everything else needs clean skin, so it comes first."
                                : "After the first cleanse: it takes off what that has loosened.");
            case SECOND_CLEANSE ->
                Because.custom("Oil after the wash: the %s method has it so; most put the oil first."
                        .formatted(method.name()));
            case EXFOLIATION -> Because.custom("On clean skin and off again, before anything stays on.");
            case MASK -> Because.custom("On clean skin and off again; moisture follows.");
            case ACID_ON_CLEAN_SKIN ->
                Because.custom("A low-pH step works on clean, dry skin, so it goes on before the light layers.");
            case EYE_EARLY, EYE_MIDDLE, EYE_LATE ->
                Because.custom("Eyes come %s: the %s method has it so; others place them elsewhere."
                        .formatted(eyeWords(), method.name()));
            case PRESCRIBED ->
                new Because(
                        "Prescribed: on dry skin after the light layers and before the cream, unless the prescriber said otherwise.",
                        outfell.knowledge.Evidence.CONVENTION,
                        "label");
            case OIL_UNDER_CREAM ->
                Because.custom((method.oilPlace() == Method.OilPlace.DROP_IN_CREAM
                                ? "Dropped into the cream in the palm, so it counts as that layer: the %s method has it so."
                                : "Oil under the cream on damp skin: the %s method has it so.")
                        .formatted(method.name()));
            case SUNSCREEN ->
                new Because(
                        "Sunscreen ends the morning, whatever its texture; nothing goes over it.",
                        outfell.knowledge.Evidence.CONVENTION,
                        "custom");
            case LIPS -> Because.custom("Lips last: nothing else meets them.");
            case WATER_FREE ->
                Because.custom("No water in it, so it follows every water-based layer: %s after %s."
                        .formatted(grade(step), gradeOfLast(before)));
            case LIGHT_LAYERS, CREAMS -> Because.custom(among(step, before, after));
        };
    }

    private String eyeWords() {
        return switch (method.eyePlace()) {
            case BEFORE_SERUMS -> "before the serums";
            case AFTER_SERUMS -> "after the serums";
            case AFTER_MOISTURISER -> "after the moisturiser";
            case IN_A_WAIT -> "while a serum settles";
        };
    }

    /** Among light layers and creams texture decides; a neighbour with a rule of its own is named by that rule. */
    private String among(Product step, List<Product> before, List<Product> after) {
        List<String> reasons = new java.util.ArrayList<>();
        List<Product> stayed = before.stream().filter(p -> !p.kind().comesOff()).toList();
        if (!stayed.isEmpty()) {
            reasons.add(afterNeighbour(step, stayed.getLast()));
        }
        if (!after.isEmpty()) {
            beforeNeighbour(step, after.getFirst()).ifPresent(reasons::add);
        }
        return reasons.isEmpty()
                ? (after.isEmpty() ? "The last layer." : "The first layer on clean skin.")
                : StringUtils.capitalize(String.join("; ", reasons)) + ".";
    }

    private String afterNeighbour(Product step, Product last) {
        return switch (seat(last)) {
            case ACID_ON_CLEAN_SKIN -> "after the %s, which needs clean, dry skin".formatted(label(last));
            case PRESCRIBED -> "over the prescribed cream once it has settled";
            case EYE_EARLY, EYE_MIDDLE -> "after the eyes";
            case OIL_UNDER_CREAM -> "over the oil, which the method puts on damp skin";
            default ->
                last.texture() < step.texture()
                        ? "thicker than the %s before it: %s after %s".formatted(label(last), grade(step), grade(last))
                        : last.texture() == step.texture()
                                ? "as thin as the %s before it, with no more water in it".formatted(label(last))
                                : "after the toner, which comes first on clean skin";
        };
    }

    private Optional<String> beforeNeighbour(Product step, Product next) {
        return switch (seat(next)) {
            case LIGHT_LAYERS, CREAMS, WATER_FREE ->
                Optional.of(
                        next.texture() > step.texture()
                                ? "thinner than the %s after it: %s before %s"
                                        .formatted(label(next), grade(step), grade(next))
                                : next.texture() == step.texture()
                                        ? "the %s after it is as thin, with no more water".formatted(label(next))
                                        : "the %s after it has no water in it".formatted(label(next)));
            default -> Optional.empty();
        };
    }

    private static String gradeOfLast(List<Product> before) {
        return before.isEmpty() ? "nothing" : grade(before.getLast());
    }

    private static String label(Product p) {
        return outfell.product.Kinds.of(p.kind()).label();
    }

    /** With its unit: the grade of texture, 1 water to 8 balm. */
    private static String grade(Product p) {
        double t = p.texture();
        return "texture " + (t == Math.rint(t) ? "%.0f".formatted(t) : String.format(java.util.Locale.ROOT, "%.1f", t));
    }
}

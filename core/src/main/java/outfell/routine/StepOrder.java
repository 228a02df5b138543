package outfell.routine;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.lang3.StringUtils;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.method.Method;
import outfell.method.Place;
import outfell.method.Places.Placed;
import outfell.product.ActiveKind;
import outfell.product.Actives;
import outfell.product.Kinds;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;

/**
 * The order of a routine: place after place of its method's list, and at one place water-based before water-free, thinnest to
 * thickest. Total and stable: two different products never share a place, and adding a third never turns two round.
 */
public final class StepOrder {
    private final Method method;
    private final Comparator<Product> comparator;
    /** Why an oil stands where it does, where the air has moved it. */
    private final Optional<Because> oil;
    /** Asked of every pair of steps, many times over. */
    private final Map<ProductId, Placed> placed = new HashMap<>();

    private final Map<Pair, Optional<Because>> rules = new HashMap<>();

    private record Pair(ProductId first, ProductId then) {}

    public StepOrder(Method method) {
        this(method, Optional.empty());
    }

    /** @param oil why an oil stands where this method has it; absent where the method itself is why */
    StepOrder(Method method, Optional<Because> oil) {
        this.method = method;
        this.oil = oil;
        this.comparator = Comparator.<Product>comparingInt(p -> method.places().index(place(p)))
                .thenComparing(p -> p.waterFree() && place(p) != Place.OIL ? 1 : 0)
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

    private Placed placed(Product p) {
        return placed.computeIfAbsent(p.id(), _ -> method.places().first(wanted(p)));
    }

    Place place(Product p) {
        return placed(p).place();
    }

    /** Where a product would stand: the first of these that its method has. */
    private static List<Place> wanted(Product p) {
        boolean rich = p.texture() >= Kinds.CREAMS_FROM;
        return switch (p.kind()) {
            case FIRST_CLEANSE -> List.of(Place.FIRST_CLEANSE);
            case WASH -> List.of(Place.WASH);
            case SCRUB, ENZYME -> List.of(Place.EXFOLIATION);
            case CLAY_MASK, RINSE_MASK -> List.of(Place.MASK);
            case LIP_SCRUB -> List.of(Place.LIP_SCRUB);
            case SUNSCREEN -> List.of(Place.SUNSCREEN);
            case BASE -> List.of(Place.BASE);
            case BEARD_OIL -> List.of(Place.BEARD);
            case LIP, LIP_MASK -> List.of(Place.LIPS);
            case HAND -> List.of(Place.HANDS);
            case BODY -> List.of(Place.BODY);
            case LEAVE_ON_MASK -> List.of(Place.LEAVE_ON_MASK);
            case SLEEPING_MASK -> List.of(Place.SLEEPING_MASK);
            case POWDER -> List.of(Place.POWDER);
            case SPOT -> List.of(p.prescription() ? Place.PRESCRIPTION : Place.SPOTS);
            case EYE -> List.of(Place.EYES, rich ? Place.RICH_EYES : Place.LIGHT_EYES);
            case OIL -> List.of(Place.OIL, Place.WATER_FREE);
            case SEAL -> List.of(Place.WATER_FREE);
            case MOISTURISER -> List.of(p.waterFree() ? Place.WATER_FREE : Place.CREAMS);
            case TONER -> List.of(Place.TONER);
            case ESSENCE, SERUM, TREATMENT -> layer(p, rich);
        };
    }

    private static List<Place> layer(Product p, boolean rich) {
        if (p.prescription()) {
            return List.of(Place.PRESCRIPTION);
        }
        if (p.waterFree() && p.kind() == StepKind.SERUM) {
            return List.of(Place.WATER_FREE);
        }
        if (lowPh(p)) {
            return List.of(Place.ACID);
        }
        Place last = rich ? Place.CREAMS : Place.LIGHT;
        boolean works = p.actives().stream().anyMatch(a -> !Actives.of(a.kind()).bland());
        if (works) {
            return List.of(Place.ACTIVES, last);
        }
        return p.kind() == StepKind.ESSENCE
                ? List.of(Place.FIRST_ESSENCE, Place.WATER_LAYERS, last)
                : rich ? List.of(last) : List.of(Place.WATER_LAYERS, last);
    }

    /** Whether it works on clean skin at a low pH. */
    public static boolean lowPh(Product p) {
        return (p.kind() == StepKind.TREATMENT || p.kind() == StepKind.SERUM)
                && p.texture() < Kinds.CREAMS_FROM
                && p.hasAny(List.of(ActiveKind.AHA, ActiveKind.BHA, ActiveKind.PHA, ActiveKind.VITAMIN_C_ACID));
    }

    /**
     * The rule by which {@code first} stands before {@code then}; nothing when custom alone decides, so that either way round is
     * within the rules.
     */
    public Optional<Because> rule(Product first, Product then) {
        Pair pair = new Pair(first.id(), then.id());
        Optional<Because> known = rules.get(pair);
        if (known == null) {
            known = found(first, then);
            rules.put(pair, known);
        }
        return known;
    }

    private Optional<Because> found(Product first, Product then) {
        Place a = place(first);
        Place b = place(then);
        if (comparator.compare(first, then) > 0 || bothElsewhere(a, b)) {
            return Optional.empty();
        }
        return a == b ? within(first, then) : Optional.of(across(first, a, then, b));
    }

    /** Why two neighbours stand as they do: a rule, the therapist's own reason, or neither way round being better. */
    public Because between(Product first, Product then, String byHand) {
        if (bothElsewhere(place(first), place(then))) {
            return Because.custom("Either way round would do: %s meet nothing else."
                    .formatted(elsewhere(place(first)) ? areaOf(first) : areaOf(then)));
        }
        return rule(first, then)
                .orElseGet(() -> rule(then, first).isPresent()
                        ? Because.custom("By hand: %s".formatted(byHand))
                        : Because.custom(
                                "Either way round would do: neither is thinner, and they ask nothing of each other."));
    }

    /**
     * Lips meet nothing else, so it does not matter when they are done once the face is clean; nor when eyes are, that are done while
     * something settles.
     */
    private boolean bothElsewhere(Place a, Place b) {
        return (elsewhere(a) && staysOn(b)) || (elsewhere(b) && staysOn(a));
    }

    private boolean elsewhere(Place place) {
        return switch (place) {
            case LIPS, LIP_SCRUB, HANDS, BODY, BEARD -> true;
            case EYES -> method.eyePlace() == Method.EyePlace.IN_A_WAIT;
            default -> false;
        };
    }

    private static String areaOf(Product p) {
        return switch (p.kind()) {
            case LIP, LIP_MASK, LIP_SCRUB -> "lips";
            case HAND -> "hands";
            case BODY -> "arms and body";
            case BEARD_OIL -> "beard hair";
            default -> "eyes";
        };
    }

    /** Whether its method has it done while another step settles. */
    boolean inAWait(Product p) {
        return switch (p.kind()) {
            case EYE -> method.eyePlace() == Method.EyePlace.IN_A_WAIT;
            case LIP, LIP_MASK -> method.lipPlace() == Method.LipPlace.IN_A_WAIT;
            default -> false;
        };
    }

    private static boolean staysOn(Place place) {
        return switch (place) {
            case FIRST_CLEANSE, WASH, EXFOLIATION, MASK, LIP_SCRUB -> false;
            default -> true;
        };
    }

    private Optional<Because> within(Product first, Product then) {
        if (first.waterFree() != then.waterFree() && place(first) != Place.OIL) {
            return Optional.of(Because.custom("The %s has no water in it, so it follows the water-based %s."
                    .formatted(label(then), label(first))));
        }
        return first.texture() == then.texture()
                ? Optional.empty()
                : Optional.of(Because.custom("Thinner first: %s before %s.".formatted(grade(first), grade(then))));
    }

    private Because across(Product first, Place a, Product then, Place b) {
        if (first.kind().comesOff() && !then.kind().comesOff()) {
            return Because.custom(
                    "The %s comes off again; what stays on goes over clean skin.".formatted(label(first)));
        }
        if (first.kind().comesOff()) {
            return Because.custom(
                    switch (b) {
                        case WASH -> "The first cleanse loosens what is oily; the wash takes that off.";
                        case FIRST_CLEANSE -> said(placed(then));
                        case EXFOLIATION -> "Exfoliate on clean skin only.";
                        case LIP_SCRUB -> said(placed(then));
                        default -> "A mask lies on clean, bare skin.";
                    });
        }
        // whichever of the two has a place of its own tells why
        if (b == Place.SUNSCREEN || ofItsOwnAfterCare(b)) {
            return place(then, List.of(first), List.of());
        }
        if (a.isEyes() || b.isEyes()) {
            return Because.custom(said(placed(a.isEyes() ? first : then)));
        }
        if (a == Place.PRESCRIPTION || b == Place.PRESCRIPTION) {
            return place(a == Place.PRESCRIPTION ? first : then, List.of(), List.of(first));
        }
        if (a == Place.OIL || (ofItsOwn(a) && isLight(b))) {
            return place(first, List.of(), List.of(then));
        }
        if (b == Place.WATER_FREE) {
            return Because.custom(
                    "The %s has no water in it, so it follows every water-based layer.".formatted(label(then)));
        }
        if (ofItsOwn(b)) {
            return place(then, List.of(first), List.of());
        }
        return Because.custom(
                first.texture() < then.texture()
                        ? "Thinner first: %s before %s.".formatted(grade(first), grade(then))
                        : "The %s goes over the %s, whatever its texture.".formatted(label(then), label(first)));
    }

    /** Make-up, hair, body, and what covers the night's cream: each says itself why it comes so late. */
    private static boolean ofItsOwnAfterCare(Place place) {
        return switch (place) {
            case BASE, BEARD, SLEEPING_MASK -> true;
            default -> false;
        };
    }

    private static boolean isLight(Place place) {
        return switch (place) {
            case FIRST_ESSENCE, TONER, ACID, WATER_LAYERS, ACTIVES, LIGHT, LEAVE_ON_MASK, POWDER -> true;
            default -> false;
        };
    }

    /** Whether its place among the light layers is its reason; where no other stands, texture alone decides. */
    private boolean tellsItsPlace(Placed placed, List<Product> before, List<Product> after) {
        boolean follows = after.stream().anyMatch(p -> isLight(place(p)));
        boolean precedes = before.stream().anyMatch(p -> isLight(place(p)));
        return placed.place() == Place.TONER
                ? follows && before.stream().noneMatch(p -> place(p) == Place.FIRST_ESSENCE)
                : follows || precedes;
    }

    /** Whether what stands there is there for another reason than how thin it is. */
    private static boolean ofItsOwn(Place place) {
        return switch (place) {
            case TONER, FIRST_ESSENCE, ACID, WATER_LAYERS, ACTIVES, OIL, LEAVE_ON_MASK, POWDER -> true;
            default -> false;
        };
    }

    private String said(Placed placed) {
        if (placed.place() == Place.OIL && oil.isPresent()) {
            return oil.get().sentence();
        }
        return placed.bySchool()
                ? "%s: the %s method has it so; others place it elsewhere.".formatted(placed.because(), method.name())
                : placed.because();
    }

    /** Why a step stands between those before and after it. */
    public Because place(Product step, List<Product> before, List<Product> after) {
        if (before.isEmpty() && after.isEmpty()) {
            return Because.custom("It is the only step.");
        }
        Placed placed = placed(step);
        return switch (placed.place()) {
            case WASH ->
                Because.custom(
                        before.isEmpty()
                                ? placed.because()
                                : "After the first cleanse: it takes off what that has loosened.");
            case PRESCRIPTION -> new Because(said(placed), Evidence.CONVENTION, "label");
            case WATER_FREE ->
                Because.custom("%s: %s after %s.".formatted(placed.because(), grade(step), gradeOfLast(before)));
            case LIGHT, CREAMS -> Because.custom(among(step, before, after));
            case FIRST_ESSENCE, TONER, ACID, WATER_LAYERS, ACTIVES ->
                Because.custom(tellsItsPlace(placed, before, after) ? said(placed) : among(step, before, after));
            case FIRST_CLEANSE,
                    EXFOLIATION,
                    MASK,
                    LIP_SCRUB,
                    LEAVE_ON_MASK,
                    POWDER,
                    EYES,
                    LIGHT_EYES,
                    RICH_EYES,
                    SPOTS,
                    OIL,
                    SLEEPING_MASK,
                    LIPS,
                    HANDS,
                    BODY,
                    SUNSCREEN,
                    BASE,
                    BEARD -> Because.custom(said(placed));
        };
    }

    /** Among light layers and creams texture decides; a neighbour with a rule of its own is named by that rule. */
    private String among(Product step, List<Product> before, List<Product> after) {
        List<String> reasons = new ArrayList<>();
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
        return switch (place(last)) {
            case PRESCRIPTION -> "over the prescribed cream once it has settled";
            case EYES, LIGHT_EYES, RICH_EYES -> "after the eyes";
            case OIL ->
                oil.isPresent() ? "with the oil in it, as the air asks" : "over the oil, which the method puts there";
            case LIPS -> "after the lips, which meet nothing else";
            case LEAVE_ON_MASK -> "over what the mask has left";
            case POWDER -> "with the powder stirred into it";
            case FIRST_ESSENCE -> "after the essence, which the method puts first";
            case WATER_LAYERS, ACTIVES -> "after the layers that the method puts first";
            default ->
                last.texture() < step.texture()
                        ? "thicker than the %s before it: %s after %s".formatted(label(last), grade(step), grade(last))
                        : place(last) == place(step)
                                ? "as thin as the %s before it, with no more water in it".formatted(label(last))
                                : "after the %s, which goes on earlier whatever its texture".formatted(label(last));
        };
    }

    private Optional<String> beforeNeighbour(Product step, Product next) {
        return switch (place(next)) {
            case LIGHT, CREAMS, WATER_FREE ->
                Optional.of(
                        next.texture() > step.texture()
                                ? "thinner than the %s after it: %s before %s"
                                        .formatted(label(next), grade(step), grade(next))
                                : next.texture() == step.texture()
                                        ? "the %s after it is as thin, with no more water".formatted(label(next))
                                        : next.waterFree()
                                                ? "the %s after it has no water in it".formatted(label(next))
                                                : "the %s goes over it, whatever its texture".formatted(label(next)));
            default -> Optional.empty();
        };
    }

    private static String gradeOfLast(List<Product> before) {
        return before.isEmpty() ? "nothing" : grade(before.getLast());
    }

    private static String label(Product p) {
        return Kinds.of(p.kind()).label();
    }

    /** With its unit: the grade of texture, 1 water to 8 balm. */
    private static String grade(Product p) {
        double t = p.texture();
        return "texture " + (t == Math.rint(t) ? "%.0f".formatted(t) : String.format(java.util.Locale.ROOT, "%.1f", t));
    }
}

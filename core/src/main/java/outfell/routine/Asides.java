package outfell.routine;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import outfell.knowledge.Because;
import outfell.knowledge.Evidence;
import outfell.method.Method;
import outfell.product.ActiveKind;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;

/** What is done beside the steps of a routine: what a method does twice, and what the therapist has put there. */
final class Asides {
    /** As between two coats of cream it irritates less, see {@link Layout}. */
    private static final Because SOFTER = new Because(
            "Half of the cream under it, the other half over it: a retinoid irritates less so.",
            Evidence.SMALL,
            "draelos-ertel-2006");

    private static final Alone RESIDUE = Alone.of(Alone.RESIDUE).orElseThrow();

    private static final Because BY_HAND = Because.custom("Once more, by hand.");

    /** What of a product is asked for here. */
    interface Laid {
        List<DayOfWeek> nights(Part part, Product p);

        /** Days a week that it is counted at. */
        int aWeek(Part part, Product p);

        /** Of one layer, without what goes on twice. */
        Amounts.Amount layer(Part part, Product p);
    }

    private final Method method;
    private final ByAir byAir;
    private final boolean reactive;
    private final Map<ProductId, Layout.OnNights> nights;
    private final Layout.ByHand byHand;
    private final Laid laid;

    Asides(
            Method method,
            ByAir byAir,
            boolean reactive,
            Map<ProductId, Layout.OnNights> nights,
            Layout.ByHand byHand,
            Laid laid) {
        this.method = method;
        this.byAir = byAir;
        this.reactive = reactive;
        this.nights = nights;
        this.byHand = byHand;
        this.laid = laid;
    }

    /** In the order in which they are done. */
    List<Aside> of(Part part, List<Product> sorted, int i) {
        List<Aside> all = new ArrayList<>();
        cream(sorted, i).ifPresent(c -> all.add(half(part, sorted, i, c)));
        tonedAgain(part, sorted, i).ifPresent(all::add);
        if (residue(part, sorted, i)) {
            all.add(alone(part, sorted, i, RESIDUE, false));
        }
        for (Then then : hand(part, sorted.get(i)).then()) {
            then.again().flatMap(again -> at(sorted, again)).ifPresent(j -> all.add(again(part, sorted, i, j)));
            then.alone()
                    .filter(alone ->
                            byHand.against(part, sorted.get(i).id(), alone).isEmpty())
                    .ifPresent(alone -> all.add(alone(part, sorted, i, alone, true)));
        }
        return List.copyOf(all);
    }

    /** What was put beside a step and is not done, and why. */
    List<Moves.NotFollowed> notFollowed(Part part, List<Product> sorted) {
        List<Moves.NotFollowed> not = new ArrayList<>();
        for (Product p : sorted) {
            for (Then then : hand(part, p).then()) {
                then.again()
                        .filter(again -> at(sorted, again).isEmpty())
                        .ifPresent(_ -> not.add(new Moves.NotFollowed(
                                p.id(),
                                p.name(),
                                Because.custom("What was to come again after %s is not in the %s any more."
                                        .formatted(p.name(), part.words())),
                                false)));
                then.alone()
                        .flatMap(alone -> byHand.against(part, p.id(), alone))
                        .ifPresent(because -> not.add(new Moves.NotFollowed(p.id(), p.name(), because, true)));
            }
        }
        return not;
    }

    private Adjustment hand(Part part, Product p) {
        return byHand.of(part, p.id());
    }

    private Aside again(Part part, List<Product> sorted, int i, int j) {
        Product p = sorted.get(j);
        Amounts.Amount layer = laid.layer(part, p);
        return new Aside(
                false,
                Optional.of(p.id()),
                j + 1,
                p.kind(),
                p.name(),
                "then %d again".formatted(j + 1),
                layer.words(),
                Amounts.of(p.kind()).handsOn(),
                false,
                layer.grams(),
                both(part, sorted.get(i), p),
                aWeek(part, sorted.get(i), p),
                true,
                BY_HAND);
    }

    private Aside alone(Part part, List<Product> sorted, int i, Alone alone, boolean hers) {
        return new Aside(
                alone.before(),
                Optional.empty(),
                i + 1,
                sorted.get(i).kind(),
                "",
                "%s %s".formatted(alone.before() ? "first" : "then", alone.told()),
                alone.how(),
                alone.seconds(),
                false,
                0,
                laid.nights(part, sorted.get(i)),
                laid.aWeek(part, sorted.get(i)),
                hers,
                alone.because());
    }

    // ---- what the last cleanse has left

    /** After the last cleanse of the evening, by a method that makes a step of it; where she has put it there, it is hers. */
    private boolean residue(Part part, List<Product> sorted, int i) {
        return part == Part.EVENING
                && method.residueCheck() == Method.ResidueCheck.STEP
                && cleanses(sorted.get(i))
                && sorted.subList(i + 1, sorted.size()).stream().noneMatch(Asides::cleanses)
                && hand(part, sorted.get(i)).then().stream()
                        .flatMap(then -> then.alone().stream())
                        .noneMatch(RESIDUE::equals);
    }

    private static boolean cleanses(Product p) {
        return p.kind() == StepKind.WASH || p.kind() == StepKind.FIRST_CLEANSE;
    }

    /** Seconds that a method looks for residue after a product; the wash is the last cleanse of nearly every evening. */
    static int residueSeconds(Method method, Part part, Product p) {
        return part == Part.EVENING && p.kind() == StepKind.WASH && method.residueCheck() == Method.ResidueCheck.STEP
                ? RESIDUE.seconds()
                : 0;
    }

    // ---- a retinoid between two coats

    /** A retinoid that nobody prescribed, by a method that lays it between two coats. */
    static boolean between(Method method, boolean reactive, Product p) {
        return p.has(ActiveKind.RETINOID)
                && !p.prescription()
                && p.kind() == StepKind.TREATMENT
                && switch (method.retinoidPlace()) {
                    case BEFORE_CREAM -> false;
                    case BETWEEN_CREAMS_WHEN_REACTIVE -> reactive;
                    case BETWEEN_CREAMS -> true;
                };
    }

    /** The cream of which half goes under a step; absent where none does. */
    Optional<Integer> cream(List<Product> sorted, int i) {
        return between(method, reactive, sorted.get(i))
                ? first(sorted, p -> p.kind() == StepKind.MOISTURISER)
                : Optional.empty();
    }

    private Aside half(Part part, List<Product> sorted, int i, int cream) {
        Product p = sorted.get(cream);
        return new Aside(
                true,
                Optional.of(p.id()),
                cream + 1,
                p.kind(),
                p.name(),
                "first half of %d".formatted(cream + 1),
                "a thin coat, till it no longer shines",
                Amounts.of(p.kind()).handsOn(),
                false,
                0,
                both(part, sorted.get(i), p),
                aWeek(part, sorted.get(i), p),
                false,
                SOFTER);
    }

    // ---- toning again

    /** A method that tones between treatments keeps a layer for before each acid, exfoliation and mask. */
    private Optional<Aside> tonedAgain(Part part, List<Product> sorted, int i) {
        Product treatment = sorted.get(i);
        if (!nights.containsKey(treatment.id()) || word(treatment).isEmpty()) {
            return Optional.empty();
        }
        return toner(sorted).map(j -> {
            Product p = sorted.get(j);
            int layers = byAir.layers(method, p);
            boolean before = i < j;
            int then = before ? 1 : layers - 1;
            return new Aside(
                    before,
                    Optional.of(p.id()),
                    j + 1,
                    p.kind(),
                    p.name(),
                    before ? "first %d, one layer".formatted(j + 1) : "then %d again".formatted(j + 1),
                    then == 1 ? laid.layer(part, p).words() : "%d layers of it".formatted(then),
                    Amounts.of(p.kind()).handsOn() * then,
                    true,
                    0,
                    both(part, treatment, p),
                    aWeek(part, treatment, p),
                    false,
                    Because.custom(
                            "The %s method tones before a treatment and again after it.".formatted(method.name())));
        });
    }

    /** The toner that goes on in several layers, by a method that tones between treatments. */
    private Optional<Integer> toner(List<Product> sorted) {
        return method.acidPlace() == Method.AcidPlace.BETWEEN_TONERS
                ? first(sorted, p -> p.kind() == StepKind.TONER && byAir.layers(method, p) > 1)
                : Optional.empty();
    }

    /** What is told of it at the toner; empty where nothing is kept for another place. */
    String around(List<Product> sorted) {
        String treatments = toner(sorted).isEmpty()
                ? ""
                : sorted.stream()
                        .filter(o -> nights.containsKey(o.id()))
                        .map(Asides::word)
                        .filter(word -> !word.isEmpty())
                        .distinct()
                        .collect(Collectors.joining(" and "));
        return treatments.isEmpty()
                ? ""
                : "; on %s nights one layer before it, the others after it".formatted(treatments);
    }

    private static String word(Product p) {
        return switch (p.kind()) {
            case CLAY_MASK, RINSE_MASK, LEAVE_ON_MASK -> "mask";
            case ENZYME, SCRUB -> "exfoliation";
            default -> StepOrder.lowPh(p) ? "acid" : "";
        };
    }

    private static Optional<Integer> at(List<Product> sorted, ProductId product) {
        return first(sorted, p -> p.id().equals(product));
    }

    private static Optional<Integer> first(List<Product> sorted, Predicate<Product> which) {
        return IntStream.range(0, sorted.size())
                .boxed()
                .filter(j -> which.test(sorted.get(j)))
                .findFirst();
    }

    /** No more often than either of the two, nor than both have nights. */
    private int aWeek(Part part, Product step, Product again) {
        return Math.min(both(part, step, again).size(), Math.min(laid.aWeek(part, step), laid.aWeek(part, again)));
    }

    private List<DayOfWeek> both(Part part, Product step, Product again) {
        List<DayOfWeek> of = laid.nights(part, again);
        return laid.nights(part, step).stream().filter(of::contains).toList();
    }
}

package outfell.routine;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import outfell.knowledge.Because;
import outfell.product.Product;
import outfell.product.ProductId;
import outfell.product.StepKind;

/** Steps moved by hand: within what the rules of order allow, or against them with a reason. */
public final class Moves {
    /** Why nothing of the care follows the sunscreen. */
    public static final Because SUNSCREEN_LAST = Because.custom(
            "Nothing goes over the sunscreen but make-up, eyes and lips: a layer on top moves its film, and what it still protects is not known.");

    /**
     * Another place that one step could have.
     *
     * @param to its number there, from 1
     * @param allowed whether it may go there at all
     * @param against rules that speak against it; none when it is free to go there
     */
    public record Shift(int to, boolean allowed, List<Because> against) {}

    /**
     * Something by hand that was not followed.
     *
     * @param overrulable whether a reason of hers lets it stand all the same
     */
    public record NotFollowed(ProductId product, String name, Because because, boolean overrulable) {}

    /**
     * @param steps in the order that stands
     * @param notFollowed moves that a rule or a neighbour gone stopped
     */
    record Moved(List<Product> steps, List<NotFollowed> notFollowed) {}

    private Moves() {}

    /** The computed order with every move done in turn. */
    static Moved apply(StepOrder order, List<Product> sorted, List<Adjustment> byHand) {
        List<Product> steps = new ArrayList<>(sorted);
        List<NotFollowed> not = new ArrayList<>();
        for (Adjustment a : byHand) {
            Optional<Product> found =
                    sorted.stream().filter(p -> p.id().equals(a.product())).findFirst();
            if (found.isPresent() && a.move().isPresent()) {
                Product step = found.get();
                move(order, steps, step, a.move().get())
                        .ifPresent(because -> not.add(new NotFollowed(step.id(), step.name(), because, false)));
            }
        }
        return new Moved(List.copyOf(steps), List.copyOf(not));
    }

    /** Does one move, or says why not. */
    private static Optional<Because> move(StepOrder order, List<Product> steps, Product step, Adjustment.Move move) {
        List<Product> without = new ArrayList<>(steps);
        without.remove(step);
        Optional<Integer> at = move.after()
                .flatMap(id -> at(without, id))
                .map(i -> i + 1)
                .or(() -> move.before().flatMap(id -> at(without, id)));
        if (at.isEmpty()) {
            return Optional.of(Because.house(
                    "The steps that it was moved beside are no longer here, so it stands where it is computed."));
        }
        Shift shift = shift(order, steps, steps.indexOf(step), at.get());
        if (!shift.allowed()) {
            return shift.against().stream().findFirst();
        }
        if (!shift.against().isEmpty() && move.why().isBlank()) {
            return Optional.of(shift.against()
                    .getFirst()
                    .withSentence("%s To stand there all the same it needs a reason."
                            .formatted(shift.against().getFirst().sentence())));
        }
        without.add(at.get(), step);
        steps.clear();
        steps.addAll(without);
        return Optional.empty();
    }

    private static Optional<Integer> at(List<Product> steps, ProductId id) {
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).id().equals(id)) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    /** Every other place that a step could have in its routine. */
    static List<Shift> shifts(StepOrder order, List<Product> steps, int from) {
        List<Shift> all = new ArrayList<>();
        for (int to = 0; to < steps.size(); to++) {
            if (to != from) {
                all.add(shift(order, steps, from, to));
            }
        }
        return List.copyOf(all);
    }

    private static Shift shift(StepOrder order, List<Product> steps, int from, int to) {
        Product step = steps.get(from);
        Set<Because> against = new LinkedHashSet<>();
        boolean overSunscreen = false;
        for (int i = Math.min(from, to); i <= Math.max(from, to); i++) {
            if (i != from) {
                Product other = steps.get(i);
                Product first = to > from ? step : other;
                Product then = to > from ? other : step;
                order.rule(first, then).ifPresent(against::add);
                overSunscreen |= then.kind() == StepKind.SUNSCREEN && covers(first);
            }
        }
        return overSunscreen
                ? new Shift(to + 1, false, List.of(SUNSCREEN_LAST))
                : new Shift(to + 1, true, List.copyOf(against));
    }

    /** Whether it would lie on the face's sunscreen. */
    private static boolean covers(Product p) {
        return p.kind() != StepKind.EYE
                && p.kind() != StepKind.BASE
                && !p.kind().besideTheFace();
    }
}

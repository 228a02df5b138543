package outfell.routine;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import outfell.product.Product;
import outfell.product.ProductId;

/**
 * What the therapist has changed on one step by hand. A step that is changed stays in the plan.
 *
 * @param optional whether the client may leave it out on any day
 * @param on all places that it goes on; empty for the computed ones
 * @param nights on which days only; empty for the computed ones
 * @param when on which days, where nobody can say beforehand; absent for a step without a condition
 * @param secondCoat whether a second coat goes on where it is needed
 * @param words own words for the client's sheet; empty for the computed ones
 * @param move to another place in the routine
 * @param overrule why it stands against a rule that may be overruled, in her own words; empty when it does not
 * @param then what is done beside it: another step again, or one without a product
 */
public record Adjustment(
        Part part,
        ProductId product,
        boolean optional,
        Set<Coverage> on,
        List<DayOfWeek> nights,
        Optional<Condition> when,
        boolean secondCoat,
        String words,
        Optional<Move> move,
        String overrule,
        List<Then> then) {
    /** Longest own wording, in characters: what fits under a step on the sheet. */
    public static final int LONGEST_WORDS = 160;

    /** Longest reason against a rule, in characters. */
    public static final int LONGEST_REASON = 200;

    /**
     * A place beside a neighbour; when that one has left the plan, beside the other.
     *
     * @param after the step that it follows; absent for the first place
     * @param before the step that it comes before; absent for the last place
     * @param why against which rule, in her own words; empty when no rule speaks against it
     */
    public record Move(Optional<ProductId> after, Optional<ProductId> before, String why) {
        public Move {
            if (after.isEmpty() && before.isEmpty()) {
                throw new IllegalArgumentException("A moved step needs a neighbour to stand beside.");
            }
        }
    }

    /** Most that may stand beside one step. */
    public static final int MOST_BESIDE = 6;

    /** One that stands against no rule, with nothing beside it. */
    public Adjustment(
            Part part,
            ProductId product,
            boolean optional,
            Set<Coverage> on,
            List<DayOfWeek> nights,
            Optional<Condition> when,
            boolean secondCoat,
            String words,
            Optional<Move> move) {
        this(part, product, optional, on, nights, when, secondCoat, words, move, "", List.of());
    }

    public Adjustment {
        on = Set.copyOf(on);
        then = then.stream().distinct().toList();
        if (then.size() > MOST_BESIDE) {
            throw new IllegalArgumentException(
                    "Beside a step %d things may stand, not %d.".formatted(MOST_BESIDE, then.size()));
        }
        overrule = overrule.strip();
        if (overrule.length() > LONGEST_REASON) {
            throw new IllegalArgumentException(
                    "A reason may have %d characters, not %d.".formatted(LONGEST_REASON, overrule.length()));
        }
        nights = nights.stream().distinct().sorted().toList();
        if (!nights.isEmpty() && when.isPresent()) {
            throw new IllegalArgumentException("A step has days of its own or a condition, not both.");
        }
        if (words.length() > LONGEST_WORDS) {
            throw new IllegalArgumentException(
                    "Own words for the sheet may have %d characters, not %d.".formatted(LONGEST_WORDS, words.length()));
        }
    }

    /** A step as it is computed. */
    public static Adjustment none(Part part, ProductId product) {
        return new Adjustment(part, product, false, Set.of(), List.of(), Optional.empty(), false, "", Optional.empty());
    }

    /** The same on other days. */
    public Adjustment on(List<DayOfWeek> days) {
        return new Adjustment(
                part, product, optional, on, days, Optional.empty(), secondCoat, words, move, overrule, then);
    }

    /** The same on days that nobody can say beforehand. */
    public Adjustment when(Condition condition) {
        return new Adjustment(
                part,
                product,
                optional,
                on,
                List.of(),
                Optional.of(condition),
                secondCoat,
                words,
                move,
                overrule,
                then);
    }

    /** The same with this beside it, and with the reason why against a rule; empty for none. */
    public Adjustment beside(List<Then> what, String why) {
        return new Adjustment(part, product, optional, on, nights, when, secondCoat, words, move, why, what);
    }

    /**
     * Seconds of what stands beside it, as far as it is done for certain: what waits while the skin is as it is is not counted, unless a
     * reason overrules that.
     *
     * @param find the products that may come again
     */
    public int besideSeconds(Function<ProductId, Optional<Product>> find) {
        return then.stream()
                .mapToInt(t -> t.again()
                        .flatMap(find)
                        .map(p -> Amounts.of(p.kind()).handsOn())
                        .or(() -> t.alone()
                                .filter(a -> a.not().isEmpty() || !overrule.isEmpty())
                                .map(Alone::seconds))
                        .orElse(0))
                .sum();
    }

    /** A step as it is computed, on the places of another. */
    Adjustment onPlacesOf(Adjustment other) {
        return new Adjustment(part, product, false, other.on, List.of(), Optional.empty(), false, "", Optional.empty());
    }

    public static Adjustment of(List<Adjustment> all, Part part, ProductId product) {
        return all.stream()
                .filter(a -> a.part() == part && a.product().equals(product))
                .findFirst()
                .orElseGet(() -> none(part, product));
    }

    /** Hers, or where it goes without her. */
    public Where where(Where computed) {
        return on.isEmpty() ? computed : new Where(List.copyOf(on));
    }

    public int coats() {
        return secondCoat ? 2 : 1;
    }

    /** Days a week, when they are set by hand; of a step with a condition its usual number. */
    public int daysOr(int computed) {
        return when.map(Condition::usual).orElse(nights.isEmpty() ? computed : nights.size());
    }
}

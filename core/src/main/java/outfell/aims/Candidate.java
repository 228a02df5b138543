package outfell.aims;

import java.util.List;
import org.jspecify.annotations.Nullable;
import outfell.choice.Option;
import outfell.choice.Worth.Aim;
import outfell.product.Product;

/**
 * A product weighed for one slot.
 *
 * @param points what it earns or loses by itself, each with its aim and its reason
 * @param option the same in numbers, for the choice
 * @param rationed whether it has its own nights
 * @param uses nights a week when rationed; else days
 * @param beginner whether it is a strong active that is new to the client
 * @param because what it is for
 */
public record Candidate(
        Product product,
        List<Point> points,
        Option option,
        boolean rationed,
        int uses,
        boolean beginner,
        List<Benefits.Help> because) {

    /**
     * @param reason the merit in words, with its figure where it has one
     * @param points earned, or lost when negative
     */
    public record Point(Aim aim, Merit merit, String reason, double points) {
        Point(Aim aim, Merit merit, double points) {
            this(aim, merit, merit.words(), points);
        }
    }

    /** One weighing is one candidate: two are the same only when they are one. */
    @Override
    public boolean equals(@Nullable Object other) {
        return this == other;
    }

    @Override
    public int hashCode() {
        return option.thing();
    }

    double takes(Scarcity of) {
        return option.takes()[of.ordinal()];
    }
}

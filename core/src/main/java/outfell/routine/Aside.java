package outfell.routine;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Optional;
import outfell.knowledge.Because;
import outfell.product.ProductId;
import outfell.product.StepKind;

/**
 * What is done straight before or after a step and needs no bottle of its own: a step once more, or hands, a cloth, a spoon.
 *
 * @param before whether it comes before the step, not after it
 * @param again the step that is repeated; absent for one without a product
 * @param number of the step that is repeated, else of the step that it goes with
 * @param kind of the same
 * @param name of the step that is repeated; empty for one without a product
 * @param told short: "then 2 again", "first wash hands"
 * @param how in words for the sheet: "1 splash into the palm"
 * @param seconds hands on
 * @param ofItsOwn whether these are seconds that the repeated step has anyway, only at another place
 * @param grams that the repeated step takes more for it
 * @param nights on which it is done
 * @param aWeek days a week that it is counted at
 * @param byHand whether the therapist has put it there
 */
public record Aside(
        boolean before,
        Optional<ProductId> again,
        int number,
        StepKind kind,
        String name,
        String told,
        String how,
        int seconds,
        boolean ofItsOwn,
        double grams,
        List<DayOfWeek> nights,
        int aWeek,
        boolean byHand,
        Because because) {
    /** Whether it repeats one of these steps; one without a product always may be done. */
    boolean among(List<ProductId> done) {
        return again.map(done::contains).orElse(true);
    }

    Aside on(List<DayOfWeek> days) {
        return new Aside(
                before, again, number, kind, name, told, how, seconds, ofItsOwn, grams, days, aWeek, byHand, because);
    }

    boolean repeats(ProductId product) {
        return again.filter(product::equals).isPresent();
    }
}

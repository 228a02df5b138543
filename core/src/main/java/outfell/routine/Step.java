package outfell.routine;

import java.time.DayOfWeek;
import java.util.List;
import outfell.knowledge.Because;
import outfell.product.Composition;
import outfell.product.ProductId;
import outfell.product.StepKind;

/**
 * One product applied, with all that the client needs to do it and the therapist to defend it.
 *
 * @param number from 1 within its routine
 * @param texture 1 to 8
 * @param shares the four bands it is drawn in
 * @param letter of its leading active; empty for none
 * @param left for a comes-off step: share of the day still on the skin after it, 0 to 1; else 0
 * @param damp whether the skin should be damp
 * @param handsOn seconds
 * @param contact seconds it stays before it is rinsed
 * @param settle seconds before the next step
 * @param settleBecause why; its sentence is empty of meaning when there is no wait
 * @param nights on which evenings it may be; all seven for a daily step
 * @param aWeek days a week that it is counted at
 * @param often how often, in words, where its nights do not come by weekday or a condition is upon it; else empty
 * @param nightsBecause why these
 * @param part words for a step that does not cover the whole face; empty for the whole face
 * @param toldWhere its places as the sheet tells them; empty where they go without saying
 * @param rest places that get what is left on the hands
 * @param leftOut places that others put it on, each with why not here
 * @param zones what a part of the face gets of it that the rest does not
 * @param owned whether it stands on the client's own shelf
 * @param place why it stands here
 * @param does what it does for the client, in six words at most
 * @param purpose what it is for, most weighty first
 * @param heed what of it is to be read before it is used on this skin
 * @param tools what it is done with beside the product, and when not
 * @param pack what its pack directs, which binds it
 * @param feel how it should not feel, and what to do then
 * @param next why it stands before the step after it; for the last step why nothing follows
 * @param hand what is hers and not computed
 * @param shifts every other place that it could have in its routine
 */
public record Step(
        int number,
        ProductId product,
        String name,
        String maker,
        StepKind kind,
        String kindLabel,
        double texture,
        Composition.Shares shares,
        String letter,
        boolean comesOff,
        double left,
        Amounts.Amount amount,
        String technique,
        boolean damp,
        int handsOn,
        int contact,
        int settle,
        Because settleBecause,
        List<DayOfWeek> nights,
        int aWeek,
        String often,
        Because nightsBecause,
        String part,
        String toldWhere,
        List<Coverage> rest,
        List<NotOn> leftOut,
        List<Because> zones,
        boolean owned,
        boolean prescription,
        Because place,
        String does,
        List<Because> purpose,
        List<Because> heed,
        List<Because> tools,
        List<Aside> then,
        List<Because> pack,
        List<Feel> feel,
        Because next,
        Hand hand,
        List<Moves.Shift> shifts) {
    /**
     * What the therapist has changed on it.
     *
     * @param kept whether planning again keeps it
     * @param on names of the {@link Coverage}s that it goes on; empty for the computed ones
     * @param when its condition, in words; empty when it has none
     * @param words her own for the sheet; empty for the computed ones
     * @param movedBecause her reason for another place; empty when it was not moved against a rule
     * @param overrule her reason why it stands at all, against a rule; empty where none speaks against it
     */
    public record Hand(
            boolean kept,
            boolean optional,
            List<String> on,
            boolean nightsSet,
            String when,
            boolean secondCoat,
            String words,
            boolean moved,
            String movedBecause,
            String overrule) {
        /** Nothing by hand. */
        public static final Hand NONE = new Hand(false, false, List.of(), false, "", false, "", false, "", "");

        static Hand of(Adjustment a, boolean kept) {
            return new Hand(
                    kept,
                    a.optional(),
                    a.on().stream().sorted().map(Enum::name).toList(),
                    !a.nights().isEmpty(),
                    a.when().map(w -> w.kind().words()).orElse(""),
                    a.secondCoat(),
                    a.words(),
                    a.move().isPresent(),
                    a.move().map(Adjustment.Move::why).orElse(""),
                    a.overrule());
        }
    }

    /** A place that it does not go on. */
    public record NotOn(Coverage place, Because because) {}

    public boolean everyDay() {
        return nights.size() == 7;
    }
}

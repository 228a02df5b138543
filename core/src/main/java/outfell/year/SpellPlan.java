package outfell.year;

import java.time.LocalDate;
import java.util.List;
import outfell.climate.Air;
import outfell.knowledge.Because;

/**
 * What a spell makes of the plan that stands then: only of what is in the house, for a few days buy nothing.
 *
 * @param label "a flight"
 * @param from the first of its days
 * @param until the last of them
 * @param quietFrom the first day on which something is off for it
 * @param quietUntil the last such day
 * @param air of its days
 * @param lines what is added, rests, or is done again
 * @param says what the client is told beside it
 * @param pack what goes into the bag, and what has to be filled into something smaller; empty where nothing is packed
 */
public record SpellPlan(
        String id,
        String label,
        LocalDate from,
        LocalDate until,
        LocalDate quietFrom,
        LocalDate quietUntil,
        Air air,
        List<SpellLine> lines,
        List<Because> says,
        List<Packed> pack) {
    public SpellPlan {
        lines = List.copyOf(lines);
        says = List.copyOf(says);
        pack = List.copyOf(pack);
    }

    /** What is done. */
    public enum What {
        RESTS,
        ADDED,
        AGAIN,
        NOTHING_NEW,
        STAYS
    }

    /** One thing that is otherwise for those days. */
    public record SpellLine(What what, String words, Because because) {}

    /**
     * One thing for the bag.
     *
     * @param decant whether its pack is too large and it is filled into a smaller one
     */
    public record Packed(String name, boolean decant, String words) {}
}

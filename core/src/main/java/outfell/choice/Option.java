package outfell.choice;

import java.util.Arrays;

/**
 * One thing that may fill a place.
 *
 * @param thing number of the thing; one that fills two places is one bottle, and helps once
 * @param grades how well it serves each of the first wants: 0 not, 1 somewhat, 2 well
 * @param helps points that it brings to each want, first or later; 0 where it does nothing
 * @param on the wants that it helps at all
 * @param by for each want, the number of what helps: a second help by the same counts less
 * @param comfort points of the aim of comfort
 * @param school points of what the school asks for
 * @param refinement points of its own among the refinements
 * @param thrift what it costs of everything that is saved, as a negative number
 * @param bottle what one more bottle weighs in thrift, 0 for one that is owned; counted once a thing
 * @param takes of each limit, in the order of the problem's limits
 * @param atLeast of a limit a thing, whatever the amount: packs go past their time
 * @param nightly whether it has its own nights, on which no other nightly thing stands
 * @param held bits of what it leaves behind
 * @param notInPlan bits of what may not stand in one plan with it
 * @param notInRoutine bits of what may not stand in one routine with it
 * @param rank for places in which one may not outrank the other
 */
public record Option(
        int thing,
        int[] grades,
        double[] helps,
        int[] on,
        int[] by,
        double comfort,
        double school,
        double refinement,
        double thrift,
        double bottle,
        double[] takes,
        double atLeast,
        boolean nightly,
        long held,
        long notInPlan,
        long notInRoutine,
        double rank) {

    /** What it brings at most: every help counted whole. */
    double most() {
        return refinement + Arrays.stream(helps).sum();
    }

    /** Whether both may stand in one plan, or in one routine. */
    public boolean bears(Option other, boolean sameRoutine) {
        return (notInPlan & other.held) == 0
                && (other.notInPlan & held) == 0
                && !(sameRoutine && ((notInRoutine & other.held) != 0 || (other.notInRoutine & held) != 0));
    }

    /** The same, minding and leaving behind only what matters to another. */
    Option minding(long minded, long left) {
        return new Option(
                thing,
                grades,
                helps,
                on,
                by,
                comfort,
                school,
                refinement,
                thrift,
                bottle,
                takes,
                atLeast,
                nightly,
                held & minded,
                notInPlan & left,
                notInRoutine & left,
                rank);
    }

    // arrays make the generated ones compare identities anyway; two weighings are the same only when they are one
    @Override
    public boolean equals(@org.jspecify.annotations.Nullable Object other) {
        return this == other;
    }

    @Override
    public int hashCode() {
        return thing;
    }
}

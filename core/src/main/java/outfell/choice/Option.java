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
 * @param bottles that have to be bought for it, once a thing
 * @param costs what it takes of everything that is saved
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
        int bottles,
        Costs costs,
        double[] takes,
        double atLeast,
        boolean nightly,
        long held,
        long notInPlan,
        long notInRoutine,
        double rank) {

    /**
     * What one more thing in a place costs, in the order in which it is saved.
     *
     * @param harshness the opposite of mildness
     * @param name a number of its own, by which ties end
     */
    public record Costs(double steps, double money, double harshness, double name) {}

    /** Whether both may stand in one plan, or in one routine. */
    public boolean bears(Option other, boolean sameRoutine) {
        return (notInPlan & other.held) == 0
                && (other.notInPlan & held) == 0
                && !(sameRoutine && ((notInRoutine & other.held) != 0 || (other.notInRoutine & held) != 0));
    }

    /** Whether another has the same figures throughout. */
    boolean says(Option other) {
        return thing == other.thing
                && Arrays.equals(grades, other.grades)
                && Arrays.equals(helps, other.helps)
                && Arrays.equals(on, other.on)
                && Arrays.equals(by, other.by)
                && comfort == other.comfort
                && school == other.school
                && refinement == other.refinement
                && bottles == other.bottles
                && costs.equals(other.costs)
                && Arrays.equals(takes, other.takes)
                && atLeast == other.atLeast
                && nightly == other.nightly
                && held == other.held
                && notInPlan == other.notInPlan
                && notInRoutine == other.notInRoutine
                && rank == other.rank;
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

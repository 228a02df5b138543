package outfell.choice;

import java.util.Arrays;
import java.util.List;

/**
 * What a row takes at once: one option, or two of a pair of places.
 *
 * @param places where each stands; -1 for the next place of the row that is open
 * @param routines of each
 */
record Unit(int[] places, int[] routines, Option[] options) {
    static Unit at(int place, int routine, Option o) {
        return new Unit(new int[] {place}, new int[] {routine}, new Option[] {o});
    }

    Unit with(Unit other) {
        return new Unit(
                new int[] {places[0], other.places[0]},
                new int[] {routines[0], other.routines[0]},
                new Option[] {options[0], other.options[0]});
    }

    /** The same bottle in both places. */
    boolean twice() {
        return options.length == 2 && options[0].thing() == options[1].thing();
    }

    /** Every thing in it once. */
    List<Option> things() {
        return twice() ? List.of(options[0]) : List.of(options);
    }

    int grade(int want) {
        int most = 0;
        for (Option o : options) {
            most = Math.max(most, o.grades()[want]);
        }
        return most;
    }

    // arrays make the generated ones compare identities anyway
    @Override
    public boolean equals(@org.jspecify.annotations.Nullable Object other) {
        return this == other;
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(options);
    }

    @Override
    public String toString() {
        return Arrays.toString(options);
    }
}

package outfell.choice;

import java.util.List;

/**
 * A place in one of the routines, which one option may fill.
 *
 * @param routine number of the routine
 * @param needed whether a plan without it is none
 * @param like places of one number are interchangeable, and share their options
 * @param under number of the place in which nothing may rank below what stands here; -1 for none
 */
public record Place(int routine, boolean needed, int like, int under, List<Option> options) {
    public Place {
        options = List.copyOf(options);
    }

    boolean says(Place other) {
        if (routine != other.routine
                || needed != other.needed
                || like != other.like
                || under != other.under
                || options.size() != other.options.size()) {
            return false;
        }
        for (int i = 0; i < options.size(); i++) {
            if (!options.get(i).says(other.options.get(i))) {
                return false;
            }
        }
        return true;
    }

    /** The same with other options. */
    Place with(List<Option> others) {
        return new Place(routine, needed, like, under, others);
    }

    /** The same, but a plan without it is one too. */
    public Place optional() {
        return new Place(routine, false, like, under, options);
    }
}

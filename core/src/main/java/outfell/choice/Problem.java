package outfell.choice;

import java.util.ArrayList;
import java.util.List;

/**
 * Places to fill, and what there is to keep to.
 *
 * @param firsts how many of the wants come first, each before the next
 * @param wants how many there are in all
 * @param things how many things there are to number
 * @param another share that a second help for one want counts, by another
 * @param same times the share above when it is the same again
 * @param alike points of refinement that make no difference
 */
public record Problem(
        List<Place> places,
        List<Limit> limits,
        int firsts,
        int wants,
        int things,
        double another,
        double same,
        double alike) {
    public Problem {
        places = List.copyOf(places);
        limits = List.copyOf(limits);
    }

    /** Whether another has the same figures throughout, whoever they are of. */
    boolean says(Problem other) {
        if (!limits.equals(other.limits)
                || firsts != other.firsts
                || wants != other.wants
                || things != other.things
                || another != other.another
                || same != other.same
                || alike != other.alike
                || places.size() != other.places.size()) {
            return false;
        }
        for (int p = 0; p < places.size(); p++) {
            if (!places.get(p).says(other.places.get(p))) {
                return false;
            }
        }
        return true;
    }

    /** The same with other limits. */
    public Problem within(List<Limit> others) {
        return new Problem(places, others, firsts, wants, things, another, same, alike);
    }

    /** The same with one limit set anew. */
    public Problem with(int limit, double most) {
        List<Limit> others = new ArrayList<>(limits);
        Limit old = others.get(limit);
        others.set(limit, new Limit(old.sums(), old.routine(), most));
        return within(others);
    }

    /** The same with other places. */
    public Problem over(List<Place> others) {
        return new Problem(others, limits, firsts, wants, things, another, same, alike);
    }
}

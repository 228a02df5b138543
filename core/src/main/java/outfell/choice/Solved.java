package outfell.choice;

import java.util.ArrayList;
import java.util.List;

/**
 * Choices that were found before: a problem with the same figures in every place has the same, and is not searched again. Not for two
 * threads at once.
 */
public final class Solved {
    private record Known(Problem problem, Choice.Found found) {}

    private final List<Known> all = new ArrayList<>();

    /**
     * The choice of a problem, as {@link Choice#of} finds it.
     *
     * @param patience asked at every node; it throws when nobody waits any more
     * @return its options may be those of the problem that was the same; a thing has the same number in both
     */
    public Choice.Found of(Problem problem, Runnable patience) {
        for (Known known : all) {
            if (known.problem().says(problem)) {
                return known.found();
            }
        }
        Choice.Found found = Choice.of(problem, patience);
        all.add(new Known(problem, found));
        return found;
    }
}

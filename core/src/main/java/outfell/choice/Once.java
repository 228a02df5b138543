package outfell.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * Things of which no best plan has two. A thing helps once: where it stands already, it stands a second time only for what it
 * brings there by itself. Where that is nothing, and nobody needs the place, the plan without it saves a step.
 */
final class Once {
    private record At(Place place, Option option) {}

    private Once() {}

    static Set<Integer> of(Problem problem) {
        Map<Integer, List<At>> things = new TreeMap<>();
        for (Place place : problem.places()) {
            for (Option o : place.options()) {
                List<At> all = things.computeIfAbsent(o.thing(), _ -> new ArrayList<>());
                if (all.stream().noneMatch(a -> a.place().like() == place.like())) {
                    all.add(new At(place, o));
                }
            }
        }
        Set<Integer> once = new HashSet<>();
        things.forEach((thing, all) -> {
            long more = all.stream().filter(a -> !idle(a)).count();
            if (more <= 1
                    && all.stream()
                            .allMatch(a -> alike(a.option(), all.getFirst().option()))) {
                once.add(thing);
            }
        });
        return once;
    }

    private static boolean idle(At at) {
        Option o = at.option();
        return !at.place().needed()
                && o.comfort() <= 0
                && o.school() <= 0
                && o.refinement() <= 0
                && o.costs().steps() > 0;
    }

    private static boolean alike(Option a, Option b) {
        return Arrays.equals(a.helps(), b.helps())
                && Arrays.equals(a.grades(), b.grades())
                && Arrays.equals(a.by(), b.by());
    }
}

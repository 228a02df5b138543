package outfell.choice;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import java.util.function.Predicate;

/**
 * Places that are decided together: interchangeable ones, of which no two hold the same thing; or a pair in two routines that
 * may share a bottle.
 *
 * @param places their numbers, the needed ones first
 * @param size how many units it takes at most
 * @param needed how many units a plan cannot be without
 */
record Row(List<Integer> places, int size, int needed, List<Unit> units) {
    Row {
        places = List.copyOf(places);
        units = List.copyOf(units);
    }

    /** The rows of interchangeable places. */
    static List<Row> of(Problem problem) {
        TreeMap<Integer, List<Integer>> alike = new TreeMap<>();
        for (int p = 0; p < problem.places().size(); p++) {
            alike.computeIfAbsent(problem.places().get(p).like(), _ -> new ArrayList<>())
                    .add(p);
        }
        return alike.values().stream()
                .map(places -> {
                    places.sort(Comparator.comparing(
                            (Integer p) -> !problem.places().get(p).needed()));
                    int needed = (int) places.stream()
                            .filter(p -> problem.places().get(p).needed())
                            .count();
                    Place first = problem.places().get(places.getFirst());
                    List<Unit> units = first.options().stream()
                            .map(o -> Unit.at(places.size() == 1 ? places.getFirst() : -1, first.routine(), o))
                            .toList();
                    return new Row(places, places.size(), needed, units);
                })
                .toList();
    }

    /** Whether it is one place alone. */
    boolean single() {
        return places.size() == 1;
    }

    /** Two single places as one row: every pair that may stand. */
    Row with(Row other, Problem problem) {
        int p = places.getFirst();
        int q = other.places.getFirst();
        List<Unit> all = new ArrayList<>();
        for (Unit a : units) {
            for (Unit b : other.units) {
                if (mayStand(problem, p, a.options()[0], q, b.options()[0])) {
                    all.add(a.with(b));
                }
            }
            if (other.needed == 0) {
                all.add(a);
            }
        }
        if (needed == 0) {
            all.addAll(other.units);
        }
        return new Row(List.of(p, q), 1, Math.max(needed, other.needed), all);
    }

    private static boolean mayStand(Problem problem, int p, Option a, int q, Option b) {
        Place first = problem.places().get(p);
        Place second = problem.places().get(q);
        return a.bears(b, first.routine() == second.routine())
                && !(first.under() == q && a.rank() > b.rank())
                && !(second.under() == p && b.rank() > a.rank());
    }

    Row only(Predicate<Unit> which) {
        return new Row(places, size, needed, units.stream().filter(which).toList());
    }

    /** Numbers of the things that may stand in it. */
    BitSet things() {
        BitSet things = new BitSet();
        for (Unit unit : units) {
            for (Option o : unit.options()) {
                things.set(o.thing());
            }
        }
        return things;
    }
}

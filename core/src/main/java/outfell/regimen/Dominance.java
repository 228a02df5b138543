package outfell.regimen;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import outfell.product.StepKind;

/**
 * Drops candidates that others of their kind beat wherever they could stand: as many others as there are slots of the kind,
 * so that one of them stands nowhere yet and may take the place.
 */
final class Dominance {
    private final Scarce[] scarce;
    private final double sameKind;

    Dominance(Limits limits, Yardstick yardstick) {
        this.scarce = limits.inOrder();
        this.sameKind = yardstick.secondOfSameKind();
    }

    /** By number of a product the numbers of those that beat it wherever it could stand. */
    static Map<Integer, int[]> beaters(List<Slot> slots, Limits limits, Yardstick yardstick) {
        Dominance dominance = new Dominance(limits, yardstick);
        Map<Integer, int[]> all = new HashMap<>();
        slots.stream().collect(Collectors.groupingBy(Slot::kind)).values().forEach(of -> {
            List<Candidate[]> rows = rows(lists(of));
            for (int r = 0; r < rows.size(); r++) {
                Candidate[] mine = rows.get(r);
                int[] by = rows.subList(0, r).stream()
                        .filter(o -> dominance.beats(o, mine))
                        .mapToInt(Dominance::number)
                        .toArray();
                all.put(number(mine), by);
            }
        });
        return all;
    }

    private static List<List<Candidate>> lists(List<Slot> slots) {
        return slots.stream()
                .map(Slot::candidates)
                .filter(l -> l.size() > 1)
                .distinct()
                .toList();
    }

    /** Each product as a candidate in every list; absent where it is none. Best first. */
    private static List<Candidate[]> rows(List<List<Candidate>> lists) {
        Map<Integer, Candidate[]> wherever = new HashMap<>();
        for (int l = 0; l < lists.size(); l++) {
            for (Candidate c : lists.get(l)) {
                wherever.computeIfAbsent(c.number(), _ -> new Candidate[lists.size()])[l] = c;
            }
        }
        return wherever.values().stream()
                .sorted(Comparator.comparingDouble((Candidate[] row) -> -most(row))
                        .thenComparing(Dominance::number))
                .toList();
    }

    /** For each slot whether each of its candidates stays; slots alike keep the same. */
    List<Slot> prune(List<Slot> slots) {
        Map<StepKind, List<Slot>> kinds = slots.stream().collect(Collectors.groupingBy(Slot::kind));
        Map<StepKind, Set<Integer>> beaten = new HashMap<>();
        kinds.forEach((kind, of) -> beaten.put(kind, beaten(of)));
        return Slot.keeping(slots, (s, c) -> {
            Slot slot = slots.get(s);
            return slot.candidates().size() == 1
                    || !beaten.getOrDefault(slot.kind(), Set.of()).contains(c.number());
        });
    }

    private Set<Integer> beaten(List<Slot> slots) {
        Set<Integer> beaten = new HashSet<>();
        List<Candidate[]> rows = rows(lists(slots));
        for (int r = 0; r < rows.size(); r++) {
            int by = 0;
            for (int o = 0; o < r && by < slots.size(); o++) {
                by += beats(rows.get(o), rows.get(r)) ? 1 : 0;
            }
            if (by == slots.size()) {
                beaten.add(number(rows.get(r)));
            }
        }
        return beaten;
    }

    private static double most(Candidate[] row) {
        double most = Double.NEGATIVE_INFINITY;
        for (Candidate c : row) {
            most = c == null ? most : Math.max(most, c.own());
        }
        return most;
    }

    private static int number(Candidate[] row) {
        for (Candidate c : row) {
            if (c != null) {
                return c.number();
            }
        }
        throw new IllegalStateException("A row without a candidate.");
    }

    private boolean beats(Candidate[] one, Candidate[] other) {
        for (int l = 0; l < other.length; l++) {
            if (other[l] != null && (one[l] == null || !one[l].dominates(other[l], scarce, sameKind))) {
                return false;
            }
        }
        return true;
    }
}

package outfell.choice;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import outfell.choice.Worth.Aim;

/**
 * What others can stand for, as far as one goal and those before it tell: where a better one does not stand yet, none that it
 * beats needs to be tried. Later goals may tell them apart again.
 */
final class Beaten {
    private static final Aim[] AIMS = Aim.values();
    /** What sums of fractions may be off by. */
    private static final double OFF = 1e-9;

    private final Problem problem;
    private final List<Row> rows;
    private final Lines lines;
    private final Goal goal;
    /** Rows whose things stand nowhere else. */
    private final boolean[] closed;

    private final BitSet[] things;
    /** Rows with a place that may not outrank, or be outranked by, one in another row. */
    private final boolean[] ranked;
    /** Bits of what anybody leaves behind, and of what anybody minds: what nothing minds parts nobody. */
    private long held;

    private long minded;

    Beaten(Problem problem, List<Row> rows, Lines lines, Goal goal) {
        this.problem = problem;
        this.rows = rows;
        this.lines = lines;
        this.goal = goal;
        this.closed = new boolean[rows.size()];
        this.ranked = new boolean[rows.size()];
        this.things = new BitSet[rows.size()];
        for (int r = 0; r < rows.size(); r++) {
            things[r] = rows.get(r).things();
            for (Unit unit : rows.get(r).units()) {
                for (Option o : unit.options()) {
                    held |= o.held();
                    minded |= o.notInPlan() | o.notInRoutine();
                }
            }
        }
        for (int r = 0; r < closed.length; r++) {
            closed[r] = true;
            for (int q = 0; q < closed.length; q++) {
                closed[r] &= q == r || !things[r].intersects(things[q]);
            }
            ranked[r] = ranked(rows.get(r).places());
        }
    }

    private boolean ranked(List<Integer> places) {
        for (int p = 0; p < problem.places().size(); p++) {
            int under = problem.places().get(p).under();
            if (under >= 0 && places.contains(p) != places.contains(under)) {
                return true;
            }
        }
        return false;
    }

    /** Whether a row takes one unit whose things stand nowhere else: then what is beaten there is not needed at all. */
    boolean alone(int r) {
        return closed[r] && rows.get(r).size() == 1;
    }

    /** How many places there are in the rows after one where some of its things may stand. */
    int later(int r) {
        int places = 0;
        for (int q = r + 1; q < things.length; q++) {
            places += things[r].intersects(things[q]) ? rows.get(q).size() : 0;
        }
        return places;
    }

    /** Of some units of a row that is alone, what no other of them beats. */
    List<Integer> unbeaten(int r, List<Unit> units) {
        List<Integer> kept = new ArrayList<>();
        for (int i = 0; i < units.size(); i++) {
            Unit unit = units.get(i);
            if (kept.stream().noneMatch(k -> asGood(r, units.get(k), unit))) {
                kept.add(i);
            }
        }
        return kept;
    }

    /** For each thing in rows that are not alone, the things that beat it wherever it may stand. */
    Map<Integer, int[]> dominators() {
        Map<Integer, Map<Integer, Option>> things = new TreeMap<>();
        for (int r = 0; r < rows.size(); r++) {
            if (!alone(r)) {
                for (Unit unit : rows.get(r).units()) {
                    if (unit.options().length == 1) {
                        Option o = unit.options()[0];
                        things.computeIfAbsent(o.thing(), _ -> new TreeMap<>()).put(r, o);
                    }
                }
            }
        }
        Map<Integer, int[]> all = new HashMap<>();
        things.forEach((b, at) -> {
            int[] better = things.entrySet().stream()
                    .filter(a -> !a.getKey().equals(b) && beats(a.getKey(), a.getValue(), b, at))
                    .mapToInt(Map.Entry::getKey)
                    .toArray();
            all.put(b, better);
        });
        return all;
    }

    private boolean beats(int a, Map<Integer, Option> mine, int b, Map<Integer, Option> theirs) {
        boolean better = asGood(mine, theirs);
        return better && (a < b || !asGood(theirs, mine));
    }

    /** Whether one thing can stand for another wherever that may stand. */
    private boolean asGood(Map<Integer, Option> a, Map<Integer, Option> b) {
        return b.entrySet().stream().allMatch(e -> {
            Option mine = a.get(e.getKey());
            return mine != null && asGood(e.getKey(), mine, e.getValue());
        });
    }

    private boolean asGood(int r, Option a, Option b) {
        for (int l = 0; l < a.takes().length; l++) {
            if (a.takes()[l] > b.takes()[l]) {
                return false;
            }
        }
        return a.atLeast() <= b.atLeast() && brings(Unit.at(-1, -1, a), Unit.at(-1, -1, b)) && meets(r, a, b);
    }

    /** Whether one unit can stand for another in a row that is alone. */
    private boolean asGood(int r, Unit a, Unit b) {
        // alone in their row both take just what the lines say
        return lines.takesNoMore(a, b) && brings(a, b) && meets(r, a, b);
    }

    private boolean brings(Unit a, Unit b) {
        for (int w = 0; w < problem.firsts(); w++) {
            if (a.grade(w) < b.grade(w)) {
                return false;
            }
        }
        for (Aim aim : AIMS) {
            if (aim.compareTo(goal.aim()) > 0) {
                break;
            }
            boolean enough = switch (aim) {
                case WANTS -> true;
                case REFINEMENT -> refined(a, b) >= -OFF;
                default -> ahead(aim, a, b) >= -OFF;
            };
            if (!enough) {
                return false;
            }
        }
        return goal.then().isEmpty() || ahead(goal.aim(), a, b) > OFF || brings(goal.then(), a, b);
    }

    private double ahead(Aim aim, Unit a, Unit b) {
        return lines.adds(aim, a) - lines.adds(aim, b);
    }

    /** Whether it is as good in aims of which the first in which they part decides. */
    private boolean brings(List<Aim> aims, Unit a, Unit b) {
        for (Aim aim : aims) {
            double ahead = ahead(aim, a, b);
            if (Math.abs(ahead) > OFF) {
                return ahead > 0;
            }
        }
        return true;
    }

    /** By how much the first is surely ahead in refinement. */
    private double refined(Unit a, Unit b) {
        double ahead = 0;
        for (Option o : a.options()) {
            ahead += o.refinement();
        }
        for (Option o : b.options()) {
            ahead -= o.refinement();
        }
        List<Option> mine = a.things();
        List<Option> theirs = b.things();
        for (int i = 0; i < theirs.size(); i++) {
            Option their = theirs.get(i);
            for (int w : their.on()) {
                double sure = 0;
                if (i < mine.size()) {
                    Option my = mine.get(i);
                    // by another kind of help it may be the one that counts less as a repetition
                    sure = my.by()[w] == their.by()[w] ? my.helps()[w] : problem.same() * my.helps()[w];
                }
                ahead -= Math.max(0, their.helps()[w] - sure);
            }
        }
        return ahead;
    }

    private boolean meets(int r, Unit a, Unit b) {
        for (int i = 0; i < a.options().length; i++) {
            Option mine = a.options()[i];
            Option their = at(b, a.places()[i]);
            if (their == null ? minds(mine) : !meets(r, mine, their)) {
                return false;
            }
        }
        return true;
    }

    /** Whether it matters to anybody that it stands. */
    private boolean minds(Option o) {
        return o.nightly() || (o.held() & minded) != 0 || ((o.notInPlan() | o.notInRoutine()) & held) != 0;
    }

    private boolean meets(int r, Option a, Option b) {
        return a.nightly() == b.nightly()
                && !(ranked[r] && a.rank() != b.rank())
                && subset(a.held() & minded, b.held())
                && subset(a.notInPlan() & held, b.notInPlan())
                && subset(a.notInRoutine() & held, b.notInRoutine());
    }

    private static @Nullable Option at(Unit unit, int place) {
        for (int i = 0; i < unit.places().length; i++) {
            if (unit.places()[i] == place) {
                return unit.options()[i];
            }
        }
        return null;
    }

    private static boolean subset(long a, long b) {
        return (a & ~b) == 0;
    }
}

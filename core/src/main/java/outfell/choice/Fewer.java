package outfell.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import outfell.choice.Worth.Aim;

/**
 * Leaves out options that others can always stand for: no choice becomes worse by it, as far as the aims up to one tell. An
 * option goes when more others beat it than could be in use elsewhere.
 */
final class Fewer {
    private final Problem problem;
    private final Aim upTo;

    private Fewer(Problem problem, Aim upTo) {
        this.problem = problem;
        this.upTo = upTo;
    }

    static Problem of(Problem problem, Aim upTo) {
        Problem masked = problem.over(masked(problem.places()));
        Set<Integer> left = new Fewer(masked, upTo).left();
        return masked.over(masked.places().stream()
                .map(p -> p.with(p.options().stream()
                        .filter(o -> left.contains(o.thing()))
                        .toList()))
                .toList());
    }

    /** What nothing minds is forgotten, else near-equal options never stand for each other. */
    private static List<Place> masked(List<Place> places) {
        long held = 0;
        long minded = 0;
        for (Place place : places) {
            for (Option o : place.options()) {
                held |= o.held();
                minded |= o.notInPlan() | o.notInRoutine();
            }
        }
        List<Place> all = new ArrayList<>();
        for (Place place : places) {
            List<Option> options = new ArrayList<>();
            for (Option o : place.options()) {
                options.add(o.minding(minded, held));
            }
            all.add(place.with(options));
        }
        return all;
    }

    /** Each thing with the option that it is in each place. */
    private Map<Integer, Map<Integer, Option>> things() {
        Map<Integer, Map<Integer, Option>> things = new TreeMap<>();
        for (int p = 0; p < problem.places().size(); p++) {
            for (Option o : problem.places().get(p).options()) {
                things.computeIfAbsent(o.thing(), _ -> new TreeMap<>()).put(p, o);
            }
        }
        return things;
    }

    private Set<Integer> left() {
        Map<Integer, Map<Integer, Option>> things = things();
        Set<Integer> left = new HashSet<>();
        things.forEach((thing, where) -> {
            int enough = enough(where);
            int beaten = 0;
            int first = where.keySet().iterator().next();
            for (Option a : problem.places().get(first).options()) {
                if (a.thing() != thing && beaten < enough && beats(things.getOrDefault(a.thing(), Map.of()), where)) {
                    beaten++;
                }
            }
            if (beaten < enough) {
                left.add(thing);
            }
        });
        return left;
    }

    /** Whether one thing can stand for another wherever that may stand. */
    private boolean beats(Map<Integer, Option> a, Map<Integer, Option> b) {
        return b.entrySet().stream().allMatch(e -> {
            Option other = a.get(e.getKey());
            return other != null && beats(problem.places().get(e.getKey()), other, e.getValue());
        });
    }

    /**
     * How many that beat it make a thing needless: of what helps nothing that counts, as many as one row has places; of what
     * helps, as many as there are places in which those might help already.
     */
    private int enough(Map<Integer, Option> where) {
        Option any = where.values().iterator().next();
        boolean helps = upTo.compareTo(Aim.REFINEMENT) < 0
                ? where.values().stream()
                        .anyMatch(o -> Arrays.stream(o.grades()).anyMatch(g -> g > 0))
                : any.on().length > 0;
        return helps
                ? where.keySet().stream().mapToInt(this::related).max().orElse(1)
                : where.keySet().stream().mapToInt(this::row).max().orElse(1);
    }

    private int row(int place) {
        int like = problem.places().get(place).like();
        return (int) problem.places().stream().filter(p -> p.like() == like).count();
    }

    /** In how many places an option of this place, or one that beats it, might stand. */
    private int related(int place) {
        Set<Integer> things = new HashSet<>();
        problem.places().get(place).options().forEach(o -> things.add(o.thing()));
        return (int) problem.places().stream()
                .filter(p -> p.options().stream().anyMatch(o -> things.contains(o.thing())))
                .count();
    }

    private boolean beats(Place place, Option a, Option b) {
        if (a.nightly() != b.nightly()
                || a.atLeast() > b.atLeast()
                || !subset(a.held(), b.held())
                || !subset(a.notInPlan(), b.notInPlan())
                || !subset(a.notInRoutine(), b.notInRoutine())
                || (ranked(place) && a.rank() != b.rank())) {
            return false;
        }
        for (int r = 0; r < a.takes().length; r++) {
            if (a.takes()[r] > b.takes()[r]) {
                return false;
            }
        }
        for (int w = 0; w < a.grades().length; w++) {
            if (a.grades()[w] < b.grades()[w]) {
                return false;
            }
        }
        // the number decides between two that are as good, so that they do not beat each other
        return asGood(a, b, a.thing() < b.thing());
    }

    private boolean asGood(Option a, Option b, boolean first) {
        boolean comfort = upTo.compareTo(Aim.COMFORT) < 0 || a.comfort() >= b.comfort();
        boolean school = upTo.compareTo(Aim.SCHOOL) < 0 || a.school() >= b.school();
        if (!comfort || !school) {
            return false;
        }
        if (upTo.compareTo(Aim.REFINEMENT) < 0) {
            return first || better(a, b);
        }
        double ahead = a.refinement() - b.refinement();
        for (int w = 0; w < a.helps().length && ahead >= 0; w++) {
            // by another kind of help it may be the one that counts less as a repetition
            double sure = a.by()[w] == b.by()[w] ? a.helps()[w] : problem.same() * a.helps()[w];
            ahead -= Math.max(0, b.helps()[w] - sure);
        }
        if (ahead < 0) {
            return false;
        }
        return upTo.compareTo(Aim.THRIFT) < 0
                ? first || better(a, b)
                : a.thrift() > b.thrift() && a.bottle() <= b.bottle();
    }

    /** Strictly better in an aim that counts here. */
    private boolean better(Option a, Option b) {
        boolean serves = false;
        for (int w = 0; w < a.grades().length; w++) {
            serves |= a.grades()[w] > b.grades()[w];
        }
        return serves
                || (upTo.compareTo(Aim.COMFORT) >= 0 && a.comfort() > b.comfort())
                || (upTo.compareTo(Aim.SCHOOL) >= 0 && a.school() > b.school());
    }

    private boolean ranked(Place place) {
        int number = problem.places().indexOf(place);
        return place.under() >= 0 || problem.places().stream().anyMatch(p -> p.under() == number);
    }

    private static boolean subset(long a, long b) {
        return (a & ~b) == 0;
    }
}

package outfell.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import outfell.choice.Worth.Aim;

/**
 * The best choice by an order of aims, exactly: aim after aim, each with those before it held at their best. For every aim
 * the options that others can always stand for fall away first, and what is left is tried depth first under a bound.
 */
public final class Choice {
    /** Nodes and options looked at after which the best that was found is answered as not proven. */
    private static final long MOST_WORK = 500_000;

    private static final int ROUNDS = 12;

    /**
     * @param chosen by place; absent where it stays empty
     * @param helps points of everything that helps
     * @param unproven the first aim that a better plan might serve better, and by how much at most; absent where none can be there
     * @param visited nodes looked at
     * @param used of each limit, whether it has an end or not
     * @param within the problem with the limits as they were let out for what is needed
     */
    public record Found(
            List<Optional<Option>> chosen,
            Worth worth,
            double helps,
            Optional<Short> unproven,
            long visited,
            List<Double> used,
            Problem within) {
        /** Whether nothing better can be there. */
        public boolean proven() {
            return unproven.isEmpty();
        }
    }

    /** By how much at most a choice may fall short of the best, in the points of the first aim in which it may. */
    public record Short(Aim aim, double gap) {}

    private final Problem problem;
    private final Filling filling;

    private Choice(Problem problem) {
        this.problem = problem;
        this.filling = new Filling(problem);
    }

    /** @param patience asked at every node; it throws when nobody waits any more */
    public static Found of(Problem problem, Runnable patience) {
        return of(problem, MOST_WORK, patience);
    }

    /**
     * A choice with so much work.
     *
     * @param most nodes and options looked at after which the best that was found is answered as not proven
     */
    public static Found of(Problem problem, long most, Runnable patience) {
        return of(problem, new Walk(patience, most));
    }

    static Found of(Problem problem, Walk walk) {
        Ground ground = new Ground(problem, walk);
        Problem within = ground.let();
        Choice choice = new Choice(Fewer.of(within));
        Search search = new Search(choice.problem, walk, choice.exchanged(ground.plan()), choice::exchanged);
        Optional<Short> unproven = search.run();
        List<Optional<Option>> best = search.best();
        return new Found(
                best,
                choice.worth(best).orElseThrow(),
                choice.helps(best),
                unproven,
                walk.visited(),
                choice.used(best),
                within);
    }

    /** A problem with its limits let out for what is needed. */
    public static Problem within(Problem problem, Runnable patience) {
        return new Ground(problem, new Walk(patience, MOST_WORK)).let();
    }

    /** What a whole plan is worth in a problem; nothing when a limit or a meeting forbids it. */
    public static Optional<Worth> worth(Problem problem, List<Optional<Option>> plan) {
        return new Choice(problem).worth(plan);
    }

    /** For each option of one place, what a plan is worth with it there; nothing where that is forbidden. */
    public static List<Optional<Worth>> with(Problem problem, List<Optional<Option>> plan, int place) {
        Choice choice = new Choice(problem);
        choice.fillBut(plan, place, -1);
        return problem.places().get(place).options().stream()
                .map(o -> {
                    if (!choice.filling.allows(place, o)) {
                        return Optional.<Worth>empty();
                    }
                    choice.filling.take(place, o);
                    Worth worth = choice.filling.worth();
                    choice.filling.putBack(place);
                    return Optional.of(worth);
                })
                .toList();
    }

    /** For each option of one place, which limits a plan would pass with it there. */
    public static List<List<Integer>> passed(Problem problem, List<Optional<Option>> plan, int place) {
        Choice choice = new Choice(problem);
        choice.fillBut(plan, place, -1);
        return problem.places().get(place).options().stream()
                .map(o -> choice.filling.passed(place, o))
                .toList();
    }

    private Optional<Worth> worth(List<Optional<Option>> plan) {
        boolean fits = true;
        for (int p = 0; p < plan.size() && fits; p++) {
            Option o = plan.get(p).orElse(null);
            if (o == null) {
                fits = !problem.places().get(p).needed();
            } else if (filling.allows(p, o)) {
                filling.take(p, o);
            } else {
                fits = false;
            }
        }
        Optional<Worth> worth = fits ? Optional.of(filling.worth()) : Optional.empty();
        filling.reset();
        return worth;
    }

    private double helps(List<Optional<Option>> plan) {
        fillBut(plan, -1, -1);
        double helps = filling.helps();
        filling.reset();
        return helps;
    }

    private List<Double> used(List<Optional<Option>> plan) {
        List<Limit> measured = problem.limits().stream()
                .map(l -> new Limit(l.sums(), l.routine(), Double.MAX_VALUE))
                .toList();
        Filling all = new Filling(problem.within(measured));
        for (int p = 0; p < plan.size(); p++) {
            if (plan.get(p).isPresent()) {
                all.take(p, plan.get(p).get());
            }
        }
        return IntStream.range(0, measured.size()).mapToObj(all::use).toList();
    }

    private void fillBut(List<Optional<Option>> plan, int but, int andBut) {
        for (int p = 0; p < plan.size(); p++) {
            if (p != but && p != andBut && plan.get(p).isPresent()) {
                filling.take(p, plan.get(p).get());
            }
        }
    }

    // ---- a good plan to begin with

    /** Exchanges one place, or two that are bound together or share their things, while that is worth more. */
    private List<Optional<Option>> exchanged(List<Optional<Option>> start) {
        List<Optional<Option>> plan = start;
        Worth now = worth(plan).orElseThrow();
        boolean better = true;
        for (int round = 0; better && round < ROUNDS; round++) {
            better = false;
            for (int p = 0; p < plan.size(); p++) {
                for (int[] pair : together(p)) {
                    fillBut(plan, pair[0], pair[1]);
                    for (int each : pair) {
                        put(each);
                    }
                    List<Optional<Option>> other = filling.plan();
                    filling.reset();
                    Optional<Worth> worth = worth(other);
                    if (worth.isPresent() && worth.get().compareTo(now) > 0) {
                        now = worth.get();
                        plan = other;
                        better = true;
                    }
                }
            }
        }
        return plan;
    }

    /** A place by itself, and with each that is bound to it, in both orders. */
    private List<int[]> together(int p) {
        List<int[]> all = new ArrayList<>();
        all.add(new int[] {p, -1});
        for (int q = 0; q < problem.places().size(); q++) {
            if (q != p
                    && (problem.places().get(q).under() == p
                            || problem.places().get(p).under() == q)) {
                all.add(new int[] {p, q});
                all.add(new int[] {q, p});
            }
        }
        return all;
    }

    private void put(int p) {
        if (p < 0) {
            return;
        }
        Worth now = problem.places().get(p).needed() ? null : filling.worth();
        Option most = null;
        for (Option o : problem.places().get(p).options()) {
            if (filling.allows(p, o)) {
                filling.take(p, o);
                if (now == null || filling.isMoreThan(now)) {
                    now = filling.worth();
                    most = o;
                }
                filling.putBack(p);
            }
        }
        if (most != null) {
            filling.take(p, most);
        }
    }
}

package outfell.regimen;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * The exact choice. A good plan is found first by filling and exchanging; prices then bound what each candidate could still
 * bring, and nearly all fall away at once; what is left is tried depth first with the prices moved at every step.
 */
final class Search {
    /** Steps of moving the prices: over all candidates, over those that are left then, and at each step down. */
    private static final int FIRST = 60;

    private static final int SECOND = 100;
    private static final int DOWN = 1;
    /** Good plans tried from the prices, at most. */
    private static final int AGAIN = 1;

    /** Steps without a lower bound before the prices are moved less eagerly: while there is much left, and little. */
    private static final int HASTE = 3;

    private static final int CARE = 20;
    private static final int[] NONE = {};
    private static final int ROUNDS = 12;
    /** What sums in another order may differ by; far below the trace that parts ties. */
    private static final double DUST = 1e-10;

    /**
     * @param chosen by slot; absent where an optional slot stays empty
     * @param benefit of it what the products earn, before minutes and money are taken off
     * @param visited nodes looked at
     */
    record Found(List<Optional<Candidate>> chosen, double score, double benefit, long visited) {}

    private final List<Slot> slots;
    private final int concerns;
    private final int products;
    private final Limits limits;
    private final Yardstick yardstick;
    private final Prices prices;
    private final Partial partial;
    private final Gains gains;
    private final Prices.Setting[] settings;
    private final Left[] lefts;
    private final int[] twin;
    private final boolean[] decided;
    private Map<Integer, int[]> beaters = Map.of();
    private int[] order;
    private final Scarce[] scarce;
    private final int[][] inTwin;
    private final Prices.Setting lowestAt;

    private double best = Double.NEGATIVE_INFINITY;
    private @Nullable List<Optional<Candidate>> bestPlan;
    private long visited;

    Search(List<Slot> slots, int concerns, int products, Limits limits, Yardstick yardstick) {
        this.slots = slots;
        this.concerns = concerns;
        this.products = products;
        this.limits = limits;
        this.yardstick = yardstick;
        this.prices = new Prices(slots, concerns, limits, yardstick);
        this.partial = new Partial(slots, concerns, products, limits, yardstick);
        this.scarce = limits.inOrder();
        this.decided = new boolean[slots.size()];
        this.order = IntStream.range(0, slots.size()).toArray();
        this.twin = Slot.twins(slots);
        this.inTwin = Slot.inTwin(slots, twin);
        this.gains = new Gains(slots, yardstick);
        this.settings = new Prices.Setting[slots.size() + 1];
        Arrays.setAll(settings, _ -> prices.setting());
        this.lowestAt = prices.setting();
        this.lefts = new Left[slots.size() + 1];
        Arrays.setAll(lefts, _ -> new Left(slots));
    }

    /** The best plan, or nothing when the limits allow none. */
    Optional<Found> run() {
        Search few = new Search(new Dominance(limits, yardstick).prune(slots), concerns, products, limits, yardstick);
        few.firstPlan();
        if (few.mayHold(FIRST, HASTE)) {
            Search fewer = few.narrower();
            fewer.offer(few.bestPlan, few.best);
            if (fewer.mayHold(SECOND, CARE)) {
                fewer.order = fewer.mostTiedFirst();
                fewer.beaters = Dominance.beaters(fewer.slots, limits, yardstick);
                fewer.descend(0);
            }
            few.offer(fewer.bestPlan, fewer.best);
            few.visited = fewer.visited;
        }
        return Optional.ofNullable(few.bestPlan)
                .map(plan -> new Found(plan, weigh(plan).orElseThrow(), benefit(plan), few.visited));
    }

    /** Whether something better than the best so far may still be there, once the prices are moved and plans tried at them. */
    private boolean mayHold(int steps, int patience) {
        List<Optional<Candidate>> plan = bestPlan;
        if (plan != null) {
            fill(plan);
            prices.startFrom(partial, settings[0]);
            partial.reset();
        }
        boolean open = narrowed(0, steps, patience);
        boolean better = true;
        for (int again = 0; again < AGAIN && open && better; again++) {
            double before = best;
            secondPlan();
            better = best > before;
            open = !better || narrowed(0, steps / 4, patience);
        }
        return open;
    }

    /** The same search over what is left, in smaller lists. */
    private Search narrower() {
        Left left = lefts[0];
        List<Slot> fewer = Slot.keeping(slots, (s, c) -> {
            int i = slots.get(s).candidates().indexOf(c);
            return IntStream.range(0, slots.size())
                    .anyMatch(o -> slots.get(o).candidates() == slots.get(s).candidates() && left.has(o, i));
        });
        return new Search(fewer, concerns, products, limits, yardstick);
    }

    /** The same limits and sums for a plan given whole: its score, or nothing when a limit forbids it. */
    Optional<Double> weigh(List<Optional<Candidate>> plan) {
        boolean fits = true;
        for (int s = 0; s < slots.size() && fits; s++) {
            Candidate c = plan.get(s).orElse(null);
            if (c == null) {
                fits = !slots.get(s).required();
            } else if (partial.allows(s, c)) {
                partial.take(s, c);
            } else {
                fits = false;
            }
        }
        Optional<Double> score = fits ? Optional.of(partial.score()) : Optional.empty();
        partial.reset();
        return score;
    }

    /** What the plan would score with each candidate of one slot in its place; not a number where a limit forbids it. */
    double[] scoresWith(List<Optional<Candidate>> plan, int slot) {
        fillBut(plan, slot, -1);
        double[] scores = slots.get(slot).candidates().stream()
                .mapToDouble(c -> {
                    if (!partial.allows(slot, c)) {
                        return Double.NaN;
                    }
                    partial.take(slot, c);
                    double score = partial.score();
                    partial.putBack(slot);
                    return score;
                })
                .toArray();
        partial.reset();
        return scores;
    }

    private double benefit(List<Optional<Candidate>> plan) {
        for (int s = 0; s < slots.size(); s++) {
            if (plan.get(s).isPresent()) {
                partial.take(s, plan.get(s).get());
            }
        }
        double benefit = partial.benefit();
        partial.reset();
        return benefit;
    }

    // ---- a good plan to begin with

    private void firstPlan() {
        for (int s = 0; s < slots.size(); s++) {
            if (slots.get(s).required() && slots.get(s).candidates().size() == 1) {
                put(s);
            }
        }
        for (int s = 0; s < slots.size(); s++) {
            if (partial.at(s) == null) {
                put(s);
            }
        }
        List<Optional<Candidate>> plan = partial.plan();
        partial.reset();
        if (weigh(plan).isPresent()) {
            exchange(plan);
        }
    }

    private void put(int s) {
        Candidate most = bestFor(s);
        if (most != null) {
            partial.take(s, most);
        }
    }

    private @Nullable Candidate bestFor(int s) {
        double now = slots.get(s).required() ? Double.NEGATIVE_INFINITY : partial.score();
        Candidate most = null;
        for (Candidate c : slots.get(s).candidates()) {
            if (partial.allows(s, c)) {
                partial.take(s, c);
                double score = partial.score();
                partial.putBack(s);
                if (score > now) {
                    now = score;
                    most = c;
                }
            }
        }
        return most;
    }

    /** Exchanges one slot, or twins together, while that helps. */
    private void exchange(List<Optional<Candidate>> start) {
        List<Optional<Candidate>> plan = start;
        double now = weigh(plan).orElseThrow();
        boolean better = true;
        for (int round = 0; better && round < ROUNDS; round++) {
            better = false;
            for (int s = 0; s < slots.size(); s++) {
                fillBut(plan, s, twin[s] > s ? twin[s] : -1);
                if (twin[s] > s) {
                    putPair(s, twin[s]);
                } else {
                    put(s);
                }
                double score = partial.score();
                if (score > now + DUST && complete()) {
                    now = score;
                    plan = partial.plan();
                    better = true;
                }
                partial.reset();
            }
        }
        offer(plan, now);
    }

    /** What the slots would take at the present prices, as far as it is allowed, put right by exchanging. */
    private void secondPlan() {
        for (int s = 0; s < slots.size(); s++) {
            int i = prices.taken(s);
            Candidate c = i < 0 ? null : slots.get(s).candidates().get(i);
            if (c != null && partial.allows(s, c)) {
                partial.take(s, c);
            }
        }
        for (int s = 0; s < slots.size(); s++) {
            if (partial.at(s) == null && slots.get(s).required()) {
                put(s);
            }
        }
        boolean whole = complete();
        List<Optional<Candidate>> plan = partial.plan();
        partial.reset();
        if (whole) {
            exchange(plan);
        }
    }

    private boolean complete() {
        for (int s = 0; s < slots.size(); s++) {
            if (slots.get(s).required() && partial.at(s) == null) {
                return false;
            }
        }
        return true;
    }

    /** The best of each twin beside the other, or one product in both. */
    private void putPair(int s, int t) {
        double most = Double.NEGATIVE_INFINITY;
        Candidate mine = null;
        Candidate theirs = null;
        for (int first : new int[] {s, t}) {
            int second = first == s ? t : s;
            put(first);
            put(second);
            if (partial.score() > most) {
                most = partial.score();
                mine = partial.at(s);
                theirs = partial.at(t);
            }
            partial.putBack(second);
            partial.putBack(first);
        }
        List<Candidate> candidates = slots.get(s).candidates();
        for (int i = 0; i < candidates.size(); i++) {
            int same = inTwin[s][i];
            if (same >= 0 && partial.allows(s, candidates.get(i))) {
                partial.take(s, candidates.get(i));
                Candidate other = slots.get(t).candidates().get(same);
                if (partial.allows(t, other)) {
                    partial.take(t, other);
                    if (partial.score() > most) {
                        most = partial.score();
                        mine = candidates.get(i);
                        theirs = other;
                    }
                    partial.putBack(t);
                }
                partial.putBack(s);
            }
        }
        if (mine != null) {
            partial.take(s, mine);
        }
        if (theirs != null) {
            partial.take(t, theirs);
        }
    }

    private void fillBut(List<Optional<Candidate>> plan, int but, int andBut) {
        for (int s = 0; s < slots.size(); s++) {
            if (s != but && s != andBut && plan.get(s).isPresent()) {
                partial.take(s, plan.get(s).get());
            }
        }
    }

    private void fill(List<Optional<Candidate>> plan) {
        fillBut(plan, -1, -1);
    }

    private void offer(@Nullable List<Optional<Candidate>> plan, double score) {
        if (plan != null && score > best) {
            best = score;
            bestPlan = plan;
        }
    }

    // ---- what could still be better

    /** Moves the prices and drops what cannot be better at them; false when nothing can. */
    private boolean narrowed(int depth, int steps, int patience) {
        Prices.Setting at = settings[depth];
        Left left = lefts[depth];
        double lowest = Double.POSITIVE_INFINITY;
        double eagerness = 1;
        int since = 0;
        for (int step = 0; step <= steps; step++) {
            Patience.ask();
            double bound = prices.bound(at, left);
            if (bound <= best - DUST || !drop(left)) {
                return false;
            }
            if (bound < lowest - 1e-3) {
                lowest = bound;
                lowestAt.copy(at);
                since = 0;
            } else if (++since == patience) {
                eagerness /= 2;
                since = 0;
                at.copy(lowestAt);
                prices.bound(at, left);
            }
            if (step == steps || Double.isInfinite(best) || !prices.improve(at, best, eagerness)) {
                break;
            }
        }
        at.copy(lowestAt);
        return prices.bound(at, left) > best - DUST;
    }

    private boolean drop(Left left) {
        for (int s = 0; s < slots.size(); s++) {
            for (int j = left.size(s) - 1; j >= 0; j--) {
                if (prices.boundWith(s, left.at(s, j)) <= best - DUST) {
                    left.drop(s, j);
                }
            }
            if (left.mayBeEmpty(s) && prices.boundWithout(s) <= best - DUST) {
                left.neverEmpty(s);
            }
            if (left.none(s)) {
                return false;
            }
        }
        return true;
    }

    private void descend(int depth) {
        visited++;
        Patience.ask();
        if (depth == slots.size()) {
            double score = partial.score();
            if (score > best) {
                offer(partial.plan(), score);
            }
            return;
        }
        int s = nextOf(depth);
        Slot slot = slots.get(s);
        if (depth == 0) {
            prices.bound(settings[depth], lefts[depth]);
        }
        int[] ways = byWorth(depth, s);
        double[] bounds = Arrays.stream(ways)
                .mapToDouble(i -> i < 0 ? prices.boundWithout(s) : prices.boundWith(s, i))
                .toArray();
        decided[s] = true;
        for (int o = 0; o < ways.length; o++) {
            int i = ways[o];
            if (bounds[o] <= best - DUST) {
                continue;
            }
            Candidate c = i < 0 ? null : slot.candidates().get(i);
            if (c != null && !partial.allows(s, c)) {
                continue;
            }
            if (c != null) {
                partial.take(s, c);
            }
            settings[depth + 1].copy(settings[depth]);
            lefts[depth + 1].copy(lefts[depth]);
            lefts[depth + 1].only(s, i);
            if (stillOpen(depth, s, i)
                    && mayBeBetter(depth + 1)
                    && narrowed(depth + 1, DOWN, HASTE)
                    && mayBeBetter(depth + 1)) {
                descend(depth + 1);
            }
            if (c != null) {
                partial.putBack(s);
            }
        }
        decided[s] = false;
    }

    /** What ties a slot to others by most is decided first: once that stands, the bounds of the rest are exact. */
    private int[] mostTiedFirst() {
        double[] tied = new double[slots.size()];
        Arrays.setAll(tied, this::tied);
        return IntStream.range(0, slots.size())
                .boxed()
                .sorted(Comparator.comparingDouble(s -> -tied[s]))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    /** A slot with but one way first: it costs nothing to decide it, and the bounds are the better for it. */
    private int nextOf(int depth) {
        int next = -1;
        for (int s : order) {
            if (!decided[s]) {
                if (lefts[depth].size(s) + (lefts[depth].mayBeEmpty(s) ? 1 : 0) == 1) {
                    return s;
                }
                next = next < 0 ? s : next;
            }
        }
        return next;
    }

    /** How far its candidates differ in what they do for concerns and in what is paid for beyond a limit. */
    private double tied(int s) {
        Left left = lefts[0];
        List<Candidate> candidates = slots.get(s).candidates();
        double sum = 0;
        for (int k = 0; k < concerns; k++) {
            double least = left.mayBeEmpty(s) ? 0 : Double.POSITIVE_INFINITY;
            double most = 0;
            for (int j = 0; j < left.size(s); j++) {
                double help = candidates.get(left.at(s, j)).helps()[k];
                least = Math.min(least, help);
                most = Math.max(most, help);
            }
            sum += Math.max(0, most - least);
        }
        for (int r = 0; r < scarce.length; r++) {
            double least = left.mayBeEmpty(s) ? 0 : Double.POSITIVE_INFINITY;
            double most = 0;
            for (int j = 0; j < left.size(s); j++) {
                double take = candidates.get(left.at(s, j)).takes()[r];
                least = Math.min(least, take);
                most = Math.max(most, take);
            }
            sum += scarce[r].over() * Math.max(0, most - least);
        }
        return sum;
    }

    private boolean mayBeBetter(int depth) {
        return gains.bound(partial, decided, lefts[depth]) > best - DUST;
    }

    /** Candidates left, best first; -1 for emptiness. */
    private int[] byWorth(int depth, int s) {
        Left left = lefts[depth];
        List<Integer> order = new ArrayList<>();
        for (int j = 0; j < left.size(s); j++) {
            order.add(left.at(s, j));
        }
        if (left.mayBeEmpty(s)) {
            order.add(-1);
        }
        order.sort(Comparator.comparingDouble(i -> -(i < 0 ? prices.boundWithout(s) : prices.boundWith(s, i))));
        return order.stream().mapToInt(Integer::intValue).toArray();
    }

    /**
     * Whether it could be exchanged for what beats it wherever it stands: all that beat it stand already, or there are open
     * slots of the kind for them.
     */
    private boolean outdone(int s, Candidate c) {
        int[] by = beaters.getOrDefault(c.number(), NONE);
        if (by.length == 0 || slots.get(s).candidates().size() == 1 || partial.stands(c)) {
            return false;
        }
        int missing = 0;
        for (int number : by) {
            missing += partial.stands(number) ? 0 : 1;
        }
        int others = 0;
        for (int o = 0; o < slots.size(); o++) {
            others +=
                    o != s && !decided[o] && slots.get(o).kind() == slots.get(s).kind() ? 1 : 0;
        }
        return missing > others;
    }

    /** Drops from the open slots what the limits or what is taken forbid; of slots alike only one order is tried. */
    private boolean stillOpen(int depth, int from, int picked) {
        Left left = lefts[depth + 1];
        for (int s = 0; s < slots.size(); s++) {
            if (decided[s]) {
                continue;
            }
            Slot slot = slots.get(s);
            boolean alike = slot.alike(slots.get(from));
            for (int j = left.size(s) - 1; j >= 0; j--) {
                int i = left.at(s, j);
                if ((alike && (picked < 0 || i <= picked))
                        || !partial.allows(s, slot.candidates().get(i))
                        || outdone(s, slot.candidates().get(i))) {
                    left.drop(s, j);
                }
            }
            if (left.none(s)) {
                return false;
            }
        }
        return true;
    }
}

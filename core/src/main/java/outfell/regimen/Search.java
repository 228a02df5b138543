package outfell.regimen;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import outfell.product.StepKind;
import outfell.routine.Part;

/**
 * The exact choice: depth first over the slots, cut off where even the best of what is left could not win. Two bounds: each
 * open slot takes what would bring most now (helps are submodular, so nothing can bring more later), or each concern takes
 * the best help of every open slot for itself. Every cost that a bound leaves out only lowers the total.
 */
final class Search {
    private static final double NEVER = Double.NEGATIVE_INFINITY;
    /** Beside morning and evening: what may stand in either. */
    private static final int EITHER = 2;

    /**
     * Hard limits of a plan; never traded.
     *
     * @param seconds by part, of the longest day
     * @param steps by part, on the longest day
     * @param nights free for strong work in a week
     * @param load points a week
     * @param strong most strong actives in a week
     */
    record Limits(int[] seconds, int[] steps, int nights, double load, int strong) {}

    /**
     * @param chosen by slot; absent where an optional slot stays empty
     */
    record Found(List<Optional<Candidate>> chosen, double score, long visited) {}

    private final List<Slot> slots;
    private final Limits limits;
    private final double[] comfortable;
    private final Yardstick yardstick;
    private final Tally[] tallies;
    private final @Nullable Candidate[] chosen;
    private final int[] pick;
    private final int[][] needSeconds;
    private final int[][] needSteps;
    private final int[] eveningTwin;
    /** The slot of the same kind in the other routine, or -1. */
    private final int[] twin;
    /** The same product in the twin slot, where it is a candidate there. */
    private final @Nullable Candidate[][] inTwin;

    private final int[] undoLongest;
    private final boolean[] helping;
    /** Whether filling the slot is optional and costs a step of its own. */
    private final boolean[] takesAStep;

    private final double[][] extra;
    private final int[] extras = new int[EITHER + 1];
    private final double[] pooled;
    /** How often each product stands in the beginning so far, by its number. */
    private final int[] stands;

    /** By concern and first open slot: the best help of each open slot, largest first. */
    private final double[][][] mostHelp;

    private final double[] mostOwn;
    private final int[] leastSeconds;
    /** The most that any candidate of a slot earns by itself. */
    private final double[] topOwn;
    /** By depth of the node that looked, slot and candidate: what it would have brought there. */
    private final double[][][] upper;
    /** The same candidates by index, best first. */
    private final int[][][] order;
    /** Depth of the nearest node that looked ahead. */
    private int known;

    private final int[] baseSeconds = new int[2];
    private final int[] longestRationed = new int[2];
    private final int[] baseSteps = new int[2];
    private int nights;
    private double load;
    private int strong;
    private int beginners;
    private double own;

    private double best = NEVER;
    private @Nullable Candidate @Nullable [] bestChosen;
    private long visited;

    Search(
            List<Slot> slots,
            int concerns,
            int products,
            Limits limits,
            double[] comfortableSeconds,
            Yardstick yardstick) {
        this.slots = slots;
        this.limits = limits;
        this.comfortable = comfortableSeconds;
        this.yardstick = yardstick;
        this.tallies = new Tally[concerns];
        for (int c = 0; c < concerns; c++) {
            tallies[c] = new Tally(yardstick);
        }
        this.chosen = new Candidate[slots.size()];
        this.pick = new int[slots.size()];
        this.eveningTwin = twins(slots);
        this.twin = bothWays(eveningTwin);
        this.inTwin = inTwin(slots, twin);
        this.undoLongest = new int[slots.size()];
        this.helping = new boolean[slots.size()];
        this.stands = new int[products];
        this.takesAStep = new boolean[slots.size()];
        this.extra = new double[EITHER + 1][slots.size()];
        this.pooled = new double[slots.size()];
        this.mostHelp = mostHelp(slots, concerns);
        this.mostOwn = new double[slots.size()];
        this.leastSeconds = new int[slots.size()];
        this.topOwn = slots.stream()
                .mapToDouble(x -> x.candidates().stream()
                        .mapToDouble(Candidate::own)
                        .max()
                        .orElse(0))
                .toArray();
        this.upper = new double[slots.size()][slots.size()][];
        this.order = new int[slots.size()][slots.size()][];
        for (int depth = 0; depth < slots.size(); depth++) {
            for (int t = depth; t < slots.size(); t++) {
                upper[depth][t] = new double[slots.get(t).candidates().size()];
                order[depth][t] = new int[slots.get(t).candidates().size()];
            }
        }
        this.needSeconds = new int[slots.size() + 1][2];
        this.needSteps = new int[slots.size() + 1][2];
        for (int s = slots.size() - 1; s >= 0; s--) {
            Slot slot = slots.get(s);
            needSeconds[s] = needSeconds[s + 1].clone();
            needSteps[s] = needSteps[s + 1].clone();
            mostOwn[s] =
                    slot.candidates().stream().mapToDouble(Candidate::own).max().orElse(0);
            mostOwn[s] = slot.required() ? mostOwn[s] : Math.max(0, mostOwn[s]);
            boolean daily = slot.candidates().stream().noneMatch(Candidate::rationed);
            takesAStep[s] = daily && !slot.required();
            if (slot.required() && daily) {
                needSteps[s][slot.part().ordinal()]++;
                leastSeconds[s] = slot.candidates().stream()
                        .mapToInt(Candidate::seconds)
                        .min()
                        .orElse(0);
                needSeconds[s][slot.part().ordinal()] += leastSeconds[s];
            }
        }
    }

    /** The best plan, or nothing when the limits allow none. */
    Optional<Found> run() {
        descend(0);
        Candidate[] won = bestChosen;
        return won == null
                ? Optional.empty()
                : Optional.of(
                        new Found(Arrays.stream(won).map(Optional::ofNullable).toList(), best, visited));
    }

    private void descend(int s) {
        visited++;
        if (s == slots.size()) {
            double score = score();
            if (score > best) {
                best = score;
                bestChosen = chosen.clone();
            }
            return;
        }
        Slot slot = slots.get(s);
        boolean second = s > 0 && slot.alike(slots.get(s - 1));
        int from = second ? pick[s - 1] + 1 : 0;
        lookAhead(s);
        double soFar = soFar(s + 1);
        double rest = bySlot(s + 1);
        for (int i : order[s][s]) {
            if (soFar + upper[s][s][i] + rest <= best) {
                break;
            }
            Candidate c = slot.candidates().get(i);
            if (i >= from && allowed(slot, c, s)) {
                take(s, c, i);
                if (couldWin(s + 1)) {
                    descend(s + 1);
                    known = s;
                }
                putBack(s, c);
            }
        }
        if (!slot.required()) {
            pick[s] = slot.candidates().size();
            chosen[s] = null;
            if (couldWin(s + 1)) {
                descend(s + 1);
            }
        }
    }

    /**
     * What every candidate of the open slots would bring now, best first. Nothing can bring more further down, so below this
     * node a slot's best is found after a few looks.
     */
    private void lookAhead(int s) {
        known = s;
        for (int t = s; t < slots.size(); t++) {
            List<Candidate> candidates = slots.get(t).candidates();
            int[] from = s == 0 ? order[0][t] : order[s - 1][t];
            for (int i = 0; i < candidates.size(); i++) {
                upper[s][t][i] = worth(candidates.get(i));
            }
            for (int i = 0; i < candidates.size(); i++) {
                int place = i;
                int index = s == 0 ? i : from[i];
                while (place > 0 && later(s, t, order[s][t][place - 1], index)) {
                    order[s][t][place] = order[s][t][place - 1];
                    place--;
                }
                order[s][t][place] = index;
            }
        }
    }

    private boolean later(int s, int t, int index, int than) {
        return upper[s][t][index] < upper[s][t][than];
    }

    /** Whether the open slots could still lift this beginning above the best: both bounds must allow it. */
    private boolean couldWin(int from) {
        double soFar = soFar(from);
        return soFar + byConcern(from) > best && soFar + bySlot(from) > best;
    }

    private double soFar(int from) {
        return helpAndOwn() - yardstick.anotherBottle() * bottlesTwice() - overtime(from);
    }

    /** Each concern takes the best help of every open slot for itself, as if all were of different kinds. */
    private double byConcern(int from) {
        double sum = 0;
        for (int s = from; s < slots.size(); s++) {
            sum += mostOwn[s];
        }
        for (int k = 0; k < tallies.length; k++) {
            sum += tallies[k].gainOfAll(mostHelp[k][from], slots.size() - from);
        }
        return sum;
    }

    /** Each open slot takes the candidate that would bring most now; morning and evening of one kind are taken together. */
    private double bySlot(int from) {
        double sum = 0;
        Arrays.fill(extras, 0);
        for (int s = from; s < slots.size(); s++) {
            int t = twin[s];
            boolean pair = t > s;
            if (t >= from && !pair) {
                continue;
            }
            double most = pair ? both(s, t, from) : most(s, from, t < 0 ? null : chosen[t]);
            if (takesAStep[s] && (!pair || takesAStep[t])) {
                int pool = pair ? EITHER : slots.get(s).part().ordinal();
                extra[pool][extras[pool]++] = most;
            } else {
                sum += most;
            }
        }
        return sum + bestExtras(from);
    }

    /**
     * Of the optional steps no more than the step limits leave room for: by routine when a pair may stand in either for
     * nothing, or together when a pair takes one step of either; both hold, so the smaller counts.
     */
    private double bestExtras(int from) {
        int morning = room(0, from);
        int evening = room(1, from);
        double byRoutine = largest(extra[0], extras[0], morning)
                + largest(extra[1], extras[1], evening)
                + largest(extra[EITHER], extras[EITHER], extras[EITHER]);
        int n = 0;
        for (int pool = 0; pool <= EITHER; pool++) {
            System.arraycopy(extra[pool], 0, pooled, n, extras[pool]);
            n += extras[pool];
        }
        return Math.min(byRoutine, largest(pooled, n, morning + evening));
    }

    private int room(int p, int from) {
        return limits.steps()[p] - baseSteps[p] - (longestRationed[p] > 0 ? 1 : 0) - needSteps[from][p];
    }

    private static double largest(double[] values, int n, int room) {
        Arrays.sort(values, 0, n);
        double sum = 0;
        for (int i = n - 1; i >= 0 && i >= n - room; i--) {
            sum += values[i];
        }
        return sum;
    }

    /** What one open slot could bring; beside another bottle of its kind it costs a second bottle. */
    private double most(int s, int from, @Nullable Candidate beside) {
        Slot slot = slots.get(s);
        double most = slot.required() ? NEVER : 0;
        for (int i : order[known][s]) {
            if (upper[known][s][i] <= most) {
                break;
            }
            Candidate c = slot.candidates().get(i);
            boolean second = beside != null && beside.number() != c.number();
            most = Math.max(most, worth(c) - overtimeBy(c, s, from) - (second ? yardstick.anotherBottle() : 0));
        }
        return most;
    }

    /** What two open slots of one kind could bring: one bottle that helps once, or two that cost a second bottle. */
    private double both(int s, int t, int from) {
        double one = most(s, from, null);
        double other = most(t, from, null);
        double two = one + other - yardstick.anotherBottle();
        double most = slots.get(s).required() || slots.get(t).required()
                ? Math.max(two, Math.max(alone(s, t, one), alone(t, s, other)))
                : Math.max(two, Math.max(one, other));
        for (int i : order[known][s]) {
            if (upper[known][s][i] + topOwn[t] <= most) {
                break;
            }
            Candidate c = slots.get(s).candidates().get(i);
            Candidate same = inTwin[s][i];
            if (same != null) {
                most = Math.max(most, worth(c) + same.own() - overtimeBy(c, s, from) - overtimeBy(same, t, from));
            }
        }
        return most;
    }

    /** What comes of filling only the first of two. */
    private double alone(int s, int t, double worth) {
        return slots.get(t).required() ? NEVER : worth;
    }

    /** One bottle used morning and evening helps as one. */
    private boolean standsAlready(Candidate c) {
        return stands[c.number()] > 0;
    }

    private double worth(Candidate c) {
        double sum = c.own();
        if (standsAlready(c)) {
            return sum;
        }
        for (int k : c.on()) {
            sum += tallies[k].gain(c.helps()[k], c.kinds()[k]);
        }
        return sum;
    }

    private double score() {
        return helpAndOwn() - yardstick.anotherBottle() * bottlesTwice() - overtime(slots.size());
    }

    private double helpAndOwn() {
        double sum = own;
        for (Tally tally : tallies) {
            sum += tally.total();
        }
        return sum;
    }

    /** What the minutes beyond the comfortable cost, with the least that the open required slots will take. */
    private double overtime(int from) {
        return overtime(0, seconds(0, from)) + overtime(1, seconds(1, from));
    }

    private double overtime(int p, double seconds) {
        return yardstick.minute() * Math.max(0, seconds - comfortable[p]) / 60;
    }

    private double seconds(int p, int from) {
        return baseSeconds[p] + longestRationed[p] + needSeconds[from][p];
    }

    /** What a daily candidate of an open slot would add to that at least: the cost is convex, so later it adds no less. */
    private double overtimeBy(Candidate c, int s, int from) {
        if (c.rationed()) {
            return 0;
        }
        int p = slots.get(s).part().ordinal();
        double now = seconds(p, from);
        return overtime(p, now + c.seconds() - leastSeconds[s]) - overtime(p, now);
    }

    /**
     * Kinds that stand in morning and evening from two different bottles. Only kinds that come once in a routine count:
     * for them the number can but grow as slots fill, which the bound needs.
     */
    private int bottlesTwice() {
        int twice = 0;
        for (int a = 0; a < slots.size(); a++) {
            Candidate morning = chosen[a];
            int b = eveningTwin[a];
            Candidate evening = b < 0 ? null : chosen[b];
            if (morning != null && evening != null && evening.number() != morning.number()) {
                twice++;
            }
        }
        return twice;
    }

    private static double[][][] mostHelp(List<Slot> slots, int concerns) {
        double[][][] most = new double[concerns][slots.size() + 1][];
        for (int c = 0; c < concerns; c++) {
            int concern = c;
            double[] bySlot = slots.stream()
                    .mapToDouble(s -> s.candidates().stream()
                            .mapToDouble(x -> x.helps()[concern])
                            .max()
                            .orElse(0))
                    .toArray();
            for (int from = 0; from <= slots.size(); from++) {
                double[] open = Arrays.copyOfRange(bySlot, from, slots.size());
                Arrays.sort(open);
                most[c][from] = reversed(open);
            }
        }
        return most;
    }

    private static double[] reversed(double[] ascending) {
        double[] descending = new double[ascending.length];
        for (int i = 0; i < ascending.length; i++) {
            descending[i] = ascending[ascending.length - 1 - i];
        }
        return descending;
    }

    private static int[] twins(List<Slot> slots) {
        int[] twins = new int[slots.size()];
        for (int a = 0; a < twins.length; a++) {
            twins[a] = -1;
            for (int b = 0; b < twins.length; b++) {
                if (slots.get(a).part() == Part.MORNING
                        && slots.get(b).part() == Part.EVENING
                        && slots.get(a).kind() == slots.get(b).kind()
                        && onceInARoutine(slots.get(a))
                        && onceInARoutine(slots.get(b))) {
                    twins[a] = b;
                }
            }
        }
        return twins;
    }

    private static int[] bothWays(int[] eveningTwin) {
        int[] twin = eveningTwin.clone();
        for (int s = 0; s < twin.length; s++) {
            if (eveningTwin[s] >= 0) {
                twin[eveningTwin[s]] = s;
            }
        }
        return twin;
    }

    private static @Nullable Candidate[][] inTwin(List<Slot> slots, int[] twin) {
        Candidate[][] all = new Candidate[twin.length][];
        for (int s = 0; s < twin.length; s++) {
            List<Candidate> mine = slots.get(s).candidates();
            all[s] = new Candidate[mine.size()];
            List<Candidate> theirs =
                    twin[s] < 0 ? List.of() : slots.get(twin[s]).candidates();
            for (int i = 0; i < mine.size(); i++) {
                for (Candidate c : theirs) {
                    if (c.number() == mine.get(i).number()) {
                        all[s][i] = c;
                    }
                }
            }
        }
        return all;
    }

    private static boolean onceInARoutine(Slot slot) {
        return slot.index() == 0
                && switch (slot.kind()) {
                    case WASH, TONER, ESSENCE, MOISTURISER, EYE -> true;
                    default -> false;
                };
    }

    private boolean allowed(Slot slot, Candidate c, int s) {
        int p = slot.part().ordinal();
        int addSeconds = c.rationed() ? Math.max(0, c.seconds() - longestRationed[p]) : c.seconds();
        int addSteps = c.rationed() ? (longestRationed[p] > 0 ? 0 : 1) : 1;
        if (baseSeconds[p] + longestRationed[p] + addSeconds + needSeconds[s + 1][p] > limits.seconds()[p]
                || baseSteps[p] + (longestRationed[p] > 0 ? 1 : 0) + addSteps + needSteps[s + 1][p]
                        > limits.steps()[p]) {
            return false;
        }
        boolean prescribed = c.product().prescription();
        if (c.rationed()
                && !prescribed
                && (nights + c.uses() > limits.nights() || load + c.load() > limits.load() + 1e-9)) {
            return false;
        }
        if ((c.strong() && !prescribed && strong + 1 > limits.strong()) || (c.beginner() && beginners > 0)) {
            return false;
        }
        return meets(slot, c, s);
    }

    private boolean meets(Slot slot, Candidate c, int upTo) {
        for (int o = 0; o < upTo; o++) {
            Candidate other = chosen[o];
            if (other == null) {
                continue;
            }
            if ((c.notInPlan() & other.held()) != 0 || (other.notInPlan() & c.held()) != 0) {
                return false;
            }
            if (slots.get(o).part() == slot.part()
                    && ((c.notInRoutine() & other.held()) != 0 || (other.notInRoutine() & c.held()) != 0)) {
                return false;
            }
            if ((c.wantsHighFilter() && lowFilter(other)) || (other.wantsHighFilter() && lowFilter(c))) {
                return false;
            }
        }
        return true;
    }

    private static boolean lowFilter(Candidate c) {
        return c.product().kind() == StepKind.SUNSCREEN && c.product().spf() < 50;
    }

    private void take(int s, Candidate c, int index) {
        int p = slots.get(s).part().ordinal();
        undoLongest[s] = longestRationed[p];
        if (c.rationed()) {
            longestRationed[p] = Math.max(longestRationed[p], c.seconds());
            nights += c.product().prescription() ? 0 : c.uses();
            load += c.product().prescription() ? 0 : c.load();
        } else {
            baseSeconds[p] += c.seconds();
            baseSteps[p]++;
        }
        strong += c.strong() && !c.product().prescription() ? 1 : 0;
        beginners += c.beginner() ? 1 : 0;
        own += c.own();
        helping[s] = !standsAlready(c);
        if (helping[s]) {
            for (int k : c.on()) {
                tallies[k].push(c.helps()[k], c.kinds()[k]);
            }
        }
        chosen[s] = c;
        stands[c.number()]++;
        pick[s] = index;
    }

    private void putBack(int s, Candidate c) {
        int p = slots.get(s).part().ordinal();
        if (helping[s]) {
            for (int k : c.on()) {
                tallies[k].pop();
            }
        }
        stands[c.number()]--;
        own -= c.own();
        beginners -= c.beginner() ? 1 : 0;
        strong -= c.strong() && !c.product().prescription() ? 1 : 0;
        if (c.rationed()) {
            longestRationed[p] = undoLongest[s];
            nights -= c.product().prescription() ? 0 : c.uses();
            load -= c.product().prescription() ? 0 : c.load();
        } else {
            baseSeconds[p] -= c.seconds();
            baseSteps[p]--;
        }
        chosen[s] = null;
    }

    /** The same limits and sums for a plan given whole: its score, or nothing when a limit forbids it. */
    Optional<Double> weigh(List<Optional<Candidate>> plan) {
        int taken = 0;
        Optional<Double> score = Optional.empty();
        boolean fits = true;
        for (int s = 0; s < slots.size() && fits; s++) {
            taken = s;
            Candidate c = plan.get(s).orElse(null);
            if (c == null) {
                chosen[s] = null;
                fits = !slots.get(s).required();
            } else if (allowed(slots.get(s), c, s)) {
                take(s, c, 0);
                taken = s + 1;
            } else {
                fits = false;
            }
        }
        if (fits) {
            score = Optional.of(score());
            taken = slots.size();
        }
        for (int s = taken - 1; s >= 0; s--) {
            Candidate c = chosen[s];
            if (c != null) {
                putBack(s, c);
            }
        }
        return score;
    }
}

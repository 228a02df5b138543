package outfell.regimen;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
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
    private final int[] undoLongest;
    private final boolean[] helping;
    private final double[][] mostHelp;
    private final double[] mostOwn;
    private final int[] leastSeconds;

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

    Search(List<Slot> slots, int concerns, Limits limits, double[] comfortableSeconds, Yardstick yardstick) {
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
        this.undoLongest = new int[slots.size()];
        this.helping = new boolean[slots.size()];
        this.mostHelp = new double[concerns][slots.size()];
        this.mostOwn = new double[slots.size()];
        this.leastSeconds = new int[slots.size()];
        this.needSeconds = new int[slots.size() + 1][2];
        this.needSteps = new int[slots.size() + 1][2];
        for (int s = slots.size() - 1; s >= 0; s--) {
            Slot slot = slots.get(s);
            needSeconds[s] = needSeconds[s + 1].clone();
            needSteps[s] = needSteps[s + 1].clone();
            mostOwn[s] = slot.candidates().stream().mapToDouble(Candidate::own).max().orElse(0);
            mostOwn[s] = slot.required() ? mostOwn[s] : Math.max(0, mostOwn[s]);
            for (int c = 0; c < concerns; c++) {
                for (Candidate candidate : slot.candidates()) {
                    mostHelp[c][s] = Math.max(mostHelp[c][s], candidate.helps()[c]);
                }
            }
            boolean daily = slot.candidates().stream().noneMatch(Candidate::rationed);
            if (slot.required() && daily) {
                needSteps[s][slot.part().ordinal()]++;
                leastSeconds[s] =
                        slot.candidates().stream().mapToInt(Candidate::seconds).min().orElse(0);
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
                : Optional.of(new Found(Arrays.stream(won).map(Optional::ofNullable).toList(), best, visited));
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
        for (int i : bestFirst(slot, from)) {
            Candidate c = slot.candidates().get(i);
            if (allowed(slot, c, s)) {
                take(s, c, i);
                if (couldWin(s + 1)) {
                    descend(s + 1);
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

    private List<Integer> bestFirst(Slot slot, int from) {
        int n = slot.candidates().size();
        double[] worth = new double[n];
        List<Integer> order = new ArrayList<>();
        for (int i = from; i < n; i++) {
            worth[i] = worth(slot.candidates().get(i));
            order.add(i);
        }
        order.sort(Comparator.comparingDouble((Integer i) -> -worth[i]).thenComparing(i -> i));
        return order;
    }

    /** Whether the open slots could still lift this beginning above the best: both bounds must allow it. */
    private boolean couldWin(int from) {
        double soFar = helpAndOwn() - yardstick.anotherBottle() * bottlesTwice() - overtime(from);
        return soFar + byConcern(from) > best && soFar + bySlot(from) > best;
    }

    /** Each concern takes the best help of every open slot for itself, as if all were of different kinds. */
    private double byConcern(int from) {
        double sum = 0;
        for (int s = from; s < slots.size(); s++) {
            sum += mostOwn[s];
        }
        for (int k = 0; k < tallies.length; k++) {
            sum += tallies[k].gainOfAll(mostHelp[k], from);
        }
        return sum;
    }

    /** Each open slot takes the candidate that would bring most now. */
    private double bySlot(int from) {
        double sum = 0;
        for (int s = from; s < slots.size(); s++) {
            Slot slot = slots.get(s);
            double most = slot.required() ? NEVER : 0;
            for (Candidate c : slot.candidates()) {
                if (c.alone() <= most) {
                    break;
                }
                most = Math.max(most, worth(c) - overtimeBy(c, s, from));
            }
            if (most == NEVER) {
                return NEVER;
            }
            sum += most;
        }
        return sum;
    }

    /** One bottle used morning and evening helps as one. */
    private boolean standsAlready(Candidate c) {
        for (Candidate other : chosen) {
            if (other != null && other.product().id().equals(c.product().id())) {
                return true;
            }
        }
        return false;
    }

    private double worth(Candidate c) {
        double sum = c.own();
        if (standsAlready(c)) {
            return sum;
        }
        for (int k = 0; k < tallies.length; k++) {
            if (c.helps()[k] > 0) {
                sum += tallies[k].gain(c.helps()[k], c.kinds()[k]);
            }
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
            if (morning != null && evening != null && !evening.product().id().equals(morning.product().id())) {
                twice++;
            }
        }
        return twice;
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
                || baseSteps[p] + (longestRationed[p] > 0 ? 1 : 0) + addSteps + needSteps[s + 1][p] > limits.steps()[p]) {
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
        for (int k = 0; helping[s] && k < tallies.length; k++) {
            if (c.helps()[k] > 0) {
                tallies[k].push(c.helps()[k], c.kinds()[k]);
            }
        }
        chosen[s] = c;
        pick[s] = index;
    }

    private void putBack(int s, Candidate c) {
        int p = slots.get(s).part().ordinal();
        for (int k = 0; helping[s] && k < tallies.length; k++) {
            if (c.helps()[k] > 0) {
                tallies[k].pop();
            }
        }
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

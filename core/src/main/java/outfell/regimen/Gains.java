package outfell.regimen;

import java.util.Arrays;
import java.util.List;

/**
 * A second upper bound: each open slot takes what would bring most beside what is taken already. What is done for concerns and
 * what is scarce both bring less the more is taken (sums of concave functions of sums), so nothing brings more later. Exact
 * where the open slots have nothing to do with one another, which is where prices never quite arrive.
 */
final class Gains {
    private static final int EITHER = 2;

    private final List<Slot> slots;
    private final double anotherBottle;
    private final int[] twin;
    private final int[][] inTwin;
    /** Whether filling the slot is a choice and costs a step of its own. */
    private final boolean[] takesAStep;

    private final boolean[][] alike;
    private final double[][] gain;
    private final double[][] extra;
    private final int[] extras = new int[EITHER + 1];
    private final double[] pooled;

    Gains(List<Slot> slots, Yardstick yardstick) {
        this.slots = slots;
        this.anotherBottle = yardstick.anotherBottle();
        this.twin = Slot.twins(slots);
        this.inTwin = Slot.inTwin(slots, twin);
        this.takesAStep = new boolean[slots.size()];
        this.alike = new boolean[slots.size()][slots.size()];
        this.gain = new double[slots.size()][];
        for (int s = 0; s < slots.size(); s++) {
            Slot slot = slots.get(s);
            takesAStep[s] = !slot.required() && slot.candidates().stream().noneMatch(Candidate::rationed);
            for (int o = 0; o < slots.size(); o++) {
                alike[s][o] = o != s && slot.alike(slots.get(o));
            }
            gain[s] = new double[slot.candidates().size()];
        }
        this.extra = new double[EITHER + 1][slots.size()];
        this.pooled = new double[slots.size()];
    }

    /**
     * @param decided slots that are filled, or left empty for good
     * @param left candidates still in question
     */
    double bound(Partial partial, boolean[] decided, Left left) {
        for (int s = 0; s < slots.size(); s++) {
            if (decided[s]) {
                continue;
            }
            List<Candidate> candidates = slots.get(s).candidates();
            for (int j = 0; j < left.size(s); j++) {
                int i = left.at(s, j);
                gain[s][i] = partial.gain(s, candidates.get(i));
            }
        }
        double sum = partial.scoreWithNeeds();
        Arrays.fill(extras, 0);
        for (int s = 0; s < slots.size(); s++) {
            int t = twin[s] >= 0 && !decided[twin[s]] ? twin[s] : -1;
            if (decided[s] || (t >= 0 && t < s)) {
                continue;
            }
            boolean pair = t > s;
            double most = pair ? both(s, t, partial, left) : nth(s, alikeBefore(s, decided), left);
            if (takesAStep[s] && left.mayBeEmpty(s) && (!pair || (takesAStep[t] && left.mayBeEmpty(t)))) {
                int pool = pair ? EITHER : slots.get(s).part().ordinal();
                extra[pool][extras[pool]++] = most;
            } else {
                sum += most;
            }
        }
        return sum + bestExtras(partial);
    }

    private int alikeBefore(int s, boolean[] decided) {
        int before = 0;
        for (int o = 0; o < s; o++) {
            before += !decided[o] && alike[s][o] ? 1 : 0;
        }
        return before;
    }

    /** Of slots alike each takes another: the first the most, the second the next. */
    private double nth(int s, int n, Left left) {
        if (n == 0) {
            return most(s, left);
        }
        double[] top = new double[n + 1];
        Arrays.fill(top, Double.NEGATIVE_INFINITY);
        for (int j = 0; j < left.size(s); j++) {
            double x = gain[s][left.at(s, j)];
            for (int place = 0; place <= n; place++) {
                if (x > top[place]) {
                    double next = top[place];
                    top[place] = x;
                    x = next;
                }
            }
        }
        return left.mayBeEmpty(s) ? Math.max(0, top[n]) : top[n];
    }

    private double most(int s, Left left) {
        double most = left.mayBeEmpty(s) ? 0 : Double.NEGATIVE_INFINITY;
        for (int j = 0; j < left.size(s); j++) {
            most = Math.max(most, gain[s][left.at(s, j)]);
        }
        return most;
    }

    /** Two open slots of one kind: one bottle that helps once, or two that cost a second bottle, or fewer. */
    private double both(int s, int t, Partial partial, Left left) {
        double one = most(s, left);
        double other = most(t, left);
        double most = different(s, t, left) - anotherBottle;
        if (left.mayBeEmpty(t)) {
            most = Math.max(most, one);
        }
        if (left.mayBeEmpty(s)) {
            most = Math.max(most, other);
        }
        for (int j = 0; j < left.size(s); j++) {
            int i = left.at(s, j);
            int same = inTwin[s][i];
            if (same >= 0 && left.has(t, same)) {
                most = Math.max(
                        most,
                        gain[s][i]
                                + partial.gainUnhelping(
                                        t, slots.get(t).candidates().get(same)));
            }
        }
        return most;
    }

    /** The most that two different products bring. */
    private double different(int s, int t, Left left) {
        int first = best(t, left, -1);
        int second = best(t, left, first);
        double most = Double.NEGATIVE_INFINITY;
        for (int j = 0; j < left.size(s); j++) {
            int i = left.at(s, j);
            int other = first >= 0 && inTwin[s][i] == first ? second : first;
            if (other >= 0) {
                most = Math.max(most, gain[s][i] + gain[t][other]);
            }
        }
        return most;
    }

    private int best(int s, Left left, int but) {
        int best = -1;
        for (int j = 0; j < left.size(s); j++) {
            int i = left.at(s, j);
            if (i != but && (best < 0 || gain[s][i] > gain[s][best])) {
                best = i;
            }
        }
        return best;
    }

    /**
     * Of the optional steps no more than the limits leave room for: by routine when a pair may stand in either for nothing, or
     * together when a pair takes one step of either; both hold, so the smaller counts.
     */
    private double bestExtras(Partial partial) {
        int morning = partial.room(Scarcity.MORNING_STEPS);
        int evening = partial.room(Scarcity.EVENING_STEPS);
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

    private static double largest(double[] values, int n, int room) {
        Arrays.sort(values, 0, n);
        double sum = 0;
        for (int i = n - 1; i >= 0 && i >= n - room; i--) {
            sum += values[i];
        }
        return sum;
    }
}

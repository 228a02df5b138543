package outfell.regimen;

import outfell.product.ActiveKind;

/**
 * What a set of products does for one concern: contributions sorted, each but the first halved again; one of an active
 * already counted is halved once more. So a second product of another kind counts half, of the same kind a quarter, a
 * third half of that. Monotone and submodular in the set, on which the search's bound rests.
 */
final class Tally {
    private static final int MOST = 32;

    private final double another;
    private final double same;
    private final double[] weight = new double[MOST];
    private final double[] value = new double[MOST];
    private final int[] kind = new int[MOST];
    private int size;
    /** What each contribution counts before its place is weighed, largest first. */
    private final double[] counted = new double[MOST];
    /** Sum of the weighed contributions before each place; the last entry is the total. */
    private final double[] before = new double[MOST + 1];
    /** The best contribution of each active; 0 while there is none. */
    private final double[] best = new double[ActiveKind.values().length];

    Tally(Yardstick yardstick) {
        this.another = yardstick.secondOfAnotherKind();
        this.same = yardstick.secondOfSameKind();
        weight[0] = 1;
        for (int i = 1; i < MOST; i++) {
            weight[i] = weight[i - 1] * another;
        }
    }

    double total() {
        return before[size];
    }

    void push(double v, int k) {
        value[size] = v;
        kind[size] = k;
        size++;
        recount();
    }

    void pop() {
        size--;
        best[kind[size]] = 0;
        recount();
    }

    void clear() {
        while (size > 0) {
            pop();
        }
    }

    /** The contributions as they count before their place is weighed, largest first. */
    double[] counted() {
        return java.util.Arrays.copyOf(counted, size);
    }

    /** What one more contribution would add. */
    double gain(double v, int k) {
        double first = best[k];
        if (first == 0) {
            return inserted(v);
        }
        if (v <= first) {
            return inserted(v * same);
        }
        push(v, k);
        double after = total();
        pop();
        return after - total();
    }

    /** What all these would add at most, each taken as of a kind of its own; sorted largest first. */
    double gainOfAll(double[] values, int count) {
        double sum = 0;
        int mine = 0;
        int theirs = 0;
        for (int place = 0; mine < size || theirs < count; place++) {
            boolean takeMine = theirs >= count || (mine < size && counted[mine] >= values[theirs]);
            sum += (takeMine ? counted[mine++] : values[theirs++]) * weight[place];
        }
        return sum - total();
    }

    /** The gain of a contribution that displaces nothing: it takes its place, and what follows moves one further down. */
    private double inserted(double x) {
        int place = 0;
        while (place < size && counted[place] >= x) {
            place++;
        }
        return x * weight[place] - (1 - another) * (before[size] - before[place]);
    }

    private void recount() {
        for (int i = 0; i < size; i++) {
            best[kind[i]] = 0;
        }
        for (int i = 0; i < size; i++) {
            best[kind[i]] = Math.max(best[kind[i]], value[i]);
        }
        int filled = 0;
        for (int i = 0; i < size; i++) {
            double x = first(i) ? value[i] : value[i] * same;
            int place = filled++;
            while (place > 0 && counted[place - 1] < x) {
                counted[place] = counted[place - 1];
                place--;
            }
            counted[place] = x;
        }
        for (int i = 0; i < size; i++) {
            before[i + 1] = before[i] + counted[i] * weight[i];
        }
    }

    /** Whether this is the best of its kind, the earlier one when equal. */
    private boolean first(int i) {
        for (int j = 0; j < size; j++) {
            if (kind[j] == kind[i] && j != i && (value[j] > value[i] || (value[j] == value[i] && j < i))) {
                return false;
            }
        }
        return true;
    }
}

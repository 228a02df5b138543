package outfell.choice;

/**
 * What a set of things does for one want: contributions sorted, each but the first weighed less again; one of a kind that is
 * counted already less once more. With halves, a second of another kind counts half, of the same kind a quarter, a third half of that. Monotone and submodular in the set, on which the search's bound rests.
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
    /** The best contribution of each kind of help; 0 while there is none. */
    private final double[] best;

    /** @param helpers how many kinds of help there are to number */
    Tally(double another, double same, int helpers) {
        this.another = another;
        this.same = same;
        this.best = new double[helpers];
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

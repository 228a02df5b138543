package outfell.regimen;

import java.util.Arrays;

/**
 * What a set of products does for one concern: contributions sorted, each but the first halved again; one of an active
 * already counted is halved once more. So a second product of another kind counts half, of the same kind a quarter, a
 * third half of that. Monotone and submodular in the set, on which the search's bound rests.
 */
final class Tally {
    private final double another;
    private final double same;
    private final double[] value = new double[24];
    private final int[] kind = new int[24];
    private int size;
    private double total;
    private final double[] scratch = new double[24];

    Tally(Yardstick yardstick) {
        this.another = yardstick.secondOfAnotherKind();
        this.same = yardstick.secondOfSameKind();
    }

    double total() {
        return total;
    }

    void push(double v, int k) {
        value[size] = v;
        kind[size] = k;
        size++;
        total = compute(size);
    }

    void pop() {
        size--;
        total = compute(size);
    }

    /** What one more contribution would add. */
    double gain(double v, int k) {
        if (size == 0) {
            return v;
        }
        value[size] = v;
        kind[size] = k;
        return compute(size + 1) - total;
    }

    /** What all these would add at most, each taken as of a kind of its own. */
    double gainOfAll(double[] values, int from) {
        int n = size;
        for (int i = from; i < values.length; i++) {
            if (values[i] > 0) {
                scratch[n++] = values[i];
            }
        }
        return n == size ? 0 : sum(n) - total;
    }

    /** Sums the first n of the scratch, whose first entries are what is counted already. */
    private double sum(int n) {
        for (int i = 0; i < size; i++) {
            scratch[i] = first(i, size) ? value[i] : value[i] * same;
        }
        return weighted(n);
    }

    private double compute(int n) {
        for (int i = 0; i < n; i++) {
            scratch[i] = first(i, n) ? value[i] : value[i] * same;
        }
        return weighted(n);
    }

    private double weighted(int n) {
        Arrays.sort(scratch, 0, n);
        double sum = 0;
        double factor = 1;
        for (int i = n - 1; i >= 0; i--) {
            sum += scratch[i] * factor;
            factor *= another;
        }
        return sum;
    }

    /** Whether this is the best of its kind, the earlier one when equal. */
    private boolean first(int i, int n) {
        for (int j = 0; j < n; j++) {
            if (kind[j] == kind[i] && j != i && (value[j] > value[i] || (value[j] == value[i] && j < i))) {
                return false;
            }
        }
        return true;
    }
}

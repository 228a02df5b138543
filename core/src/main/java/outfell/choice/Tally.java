package outfell.choice;

/**
 * What a set of things does for one want: contributions sorted, each but the first weighed less again; one of a kind that is
 * counted already less once more. With halves, a second of another kind counts half, of the same kind a quarter, a third half
 * of that. Monotone and submodular in the set, on which the search's bound rests.
 */
final class Tally {
    private static final int MOST = 32;

    private final double another;
    private final double same;
    private final double[] value = new double[MOST];
    private final int[] kind = new int[MOST];
    private int size;
    /** What each contribution counts before its place is weighed, largest first. */
    private final double[] counted = new double[MOST];

    Tally(double another, double same) {
        this.another = another;
        this.same = same;
    }

    void clear() {
        size = 0;
    }

    void add(double v, int k) {
        value[size] = v;
        kind[size] = k;
        size++;
    }

    double total() {
        for (int i = 0; i < size; i++) {
            double x = first(i) ? value[i] : value[i] * same;
            int place = i;
            while (place > 0 && counted[place - 1] < x) {
                counted[place] = counted[place - 1];
                place--;
            }
            counted[place] = x;
        }
        double sum = 0;
        double weight = 1;
        for (int i = 0; i < size; i++) {
            sum += weight * counted[i];
            weight *= another;
        }
        return sum;
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

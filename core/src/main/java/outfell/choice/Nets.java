package outfell.choice;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * What each unit brings to a goal, net of the prices of what binds the rows: the most first in each row. No plan brings more
 * than every row's best.
 */
final class Nets {
    static final double NONE = Double.NEGATIVE_INFINITY;

    private final List<Row> rows;
    private final Unit[][] units;
    private final double[][] net;
    private final double before;
    private final double bound;

    /**
     * @param nets of each unit, in the order of the units
     * @param before what there is before any row has taken anything
     */
    Nets(List<Row> rows, Unit[][] all, double[][] nets, double before) {
        this.rows = rows;
        this.before = before;
        this.units = new Unit[all.length][];
        this.net = new double[all.length][];
        double sum = before;
        for (int r = 0; r < all.length; r++) {
            Unit[] row = all[r];
            double[] of = nets[r];
            int[] order = IntStream.range(0, of.length)
                    .boxed()
                    .sorted((a, b) -> of[a] != of[b] ? Double.compare(of[b], of[a]) : Integer.compare(a, b))
                    .mapToInt(Integer::intValue)
                    .toArray();
            units[r] = Arrays.stream(order).mapToObj(i -> row[i]).toArray(Unit[]::new);
            net[r] = Arrays.stream(order).mapToDouble(i -> of[i]).toArray();
            sum += most(r);
        }
        this.bound = sum;
    }

    /** No plan brings more than this. */
    double bound() {
        return bound;
    }

    double before() {
        return before;
    }

    Unit[] units(int r) {
        return units[r];
    }

    /** Net of what each unit brings, the most first. */
    double[] net(int r) {
        return net[r];
    }

    /** The most that a row brings. */
    double most(int r) {
        return most(net[r], 0, rows.get(r).size(), rows.get(r).needed());
    }

    /** The most that some places bring with units from one on, sorted by their net. */
    static double most(double[] nets, int from, int places, int needed) {
        double sum = 0;
        for (int k = 0; k < places; k++) {
            int i = from + k;
            if (k < needed && i >= nets.length) {
                return NONE;
            }
            if (k >= needed && (i >= nets.length || nets[i] <= 0)) {
                break;
            }
            sum += nets[i];
        }
        return sum;
    }

    /** The rows without what no plan can have that brings at least so much. */
    List<Row> without(double atLeast) {
        return IntStream.range(0, units.length)
                .mapToObj(r -> {
                    Row row = rows.get(r);
                    double top = most(r);
                    Set<Unit> kept = new HashSet<>();
                    for (int i = 0; i < units[r].length; i++) {
                        if (bound - top + with(r, i, row) >= atLeast) {
                            kept.add(units[r][i]);
                        }
                    }
                    return row.only(kept::contains);
                })
                .toList();
    }

    /** The most that a row brings with one unit in it. */
    private double with(int r, int i, Row row) {
        double sum = net[r][i];
        int taken = 1;
        for (int k = 0; taken < row.size() && k < net[r].length; k++) {
            if (k != i) {
                if (taken >= row.needed() && net[r][k] <= 0) {
                    break;
                }
                sum += net[r][k];
                taken++;
            }
        }
        return sum;
    }
}

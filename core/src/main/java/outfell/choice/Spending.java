package outfell.choice;

import java.util.Arrays;
import java.util.List;

/** What the units that stand leave of every budget of the goals before, while a search takes them and puts them back. */
final class Spending {
    private final List<Row> rows;
    private final List<Budget> budgets;
    /** For each row, budget and unit, its net there. */
    private final double[][][] spends;
    /** The same, the most first. */
    private final double[][][] sorted;
    /** For each row and budget, the most that the rows from there on bring. */
    private final double[][] most;
    /** For each number of units that stand, what they bring to each budget. */
    private final double[][] spent;

    private int stand;

    /** @param places how many units may stand at most */
    Spending(List<Row> rows, List<Budget> budgets, int places) {
        this.rows = rows;
        this.budgets = budgets;
        this.spends = new double[rows.size()][][];
        this.sorted = new double[rows.size()][][];
        this.most = new double[rows.size() + 1][budgets.size()];
        this.spent = new double[places + 1][budgets.size()];
        for (int b = 0; b < budgets.size(); b++) {
            spent[0][b] = budgets.get(b).before();
        }
    }

    /** The units that are tried in a row; the rows are told from the last to the first. */
    void row(int r, Unit[] units) {
        spends[r] = budgets.stream()
                .map(b -> Arrays.stream(units).mapToDouble(b::net).toArray())
                .toArray(double[][]::new);
        sorted[r] = Arrays.stream(spends[r])
                .map(own ->
                        Arrays.stream(own).map(x -> -x).sorted().map(x -> -x).toArray())
                .toArray(double[][]::new);
        Row row = rows.get(r);
        for (int b = 0; b < budgets.size(); b++) {
            most[r][b] = most[r + 1][b] + Nets.most(sorted[r][b], 0, row.size(), row.needed());
        }
    }

    /** Whether what stands and one unit more, in one of some places, leave enough of every budget. */
    boolean affords(int r, int i, int places, int needed) {
        for (int b = 0; b < budgets.size(); b++) {
            double now = spent[stand][b] + spends[r][b][i];
            double more = places > 1 ? Nets.most(sorted[r][b], 0, places - 1, needed - 1) : 0;
            if (now + more + most[r + 1][b] < budgets.get(b).atLeast()) {
                return false;
            }
            spent[stand + 1][b] = now;
        }
        return true;
    }

    /** Whether the rows from one on may still bring enough. */
    boolean lasts(int r) {
        for (int b = 0; b < budgets.size(); b++) {
            if (spent[stand][b] + most[r][b] < budgets.get(b).atLeast()) {
                return false;
            }
        }
        return true;
    }

    /** Takes the unit that was found to be afforded. */
    void take() {
        stand++;
    }

    void putBack() {
        stand--;
    }
}

package outfell.regimen;

import java.util.Arrays;
import java.util.List;

/** Which candidates of each slot are still in question. */
final class Left {
    private final int[][] of;
    private final int[] size;
    private final boolean[] empty;
    private final boolean[][] has;

    Left(List<Slot> slots) {
        int n = slots.size();
        of = new int[n][];
        size = new int[n];
        empty = new boolean[n];
        has = new boolean[n][];
        for (int s = 0; s < n; s++) {
            int many = slots.get(s).candidates().size();
            of[s] = new int[many];
            has[s] = new boolean[many];
            Arrays.fill(has[s], true);
            Arrays.setAll(of[s], i -> i);
            size[s] = many;
            empty[s] = !slots.get(s).required();
        }
    }

    void copy(Left other) {
        for (int s = 0; s < of.length; s++) {
            System.arraycopy(other.of[s], 0, of[s], 0, other.size[s]);
            System.arraycopy(other.has[s], 0, has[s], 0, has[s].length);
        }
        System.arraycopy(other.size, 0, size, 0, size.length);
        System.arraycopy(other.empty, 0, empty, 0, empty.length);
    }

    int size(int s) {
        return size[s];
    }

    int at(int s, int j) {
        return of[s][j];
    }

    boolean has(int s, int i) {
        return has[s][i];
    }

    boolean mayBeEmpty(int s) {
        return empty[s];
    }

    /** Whether nothing may stand there, not even nothing. */
    boolean none(int s) {
        return size[s] == 0 && !empty[s];
    }

    /** Drops the candidate at a place; the order of those behind it stays. */
    void drop(int s, int j) {
        has[s][of[s][j]] = false;
        System.arraycopy(of[s], j + 1, of[s], j, size[s] - j - 1);
        size[s]--;
    }

    void neverEmpty(int s) {
        empty[s] = false;
    }

    /** Leaves one candidate, or only emptiness for -1. */
    void only(int s, int i) {
        Arrays.fill(has[s], false);
        empty[s] = i < 0;
        size[s] = i < 0 ? 0 : 1;
        if (i >= 0) {
            of[s][0] = i;
            has[s][i] = true;
        }
    }
}

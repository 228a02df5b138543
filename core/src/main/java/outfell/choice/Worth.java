package outfell.choice;

import java.util.Arrays;

/**
 * What a choice is worth: one number an aim, the first aim first. Nothing is traded upwards: the first aim in which two
 * choices differ decides.
 */
public record Worth(double[] aims) implements Comparable<Worth> {
    /** The aims in their order. */
    public enum Aim {
        /** The first wants, the heaviest first: well, somewhat or not served. */
        WANTS,
        COMFORT,
        SCHOOL,
        /** Second helps and the like, in whole steps: less than a step is no difference. */
        REFINEMENT,
        /** Fewest bottles and steps, least money, and so on to the end of every tie. */
        THRIFT
    }

    static final int AIMS = Aim.values().length;
    static final double DUST = 1e-9;

    public double of(Aim aim) {
        return aims[aim.ordinal()];
    }

    @Override
    public int compareTo(Worth other) {
        return compare(aims, other.aims);
    }

    /** Negative when the first is worth less. */
    static int compare(double[] a, double[] b) {
        for (int i = 0; i < AIMS; i++) {
            if (a[i] < b[i] - DUST) {
                return -1;
            }
            if (a[i] > b[i] + DUST) {
                return 1;
            }
        }
        return 0;
    }

    /** The first aim in which two differ; absent when they are worth the same. */
    public static java.util.Optional<Aim> parting(Worth a, Worth b) {
        return Arrays.stream(Aim.values())
                .filter(aim -> Math.abs(a.of(aim) - b.of(aim)) > DUST)
                .findFirst();
    }

    @Override
    public boolean equals(@org.jspecify.annotations.Nullable Object other) {
        return other instanceof Worth w && Arrays.equals(aims, w.aims);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(aims);
    }

    @Override
    public String toString() {
        return Arrays.toString(aims);
    }
}

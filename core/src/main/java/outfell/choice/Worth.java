package outfell.choice;

import java.util.Arrays;
import java.util.Optional;

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
        /** Fewest that have to be bought; the aims from here on are what is saved, as negative numbers. */
        BOTTLES,
        STEPS,
        MONEY,
        MILDNESS,
        /** The end of every tie. */
        NAME;

        /** Whether it is only what is saved: everything else is as good. */
        public boolean saves() {
            return compareTo(REFINEMENT) > 0;
        }
    }

    static final int AIMS = Aim.values().length;
    /** Less than this is no difference. */
    static final double DUST = 1e-7;

    public double of(Aim aim) {
        return aims[aim.ordinal()];
    }

    @Override
    public int compareTo(Worth other) {
        for (int i = 0; i < AIMS; i++) {
            if (aims[i] < other.aims[i] - DUST) {
                return -1;
            }
            if (aims[i] > other.aims[i] + DUST) {
                return 1;
            }
        }
        return 0;
    }

    /** The first aim in which two differ; absent when they are worth the same. */
    public static Optional<Aim> parting(Worth a, Worth b) {
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

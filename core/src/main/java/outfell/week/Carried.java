package outfell.week;

import java.util.Arrays;
import java.util.List;

/** What the nights of a round carry while things are laid over them, and what they could carry still. */
final class Carried {
    private static final double HAIR = 1e-9;
    private static final int THREE = 3;

    private final Round round;
    private final int[] busy;
    private final double[] points;
    private final int mostStrong;
    private int strong;
    private double load;
    private double exfoliated;
    private int liking;

    /** @param things of which those that are fixed may have more strong nights than the skin's rest leaves */
    Carried(Round round, List<Wanted> things) {
        this.round = round;
        this.busy = new int[round.nights()];
        this.points = new double[round.nights()];
        Arrays.fill(points, round.daily());
        int set = things.stream()
                .filter(w -> !w.free() && w.points() > 0)
                .mapToInt(Wanted::fixed)
                .reduce(0, (a, b) -> a | b);
        this.mostStrong = Math.max(round.nights() - round.rest(), Integer.bitCount(set));
    }

    /** Nights with a strong thing, as bits. */
    int strong() {
        return strong;
    }

    /** Nights that may become strong still. */
    int strongLeft() {
        return mostStrong - Integer.bitCount(strong);
    }

    int liking() {
        return liking;
    }

    /** Things on each night. */
    int[] busy() {
        return busy.clone();
    }

    void put(Wanted w, int on) {
        change(w, on, 1);
        strong |= w.points() > 0 ? on : 0;
    }

    /** @param strongBefore the strong nights as they were before it was put */
    void take(Wanted w, int on, int strongBefore) {
        change(w, on, -1);
        strong = strongBefore;
    }

    private void change(Wanted w, int on, int sign) {
        for (int n = 0; n < busy.length; n++) {
            int is = on >> n & 1;
            points[n] += is * sign * w.points();
            busy[n] += is * sign;
        }
        int count = Integer.bitCount(on) * sign;
        load += count * w.points();
        exfoliated += count * w.exfoliation();
        liking += sign * round.liking(on);
    }

    /** How many things a thing would meet on these nights. */
    int meeting(int on) {
        int meeting = 0;
        for (int n = 0; n < busy.length; n++) {
            meeting += (on >> n & 1) * busy[n];
        }
        return meeting;
    }

    /** Whether it bears a thing on these nights, too. */
    boolean bears(Wanted w, int on) {
        int count = Integer.bitCount(on);
        if (w.exfoliation() > 0 && exfoliated + count * w.exfoliation() > round.exfoliations() + HAIR) {
            return false;
        }
        if (w.points() == 0) {
            return true;
        }
        if (load + count * w.points() > round.load() + HAIR || Integer.bitCount(strong | on) > mostStrong) {
            return false;
        }
        for (int n = 0; n < points.length; n++) {
            if ((on >> n & 1) == 1 && points[n] + w.points() > round.night() + HAIR) {
                return false;
            }
            int in = inThree(on, n);
            if (in > 0 && three(n) + w.points() * in > round.three() + HAIR) {
                return false;
            }
        }
        return true;
    }

    /** Nights that bear not even one use of a thing. */
    int closed(Wanted w) {
        if (w.points() == 0) {
            return 0;
        }
        int closed = strongLeft() == 0 ? round.all() & ~strong : 0;
        for (int n = 0; n < points.length; n++) {
            closed |= points[n] + w.points() > round.night() + HAIR ? 1 << n : 0;
            if (three(n) + w.points() > round.three() + HAIR) {
                for (int m = n; m < n + Math.min(THREE, points.length); m++) {
                    closed |= 1 << m % points.length;
                }
            }
        }
        return closed;
    }

    private int inThree(int on, int from) {
        int in = 0;
        for (int n = from; n < from + Math.min(THREE, points.length); n++) {
            in += on >> n % points.length & 1;
        }
        return in;
    }

    private double three(int from) {
        double sum = 0;
        for (int n = from; n < from + Math.min(THREE, points.length); n++) {
            sum += points[n % points.length];
        }
        return sum;
    }
}

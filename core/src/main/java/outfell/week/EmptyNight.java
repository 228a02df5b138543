package outfell.week;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import outfell.week.Round.Limit;

/** What keeps a thing off a night on which it does not lie. */
public final class EmptyNight {
    private static final double HAIR = 1e-9;

    private EmptyNight() {}

    /**
     * Every limit that would be broken if the thing lay on the night, too, and all others stayed where they are; none when nothing
     * stands against it.
     *
     * @param thing its place among the things
     */
    public static Set<Limit> keepsOff(List<Wanted> things, Round round, Nights.Laid laid, int thing, int night) {
        Wanted w = things.get(thing);
        int before = laid.on().get(thing);
        int on = before | 1 << night;
        Set<Limit> broken = EnumSet.noneOf(Limit.class);
        int uses = Integer.bitCount(on);
        mark(broken, Limit.USES, uses > w.most());
        mark(broken, Limit.HERS, (w.barred() >> night & 1) == 1);
        mark(broken, Limit.APART, uses > 1 && round.shortestGap(on) < w.apart());
        mark(broken, Limit.SHARING, shares(things, laid, thing, night));
        mark(
                broken,
                Limit.EXFOLIATIONS,
                w.exfoliation() > 0 && exfoliated(things, laid) + w.exfoliation() > round.exfoliations() + HAIR);
        if (w.points() > 0) {
            double[] load = loads(things, round, laid);
            double all = 0;
            int strong = 1 << night;
            for (int i = 0; i < things.size(); i++) {
                all += Integer.bitCount(laid.on().get(i)) * things.get(i).points();
                strong |= things.get(i).points() > 0 ? laid.on().get(i) : 0;
            }
            mark(broken, Limit.LOAD, all + w.points() > round.load() + HAIR);
            mark(broken, Limit.REST, Integer.bitCount(strong) > round.nights() - round.rest());
            mark(broken, Limit.NIGHT, load[night] + w.points() > round.night() + HAIR);
            mark(broken, Limit.THREE, mostInThree(load, night) + w.points() > round.three() + HAIR);
        }
        return broken;
    }

    /** Load of each night of a round, with what every day brings. */
    public static double[] loads(List<Wanted> things, Round round, Nights.Laid laid) {
        double[] load = new double[round.nights()];
        java.util.Arrays.fill(load, round.daily());
        for (int n = 0; n < load.length; n++) {
            for (int i = 0; i < things.size(); i++) {
                load[n] += (laid.on().get(i) >> n & 1) * things.get(i).points();
            }
        }
        return load;
    }

    private static void mark(Set<Limit> broken, Limit limit, boolean is) {
        if (is) {
            broken.add(limit);
        }
    }

    private static boolean shares(List<Wanted> things, Nights.Laid laid, int thing, int night) {
        for (int i = 0; i < things.size(); i++) {
            boolean parted = (things.get(thing).parted() >> i & 1) == 1;
            if (i != thing && parted && (laid.on().get(i) >> night & 1) == 1) {
                return true;
            }
        }
        return false;
    }

    private static double exfoliated(List<Wanted> things, Nights.Laid laid) {
        double sum = 0;
        for (int i = 0; i < things.size(); i++) {
            sum += Integer.bitCount(laid.on().get(i)) * things.get(i).exfoliation();
        }
        return sum;
    }

    /** The most that three nights running carry of which the night is one. */
    private static double mostInThree(double[] load, int night) {
        int span = Math.min(3, load.length);
        double most = 0;
        for (int first = night - span + 1; first <= night; first++) {
            double sum = 0;
            for (int n = first; n < first + span; n++) {
                sum += load[Math.floorMod(n, load.length)];
            }
            most = Math.max(most, sum);
        }
        return most;
    }
}

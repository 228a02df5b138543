package outfell.week;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Lays things over the nights of a round. What others have set stands; the rest is chosen so that, one after the other, what is
 * done for the client is most; as few as can be share a night; each thing lies as evenly as it can, then all strong nights
 * together; the nights are the best liked; and of equals the first thing has its first choice. Exact: what is not tried cannot
 * be better, by the bounds below, which a test holds against trying everything.
 */
public final class Nights {
    /**
     * @param on nights of each thing, as bits, in the order asked
     * @param worth of all of them together
     */
    public record Laid(List<Integer> on, int worth) {
        public Laid {
            on = List.copyOf(on);
        }
    }

    /** How good a laying is, the first that differs counts: less is better. */
    private record Rank(int unworth, int shared, int spread, int together, int unliked) implements Comparable<Rank> {
        private static final Comparator<Rank> ORDER = Comparator.comparingInt(Rank::unworth)
                .thenComparingInt(Rank::shared)
                .thenComparingInt(Rank::spread)
                .thenComparingInt(Rank::together)
                .thenComparingInt(Rank::unliked);

        @Override
        public int compareTo(Rank other) {
            return ORDER.compare(this, other);
        }
    }

    private static final double HAIR = 1e-9;

    private final Round round;
    private final List<Wanted> things;
    private final List<int[]> choices;
    /** Places of what is laid one by one: what is fixed, then the others as asked. */
    private final int[] order;

    private final int[] chosen;
    private int[] best = new int[0];
    private Rank bestRank = new Rank(Integer.MAX_VALUE, 0, 0, 0, 0);

    private final double[] carried;
    private int strong;
    private final int fixedStrong;
    private double load;
    private double exfoliated;

    private Nights(List<Wanted> things, Round round) {
        this.things = things;
        this.round = round;
        this.chosen = new int[things.size()];
        this.carried = new double[round.nights()];
        java.util.Arrays.fill(carried, round.daily());
        this.order = IntStream.concat(
                        IntStream.range(0, things.size())
                                .filter(i -> !things.get(i).free()),
                        IntStream.range(0, things.size())
                                .filter(i -> things.get(i).free()))
                .toArray();
        this.fixedStrong = things.stream()
                .filter(w -> !w.free() && w.points() > 0)
                .mapToInt(Wanted::fixed)
                .reduce(0, (a, b) -> a | b);
        this.choices = things.stream().map(this::choices).toList();
    }

    /**
     * @param things what has nights of its own, the weightiest first
     * @return a night for none of them when nothing fits
     */
    public static Laid lay(List<Wanted> things, Round round) {
        Nights nights = new Nights(List.copyOf(things), round);
        nights.from(0, 0, 0, 0);
        return new Laid(
                IntStream.of(nights.best).boxed().toList(),
                nights.bestRank.unworth() == Integer.MAX_VALUE ? 0 : -nights.bestRank.unworth());
    }

    /** Every set of nights that one thing could have by itself, the best for it first. */
    private int[] choices(Wanted w) {
        if (!w.free()) {
            return new int[] {w.fixed()};
        }
        return IntStream.rangeClosed(0, round.all())
                .filter(on -> Integer.bitCount(on) <= w.most() && (on & w.barred()) == 0)
                .filter(on -> Integer.bitCount(on) < 2 || round.shortestGap(on) >= w.apart())
                .boxed()
                .sorted(first(w))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    private Comparator<Integer> first(Wanted w) {
        return Comparator.comparingInt((Integer on) -> -w.worth(Integer.bitCount(on)))
                .thenComparingInt(round::spread)
                .thenComparingInt(on -> -round.liking(on))
                .thenComparingInt(Nights::late);
    }

    /** Of two sets of nights the one with the earlier first difference is less. */
    private static int late(int on) {
        return -(Integer.reverse(on) >>> 1);
    }

    private void from(int place, int shared, int worth, int spread) {
        if (place == order.length) {
            Rank rank = new Rank(-worth, shared, spread, round.spread(strong), -liking());
            if (rank.compareTo(bestRank) < 0) {
                bestRank = rank;
                best = chosen.clone();
            }
            return;
        }
        if (!promises(place, shared, worth, spread)) {
            return;
        }
        int thing = order[place];
        Wanted w = things.get(thing);
        for (int on : choices.get(thing)) {
            if (fits(w, place, on)) {
                int sharing = sharing(place, on);
                put(w, thing, on, 1);
                from(place + 1, shared + sharing, worth + w.worth(Integer.bitCount(on)), spread + round.spread(on));
                put(w, thing, on, -1);
            }
        }
    }

    private void put(Wanted w, int thing, int on, int sign) {
        chosen[thing] = sign > 0 ? on : 0;
        for (int n = 0; n < round.nights(); n++) {
            carried[n] += (on >> n & 1) * sign * w.points();
        }
        load += sign * Integer.bitCount(on) * w.points();
        exfoliated += sign * Integer.bitCount(on) * w.exfoliation();
        strong = strongNow();
    }

    private int strongNow() {
        int now = 0;
        for (int i = 0; i < chosen.length; i++) {
            now |= things.get(i).points() > 0 ? chosen[i] : 0;
        }
        return now;
    }

    private int liking() {
        int sum = 0;
        for (int on : chosen) {
            sum += round.liking(on);
        }
        return sum;
    }

    /** How many pairs of a thing and one that stands already have a night together. */
    private int sharing(int place, int on) {
        int shared = 0;
        for (int p = 0; p < place; p++) {
            shared += Integer.bitCount(on & chosen[order[p]]);
        }
        return shared;
    }

    /** What somebody else has set fits always; a limit that it breaks leaves nothing to the others. */
    private boolean fits(Wanted w, int place, int on) {
        if (!w.free() || on == 0) {
            return true;
        }
        for (int p = 0; p < place; p++) {
            if ((w.parted() >> order[p] & 1) == 1 && (on & chosen[order[p]]) != 0) {
                return false;
            }
        }
        int uses = Integer.bitCount(on);
        if (w.exfoliation() > 0 && exfoliated + uses * w.exfoliation() > round.exfoliations() + HAIR) {
            return false;
        }
        return w.points() == 0 || bears(w, on, uses);
    }

    private boolean bears(Wanted w, int on, int uses) {
        int most = Math.max(round.nights() - round.rest(), Integer.bitCount(fixedStrong));
        if (load + uses * w.points() > round.load() + HAIR || Integer.bitCount(strong | on) > most) {
            return false;
        }
        for (int n = 0; n < round.nights(); n++) {
            if ((on >> n & 1) == 1 && carried[n] + w.points() > round.night() + HAIR) {
                return false;
            }
            if (inThree(on, n) > 0 && three(n) + w.points() * inThree(on, n) > round.three() + HAIR) {
                return false;
            }
        }
        return true;
    }

    private int inThree(int on, int from) {
        int in = 0;
        for (int n = from; n < from + Math.min(3, round.nights()); n++) {
            in += on >> n % round.nights() & 1;
        }
        return in;
    }

    private double three(int from) {
        double sum = 0;
        for (int n = from; n < from + Math.min(3, round.nights()); n++) {
            sum += carried[n % round.nights()];
        }
        return sum;
    }

    /** Whether what is laid so far could still become better than the best: every part of it as good as it could be by itself. */
    private boolean promises(int place, int shared, int worth, int spread) {
        int most = worth;
        int even = spread;
        int uses = 0;
        int liked = liking();
        for (int p = place; p < order.length; p++) {
            Wanted w = things.get(order[p]);
            int could = could(w, place);
            most += w.worth(could);
            even += round.evenest(could);
            uses += w.points() > 0 ? could : 0;
            liked += round.mostLiking(could);
        }
        int together = round.evenest(Math.min(round.nights(), Integer.bitCount(strong) + uses));
        return new Rank(-most, shared, even, together, -liked).compareTo(bestRank) < 0;
    }

    /** The most uses that what stands already leaves to a thing. */
    private int could(Wanted w, int place) {
        if (!w.free()) {
            return Integer.bitCount(w.fixed());
        }
        int closed = w.barred();
        for (int p = 0; p < place; p++) {
            closed |= (w.parted() >> order[p] & 1) == 1 ? chosen[order[p]] : 0;
        }
        int could = Math.min(w.most(), Integer.bitCount(round.all() & ~closed));
        if (w.points() > 0) {
            could = Math.min(could, whole((round.load() - load) / w.points()));
        }
        return w.exfoliation() == 0
                ? could
                : Math.min(could, whole((round.exfoliations() - exfoliated) / w.exfoliation()));
    }

    private static int whole(double times) {
        return (int) Math.max(0, Math.min(Integer.MAX_VALUE, Math.floor(times + HAIR)));
    }
}

package outfell.week;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Lays things over the nights of a round when it is settled how many nights each has: as few as can be share a night; each thing
 * lies as evenly as it can, then all strong nights together; the nights are the best liked; and of equals the first thing has its
 * first choice. What is not tried cannot be better, by the bounds below.
 */
final class Placing {
    /** How good a laying is, the first that differs counts: less is better. */
    record Rank(int shared, int spread, int together, int unliked) implements Comparable<Rank> {
        private static final Comparator<Rank> ORDER = Comparator.comparingInt(Rank::shared)
                .thenComparingInt(Rank::spread)
                .thenComparingInt(Rank::together)
                .thenComparingInt(Rank::unliked);
        static final Rank WORST = new Rank(Integer.MAX_VALUE, Integer.MAX_VALUE, Integer.MAX_VALUE, Integer.MAX_VALUE);

        @Override
        public int compareTo(Rank other) {
            return ORDER.compare(this, other);
        }
    }

    /** @param on nights of each thing, as bits, in the order asked */
    record Placed(int[] on, Rank rank) {}

    private final Round round;
    private final List<Wanted> things;
    /** Places of what is laid one by one: what is fixed, then the others as asked. */
    private final int[] order;

    private final NightSets sets;
    private final int[][] choices;
    private final int[] uses;
    /** Nothing worse than this is looked for. */
    private final Rank limit;

    private final boolean anyWillDo;
    private final int[] chosen;
    private final Carried carried;
    private Optional<Placed> best = Optional.empty();

    private Placing(
            List<Wanted> things, Round round, int[] uses, Rank limit, boolean anyWillDo, Comparator<Integer> first) {
        this.things = things;
        this.round = round;
        this.uses = uses;
        this.limit = limit;
        this.anyWillDo = anyWillDo;
        this.order = IntStream.concat(
                        IntStream.range(0, things.size())
                                .filter(i -> !things.get(i).free()),
                        IntStream.range(0, things.size())
                                .filter(i -> things.get(i).free())
                                .boxed()
                                .sorted(first)
                                .mapToInt(Integer::intValue))
                .toArray();
        this.chosen = new int[things.size()];
        this.carried = new Carried(round, things);
        this.sets = NightSets.of(round);
        this.choices = IntStream.range(0, things.size())
                .mapToObj(i -> things.get(i).free()
                        ? sets.of(uses[i], things.get(i))
                        : new int[] {things.get(i).fixed()})
                .toArray(int[][]::new);
    }

    /**
     * @param uses nights of each thing that is free
     * @param limit nothing that is worse is looked for
     * @return none when there is no room, or only for what is worse
     */
    static Optional<Placed> of(List<Wanted> things, Round round, int[] uses, Rank limit) {
        // how good it can be is found fastest with what is hardest to lay first; which of the equals it is, in the
        // order asked
        Placing how = new Placing(things, round, uses, limit, false, hardest(things, uses));
        how.from(0, 0, 0);
        return how.best.flatMap(b -> {
            Placing which = new Placing(things, round, uses, b.rank(), true, Comparator.naturalOrder());
            which.from(0, 0, 0);
            return which.best;
        });
    }

    private static Comparator<Integer> hardest(List<Wanted> things, int[] uses) {
        return Comparator.comparingInt((Integer i) -> -uses[i])
                .thenComparingDouble(i -> -things.get(i).points());
    }

    /** Whether there is room for so many nights of each. */
    static boolean isRoom(List<Wanted> things, Round round, int[] uses) {
        Placing placing = new Placing(things, round, uses, Rank.WORST, true, hardest(things, uses));
        placing.from(0, 0, 0);
        return placing.best.isPresent();
    }

    private void from(int place, int shared, int spread) {
        if (anyWillDo && best.isPresent()) {
            return;
        }
        if (place == order.length) {
            Rank rank = new Rank(shared, spread, round.spread(carried.strong()), -carried.liking());
            if (rank.compareTo(limit) <= 0
                    && best.filter(b -> b.rank().compareTo(rank) <= 0).isEmpty()) {
                best = Optional.of(new Placed(chosen.clone(), rank));
            }
            return;
        }
        Rank could = couldBe(place, shared, spread);
        if (could.equals(Rank.WORST) || isNoBetter(could)) {
            return;
        }
        int thing = order[place];
        Wanted w = things.get(thing);
        int even = could.spread() - round.spread(firstOpen(choices[thing], closed(w, place)));
        for (int on : choices[thing]) {
            if (isNoBetter(new Rank(could.shared(), even + round.spread(on), 0, Integer.MIN_VALUE))) {
                // those after it lie less evenly still
                return;
            }
            if (fits(w, place, on)) {
                int before = carried.strong();
                int meeting = carried.meeting(on);
                chosen[thing] = on;
                carried.put(w, on);
                from(place + 1, shared + meeting, spread + round.spread(on));
                carried.take(w, on, before);
                chosen[thing] = 0;
            }
        }
    }

    /** What somebody else has set fits always; a limit that it breaks leaves nothing to the others. */
    private boolean fits(Wanted w, int place, int on) {
        return !w.free() || on == 0 || ((on & parted(w, place)) == 0 && carried.bears(w, on));
    }

    /** Nights that what stands before a place takes from a thing. */
    private int parted(Wanted w, int place) {
        int taken = 0;
        for (int p = 0; p < place; p++) {
            taken |= (w.parted() >> order[p] & 1) == 1 ? chosen[order[p]] : 0;
        }
        return taken;
    }

    private boolean isNoBetter(Rank could) {
        return could.compareTo(limit) > 0
                || best.filter(b -> b.rank().compareTo(could) <= 0).isPresent();
    }

    /** What this could become at best: each thing laid as well as it could be by itself; the worst when one finds no room. */
    private Rank couldBe(int place, int shared, int spread) {
        int even = spread;
        int left = 0;
        int strongLeft = 0;
        Apart apart = new Apart();
        for (int p = place; p < order.length; p++) {
            int thing = order[p];
            Wanted w = things.get(thing);
            int count = w.free() ? uses[thing] : Integer.bitCount(w.fixed());
            int closed = closed(w, place);
            int first = firstOpen(choices[thing], closed);
            if (first < 0 || (w.free() && count > 0 && apart.isTooMany(thing, count, round.all() & ~closed))) {
                return Rank.WORST;
            }
            even += round.spread(first);
            left += count;
            strongLeft += w.points() > 0 ? count : 0;
        }
        return couldBe(shared, even, strongLeft, left);
    }

    /** Strong things of which no two may share a night: they need as many nights as all their uses together. */
    private final class Apart {
        private long who;
        private int uses;
        private int open;

        /** Takes a thing in when it shares with none of them, and says whether there are too few nights for them all. */
        boolean isTooMany(int thing, int count, int openToIt) {
            Wanted w = things.get(thing);
            if (w.points() == 0 || (w.parted() & who) != who) {
                return false;
            }
            who |= 1L << thing;
            uses += count;
            open |= openToIt;
            return uses
                    > Math.min(
                            Integer.bitCount(open), Integer.bitCount(open & carried.strong()) + carried.strongLeft());
        }
    }

    /** Nights that are no longer open to a thing. */
    private int closed(Wanted w, int place) {
        return w.free() ? parted(w, place) | carried.closed(w) : 0;
    }

    private static int firstOpen(int[] choices, int closed) {
        for (int on : choices) {
            if ((on & closed) == 0) {
                return on;
            }
        }
        return -1;
    }

    /**
     * So many uses more, each on a night that is the least busy and of these the best liked. As long as none of them need share a
     * night, the strong nights are such a set round those that are strong already.
     */
    private Rank couldBe(int shared, int spread, int strongLeft, int left) {
        int[] then = carried.busy();
        int meeting = shared;
        int liked = carried.liking();
        for (int u = 0; u < left; u++) {
            int night = round.liked().getFirst();
            int place = 0;
            for (int l = 1; l < then.length; l++) {
                int other = round.liked().get(l);
                if (then[other] < then[night]) {
                    night = other;
                    place = l;
                }
            }
            meeting += then[night];
            liked += then.length - place;
            then[night]++;
        }
        int nights = Integer.bitCount(carried.strong()) + strongLeft;
        if (meeting > shared || nights > round.nights()) {
            return new Rank(meeting, spread, round.evenest(Math.min(round.nights(), nights)), -liked);
        }
        int all = firstAround(carried.strong(), nights);
        int others = round.mostLiking(left - strongLeft);
        return new Rank(
                shared,
                spread,
                round.spread(all),
                -Math.min(liked, carried.liking() + round.liking(all & ~carried.strong()) + others));
    }

    /** The best of the sets of so many nights that has all of some. */
    private int firstAround(int some, int nights) {
        for (int on : sets.of(nights)) {
            if ((on & some) == some) {
                return on;
            }
        }
        throw new IllegalStateException(
                "No %d nights have %s among them.".formatted(nights, Integer.toBinaryString(some)));
    }
}

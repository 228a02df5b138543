package outfell.week;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import outfell.week.Placing.Placed;
import outfell.week.Placing.Rank;

/**
 * Lays things over the nights of a round. What others have set stands; the rest is chosen so that what is done for the client is
 * most, and then laid as {@link Placing} lays it. Exact: how many nights each thing has is tried from the best on, and what is not
 * tried cannot be better, by the bounds below, which a test holds against trying everything.
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

    private static final double HAIR = 1e-9;

    private final Round round;
    private final List<Wanted> things;
    /** Places of what is free, as asked. */
    private final int[] free;

    private final Allowance load;
    private final Allowance exfoliations;
    /** Numbers of nights for which there is no room, however they are laid; nor is there for more. */
    private final List<int[]> noRoom = new ArrayList<>();

    private final int[] uses;
    private int[] best = new int[0];
    private int most;

    private Nights(List<Wanted> things, Round round) {
        this.things = things;
        this.round = round;
        this.free = IntStream.range(0, things.size())
                .filter(i -> things.get(i).free())
                .toArray();
        this.uses = things.stream()
                .mapToInt(w -> w.free() ? 0 : Integer.bitCount(w.fixed()))
                .toArray();
        double loadSet = 0;
        double exfoliationsSet = 0;
        for (int i = 0; i < things.size(); i++) {
            loadSet += uses[i] * things.get(i).points();
            exfoliationsSet += uses[i] * things.get(i).exfoliation();
        }
        this.load = new Allowance(
                round.load() - loadSet,
                Arrays.stream(free).mapToObj(things::get).toList(),
                Wanted::points);
        this.exfoliations = new Allowance(
                round.exfoliations() - exfoliationsSet,
                Arrays.stream(free).mapToObj(things::get).toList(),
                Wanted::exfoliation);
    }

    /**
     * @param things what has nights of its own, the weightiest first
     * @return a night for none of them when nothing fits
     */
    public static Laid lay(List<Wanted> things, Round round) {
        return new Nights(List.copyOf(things), round).laid();
    }

    private Laid laid() {
        int[] first = mostUses();
        while (!Placing.isRoom(things, round, first)) {
            noRoom.add(least(first));
            first = mostUses();
        }
        int worth = worth(first);
        Optional<Placed> laid = Optional.empty();
        for (int[] as : asGood(worth)) {
            laid = better(
                    laid, Placing.of(things, round, as, laid.map(Placed::rank).orElse(Rank.WORST)));
        }
        return new Laid(Arrays.stream(laid.orElseThrow().on()).boxed().toList(), worth);
    }

    /** Of two that are as good the one in which the first thing has its first choice. */
    private Optional<Placed> better(Optional<Placed> a, Optional<Placed> b) {
        if (a.isEmpty() || b.isEmpty()) {
            return a.or(() -> b);
        }
        int by = b.get().rank().compareTo(a.get().rank());
        return by < 0 || (by == 0 && choices().compare(b.get().on(), a.get().on()) < 0) ? b : a;
    }

    private Comparator<int[]> choices() {
        NightSets sets = NightSets.of(round);
        return (a, b) -> Arrays.stream(free)
                .map(i -> sets.better(things.get(i)).compare(a[i], b[i]))
                .filter(c -> c != 0)
                .findFirst()
                .orElse(0);
    }

    // ---- how many nights each

    private int worth(int[] uses) {
        return IntStream.range(0, uses.length)
                .map(i -> things.get(i).worth(uses[i]))
                .sum();
    }

    /** The numbers of nights that are worth most, as far as anything is known against them. */
    private int[] mostUses() {
        most = -1;
        search(0, worthSet(), load.most(), exfoliations.most(), Optional.empty());
        return best;
    }

    /** All numbers of nights that are worth so much. */
    private List<int[]> asGood(int worth) {
        List<int[]> all = new ArrayList<>();
        most = worth - 1;
        search(0, worthSet(), load.most(), exfoliations.most(), Optional.of(all));
        return all;
    }

    private int worthSet() {
        return IntStream.range(0, things.size())
                .filter(i -> !things.get(i).free())
                .map(i -> things.get(i).worth(uses[i]))
                .sum();
    }

    /** @param all where all that are worth more than {@link #most} are gathered; absent when the most is looked for */
    private void search(int place, int worth, double loadLeft, double exfoliationsLeft, Optional<List<int[]>> all) {
        if (place == free.length) {
            if (worth > most) {
                all.ifPresentOrElse(a -> a.add(uses.clone()), () -> {
                    best = uses.clone();
                    most = worth;
                });
            }
            return;
        }
        if (worth + Math.min(load.worth(place, loadLeft), exfoliations.worth(place, exfoliationsLeft)) <= most) {
            return;
        }
        int thing = free[place];
        Wanted w = things.get(thing);
        for (int u = w.most(); u >= 0; u--) {
            double points = u * w.points();
            double exfoliation = u * w.exfoliation();
            boolean spends = (points > 0 && points > loadLeft + HAIR)
                    || (exfoliation > 0 && exfoliation > exfoliationsLeft + HAIR);
            uses[thing] = u;
            if (!spends && !isKnown(thing)) {
                search(place + 1, worth + w.worth(u), loadLeft - points, exfoliationsLeft - exfoliation, all);
            }
        }
        uses[thing] = 0;
    }

    /** Whether it is known that there is no room for what is chosen up to a thing. */
    private boolean isKnown(int last) {
        for (int[] none : noRoom) {
            boolean as = none[last] > 0;
            for (int i = 0; as && i < none.length; i++) {
                as = i <= last || !things.get(i).free() ? uses[i] >= none[i] : none[i] == 0;
            }
            if (as) {
                return true;
            }
        }
        return false;
    }

    /** The fewest of these nights for which there is no room either. */
    private int[] least(int[] uses) {
        int[] least = uses.clone();
        for (int i : free) {
            int before = least[i];
            least[i] = 0;
            while (least[i] < before && Placing.isRoom(things, round, least)) {
                least[i]++;
            }
        }
        return least;
    }
}

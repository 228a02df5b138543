package outfell.week;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import outfell.week.Round.Limit;

/**
 * What would have to give for one more night of a thing, found by letting it out and laying the round again: every other thing
 * keeps as many nights as it has.
 *
 * @param limits each set holds the fewest limits that must be let out together; one empty set when nothing is in the way; none
 *     when not even all of a few would do
 * @param gives places of other things of which one night less would do
 */
public record OneMore(List<List<Limit>> limits, List<Integer> gives) {
    private static final int MOST_TOGETHER = 3;

    public OneMore {
        limits = List.copyOf(limits);
        gives = List.copyOf(gives);
    }

    /** @param thing its place among the things */
    public static OneMore of(List<Wanted> things, Round round, Nights.Laid laid, int thing) {
        int[] least = laid.on().stream().mapToInt(Integer::bitCount).toArray();
        least[thing]++;
        if (least[thing] > round.nights()) {
            return new OneMore(List.of(), List.of());
        }
        List<List<Limit>> limits = List.of();
        for (int size = 0; size <= MOST_TOGETHER && limits.isEmpty(); size++) {
            limits = subsets(Arrays.asList(Limit.values()), size).stream()
                    .filter(s -> can(things, round, least, thing, s))
                    .toList();
        }
        List<Integer> gives = IntStream.range(0, things.size())
                .filter(i -> i != thing && things.get(i).free() && least[i] > 0)
                .filter(i -> {
                    int[] fewer = least.clone();
                    fewer[i]--;
                    return can(things, round, fewer, thing, List.of());
                })
                .boxed()
                .toList();
        return new OneMore(limits, gives);
    }

    private static boolean can(List<Wanted> things, Round round, int[] uses, int thing, List<Limit> letOut) {
        if (uses[thing] > things.get(thing).most() && !letOut.contains(Limit.USES)) {
            return false;
        }
        Round wider = round;
        for (Limit limit : letOut) {
            wider = wider.without(limit);
        }
        List<Wanted> asked = new ArrayList<>();
        for (int i = 0; i < things.size(); i++) {
            asked.add(asking(things.get(i), letOut, i == thing));
        }
        return Placing.isRoom(asked, wider, uses);
    }

    private static Wanted asking(Wanted w, List<Limit> letOut, boolean asks) {
        return new Wanted(
                w.product(),
                w.worth(),
                w.points(),
                w.exfoliation(),
                asks && letOut.contains(Limit.APART) ? 1 : w.apart(),
                w.fixed(),
                asks && letOut.contains(Limit.HERS) ? 0 : w.barred(),
                letOut.contains(Limit.SHARING) ? 0 : w.parted());
    }

    private static List<List<Limit>> subsets(List<Limit> of, int size) {
        if (size == 0) {
            return List.of(List.of());
        }
        List<List<Limit>> all = new ArrayList<>();
        for (int i = 0; i < of.size(); i++) {
            for (List<Limit> rest : subsets(of.subList(i + 1, of.size()), size - 1)) {
                List<Limit> one = new ArrayList<>(List.of(of.get(i)));
                one.addAll(rest);
                all.add(one);
            }
        }
        return all;
    }
}

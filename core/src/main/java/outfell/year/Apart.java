package outfell.year;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import outfell.changes.Change;
import outfell.changes.Change.What;
import outfell.changes.Difference;
import outfell.year.Stretch.ToldNote;

/**
 * Two parts of a year that do not meet, held against each other: what differs, and on which dates in between it came to.
 *
 * @param from the earlier of the two, counted from 0
 * @param to the later
 * @param told what the sheet says in the later and not in the earlier, or no longer
 */
public record Apart(int from, int to, List<Dated> differences, List<ToldNote> told) {
    /**
     * One step that differs.
     *
     * @param since the changes that made it so, in the order of their dates; at least one
     */
    public record Dated(Difference difference, List<Since> since) {
        public Dated {
            since = List.copyOf(since);
        }
    }

    /** A change with its date. */
    public record Since(LocalDate day, Change change) {}

    private static final Set<What> WHICH_BOTTLE = EnumSet.of(What.PUT_IN, What.TAKEN_OUT, What.REPLACED);

    public Apart {
        differences = List.copyOf(differences);
        told = List.copyOf(told);
    }

    /** Each pair of which the two do not follow one another, for those are the year's own dates. */
    static List<Apart> of(List<Stretch> stretches) {
        List<Apart> all = new ArrayList<>();
        for (int from = 0; from < stretches.size(); from++) {
            for (int to = from + 2; to < stretches.size(); to++) {
                all.add(between(stretches, from, to));
            }
        }
        return all;
    }

    private static Apart between(List<Stretch> stretches, int from, int to) {
        Stretch first = stretches.get(from);
        Stretch second = stretches.get(to);
        List<Since> way = stretches.subList(from + 1, to + 1).stream()
                .flatMap(s -> Stream.concat(s.changes().stream(), s.ripened().stream())
                        .map(c -> new Since(s.from(), c)))
                .toList();
        return new Apart(
                from,
                to,
                Difference.between(first.plan(), second.plan()).stream()
                        .map(d -> new Dated(d, since(d, way)))
                        .toList(),
                ToldNote.between(first.plan(), second.plan()));
    }

    /** Those on the way that moved the same thing of the same step; where none did, all that moved the step. */
    private static List<Since> since(Difference d, List<Since> way) {
        List<Since> ofIt = way.stream()
                .filter(s -> s.change().part() == d.part())
                .filter(s -> d.what() == What.MOVED
                        ? s.change().what() == What.MOVED
                        : !Collections.disjoint(s.change().products(), d.products()))
                .toList();
        List<Since> same =
                ofIt.stream().filter(s -> alike(s.change().what(), d.what())).toList();
        return same.isEmpty() ? ofIt : same;
    }

    private static boolean alike(What a, What b) {
        return a == b || WHICH_BOTTLE.contains(a) && WHICH_BOTTLE.contains(b);
    }
}

package outfell.week;

import java.util.List;
import java.util.stream.IntStream;

/**
 * The nights over which things are laid, and what this skin bears in them. The night after the last is the first again.
 *
 * @param nights in a round, 1 to 21
 * @param load points a round
 * @param night points a night, with what every day brings
 * @param three points of any three nights running
 * @param daily points that every day brings by itself, such as a wash with an acid in it
 * @param exfoliations a round
 * @param rest nights without a strong thing, at least
 * @param liked the nights from the best liked on, each once
 */
public record Round(
        int nights,
        double load,
        double night,
        double three,
        double daily,
        double exfoliations,
        int rest,
        List<Integer> liked) {
    /** What keeps a night empty. */
    public enum Limit {
        /** each thing has as many uses as it may have for now */
        USES("it has the nights that it may have for now"),
        LOAD("the round's strong work is spent"),
        NIGHT("one night would carry too much"),
        THREE("three nights running would carry too much"),
        EXFOLIATIONS("the round's exfoliations are spent"),
        REST("the skin needs its nights of rest"),
        APART("it needs longer from one night to the next"),
        SHARING("another strong thing has the nights that are left"),
        HERS("the nights that are left are not free");

        private final String words;

        Limit(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    private static final int MOST = 21;

    public Round {
        liked = List.copyOf(liked);
        if (!(nights >= 1 && nights <= MOST)) {
            throw new IllegalArgumentException(
                    "A round of %d nights; from 1 to %d can be laid.".formatted(nights, MOST));
        }
        if (!liked.stream()
                .sorted()
                .toList()
                .equals(IntStream.range(0, nights).boxed().toList())) {
            throw new IllegalArgumentException(
                    "Of %d nights those liked are %s: each must stand once.".formatted(nights, liked));
        }
    }

    /** The same with one limit let out; those of single things stay. */
    Round without(Limit limit) {
        double much = Double.MAX_VALUE;
        return new Round(
                nights,
                limit == Limit.LOAD ? much : load,
                limit == Limit.NIGHT ? much : night,
                limit == Limit.THREE ? much : three,
                daily,
                limit == Limit.EXFOLIATIONS ? much : exfoliations,
                limit == Limit.REST ? 0 : rest,
                liked);
    }

    int all() {
        return (1 << nights) - 1;
    }

    /** Squares of the nights from each to the next, round the edge: least when they lie evenly; as of one alone when there is none. */
    int spread(int on) {
        if (Integer.bitCount(on) < 2) {
            return nights * nights;
        }
        int first = Integer.numberOfTrailingZeros(on);
        int before = first;
        int sum = 0;
        for (int n = first + 1; n < nights; n++) {
            if ((on >> n & 1) == 1) {
                sum += (n - before) * (n - before);
                before = n;
            }
        }
        int last = nights - before + first;
        return sum + last * last;
    }

    /** The least that so many nights can have as their {@link #spread}. */
    int evenest(int uses) {
        if (uses < 2) {
            return nights * nights;
        }
        int few = nights / uses;
        int longer = nights % uses;
        return (uses - longer) * few * few + longer * (few + 1) * (few + 1);
    }

    /** Nights between the two nearest of a round that repeats; all of them when there is one or none. */
    int shortestGap(int on) {
        int shortest = nights;
        for (int n = 0; n < nights; n++) {
            for (int gap = 1; gap < nights && (on >> n & 1) == 1; gap++) {
                if ((on >> (n + gap) % nights & 1) == 1) {
                    shortest = Math.min(shortest, gap);
                }
            }
        }
        return shortest;
    }

    /** What these nights are liked, together: the best liked counts as many as there are nights. */
    int liking(int on) {
        int sum = 0;
        for (int place = 0; place < nights; place++) {
            sum += (on >> liked.get(place) & 1) * (nights - place);
        }
        return sum;
    }

    /** The most that so many nights can be liked. */
    int mostLiking(int uses) {
        int sum = 0;
        for (int place = 0; place < Math.min(uses, nights); place++) {
            sum += nights - place;
        }
        return sum;
    }
}

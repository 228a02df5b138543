package outfell.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;

/** Random problems of every shape, and the best choice of one by trying everything. */
final class Problems {
    private static final int WANTS = 5;
    private static final int FIRSTS = 2;
    private static final int HELPERS = 4;

    private Problems() {}

    /** Rows of one to three like places, pairs of one kind in both routines, needed and single ones, with tight and loose limits. */
    static Problem random(RandomGenerator random, int kinds, int options) {
        List<Place> places = new ArrayList<>();
        int like = 0;
        int things = 0;
        for (int kind = 0; kind < kinds; kind++) {
            List<Option> all = new ArrayList<>();
            boolean nightly = random.nextInt(4) == 0;
            int size = 1 + random.nextInt(options);
            for (int i = 0; i < size; i++) {
                all.add(option(random, things++, nightly));
            }
            boolean needed = !nightly && random.nextInt(3) == 0;
            boolean pair = !nightly && random.nextInt(3) == 0;
            int row = pair || needed ? 1 : 1 + random.nextInt(3);
            for (int i = 0; i < row; i++) {
                places.add(new Place(1, needed, like, -1, all));
            }
            like++;
            if (pair) {
                int under = random.nextBoolean() ? places.size() - 1 : -1;
                List<Option> others =
                        all.stream().filter(_ -> random.nextInt(5) > 0).toList();
                places.add(new Place(0, needed && random.nextBoolean(), like++, under, others));
            }
        }
        return new Problem(places, limits(random), FIRSTS, WANTS, things, 0.5, 0.5, random.nextInt(3) / 2.0 + 0.1);
    }

    private static List<Limit> limits(RandomGenerator random) {
        return List.of(
                Limit.in(0, some(random, 2)),
                Limit.in(1, some(random, 5)),
                Limit.of(Limit.Sums.PER_THING, some(random, 12)),
                Limit.of(Limit.Sums.ADDED, some(random, 3)),
                Limit.of(Limit.Sums.ONCE_A_THING, some(random, 2)));
    }

    private static double some(RandomGenerator random, int usual) {
        return random.nextInt(4) == 0 ? Double.POSITIVE_INFINITY : usual + random.nextInt(3) - 1;
    }

    private static Option option(RandomGenerator random, int thing, boolean nightly) {
        double[] helps = new double[WANTS];
        int[] by = new int[WANTS];
        int[] grades = new int[FIRSTS];
        for (int w = 0; w < WANTS; w++) {
            helps[w] = random.nextInt(3) == 0 ? random.nextInt(8) / 2.0 : 0;
            by[w] = random.nextInt(HELPERS);
            if (w < FIRSTS && helps[w] > 0) {
                grades[w] = helps[w] > 2 ? 2 : 1;
            }
        }
        double[] takes = {
            1, 1, random.nextInt(5), random.nextInt(3) == 0 ? random.nextInt(3) : 0, random.nextInt(4) == 0 ? 1 : 0
        };
        return new Option(
                thing,
                grades,
                helps,
                IntStream.range(0, WANTS).filter(w -> helps[w] > 0).toArray(),
                by,
                random.nextInt(4) == 0 ? random.nextInt(5) - 2 : 0,
                random.nextInt(5) == 0 ? 1 : 0,
                random.nextInt(5) - 3,
                random.nextInt(3) == 0 ? 0 : 1,
                new Option.Costs(1, random.nextInt(4) / 4.0, random.nextInt(3), thing),
                takes,
                random.nextInt(3),
                nightly,
                bits(random),
                fewer(random),
                fewer(random),
                random.nextInt(3));
    }

    private static long bits(RandomGenerator random) {
        int some = random.nextInt(16);
        some &= random.nextInt(16);
        return some & random.nextInt(16);
    }

    private static long fewer(RandomGenerator random) {
        long some = bits(random);
        return some & bits(random);
    }

    /** The worth of the best plan, found by trying every one. */
    static Worth best(Problem problem) {
        return new Everything(problem).best();
    }

    private static final class Everything {
        private final Problem problem;
        private final Filling filling;
        private Worth best = new Worth(worst());

        Everything(Problem problem) {
            this.problem = problem;
            this.filling = new Filling(problem);
        }

        private static double[] worst() {
            double[] worst = new double[Worth.AIMS];
            Arrays.fill(worst, Double.NEGATIVE_INFINITY);
            return worst;
        }

        Worth best() {
            tryAll(0);
            return best;
        }

        private void tryAll(int place) {
            if (place == problem.places().size()) {
                Worth worth = filling.worth();
                best = worth.compareTo(best) > 0 ? worth : best;
                return;
            }
            for (Option o : problem.places().get(place).options()) {
                if (filling.allows(place, o)) {
                    filling.take(place, o);
                    tryAll(place + 1);
                    filling.putBack(place);
                }
            }
            if (!problem.places().get(place).needed()) {
                tryAll(place + 1);
            }
        }
    }
}

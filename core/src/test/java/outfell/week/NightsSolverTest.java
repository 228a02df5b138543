package outfell.week;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.variables.BoolVar;
import org.chocosolver.solver.variables.IntVar;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import outfell.product.ProductId;

/**
 * The nights as a model for a general-purpose constraint solver, written from what is asked and not from the search: a second
 * witness at sizes where not every laying can be tried. Points are whole and halves; everything is free.
 */
class NightsSolverTest {
    private static final int HALVES = 2;
    private static final int BIG = 1000;

    static IntStream seeds() {
        return IntStream.range(0, 40);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void finds_nothing_better(int seed) {
        Random random = new Random(seed);
        Round round = round(random, seed % 4 == 0 ? 14 : 7);
        List<Wanted> things = things(random, round.nights(), round.nights() == 14 ? 4 : 3 + random.nextInt(6));
        Nights.Laid laid = Nights.lay(things, round);

        assertThat(laid.worth() * BIG - shared(laid.on()))
                .as("%s in %s: %s", things, round, laid)
                .isEqualTo(solved(things, round));
    }

    private static int shared(List<Integer> on) {
        int shared = 0;
        for (int i = 0; i < on.size(); i++) {
            for (int j = 0; j < i; j++) {
                shared += Integer.bitCount(on.get(i) & on.get(j));
            }
        }
        return shared;
    }

    private static int solved(List<Wanted> things, Round round) {
        Model model = new Model();
        int nights = round.nights();
        BoolVar[][] on = model.boolVarMatrix("on", things.size(), nights);
        IntVar[] worth = new IntVar[things.size()];
        int[] points =
                things.stream().mapToInt(w -> (int) (w.points() * HALVES)).toArray();
        List<BoolVar> together = new ArrayList<>();
        for (int i = 0; i < things.size(); i++) {
            Wanted w = things.get(i);
            IntVar uses = model.intVar(0, w.most());
            model.sum(on[i], "=", uses).post();
            worth[i] = model.intVar(0, w.worth(w.most()));
            model.element(worth[i], w.worth().stream().mapToInt(x -> x).toArray(), uses)
                    .post();
            for (int n = 0; n < nights; n++) {
                if ((w.barred() >> n & 1) == 1) {
                    model.arithm(on[i][n], "=", 0).post();
                }
                for (int gap = 1; gap < w.apart() && gap < nights; gap++) {
                    model.arithm(on[i][n], "+", on[i][(n + gap) % nights], "<=", 1)
                            .post();
                }
            }
            for (int j = 0; j < i; j++) {
                for (int n = 0; n < nights; n++) {
                    if ((w.parted() >> j & 1) == 1 || (things.get(j).parted() >> i & 1) == 1) {
                        model.arithm(on[i][n], "+", on[j][n], "<=", 1).post();
                    }
                    together.add(on[i][n].and(on[j][n]).boolVar());
                }
            }
        }
        int daily = (int) (round.daily() * HALVES);
        int[] strongPoints = IntStream.of(points).filter(p -> p > 0).toArray();
        IntVar[] load = new IntVar[nights];
        BoolVar[] strong = new BoolVar[nights];
        for (int n = 0; n < nights; n++) {
            int night = n;
            BoolVar[] here = IntStream.range(0, things.size())
                    .filter(i -> points[i] > 0)
                    .mapToObj(i -> on[i][night])
                    .toArray(BoolVar[]::new);
            load[n] = model.intVar(0, IntStream.of(points).sum());
            strong[n] = model.boolVar();
            if (here.length == 0) {
                model.arithm(load[n], "=", 0).post();
                model.arithm(strong[n], "=", 0).post();
            } else {
                model.scalar(here, strongPoints, "=", load[n]).post();
                model.max(strong[n], here).post();
                // with nothing strong on it a night carries what the day brings, whatever the limit
                model.ifThen(strong[n], model.arithm(load[n], "<=", (int) (round.night() * HALVES) - daily));
            }
        }
        for (int n = 0; n < nights; n++) {
            int span = Math.min(3, nights);
            IntVar[] three = new IntVar[span];
            BoolVar[] any = new BoolVar[span];
            for (int k = 0; k < span; k++) {
                three[k] = load[(n + k) % nights];
                any[k] = strong[(n + k) % nights];
            }
            BoolVar some = model.boolVar();
            model.max(some, any).post();
            model.ifThen(some, model.sum(three, "<=", (int) (round.three() * HALVES) - span * daily));
        }
        BoolVar[] all =
                java.util.Arrays.stream(on).flatMap(java.util.Arrays::stream).toArray(BoolVar[]::new);
        int[] each = IntStream.range(0, all.length).map(k -> points[k / nights]).toArray();
        model.scalar(all, each, "<=", (int) (round.load() * HALVES)).post();
        int[] exfoliation = IntStream.range(0, all.length)
                .map(k -> (int) (things.get(k / nights).exfoliation() * HALVES))
                .toArray();
        model.scalar(all, exfoliation, "<=", (int) (round.exfoliations() * HALVES))
                .post();
        model.sum(strong, "<=", nights - round.rest()).post();
        IntVar worthOfAll = model.intVar(0, 10_000);
        model.sum(worth, "=", worthOfAll).post();
        IntVar shared = model.intVar(0, together.size());
        model.sum(together.toArray(BoolVar[]::new), "=", shared).post();
        IntVar aim = model.intVar(-together.size(), 10_000 * BIG);
        model.scalar(new IntVar[] {worthOfAll, shared}, new int[] {BIG, -1}, "=", aim)
                .post();
        Solution best = model.getSolver().findOptimalSolution(aim, true);
        return best.getIntVal(aim);
    }

    private static Round round(Random random, int nights) {
        return new Round(
                nights,
                3 + random.nextInt(nights),
                1 + random.nextInt(4),
                2 + random.nextInt(5),
                random.nextInt(4) == 0 ? 0.5 : 0,
                1 + random.nextInt(5),
                random.nextInt(3),
                IntStream.range(0, nights).boxed().toList());
    }

    private static List<Wanted> things(Random random, int nights, int count) {
        List<Wanted> all = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            List<Integer> worth = new ArrayList<>(List.of(0));
            for (int u = 1 + random.nextInt(4); u > 0; u--) {
                worth.add(worth.getLast() + random.nextInt(5));
            }
            all.add(new Wanted(
                    new ProductId("t" + i),
                    worth,
                    random.nextInt(7) / 2.0,
                    random.nextInt(3) / 2.0,
                    1 + random.nextInt(3),
                    0,
                    random.nextInt(3) == 0 ? 1 << random.nextInt(nights) : 0,
                    i > 0 && random.nextInt(2) == 0 ? 1L << random.nextInt(i) : 0));
        }
        // parted is of both
        return IntStream.range(0, count)
                .mapToObj(i -> {
                    Wanted w = all.get(i);
                    long parted = w.parted();
                    for (int j = 0; j < count; j++) {
                        parted |= (all.get(j).parted() >> i & 1) == 1 ? 1L << j : 0;
                    }
                    return new Wanted(
                            w.product(), w.worth(), w.points(), w.exfoliation(), w.apart(), 0, w.barred(), parted);
                })
                .toList();
    }
}

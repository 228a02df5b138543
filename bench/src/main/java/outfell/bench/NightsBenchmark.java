package outfell.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import outfell.product.ProductId;
import outfell.week.Nights;
import outfell.week.Round;
import outfell.week.Wanted;

/** Rationed things laid over the nights of a round, proven best. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class NightsBenchmark {
    @Param({"4", "8"})
    int things;

    @Param({"7", "14"})
    int nights;

    private List<List<Wanted>> asked = List.of();
    private Round round = new Round(7, 8, 4, 6, 0, 2, 1, List.of(1, 3, 5, 0, 6, 2, 4));
    private int next;

    /** Ten lists drawn from a fixed seed: acids, a retinoid, masks, some of which part. */
    @Setup
    public void setUp() {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(42);
        int weeks = nights / 7;
        round = new Round(
                nights,
                10 * weeks,
                5,
                8,
                0,
                3 * weeks,
                weeks,
                IntStream.range(0, nights).boxed().toList());
        List<List<Wanted>> all = new ArrayList<>();
        for (int n = 0; n < 10; n++) {
            all.add(some(random));
        }
        asked = all;
    }

    private List<Wanted> some(RandomGenerator random) {
        List<Wanted> all = new ArrayList<>();
        for (int i = 0; i < things; i++) {
            int uses = (1 + random.nextInt(4)) * nights / 7;
            int each = 200 + random.nextInt(3000);
            all.add(new Wanted(
                    new ProductId("t" + i),
                    IntStream.rangeClosed(0, uses)
                            .mapToObj(u -> u == 0 ? 0 : 10_000_000 + u * each)
                            .toList(),
                    1 + random.nextInt(5) / 2.0,
                    random.nextInt(3) / 2.0,
                    1 + random.nextInt(3),
                    0,
                    0,
                    ((1L << things) - 1) & ~(1L << i)));
        }
        return all;
    }

    @Benchmark
    public Nights.Laid lay() {
        next = (next + 1) % asked.size();
        return Nights.lay(asked.get(next), round);
    }
}

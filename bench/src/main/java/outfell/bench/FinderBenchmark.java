package outfell.bench;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.random.RandomGeneratorFactory;
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
import outfell.product.Product;
import outfell.shelf.Finder;
import outfell.skin.Concern;

/** One search among twenty thousand products, as at each letter typed. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
public class FinderBenchmark {
    /** None lists all, one letter finds nearly all; then two words, what people call a thing, and a slip of the finger. */
    @Param({"", "s", "serum niac", "acne wash", "niacinamdie"})
    String text = "";

    private Finder.Index index = Finder.index(List.of());

    @Setup
    public void setUp() {
        index = Finder.index(Catalogues.varied(
                20_000, RandomGeneratorFactory.of("L64X128MixRandom").create(42)));
    }

    @Benchmark
    public List<Product> find() {
        return Finder.find(
                index,
                new Finder.Wanted(
                        text,
                        Set.of(),
                        Set.of(),
                        text.length() > 1 ? Set.of(Concern.values()[0]) : Set.of(),
                        Set.of(),
                        OptionalDouble.empty(),
                        OptionalDouble.of(7),
                        OptionalDouble.empty()));
    }
}

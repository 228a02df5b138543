package outfell.bench;

import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.random.RandomGenerator;
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
import outfell.climate.Sites;
import outfell.consultation.Consultation;
import outfell.product.Product;
import outfell.year.Year;
import outfell.year.YearAhead;

/** One whole year: its dates, the plan of each part, what did each change by planning without it, spells and packs. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 4, time = 4)
@Measurement(iterations = 5, time = 4)
public class YearBenchmark {
    @Param({"59", "400"})
    int products;

    private List<Consultation> consultations = List.of();
    private int next;

    /** Ten faces drawn from a fixed seed, at every place that ships. */
    @Setup
    public void setUp() {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(42);
        List<Product> catalogue = Catalogues.varied(products, random);
        List<Consultation> all = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            all.add(Faces.consultation(
                    Faces.face(random),
                    "classic",
                    catalogue,
                    Sites.all().get(i % Sites.all().size()),
                    Month.of(i + 1)));
        }
        consultations = all;
    }

    private Consultation turn() {
        next = (next + 1) % consultations.size();
        return consultations.get(next);
    }

    @Benchmark
    public Optional<Year> whole() {
        Consultation c = turn();
        return YearAhead.of(c, c.answers().today(), Map.of());
    }
}

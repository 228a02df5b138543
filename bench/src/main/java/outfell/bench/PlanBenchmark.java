package outfell.bench;

import java.time.Month;
import java.util.ArrayList;
import java.util.List;
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
import outfell.regimen.Outcome;
import outfell.regimen.Planner;

/** One whole plan: verdict, safety, choice, order, amounts, nights and reasons. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 5, time = 2)
@Measurement(iterations = 5, time = 2)
public class PlanBenchmark {
    @Param({"59", "400"})
    int products;

    @Param({"essentials", "classic", "layered", "re-tone", "barrier-first"})
    String method = "classic";

    private List<Consultation> consultations = List.of();
    private int next;

    /** Ten faces drawn from a fixed seed, and a catalogue of varied copies of the starter catalogue. */
    @Setup
    public void setUp() {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(42);
        List<Product> catalogue = Catalogues.varied(products, random);
        List<Consultation> all = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            all.add(Faces.consultation(
                    Faces.face(random), method, catalogue, Sites.all().get(i % 3), Month.of(i + 1)));
        }
        consultations = all;
    }

    @Benchmark
    public Outcome plan() {
        next = (next + 1) % consultations.size();
        return Planner.plan(consultations.get(next));
    }
}

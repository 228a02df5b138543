package outfell.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import outfell.product.Ingredient;
import outfell.product.Ingredients;
import outfell.product.Label;
import outfell.product.LabelReader;
import outfell.product.Spelling;

/** A label of sixty ingredients read, and the same with one name in six misspelt and spellings offered. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
public class LabelBenchmark {
    private static final int NAMES = 60;

    private String clean = "";
    private String slipped = "";

    @Setup
    public void setUp() {
        List<Ingredient> all = Ingredients.all();
        List<String> names = IntStream.range(0, NAMES)
                .mapToObj(i -> all.get(i * all.size() / NAMES).inci())
                .toList();
        clean = "Ingredients: " + String.join(", ", names) + ".";
        slipped = "Ingredients: "
                + IntStream.range(0, NAMES)
                        .mapToObj(
                                i -> i % 6 == 5 ? names.get(i).replace('l', 'I').replace("m", "rn") : names.get(i))
                        .collect(Collectors.joining(", "));
    }

    @Benchmark
    public Label read() {
        return LabelReader.read(clean);
    }

    @Benchmark
    public List<Spelling.Guess> readAndOffer() {
        return LabelReader.read(slipped).unknown().stream()
                .flatMap(u -> Spelling.of(u).stream())
                .toList();
    }
}

package outfell.bench;

import java.util.Optional;
import java.util.concurrent.TimeUnit;
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
import outfell.regimen.Choices;

/** The same choice by the product's own search and by a general-purpose solver. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 3, time = 5)
public class GeneralSolverBenchmark {
    @Param({"12", "16", "20", "24"})
    int products;

    private Choices choices = new Choices(Faces.consultation("classic", 12, 1));

    @Setup
    public void setUp() {
        choices = new Choices(Faces.consultation("classic", products, 6));
    }

    @Benchmark
    public double own() {
        return choices.own();
    }

    @Benchmark
    public Optional<Double> general() {
        return choices.general();
    }
}

package org.goldthistle.bench;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weighing;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import weka.core.Instance;

/** A batch of 100,000 trees on both cores, beside the same trees in a general-purpose library. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 3)
@Measurement(iterations = 4, time = 4)
@Fork(1)
public class BatchBenchmark {
    static final int BATCH = 100_000;
    private static final int POOL = 5000;
    private static final int LESSONS = 4000;

    private final GroupModel model = DrawnTrees.model();
    private List<DrawnTrees.Tree> trees;
    private List<Instance> instances;
    private GeneralLibrary library;

    /** Draws the trees and teaches the library. */
    @Setup(Level.Trial)
    public void prepare() throws Exception {
        trees = DrawnTrees.draw(model, POOL, 2);
        library = new GeneralLibrary(model, DrawnTrees.draw(model, LESSONS, 3));
        instances = trees.stream().map(library::instance).toList();
    }

    /** Every reading weighed, the balance with the surroundings, the taxon that leads. */
    @Benchmark
    public long core() {
        return IntStream.range(0, BATCH)
                .parallel()
                .mapToLong(i -> {
                    Balance balance = Weighing.of(model, trees.get(i % POOL).evidence(), Optional.empty())
                            .withSurroundings();
                    return balance.lead();
                })
                .sum();
    }

    /** The distribution over the taxa, and the likeliest. */
    @Benchmark
    public long generalLibrary() {
        return IntStream.range(0, BATCH)
                .parallel()
                .mapToLong(i -> likeliest(i % POOL))
                .sum();
    }

    private int likeliest(int tree) {
        try {
            double[] distribution = library.classify(instances.get(tree));
            int best = 0;
            for (int k = 1; k < distribution.length; k++) {
                best = distribution[k] > distribution[best] ? k : best;
            }
            return best;
        } catch (Exception failed) {
            throw new IllegalStateException(failed);
        }
    }
}

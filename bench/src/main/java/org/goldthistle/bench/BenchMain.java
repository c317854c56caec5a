package org.goldthistle.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.openjdk.jmh.results.Result;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs the benchmarks of the core and writes what they found as the rows of a table. */
public final class BenchMain {
    private static final double MICROSECONDS_PER_MILLISECOND = 1000;

    private BenchMain() {}

    /** @param arguments the file to write */
    public static void main(String[] arguments) throws RunnerException, IOException {
        Collection<RunResult> runs = new Runner(new OptionsBuilder()
                        .include(CoreBenchmark.class.getName())
                        .include(SheetBenchmark.class.getName())
                        .include(BatchBenchmark.class.getName())
                        .build())
                .run();
        Map<String, Result<?>> found = new TreeMap<>();
        for (RunResult run : runs) {
            found.put(run.getPrimaryResult().getLabel(), run.getPrimaryResult());
        }
        Files.writeString(Path.of(arguments[0]), table(found));
    }

    private static String table(Map<String, Result<?>> found) {
        double core = found.get("core").getScore();
        double library = found.get("generalLibrary").getScore();
        double perTree = MICROSECONDS_PER_MILLISECOND / BatchBenchmark.BATCH;
        return row(
                        "evaluation: both balances, tier, rules, conditions; 16 characters of 16, with replicates",
                        found,
                        "evaluation")
                + row("the same and its exact confirming set", found, "confirmation")
                + row("next-check ranking, 16 characters unread", found, "nextCheckRanking")
                + row("season outlook, 12 months × 400 trees", found, "seasonOutlook")
                + row("separability of the sheet, 12 months × 400 trees of each taxon", found, "separability")
                + row("if it were something else, 400 trees of each taxon at two tiers", found, "ifSomethingElse")
                + row("learn from 1,000 verified trees, five folds", found, "learn")
                + row("batch of 100,000 trees on both cores", found, "core")
                + row("the same trees, naive Bayes of a general-purpose library", found, "generalLibrary")
                + String.format(
                        Locale.ROOT,
                        "%nPer tree of the batch %.2f µs against %.2f µs: the core is **%.1f times as fast**.%n",
                        core * perTree,
                        library * perTree,
                        library / core);
    }

    private static String row(String what, Map<String, Result<?>> found, String label) {
        Result<?> result = found.get(label);
        return String.format(
                Locale.ROOT,
                "| %s | %.2f ± %.2f %s |%n",
                what,
                result.getScore(),
                result.getScoreError(),
                result.getScoreUnit().replace("us/op", "µs").replace("ms/op", "ms"));
    }
}

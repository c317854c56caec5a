package org.goldthistle.bench;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.plan.NextCheck;
import org.goldthistle.core.plan.NextChecks;
import org.goldthistle.core.plan.PlanTerms;
import org.goldthistle.core.plan.SeasonOutlook;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Unseen;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Confirmation;
import org.goldthistle.core.verdict.Terms;
import org.goldthistle.core.verdict.Tier;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What the core takes for one tree of the largest sheet, one thread, warm. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class CoreBenchmark {
    private static final int POOL = 1000;

    private final GroupModel model = DrawnTrees.model();
    private final List<DrawnTrees.Tree> trees = DrawnTrees.draw(model, POOL, 1);
    private final Balance nothingRead = Weighing.of(
                    model, Evidence.of(model.sheet(), DrawnTrees.september(), List.of()), Optional.empty())
            .featuresAlone();
    private final PlanTerms terms =
            new PlanTerms(Tier.RECORD.threshold(), Optional.empty(), Harm.WOUND, false, Unseen.NOTHING, Set.of());
    private int next;

    private Evidence tree() {
        next = (next + 1) % POOL;
        return trees.get(next).evidence();
    }

    /** 16 characters read of 16, with their replicates: both balances, tier, three rules, unmet conditions. */
    @Benchmark
    public Assessment evaluation() {
        return Assessment.of(model, tree(), Terms.of(Tier.RECORD), CallRecord.EMPTY);
    }

    /** Which of these 16 readings confirmed the call, exactly. */
    @Benchmark
    public Confirmation confirmation() {
        return Assessment.of(model, tree(), Terms.of(Tier.RECORD), CallRecord.EMPTY)
                .confirmation();
    }

    /** Every character of the month still to be read, ranked. */
    @Benchmark
    public List<NextCheck> nextCheckRanking() {
        return NextChecks.offered(nothingRead, DrawnTrees.september(), terms);
    }

    /** 12 months of 400 trees, everything still to be read. */
    @Benchmark
    public SeasonOutlook seasonOutlook() {
        return SeasonOutlook.of(nothingRead, DrawnTrees.september(), terms, 1);
    }
}

package org.goldthistle.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.learning.Lesson;
import org.goldthistle.core.learning.VerifiedTree;
import org.goldthistle.core.plan.PlanTerms;
import org.goldthistle.core.plan.Separability;
import org.goldthistle.core.reading.Unseen;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.stranger.IfSomethingElse;
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

/** What is reckoned of a whole sheet, on one thread, warm. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
public class SheetBenchmark {
    private static final int VERIFIED = 1000;

    private final GroupModel model = DrawnTrees.model();
    private final PlanTerms terms =
            new PlanTerms(Tier.RECORD.threshold(), Optional.empty(), Harm.WOUND, false, Unseen.NOTHING, Set.of());
    private final List<VerifiedTree> verified = verified(model);

    private static List<VerifiedTree> verified(GroupModel model) {
        List<VerifiedTree> verified = new ArrayList<>();
        for (DrawnTrees.Tree tree : DrawnTrees.draw(model, VERIFIED, 2)) {
            verified.add(
                    new VerifiedTree("t" + verified.size(), tree.evidence(), tree.taxon(), true, Optional.empty()));
        }
        return verified;
    }

    /** 12 months of 400 trees of each taxon. */
    @Benchmark
    public Separability separability() {
        return Separability.of(model, LifeStage.MATURE, terms, 1);
    }

    /** 400 trees of each taxon, read on the sheet without it. */
    @Benchmark
    public IfSomethingElse ifSomethingElse() {
        return IfSomethingElse.of(model, LifeStage.MATURE, Optional.empty(), Harm.WOUND, 1);
    }

    /** Weights and profiles from 1,000 verified trees, each fitted six times. */
    @Benchmark
    public Lesson learn() {
        return Lesson.of(model.sheet(), verified, Set.of());
    }
}

package org.goldthistle.core.control;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.JointBalance;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.plan.ExpectedPoints;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.verdict.Assessment;

/**
 * What is read again at a tree before it is cut: the pivotal features, then the heaviest, that can be read in the month of
 * the visit without wounding it (section 15). It holds what is believed without them, so that a device that has no network
 * can tell whether what is read now still carries the call, and holds nothing of what was read of them.
 *
 * @param taxon place of the taxon that stands, in the sheet
 * @param rival place of the taxon that comes next without any look
 * @param steps what is asked, one after the other; two must be read, and another comes where one cannot be seen
 */
public record LookPlan(int taxon, int rival, List<Step> steps) {
    /** Features that must be read. */
    public static final int TO_READ = 2;

    private static final int MOST_ASKED = 4;

    /** Copies the list. */
    public LookPlan {
        steps = List.copyOf(steps);
    }

    /**
     * One feature to look at.
     *
     * @param share φ that its reading gets
     * @param features ln of belief by taxon from features alone, none-of-these last, without this feature and those before it
     * @param surroundings the same with the surroundings
     */
    public record Step(String character, double share, List<Double> features, List<Double> surroundings) {
        /** Copies the lists. */
        public Step {
            features = List.copyOf(features);
            surroundings = List.copyOf(surroundings);
        }
    }

    /** Whether enough can be read in this month. */
    public boolean canBeMade() {
        return steps.size() >= TO_READ;
    }

    /**
     * @param taxon place of the taxon that stands, in the sheet
     * @param calls the calls that name it, weighed on one sheet; at least one
     * @param pivotal ids of the characters without which one of them falls
     * @param context of the look
     * @param worst the greatest harm that is allowed
     */
    public static LookPlan of(int taxon, List<Weighing> calls, Set<String> pivotal, Context context, Harm worst) {
        JointBalance features =
                JointBalance.of(calls.stream().map(Weighing::featuresAlone).toList());
        JointBalance surroundings =
                JointBalance.of(calls.stream().map(Weighing::withSurroundings).toList());
        int rival = features.lead() == taxon ? features.rival() : features.lead();
        List<Integer> asked = asked(features, taxon, rival, pivotal, context, worst);
        List<Step> steps = new ArrayList<>();
        Set<Integer> left = new LinkedHashSet<>();
        for (int character : asked) {
            left.add(character);
            steps.add(new Step(
                    features.model().sheet().characters().get(character).id(),
                    share(features, left, character),
                    boxed(features.logsWithout(left)),
                    boxed(surroundings.logsWithout(left))));
        }
        return new LookPlan(taxon, rival, steps);
    }

    private static List<Integer> asked(
            JointBalance joint, int taxon, int rival, Set<String> pivotal, Context context, Harm worst) {
        GroupModel model = joint.model();
        List<ExpectedPoints> readable = ExpectedPoints.of(model, context, Optional.empty(), worst, taxon, rival);
        Comparator<ExpectedPoints> byWeight = Comparator.comparing((ExpectedPoints one) ->
                        !pivotal.contains(one.character().id()))
                .thenComparing(one -> read(joint, index(model, one)).isEmpty())
                .thenComparing(one -> -weight(joint, one, taxon, rival)); // stable: ties stay by what they promise
        return readable.stream()
                .filter(one -> weight(joint, one, taxon, rival) >= ModelConstants.LEAST_EXPECTED_POINTS)
                .sorted(byWeight)
                .limit(MOST_ASKED)
                .map(one -> index(model, one))
                .toList();
    }

    private static int index(GroupModel model, ExpectedPoints one) {
        return model.characterIndex(one.character().id());
    }

    /** What a feature said of the two taxa; what it promises where it was not read. */
    private static double weight(JointBalance joint, ExpectedPoints one, int taxon, int rival) {
        return read(joint, index(joint.model(), one)).stream()
                .mapToDouble(j -> Math.abs(joint.points(j, taxon, rival)))
                .findFirst()
                .orElse(one.points());
    }

    private static List<Integer> read(JointBalance joint, int character) {
        return IntStream.range(0, joint.readings().size())
                .filter(j -> joint.readings().get(j).characterIndex() == character)
                .boxed()
                .toList();
    }

    private static double share(JointBalance joint, Set<Integer> asked, int character) {
        GroupModel model = joint.model();
        if (model.cluster(character) == GroupModel.ALONE) {
            return 1;
        }
        Set<Integer> together = new HashSet<>(asked);
        joint.readings().forEach(reading -> together.add(reading.characterIndex()));
        long sharing = together.stream()
                .filter(other -> model.cluster(other) == model.cluster(character))
                .count();
        return GroupModel.clusterShare((int) sharing);
    }

    private static List<Double> boxed(double[] logs) {
        double[] shares = Balance.toShares(logs);
        return DoubleStream.of(shares).map(LookPlan::ln).boxed().toList();
    }

    /** ln, kept finite where a share has run out of digits. */
    private static double ln(double share) {
        return Math.log(Math.max(share, Double.MIN_NORMAL));
    }

    /** The characters without which a call falls. */
    public static Set<String> pivotal(List<Assessment> calls) {
        Set<String> pivotal = new LinkedHashSet<>();
        for (Assessment call : calls) {
            for (WeighedReading reading : call.confirmation().pivotal()) {
                pivotal.add(reading.character().id());
            }
        }
        return pivotal;
    }
}

package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.control.Clearance;
import org.goldthistle.core.control.LastLook;
import org.goldthistle.core.control.LookPlan;
import org.goldthistle.core.plan.NextCheck;
import org.goldthistle.core.plan.NextChecks;
import org.goldthistle.core.practice.Pair;
import org.goldthistle.core.practice.PracticeScore;
import org.goldthistle.core.practice.PracticeTree;
import org.goldthistle.core.practice.Specimen;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.reading.NotSeen;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Observed;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Terms;
import org.goldthistle.core.verdict.Tier;
import org.junit.jupiter.api.Test;

/**
 * Drawn stands of nine natives to one invader, read by people who take a feature for any of its states as often as its weight
 * leaves room for, two trees of a stand alike in nothing: how many of the trees that are cut were natives.
 */
class ControlStandTest {
    private static final int TREES = Integer.getInteger("goldthistle.stand", 3000);
    private static final double INVADERS = 0.1;
    private static final int MOST_CHECKS = 12;

    private final GroupModel model = GroupModel.of(GroupSheetJson.read(BuiltInLibrary.sheetText("bird-cherries")));
    private final Pair pair = new Pair("padus", "serotina");
    private int cutByTally;
    private int nativesByTally;
    private int cutByList;
    private int nativesByList;
    private int cutByLook;
    private int nativesByLook;
    private int invaders;

    @Test
    void each_step_spares_natives_and_the_last_look_costs_few_invaders() {
        Random random = new Random(7);
        long seed = 0;
        for (int tree = 0; tree < TREES; tree++) {
            boolean invader = random.nextDouble() < INVADERS;
            PracticeTree drawn;
            do {
                drawn = PracticeTree.draw(model, seed++, pair);
            } while (drawn.truth()
                    .filter(taxon -> Clearance.concerns(taxon) == invader)
                    .isEmpty());
            judge(drawn, invader, random);
        }
        System.out.printf(
                "stands of %d, %d invaders: cut by tally %d, natives %.1f in 1,000; by the list %d, natives %.1f; after the"
                        + " last look %d, natives %.1f%n",
                TREES,
                invaders,
                cutByTally,
                perThousand(nativesByTally, cutByTally),
                cutByList,
                perThousand(nativesByList, cutByList),
                cutByLook,
                perThousand(nativesByLook, cutByLook));

        assertThat(perThousand(nativesByTally, cutByTally)).isGreaterThan(perThousand(nativesByList, cutByList));
        assertThat(nativesByLook).isLessThanOrEqualTo(nativesByList);
        assertThat(cutByLook).as("invaders that are found").isGreaterThan(cutByList * 3 / 4);
    }

    private static double perThousand(int natives, int cut) {
        return cut == 0 ? 0 : 1000.0 * natives / cut;
    }

    private void judge(PracticeTree tree, boolean invader, Random random) {
        invaders += invader ? 1 : 0;
        int nativeTree = invader ? 0 : 1;
        Evidence tallied = read(tree, Tier.TALLY, tree.month(), random);
        if (isTallied(tallied)) {
            cutByTally++;
            nativesByTally += nativeTree;
        }
        Evidence first = read(tree, Tier.CONTROL, tree.month(), random);
        Evidence second = read(tree, Tier.CONTROL, later(tree.month(), random), random);
        if (!isSigned(first) || !isSigned(second)) {
            return;
        }
        cutByList++;
        nativesByList += nativeTree;
        if (isConfirmed(tree, List.of(first, second), later(tree.month(), random), random)) {
            cutByLook++;
            nativesByLook += nativeTree;
        }
    }

    private static int later(int month, Random random) {
        return 1 + (month - 1 + random.nextInt(3)) % 12;
    }

    /** At 0.90 with the surroundings and 0.60 from features, as plain trees are counted. */
    private boolean isTallied(Evidence evidence) {
        Weighing weighing = Weighing.of(model, evidence, Optional.empty());
        int lead = weighing.withSurroundings().lead();
        return Clearance.concerns(model.sheet().taxa().get(lead))
                && weighing.withSurroundings().posterior(lead) >= Tier.TALLY.threshold()
                && weighing.featuresAlone().posterior(lead) >= 0.60;
    }

    private boolean isSigned(Evidence evidence) {
        Assessment assessment = assess(evidence, Tier.CONTROL);
        return assessment.isSignable() && Clearance.concerns(assessment.lead());
    }

    private Assessment assess(Evidence evidence, Tier tier) {
        return Assessment.of(model, evidence, Terms.of(tier), CallRecord.EMPTY);
    }

    private boolean isConfirmed(PracticeTree tree, List<Evidence> calls, int month, Random random) {
        Context context = context(tree, month);
        List<Assessment> assessed =
                calls.stream().map(call -> assess(call, Tier.CONTROL)).toList();
        LookPlan plan = LookPlan.of(
                model.sheet().taxonIndex("serotina"),
                calls.stream()
                        .map(call -> Weighing.of(model, call, Optional.empty()))
                        .toList(),
                LookPlan.pivotal(assessed),
                context,
                Harm.worst(false));
        List<Observation> observations = new ArrayList<>();
        int read = 0;
        for (LookPlan.Step step : plan.steps()) {
            if (read < LookPlan.TO_READ) {
                Observation one = observed(tree, step.character(), random);
                read += one instanceof Reading ? 1 : 0;
                observations.add(one);
            }
        }
        LastLook look = LastLook.of(model, plan, context, observations, fits(), Tier.CONTROL.threshold());
        return look.verdict() == LastLook.Verdict.CONFIRMED;
    }

    private List<GateMark> fits() {
        return model.sheet().gate().stream()
                .map(item -> new GateMark(item.id(), true))
                .toList();
    }

    private static Context context(PracticeTree tree, int month) {
        return PracticeScore.contextOf(tree).inMonth(month);
    }

    /** Reads what is suggested until it can be signed. */
    private Evidence read(PracticeTree tree, Tier tier, int month, Random random) {
        List<Observation> observations = new ArrayList<>();
        Set<String> looked = new HashSet<>();
        while (true) {
            Evidence evidence = Evidence.of(model.sheet(), context(tree, month), observations, fits());
            Assessment assessment = assess(evidence, tier);
            boolean enough = tier == Tier.TALLY ? isTallied(evidence) : assessment.isSignable();
            Optional<NextCheck> next = NextChecks.suggested(assessment.offered()).stream()
                    .filter(check -> !looked.contains(check.character().id()))
                    .findFirst();
            if (enough || next.isEmpty() || observations.size() >= MOST_CHECKS) {
                return evidence;
            }
            String id = next.get().character().id();
            looked.add(id);
            observations.add(observed(tree, id, random));
        }
    }

    private Observation observed(PracticeTree tree, String id, Random random) {
        Specimen shown = tree.specimen(id);
        if (!shown.isBorne()) {
            return new NotSeen(id);
        }
        DiagnosticCharacter character = model.sheet().character(id).orElseThrow();
        boolean misled = random.nextDouble() > character.trust().weight(Optional.empty());
        Observed observed;
        if (character.scale() instanceof StateScale scale) {
            List<String> states = new ArrayList<>(shown.states());
            if (misled) {
                String any = scale.states()
                        .get(random.nextInt(scale.states().size()))
                        .id();
                states.replaceAll(state -> any);
            }
            observed = new StatesObserved(states);
        } else {
            double off = misled ? 0.7 + 0.6 * random.nextDouble() : 1;
            boolean counted = ((NumberScale) character.scale()).isCount();
            observed = new ValuesObserved(shown.values().stream()
                    .map(value -> counted ? Math.rint(value * off) : value * off)
                    .toList());
        }
        return new Reading(id, observed, Certainty.SURE, Optional.empty(), Optional.empty(), OptionalInt.empty());
    }
}

package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.control.Clearance;
import org.goldthistle.core.control.LastLook;
import org.goldthistle.core.control.LookPlan;
import org.goldthistle.core.control.NearStem;
import org.goldthistle.core.plot.PolarPosition;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.reading.NotSeen;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Terms;
import org.goldthistle.core.verdict.Tier;
import org.junit.jupiter.api.Test;

/** What clears a tree for control, and what a last look at it says. */
class LastLookTest {
    private static final GroupModel CHERRIES =
            GroupModel.of(GroupSheetJson.read(BuiltInLibrary.sheetText("bird-cherries")));
    private static final int SEPTEMBER = 9;
    private static final Map<String, String> INVADER = Map.of(
            "fruit-collar", "star-collar",
            "midrib-hairs", "rusty-fringe",
            "tooth-shape", "incurved",
            "bark-surface", "scaly");
    private static final Map<String, String> LOOK_ALIKE = Map.of(
            "fruit-collar", "absent",
            "midrib-hairs", "axil-tufts",
            "tooth-shape", "fine-sharp",
            "bark-surface", "dull-smooth");

    @Test
    void it_asks_for_the_heaviest_first_and_holds_nothing_of_what_was_read_of_them() {
        LookPlan plan = plan(SEPTEMBER, read(INVADER));
        assertThat(plan.canBeMade()).isTrue();
        assertThat(plan.steps()).hasSizeBetween(2, 4);

        List<String> asked =
                plan.steps().stream().limit(2).map(LookPlan.Step::character).toList();
        List<Observation> without = new ArrayList<>(read(INVADER));
        without.removeIf(one -> asked.contains(one.character()));
        var rest = Weighing.of(CHERRIES, Evidence.of(CHERRIES.sheet(), context(SEPTEMBER), without), Optional.empty())
                .featuresAlone();
        for (int k = 0; k <= CHERRIES.taxonCount(); k++) {
            assertThat(Math.exp(plan.steps().get(1).features().get(k))).isCloseTo(rest.posterior(k), within(1e-12));
        }
    }

    @Test
    void what_agrees_confirms_in_either_order_and_what_does_not_stops_the_saw() {
        LookPlan plan = plan(SEPTEMBER, read(INVADER));
        List<Observation> agreeing = at(plan, INVADER);
        LastLook confirmed = look(plan, agreeing);
        assertThat(confirmed.verdict()).isEqualTo(LastLook.Verdict.CONFIRMED);
        assertThat(confirmed.share()).isGreaterThanOrEqualTo(0.99);
        Collections.reverse(agreeing);
        assertThat(look(plan, agreeing).share()).isCloseTo(confirmed.share(), within(1e-12));

        List<Observation> contrary = at(plan, INVADER);
        contrary.set(0, reading(plan.steps().get(0).character(), LOOK_ALIKE));
        LastLook stopped = look(plan, contrary);
        assertThat(stopped.verdict()).isEqualTo(LastLook.Verdict.DO_NOT_CUT);
        assertThat(stopped.reasons())
                .contains(new LastLook.Reason(
                        LastLook.Kind.CONTRARY, Optional.of(plan.steps().get(0).character())));
    }

    @Test
    void what_cannot_be_seen_makes_room_for_the_next_and_too_little_confirms_nothing() {
        LookPlan plan = plan(SEPTEMBER, read(INVADER));
        List<Observation> one = List.of(reading(plan.steps().get(0).character(), INVADER));
        assertThat(look(plan, one).verdict()).isEqualTo(LastLook.Verdict.NOT_YET);

        List<Observation> passed = new ArrayList<>(one);
        passed.add(new NotSeen(plan.steps().get(1).character()));
        assertThat(look(plan, passed).verdict()).isEqualTo(LastLook.Verdict.NOT_YET);
        passed.add(reading(plan.steps().get(2).character(), INVADER));
        assertThat(look(plan, passed).reasons())
                .extracting(LastLook.Reason::kind)
                .doesNotContain(LastLook.Kind.TOO_LITTLE);

        LookPlan winter = plan(3, read(INVADER));
        assertThat(winter.steps())
                .as("what can be read in March")
                .extracting(LookPlan.Step::character)
                .doesNotContain("fruit-collar", "tooth-shape", "inner-bark");
    }

    @Test
    void the_gate_is_marked_whole_and_an_item_that_fails_stops_the_saw() {
        LookPlan plan = plan(SEPTEMBER, read(INVADER));
        List<GateMark> fits = gate(true);
        assertThat(LastLook.of(CHERRIES, plan, context(SEPTEMBER), at(plan, INVADER), List.of(), 0.99)
                        .verdict())
                .isEqualTo(LastLook.Verdict.NOT_YET);
        List<GateMark> fails = new ArrayList<>(fits);
        fails.add(new GateMark(fits.get(0).item(), false));
        assertThat(LastLook.of(CHERRIES, plan, context(SEPTEMBER), at(plan, INVADER), fails, 0.99)
                        .verdict())
                .isEqualTo(LastLook.Verdict.DO_NOT_CUT);
    }

    @Test
    void a_tree_is_clear_when_two_called_it_blind_and_all_else_holds() {
        Clearance.Signed good = signed(read(INVADER), Tier.CONTROL, true);
        assertThat(clearance(false, good, good).isClear()).isTrue();
        assertThat(kinds(clearance(false, good))).containsExactly(Clearance.Kind.SECOND_OBSERVER);
        assertThat(kinds(clearance(false, good, signed(read(INVADER), Tier.CONTROL, false))))
                .as("who had seen it")
                .containsExactly(Clearance.Kind.SECOND_OBSERVER);
        assertThat(kinds(clearance(true, good, good))).containsExactly(Clearance.Kind.REVIEW);
        Clearance.Signed tallied = signed(read(INVADER), Tier.TALLY, true);
        assertThat(kinds(clearance(false, tallied, tallied))).containsExactly(Clearance.Kind.TIER);
        assertThat(clearance(false, tallied, good).isClear())
                .as("one of them for control")
                .isTrue();
        Clearance.Signed thin = signed(List.of(reading("tooth-shape", INVADER)), Tier.CONTROL, true);
        assertThat(kinds(clearance(false, thin, thin))).contains(Clearance.Kind.CONDITION);
        assertThat(kinds(clearance(false))).containsExactly(Clearance.Kind.CALL);
    }

    @Test
    void near_it_are_those_within_ten_metres_what_must_be_kept_first() {
        List<NearStem> near = NearStem.around(
                new PolarPosition(0, 5),
                List.of(
                        new NearStem.Beside(1, NearStem.Kind.UNREAD, "", new PolarPosition(0, 6)),
                        new NearStem.Beside(2, NearStem.Kind.KEEP, "bird cherry", new PolarPosition(180, 4.5)),
                        new NearStem.Beside(3, NearStem.Kind.KEEP, "bird cherry", new PolarPosition(180, 5.5)),
                        new NearStem.Beside(4, NearStem.Kind.KEEP, "bird cherry", new PolarPosition(90, 5))));

        assertThat(near).extracting(NearStem::tag).containsExactly(4, 2, 1);
        assertThat(near.get(1).degrees()).isCloseTo(180, within(1e-9));
    }

    private static Clearance clearance(boolean underReview, Clearance.Signed... calls) {
        List<Optional<Evidence>> fits =
                Stream.of(calls).map(call -> Optional.of(call.evidence())).toList();
        return Clearance.of("serotina", List.of(calls), CHERRIES, fits, underReview);
    }

    private static List<Clearance.Kind> kinds(Clearance clearance) {
        return clearance.missing().stream().map(Clearance.Missing::kind).toList();
    }

    private static Clearance.Signed signed(List<Observation> read, Tier tier, boolean blind) {
        Evidence evidence = Evidence.of(CHERRIES.sheet(), context(SEPTEMBER), read, gate(true));
        return new Clearance.Signed(CHERRIES, "serotina", evidence, Terms.of(tier), tier, Set.of(), blind);
    }

    private static LastLook look(LookPlan plan, List<Observation> observations) {
        return LastLook.of(CHERRIES, plan, context(SEPTEMBER), observations, gate(true), 0.99);
    }

    private static List<GateMark> gate(boolean fits) {
        return CHERRIES.sheet().gate().stream()
                .map(item -> new GateMark(item.id(), fits))
                .toList();
    }

    private static List<Observation> at(LookPlan plan, Map<String, String> states) {
        List<Observation> observations = new ArrayList<>();
        plan.steps().stream().limit(2).forEach(step -> observations.add(reading(step.character(), states)));
        return observations;
    }

    private static LookPlan plan(int month, List<Observation> read) {
        Evidence evidence = Evidence.of(CHERRIES.sheet(), context(SEPTEMBER), read, gate(true));
        Assessment assessment = Assessment.of(CHERRIES, evidence, Terms.of(Tier.CONTROL), CallRecord.EMPTY);
        return LookPlan.of(
                CHERRIES.sheet().taxonIndex("serotina"),
                List.of(Weighing.of(CHERRIES, evidence, Optional.empty())),
                LookPlan.pivotal(List.of(assessment)),
                context(month),
                Harm.worst(false));
    }

    private static List<Observation> read(Map<String, String> states) {
        return Stream.of("bark-surface", "fruit-collar", "midrib-hairs", "tooth-shape")
                .map(character -> (Observation) reading(character, states))
                .toList();
    }

    private static Reading reading(String character, Map<String, String> states) {
        return new Reading(
                character,
                new StatesObserved(Collections.nCopies(8, states.get(character))),
                Certainty.SURE,
                Optional.empty(),
                Optional.empty(),
                OptionalInt.empty());
    }

    private static Context context(int month) {
        return new Context(
                month, LifeStage.MATURE, TreeOrigin.WILD, Set.of(), Optional.empty(), Optional.empty(), Map.of());
    }
}

package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.drawn.TreeStream;
import org.goldthistle.core.practice.Pair;
import org.goldthistle.core.practice.Pairs;
import org.goldthistle.core.practice.PracticeCall;
import org.goldthistle.core.practice.PracticeScore;
import org.goldthistle.core.practice.PracticeTree;
import org.goldthistle.core.practice.Specimen;
import org.goldthistle.core.practice.Variation;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.reading.NotSeen;
import org.goldthistle.core.reading.Observed;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Drawing;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateScale;
import org.junit.jupiter.api.Test;

/** What is made of practice trees of built-in sheets. */
class PracticeScoreTest {
    private static final GroupModel BIRCHES = GroupModel.of(GroupSheetJson.read(BuiltInLibrary.sheetText("birches")));
    private static final Pair PAIR = new Pair("pubescens", "pendula");

    @Test
    void a_tree_shows_the_same_in_whichever_order_it_is_looked_at() {
        List<String> ids = new ArrayList<>(BIRCHES.sheet().characters().stream()
                .map(DiagnosticCharacter::id)
                .toList());
        for (int seed = 0; seed < 50; seed++) {
            PracticeTree one = PracticeTree.draw(BIRCHES, seed, PAIR);
            PracticeTree other = PracticeTree.draw(BIRCHES, seed, new Pair("pendula", "pubescens"));
            List<Specimen> first = ids.stream().map(one::specimen).toList();
            List<String> shuffled = new ArrayList<>(ids);
            Collections.shuffle(shuffled, new Random(seed));
            shuffled.forEach(other::specimen);

            assertThat(ids.stream().map(other::specimen).toList()).isEqualTo(first);
            assertThat(other.taxon()).isEqualTo(one.taxon());
            assertThat(other.month()).isEqualTo(one.month());
        }
    }

    @Test
    void who_reads_all_as_it_is_reads_as_a_perfect_reader() {
        int right = 0;
        for (int seed = 0; seed < 60; seed++) {
            PracticeTree tree = PracticeTree.draw(BIRCHES, seed, PAIR);
            PracticeScore score = score(tree, asShown(tree, 4), tree.truth().map(taxon -> taxon.id()));

            assertThat(score.readings()).allMatch(PracticeScore.Scored::isRight);
            assertThat(score.share()).isCloseTo(score.perfectShare(), within(1e-12));
            assertThat(score.logScore()).isCloseTo(Math.log(score.share()), within(1e-9));
            assertThat(score.choice()).isBetween(0.0, 1.0);
            double spent = score.bestChecks().stream()
                    .mapToDouble(id ->
                            PracticeTree.minutes(tree.sheet().character(id).orElseThrow()))
                    .sum();
            assertThat(spent).isLessThanOrEqualTo(score.minutes());
            right += score.verdict() == PracticeScore.Verdict.RIGHT ? 1 : 0;
        }
        assertThat(right).isEqualTo(60);
    }

    @Test
    void a_wound_costs_as_in_life() {
        PracticeTree tree = treeOf("pendula", "twig-warts");
        var looked = new PracticeCall(
                List.of(new NotSeen("inner-bark-test"), new NotSeen("twig-warts")), List.of(), Optional.empty(), false);
        double minutes = 0;
        for (String id : List.of("inner-bark-test", "twig-warts")) {
            DiagnosticCharacter character = tree.sheet().character(id).orElseThrow();
            minutes += character.effort().minutes() + character.effort().harm().minutesWorth();
        }

        assertThat(tree.sheet()
                        .character("inner-bark-test")
                        .orElseThrow()
                        .effort()
                        .harm())
                .isEqualTo(Harm.WOUND);
        assertThat(new PracticeScore(tree, looked).minutes()).isEqualTo(minutes);
    }

    @Test
    void what_is_misread_is_told_with_what_it_was() {
        PracticeTree tree = treeOf("pendula", "twig-warts");
        String shown = tree.specimen("twig-warts").states().get(0);
        String read = shown.equals("absent") ? "dense" : "absent";

        PracticeScore score = score(
                tree, List.of(reading("twig-warts", new StatesObserved(List.of(read)))), Optional.of("pubescens"));

        assertThat(score.readings())
                .singleElement()
                .satisfies(one -> assertThat(one.mistaken()).containsExactly(new PracticeScore.Mistaken(shown, read)));
        assertThat(score.verdict()).isEqualTo(PracticeScore.Verdict.WRONG);
        assertThat(score.share()).isNotCloseTo(score.perfectShare(), within(1e-3));
    }

    @Test
    void a_measure_may_be_off_a_little_and_a_count_by_nothing() {
        PracticeTree tree = treeOf("pendula", "dft");
        double value = tree.specimen("dft").values().get(0);
        assertThat(score(tree, measured("dft", value * 1.04)).readings().get(0).isRight())
                .isTrue();
        assertThat(score(tree, measured("dft", value * 1.5 + 3))
                        .readings()
                        .get(0)
                        .isRight())
                .isFalse();
        PracticeTree toothed = treeOf("pendula", "ltf");
        double count = toothed.specimen("ltf").values().get(0);
        assertThat(score(toothed, measured("ltf", count)).readings().get(0).isRight())
                .isTrue();
        assertThat(score(toothed, measured("ltf", count + 1)).readings().get(0).isRight())
                .isFalse();
    }

    @Test
    void a_tree_of_none_of_these_is_called_so_and_its_gate_is_marked() {
        PracticeTree strange = IntStream.range(0, 500)
                .mapToObj(seed -> PracticeTree.draw(BIRCHES, seed, PAIR))
                .filter(tree -> tree.gateBroken().isPresent())
                .findFirst()
                .orElseThrow();
        String item = strange.gateBroken().orElseThrow().id();
        var seen = new PracticeCall(List.of(), List.of(new GateMark(item, false)), Optional.empty(), true);
        var passed = new PracticeCall(List.of(), List.of(new GateMark(item, true)), Optional.of("pendula"), false);

        assertThat(new PracticeScore(strange, seen).verdict()).isEqualTo(PracticeScore.Verdict.RIGHT);
        assertThat(new PracticeScore(strange, seen).isGateRight()).isTrue();
        assertThat(new PracticeScore(strange, passed).verdict()).isEqualTo(PracticeScore.Verdict.WRONG);
        assertThat(new PracticeScore(strange, passed).isGateRight()).isFalse();
        assertThat(score(strange, List.of(), Optional.empty()).verdict()).isEqualTo(PracticeScore.Verdict.OPEN);
    }

    @Test
    void what_cannot_be_practised_is_refused_in_words() {
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> PracticeTree.draw(BIRCHES, 1, new Pair("pendula", "pendula")))
                .withMessageContaining("nothing tells them apart");
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> PracticeTree.draw(BIRCHES, 1, new Pair("pendula", "quercus")))
                .withMessageContaining("quercus");
        assertThat(Pairs.of(BIRCHES)).hasSize(3).contains(PAIR);
    }

    @Test
    void a_specimen_is_drawn_nearer_to_its_state_than_to_any_sibling() {
        for (String group : BuiltInLibrary.GROUPS) {
            for (DiagnosticCharacter character :
                    GroupSheetJson.read(BuiltInLibrary.sheetText(group)).characters()) {
                if (character.scale() instanceof StateScale scale) {
                    for (State state : scale.states()) {
                        state.drawing().ifPresent(own -> assertNearer(scale, state, own));
                    }
                }
            }
        }
    }

    private static void assertNearer(StateScale scale, State state, Drawing own) {
        for (int seed = 0; seed < 5; seed++) {
            Drawing varied = Variation.of(scale, state, new TreeStream(seed, 1, 1));
            assertThat(varied.part()).isEqualTo(own.part());
            assertThat(varied.parameters().keySet()).isEqualTo(own.parameters().keySet());
            for (State sibling : scale.states()) {
                sibling.drawing()
                        .filter(other -> other.part().equals(own.part()) && sibling != state)
                        .ifPresent(other -> varied.parameters().forEach((name, value) -> {
                            if (value instanceof Double number
                                    && own.parameters().get(name) instanceof Double mine
                                    && other.parameters().get(name) instanceof Double theirs
                                    && !mine.equals(theirs)) {
                                assertThat(Math.abs(number - mine)).isLessThan(Math.abs(number - theirs));
                            }
                        }));
            }
        }
    }

    private static PracticeTree treeOf(String taxon, String character) {
        return IntStream.range(0, 500)
                .mapToObj(seed -> PracticeTree.draw(BIRCHES, seed, PAIR))
                .filter(tree ->
                        tree.truth().filter(one -> one.id().equals(taxon)).isPresent()
                                && tree.specimen(character).isBorne())
                .findFirst()
                .orElseThrow();
    }

    private static List<Reading> measured(String character, double value) {
        return List.of(reading(character, new ValuesObserved(List.of(value))));
    }

    private static Reading reading(String character, Observed observed) {
        return new Reading(character, observed, Certainty.SURE, Optional.empty(), Optional.empty());
    }

    private static List<Reading> asShown(PracticeTree tree, int most) {
        List<Reading> readings = new ArrayList<>();
        for (DiagnosticCharacter character : tree.sheet().characters()) {
            Specimen shown = tree.specimen(character.id());
            if (!character.isSite() && shown.isBorne() && readings.size() < most) {
                readings.add(reading(
                        character.id(),
                        shown.states().isEmpty()
                                ? new ValuesObserved(shown.values())
                                : new StatesObserved(shown.states())));
            }
        }
        return readings;
    }

    private static PracticeScore score(PracticeTree tree, List<Reading> readings) {
        return score(tree, readings, Optional.empty());
    }

    private static PracticeScore score(PracticeTree tree, List<Reading> readings, Optional<String> named) {
        boolean none = named.isEmpty() && tree.truth().isEmpty() && !readings.isEmpty();
        return new PracticeScore(tree, new PracticeCall(readings, List.of(), named, none));
    }
}

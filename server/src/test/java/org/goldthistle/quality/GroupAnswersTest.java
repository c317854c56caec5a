package org.goldthistle.quality;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.GroupSheetJson;
import org.goldthistle.quality.GroupAnswers.Signed;
import org.junit.jupiter.api.Test;

/** Figures by hand, of trees that were answered alike and are taken in at once. */
class GroupAnswersTest {
    private static final StoredSheet BIRCHES = new StoredSheet(
            new UUID(0, 1), 1, "print", GroupModel.of(GroupSheetJson.read(BuiltInLibrary.sheetText("birches"))));
    private static final UUID WREN = new UUID(0, 2);
    private static final UUID DIPPER = new UUID(0, 3);
    private static final UUID SISKIN = new UUID(0, 4);
    private static final Map<UUID, String> CALL_SIGNS = Map.of(WREN, "Wren", DIPPER, "Dipper", SISKIN, "Siskin");
    private static final Map<String, Integer> BOSSES = Map.of("bark-base", 0);
    private static final Map<String, Integer> CRACKED = Map.of("bark-base", 1);

    private static Signed signed(UUID observer, String name, Map<String, Integer> seen) {
        return new Signed(observer, name, seen);
    }

    /** Trees of which so many were answered alike. */
    private record Alike(long trees, List<Signed> answers) {}

    private static final List<Alike> READ = List.of(
            new Alike(6, List.of(signed(WREN, "silver birch", BOSSES), signed(DIPPER, "silver birch", BOSSES))),
            new Alike(2, List.of(signed(DIPPER, "silver birch", BOSSES), signed(WREN, "downy birch", CRACKED))),
            new Alike(
                    4,
                    List.of(
                            signed(WREN, "downy birch", CRACKED),
                            signed(DIPPER, "downy birch", Map.of()),
                            signed(SISKIN, "silver birch", CRACKED))));

    private static AgreementDto.OfGroup atOnce() {
        var answers = new GroupAnswers(BIRCHES);
        READ.forEach(one -> answers.read(one.answers(), one.trees()));
        return answers.agreement(CALL_SIGNS);
    }

    @Test
    void each_of_the_trees_counts() {
        AgreementDto.OfGroup birches = atOnce();

        assertThat(birches.trees()).isEqualTo(12);
        assertThat(birches.tooFew()).isFalse();
        assertThat(birches.answers()).containsExactly("silver birch", "downy birch");
        assertThat(birches.confusion()).containsExactly(List.of(6L, 2L), List.of(0L, 4L));
        assertThat(birches.percent()).isCloseTo(100 * 10 / 12.0, within(1e-9));
        assertThat(birches.confused()).containsExactly(new AgreementDto.ConfusedPair("silver birch", "downy birch", 2));
        assertThat(birches.observers())
                .extracting(pair -> pair.first() + " and " + pair.second() + ": " + pair.trees())
                .containsExactly("Dipper and Wren: 12", "Dipper and Siskin: 4", "Siskin and Wren: 4");
        AgreementDto.CharacterAgreement bark = birches.characters().get(0);
        assertThat(bark.pairs()).isEqualTo(12); // who did not look at it is in no pair
        assertThat(bark.percent()).isCloseTo(100 * 10 / 12.0, within(1e-9));
        assertThat(birches.errors())
                .extracting(AgreementDto.ObserverErrors::trees)
                .containsExactlyInAnyOrder(12L, 12L, 4L);
    }

    @Test
    void taken_in_one_by_one_they_come_to_the_same() {
        var answers = new GroupAnswers(BIRCHES);
        for (Alike one : READ) {
            for (int i = 0; i < one.trees(); i++) {
                answers.read(one.answers(), 1);
            }
        }

        assertThat(answers.agreement(CALL_SIGNS)).isEqualTo(atOnce());
    }

    @Test
    void what_an_older_sheet_called_a_tree_is_an_answer_of_its_own() {
        var answers = new GroupAnswers(BIRCHES);
        answers.read(List.of(signed(WREN, "white birch", Map.of()), signed(DIPPER, "silver birch", Map.of())), 3);

        assertThat(answers.agreement(CALL_SIGNS).answers()).containsExactly("silver birch", "white birch");
        assertThat(answers.agreement(CALL_SIGNS).percent()).isZero();
    }
}

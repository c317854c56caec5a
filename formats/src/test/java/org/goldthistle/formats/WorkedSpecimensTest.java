package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Terms;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.core.verdict.Verdict;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Trees whose answer is known: no signable call may be wrong, nor be made where a good expert would not make one. */
class WorkedSpecimensTest {
    private record Judged(Specimen specimen, Assessment assessment) {}

    @ParameterizedTest
    @EnumSource(Tier.class)
    void a_clear_specimen_that_is_signable_names_its_truth(Tier tier) {
        List<Judged> signable = judged(tier, Expectation.CLEAR)
                .filter(one -> one.assessment().verdict() == Verdict.SIGNABLE)
                .toList();

        assertThat(signable)
                .isNotEmpty()
                .allSatisfy(one -> assertThat(one.assessment().lead().id())
                        .isEqualTo(one.specimen().truth().orElseThrow()));
    }

    @ParameterizedTest
    @EnumSource(Tier.class)
    void a_contested_specimen_is_not_signable_but_for_a_tally_under_its_own_name(Tier tier) {
        List<Judged> contested = judged(tier, Expectation.CONTESTED).toList();

        assertThat(contested).isNotEmpty();
        assertThat(contested)
                .filteredOn(one -> one.assessment().verdict() == Verdict.SIGNABLE)
                .allSatisfy(one -> {
                    assertThat(tier).as(one.specimen().id()).isEqualTo(Tier.TALLY);
                    assertThat(one.specimen().truth())
                            .contains(one.assessment().lead().id());
                });
    }

    private static Stream<Judged> judged(Tier tier, Expectation expectation) {
        return BuiltInLibrary.GROUPS.stream().flatMap(group -> {
            GroupModel model = GroupModel.of(GroupSheetJson.read(BuiltInLibrary.sheetText(group)));
            return SpecimenJson.readAll(BuiltInLibrary.specimensText(group)).stream()
                    .filter(specimen -> specimen.expect().orElseThrow() == expectation)
                    .map(specimen -> new Judged(
                            specimen,
                            Assessment.of(
                                    model,
                                    Evidence.of(model.sheet(), specimen.context(), specimen.observations()),
                                    Terms.of(tier),
                                    CallRecord.EMPTY)));
        });
    }
}

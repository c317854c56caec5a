package org.goldthistle.learning;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.change.SheetDifference;
import org.goldthistle.core.learning.Lesson;
import org.goldthistle.core.learning.Proposal;
import org.goldthistle.core.learning.Ruling;
import org.goldthistle.core.learning.Trial;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.library.ChangeDto;
import org.springframework.lang.Nullable;

/**
 * What verified trees would change in a sheet.
 *
 * @param versionId of the newest sheet, which it would be changed in
 * @param ruling accept, not-enough-trees or no-gain
 * @param trees that it rests on
 * @param trials of weights, profiles and both, against the sheet as it is; empty: too few trees
 * @param choice which of them is proposed; null: none
 * @param proposals in the sheet's order
 */
record ProposalsDto(
        String groupId,
        UUID versionId,
        @CodeOf(Ruling.class) String ruling,
        int trees,
        List<TrialDto> trials,
        @Nullable @CodeOf(Lesson.Choice.class) String choice,
        List<ProposalDto> proposals) {

    static ProposalsDto of(StoredSheet sheet, Lesson lesson) {
        List<TrialDto> trials = new ArrayList<>();
        for (Lesson.Choice choice : Lesson.Choice.values()) {
            if (lesson.trials().containsKey(choice)) {
                trials.add(TrialDto.of(choice, lesson.trials().get(choice)));
            }
        }
        return new ProposalsDto(
                sheet.sheet().id(),
                sheet.id(),
                lesson.ruling().code(),
                lesson.trees(),
                trials,
                lesson.choice().map(Lesson.Choice::code).orElse(null),
                lesson.proposals().stream()
                        .map(one -> ProposalDto.of(sheet.sheet(), one))
                        .toList());
    }

    /**
     * How a proposal did on trees that it was not made from.
     *
     * @param before mean log loss without it, in nats
     * @param after with it
     * @param standardError of the mean difference
     */
    record TrialDto(
            @CodeOf(Lesson.Choice.class) String choice,
            double before,
            double after,
            double standardError,
            @CodeOf(Ruling.class) String ruling) {
        static TrialDto of(Lesson.Choice choice, Trial trial) {
            return new TrialDto(
                    choice.code(),
                    trial.before(),
                    trial.after(),
                    trial.standardError(),
                    trial.ruling().code());
        }
    }

    /**
     * A change of one character.
     *
     * @param kind weight or profiles
     * @param changes what is different, in words
     * @param trees on which the character was read
     * @param lossAlone what it does to log loss when it is the only one taken, in nats; below 0 it falls
     */
    record ProposalDto(
            String character,
            String name,
            @CodeOf(Proposal.Kind.class) String kind,
            List<ChangeDto> changes,
            int trees,
            double lossAlone) {
        static ProposalDto of(GroupSheet sheet, Proposal proposal) {
            GroupSheet with = sheet.withCharacters(sheet.characters().stream()
                    .map(one -> one.id().equals(proposal.now().id()) ? proposal.proposed() : one)
                    .toList());
            return new ProposalDto(
                    proposal.now().id(),
                    proposal.now().name(),
                    proposal.kind().code(),
                    SheetDifference.between(sheet, with).stream()
                            .map(ChangeDto::of)
                            .toList(),
                    proposal.trees(),
                    proposal.lossAlone());
        }
    }
}

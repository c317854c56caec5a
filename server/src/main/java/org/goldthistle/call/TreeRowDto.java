package org.goldthistle.call;

import java.util.List;
import java.util.UUID;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.lang.Nullable;

/**
 * A tree in a survey's list.
 *
 * @param groupTitle the confusable group it belongs to
 * @param elsewhere whether the observer moved it to another group than the plot says
 * @param readings how many characters this observer has entered
 * @param thistle what they amount to at a glance; null before the first
 * @param signed what observers signed last, the newest first
 */
record TreeRowDto(
        UUID id,
        String plotCode,
        int tag,
        String groupId,
        String groupTitle,
        boolean elsewhere,
        String stage,
        int diameterMillimetres,
        int readings,
        @Nullable ThistleDto thistle,
        List<SignedDto> signed) {

    static TreeRowDto of(SurveyedTree tree, CallInHand mine, List<DeterminationDto> determinations) {
        GroupSheet sheet = mine.sheet().sheet();
        int entered = mine.counting().size();
        return new TreeRowDto(
                tree.id(),
                tree.plotCode(),
                tree.tag(),
                sheet.id(),
                sheet.title(),
                !sheet.id().equals(tree.groupId()),
                tree.stage(),
                tree.diameterMillimetres(),
                entered,
                entered == 0 ? null : ThistleDto.of(mine.assessment(CallRecord.EMPTY)),
                determinations.stream()
                        .filter(one -> !one.superseded())
                        .map(one -> new SignedDto(one.observer(), one.outcome(), one.month(), one.commonName()))
                        .toList());
    }

    /** What an observer signed; the name is the taxon's or the group's, the month that to come back in. */
    record SignedDto(
            String observer, String outcome, @Nullable Integer month, String commonName) {}
}

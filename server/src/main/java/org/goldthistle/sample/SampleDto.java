package org.goldthistle.sample;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.laboratory.Analysis;
import org.goldthistle.core.laboratory.SampleStep;
import org.goldthistle.core.laboratory.Tissue;
import org.springframework.lang.Nullable;

/**
 * A sample with its life so far.
 *
 * @param groupId the confusable group that its tree belongs to
 * @param code on its label
 * @param tissue what is cut
 * @param analysis what the laboratory is to do
 * @param step where it is now
 * @param ended whether its life has ended
 * @param next what somebody may say comes next; a parcel, the laboratory or a review say the rest
 * @param life its steps, the first one first
 * @param parcel code of the parcel that it lies in or was sent with; null: none
 * @param results what the laboratory said of it, the latest last; empty as well while its tree is read blind
 */
record SampleDto(
        UUID id,
        UUID treeId,
        UUID plotId,
        String plotCode,
        int tag,
        String groupId,
        String code,
        @CodeOf(Tissue.class) String tissue,
        @CodeOf(Analysis.class) String analysis,
        SampleStep step,
        boolean ended,
        List<SampleStep> next,
        List<LifeStep> life,
        @Nullable String parcel,
        List<LaboratoryResultDto> results) {

    /** Whether it is what was asked for. */
    boolean isAsked(NewSample asked) {
        return treeId.equals(asked.treeId()) && tissue.equals(asked.tissue()) && analysis.equals(asked.analysis());
    }

    /** The same without what anybody wrote to it, for whoever is to read its tree blind. */
    SampleDto withoutWords() {
        return living(life.stream()
                .map(one -> new LifeStep(one.step(), one.by(), one.at(), ""))
                .toList());
    }

    /** The same with its life so far. */
    SampleDto living(List<LifeStep> lived) {
        SampleStep now = lived.get(lived.size() - 1).step();
        return new SampleDto(
                id,
                treeId,
                plotId,
                plotCode,
                tag,
                groupId,
                code,
                tissue,
                analysis,
                now,
                now.isEnd(),
                now.next().stream().filter(SampleStep::isSaid).toList(),
                lived,
                parcel,
                results);
    }

    /** The same with what came of it. */
    SampleDto with(List<LaboratoryResultDto> came) {
        return new SampleDto(
                id, treeId, plotId, plotCode, tag, groupId, code, tissue, analysis, step, ended, next, life, parcel,
                came);
    }

    /**
     * One step.
     *
     * @param by call sign; null: the laboratory said so
     */
    record LifeStep(SampleStep step, @Nullable String by, Instant at, String note) {}
}

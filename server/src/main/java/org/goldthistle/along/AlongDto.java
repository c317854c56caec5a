package org.goldthistle.along;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.bench.BenchRecord;
import org.goldthistle.call.SurveyRules;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.plotlist.TreeRow;
import org.goldthistle.survey.PlotDto;

/**
 * Plots as one observer takes them along: just what the same pages would show them here and now.
 *
 * @param at when it was laid out
 * @param rules of the survey, for trees that are recorded on the way
 * @param lacking codes of what the observer does not have
 * @param sheets that the calls are read on, and the newest of every group
 */
record AlongDto(
        Instant at,
        SurveyRules rules,
        @CodeOf(Faculty.class) List<String> lacking,
        List<AlongPlot> plots,
        List<AlongSheet> sheets) {

    /**
     * A plot with its trees.
     *
     * @param trees all of them, by tag
     * @param calls of those that have one, by tag
     */
    record AlongPlot(PlotDto plot, List<TreeRow> trees, List<BenchRecord> calls) {}

    /** A version of a sheet. */
    record AlongSheet(UUID versionId, String groupId, int version) {}
}

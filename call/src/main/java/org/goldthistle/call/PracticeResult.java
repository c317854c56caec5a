package org.goldthistle.call;

import java.util.List;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.practice.PracticeScore;
import org.goldthistle.core.practice.PracticeTree;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.Taxon;

/**
 * What became of a practice tree.
 *
 * @param truth id of its taxon; empty: none of these
 * @param gateBroken id of the gate item that it does not fit; empty: it fits all of it
 * @param gateRight whether the marks of the gate are those that it deserves
 * @param share of belief that the readings give to the truth, 0-1
 * @param perfectShare the same for a perfect reader after the same checks
 * @param logScore ln of the first share, in nats, 0 at best
 * @param leadShare share of the taxon that the readings speak for
 * @param leadRight whether that is the truth
 * @param choice how well the checks were chosen for the minutes, 0-1
 * @param minutes that the checks took
 * @param best the best checks for as many minutes, by id
 * @param bestShare what a perfect reader would have had after those
 * @param astray schools whose weights would have led elsewhere from the same readings
 * @param readings in the order in which they were made
 */
public record PracticeResult(
        String truth,
        String gateBroken,
        boolean gateRight,
        @CodeOf(PracticeScore.Verdict.class) String verdict,
        double share,
        double perfectShare,
        double logScore,
        double leadShare,
        boolean leadRight,
        double choice,
        double minutes,
        List<String> best,
        double bestShare,
        @CodeOf(School.class) List<String> astray,
        List<ScoredReading> readings) {

    /**
     * A reading, held against what the tree shows.
     *
     * @param looks how many leaves, cones … were looked at
     * @param right how many of them were read as they are
     * @param mistaken the others
     */
    public record ScoredReading(String character, int looks, int right, List<MistakenLook> mistaken) {}

    /** A look that was read as something else: states by id, or numbers; shown is empty where the tree bears none. */
    public record MistakenLook(String shown, String read) {}

    static PracticeResult of(PracticeTree tree, PracticeScore score) {
        return new PracticeResult(
                tree.truth().map(Taxon::id).orElse(""),
                tree.gateBroken().map(item -> item.id()).orElse(""),
                score.isGateRight(),
                score.verdict().code(),
                score.share(),
                score.perfectShare(),
                score.logScore(),
                score.leadShare(),
                score.isLeadRight(),
                score.choice(),
                score.minutes(),
                score.bestChecks(),
                score.bestShare(),
                score.ledAstray().stream().map(School::code).toList(),
                score.readings().stream()
                        .map(one -> new ScoredReading(
                                one.character(),
                                one.looks(),
                                one.right(),
                                one.mistaken().stream()
                                        .map(look -> new MistakenLook(look.shown(), look.read()))
                                        .toList()))
                        .toList());
    }
}

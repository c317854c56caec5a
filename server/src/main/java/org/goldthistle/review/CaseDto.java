package org.goldthistle.review;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.CaseReason;
import org.goldthistle.call.SignedView;
import org.goldthistle.call.Thistle;
import org.goldthistle.core.CodeOf;
import org.goldthistle.sample.Laboratory;
import org.goldthistle.sample.LaboratoryResultDto;
import org.springframework.lang.Nullable;

/**
 * A review as one observer sees it. While they are to read the tree blind, everything that was read of it is empty.
 *
 * @param state waiting, reading, table, laboratory or settled
 * @param needs what it waits for: blind-reading, decision, laboratory or nothing
 * @param mayRead whether this observer may read it blind
 * @param mayDecide whether this observer may decide it
 * @param whyNot this observer may not decide it; null: they may, or it is settled
 * @param ways in which it can be decided as it stands, whoever may do so
 * @param mine whether this observer reads it blind now
 * @param takenBy call sign of who reads it blind now; null: nobody
 * @param blind whether what was read is kept from this observer
 * @param seenBefore whether this observer was shown what others made of the tree and so cannot read it blind
 * @param stuck whether it waits for a blind reading that nobody in the survey can make any more; a sample for the
 *     laboratory is then all that can be decided
 * @param proposal what to read again where there is no time for all; null unless it is read blind
 * @param photos of the tree, with nothing said of them and nothing measured on them, for a blind reading
 * @param changedMeanwhile whether an earlier reader signed anew while it was read blind
 * @param readings the last of each observer, in the order of signing
 * @param characters that were read, those on which the readers differ first
 * @param joint what the readings amount to together; null where they are on different sheets, or there is but one
 *     and no laboratory said anything
 * @param laboratory its samples and what came of them; null while it is read blind
 * @param words what was said, in order
 * @param decisions that were made, in order
 * @param stands what stands by this review; null: nothing yet
 * @param verified whether a lead marked what stands as the truth, for others to be held against
 * @param mayVerify whether this observer may mark it so, or take that back
 * @param version to be sent with a decision
 */
record CaseDto(
        UUID id,
        UUID surveyId,
        String surveyName,
        boolean closed,
        UUID treeId,
        UUID plotId,
        String plotCode,
        int tag,
        int diameterMillimetres,
        String groupId,
        @Nullable UUID sheetVersionId,
        CaseState state,
        int looks,
        CaseNeed needs,
        boolean mayRead,
        boolean mayDecide,
        @Nullable Hindrance whyNot,
        List<Way> ways,
        boolean mine,
        @Nullable String takenBy,
        boolean blind,
        boolean seenBefore,
        boolean stuck,
        @Nullable Proposal proposal,
        List<UUID> photos,
        @CodeOf(CaseReason.class) List<String> reasons,
        boolean changedMeanwhile,
        List<Reader> readings,
        List<Compared> characters,
        @Nullable Joint joint,
        @Nullable AtLaboratory laboratory,
        List<Word> words,
        List<Decision> decisions,
        @Nullable SignedView stands,
        Instant openedAt,
        boolean verified,
        boolean mayVerify,
        int version) {

    /**
     * A way to decide.
     *
     * @param stands the call that would stand, to agree; null otherwise
     * @param signers call signs of those who signed the same, to agree; else empty
     * @param wantsReasons whether it must be said why
     */
    record Way(ReviewOutcome outcome, @Nullable UUID stands, List<String> signers, boolean wantsReasons) {}

    /**
     * The characters that would part what is in question.
     *
     * @param characters their names, the strongest first
     * @param expectedPoints that they can be expected to bring
     * @param enough whether that would settle it
     */
    record Proposal(List<String> characters, double expectedPoints, boolean enough) {}

    /**
     * What one observer signed.
     *
     * @param blind whether they did so without having seen the others
     * @param mine whether it is this observer's own
     */
    record Reader(String observer, boolean blind, boolean mine, Thistle thistle, SignedView determination) {}

    /**
     * A character as the readers saw it.
     *
     * @param differs whether they saw what speaks for different taxa
     * @param cells one for each reader; null: they did not read it
     * @param jointPoints that the readings are worth together, for the joint lead against its rival; null: no joint
     */
    record Compared(
            String character,
            String name,
            boolean differs,
            List<Cell> cells,
            @Nullable Double jointPoints) {}

    /**
     * What one reader made of a character.
     *
     * @param reader place among the readings
     * @param points for the first reader's lead against its rival, or against what the other signed where they differ
     */
    record Cell(int reader, double points) {}

    /**
     * What a laboratory has of the tree.
     *
     * @param used whether the survey sends samples
     * @param results that count, the earliest first
     */
    record AtLaboratory(boolean used, List<Laboratory.SampleAt> samples, List<LaboratoryResultDto> results) {}

    /** Balances of all readings together, and of what a laboratory found. */
    record Joint(JointView withSurroundings, JointView featuresAlone, String first, String second) {}

    /**
     * One joint balance.
     *
     * @param shares of belief by taxon, none-of-these last
     * @param totalPoints for the lead against the rival
     */
    record JointView(String lead, String rival, List<Double> shares, double totalPoints) {}

    /** Something said; of a character, or of the case. */
    record Word(
            UUID id, String observer, Instant at, @Nullable String character, String body) {}

    /** What somebody decided. */
    record Decision(
            UUID id,
            String observer,
            Instant at,
            @CodeOf(ReviewOutcome.class) String outcome,
            String reasons) {}
}

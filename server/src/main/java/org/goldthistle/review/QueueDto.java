package org.goldthistle.review;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.CaseReason;
import org.goldthistle.call.Thistle;
import org.goldthistle.core.CodeOf;
import org.springframework.lang.Nullable;

/**
 * A page of the queue, the longest waiting first, settled ones by when they were settled, the latest first.
 *
 * @param inAll how many cases the filter leaves, on this page and others
 * @param next to be sent for the page after this one; null: it is the last
 * @param forMe how many cases wait for something that this observer may do
 */
record QueueDto(List<Row> rows, int inAll, @Nullable Integer next, int forMe) {

    /**
     * A case as the queue shows it.
     *
     * @param state waiting, reading, table, laboratory or settled
     * @param looks how many blind readings were asked for
     * @param needs what it waits for: blind-reading, decision, laboratory or nothing
     * @param mayDo whether this observer may do that
     * @param whyNot own: they signed it themselves; seen: they were shown what others made of it; taken: somebody else reads it; role: a reviewer decides; closed: the
     *     survey is; null: they may, or nothing is to be done
     * @param mine whether this observer reads it blind now
     * @param takenBy call sign of who reads it blind now; null: nobody
     * @param blind whether what was read is kept from this observer; reasons and calls are then empty
     * @param stuck whether nobody in the survey can read it blind any more
     * @param reasons why it is reviewed
     * @param calls what each reader signed
     * @param outcome how it was settled; null: it is not
     */
    record Row(
            UUID id,
            UUID treeId,
            UUID plotId,
            String plotCode,
            int tag,
            String groupId,
            String groupTitle,
            CaseState state,
            int looks,
            CaseNeed needs,
            boolean mayDo,
            @Nullable Hindrance whyNot,
            boolean mine,
            @Nullable String takenBy,
            boolean blind,
            boolean stuck,
            @CodeOf(CaseReason.class) List<String> reasons,
            List<Said> calls,
            @Nullable @CodeOf(ReviewOutcome.class) String outcome,
            Instant openedAt) {}

    /**
     * What a reader signed.
     *
     * @param thistle the call at a glance; null: more was read since
     */
    record Said(String observer, String name, @Nullable Thistle thistle) {}
}

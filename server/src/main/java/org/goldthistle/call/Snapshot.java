package org.goldthistle.call;

import java.util.List;
import java.util.UUID;

/**
 * All that a signed call was reckoned from, with the figures it had: from circumstances, readings and sheet version
 * the same figures must come out for ever. This is the layout of stored data; it only ever gains fields.
 *
 * @param format of this record
 * @param sheetVersionId the sheet it was signed on
 * @param sheetSha256 print of that sheet's file
 * @param circumstances of the tree
 * @param readings in the order of their entry, one a character
 * @param figures as they stood when it was signed
 * @param judgement as it stood
 */
record Snapshot(
        String format,
        UUID sheetVersionId,
        String sheetSha256,
        Circumstances circumstances,
        List<KeptReading> readings,
        Figures figures,
        Judgement judgement) {

    static final String FORMAT = "goldthistle-call/1";

    /** A reading with its id in the record. */
    record KeptReading(UUID id, NewReading reading) {}
}

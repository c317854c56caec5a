package org.goldthistle.control;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.LookAsked;
import org.springframework.lang.Nullable;

/**
 * The card of a tree that was approved for control, as it is taken to the tree: where it stands, what must not be touched,
 * and what the last look asks for. What was read of the tree before is not on it.
 *
 * @param approvalId of the approval by which it is on the list
 * @param near what stands near and must not be touched, what must be kept first
 * @param sheetVersionId of the sheet by which the look asks
 * @param asked in this month, and in the next
 * @param look the last one under this approval; null: none
 * @param work the last word of what was done; null: nothing
 */
record CardDto(
        UUID surveyId,
        String surveyName,
        UUID approvalId,
        UUID sheetVersionId,
        UUID treeId,
        UUID plotId,
        String plotCode,
        int tag,
        @Nullable Double latitude,
        @Nullable Double longitude,
        double azimuthDegrees,
        double distanceMetres,
        int diameterMillimetres,
        String groupId,
        String commonName,
        String scientificName,
        List<ControlListDto.NearStemDto> near,
        List<LookAsked> asked,
        @Nullable Looked look,
        @Nullable ControlListDto.WorkDto work,
        List<String> cautions) {

    /**
     * A look without what was read.
     *
     * @param by who took it, by call sign
     * @param result what it said
     */
    record Looked(String by, Instant at, LookAsked.LookResult result) {
        static Looked of(ControlListDto.LookDto look) {
            return new Looked(look.by(), look.at(), look.result());
        }
    }
}

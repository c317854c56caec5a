package org.goldthistle.control;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.ClearanceWords;
import org.goldthistle.call.LookAsked;
import org.goldthistle.call.NewReading;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.control.NearStem;
import org.springframework.lang.Nullable;

/**
 * The trees of a survey that stand as an invasive taxon: those that may be controlled, then what the others lack, nearest to
 * done first.
 *
 * @param used whether the survey allows calls for control
 * @param mayApprove whether whoever asks may approve
 * @param waitingBlind trees of whatever name that whoever asks may yet read blind, so that what they were called is kept from
 *     them
 * @param cautions to be shown wherever trees are
 */
record ControlListDto(
        UUID surveyId,
        String surveyName,
        boolean used,
        boolean mayApprove,
        int waitingBlind,
        List<String> cautions,
        List<ControlTreeDto> trees) {

    /**
     * A tree of the list.
     *
     * @param latitude of the stem, degrees north, WGS 84; null, as the next: its plot has no position
     * @param sheetVersionId of the sheet that its standing call was signed on
     * @param taxonId of the invasive taxon, in that sheet
     * @param determinationId of that call
     * @param share of belief in the taxon with the surroundings when it was signed; null: none was reckoned
     * @param observers who signed it, by call sign
     * @param confirming what confirmed it, as it was read
     * @param near what stands near and must not be touched
     * @param missing what keeps it off the list; empty: a lead may approve it
     * @param approval whether a lead approved it
     * @param look the last one since it was approved; null: none
     * @param work the last word of what was done; null: nothing
     * @param gone whether it stands no more, or is done with
     */
    record ControlTreeDto(
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
            UUID sheetVersionId,
            String taxonId,
            String commonName,
            String scientificName,
            UUID determinationId,
            @Nullable Double share,
            List<String> observers,
            List<NewReading> confirming,
            List<UUID> photos,
            List<NearStemDto> near,
            List<ClearanceWords> missing,
            ApprovalDto approval,
            @Nullable LookDto look,
            @Nullable WorkDto work,
            boolean gone) {}

    /**
     * A stem near it.
     *
     * @param kind why it is told of
     * @param name what it is taken for; empty: nobody has said
     * @param metres from the tree
     * @param degrees from the tree, clockwise from north
     */
    record NearStemDto(int tag, @CodeOf(NearStem.Kind.class) String kind, String name, double metres, double degrees) {
        static NearStemDto of(NearStem near) {
            return new NearStemDto(near.tag(), near.kind().code(), near.name(), near.metres(), near.degrees());
        }
    }

    /**
     * Whether a lead approved it.
     *
     * @param id of the approval that holds; null: none does
     * @param by who approved it last, by call sign; null, as the next: nobody did
     * @param lapsed why an approval does not hold any more; null: none lapsed
     */
    record ApprovalDto(
            @Nullable UUID id,
            @Nullable String by,
            @Nullable Instant at,
            @Nullable String lapsed) {}

    /**
     * A last look, and what it said.
     *
     * @param by who took it, by call sign
     * @param at when
     * @param result what it said
     * @param readings what was read
     */
    record LookDto(UUID id, String by, Instant at, LookAsked.LookResult result, List<NewReading> readings) {}

    /**
     * What was done.
     *
     * @param what was done, as its code
     * @param doneOn the day
     * @param note in its observer's words; may be empty
     * @param by who recorded it, by call sign
     */
    record WorkDto(UUID id, @CodeOf(Work.class) String what, LocalDate doneOn, String note, String by) {}
}

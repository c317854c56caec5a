package org.goldthistle.practice;

import java.util.List;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.sheet.LifeStage;
import org.springframework.lang.Nullable;

/**
 * A settled case to practise on by its photos; nothing says where the tree stands or who read it.
 *
 * @param versionId of the sheet that it was settled on
 * @param month in which it was read, 1-12
 * @param photos in the order in which they were taken
 * @param result once the observer has called it
 */
record FieldCaseDto(
        UUID surveyId,
        UUID caseId,
        UUID treeId,
        String groupId,
        String groupTitle,
        UUID versionId,
        int month,
        @CodeOf(LifeStage.class) String stage,
        List<FieldPhotoDto> photos,
        @Nullable FieldTry.FieldResult result) {

    /** A photo, and the character that it was taken of; null: of the tree. */
    record FieldPhotoDto(UUID id, @Nullable String character) {}
}

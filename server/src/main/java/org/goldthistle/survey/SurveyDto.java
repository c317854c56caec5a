package org.goldthistle.survey;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.verdict.Tier;
import org.springframework.lang.Nullable;

/**
 * A survey as the browser sees it; words are the codes of a group sheet.
 *
 * @param closedAt since when it is read-only; null: it is open
 * @param version to be sent back with a change
 */
record SurveyDto(
        UUID id,
        String name,
        String district,
        int season,
        List<String> groups,
        @Nullable @CodeOf(School.class) String school,
        @CodeOf(Tier.class) String defaultTier,
        @Nullable Double wrongYes,
        @Nullable Double wrongNo,
        boolean woundingAllowed,
        boolean photoPositionKept,
        boolean controlUsed,
        boolean laboratoryUsed,
        double plainShare,
        @Nullable List<List<Double>> area,
        List<UUID> members,
        List<LocalRecord> records,
        @Nullable Instant closedAt,
        int version) {
    static SurveyDto of(Survey survey) {
        SurveySettings set = survey.settings();
        return new SurveyDto(
                survey.id(),
                set.name(),
                set.district(),
                set.season(),
                set.groups(),
                set.school(),
                set.defaultTier(),
                set.wrongYes(),
                set.wrongNo(),
                set.woundingAllowed(),
                set.photoPositionKept(),
                set.controlUsed(),
                set.laboratoryUsed(),
                set.plainShare(),
                set.area(),
                set.members(),
                set.records(),
                survey.closedAt(),
                survey.version());
    }
}

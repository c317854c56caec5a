package org.goldthistle.survey;

import java.util.List;
import java.util.UUID;
import org.goldthistle.call.SurveyRules;
import org.springframework.lang.Nullable;

/**
 * A stem as other features see it; stage, origin and habitat are the codes of a group sheet.
 *
 * @param rules of its survey
 * @param groupId null: it is plainly a taxon that nobody doubts
 * @param cloneOf the stem that bears its call; null: it bears its own
 * @param stems of its clone, itself included; 1: it stands alone
 * @param habitat of its own, or its plot's
 * @param shownTo who may see what was made of it; null: everybody
 */
public record SurveyedTree(
        UUID id,
        UUID surveyId,
        String surveyName,
        SurveyRules rules,
        UUID plotId,
        String plotCode,
        int tag,
        @Nullable String groupId,
        @Nullable UUID cloneOf,
        int stems,
        int diameterMillimetres,
        String stage,
        String origin,
        List<String> habitat,
        @Nullable List<UUID> shownTo) {

    /** The same as {@link #isBlindFor} the other way round, for queries of {@code tree t} with {@code :observer}. */
    public static final String SHOWN = "(t.shown_to is null or :observer = any(t.shown_to))";

    /** Whether what others made of it is kept from an observer, who is to read it without knowing. */
    public boolean isBlindFor(UUID observerId) {
        return shownTo != null && !shownTo.contains(observerId);
    }
}

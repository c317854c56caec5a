package org.goldthistle.survey;

import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SurveyMemberships;
import org.springframework.stereotype.Component;

/** Lets newcomers into the surveys of whoever invited them. */
@Component
class Memberships implements SurveyMemberships {
    private final SurveyService surveys;

    Memberships(SurveyService surveys) {
        this.surveys = surveys;
    }

    @Override
    public void requireMember(List<UUID> surveyIds, UUID observerId) {
        surveyIds.forEach(survey -> surveys.requireMember(survey, observerId));
    }

    @Override
    public boolean isFor(UUID observerId, UUID leadId) {
        return surveys.isFor(observerId, leadId);
    }

    @Override
    public void add(List<UUID> surveyIds, UUID newcomer, UUID letInBy) {
        surveys.addMember(surveyIds, newcomer, letInBy);
    }
}

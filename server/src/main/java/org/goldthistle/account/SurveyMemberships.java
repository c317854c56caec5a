package org.goldthistle.account;

import java.util.List;
import java.util.UUID;

/** What letting people in must do to surveys; the surveys answer. */
public interface SurveyMemberships {
    /** @throws org.goldthistle.platform.Problem if the observer does not belong to each of the surveys */
    void requireMember(List<UUID> surveyIds, UUID observerId);

    /** Whether two observers belong to a survey together, or the first belongs to none. */
    boolean isFor(UUID observerId, UUID leadId);

    /** Adds a newcomer to surveys of whoever let them in. */
    void add(List<UUID> surveyIds, UUID newcomer, UUID letInBy);
}

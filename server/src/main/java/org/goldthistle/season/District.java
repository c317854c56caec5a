package org.goldthistle.season;

/** The other seasons of a survey. */
final class District {
    /** The ids of the surveys of {@code :survey}'s district that {@code :observer} belongs to, itself among them. */
    static final String SURVEYS = "select o.id from survey s join survey o on o.district = s.district"
            + " join survey_member m on m.survey_id = o.id and m.observer_id = :observer where s.id = :survey";

    private District() {}
}

package org.goldthistle.season;

import org.goldthistle.survey.SurveyedTree;

/** What the figures of a season and their trees are taken from alike. Parameters: {@code :survey}, {@code :observer}, {@code :own}. */
final class SeasonSql {
    /** The signatures of a survey's trees that a member gave, and not a review; of one observer, or of all. */
    static final String SIGNED = " from determination d join tree t on t.id = d.tree_id"
            + " join plot p on p.id = t.plot_id where p.survey_id = :survey and d.settles is null"
            + " and (cast(:own as boolean) is false or d.observer_id = :observer)";

    /** The Monday of the week in which it was signed. */
    static final String WEEK = "cast(date_trunc('week', d.signed_at at time zone 'UTC') as date)";

    /** Whether a review overruled a call of the tree. */
    static final String OVERRULED =
            "exists (select 1 from review_case k where k.tree_id = t.id and k.outcome = 'overrule')";

    /** Why the tree is contested by that signature, the last of its observer; each reason's code begins with its kind. */
    static final String REASONS = "jsonb_array_elements_text(d.snapshot #> '{judgement,reasons}')";

    /** Of {@link #SIGNED}: what its observer signed last, of a tree that is contested and open to {@code :observer}. */
    static final String CONTESTED = " and t.contested and " + SurveyedTree.SHOWN
            + " and not exists (select 1 from determination later where later.tree_id = d.tree_id"
            + " and later.observer_id = d.observer_id and later.settles is null and later.entry_order > d.entry_order)";

    private static final String TWICE = "select tree_id, count(distinct answer) answers%2$s from (select distinct on"
            + " (d.tree_id, d.observer_id) d.tree_id, d.observer_id, coalesce(d.taxon_id, d.outcome) answer,"
            + " d.outcome in ('taxon', 'group') named"
            + " from determination d join tree t on t.id = d.tree_id join plot p on p.id = t.plot_id"
            + " where p.survey_id in (%1$s) and d.settles is null and d.signed_blind and " + SurveyedTree.SHOWN
            + " order by d.tree_id, d.observer_id, d.entry_order desc) l where named"
            + " group by tree_id having count(*) > 1";

    /** Trees that two or more signed without knowing of each other, and how many answers they gave. */
    static final String READ_TWICE = TWICE.formatted(":survey", "");

    /** The same of all seasons, with the least and the greatest of the answers: where there are two of them, those two. */
    static final String READ_TWICE_IN_ALL =
            TWICE.formatted(District.SURVEYS, ", min(answer) one_id, max(answer) other_id");

    /**
     * Who looked at which tree on which day of UTC, from their first reading of that day to their first signature of it, in
     * minutes; null: they signed it on another day, or not. Of surveys whose ids the query %s finds.
     */
    private static final String LOOKS = "with first as (select p.survey_id, c.observer_id, c.tree_id,"
            + " cast(r.at at time zone 'UTC' as date) as day, min(r.at) began from (select call_id,"
            + " coalesce(read_at, recorded_at) at from reading) r join call c on c.id = r.call_id"
            + " join tree t on t.id = c.tree_id join plot p on p.id = t.plot_id where p.survey_id in (%1$s)"
            + " group by 1, 2, 3, 4), ended as (select d.observer_id, d.tree_id,"
            + " cast(d.signed_at at time zone 'UTC' as date) as day, min(d.signed_at) at from determination d"
            + " join tree t on t.id = d.tree_id join plot p on p.id = t.plot_id where p.survey_id in (%1$s)"
            + " and d.settles is null group by 1, 2, 3) select f.survey_id, f.observer_id, f.tree_id, f.day,"
            + " extract(epoch from e.at - f.began) / 60 minutes from first f left join ended e on e.tree_id = f.tree_id"
            + " and e.observer_id = f.observer_id and e.day = f.day";

    static final String LOOKS_OF_SURVEY = LOOKS.formatted(":survey");

    static final String LOOKS_OF_DISTRICT = LOOKS.formatted(District.SURVEYS);

    private SeasonSql() {}
}

package org.goldthistle.season;

import org.goldthistle.core.Coded;

/** What trees wait for. */
enum WhatWaits implements Coded {
    /** Somebody is to read them blind. */
    BLIND_READING("blind-reading"),
    /** A reviewer or a lead decides. */
    DECISION("decision"),
    /** The laboratory answers. */
    LABORATORY("laboratory"),
    /** A result that came back is weighed. */
    WEIGHING("weighing"),
    /** What was approved for control is still to be done. */
    CONTROL("control");

    private final String code;

    WhatWaits(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }

    /** A query of {@code tree_id} and {@code since} of what waits so in {@code :survey}. */
    String query() {
        return switch (this) {
            case BLIND_READING -> inReview("'waiting', 'reading'");
            case DECISION -> inReview("'table'");
            case LABORATORY -> atLaboratory("'asked', 'taken', 'packed', 'received'");
            case WEIGHING -> atLaboratory("'answered'");
            case CONTROL ->
                "select a.tree_id, a.recorded_at since from (select distinct on (tree_id) * from control_approval"
                        + " where survey_id = :survey order by tree_id, entry_order desc) a where a.approved"
                        + " and a.determination_id = (select id from determination where tree_id = a.tree_id"
                        + " order by entry_order desc limit 1)"
                        + " and not exists (select 1 from control_work w where w.tree_id = a.tree_id)";
        };
    }

    private static String inReview(String states) {
        return "select tree_id, changed_at since from review_case where survey_id = :survey and state in (" + states
                + ")";
    }

    private static String atLaboratory(String steps) {
        return "select x.tree_id, min(l.at) since from sample x cross join lateral (select step, at from sample_step"
                + " where sample_id = x.id order by entry_order desc limit 1) l"
                + " where x.survey_id = :survey and l.step in (" + steps + ") group by x.tree_id";
    }
}

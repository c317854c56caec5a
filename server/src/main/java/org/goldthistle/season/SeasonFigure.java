package org.goldthistle.season;

import org.goldthistle.core.Coded;

/** A figure of the season that leads to its trees. What it is of is said beside it. */
enum SeasonFigure implements Coded {
    /** Signed in a week, which begins on that Monday. */
    WEEK("week"),
    /** Signed, of a group. */
    GROUP("group"),
    /** Contested, of a group. */
    CONTESTED("contested"),
    /** Overruled by a review, of a group. */
    OVERRULED("overruled"),
    /** Contested for a reason. */
    REASON("reason"),
    /** Waiting for something. */
    WAITING("waiting"),
    /** To come back to in a month, 1-12. */
    COME_BACK("come-back"),
    /** Signed by an observer. */
    OBSERVER("observer"),
    /** Signed by two under different names: a group, and the ids of the two taxa, parted by a stroke. */
    MISTAKEN("mistaken");

    private final String code;

    SeasonFigure(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}

package org.goldthistle.sight;

import org.goldthistle.core.Coded;

/** On which view somebody was shown what others made of trees. */
public enum Scope implements Coded {
    /** A tree on the Bench. */
    BENCH("bench"),
    /** All that happened to a tree. */
    HISTORY("history"),
    /** The trees of a plot. */
    PLOT("plot"),
    /** A page of the queue of reviews. */
    QUEUE("queue"),
    /** The table of a review. */
    CASE("case"),
    /** The trees behind a figure of the season. */
    SEASON("season"),
    /** What a tree was signed as in earlier seasons. */
    EARLIER("earlier"),
    /** The file of a survey. */
    EXPORT("export"),
    /** What would become of calls if a draft were their sheet. */
    EFFECTS("effects"),
    /** The control list of a survey, or a card of it. */
    CONTROL("control"),
    /** What verified trees teach. */
    LESSON("lesson");

    private final String code;

    Scope(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}

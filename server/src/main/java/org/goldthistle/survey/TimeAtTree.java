package org.goldthistle.survey;

/** How long somebody stood at a tree: from their first reading of a day to their signature of that day. */
public final class TimeAtTree {
    /** Longer than this, in minutes, nobody stands at a tree; they were away. */
    public static final int LONGEST = 120;

    private TimeAtTree() {}
}

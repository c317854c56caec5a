package org.goldthistle.core.laboratory;

import java.util.EnumSet;
import java.util.Set;
import org.goldthistle.core.Coded;

/** A step in the life of a sample; each has who and when. */
public enum SampleStep implements Coded {
    /** It is wanted. */
    ASKED("asked"),
    /** It was cut and labelled. */
    TAKEN("taken"),
    /** It lies in a parcel. */
    PACKED("packed"),
    /** The laboratory said that it has it. */
    RECEIVED("received"),
    /** The laboratory found something, or that nothing can be found. */
    ANSWERED("answered"),
    /** The result was weighed in the tree's review. */
    WEIGHED("weighed"),
    /** It is nowhere to be found. */
    LOST("lost"),
    /** It is there and of no use. */
    SPOILT("spoilt"),
    /** It is not wanted any more. */
    WITHDRAWN("withdrawn");

    private final String code;

    SampleStep(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }

    /** Whether its life has ended; another sample may be asked for. */
    public boolean isEnd() {
        return this == WEIGHED || this == LOST || this == SPOILT || this == WITHDRAWN;
    }

    /** Whether somebody says so of one sample; a parcel, the laboratory or a review say the others. */
    public boolean isSaid() {
        return this == TAKEN || this == LOST || this == SPOILT || this == WITHDRAWN;
    }

    /** What may come next; a result that came by post is weighed without having been answered here. */
    public Set<SampleStep> next() {
        return switch (this) {
            case ASKED -> EnumSet.of(TAKEN, WITHDRAWN);
            case TAKEN -> EnumSet.of(PACKED, LOST, SPOILT, WITHDRAWN);
            case PACKED -> EnumSet.of(TAKEN, RECEIVED, WEIGHED, LOST, SPOILT, WITHDRAWN);
            case RECEIVED -> EnumSet.of(ANSWERED, WEIGHED, LOST, SPOILT, WITHDRAWN);
            case ANSWERED -> EnumSet.of(WEIGHED, WITHDRAWN);
            case WEIGHED, LOST, SPOILT, WITHDRAWN -> EnumSet.noneOf(SampleStep.class);
        };
    }
}

package org.goldthistle.core.sheet;

/** A character that is counted or measured. */
public record NumberScale(Measure measure) implements Scale {

    @Override
    public String kind() {
        return measure.code();
    }

    /** Whether only whole numbers can be read. */
    public boolean isCount() {
        return measure == Measure.COUNT;
    }
}

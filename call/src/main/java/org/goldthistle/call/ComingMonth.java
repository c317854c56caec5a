package org.goldthistle.call;

import java.time.LocalDate;

/** Months to come back in: the next time that the month comes, this one included. */
public final class ComingMonth {
    private ComingMonth() {}

    /** The year in which a month, 1-12, comes next, seen from a day. */
    public static int yearOf(int month, LocalDate from) {
        return month >= from.getMonthValue() ? from.getYear() : from.getYear() + 1;
    }
}

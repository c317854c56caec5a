package org.goldthistle.browser;

import java.time.Instant;
import java.time.LocalDate;

/**
 * Moments as the server's answers spell them, such as 2026-06-01T10:00:00.123456Z; by themselves, since the platform's
 * own formats would be half of what the browser loads.
 */
final class Moments {
    private static final int MINUTE = 60;
    private static final int HOUR = 60 * MINUTE;
    private static final int DAY = 24 * HOUR;
    private static final int NANO_DIGITS = 9;
    private static final int GROUP = 3; // digits of a fraction that are written together
    private static final int POINT = 19; // where a fraction of a second begins

    private Moments() {}

    /**
     * @param text of ISO 8601, at Greenwich, to the second or finer
     * @throws IllegalArgumentException if it is none
     */
    static Instant read(String text) {
        int end = text.length() - 1;
        if (end < POINT || text.charAt(end) != 'Z' || (end > POINT && text.charAt(POINT) != '.')) {
            throw new IllegalArgumentException(text + " is no moment");
        }
        long day = LocalDate.of(number(text, 0, 4), number(text, 5, 7), number(text, 8, 10))
                .toEpochDay();
        int second = number(text, 11, 13) * HOUR + number(text, 14, 16) * MINUTE + number(text, 17, POINT);
        int nano = 0;
        for (int i = 0; i < NANO_DIGITS; i++) {
            int at = POINT + 1 + i;
            nano = nano * 10 + (at < end ? number(text, at, at + 1) : 0);
        }
        return Instant.ofEpochSecond(day * DAY + second, nano);
    }

    /** The same as a text. */
    static String write(Instant moment) {
        LocalDate day = LocalDate.ofEpochDay(Math.floorDiv(moment.getEpochSecond(), (long) DAY));
        int second = (int) Math.floorMod(moment.getEpochSecond(), (long) DAY);
        StringBuilder text = new StringBuilder();
        padded(text, day.getYear(), 4).append('-');
        padded(text, day.getMonthValue(), 2).append('-');
        padded(text, day.getDayOfMonth(), 2).append('T');
        padded(text, second / HOUR, 2).append(':');
        padded(text, second % HOUR / MINUTE, 2).append(':');
        padded(text, second % MINUTE, 2);
        if (moment.getNano() > 0) {
            padded(text.append('.'), moment.getNano(), NANO_DIGITS);
            while (text.substring(text.length() - GROUP).equals("000")) { // as the platform: to 3, 6 or 9 digits
                text.setLength(text.length() - GROUP);
            }
        }
        return text.append('Z').toString();
    }

    private static StringBuilder padded(StringBuilder text, int number, int digits) {
        String plain = Integer.toString(number);
        for (int i = plain.length(); i < digits; i++) {
            text.append('0');
        }
        return text.append(plain);
    }

    private static int number(String text, int from, int to) {
        return Integer.parseInt(text.substring(from, to));
    }
}

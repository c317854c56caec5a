package org.goldthistle.core.change;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.Range;

/** How figures of a sheet are written where people read what has changed. */
final class Spelling {
    private static final long PARTS = 10_000; // of a unit
    private static final String[] MONTHS = {
        "Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"
    };

    private Spelling() {}

    /** A number with at most four digits after the point and no idle zeros; the core knows no locale. */
    static String number(double value) {
        long parts = Math.round(Math.abs(value) * PARTS);
        StringBuilder text = new StringBuilder(value < 0 && parts > 0 ? "-" : "").append(parts / PARTS);
        long rest = parts % PARTS;
        if (rest > 0) {
            text.append('.').append(Long.toString(PARTS + rest).substring(1)); // with leading zeros
            while (text.charAt(text.length() - 1) == '0') {
                text.setLength(text.length() - 1);
            }
        }
        return text.toString();
    }

    /** A share as a percentage, to hundredths. */
    static String percent(double share) {
        return number(Math.round(share * PARTS) / 100.0) + " %";
    }

    /** A range as a flora prints it: (6-)8-12(-15). */
    static String range(Range range) {
        return "(" + number(range.rarelyLow()) + "-)" + number(range.usuallyLow()) + "-" + number(range.usuallyHigh())
                + "(-" + number(range.rarelyHigh()) + ")";
    }

    /** Months as runs: "Mar to May, Oct". */
    static String months(Collection<Integer> months) {
        if (months.size() == MONTHS.length) {
            return "all year";
        }
        List<String> runs = new ArrayList<>();
        int month = 1;
        while (month <= MONTHS.length) {
            int end = month;
            while (months.contains(end)) {
                end++;
            }
            if (end > month) {
                String first = MONTHS[month - 1];
                runs.add(end == month + 1 ? first : first + " to " + MONTHS[end - 2]);
            }
            month = end + 1;
        }
        return String.join(", ", runs);
    }

    /** Multipliers by code, in the order of the codes: "sapling 0.5, pole 0.8"; "none" without any. */
    static <K extends Enum<K> & Coded> String multipliers(Map<K, Double> multipliers) {
        String text = multipliers.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(one -> one.getKey().code().replace('-', ' ') + " " + number(one.getValue()))
                .collect(Collectors.joining(", "));
        return text.isEmpty() ? "none" : text;
    }

    /** A code as words. */
    static String words(Coded code) {
        return code.code().replace('-', ' ');
    }
}

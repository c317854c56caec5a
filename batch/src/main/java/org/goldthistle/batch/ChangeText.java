package org.goldthistle.batch;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.goldthistle.core.change.SheetChange;
import org.goldthistle.core.change.Stated;

/** What is different between two sheets, as lines for a terminal. */
final class ChangeText {
    private static final long PARTS = 10_000; // of a unit

    private ChangeText() {}

    /** Such as "share, silver birch, rough: 55.5 % instead of 60 %". */
    static String line(SheetChange change) {
        String what = change.aspect().code().replace('-', ' ');
        String of = change.of().stream().map(one -> ", " + one).collect(Collectors.joining());
        return what + of + ": " + text(change.after()) + " instead of " + text(change.before());
    }

    private static String text(Optional<Stated> stated) {
        return stated.map(ChangeText::text).orElse("nothing");
    }

    private static String text(Stated stated) {
        List<Double> numbers = stated.numbers();
        return switch (stated.kind()) {
            case WORDS, LIST -> String.join("; ", stated.texts());
            case CODES -> String.join(", ", stated.texts());
            case NUMBER, MONTHS -> numbers.stream().map(ChangeText::number).collect(Collectors.joining(", "));
            case SHARE -> percent(numbers.get(0));
            case RANGE ->
                "(" + number(numbers.get(0)) + "-)" + number(numbers.get(1)) + "-" + number(numbers.get(2)) + "(-"
                        + number(numbers.get(3)) + ")";
            case FACTORS -> each(stated, ChangeText::number);
            case SHARES -> each(stated, ChangeText::percent);
            case DRAWING -> stated.drawing().orElseThrow().part();
        };
    }

    private static String each(Stated stated, DoubleFunction<String> spelt) {
        return IntStream.range(0, stated.texts().size())
                .mapToObj(i -> stated.texts().get(i)
                        + " "
                        + spelt.apply(stated.numbers().get(i)))
                .collect(Collectors.joining(", "));
    }

    /** A number with at most four digits after the point and no idle zeros, in any locale. */
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
    private static String percent(double share) {
        return number(Math.round(share * PARTS) / 100.0) + " %";
    }
}

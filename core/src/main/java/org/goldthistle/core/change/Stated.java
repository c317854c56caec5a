package org.goldthistle.core.change;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.Drawing;
import org.goldthistle.core.sheet.Range;

/**
 * What stands in a sheet at one place, for whoever puts it into words.
 *
 * @param kind how the rest is meant
 * @param texts words of the sheet, codes, or what the numbers are of, one each
 * @param numbers as {@code kind} says
 * @param drawing of kind {@link Kind#DRAWING} alone
 */
public record Stated(Kind kind, List<String> texts, List<Double> numbers, Optional<Drawing> drawing) {

    /** How what stands there is meant. */
    public enum Kind implements Coded {
        /** Words of the sheet. */
        WORDS("words"),
        /** Any number of the sheet's own names, ids or sentences. */
        LIST("list"),
        /** Any number of codes from a closed choice. */
        CODES("codes"),
        /** One number. */
        NUMBER("number"),
        /** A share in [0, 1]. */
        SHARE("share"),
        /** Any number of months, 1-12. */
        MONTHS("months"),
        /** A number for each code; those that are not there are as usual. */
        FACTORS("factors"),
        /** A share in [0, 1] for each state, by name. */
        SHARES("shares"),
        /** Rarely low, usually low, usually high, rarely high. */
        RANGE("range"),
        /** A drawing. */
        DRAWING("drawing");

        private final String code;

        Kind(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    /** Keeps copies of the lists. */
    public Stated {
        texts = List.copyOf(texts);
        numbers = List.copyOf(numbers);
    }

    static Stated words(String text) {
        return of(Kind.WORDS, List.of(text), List.of());
    }

    static Stated list(List<String> texts) {
        return of(Kind.LIST, texts, List.of());
    }

    static Stated spelt(String code) {
        return spelt(List.of(code));
    }

    static Stated spelt(List<String> codes) {
        return of(Kind.CODES, codes, List.of());
    }

    static Stated code(Coded one) {
        return codes(List.of(one));
    }

    static Stated codes(Collection<? extends Coded> all) {
        return spelt(all.stream().map(Coded::code).toList());
    }

    static Stated number(double value) {
        return of(Kind.NUMBER, List.of(), List.of(value));
    }

    static Stated share(double share) {
        return of(Kind.SHARE, List.of(), List.of(share));
    }

    static Stated months(Collection<Integer> months) {
        return of(
                Kind.MONTHS,
                List.of(),
                months.stream().sorted().map(Integer::doubleValue).toList());
    }

    /** In the order of the codes. */
    static <K extends Enum<K> & Coded> Stated factors(Map<K, Double> factors) {
        List<K> codes = new ArrayList<>(factors.keySet());
        Collections.sort(codes);
        return of(
                Kind.FACTORS,
                codes.stream().map(Coded::code).toList(),
                codes.stream().map(factors::get).toList());
    }

    static Stated shares(List<String> states, List<Double> shares) {
        return of(Kind.SHARES, states, shares);
    }

    static Stated range(Range range) {
        return of(
                Kind.RANGE,
                List.of(),
                List.of(range.rarelyLow(), range.usuallyLow(), range.usuallyHigh(), range.rarelyHigh()));
    }

    static Stated drawing(Drawing drawing) {
        return new Stated(Kind.DRAWING, List.of(), List.of(), Optional.of(drawing));
    }

    /** By name, such as coefficients by character. */
    static Stated named(List<String> names, List<Double> numbers) {
        return of(Kind.FACTORS, names, numbers);
    }

    private static Stated of(Kind kind, List<String> texts, List<Double> numbers) {
        return new Stated(kind, texts, numbers, Optional.empty());
    }
}

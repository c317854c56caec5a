package org.goldthistle.core.balance;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ErrorFunctionTest {
    private static final double TWELVE_DIGITS = 1e-12; // the model page asks for it

    /** Expected values from the C library's erf, an implementation of its own, printed to all its digits. */
    @ParameterizedTest
    @CsvSource({
        "0, 0",
        "0.1, 0.1124629160182849",
        "0.46, 0.4846553900016797",
        "0.5, 0.5204998778130465",
        "1, 0.8427007929497149",
        "2, 0.9953222650189527",
        "3.9, 0.9999999652077514",
        "4.1, 0.9999999932999724",
        "7, 1"
    })
    void known_values_and_their_mirror_images(double x, double expected) {
        assertEquals(expected, ErrorFunction.at(x), TWELVE_DIGITS);
        assertEquals(-expected, ErrorFunction.at(-x), TWELVE_DIGITS);
    }
}

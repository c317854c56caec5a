package org.goldthistle.formats;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.OptionalDouble;
import java.util.Random;
import org.goldthistle.core.plot.GeoPosition;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Sentences of a positioning receiver. */
class NmeaFixTest {
    private static final double TENTH_OF_A_MILLIMINUTE = 0.5e-4 / 60; // half the last digit of ddmm.mmmm, in degrees

    @Test
    void a_sentence_worked_by_hand_is_read() {
        // 55° 1.8048' N, 20° 23.0400' W; the checksum is the exclusive or of all characters in between
        NmeaFix fix = NmeaFix.read("$GPGGA,091500.00,5501.8048,N,02023.0400,W,1,08,0.9,21.5,M,,M,,*58")
                .orElseThrow();

        assertEquals(55 + 1.8048 / 60, fix.position().latitude(), 1e-12);
        assertEquals(-(20 + 23.04 / 60), fix.position().longitude(), 1e-12);
        assertEquals(21.5, fix.altitudeMetres().orElseThrow());
        assertEquals(8, fix.satellites());
        assertEquals(0.9, fix.dilution());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "$GPGGA,091500.00,5501.8048,N,02023.0400,W,1,08,0.9,21.5,M,,M,,*59", // another checksum
                "$GPGGA,091500.00,5501.8048,N,02023.0400,W,0,00,,,M,,M,,*6E", // no fix
                "$GPRMC,091500.00,A,5501.8048,N,02023.0400,W,0.0,,251126,,*03", // another sentence
                "GPGGA,091500.00",
                "$*00",
                "",
            })
    void anything_else_is_no_fix(String sentence) {
        assertTrue(NmeaFix.read(sentence).isEmpty());
    }

    @Test
    void what_was_written_is_read_back_to_the_last_digit() {
        Random random = new Random(20261125);
        for (int i = 0; i < 500; i++) {
            GeoPosition at = new GeoPosition(random.nextDouble() * 180 - 90, random.nextDouble() * 360 - 180);
            NmeaFix fix = new NmeaFix(at, OptionalDouble.of(12.5), 7, 1.2);

            GeoPosition back =
                    NmeaFix.read(fix.toSentence("120000.00")).orElseThrow().position();

            assertEquals(at.latitude(), back.latitude(), TENTH_OF_A_MILLIMINUTE, () -> at.toString());
            assertEquals(at.longitude(), back.longitude(), TENTH_OF_A_MILLIMINUTE, () -> at.toString());
        }
    }
}

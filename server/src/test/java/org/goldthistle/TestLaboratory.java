package org.goldthistle;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import org.goldthistle.standins.Laboratory;

/** The laboratory's stand-in, which answers all tests at once and goes by their clock. */
public final class TestLaboratory {
    static final String SECRET = "between-us-two-alone";
    /** How long it takes over a sample. */
    public static final Duration TAKES = Duration.ofDays(1);

    private static final Laboratory LABORATORY = start();

    private TestLaboratory() {}

    private static Laboratory start() {
        try {
            return Laboratory.on(0, SECRET, ServerTest.CLOCK, TAKES, TAKES, 11);
        } catch (IOException taken) {
            throw new UncheckedIOException(taken);
        }
    }

    static String address() {
        return LABORATORY.address();
    }

    /** It, to make it say what it would not. */
    public static Laboratory standIn() {
        return LABORATORY;
    }
}

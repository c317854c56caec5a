package org.goldthistle.account;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;

/** What a passphrase must be before it is kept: long enough, all of it counted, and not quickly guessed. */
final class Passphrases {
    private static final int SHORTEST = 12;
    private static final int LONGEST_HASHED = 72; // bytes; the hash sees no more

    /** Of 0-4 by the estimator: more than 10^10 guesses. */
    private static final int GOOD = 4;

    private static final Zxcvbn ESTIMATOR = new Zxcvbn();

    private Passphrases() {}

    /** @throws Problem if it would be guessed, or does not count to its end */
    static void requireGood(String callSign, String passphrase) {
        int length = passphrase.codePointCount(0, passphrase.length());
        if (length < SHORTEST) {
            throw Problem.unfit(
                    ProblemType.SHORT_PASSPHRASE,
                    "The passphrase of " + callSign + " has " + length + " characters; it must have " + SHORTEST
                            + " or more. Nothing was changed; choose a longer one.");
        }
        if (passphrase.getBytes(StandardCharsets.UTF_8).length > LONGEST_HASHED) {
            throw Problem.unfit(
                    ProblemType.LONG_PASSPHRASE,
                    "The passphrase of " + callSign + " is longer than " + LONGEST_HASHED + " bytes, and what is beyond"
                            + " them would not count; letters with accents have two or more. Nothing was changed; choose a"
                            + " shorter one.");
        }
        if (ESTIMATOR.measure(passphrase, List.of(callSign, "goldthistle")).getScore() < GOOD) {
            throw Problem.unfit(
                    ProblemType.PLAIN_PASSPHRASE,
                    "The passphrase of " + callSign + " is quickly guessed: it is common, repeats itself, or is made of"
                            + " what everybody knows. Nothing was changed; choose four or five words that have nothing to"
                            + " do with each other.");
        }
    }
}

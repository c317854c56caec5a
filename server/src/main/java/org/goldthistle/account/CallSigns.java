package org.goldthistle.account;

import com.ibm.icu.text.SpoofChecker;
import com.ibm.icu.text.SpoofChecker.RestrictionLevel;
import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;

/**
 * What a call sign may be: letters of one script that can be seen and told from those of everybody else. Look-alikes are
 * told by Unicode's rules for identifiers (UTS 39).
 */
final class CallSigns {
    static final int LONGEST = 40;

    private static final SpoofChecker ONE_SCRIPT = new SpoofChecker.Builder()
            .setChecks(SpoofChecker.RESTRICTION_LEVEL | SpoofChecker.INVISIBLE | SpoofChecker.MIXED_NUMBERS)
            .setRestrictionLevel(RestrictionLevel.SINGLE_SCRIPT_RESTRICTIVE)
            .build();

    private CallSigns() {}

    /** A call sign as it is kept and looked for, however it was typed: in one form, trimmed, with single spaces. */
    static String tidied(String typed) {
        return Normalizer.normalize(typed, Normalizer.Form.NFKC)
                .replaceAll("[\\p{Z}\\s]+", " ")
                .strip();
    }

    /**
     * A call sign that somebody new may have.
     *
     * @param taken those of everybody else
     * @throws Problem if it cannot be told from one of them, or holds what cannot be seen
     */
    static String requireFit(String typed, List<String> taken) {
        String tidy = tidied(typed);
        boolean visible = tidy.chars().allMatch(sign -> sign == ' ' || !Character.isISOControl(sign))
                && tidy.codePoints().noneMatch(sign -> Character.getType(sign) == Character.FORMAT);
        if (tidy.isEmpty() || tidy.length() > LONGEST || !visible || ONE_SCRIPT.failsChecks(tidy)) {
            throw Problem.unfit(
                    ProblemType.UNFIT_CALL_SIGN,
                    "A call sign is made of letters of one script that can be seen, " + LONGEST
                            + " at most. Nothing was changed; choose another one.");
        }
        Optional<String> alike =
                taken.stream().filter(one -> isAlike(one, tidy)).findFirst();
        if (alike.isPresent()) {
            throw Problem.conflict(
                    ProblemType.CALL_SIGN_TAKEN,
                    alike.get().equalsIgnoreCase(tidy)
                            ? "The call sign " + tidy
                                    + " belongs to somebody already. Nobody was let in; choose another one."
                            : "The call sign " + tidy + " is too much like " + alike.get()
                                    + ", which belongs to somebody"
                                    + " already. Nobody was let in; choose another one.");
        }
        return tidy;
    }

    private static boolean isAlike(String one, String other) {
        return print(one).equals(print(other));
    }

    private static String print(String callSign) {
        return ONE_SCRIPT.getSkeleton(callSign.toLowerCase(Locale.ROOT).replace(" ", ""));
    }
}

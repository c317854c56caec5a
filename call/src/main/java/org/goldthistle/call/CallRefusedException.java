package org.goldthistle.call;

import java.util.List;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;

/** Something that cannot be entered or signed; its message says what is wrong, what was kept and what to do. */
public final class CallRefusedException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final CallRefusal type;
    private final transient List<Refusal> refusals;

    private CallRefusedException(CallRefusal type, String message, List<Refusal> refusals) {
        super(message);
        this.type = type;
        this.refusals = List.copyOf(refusals);
    }

    /** What was sent does not fit, or not any more. */
    public static CallRefusedException unfit(CallRefusal type, String message) {
        return unfit(type, message, List.of());
    }

    /** What was sent does not fit, in each of these ways. */
    public static CallRefusedException unfit(CallRefusal type, String message, List<Refusal> refusals) {
        return new CallRefusedException(type, message, refusals);
    }

    /** Runs a check that refuses; its refusals stand under a type. */
    static void as(CallRefusal type, Runnable check) {
        try {
            check.run();
        } catch (RefusedException refused) {
            throw unfit(
                    type,
                    "This does not fit: " + refused.getMessage() + ". It was not stored; what was stored before is"
                            + " kept. Correct it and send again.",
                    refused.refusals());
        }
    }

    /** Nothing can be corrected that would have been read on a visit which was never made. */
    public static CallRefusedException noVisit(int month) {
        return unfit(
                CallRefusal.NO_SUCH_VISIT,
                "This tree was not visited in month " + month + ", so nothing read then can be corrected. It was not"
                        + " stored; enter it without a month to read it now.");
    }

    /** What kind of refusal it is. */
    public CallRefusal type() {
        return type;
    }

    /** Everything that is wrong with what was sent; may be empty. */
    public List<Refusal> refusals() {
        return refusals;
    }
}

package org.goldthistle.call;

import java.util.List;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;

/** Something that cannot be entered or signed; its message says what is wrong, what was kept and what to do. */
public final class CallRefusedException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final CallRefusal type;
    private final boolean changedSince;
    private final transient List<Refusal> refusals;

    private CallRefusedException(CallRefusal type, boolean changedSince, String message, List<Refusal> refusals) {
        super(message);
        this.type = type;
        this.changedSince = changedSince;
        this.refusals = List.copyOf(refusals);
    }

    /** What was sent does not fit. */
    public static CallRefusedException unfit(CallRefusal type, String message) {
        return unfit(type, message, List.of());
    }

    /** What was sent does not fit, in each of these ways. */
    public static CallRefusedException unfit(CallRefusal type, String message, List<Refusal> refusals) {
        return new CallRefusedException(type, false, message, refusals);
    }

    /** What was sent would fit, had the call not changed since. */
    static CallRefusedException changed(CallRefusal type, String message) {
        return new CallRefusedException(type, true, message, List.of());
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

    /** A word that stands for this kind of refusal for ever. */
    public CallRefusal type() {
        return type;
    }

    /** Whether only a change that came in between stands against it. */
    public boolean isChangedSince() {
        return changedSince;
    }

    /** Everything that is wrong with what was sent; may be empty. */
    public List<Refusal> refusals() {
        return refusals;
    }
}

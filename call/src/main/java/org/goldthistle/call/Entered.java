package org.goldthistle.call;

import java.time.Instant;
import java.util.Comparator;
import java.util.UUID;

/** Something that an observer enters on a call. */
public sealed interface Entered {

    /**
     * The call with it.
     *
     * @throws CallRefusedException if it cannot be entered on this call
     */
    CallInHand on(CallInHand call);

    /** Whether a signature that was given before no longer stands for the call with it. */
    default boolean changesWhatIsSigned() {
        return this instanceof Read || this instanceof Stands || this instanceof IsFor;
    }

    /** A reading. */
    record Read(UUID id, NewReading reading, Instant at) implements Entered {
        @Override
        public CallInHand on(CallInHand call) {
            EntryRules.requireFit(call.sheet(), call.circumstances(), reading);
            EntryRules.requireHarmless(call.sheet(), call.rules(), call.cautionRead(), reading);
            int visit = reading.month() == null
                    ? call.visit().number()
                    : call.visit()
                            .lastIn(reading.month())
                            .orElseThrow(() -> CallRefusedException.noVisit(reading.month()));
            return call.with(new Entry(id, visit, reading, afterAllOf(call), at));
        }

        /** What is entered comes after all that its device knew of, whatever the device's clock says. */
        private Instant afterAllOf(CallInHand call) {
            return call.entries().stream()
                    .map(Entry::readAt)
                    .filter(at::isBefore)
                    .max(Comparator.naturalOrder())
                    .orElse(at);
        }
    }

    /** A mark of the gate. */
    record Marked(String item, String mark, Instant at) implements Entered {
        @Override
        public CallInHand on(CallInHand call) {
            EntryRules.requireGateItem(call.sheet(), call.circumstances(), item);
            return call.with(new Marking(item, Mark.of(mark), at));
        }
    }

    /** That the caution about wounding was read. */
    record CautionRead() implements Entered {
        @Override
        public CallInHand on(CallInHand call) {
            return call.withCautionRead();
        }
    }

    /** How the tree stands. */
    record Stands(Circumstances circumstances) implements Entered {
        @Override
        public CallInHand on(CallInHand call) {
            EntryRules.requireFit(circumstances);
            return call.with(circumstances);
        }
    }

    /** What the call is for. */
    record IsFor(String tier) implements Entered {
        @Override
        public CallInHand on(CallInHand call) {
            return call.with(EntryRules.tier(tier, call.rules()));
        }
    }

    /** A photo. */
    record Pictured(KeptPhoto photo) implements Entered {
        @Override
        public CallInHand on(CallInHand call) {
            return call.with(photo);
        }
    }
}

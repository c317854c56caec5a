package org.goldthistle.core.verdict;

import java.util.Optional;
import org.goldthistle.core.Coded;

/**
 * A condition of the tier that is not met yet: section 6.
 *
 * @param kind of condition
 * @param about the character whose reading wants a written reason; empty for the other kinds
 */
public record Need(Kind kind, Optional<String> about) {

    static Need of(Kind kind) {
        return new Need(kind, Optional.empty());
    }

    /** The condition as files spell it, e.g. {@code reason:bark-base}. */
    public String code() {
        return about.map(name -> kind.code() + ":" + name).orElse(kind.code());
    }

    /** The kinds of condition; those on the evidence decide the verdict, those on the record do not. */
    public enum Kind implements Coded {
        /** Something must have been read. */
        READING("reading", true),
        /** The lead must reach p*. */
        THRESHOLD("threshold", true),
        /** For a record or control it must reach p* with the surroundings as well: a scarce taxon needs more. */
        SURROUNDINGS("surroundings", true),
        /** At the tally the lead must have 0.60 from features alone. */
        FEATURES_ALONE("features-alone", true),
        /** Enough organs must support the lead and none oppose it. */
        QUORUM("quorum", true),
        /** For control something must have been read in the hand, with a lens or a knife. */
        ZONE("zone", true),
        /** The surroundings must not put another taxon in the lead. */
        SAME_LEAD("same-lead", true),
        /** For a record or control everything that all members share must have been looked at, and fit. */
        GATE("gate", false),
        /** A record wants a photo or a voucher. */
        PHOTO("photo", false),
        /** For control each reading that speaks against the lead wants a written reason. */
        REASON("reason", false),
        /** Control wants a second observer's blind agreement. */
        SECOND_OBSERVER("second-observer", false);

        private final String code;
        private final boolean onEvidence;

        Kind(String code, boolean onEvidence) {
            this.code = code;
            this.onEvidence = onEvidence;
        }

        @Override
        public String code() {
            return code;
        }

        /** Whether a share of belief decides it. */
        public boolean isShare() {
            return this == THRESHOLD || this == SURROUNDINGS || this == FEATURES_ALONE;
        }

        /** Whether it is a condition on the evidence rather than on the record. */
        public boolean isOnEvidence() {
            return onEvidence;
        }
    }
}

package org.goldthistle.core.verdict;

import java.util.Optional;
import org.goldthistle.core.Coded;

/**
 * Why a call is contested: section 8.
 *
 * @param kind of reason
 * @param about the school, index or gate item that it concerns; empty for the other kinds
 */
public record Reason(Kind kind, Optional<String> about) {

    static Reason of(Kind kind) {
        return new Reason(kind, Optional.empty());
    }

    static Reason of(Kind kind, String about) {
        return new Reason(kind, Optional.of(about));
    }

    /** The reason as files spell it, e.g. {@code school:field-marks}. */
    public String code() {
        return about.map(name -> kind.code() + ":" + name).orElse(kind.code());
    }

    /** The kinds of reason. */
    public enum Kind implements Coded {
        /** The tree fails something that every member of the group shares. */
        GATE("gate"),
        /** Neither signable nor open. */
        UNSETTLED("unsettled"),
        /** Two of the three rules speak for different taxa. */
        RULES_DIFFER("rules-differ"),
        /** A reading speaks ten to one or more against the lead. */
        STRONG_CONTRARY("strong-contrary"),
        /** It may well be none of the sheet's taxa. */
        NONE_OF_THESE("none-of-these"),
        /** The readings are strange even for the lead. */
        SURPRISE("surprise"),
        /** A school of practice has another lead. */
        SCHOOL("school"),
        /** A hybrid other than the lead is likely. */
        HYBRID("hybrid"),
        /** A published index speaks for another taxon. */
        INDEX("index"),
        /** Two observers signed different taxa. */
        OBSERVERS_DIFFER("observers-differ");

        private final String code;

        Kind(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }
}

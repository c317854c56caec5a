package org.goldthistle.core.verdict;

import java.util.Optional;
import java.util.OptionalInt;
import org.goldthistle.core.Coded;

/**
 * What is best done with the tree now: section 8.
 *
 * @param kind what to do
 * @param taxon id of the taxon to sign, for that kind
 * @param month to come back in, 1-12, for that kind
 */
public record Recommendation(Kind kind, Optional<String> taxon, OptionalInt month) {

    static Recommendation of(Kind kind) {
        return new Recommendation(kind, Optional.empty(), OptionalInt.empty());
    }

    static Recommendation sign(String taxon) {
        return new Recommendation(Kind.SIGN, Optional.of(taxon), OptionalInt.empty());
    }

    static Recommendation comeBack(int month) {
        return new Recommendation(Kind.COME_BACK, Optional.empty(), OptionalInt.of(month));
    }

    /** As files spell it: the taxon's id, {@code come-back:6}, or the kind's own word. */
    public String code() {
        return switch (kind) {
            case SIGN -> taxon.orElseThrow();
            case COME_BACK -> kind.code() + ":" + month.orElseThrow();
            case GO_ON, LABORATORY, FALLBACK, OTHER_GROUP -> kind.code();
        };
    }

    /** The kinds of recommendation. */
    public enum Kind implements Coded {
        /** Sign the taxon. */
        SIGN("sign"),
        /** Check more. */
        GO_ON("go-on"),
        /** Come back in a month that can settle it. */
        COME_BACK("come-back"),
        /** Send a sample. */
        LABORATORY("laboratory"),
        /** Record the group only. */
        FALLBACK("fallback"),
        /** It failed the gate: look in another group. */
        OTHER_GROUP("not-this-group");

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

package org.goldthistle.core.learning;

import java.util.Map;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.DiagnosticCharacter;

/**
 * A change of one character that verified trees speak for.
 *
 * @param now the character as the sheet has it
 * @param proposed as the trees would have it: another weight, or other profiles
 * @param kind what is another
 * @param trees on which it was read
 * @param treesByTaxon of a change of profiles the trees that told, by id of each taxon whose profile is another
 * @param lossAlone what this change alone does to the mean log loss of trees that it was not made from, in nats; below 0
 *     it falls
 */
public record Proposal(
        DiagnosticCharacter now,
        DiagnosticCharacter proposed,
        Kind kind,
        int trees,
        Map<String, Integer> treesByTaxon,
        double lossAlone) {

    /** Copies the map. */
    public Proposal {
        treesByTaxon = Map.copyOf(treesByTaxon);
    }

    /** What is another. */
    public enum Kind implements Coded {
        /** How often its states are seen, or within what limits its numbers lie. */
        PROFILES("profiles"),
        /** How far it counts. */
        WEIGHT("weight");

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

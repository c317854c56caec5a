package org.goldthistle.core.sheet;

import java.util.List;
import org.goldthistle.core.Refusals;

/**
 * What a check asks of the observer and of the tree.
 *
 * @param minutes of work for one fair reading, above 0
 * @param harm done to the tree
 * @param hazards topics of the cautions that apply while checking
 * @param sense it is read with
 * @param redGreen whether its states are told apart by red against green or brown
 */
public record Effort(double minutes, Harm harm, List<CautionTopic> hazards, Sense sense, boolean redGreen) {
    /** @throws org.goldthistle.core.RefusedException if minutes is not above 0 */
    public Effort {
        hazards = List.copyOf(hazards);
        var refusals = new Refusals();
        refusals.require(
                minutes > 0 && Double.isFinite(minutes), "minutes", minutes, "minutes of work, a number above 0");
        refusals.throwIfAny();
    }

    /** Whether the check asks for this of the observer. */
    public boolean needs(Faculty faculty) {
        return switch (faculty) {
            case SMELL -> sense == Sense.SMELL;
            case RED_GREEN -> redGreen;
        };
    }
}

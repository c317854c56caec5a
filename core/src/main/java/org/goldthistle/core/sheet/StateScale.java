package org.goldthistle.core.sheet;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.goldthistle.core.Refusals;

/**
 * A character that is read as one of several states.
 *
 * @param ordered whether neighbouring states can be mistaken for each other
 * @param states in the sheet's order, at least two
 */
public record StateScale(boolean ordered, List<State> states) implements Scale {
    /** The word in a sheet's {@code kind} for states in order. */
    public static final String ORDERED = "ordered";

    /** The word in a sheet's {@code kind} for states without order. */
    public static final String UNORDERED = "states";

    /** @throws org.goldthistle.core.RefusedException if there are fewer than two states or two share an id */
    public StateScale {
        states = List.copyOf(states);
        var refusals = new Refusals();
        refusals.require(states.size() >= 2, "states", states.size() + " of them", "at least two states");
        Set<String> seen = new HashSet<>();
        for (State state : states) {
            refusals.require(seen.add(state.id()), "states", "\"" + state.id() + "\" twice", "each id once");
        }
        refusals.throwIfAny();
    }

    @Override
    public String kind() {
        return ordered ? ORDERED : UNORDERED;
    }

    /** The place of a state in the sheet's order, or -1 if it is not one of this character's. */
    public int indexOf(String stateId) {
        for (int i = 0; i < states.size(); i++) {
            if (states.get(i).id().equals(stateId)) {
                return i;
            }
        }
        return -1;
    }
}

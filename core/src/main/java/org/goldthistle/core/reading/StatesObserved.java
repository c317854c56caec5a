package org.goldthistle.core.reading;

import java.util.List;
import org.goldthistle.core.RefusedException;

/** States seen, by state id, one per replicate. */
public record StatesObserved(List<String> states) implements Observed {
    /** @throws RefusedException if there is none */
    public StatesObserved {
        states = List.copyOf(states);
        if (states.isEmpty()) {
            throw RefusedException.of("states", "none", "at least one state");
        }
    }

    @Override
    public int replicates() {
        return states.size();
    }

    /** Whether every replicate is this state. */
    public boolean all(String state) {
        for (String seen : states) {
            if (!seen.equals(state)) {
                return false;
            }
        }
        return true;
    }
}

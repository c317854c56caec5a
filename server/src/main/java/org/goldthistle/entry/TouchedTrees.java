package org.goldthistle.entry;

import java.util.UUID;
import org.goldthistle.survey.TreeCalls;
import org.springframework.stereotype.Component;

/** Tells surveys which of their trees have been taken up on a Bench. */
@Component
class TouchedTrees implements TreeCalls {
    private final CallRepository calls;

    TouchedTrees(CallRepository calls) {
        this.calls = calls;
    }

    @Override
    public boolean isTouched(UUID treeId) {
        return calls.existsByTreeId(treeId);
    }
}

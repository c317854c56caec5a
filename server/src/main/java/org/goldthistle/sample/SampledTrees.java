package org.goldthistle.sample;

import java.util.UUID;
import org.goldthistle.survey.TreeCalls;
import org.springframework.stereotype.Component;

/** Tells surveys of which of their trees a sample was asked for. */
@Component
class SampledTrees implements TreeCalls {
    private final SampleStore store;

    SampledTrees(SampleStore store) {
        this.store = store;
    }

    @Override
    public boolean isTouched(UUID treeId) {
        return !store.ofTree(treeId).isEmpty();
    }
}

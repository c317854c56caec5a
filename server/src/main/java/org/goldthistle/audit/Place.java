package org.goldthistle.audit;

import java.util.UUID;
import org.springframework.lang.Nullable;

/** What an entry is about; what it is not about is null. */
public record Place(
        @Nullable UUID surveyId,
        @Nullable UUID plotId,
        @Nullable UUID treeId) {
    /** About people or the whole application. */
    public static final Place NOWHERE = new Place(null, null, null);

    /** A survey as a whole. */
    public static Place survey(UUID id) {
        return new Place(id, null, null);
    }

    /** A plot of a survey. */
    public static Place plot(UUID surveyId, UUID plotId) {
        return new Place(surveyId, plotId, null);
    }
}

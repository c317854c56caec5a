package org.goldthistle.library;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.plan.PlanTerms;
import org.goldthistle.core.plan.Separability;
import org.goldthistle.core.reading.Unseen;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.stranger.IfSomethingElse;
import org.goldthistle.core.verdict.Tier;
import org.springframework.stereotype.Component;

/**
 * How well a sheet's taxa can be told apart through the year. A version never changes, so what was reckoned once is kept
 * for as long as the application runs.
 */
@Component
class Seasons {
    /** The same sheet always gives the same chart. */
    private static final long SEED = 1;

    private final Map<Question, Season> known = new ConcurrentHashMap<>();

    /** What a chart is of; at the threshold of a record. */
    private record Question(UUID versionId, LifeStage stage, Optional<School> school, boolean wounding) {}

    /**
     * A sheet through the year, and its own risk.
     *
     * @param strangers what becomes of trees that it does not know
     */
    record Season(Separability separability, IfSomethingElse strangers) {}

    Season of(StoredSheet sheet, LifeStage stage, Optional<School> school, boolean wounding) {
        return known.computeIfAbsent(
                new Question(sheet.id(), stage, school, wounding), asked -> reckoned(sheet, stage, school, wounding));
    }

    /** The same, reckoned whether it was before or not. */
    static Season reckoned(StoredSheet sheet, LifeStage stage, Optional<School> school, boolean wounding) {
        Harm worst = Harm.worst(wounding);
        var separability = Separability.of(
                sheet.model(),
                stage,
                new PlanTerms(Tier.RECORD.threshold(), school, worst, false, Unseen.NOTHING, Set.of()),
                SEED);
        return new Season(separability, IfSomethingElse.of(sheet.model(), stage, school, worst, SEED));
    }
}

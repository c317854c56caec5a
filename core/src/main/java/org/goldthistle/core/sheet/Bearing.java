package org.goldthistle.core.sheet;

import java.util.Map;
import org.goldthistle.core.Refusals;

/**
 * How many trees bear what a character is read from: flowers, fruit, cones, suckers.
 *
 * @param shares of trees in [0, 1] by life stage; a stage that is not listed has 1
 */
public record Bearing(Map<LifeStage, Double> shares) {
    /** Every tree bears it. */
    public static final Bearing ALWAYS = new Bearing(Map.of());

    /** @throws org.goldthistle.core.RefusedException if a share lies outside [0, 1] */
    public Bearing {
        shares = Map.copyOf(shares);
        var refusals = new Refusals();
        shares.forEach((stage, share) -> refusals.requireShare(share, stage.code()));
        refusals.throwIfAny();
    }

    /** β of section 10: the share of trees at a stage that bear it. */
    public double share(LifeStage stage) {
        return shares.getOrDefault(stage, 1.0);
    }
}

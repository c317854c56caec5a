package org.goldthistle.core.sheet;

import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.Refusals;

/**
 * One of the taxa that get mixed up.
 *
 * @param id short, unique in the sheet
 * @param name what it is called
 * @param rank species, hybrid or aggregate
 * @param parents of a hybrid, and only of a hybrid
 * @param origin in the sheet's region
 * @param standing in the sheet's region
 * @param abundance of 100 wild trees of the group, how many, in [0, 100]
 * @param plantedAbundance of 100 planted trees of the group, how many, in [0, 100]
 * @param habitat multipliers on abundance by habitat key, in [0, 1000]; unlisted = 1
 */
public record Taxon(
        String id,
        TaxonName name,
        Rank rank,
        Optional<Parents> parents,
        TaxonOrigin origin,
        Standing standing,
        double abundance,
        double plantedAbundance,
        Map<Habitat, Double> habitat) {

    private static final double LARGEST_MULTIPLIER = 1000;

    /** @throws org.goldthistle.core.RefusedException if a figure lies outside its range or parents and rank disagree */
    public Taxon {
        habitat = Map.copyOf(habitat);
        var refusals = new Refusals();
        refusals.requireText(id, "id");
        if (rank == Rank.HYBRID) {
            refusals.require(parents.isPresent(), "parents", "none", "the ids of the hybrid's two parents");
        } else {
            refusals.require(parents.isEmpty(), "parents", "two", "none, since it is not a hybrid");
        }
        requirePercent(refusals, "abundance", abundance);
        requirePercent(refusals, "plantedAbundance", plantedAbundance);
        habitat.forEach((key, multiplier) -> refusals.require(
                multiplier >= 0 && multiplier <= LARGEST_MULTIPLIER,
                "habitat." + key.code(),
                multiplier,
                "a multiplier from 0 to 1000"));
        refusals.throwIfAny();
    }

    /** Whether it is a cross of two others. */
    public boolean isHybrid() {
        return rank == Rank.HYBRID;
    }

    private static void requirePercent(Refusals refusals, String key, double value) {
        refusals.require(value >= 0 && value <= 100, key, value, "a number from 0 to 100");
    }
}

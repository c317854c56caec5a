package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.LifeStage;

/** A tree's context as it is stored and sent: codes of month (1-12), life stage, origin and habitat keys. */
public record Circumstances(
        int month,
        @CodeOf(LifeStage.class) String stage,
        @CodeOf(TreeOrigin.class) String origin,
        @CodeOf(Habitat.class) List<String> habitat) {

    /** The ground that a tree stands on: its own where it was noted, else its plot's. */
    public static List<String> ground(@Nullable List<String> own, List<String> ofPlot) {
        return own == null ? ofPlot : List.copyOf(own);
    }

    /** The same tree in another month. */
    public Circumstances inMonth(int other) {
        return new Circumstances(other, stage, origin, habitat);
    }

    /**
     * @param records verified trees of the district by taxon
     * @param lacking what the observer does not have
     * @throws org.goldthistle.core.RefusedException if a code is unknown or the month out of range
     */
    public Context toContext(Map<String, Integer> records, Set<Faculty> lacking) {
        var refusals = new Refusals();
        Optional<LifeStage> lifeStage = Coded.find(LifeStage.values(), stage);
        refusals.require(lifeStage.isPresent(), "stage", stage, Coded.codes(LifeStage.values()));
        Optional<TreeOrigin> treeOrigin = Coded.find(TreeOrigin.values(), origin);
        refusals.require(treeOrigin.isPresent(), "origin", origin, Coded.codes(TreeOrigin.values()));
        Set<Habitat> keys = EnumSet.noneOf(Habitat.class);
        refusals.require(habitat != null, "habitat", "nothing", "a list, which may be empty");
        for (String code : habitat == null ? List.<String>of() : habitat) {
            Optional<Habitat> key = Coded.find(Habitat.values(), code);
            refusals.require(key.isPresent(), "habitat", code, Coded.codes(Habitat.values()));
            key.ifPresent(keys::add);
        }
        refusals.throwIfAny();
        return new Context(
                month, lifeStage.get(), treeOrigin.get(), keys, Optional.empty(), Optional.empty(), records, lacking);
    }
}

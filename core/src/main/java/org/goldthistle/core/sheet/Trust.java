package org.goldthistle.core.sheet;

import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusals;

/**
 * How far a careful crew member may trust a character, and when: the exponent on its likelihood and what
 * lowers or raises it. What a map does not list has the multiplier 1.
 *
 * @param weight in [0, 1]: 1 counts in full, 0.9 strong, 0.65 supporting, 0.3 a hint
 * @param schools other weights in [0, 1] where a school of practice differs
 * @param months in which the character can be read at all, 1-12, at least one
 * @param stages multipliers by life stage, in [0, 10]
 * @param materials multipliers by where the material came from, in [0, 10]
 * @param positions multipliers by place in the crown, in [0, 10]
 */
public record Trust(
        double weight,
        Map<School, Double> schools,
        Set<Integer> months,
        Map<LifeStage, Double> stages,
        Map<Material, Double> materials,
        Map<Position, Double> positions) {

    private static final double LARGEST_MULTIPLIER = 10;

    /** @throws org.goldthistle.core.RefusedException if a figure lies outside its range */
    public Trust {
        schools = Map.copyOf(schools);
        months = Set.copyOf(months);
        stages = Map.copyOf(stages);
        materials = Map.copyOf(materials);
        positions = Map.copyOf(positions);
        var refusals = new Refusals();
        refusals.requireShare(weight, "weight");
        schools.forEach((school, own) -> refusals.requireShare(own, "schools." + school.code()));
        refusals.require(!months.isEmpty(), "months", "none", "at least one month");
        for (int month : months) {
            refusals.require(month >= 1 && month <= 12, "months", month, "months from 1 to 12");
        }
        requireMultipliers(refusals, "stages", stages);
        requireMultipliers(refusals, "materials", materials);
        requireMultipliers(refusals, "positions", positions);
        refusals.throwIfAny();
    }

    /** The same with another weight of the sheet's own. */
    public Trust withWeight(double other) {
        return new Trust(other, schools, months, stages, materials, positions);
    }

    /** The same in other months. */
    public Trust withMonths(Set<Integer> others) {
        return new Trust(weight, schools, others, stages, materials, positions);
    }

    /** What is left of the weight at a life stage. */
    public double factor(LifeStage stage) {
        return factor(stages.get(stage));
    }

    /** What is left of the weight with material from there. */
    public double factor(Material material) {
        return factor(materials.get(material));
    }

    /** What is left of the weight from that place in the crown. */
    public double factor(Position position) {
        return factor(positions.get(position));
    }

    /** Whether it makes a difference where the material came from. */
    public boolean materialMatters() {
        return differs(Material.values(), materials);
    }

    /** Whether it makes a difference where in the crown it grew. */
    public boolean positionMatters() {
        return differs(Position.values(), positions);
    }

    /** Where material comes from that counts as if nothing was said of it; empty: all lowers or raises the weight. */
    public Optional<Material> assumedMaterial() {
        return Arrays.stream(Material.values()).filter(one -> factor(one) == 1).findFirst();
    }

    /** The place in the crown that counts as if none was said; empty: each lowers or raises the weight. */
    public Optional<Position> assumedPosition() {
        return Arrays.stream(Position.values()).filter(one -> factor(one) == 1).findFirst();
    }

    private static <K> boolean differs(K[] all, Map<K, Double> listed) {
        return Arrays.stream(all).map(one -> factor(listed.get(one))).distinct().count() > 1;
    }

    private static double factor(Double listed) {
        return listed == null ? 1 : listed;
    }

    /** The sheet's weight, or the school's own where it has one. */
    public double weight(Optional<School> school) {
        return school.map(schools::get).orElse(weight);
    }

    private static <K extends Coded> void requireMultipliers(Refusals refusals, String key, Map<K, Double> map) {
        map.forEach((of, multiplier) -> refusals.require(
                multiplier >= 0 && multiplier <= LARGEST_MULTIPLIER,
                key + "." + of.code(),
                multiplier,
                "a multiplier from 0 to 10"));
    }
}

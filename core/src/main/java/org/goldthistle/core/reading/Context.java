package org.goldthistle.core.reading;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.sheet.Effort;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Material;
import org.goldthistle.core.sheet.Position;

/**
 * The circumstances of a tree on the day it was read.
 *
 * @param month of the visit, 1-12; readings that name none were made in it
 * @param stage how far grown
 * @param origin how it came to stand there
 * @param habitat keys of the ground; may be empty
 * @param material of readings that name none; empty: their multiplier is 1
 * @param position of readings that name none; empty: their multiplier is 1
 * @param records verified trees of the district by taxon id, of any origin, each at least 0; may be empty
 * @param lacking what the observer said they do not have; may be empty
 */
public record Context(
        int month,
        LifeStage stage,
        TreeOrigin origin,
        Set<Habitat> habitat,
        Optional<Material> material,
        Optional<Position> position,
        Map<String, Integer> records,
        Set<Faculty> lacking) {

    /** @throws org.goldthistle.core.RefusedException if the month or a number of records is out of range */
    public Context {
        var keys = EnumSet.noneOf(Habitat.class);
        keys.addAll(habitat);
        habitat = Collections.unmodifiableSet(keys);
        records = Map.copyOf(records);
        lacking = Set.copyOf(lacking);
        var refusals = new Refusals();
        requireMonth(refusals, month);
        records.forEach((taxon, number) ->
                refusals.require(number >= 0, "records." + taxon, number, "a number of trees, 0 or more"));
        refusals.throwIfAny();
    }

    /** The circumstances as seen by an observer who lacks nothing. */
    public Context(
            int month,
            LifeStage stage,
            TreeOrigin origin,
            Set<Habitat> habitat,
            Optional<Material> material,
            Optional<Position> position,
            Map<String, Integer> records) {
        this(month, stage, origin, habitat, material, position, records, Set.of());
    }

    /** @throws org.goldthistle.core.RefusedException if there is a month, and it is none of 1-12 */
    static void requireMonth(OptionalInt month) {
        var refusals = new Refusals();
        month.ifPresent(there -> requireMonth(refusals, there));
        refusals.throwIfAny();
    }

    private static void requireMonth(Refusals refusals, int month) {
        refusals.require(month >= 1 && month <= 12, "month", month, "a month from 1 to 12");
    }

    /** The same tree in another month. */
    public Context inMonth(int other) {
        return new Context(other, stage, origin, habitat, material, position, records, lacking);
    }

    /** Whether the observer lacks something that a check asks for. */
    public boolean lacksFor(Effort effort) {
        for (Faculty faculty : lacking) { // a loop, since this is asked for every reading
            if (effort.needs(faculty)) {
                return true;
            }
        }
        return false;
    }
}

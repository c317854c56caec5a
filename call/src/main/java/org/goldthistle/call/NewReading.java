package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.NotSeen;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Observed;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.Material;
import org.goldthistle.core.sheet.Position;

/**
 * A reading as it is sent and kept: states or values, one per replicate, or not seen, perhaps since the tree bears none
 * of it. Certainty, material and position
 * are there only where the observer said them; what was not said is assumed when it is weighed, and never stored as
 * said. A withdrawn one says only that what was read before was a mistake. The month, 1-12, is that of an earlier visit,
 * to correct what was read on it; null: the visit in hand. How its values were taken, one for each; null: they were said.
 */
public record NewReading(
        String character,
        @Nullable List<String> states,
        @Nullable List<Double> values,
        boolean notSeen,
        @Nullable Boolean notBorne,
        @Nullable @CodeOf(Certainty.class) String certainty,
        @Nullable @CodeOf(Material.class) String material,
        @Nullable @CodeOf(Position.class) String position,
        @Nullable Boolean withdrawn,
        @Nullable Integer month,
        @Nullable List<Taken> taken) {

    private static final int MOST_REPLICATES = 200;

    /** Whether it takes back what was read before. */
    public boolean takesBack() {
        return Boolean.TRUE.equals(withdrawn);
    }

    /** Whether the tree bears none of it. */
    public boolean saysNoneBorne() {
        return Boolean.TRUE.equals(notBorne);
    }

    /** @throws RefusedException if it is not exactly one of states, values and not seen, or a code is unknown */
    public Observation toObservation() {
        if (character == null || character.isBlank()) {
            throw RefusedException.of("character", "nothing", "the id of a character");
        }
        boolean hasStates = states != null && !states.isEmpty();
        boolean hasValues = values != null && !values.isEmpty();
        if ((hasStates ? 1 : 0) + (hasValues ? 1 : 0) + (notSeen ? 1 : 0) != 1) {
            throw RefusedException.of(
                    character,
                    (hasStates ? "states " : "") + (hasValues ? "values " : "") + (notSeen ? "not seen" : ""),
                    "exactly one of states, values and not seen");
        }
        if (taken != null && (!hasValues || taken.size() != values.size())) {
            throw RefusedException.of(character, taken.size() + " ways of taking it", "one for each value, or none");
        }
        int replicates = hasStates ? states.size() : hasValues ? values.size() : 0;
        if (replicates > MOST_REPLICATES) {
            throw RefusedException.of(character, replicates + " replicates", "at most " + MOST_REPLICATES);
        }
        if (saysNoneBorne() && !notSeen) {
            throw RefusedException.of(character, "something read, and none borne", "one of both");
        }
        if (notSeen) {
            return new NotSeen(character, madeIn(), saysNoneBorne());
        }
        var refusals = new Refusals();
        Optional<Certainty> sureness = optional(refusals, "certainty", certainty, Certainty.values());
        Optional<Material> from = optional(refusals, "material", material, Material.values());
        Optional<Position> grewIn = optional(refusals, "position", position, Position.values());
        refusals.throwIfAny();
        Observed observed = hasStates ? new StatesObserved(states) : new ValuesObserved(values);
        return new Reading(character, observed, sureness.orElse(Certainty.ASSUMED), from, grewIn, madeIn());
    }

    /** The month it was made in, 1-12, where those that name none were made in a given one. */
    public int monthOr(int visits) {
        return month == null ? visits : month;
    }

    /** The same, made in a month, 1-12; null: on the visit in hand. */
    public NewReading madeIn(@Nullable Integer other) {
        return new NewReading(
                character, states, values, notSeen, notBorne, certainty, material, position, withdrawn, other, taken);
    }

    private OptionalInt madeIn() {
        return month == null ? OptionalInt.empty() : OptionalInt.of(month);
    }

    private static <T extends Coded> Optional<T> optional(Refusals refusals, String key, String code, T[] all) {
        if (code == null) {
            return Optional.empty();
        }
        Optional<T> found = Coded.find(all, code);
        refusals.require(found.isPresent(), key, code, Coded.codes(all));
        return found;
    }
}

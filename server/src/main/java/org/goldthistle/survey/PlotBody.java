package org.goldthistle.survey;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.plot.GeoPosition;
import org.goldthistle.core.plot.PlotGround;
import org.goldthistle.core.sheet.Habitat;
import org.springframework.lang.Nullable;

/**
 * A plot as it is entered.
 *
 * @param code unique in its survey
 * @param latitude degrees north, WGS 84; null, as the next: not measured yet
 * @param longitude degrees east
 * @param radiusMetres within which every stem is recorded
 * @param altitudeMetres above the sea; null: not measured
 * @param habitat codes of the ground, for every tree that says nothing else
 * @param version of what was changed; null: a new plot
 */
public record PlotBody(
        @NotNull String code,
        @Nullable Double latitude,
        @Nullable Double longitude,
        @Schema(defaultValue = "15") double radiusMetres,
        @Nullable Double altitudeMetres,
        @NotNull @CodeOf(Habitat.class) List<@NotNull String> habitat,
        @NotNull @Size(max = 4000) String notes,
        @Nullable Integer version) {

    /** @throws org.goldthistle.core.RefusedException with everything that cannot be true */
    public PlotGround toGround() {
        var refusals = new Refusals();
        refusals.require(
                (latitude == null) == (longitude == null),
                "position",
                latitude == null ? "a longitude alone" : "a latitude alone",
                "both latitude and longitude, or neither");
        Optional<GeoPosition> position = latitude == null || longitude == null
                ? Optional.empty()
                : refusals.attempt("", () -> Optional.of(new GeoPosition(latitude, longitude)), Optional.empty());
        requireHabitat(refusals, habitat);
        PlotGround ground = refusals.attempt(
                "",
                () -> new PlotGround(
                        code,
                        position,
                        radiusMetres,
                        altitudeMetres == null ? OptionalDouble.empty() : OptionalDouble.of(altitudeMetres)),
                null);
        refusals.throwIfAny();
        return ground;
    }

    /** The keys of the ground; notes each code that is none. */
    static Set<Habitat> requireHabitat(Refusals refusals, List<String> codes) {
        Set<Habitat> keys = EnumSet.noneOf(Habitat.class);
        for (String one : codes) {
            Optional<Habitat> key = Coded.find(Habitat.values(), one);
            refusals.require(key.isPresent(), "habitat", one, Coded.codes(Habitat.values()));
            key.ifPresent(keys::add);
        }
        return keys;
    }

    PlotBody unversioned() {
        return new PlotBody(code.strip(), latitude, longitude, radiusMetres, altitudeMetres, habitat, notes, null);
    }
}

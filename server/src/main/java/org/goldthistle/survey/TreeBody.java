package org.goldthistle.survey;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.plot.Stem;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.LifeStage;
import org.springframework.lang.Nullable;

/**
 * A stem as it is entered; stage, origin and habitat are the codes of a group sheet.
 *
 * @param tag number on the stem, unique in the plot
 * @param azimuthDegrees from the plot's centre, clockwise from north, in [0, 360)
 * @param distanceMetres from the plot's centre
 * @param diameterMillimetres at breast height
 * @param heightDecimetres null: not measured
 * @param habitat where it stands otherwise than its plot says; null: as the plot
 * @param groupId the confusable group it belongs to; exactly one of this and the next is given
 * @param plainTaxon scientific name of a taxon that nobody doubts
 * @param cloneOf the stem of the same clone that bears its call; null: it bears its own
 * @param vigour how it does; null: nothing was noted
 * @param favoured whether it is one to favour when its neighbours are thinned; null: it is not
 * @param version of what was changed; null: a new tree
 */
public record TreeBody(
        @Schema(minimum = "1", maximum = "" + Stem.HIGHEST_TAG)
        int tag,

        @Schema(minimum = "0", maximum = "360") double azimuthDegrees,
        double distanceMetres,
        @Schema(minimum = "1", maximum = "" + Stem.THICKEST) int diameterMillimetres,

        @Nullable @Schema(minimum = "1", maximum = "" + Stem.TALLEST)
        Integer heightDecimetres,

        @NotNull @CodeOf(LifeStage.class) @Schema(defaultValue = "mature")
        String stage,

        @NotNull @CodeOf(TreeOrigin.class) @Schema(defaultValue = "unknown")
        String origin,

        @Nullable @CodeOf(Habitat.class) List<@NotNull String> habitat,
        @NotNull @Size(max = 2000) String conditionNotes,
        @Nullable String groupId,
        @Nullable @Size(min = 3, max = 120) String plainTaxon,
        @Nullable UUID cloneOf,
        @Nullable @Valid VigourBody vigour,
        @Nullable Boolean favoured,
        @Nullable Integer version) {

    /** One of which nothing was noted. */
    public TreeBody(
            int tag,
            double azimuthDegrees,
            double distanceMetres,
            int diameterMillimetres,
            @Nullable Integer heightDecimetres,
            String stage,
            String origin,
            @Nullable List<String> habitat,
            String conditionNotes,
            @Nullable String groupId,
            @Nullable String plainTaxon,
            @Nullable UUID cloneOf,
            @Nullable Integer version) {
        this(
                tag,
                azimuthDegrees,
                distanceMetres,
                diameterMillimetres,
                heightDecimetres,
                stage,
                origin,
                habitat,
                conditionNotes,
                groupId,
                plainTaxon,
                cloneOf,
                null,
                null,
                version);
    }

    /** @throws org.goldthistle.core.RefusedException with everything that cannot be true in a plot of that radius */
    public void requireTrue(double plotRadiusMetres) {
        var refusals = new Refusals();
        Stem stem = refusals.attempt(
                "",
                () -> new Stem(
                        tag,
                        azimuthDegrees,
                        distanceMetres,
                        diameterMillimetres,
                        heightDecimetres == null ? OptionalInt.empty() : OptionalInt.of(heightDecimetres)),
                null);
        if (stem != null) {
            refusals.attempt(
                    "",
                    () -> {
                        stem.requireWithin(plotRadiusMetres);
                        return stem;
                    },
                    stem);
        }
        refusals.require(
                Coded.find(LifeStage.values(), stage).isPresent(), "stage", stage, Coded.codes(LifeStage.values()));
        refusals.require(
                Coded.find(TreeOrigin.values(), origin).isPresent(),
                "origin",
                origin,
                Coded.codes(TreeOrigin.values()));
        if (habitat != null) {
            PlotBody.requireHabitat(refusals, habitat);
        }
        if (vigour != null) {
            refusals.attempt("vigour", vigour::toVigour, null);
        }
        refusals.require(
                (groupId == null) != (plainTaxon == null || plainTaxon.isBlank()),
                "groupId",
                groupId == null ? "neither a group nor a taxon" : "a group and a plain taxon",
                "a group whose taxa get mixed up, or a taxon that nobody doubts");
        refusals.throwIfAny();
    }

    TreeBody unversioned() {
        return new TreeBody(
                tag,
                azimuthDegrees,
                distanceMetres,
                diameterMillimetres,
                heightDecimetres,
                stage,
                origin,
                habitat,
                conditionNotes,
                groupId,
                plainTaxon == null ? null : plainTaxon.strip(),
                cloneOf,
                vigour == null ? null : vigour.orNull(),
                Boolean.TRUE.equals(favoured) ? true : null,
                null);
    }
}

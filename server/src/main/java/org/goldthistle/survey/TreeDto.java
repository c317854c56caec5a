package org.goldthistle.survey;

import java.util.List;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.LifeStage;
import org.springframework.lang.Nullable;

/** A stem as it was entered, with the version to be sent back with a change; the rest as in TreeBody. */
record TreeDto(
        UUID id,
        UUID plotId,
        int tag,
        double azimuthDegrees,
        double distanceMetres,
        int diameterMillimetres,
        @Nullable Integer heightDecimetres,
        @CodeOf(LifeStage.class) String stage,
        @CodeOf(TreeOrigin.class) String origin,
        @Nullable @CodeOf(Habitat.class) List<String> habitat,
        String conditionNotes,
        @Nullable String groupId,
        @Nullable String plainTaxon,
        @Nullable UUID cloneOf,
        @Nullable VigourBody vigour,
        @Nullable Boolean favoured,
        int version) {
    static TreeDto of(Tree tree) {
        TreeBody body = tree.body();
        return new TreeDto(
                tree.id(),
                tree.plot().id(),
                body.tag(),
                body.azimuthDegrees(),
                body.distanceMetres(),
                body.diameterMillimetres(),
                body.heightDecimetres(),
                body.stage(),
                body.origin(),
                body.habitat(),
                body.conditionNotes(),
                body.groupId(),
                body.plainTaxon(),
                body.cloneOf(),
                body.vigour(),
                body.favoured(),
                tree.version());
    }
}

package org.goldthistle.survey;

import java.util.List;
import java.util.UUID;
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
        String stage,
        String origin,
        @Nullable List<String> habitat,
        String conditionNotes,
        @Nullable String groupId,
        @Nullable String plainTaxon,
        @Nullable UUID cloneOf,
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
                tree.version());
    }
}

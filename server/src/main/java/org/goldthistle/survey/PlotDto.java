package org.goldthistle.survey;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.sheet.Habitat;
import org.springframework.lang.Nullable;

/**
 * A plot as the browser sees it.
 *
 * @param latitude degrees north, WGS 84; null, as the next: not measured yet
 * @param closedAt since when its field work is done; null: it is open
 * @param version to be sent back with a change
 */
public record PlotDto(
        UUID id,
        String code,
        @Nullable Double latitude,
        @Nullable Double longitude,
        double radiusMetres,
        @Nullable Double altitudeMetres,
        @CodeOf(Habitat.class) List<String> habitat,
        String notes,
        @Nullable Instant closedAt,
        int version) {
    static PlotDto of(Plot plot) {
        PlotBody body = plot.body();
        return new PlotDto(
                plot.id(),
                body.code(),
                body.latitude(),
                body.longitude(),
                body.radiusMetres(),
                body.altitudeMetres(),
                body.habitat(),
                body.notes(),
                plot.closedAt(),
                plot.version());
    }
}

package org.goldthistle.plotlist;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.core.plot.PolarPosition;
import org.goldthistle.core.vigour.Competition;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;

/** What the stems of a plot do to each other. */
final class Pressure {
    private static final int MOST_TOLD = 6; // neighbours of a stem; the others press little

    private final Map<Integer, Competition> byTag = new HashMap<>();

    private Pressure(List<Competition.Standing> stems) {
        stems.stream().filter(stem -> !stem.dead()).forEach(stem -> byTag.put(stem.tag(), Competition.of(stem, stems)));
    }

    /** Of the stems of a plot as they stand now; of dead ones nothing is told. */
    static Pressure in(UUID plotId, JdbcClient jdbc) {
        return new Pressure(jdbc.sql("select tag, azimuth_degrees, distance_metres, diameter_millimetres,"
                        + " coalesce(cast(vigour ->> 'dead' as boolean), false) dead from tree where plot_id = ?")
                .param(plotId)
                .query((row, i) -> new Competition.Standing(
                        row.getInt("tag"),
                        new PolarPosition(row.getDouble("azimuth_degrees"), row.getDouble("distance_metres")),
                        row.getInt("diameter_millimetres"),
                        row.getBoolean("dead")))
                .list());
    }

    /** Hegyi's index of a stem; null: nothing is told of it. */
    @Nullable Double index(int tag) {
        return Optional.ofNullable(byTag.get(tag)).map(Competition::index).orElse(null);
    }

    /** The neighbours that press a stem, the hardest first. */
    List<TreeRow.PressingDto> on(int tag) {
        return Optional.ofNullable(byTag.get(tag)).map(Competition::pressing).orElse(List.of()).stream()
                .limit(MOST_TOLD)
                .map(one -> new TreeRow.PressingDto(one.tag(), one.metres(), one.share()))
                .toList();
    }
}

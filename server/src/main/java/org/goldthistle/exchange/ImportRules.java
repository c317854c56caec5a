package org.goldthistle.exchange;

import java.util.List;
import java.util.Set;
import org.goldthistle.core.Refusals;
import org.goldthistle.formats.NotedVigour;
import org.goldthistle.formats.SurveyRecord;
import org.goldthistle.survey.PlotBody;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.TreeBody;
import org.goldthistle.survey.VigourBody;

/** What a single row must hold to be taken over; what rows must hold together is asked of the database. */
final class ImportRules {
    private static final double RADIUS_UNSAID = 15; // metres, as for a plot that is entered
    private static final double NO_PLOT_IS_WIDER = 200; // metres; the plot's own radius is asked for later

    private final SurveyService.PlotLimits limits;
    private final Set<String> groups;

    ImportRules(SurveyService.PlotLimits limits, List<String> groups) {
        this.limits = limits;
        this.groups = Set.copyOf(groups);
    }

    /** What the row says of its plot; null: nothing but its code. */
    PlotBody plot(SurveyRecord row, Refusals refusals) {
        boolean says = row.latitude() != null
                || row.longitude() != null
                || row.radiusMetres() != null
                || row.altitudeMetres() != null
                || row.plotHabitat() != null
                || row.plotNotes() != null;
        if (!says && row.tag() != null) {
            return null;
        }
        PlotBody body = new PlotBody(
                row.plot(),
                row.latitude(),
                row.longitude(),
                row.radiusMetres() == null ? RADIUS_UNSAID : row.radiusMetres(),
                row.altitudeMetres(),
                row.plotHabitat() == null ? List.of() : row.plotHabitat(),
                row.plotNotes() == null ? "" : row.plotNotes(),
                null);
        var ground = refusals.attempt("", body::toGround, null);
        if (ground != null) {
            ground.position().ifPresent(place -> limits.requireOnLand(place, refusals));
        }
        return body;
    }

    private static VigourBody vigour(NotedVigour noted) {
        return new VigourBody(
                        noted.leaders(),
                        noted.dieback(),
                        noted.crown(),
                        noted.form(),
                        noted.damages(),
                        Boolean.TRUE.equals(noted.dead()))
                .orNull();
    }

    /** The row's tree; null: it tells of a plot alone, or its tree cannot be read. */
    TreeBody tree(SurveyRecord row, Refusals refusals) {
        boolean isWhole = row.tag() != null
                && row.azimuthDegrees() != null
                && row.distanceMetres() != null
                && row.diameterMillimetres() != null;
        if (!isWhole) {
            return null;
        }
        TreeBody body = new TreeBody(
                row.tag(),
                row.azimuthDegrees(),
                row.distanceMetres(),
                row.diameterMillimetres(),
                row.heightDecimetres(),
                row.stage(),
                row.origin(),
                row.habitat(),
                row.condition() == null ? "" : row.condition(),
                row.group(),
                row.taxon(),
                null,
                vigour(row.vigour()),
                row.vigour().favoured(),
                null);
        refusals.attempt(
                "",
                () -> {
                    body.requireTrue(NO_PLOT_IS_WIDER);
                    return body;
                },
                body);
        refusals.require(
                row.group() == null || groups.contains(row.group()),
                "group",
                row.group(),
                "a group that this survey calls");
        return body;
    }
}

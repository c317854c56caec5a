package org.goldthistle.survey;

import java.time.Clock;
import java.time.Instant;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.plot.PlotGround;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The plots of surveys. */
@Service
public class PlotService {
    private static final int SHOWN = 12; // tags named in one message

    private final PlotRepository plots;
    private final TreeRepository trees;
    private final SurveyService surveys;
    private final AuditTrail audit;
    private final Turns turns;
    private final JdbcClient jdbc;
    private final Clock clock;

    PlotService(
            PlotRepository plots,
            TreeRepository trees,
            SurveyService surveys,
            AuditTrail audit,
            Turns turns,
            JdbcClient jdbc,
            Clock clock) {
        this.plots = plots;
        this.trees = trees;
        this.surveys = surveys;
        this.audit = audit;
        this.turns = turns;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** @throws Problem if the observer does not belong to the survey, or it has no such plot */
    @Transactional(readOnly = true)
    public PlotDto find(UUID surveyId, UUID plotId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        return PlotDto.of(plot(surveyId, plotId));
    }

    /**
     * Records a plot, or changes it. Sent again, it changes nothing.
     *
     * @throws Problem if a measure cannot be true, the code is taken, the survey or the plot is closed, or somebody
     *     changed it in the meantime
     */
    @Transactional
    PlotDto save(UUID surveyId, UUID plotId, UUID observerId, PlotBody asked) {
        return saved(surveyId, plotId, observerId, asked, clock.instant());
    }

    private PlotDto saved(UUID surveyId, UUID plotId, UUID observerId, PlotBody asked, Instant at) {
        turns.take(
                Turn.beside(Turn.Thing.SURVEY, surveyId),
                Turn.alone(Turn.Thing.PLOTS, surveyId), // so that no two get the same code
                Turn.alone(Turn.Thing.PLOT, plotId));
        Survey survey = surveys.open(surveyId, observerId);
        Optional<Plot> there = plots.findById(plotId);
        refuseUnfit(survey, plotId, asked);
        if (there.isEmpty()) {
            Plot plot = plots.saveAndFlush(new Plot(plotId, survey, asked));
            audit.note(
                    at, Optional.of(observerId), "recorded the plot", Place.plot(surveyId, plotId), null, plot.body());
            return PlotDto.of(plot);
        }
        Plot plot = plot(surveyId, plotId);
        PlotBody before = plot.body();
        if (before.equals(asked.unversioned())) {
            return PlotDto.of(plot);
        }
        if (!Objects.equals(asked.version(), plot.version())) {
            throw Problem.stale("plot", PlotDto.of(plot));
        }
        requireOpen(plot);
        plot.change(asked);
        plots.flush();
        audit.noteChange(observerId, "changed the plot", Place.plot(surveyId, plotId), before, plot.body());
        return PlotDto.of(plot);
    }

    /** Puts a plot on record that an observer recorded at another time. */
    @Transactional
    public void create(UUID surveyId, UUID plotId, UUID observerId, PlotBody asked, Instant at) {
        saved(surveyId, plotId, observerId, asked, at);
    }

    /**
     * Closes a plot, whose field work is done then, or opens it again.
     *
     * @throws Problem with everything that still blocks closing
     */
    @Transactional
    public void close(UUID surveyId, UUID plotId, UUID observerId, boolean closed) {
        turns.take(Turn.beside(Turn.Thing.SURVEY, surveyId), Turn.alone(Turn.Thing.PLOT, plotId));
        surveys.open(surveyId, observerId);
        Plot plot = plot(surveyId, plotId);
        if (closed == (plot.closedAt() != null)) {
            return;
        }
        if (closed) {
            refuseUnfinished(plot);
            plot.close(clock.instant());
        } else {
            plot.reopen();
        }
        plots.flush();
        audit.note(
                Optional.of(observerId),
                closed ? "closed the plot" : "opened the plot again",
                Place.plot(surveyId, plotId),
                null,
                null);
    }

    Plot plot(UUID surveyId, UUID plotId) {
        return plots.findInSurvey(surveyId, plotId)
                .orElseThrow(() -> Problem.missing(
                        ProblemType.NO_SUCH_PLOT,
                        "This survey has no such plot; it may belong to another one. Nothing was stored. Open the"
                                + " plot from its own survey's list."));
    }

    static void requireOpen(Plot plot) {
        if (plot.closedAt() != null) {
            throw Problem.conflict(
                    ProblemType.PLOT_CLOSED,
                    "The plot " + plot.code() + " is closed. Nothing was stored; open it again to change it.");
        }
    }

    private void refuseUnfit(Survey survey, UUID plotId, PlotBody asked) {
        try {
            PlotGround ground = asked.toGround();
            var refusals = new Refusals();
            if (survey.area() != null && ground.position().isPresent()) {
                DistrictOutline.of(survey.area())
                        .requireWithin(ground.position().get(), refusals);
            }
            refusals.require(
                    plots.findBySurveyIdAndCode(survey.id(), ground.code())
                            .map(Plot::id)
                            .filter(id -> !id.equals(plotId))
                            .isEmpty(),
                    "code",
                    ground.code(),
                    "a code that no other plot of this survey has");
            List<Integer> beyond = trees.tagsBeyond(plotId, asked.radiusMetres());
            refusals.require(
                    beyond.isEmpty(),
                    "radiusMetres",
                    asked.radiusMetres(),
                    "a radius that holds every stem; further out: " + tags(beyond));
            refusals.throwIfAny();
        } catch (RefusedException refused) {
            throw Problem.unfit(ProblemType.UNFIT_PLOT, refused);
        }
    }

    private void refuseUnfinished(Plot plot) {
        List<Refusal> blockers = new ArrayList<>();
        if (!plot.hasPosition()) {
            blockers.add(new Refusal("position", "no position of the plot", "one before it is closed"));
        }
        blockers.addAll(jdbc.sql(
                        "select tag, stands_as, come_back_month, shown_to is not null as awaited from tree where plot_id = ?"
                                + " and (stands_as in ('open', 'come-back') or shown_to is not null)"
                                + " and clone_of is null order by tag")
                .param(plot.id())
                .query((row, i) -> row.getBoolean("awaited")
                        ? new Refusal(
                                "tree " + row.getInt("tag"), "a review that waits", "a blind reading of it on the plot")
                        : row.getString("stands_as").equals("open")
                                ? new Refusal(
                                        "tree " + row.getInt("tag"), "no signature", "a signed call, or a plain taxon")
                                : new Refusal(
                                        "tree " + row.getInt("tag"),
                                        "to come back in "
                                                + Month.of(row.getInt("come_back_month"))
                                                        .getDisplayName(TextStyle.FULL, Locale.UK),
                                        "another visit, or the group only"))
                .list());
        if (!blockers.isEmpty()) {
            throw Problem.unfit(
                    ProblemType.PLOT_UNFINISHED,
                    "The plot " + plot.code() + " is not finished: "
                            + blockers.stream()
                                    .limit(SHOWN)
                                    .map(one -> one.key() + " has " + one.found())
                                    .collect(Collectors.joining("; "))
                            + (blockers.size() > SHOWN ? "; and " + (blockers.size() - SHOWN) + " more" : "")
                            + ". It stays open.",
                    blockers);
        }
    }

    private static String tags(List<Integer> tags) {
        return tags.stream().limit(SHOWN).map(tag -> "tree " + tag).collect(Collectors.joining(", "))
                + (tags.size() > SHOWN ? " …" : "");
    }
}

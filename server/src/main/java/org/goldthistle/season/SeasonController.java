package org.goldthistle.season;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.core.CodeOf;
import org.goldthistle.platform.ForLeads;
import org.goldthistle.platform.ForObservers;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A survey's season at a glance. */
@RestController
@RequestMapping("/api/surveys/{surveyId}/season")
class SeasonController {
    private final Season season;
    private final SeasonTrees trees;
    private final SeasonPlans plans;
    private final NextSeason next;
    private final SeasonsCompared compared;
    private final EarlierSeasons earlier;

    SeasonController(
            Season season,
            SeasonTrees trees,
            SeasonPlans plans,
            NextSeason next,
            SeasonsCompared compared,
            EarlierSeasons earlier) {
        this.season = season;
        this.trees = trees;
        this.plans = plans;
        this.next = next;
        this.compared = compared;
        this.earlier = earlier;
    }

    /** The season at a glance: plots, weeks, groups, what waits; a crew sees its own calls. */
    @GetMapping
    @ForObservers
    SurveySeasonDto showSeasonOfSurvey(
            @PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        return season.of(surveyId, observer);
    }

    /** The trees behind one of its figures. */
    @GetMapping("/trees")
    @ForObservers
    TreesOfFigureDto listTreesOfFigure(
            @PathVariable UUID surveyId,
            @RequestParam(defaultValue = "") @CodeOf(SeasonFigure.class) String figure,
            @RequestParam(defaultValue = "") String of,
            @AuthenticationPrincipal SignedInObserver observer) {
        return trees.of(surveyId, observer, figure, of);
    }

    /** Sets how many trees are to be signed until when. */
    @PutMapping("/plan")
    @ForLeads
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void planSeason(
            @PathVariable UUID surveyId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody SurveySeasonDto.PlanDto body) {
        plans.plan(surveyId, observer.id(), body);
    }

    /** Sends the lines that the map shows beside the plots, such as a coast or tracks: GeoJSON, as it is. */
    @PutMapping(path = "/lines", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ForLeads
    LinesKept sendLinesOfMap(
            @PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer, HttpServletRequest request)
            throws IOException {
        return new LinesKept(plans.lines(surveyId, observer.id(), request.getInputStream()));
    }

    /** Begins the next season: rules, groups, crew, plots and the stems that still stand, and nothing that was read. */
    @PutMapping("/next")
    @ForLeads
    SeasonBegunDto beginNextSeason(
            @PathVariable UUID surveyId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewSeason body) {
        return next.begin(surveyId, observer.id(), body);
    }

    /** The seasons of its district side by side. */
    @GetMapping("/compared")
    @ForObservers
    SeasonsDto compareSeasons(@PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        return compared.of(surveyId, observer.id());
    }

    /** What a tree was signed as in earlier seasons; whoever asks does not read it blind from then on. */
    @GetMapping("/trees/{treeId}/earlier")
    @ForObservers
    List<EarlierSeasonDto> showEarlierSeasons(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return earlier.of(surveyId, treeId, observer.id());
    }

    /** How many points the lines have that were kept. */
    record LinesKept(int points) {}
}

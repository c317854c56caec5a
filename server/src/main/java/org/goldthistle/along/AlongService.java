package org.goldthistle.along;

import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.account.AccountService;
import org.goldthistle.bench.BenchService;
import org.goldthistle.call.CallState;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.library.LibraryService;
import org.goldthistle.plotlist.PlotViews;
import org.goldthistle.survey.PlotService;
import org.goldthistle.survey.SurveyService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Lays out what an observer takes along. It is put together by the pages that would show it, so that whatever is kept
 * from an observer there is kept from them here, and what they are shown is noted as it is there.
 */
@Service
class AlongService {
    private final SurveyService surveys;
    private final PlotService plots;
    private final PlotViews views;
    private final BenchService bench;
    private final LibraryService library;
    private final AccountService accounts;
    private final Clock clock;

    AlongService(
            SurveyService surveys,
            PlotService plots,
            PlotViews views,
            BenchService bench,
            LibraryService library,
            AccountService accounts,
            Clock clock) {
        this.surveys = surveys;
        this.plots = plots;
        this.views = views;
        this.bench = bench;
        this.library = library;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** @throws org.goldthistle.platform.Problem if the observer does not belong to the survey, or it has no such plot */
    @Transactional
    AlongDto of(UUID surveyId, List<UUID> plotIds, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        Map<UUID, StoredSheet> sheets = new LinkedHashMap<>();
        library.newest().forEach(newest -> sheets.put(newest.id(), newest));
        List<AlongDto.AlongPlot> along = new ArrayList<>();
        for (UUID plotId : plotIds) {
            var plot = new AlongDto.AlongPlot(
                    plots.find(surveyId, plotId, observerId),
                    views.trees(surveyId, plotId, observerId),
                    bench.recordsOf(surveyId, plotId, observerId));
            along.add(plot);
            plot.calls().forEach(call -> {
                keep(call.state(), sheets);
                call.setAside().forEach(other -> keep(other, sheets));
            });
        }
        return new AlongDto(
                clock.instant(),
                surveys.rulesOfTheirs(observerId).get(surveyId),
                accounts.lacking(observerId).stream().map(Faculty::code).toList(),
                along,
                sheets.values().stream()
                        .map(sheet -> new AlongDto.AlongSheet(
                                sheet.id(), sheet.sheet().id(), sheet.version()))
                        .toList());
    }

    private void keep(CallState call, Map<UUID, StoredSheet> sheets) {
        sheets.computeIfAbsent(call.sheetVersionId(), library::find);
    }
}

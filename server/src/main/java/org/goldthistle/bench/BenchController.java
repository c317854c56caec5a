package org.goldthistle.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.ComingMonth;
import org.goldthistle.call.Mark;
import org.goldthistle.call.NewReading;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.plan.SeasonOutlook;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.entry.TreeOfObserver;
import org.goldthistle.platform.ForObservers;
import org.goldthistle.signing.NewDetermination;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The Bench of the observer who is signed in. Clients make the ids, so a retry after a lost answer changes nothing. */
@RestController
@RequestMapping("/api/surveys/{surveyId}/trees")
class BenchController {
    private final BenchService bench;
    private final Clock clock;

    BenchController(BenchService bench, Clock clock) {
        this.bench = bench;
        this.clock = clock;
    }

    /** One tree on the observer's Bench. */
    @GetMapping("/{treeId}/bench")
    @ForObservers
    BenchDto openBench(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return bench.bench(new TreeOfObserver(surveyId, treeId, observer.id()));
    }

    /**
     * Changes month, stage, origin or habitat for the observer's call.
     *
     * @param heldBackSeconds for how long it waited on the observer's device
     */
    @PutMapping("/{treeId}/circumstances")
    @ForObservers
    BenchDto changeCircumstances(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @RequestParam(defaultValue = "0") long heldBackSeconds,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody Circumstances circumstances) {
        return bench.changeCircumstances(
                new TreeOfObserver(surveyId, treeId, observer.id()), circumstances, heldBack(heldBackSeconds));
    }

    /** Changes what the observer's call is for. */
    @PutMapping("/{treeId}/tier")
    @ForObservers
    BenchDto changeTier(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewTier body) {
        return bench.changeTier(new TreeOfObserver(surveyId, treeId, observer.id()), body.tier());
    }

    /** Takes the tree up in another group, for this observer alone. */
    @PutMapping("/{treeId}/group")
    @ForObservers
    BenchDto changeGroup(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewGroup body) {
        return bench.changeGroup(new TreeOfObserver(surveyId, treeId, observer.id()), body.groupId());
    }

    /** Goes on with the newest version of the group's sheet. */
    @PutMapping("/{treeId}/newest-sheet")
    @ForObservers
    BenchDto moveToNewest(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return bench.moveToNewest(new TreeOfObserver(surveyId, treeId, observer.id()));
    }

    /** Notes that the observer has read what wounding this tree means. */
    @PutMapping("/{treeId}/wounding-caution")
    @ForObservers
    BenchDto acknowledgeWounding(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return bench.acknowledgeWounding(new TreeOfObserver(surveyId, treeId, observer.id()));
    }

    /** Marks what every member of the group shares. */
    @PutMapping("/{treeId}/gate/{markId}")
    @ForObservers
    BenchDto markGate(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @PathVariable UUID markId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewMark body) {
        return bench.markGate(new TreeOfObserver(surveyId, treeId, observer.id()), markId, body.item(), body.mark());
    }

    /** In which months the tree could be settled. */
    @GetMapping("/{treeId}/outlook")
    @ForObservers
    List<MonthDto> showOutlook(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return bench.outlook(new TreeOfObserver(surveyId, treeId, observer.id())).stream()
                .map(month -> MonthDto.of(month, LocalDate.now(clock)))
                .toList();
    }

    /** The id of a group. */
    record NewGroup(@NotNull String groupId) {}

    /** A gate item's id, and what is said of it: fits, fails or taken-back. */
    record NewMark(
            @NotNull String item,
            @NotNull @CodeOf(Mark.class) String mark) {}

    /** The code of a tier. */
    record NewTier(@NotNull @CodeOf(Tier.class) String tier) {}

    /**
     * A month, 1-12, with the year in which it comes next and the chances that a visit then settles the tree and that it
     * misleads.
     */
    record MonthDto(int month, int year, double chanceToSettle, double chanceToMislead) {
        static MonthDto of(SeasonOutlook.Month month, LocalDate today) {
            return new MonthDto(
                    month.month(),
                    ComingMonth.yearOf(month.month(), today),
                    month.chanceToSettle(),
                    month.chanceToMislead());
        }
    }

    /** Records a reading; the query says for how many seconds it waited on the observer's device. */
    @PutMapping("/{treeId}/readings/{readingId}")
    @ForObservers
    BenchDto recordReading(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @PathVariable UUID readingId,
            @RequestParam(defaultValue = "0") long heldBackSeconds,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewReading reading) {
        return bench.recordReading(
                new TreeOfObserver(surveyId, treeId, observer.id()), readingId, reading, heldBack(heldBackSeconds));
    }

    /**
     * Signs the observer's call.
     *
     * @param heldBackSeconds for how long it waited on the observer's device
     */
    @PutMapping("/{treeId}/determinations/{determinationId}")
    @ForObservers
    BenchDto signCall(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @PathVariable UUID determinationId,
            @RequestParam(defaultValue = "0") long heldBackSeconds,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewDetermination signed) {
        return bench.sign(
                new TreeOfObserver(surveyId, treeId, observer.id()),
                determinationId,
                signed,
                heldBack(heldBackSeconds));
    }

    private static Duration heldBack(long seconds) {
        return Duration.ofSeconds(Math.max(0, seconds));
    }
}

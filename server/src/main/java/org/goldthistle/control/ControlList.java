package org.goldthistle.control;

import java.time.Clock;
import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.account.Role;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.ClearanceWords;
import org.goldthistle.call.KeptPicture;
import org.goldthistle.call.SignedView;
import org.goldthistle.call.SurveyRules;
import org.goldthistle.core.Coded;
import org.goldthistle.core.plot.GeoPosition;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.sight.Scope;
import org.goldthistle.sight.Sights;
import org.goldthistle.signing.SignedCall;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lays the control list of a survey out, and the cards that are taken to its trees. */
@Service
class ControlList {
    private final ControlStems stems;
    private final ControlTrees trees;
    private final Approvals approvals;
    private final LastLooks looks;
    private final Works works;
    private final SurveyService surveys;
    private final Sights sights;
    private final Clock clock;

    ControlList(
            ControlStems stems,
            ControlTrees trees,
            Approvals approvals,
            LastLooks looks,
            Works works,
            SurveyService surveys,
            Sights sights,
            Clock clock) {
        this.stems = stems;
        this.trees = trees;
        this.approvals = approvals;
        this.looks = looks;
        this.works = works;
        this.surveys = surveys;
        this.sights = sights;
        this.clock = clock;
    }

    /** A tree of the list with all that is known of it. */
    record Laid(ControlStem stem, ControlTrees.Stands stands, ControlListDto.ControlTreeDto dto) {
        boolean isApproved() {
            return dto.approval().id() != null;
        }

        boolean isGone() {
            return dto.gone();
        }
    }

    /** The list as an observer may see it. */
    @Transactional
    public ControlListDto of(UUID surveyId, SignedInObserver observer) {
        surveys.requireMember(surveyId, observer.id());
        SurveyRules rules = surveys.rulesOfTheirs(observer.id()).get(surveyId);
        return new ControlListDto(
                surveyId,
                surveys.nameFor(surveyId, observer.id()),
                rules.controlUsed(),
                observer.role() == Role.LEAD && !rules.closed(),
                stems.keptFrom(surveyId, observer.id()),
                ControlWords.CAUTIONS,
                laid(surveyId, observer).stream().map(Laid::dto).toList());
    }

    /** One of the trees that stand as an invasive taxon; empty: it does not. */
    Optional<Laid> find(UUID surveyId, SurveyedTree tree, SignedInObserver observer) {
        List<ControlStem> ofPlot = stems.invasive(surveyId, observer.id()).stream()
                .filter(stem -> stem.plotId().equals(tree.plotId()))
                .toList();
        return laid(surveyId, observer, ofPlot).stream()
                .filter(one -> one.stem().id().equals(tree.id()))
                .findFirst();
    }

    /** The trees that stand as an invasive taxon, those that are clear first, then those of which least is missing. */
    private List<Laid> laid(UUID surveyId, SignedInObserver observer) {
        return laid(surveyId, observer, stems.invasive(surveyId, observer.id()));
    }

    private List<Laid> laid(UUID surveyId, SignedInObserver observer, List<ControlStem> invasive) {
        sights.shown(
                observer.id(),
                Scope.CONTROL,
                invasive.stream().map(ControlStem::id).toList());
        Set<UUID> underReview = trees.underReview(surveyId);
        Map<UUID, Approvals.Approval> said = approvals.of(surveyId);
        Map<UUID, LastLooks.Look> looked = looks.of(surveyId);
        Map<UUID, ControlListDto.WorkDto> done = works.of(surveyId);
        List<ControlStem> ofPlots = stems.of(
                surveyId,
                new HashSet<>(invasive.stream().map(ControlStem::plotId).toList()),
                observer.id());
        List<Half> halves = new ArrayList<>();
        Set<UUID> free = new HashSet<>();
        for (ControlStem stem : invasive) {
            ControlTrees.Stands stands = trees.of(stem, underReview.contains(stem.id()));
            ControlListDto.ApprovalDto approval = approval(stem, stands, said.get(stem.id()));
            ControlListDto.WorkDto work = done.get(stem.id());
            halves.add(new Half(stem, stands, approval, work));
            if (approval.id() != null || isGone(work)) {
                free.add(stem.id());
            }
        }
        return halves.stream()
                .map(half -> new Laid(
                        half.stem(),
                        half.stands(),
                        tree(half, ofPlots, free, looked.get(half.stem().id()))))
                .sorted(Comparator.<Laid>comparingInt(one -> one.dto().missing().size())
                        .thenComparing(one -> one.dto().plotCode())
                        .thenComparing(one -> one.dto().tag()))
                .toList();
    }

    private record Half(
            ControlStem stem,
            ControlTrees.Stands stands,
            ControlListDto.ApprovalDto approval,
            @Nullable ControlListDto.WorkDto work) {}

    private static ControlListDto.ApprovalDto approval(
            ControlStem stem, ControlTrees.Stands stands, @Nullable Approvals.Approval last) {
        if (last == null || !last.approved()) {
            return new ControlListDto.ApprovalDto(null, null, null, null);
        }
        String lapsed = !last.determinationId().equals(stem.determinationId())
                ? "it was signed anew since"
                : stands.isClear()
                        ? null
                        : ClearanceWords.of(stands.clearance()).get(0).words();
        return new ControlListDto.ApprovalDto(lapsed == null ? last.id() : null, last.by(), last.at(), lapsed);
    }

    private ControlListDto.ControlTreeDto tree(
            Half half, List<ControlStem> ofPlots, Set<UUID> free, @Nullable LastLooks.Look look) {
        ControlStem stem = half.stem();
        ControlTrees.Stands stands = half.stands();
        Taxon taxon = stems.taxonOf(stem);
        SignedView standing = stands.standing();
        boolean since = look != null
                && half.approval().id() != null
                && look.approvalId().equals(half.approval().id());
        return new ControlListDto.ControlTreeDto(
                stem.id(),
                stem.plotId(),
                stem.plotCode(),
                stem.tag(),
                stem.position().map(GeoPosition::latitude).orElse(null),
                stem.position().map(GeoPosition::longitude).orElse(null),
                stem.at().azimuthDegrees(),
                stem.at().distanceMetres(),
                stem.diameterMillimetres(),
                stems.sheetOf(stem).sheet().id(),
                stem.sheetVersionId(),
                taxon.id(),
                taxon.name().commonName(),
                taxon.name().scientificName(),
                stem.determinationId(),
                standing.share(),
                stands.naming().stream()
                        .map(call -> call.determination().observer())
                        .toList(),
                standing.readings().stream()
                        .filter(reading -> standing.confirming().contains(reading.character()))
                        .toList(),
                photos(stands.naming()),
                stems.near(stem, ofPlots, free).stream()
                        .map(ControlListDto.NearStemDto::of)
                        .toList(),
                ClearanceWords.of(stands.clearance()),
                half.approval(),
                since || look != null && half.approval().id() == null ? look.look() : null,
                half.work(),
                isGone(half.work()));
    }

    private static boolean isGone(@Nullable ControlListDto.WorkDto work) {
        return work != null
                && Coded.find(Work.values(), work.what()).filter(Work::isEnd).isPresent();
    }

    private static List<UUID> photos(List<SignedCall> naming) {
        return naming.stream()
                .flatMap(call -> call.determination().photos().stream())
                .map(KeptPicture::id)
                .distinct()
                .toList();
    }

    /** The cards of all trees that an observer may go to, in every survey that they belong to and that is open. */
    @Transactional
    public List<CardDto> cards(SignedInObserver observer) {
        Month now = LocalDate.now(clock).getMonth();
        List<CardDto> cards = new ArrayList<>();
        surveys.rulesOfTheirs(observer.id()).forEach((surveyId, rules) -> {
            if (!rules.closed() && rules.controlUsed()) {
                laid(surveyId, observer).stream()
                        .filter(one -> one.isApproved() && !one.isGone())
                        .forEach(one -> cards.add(card(one, surveyId, observer, now)));
            }
        });
        return cards;
    }

    private CardDto card(Laid laid, UUID surveyId, SignedInObserver observer, Month now) {
        ControlListDto.ControlTreeDto tree = laid.dto();
        return new CardDto(
                surveyId,
                surveys.nameFor(surveyId, observer.id()),
                tree.approval().id(),
                laid.stands().newest().id(),
                tree.treeId(),
                tree.plotId(),
                tree.plotCode(),
                tree.tag(),
                tree.latitude(),
                tree.longitude(),
                tree.azimuthDegrees(),
                tree.distanceMetres(),
                tree.diameterMillimetres(),
                tree.groupId(),
                tree.commonName(),
                tree.scientificName(),
                tree.near(),
                List.of(
                        trees.asked(laid.stands(), now.getValue()),
                        trees.asked(laid.stands(), now.plus(1).getValue())),
                tree.look() == null ? null : CardDto.Looked.of(tree.look()),
                tree.work(),
                ControlWords.CAUTIONS);
    }
}

package org.goldthistle.learning;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.learning.Reliability;
import org.goldthistle.core.learning.VerifiedTree;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.formats.Specimen;
import org.goldthistle.formats.SpecimenJson;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Sha256;
import org.goldthistle.review.Verifications;
import org.goldthistle.sight.Scope;
import org.goldthistle.sight.Sights;
import org.goldthistle.signing.SignedCall;
import org.goldthistle.signing.SignedCalls;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.TreeService;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Gathers the trees whose taxon is known: a survey's verified cases, those that a laboratory made certain, and files of
 * specimens.
 */
@Component
class KnownTrees {
    private final VerifiedTrees verified;
    private final VerifiedFiles files;
    private final SignedCalls calls;
    private final TreeService trees;
    private final LibraryService library;
    private final SurveyService surveys;
    private final Sights sights;
    private final ObjectMapper json;

    KnownTrees(
            VerifiedTrees verified,
            VerifiedFiles files,
            SignedCalls calls,
            TreeService trees,
            LibraryService library,
            SurveyService surveys,
            Sights sights,
            ObjectMapper json) {
        this.verified = verified;
        this.files = files;
        this.calls = calls;
        this.trees = trees;
        this.library = library;
        this.surveys = surveys;
        this.sights = sights;
        this.json = json;
    }

    /**
     * By group, those of a survey first, with what the first who signed each of them had read; that the observer was shown
     * it is noted.
     *
     * @throws org.goldthistle.platform.Problem if the observer does not belong to the survey
     */
    @Transactional
    Map<String, List<KnownTree>> of(UUID surveyId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        Map<String, List<KnownTree>> known = new LinkedHashMap<>();
        for (Verifications.Verified one : verified.of(surveyId, observerId)) {
            calls.of(trees.tree(surveyId, one.treeId(), observerId)).stream()
                    .filter(call -> call.model().sheet().id().equals(one.groupId()))
                    .findFirst()
                    .flatMap(call -> settled(one, call))
                    .ifPresent(tree -> known.computeIfAbsent(one.groupId(), any -> new ArrayList<>())
                            .add(tree));
        }
        sights.shown(
                observerId,
                Scope.LESSON,
                known.values().stream()
                        .flatMap(List::stream)
                        .map(KnownTree::treeId)
                        .toList());
        for (VerifiedFile file : files.all()) {
            if (library.has(file.groupId())) {
                known.computeIfAbsent(file.groupId(), any -> new ArrayList<>()).addAll(ofFile(file));
            }
        }
        return known;
    }

    private Optional<KnownTree> settled(Verifications.Verified one, SignedCall call) {
        int truth = call.model().sheet().taxonIndex(one.truth());
        if (truth < 0) {
            return Optional.empty(); // another version named it
        }
        Tier tier = Coded.find(Tier.values(), call.tier()).orElseThrow();
        Balance balance = tier.isDecidedOnFeaturesAlone()
                ? call.weighing().featuresAlone()
                : call.weighing().withSurroundings();
        return Optional.of(new KnownTree(
                one.plotCode() + "-" + one.tag(),
                one.treeId(),
                new Reliability.Judged(one.treeId().toString(), balance, truth),
                onNewest(one, call, tier),
                Sha256.of(one + " " + call.id())));
    }

    private Optional<VerifiedTree> onNewest(Verifications.Verified one, SignedCall call, Tier tier) {
        StoredSheet newest = library.newest(one.groupId());
        try {
            Specimen specimen = SpecimenJson.readAll(
                            json.valueToTree(List.of(call.specimen())).toString())
                    .get(0);
            Evidence evidence =
                    Evidence.of(newest.sheet(), specimen.context(), specimen.observations(), specimen.gate());
            Optional<School> school = call.school().flatMap(code -> Coded.find(School.values(), code));
            return Optional.of(
                    VerifiedTree.of(newest.model(), one.treeId().toString(), evidence, one.truth(), tier, school));
        } catch (RefusedException unread) {
            return Optional.empty(); // told as not readable on the newest sheet
        }
    }

    /** A file was held against the newest sheet when it came; a later one may not know all of it. */
    private List<KnownTree> ofFile(VerifiedFile file) {
        StoredSheet newest = library.newest(file.groupId());
        try {
            return VerifiedFiles.read(newest, file.body()).stream()
                    .map(tree -> new KnownTree(
                            file.name().replaceFirst("\\.json$", "") + ": " + tree.id(),
                            null,
                            tree.withId(file.id() + " " + tree.id()).judged(newest.model()),
                            Optional.of(tree.withId(file.id() + " " + tree.id())),
                            file.id() + " " + tree.id()))
                    .toList();
        } catch (RefusedException unread) {
            return List.of();
        }
    }
}

package org.goldthistle.core.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.Taxon;

/** Gathers every reason of section 8 why a call is contested. */
final class ContestedReasons {

    private final Assessment assessment;
    private final Terms terms;
    private final CallRecord record;
    private final List<Reason> reasons = new ArrayList<>();

    ContestedReasons(Assessment assessment, Terms terms, CallRecord record) {
        this.assessment = assessment;
        this.terms = terms;
        this.record = record;
    }

    List<Reason> all() {
        assessment.failedGateItems().forEach(item -> reasons.add(Reason.of(Reason.Kind.GATE, item)));
        addIf(assessment.verdict() == Verdict.UNSETTLED, Reason.Kind.UNSETTLED);
        addIf(assessment.rules().differ(), Reason.Kind.RULES_DIFFER);
        addIf(hasStrongContrary(), Reason.Kind.STRONG_CONTRARY);
        addIf(
                assessment.deciding().noneOfThese() > ModelConstants.CONTESTED_BY_NONE_OF_THESE,
                Reason.Kind.NONE_OF_THESE);
        addIf(assessment.surprise() > ModelConstants.SURPRISING, Reason.Kind.SURPRISE);
        addSchools();
        addIf(hasLikelyHybrid(), Reason.Kind.HYBRID);
        addIndices();
        addIf(record.signedTaxa().size() > 1, Reason.Kind.OBSERVERS_DIFFER);
        return List.copyOf(reasons);
    }

    private void addIf(boolean holds, Reason.Kind kind) {
        if (holds) {
            reasons.add(Reason.of(kind));
        }
    }

    private boolean hasStrongContrary() {
        Balance deciding = assessment.deciding();
        for (int j = 0; j < deciding.readings().size(); j++) {
            if (deciding.points(j, deciding.lead(), deciding.rival()) <= ModelConstants.STRONG_CONTRARY) {
                return true;
            }
        }
        return false;
    }

    /** The deciding balance again under each school's weights, at the same tier. */
    private void addSchools() {
        for (School school : School.values()) {
            Optional<School> other = Optional.of(school);
            if (!other.equals(terms.school())) {
                Weighing weighing = Weighing.of(assessment.model(), assessment.evidence(), other);
                Balance balance = assessment.tier().isDecidedOnFeaturesAlone()
                        ? weighing.featuresAlone()
                        : weighing.withSurroundings();
                if (balance.lead() != assessment.deciding().lead()) {
                    reasons.add(Reason.of(Reason.Kind.SCHOOL, school.code()));
                }
            }
        }
    }

    private boolean hasLikelyHybrid() {
        Balance deciding = assessment.deciding();
        List<Taxon> taxa = assessment.model().sheet().taxa();
        for (int k = 0; k < taxa.size(); k++) {
            if (taxa.get(k).isHybrid()
                    && k != deciding.lead()
                    && deciding.posterior(k) >= ModelConstants.LIKELY_HYBRID) {
                return true;
            }
        }
        return false;
    }

    private void addIndices() {
        for (IndexOpinion opinion : assessment.indexOpinions()) {
            if (opinion.speaksFor().isPresent() && !opinion.speaksFor().get().equals(assessment.lead())) {
                reasons.add(Reason.of(Reason.Kind.INDEX, opinion.index().id()));
            }
        }
    }
}

package org.goldthistle.core.control;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Coded;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.TaxonOrigin;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Condition;
import org.goldthistle.core.verdict.Need;
import org.goldthistle.core.verdict.Terms;
import org.goldthistle.core.verdict.Tier;

/**
 * Whether a tree that stands as an invasive taxon may go on a control list, and what is missing: section 15. Two observers
 * must have signed that taxon, neither having been shown the other's call; one of these calls must have been signed for
 * control and be carried by its evidence, on its own sheet and on the newest; and no review may be open.
 *
 * @param call place of the call that comes nearest, among those that were given; −1: nobody signed the taxon
 * @param assessment of it for control; empty: there is none
 * @param missing what is missing, in the order of its kinds; empty: nothing
 */
public record Clearance(int call, Optional<Assessment> assessment, List<Missing> missing) {

    /** Copies the list. */
    public Clearance {
        missing = List.copyOf(missing);
    }

    /**
     * A signed call of the tree.
     *
     * @param signedOn the sheet that it was signed on
     * @param taxonId what was signed
     * @param terms of its survey, whatever it was for
     * @param tier that it was signed for
     * @param reasoned characters for which a reason was written
     * @param blind whether its observer had been shown nobody else's call
     */
    public record Signed(
            GroupModel signedOn,
            String taxonId,
            Evidence evidence,
            Terms terms,
            Tier tier,
            Set<String> reasoned,
            boolean blind) {}

    /** What can be missing. */
    public enum Kind implements Coded {
        /** Nobody's standing call names it. */
        CALL("call"),
        /** It was called for a tally or a record. */
        TIER("tier"),
        /** A condition of control is not met by the call. */
        CONDITION("condition"),
        /** A second observer has to read it blind, and come to the same. */
        SECOND_OBSERVER("second-observer"),
        /** A review of it is open. */
        REVIEW("review"),
        /** The newest version of the sheet would not carry it. */
        VERSION("version");

        private final String code;

        Kind(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    /**
     * One thing that is missing.
     *
     * @param condition of control that is not met; empty for the other kinds
     */
    public record Missing(Kind kind, Optional<Condition> condition) {
        static Missing of(Kind kind) {
            return new Missing(kind, Optional.empty());
        }
    }

    /** Whether control is thought of for a taxon at all. */
    public static boolean concerns(Taxon taxon) {
        return taxon.origin() == TaxonOrigin.INVASIVE;
    }

    /**
     * @param taxonId what the tree stands as
     * @param calls the last one of each observer
     * @param newest version of the sheet's model
     * @param fits whether a call's evidence fits the newest version, and the evidence on it
     * @param underReview whether a review of the tree is open
     */
    public static Clearance of(
            String taxonId, List<Signed> calls, GroupModel newest, List<Optional<Evidence>> fits, boolean underReview) {
        List<Clearance> each = new ArrayList<>();
        long blind = calls.stream()
                .filter(call -> call.taxonId().equals(taxonId) && call.blind())
                .count();
        for (int i = 0; i < calls.size(); i++) {
            if (calls.get(i).taxonId().equals(taxonId)) {
                each.add(of(i, calls.get(i), newest, fits.get(i), blind >= 2, underReview));
            }
        }
        return each.stream()
                .min(Comparator.comparingInt(one -> one.missing().size())) // stable: the earliest of equals
                .orElseGet(() -> new Clearance(-1, Optional.empty(), List.of(Missing.of(Kind.CALL))));
    }

    private static Clearance of(
            int place, Signed call, GroupModel newest, Optional<Evidence> fits, boolean agreed, boolean underReview) {
        List<Missing> missing = new ArrayList<>();
        if (call.tier() != Tier.CONTROL) {
            missing.add(Missing.of(Kind.TIER));
        }
        Assessment assessment = assessed(call.signedOn(), call.evidence(), call, agreed);
        boolean leads = assessment.lead().id().equals(call.taxonId());
        for (Condition condition : assessment.conditions()) {
            if (!condition.met() && condition.need().kind() != Need.Kind.SECOND_OBSERVER) {
                missing.add(new Missing(Kind.CONDITION, Optional.of(condition)));
            }
        }
        if (!leads) {
            missing.add(Missing.of(Kind.CALL));
        }
        if (!agreed) {
            missing.add(Missing.of(Kind.SECOND_OBSERVER));
        }
        if (underReview) {
            missing.add(Missing.of(Kind.REVIEW));
        }
        if (assessment.isSignable() && leads && newest != call.signedOn() && !isCarriedOn(newest, fits, call)) {
            missing.add(Missing.of(Kind.VERSION));
        }
        return new Clearance(place, Optional.of(assessment), missing);
    }

    private static boolean isCarriedOn(GroupModel newest, Optional<Evidence> fits, Signed call) {
        return fits.map(evidence -> assessed(newest, evidence, call, true))
                .filter(again -> again.isSignable() && again.lead().id().equals(call.taxonId()))
                .isPresent();
    }

    private static Assessment assessed(GroupModel model, Evidence evidence, Signed call, boolean agreed) {
        Terms terms = new Terms(
                Tier.CONTROL,
                call.terms().school(),
                call.terms().mostHarm(),
                call.terms().costs());
        return Assessment.of(
                model, evidence, terms, new CallRecord(true, call.reasoned(), agreed, Set.of(call.taxonId())));
    }

    /** Whether it may go on the list, once a lead approves it. */
    public boolean isClear() {
        return missing.isEmpty();
    }
}

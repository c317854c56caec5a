package org.goldthistle.call;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.Need;
import org.goldthistle.core.verdict.Reason;
import org.goldthistle.core.verdict.Verdict;
import org.goldthistle.platform.Problem;

/** What must hold before a signature is stored; each refusal says what was kept and what to do. */
final class SigningRules {
    private SigningRules() {}

    /** @throws Problem if the signature cannot be stored */
    static void check(CallInHand call, Assessment assessment, NewDetermination signed) {
        requireSeen(call, signed);
        Outcome outcome = Coded.find(Outcome.values(), signed.outcome())
                .orElseThrow(() -> Problem.unfit(
                        "no-such-outcome",
                        "What can be signed is " + Coded.codes(Outcome.values()) + ", but \"" + signed.outcome()
                                + "\" was sent. Nothing was signed; your readings are kept."));
        boolean hasTaxon = signed.taxonId() != null;
        boolean hasMonth = signed.month() != null;
        if (hasTaxon != (outcome == Outcome.TAXON) || hasMonth != (outcome == Outcome.COME_BACK)) {
            throw Problem.unfit(
                    "unfit-outcome",
                    "A taxon goes with the outcome taxon, a month with come-back, and neither with another. Nothing was"
                            + " signed; your readings are kept.");
        }
        if (outcome == Outcome.LABORATORY && !call.rules().laboratoryUsed()) {
            throw Problem.unfit(
                    "laboratory-unused",
                    "This survey sends no samples to a laboratory. Nothing was signed; your readings are kept. Come"
                            + " back in another month, or record the group only.");
        }
        if (outcome == Outcome.TAXON) {
            requireSignable(call, assessment, signed);
        }
    }

    /** Nobody signs what they have not seen: readings may have come in from another device. */
    private static void requireSeen(CallInHand call, NewDetermination signed) {
        Set<UUID> counting = new HashSet<>();
        call.counting().forEach(entry -> counting.add(entry.getId()));
        if (!counting.equals(new HashSet<>(signed.readingIds()))) {
            throw Problem.conflict(
                    "readings-changed",
                    "The readings of this tree have changed since you last saw them, perhaps on another device."
                            + " Nothing was signed and all readings are kept. Look at the call again, then sign.");
        }
    }

    private static void requireSignable(CallInHand call, Assessment assessment, NewDetermination signed) {
        if (call.sheet().sheet().taxonIndex(signed.taxonId()) < 0) {
            throw Problem.unfit(
                    "no-such-taxon",
                    "The sheet has no taxon \"" + signed.taxonId() + "\". Nothing was signed; your readings are kept."
                            + " Choose one of the sheet's taxa.");
        }
        List<Refusal> missing = new ArrayList<>();
        if (!assessment.lead().id().equals(signed.taxonId())) {
            missing.add(new Refusal("lead", assessment.lead().id(), "the taxon that is signed in the lead"));
        }
        List<Need> now = assessment.stillNeeded().stream()
                .filter(need -> need.kind() != Need.Kind.SECOND_OBSERVER) // who is asked for once this is signed
                .toList();
        for (Need need : now) {
            missing.add(new Refusal(need.code(), "nothing that meets it", "this condition of the tier"));
        }
        for (Reason reason : assessment.reasons()) {
            if (reason.kind() == Reason.Kind.GATE) {
                missing.add(new Refusal(reason.code(), "a failed gate", "a tree of this group"));
            }
        }
        if (!missing.isEmpty() || assessment.verdict() != Verdict.SIGNABLE) {
            throw Problem.unfit(
                    "not-signable",
                    "This cannot be signed as " + signed.taxonId() + " for a "
                            + assessment.tier().code()
                            + " yet. Still needed: "
                            + String.join(
                                    ", ", missing.stream().map(Refusal::key).toList())
                            + ". Nothing was signed and all readings are kept. Check more, or sign to come back, for"
                            + " the laboratory or the group only.",
                    missing);
        }
    }
}

package org.goldthistle.call;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.Verdict;

/** What must hold before a signature is stored; each refusal says what was kept and what to do. */
final class SigningRules {
    private SigningRules() {}

    /** @throws CallRefusedException if the signature cannot be stored */
    static void check(CallInHand call, Assessment assessment, Signing signed) {
        requireSeen(call, signed);
        Outcome outcome = Coded.find(Outcome.values(), signed.outcome())
                .orElseThrow(() -> CallRefusedException.unfit(
                        CallRefusal.NO_SUCH_OUTCOME,
                        "What can be signed is " + Coded.codes(Outcome.values()) + ", but \"" + signed.outcome()
                                + "\" was sent. Nothing was signed; your readings are kept."));
        boolean hasTaxon = signed.taxonId() != null;
        boolean hasMonth = signed.month() != null;
        if (hasTaxon != (outcome == Outcome.TAXON) || hasMonth != (outcome == Outcome.COME_BACK)) {
            throw CallRefusedException.unfit(
                    CallRefusal.UNFIT_OUTCOME,
                    "A taxon goes with the outcome taxon, a month with come-back, and neither with another. Nothing was"
                            + " signed; your readings are kept.");
        }
        if (outcome == Outcome.LABORATORY && !call.rules().laboratoryUsed()) {
            throw CallRefusedException.unfit(
                    CallRefusal.LABORATORY_UNUSED,
                    "This survey sends no samples to a laboratory. Nothing was signed; your readings are kept. Come"
                            + " back in another month, or record the group only.");
        }
        requireReasonsOfReadings(call, signed);
        if (outcome == Outcome.TAXON) {
            requireSignable(call, assessment, signed);
        }
    }

    /** Nobody signs what they have not seen: readings may have come in from another device. */
    private static void requireSeen(CallInHand call, Signing signed) {
        Set<UUID> counting = new HashSet<>();
        call.counting().stream()
                .filter(entry -> !call.isToBeLookedForAgain(entry)) // which the Bench does not show as read
                .forEach(entry -> counting.add(entry.id()));
        if (!counting.equals(new HashSet<>(signed.readingIds()))) {
            throw CallRefusedException.unfit(
                    CallRefusal.READINGS_CHANGED,
                    "The readings of this tree have changed since you last saw them, perhaps on another device."
                            + " Nothing was signed and all readings are kept. Look at the call again, then sign.");
        }
    }

    private static void requireSignable(CallInHand call, Assessment assessment, Signing signed) {
        GroupSheet sheet = call.sheet().sheet();
        if (sheet.taxonIndex(signed.taxonId()) < 0) {
            throw CallRefusedException.unfit(
                    CallRefusal.NO_SUCH_TAXON,
                    "The sheet has no taxon \"" + signed.taxonId() + "\". Nothing was signed; your readings are kept."
                            + " Choose one of the sheet's taxa.");
        }
        var words = new ConditionWords(assessment);
        List<ConditionWords.Missing> missing = new ArrayList<>();
        if (!assessment.lead().id().equals(signed.taxonId())) {
            missing.add(new ConditionWords.Missing(
                    "lead",
                    ConditionWords.name(sheet, signed.taxonId()) + " in the lead, where now "
                            + ConditionWords.name(assessment.lead()) + " is"));
        }
        missing.addAll(words.allMissing(true));
        if (!missing.isEmpty() || assessment.verdict() != Verdict.SIGNABLE) {
            throw CallRefusedException.unfit(
                    CallRefusal.NOT_SIGNABLE,
                    "This cannot be signed as " + ConditionWords.name(sheet, signed.taxonId()) + " for a "
                            + assessment.tier().code() + " yet. Still missing: "
                            + missing.stream()
                                    .map(ConditionWords.Missing::words)
                                    .collect(Collectors.joining("; "))
                            + ". Nothing was signed and all readings are kept. Check more, or sign to come back, for"
                            + " the laboratory or the group only.",
                    missing.stream()
                            .map(one -> new Refusal(one.code(), "nothing that meets it", one.words()))
                            .toList());
        }
    }

    /** A reason stands for a reading; one whose reading was taken back is not signed by anybody. */
    private static void requireReasonsOfReadings(CallInHand call, Signing signed) {
        Set<String> read = call.counting().stream()
                .map(entry -> entry.reading().character())
                .collect(Collectors.toSet());
        List<String> unread = signed.reasoned().stream()
                .filter(character -> !read.contains(character))
                .map(character -> call.sheet()
                        .sheet()
                        .character(character)
                        .map(one -> "“" + ConditionWords.amid(one.name()) + "”")
                        .orElse("“" + character + "”"))
                .sorted()
                .toList();
        if (!unread.isEmpty()) {
            throw CallRefusedException.unfit(
                    CallRefusal.REASON_WITHOUT_READING,
                    "A reason was written for " + String.join(", ", unread)
                            + ", which is not read on this tree any more. Nothing was signed; your readings and what you"
                            + " wrote are kept. Leave that reason out, or read the character again.");
        }
    }
}
